#include "grid/flood_fill.h"

#include <cstddef>

namespace zp {

std::vector<bool> floodFill(const std::vector<bool>& open, int width, int height,
                            std::vector<std::pair<int, int>> seeds) {
  std::vector<bool> filled(open.size());
  const auto index = [&](int x, int y) {
    return static_cast<size_t>(y) * static_cast<size_t>(width) + static_cast<size_t>(x);
  };
  const auto todo = [&](int x, int y) { return open[index(x, y)] && !filled[index(x, y)]; };
  while (!seeds.empty()) {
    const auto [x, y] = seeds.back();
    seeds.pop_back();
    if (x < 0 || y < 0 || x >= width || y >= height || !todo(x, y)) continue;
    int from = x, to = x;
    while (from > 0 && todo(from - 1, y)) --from;
    while (to + 1 < width && todo(to + 1, y)) ++to;
    for (int c = from; c <= to; ++c) filled[index(c, y)] = true;
    for (int r : {y - 1, y + 1}) {
      if (r < 0 || r >= height) continue;
      // One seed for each open run above and below.
      for (int c = from; c <= to; ++c)
        if (todo(c, r) && (c == from || !todo(c - 1, r))) seeds.emplace_back(c, r);
    }
  }
  return filled;
}

}  // namespace zp
