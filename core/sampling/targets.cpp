#include "sampling/targets.h"

#include <algorithm>
#include <cmath>
#include <tuple>

#include "base/error.h"
#include "grid/crs.h"

namespace zp {

std::vector<Target> targetsOn(const Grid& g, const std::vector<Place>& places,
                              const std::string& crs, int width, int height,
                              const std::string& name) {
  if (!g.georeferenced)
    throw Error(
        "“{}” does not say where it lies, so nothing can be read at points; give it a position "
        "first.",
        name);
  const bool both = !crs.empty() && !g.crs.empty();
  const CrsChange change(both ? crs : "", both ? g.crs : "");
  std::vector<Target> targets;
  for (size_t i = 0; i < places.size(); ++i) {
    Place p = places[i];
    if (!change.apply(p)) continue;
    const Place at = g.toPixel(p);
    const double c = std::floor(at.x), r = std::floor(at.y);
    if (!(c >= 0 && r >= 0 && c < g.width && r < g.height)) continue;
    targets.push_back({static_cast<uint32_t>(i), static_cast<int>(c), static_cast<int>(r)});
  }
  std::sort(targets.begin(), targets.end(), [&](const Target& a, const Target& b) {
    return std::tuple(a.row / height, a.column / width, a.place) <
           std::tuple(b.row / height, b.column / width, b.place);
  });
  return targets;
}

std::vector<TargetsOfCell> byCell(const std::vector<Target>& targets, const Grid& grid, int width,
                                  int height) {
  std::vector<TargetsOfCell> cells;
  for (size_t i = 0; i < targets.size();) {
    const int x = targets[i].column / width, y = targets[i].row / height;
    size_t j = i;
    while (j < targets.size() && targets[j].column / width == x && targets[j].row / height == y)
      ++j;
    cells.push_back({{x * width, y * height, std::min(width, grid.width - x * width),
                      std::min(height, grid.height - y * height)},
                     i,
                     j});
    i = j;
  }
  return cells;
}

Window around(const std::vector<Target>& targets, size_t first, size_t last) {
  const Target& one = targets[first];
  int left = one.column, right = one.column, top = one.row, bottom = one.row;
  for (size_t k = first; k < last; ++k) {
    left = std::min(left, targets[k].column), right = std::max(right, targets[k].column);
    top = std::min(top, targets[k].row), bottom = std::max(bottom, targets[k].row);
  }
  return {left, top, right - left + 1, bottom - top + 1};
}

}  // namespace zp
