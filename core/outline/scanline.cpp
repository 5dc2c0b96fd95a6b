#include "outline/scanline.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>

namespace zp {

std::vector<Span> pixelsInside(const Shape& shape, const Grid& grid) {
  std::map<int, std::vector<double>> crossings;
  for (const auto& ring : shape.rings) {
    for (size_t i = 0; i < ring.size(); ++i) {
      Place a = grid.toPixel(ring[i]), b = grid.toPixel(ring[(i + 1) % ring.size()]);
      if (a.y > b.y) std::swap(a, b);
      // Rows whose centre row + 0.5 lies in [a.y, b.y).
      const double first = std::max(0.0, std::ceil(a.y - 0.5));
      const double last = std::min<double>(grid.height, std::ceil(b.y - 0.5));
      for (double row = first; row < last; ++row) {
        const double t = (row + 0.5 - a.y) / (b.y - a.y);
        crossings[static_cast<int>(row)].push_back(a.x + t * (b.x - a.x));
      }
    }
  }
  std::vector<Span> spans;
  for (auto& [row, xs] : crossings) {
    std::sort(xs.begin(), xs.end());
    for (size_t i = 0; i + 1 < xs.size(); i += 2) {
      const double from = std::max(0.0, std::ceil(xs[i] - 0.5));
      const double to = std::min<double>(grid.width, std::ceil(xs[i + 1] - 0.5));
      if (from < to) spans.push_back({row, static_cast<int>(from), static_cast<int>(to)});
    }
  }
  return spans;
}

std::vector<Span> pixelsOfPoints(const Shape& shape, const Grid& grid) {
  std::vector<Span> spans;
  for (const auto& p : shape.points) {
    const Place at = grid.toPixel(p);
    const double c = std::floor(at.x), r = std::floor(at.y);
    if (c >= 0 && r >= 0 && c < grid.width && r < grid.height)
      spans.push_back({static_cast<int>(r), static_cast<int>(c), static_cast<int>(c) + 1});
  }
  return spans;
}

Window bringOnto(const Grid& grid, const std::string& fromCrs, std::vector<Shape>& shapes) {
  const bool both = !fromCrs.empty() && !grid.crs.empty();
  const CrsChange change(both ? fromCrs : "", both ? grid.crs : "");
  double left = grid.width, top = grid.height, right = 0, bottom = 0;
  for (auto& shape : shapes)
    for (auto& ring : shape.rings)
      for (auto& p : ring) {
        change.apply(p);
        const Place at = grid.toPixel(p);
        left = std::min(left, at.x), right = std::max(right, at.x);
        top = std::min(top, at.y), bottom = std::max(bottom, at.y);
      }
  const auto within = [](double v, int low, int high) {
    return static_cast<int>(std::clamp(v, static_cast<double>(low), static_cast<double>(high)));
  };
  const int x = within(std::floor(left), 0, grid.width - 1),
            y = within(std::floor(top), 0, grid.height - 1);
  return {x, y, within(std::ceil(right), x + 1, grid.width) - x,
          within(std::ceil(bottom), y + 1, grid.height) - y};
}

InsideMask::InsideMask(const std::vector<Shape>& shapes, const Grid& grid)
    : rows_(static_cast<size_t>(grid.height)) {
  for (const auto& shape : shapes)
    for (const auto& span : pixelsInside(shape, grid)) {
      rows_[static_cast<size_t>(span.row)].push_back(span);
      any_ = true;
    }
}

void InsideMask::fill(Window w, std::vector<uint8_t>& mask) const {
  mask.assign(w.pixels(), 0);
  for (int r = 0; r < w.height; ++r) {
    for (const auto& span : rows_[static_cast<size_t>(w.y + r)]) {
      const int from = std::max(span.from, w.x), to = std::min(span.to, w.x + w.width);
      if (from >= to) continue;
      auto* row = mask.data() + static_cast<size_t>(r) * static_cast<size_t>(w.width);
      std::fill(row + (from - w.x), row + (to - w.x), uint8_t{1});
    }
  }
}

void InsideMask::keep(Window w, float* values) const {
  std::vector<uint8_t> mask;
  fill(w, mask);
  for (size_t i = 0; i < mask.size(); ++i)
    if (mask[i] == 0) values[i] = std::numeric_limits<float>::quiet_NaN();
}

}  // namespace zp
