#pragma once
#include "grid/grid.h"

namespace zp {

/// Where the outermost pixels of a grid lie on another, by their centres: columns and rows of the
/// other, with parts. Both grids have a system, or neither.
struct PixelBox {
  double left = 0, top = 0, right = 0, bottom = 0;
  bool finite() const;
};
PixelBox boxOn(const Grid& grid, const Grid& other);

}  // namespace zp
