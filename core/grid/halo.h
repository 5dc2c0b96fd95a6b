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
inline void cutTo(Window w, const float* values, Window wider, float* out) {
  for (int y = 0; y < w.height; ++y) {
    const float* row =
        values + static_cast<std::ptrdiff_t>(w.y - wider.y + y) * wider.width + w.x - wider.x;
    out = std::copy(row, row + w.width, out);
  }
}
inline std::vector<float> cutTo(Window w, const std::vector<float>& values, Window wider) {
  std::vector<float> out(w.pixels());
  cutTo(w, values.data(), wider, out.data());
  return out;
}

}  // namespace zp
