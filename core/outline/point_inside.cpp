#include "outline/point_inside.h"

#include <algorithm>
#include <cmath>

namespace zp {

PointInside::PointInside(const std::vector<Shape>& shapes, const Grid& grid)
    : rows_(static_cast<size_t>(grid.height)), spans_(static_cast<size_t>(grid.height)) {
  for (size_t s = 0; s < shapes.size(); ++s)
    for (const auto& ring : shapes[s].rings)
      for (size_t i = 0; i < ring.size(); ++i) {
        Place a = grid.toPixel(ring[i]), b = grid.toPixel(ring[(i + 1) % ring.size()]);
        if (a.y > b.y) std::swap(a, b);
        if (!(b.y >= 0 && a.y < grid.height)) continue;
        const int first = static_cast<int>(std::max(0.0, std::floor(a.y))),
                  last = static_cast<int>(std::min<double>(grid.height - 1, std::floor(b.y)));
        for (int row = first; row <= last; ++row) {
          const auto column = [&](double y) {
            if (b.y == a.y) return y == row ? a.x : b.x;
            const double t = (std::clamp(y, a.y, b.y) - a.y) / (b.y - a.y);
            return a.x + t * (b.x - a.x);
          };
          const double x0 = column(row), x1 = column(row + 1.0);
          const double from = std::max(0.0, std::floor(std::min(x0, x1))),
                       to = std::min<double>(grid.width, std::floor(std::max(x0, x1)) + 1);
          rows_[static_cast<size_t>(row)].push_back({a, b, s});
          if (from < to)
            spans_[static_cast<size_t>(row)].push_back(
                {row, static_cast<int>(from), static_cast<int>(to)});
        }
      }
}

bool PointInside::at(double column, double row) const {
  const double r = std::floor(row);
  if (!(r >= 0 && r < static_cast<double>(rows_.size()))) return false;
  // Edges of a shape follow each other in a row's list.
  bool inside = false;
  size_t shape = 0;
  for (const auto& e : rows_[static_cast<size_t>(r)]) {
    if (e.shape != shape) {
      if (inside) return true;
      shape = e.shape;
    }
    if (e.a.y <= row && row < e.b.y &&
        column < e.a.x + (row - e.a.y) / (e.b.y - e.a.y) * (e.b.x - e.a.x))
      inside = !inside;
  }
  return inside;
}

void PointInside::fillEdges(Window w, std::vector<uint8_t>& mask) const {
  mask.assign(w.pixels(), 0);
  for (int r = 0; r < w.height; ++r)
    for (const auto& span : spans_[static_cast<size_t>(w.y + r)]) {
      const int from = std::max(span.from, w.x), to = std::min(span.to, w.x + w.width);
      if (from >= to) continue;
      auto* row = mask.data() + static_cast<size_t>(r) * static_cast<size_t>(w.width);
      std::fill(row + (from - w.x), row + (to - w.x), uint8_t{1});
    }
}

}  // namespace zp
