#include "grid/pixel_box.h"

#include <algorithm>
#include <cmath>

#include "grid/regrid.h"

namespace zp {
namespace {
constexpr int kPlacesAnEdge = 64;  // an edge may be bent on the other grid
}

bool PixelBox::finite() const {
  return std::isfinite(left + top + right + bottom);
}

PixelBox boxOn(const Grid& grid, const Grid& other) {
  const PixelNet net(grid, other);
  const Place first = net.at(0, 0);
  PixelBox box{first.x, first.y, first.x, first.y};
  const auto include = [&](int x, int y) {
    const Place p = net.at(x, y);
    box.left = std::min(box.left, p.x), box.right = std::max(box.right, p.x);
    box.top = std::min(box.top, p.y), box.bottom = std::max(box.bottom, p.y);
  };
  for (int x = 0; x < grid.width; x += std::max(1, grid.width / kPlacesAnEdge))
    include(x, 0), include(x, grid.height - 1);
  for (int y = 0; y < grid.height; y += std::max(1, grid.height / kPlacesAnEdge))
    include(0, y), include(grid.width - 1, y);
  include(grid.width - 1, grid.height - 1);
  return box;
}

}  // namespace zp
