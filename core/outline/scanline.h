#pragma once
#include <functional>
#include <vector>

#include "outline/layer.h"

namespace zp {

/// One row of pixels inside a shape: columns [from, to).
struct Span {
  int row, from, to;
};

/// The pixels whose centre lies inside the rings of a shape (even–odd rule). A centre exactly on an
/// edge belongs to the shape on its right or below, so neighbouring polygons share no pixel. Spans
/// come row by row, clipped to the grid. Source: scan conversion, Foley et al. 1990, ch. 3.6.
std::vector<Span> pixelsInside(const Shape& shape, const Grid& grid);

/// The pixel each point lies in.
std::vector<Span> pixelsOfPoints(const Shape& shape, const Grid& grid);

/// Brings polygons from a system into that of a grid (where both are known) and tells the window
/// that holds them; one pixel of the grid at least.
Window bringOnto(const Grid& grid, const std::string& fromCrs, std::vector<Shape>& shapes);

/// The pixels inside any of some shapes.
class InsideMask {
 public:
  InsideMask(const std::vector<Shape>& shapes, const Grid& grid);
  /// Byte mask of a window: 1 inside.
  void fill(Window window, std::vector<uint8_t>& mask) const;
  /// Makes what lies outside NaN, in values of a window, row by row.
  void keep(Window window, float* values) const;
  bool any() const { return any_; }

 private:
  std::vector<std::vector<Span>> rows_;
  bool any_ = false;
};

}  // namespace zp
