#include "grid/grid.h"

#include <algorithm>
#include <cmath>

#include "grid/crs.h"

namespace zp {

void Extent::include(Place p) {
  left = std::min(left, p.x), right = std::max(right, p.x);
  bottom = std::min(bottom, p.y), top = std::max(top, p.y);
}

bool Extent::overlaps(const Extent& o) const {
  return left < o.right && o.left < right && bottom < o.top && o.bottom < top;
}

Place Grid::toMap(double column, double row) const {
  return {transform[0] + column * transform[1] + row * transform[2],
          transform[3] + column * transform[4] + row * transform[5]};
}

Place Grid::toPixel(Place map) const {
  const double det = transform[1] * transform[5] - transform[2] * transform[4];
  const double dx = map.x - transform[0], dy = map.y - transform[3];
  return {(dx * transform[5] - dy * transform[2]) / det,
          (dy * transform[1] - dx * transform[4]) / det};
}

Extent Grid::extent() const {
  const Place a = toMap(0, 0);
  Extent e{a.x, a.y, a.x, a.y};
  e.include(toMap(width, 0));
  e.include(toMap(0, height));
  e.include(toMap(width, height));
  return e;
}

Grid Grid::moved(Place by) const {
  Grid g = *this;
  g.transform[0] += by.x, g.transform[3] += by.y;
  return g;
}

double Grid::pixelWidth() const {
  return std::hypot(transform[1], transform[4]);
}
double Grid::pixelHeight() const {
  return std::hypot(transform[2], transform[5]);
}

bool Grid::sameAs(const Grid& other) const {
  if (width != other.width || height != other.height) return false;
  const bool bothNamed = !crs.empty() && !other.crs.empty();
  if (bothNamed && crs != other.crs && !crsSame(crs, other.crs)) return false;
  for (const auto& [c, r] : {std::pair{0, 0}, {width, 0}, {0, height}}) {
    const Place p = toPixel(other.toMap(c, r));
    if (std::abs(p.x - c) > 1e-3 || std::abs(p.y - r) > 1e-3) return false;
  }
  return true;
}

std::vector<Window> planWindows(const Grid& grid, int blockWidth, int blockHeight, size_t budget) {
  const bool striped = blockWidth >= grid.width;
  const auto wanted = static_cast<int>(std::min<size_t>(budget, size_t{1} << 30));
  int w = grid.width, h = 0;
  if (striped) {
    h = std::max(1, wanted / std::max(1, w) / blockHeight) * blockHeight;
  } else {
    h = blockHeight;
    w = std::max(1, wanted / h / blockWidth) * blockWidth;
    if (w >= grid.width) h = std::max(1, wanted / grid.width / blockHeight) * blockHeight;
  }
  // Whole rows of the tiles we write, so that no tile is compressed twice.
  constexpr int kTile = 256;
  if (h > kTile) h = h / kTile * kTile;
  std::vector<Window> windows;
  for (int y = 0; y < grid.height; y += h)
    for (int x = 0; x < grid.width; x += w)
      windows.push_back({x, y, std::min(w, grid.width - x), std::min(h, grid.height - y)});
  return windows;
}

}  // namespace zp
