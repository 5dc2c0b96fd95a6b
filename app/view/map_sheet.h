#pragma once
#include <QSizeF>
#include <map>

#include "view/map_view.h"

namespace zp {

/// A map to hand over: what is in view, with all that a reader needs to know of it.
struct MapSheet {
  QString title, credit;
  QString source, date;  // of the picture in front
  Picture front, back;   // the back one below a class picture that is not opaque
  std::vector<ViewShape> shapes;
  Extent extent;                // of the map, whose frame has its shape
  std::map<int, double> areas;  // square metres by class, for the key; empty: without
  std::string crs;
};

/// Paper by its name: "A4 landscape", "A4 portrait", "A3 landscape", "A3 portrait".
QStringList sheetPapers();

/// Writes the sheet as PNG or PDF, as the file's ending says, complete or not at all. For any
/// thread. Error: another ending, a picture that cannot be read, a file that cannot be written.
void writeMapSheet(const MapSheet& sheet, const QString& paper, const QString& file);

}  // namespace zp
