#pragma once
#include <algorithm>
#include <vector>

#include "grid/grid.h"

namespace zp {

/// A window with `by` more pixels on each side, as far as the grid goes.
inline Window widened(Window w, int by, const Grid& grid) {
  const int left = std::max(0, w.x - by), top = std::max(0, w.y - by);
  return {left, top, std::min(grid.width, w.x + w.width + by) - left,
          std::min(grid.height, w.y + w.height + by) - top};
}

/// The part of a picture over `wider` that lies in `w`, row by row.
inline std::vector<float> cutTo(Window w, const std::vector<float>& values, Window wider) {
  std::vector<float> out;
  out.reserve(w.pixels());
  for (int y = 0; y < w.height; ++y) {
    const auto row = values.begin() + static_cast<std::ptrdiff_t>(w.y - wider.y + y) * wider.width +
                     w.x - wider.x;
    out.insert(out.end(), row, row + w.width);
  }
  return out;
}

}  // namespace zp
