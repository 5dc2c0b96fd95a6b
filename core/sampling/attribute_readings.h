#pragma once
#include "sampling/join_tables.h"

namespace zp {

/// What places read from the attributes of another layer.
struct AttributeReadings {
  std::vector<std::string> columns;
  std::vector<std::vector<std::string>> rows;  // place by place; empty cells where there is none
  std::string distance = {};                   // of the nearest: the column of distances, in metres
  size_t none = 0, several = 0;  // places without one; with several, of which the first counts
};

/// Which of the other layer's shapes is read; the nearest may be a line.
enum class Attributes { OfPolygonAround, OfNearest };

/// The columns of the other layer at the places of a layer of points, called "NAME COLUMN" beside
/// those that are `taken`. Distances are measured in the system of the points or, where that is in
/// degrees, of the other layer.
/// Error: no polygons to lie in, no shapes, no reference system of one of both, degrees on both
/// sides of a distance.
AttributeReadings readAttributesAt(const Layer& points, const Layer& other, const std::string& name,
                                   Attributes which, const std::vector<std::string>& taken,
                                   const Progress& progress = Progress());
/// As further columns of a table of these places.
void appendTo(Table& table, const AttributeReadings& readings);

}  // namespace zp
