#pragma once
#include "outline/layer.h"

namespace zp {

/// Where a table says its rows lie.
struct Coordinates {
  std::string x, y;    // columns: to the east and to the north, or longitude and latitude
  std::string system;  // "EPSG:n" or WKT
};

/// Rows as a layer of points, with all their columns. Rows without a coordinate are left out and
/// counted in `leftOut`. Error: an unknown column or system, a cell that is no number (naming its
/// row), degrees beyond those there are, no row with coordinates.
Layer pointsFrom(const Table& table, const Coordinates& at, size_t* leftOut = nullptr);

}  // namespace zp
