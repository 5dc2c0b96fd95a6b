#include "grid/gradient.h"

#include <cstddef>

#include "base/nan.h"

namespace zp {

void gradientOf(const float* heights, int width, int height, double across, double down,
                float* east, float* north) {
  const auto at = [&](int x, int y) {
    return static_cast<double>(
        heights[static_cast<size_t>(y) * static_cast<size_t>(width) + static_cast<size_t>(x)]);
  };
  size_t i = 0;
  for (int y = 0; y < height; ++y)
    for (int x = 0; x < width; ++x, ++i) {
      east[i] = north[i] = kNan;
      if (x == 0 || y == 0 || x == width - 1 || y == height - 1) continue;
      const auto column = [&](int c) { return at(c, y - 1) + 2 * at(c, y) + at(c, y + 1); };
      const auto row = [&](int r) { return at(x - 1, r) + 2 * at(x, r) + at(x + 1, r); };
      east[i] = static_cast<float>((column(x + 1) - column(x - 1)) / (8 * across));
      north[i] = static_cast<float>((row(y - 1) - row(y + 1)) / (8 * down));
    }
}

}  // namespace zp
