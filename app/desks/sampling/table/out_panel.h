#pragma once
#include "desks/sampling/table/sheet_view.h"
#include "look/parts.h"

namespace zp {

/// The rows that are shown, out: to the clipboard, to a file, or as a table of the study of its
/// own.
class OutPanel : public QWidget {
  Q_OBJECT
 public:
  OutPanel(Workbench& bench, TableBook& book, SheetView& sheet, QWidget* parent = nullptr);
  void open() { tell(); }
  /// As CSV, or as the ending says with the places of the rows.
  void write(const QString& file);

 Q_SIGNALS:
  void made(const QString& product);

 private:
  void tell();
  void copy();
  void save(bool withPlaces);
  void keep();
  Table table() const;

  Workbench& bench_;
  TableBook& book_;
  SheetView& sheet_;
  QComboBox *separator_, *decimal_;
  QPushButton *copy_, *places_, *keep_;
  QLabel* said_;
};

}  // namespace zp
