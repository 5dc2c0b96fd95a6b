#pragma once
#include <vector>

#include "outline/layer.h"
#include "outline/scanline.h"

namespace zp {

/// Tells of any place, not only of pixel centres, whether it lies inside one of the shapes
/// (even–odd rule of its rings). Places are in pixel units of the grid.
class PointInside {
 public:
  PointInside(const std::vector<Shape>& shapes, const Grid& grid);
  bool at(double column, double row) const;
  /// 1 for the pixels of a window that an edge runs through: they are partly inside.
  void fillEdges(Window window, std::vector<uint8_t>& mask) const;

 private:
  struct Edge {
    Place a, b;  // a.y <= b.y
    size_t shape;
  };
  std::vector<std::vector<Edge>> rows_;  // edges by the rows they run through
  std::vector<std::vector<Span>> spans_;
};

}  // namespace zp
