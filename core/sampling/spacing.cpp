#include "sampling/spacing.h"

#include <cmath>

#include "base/random.h"

namespace zp {

bool Spacing::take(Place p) {
  if (apart_ <= 0) return true;
  const auto key = [](int64_t x, int64_t y) {
    return mix(static_cast<uint64_t>(x), static_cast<uint64_t>(y));
  };
  const auto cx = static_cast<int64_t>(std::floor(p.x / apart_)),
             cy = static_cast<int64_t>(std::floor(p.y / apart_));
  for (int64_t y = cy - 1; y <= cy + 1; ++y)
    for (int64_t x = cx - 1; x <= cx + 1; ++x) {
      const auto cell = cells_.find(key(x, y));
      if (cell == cells_.end()) continue;
      for (const auto& q : cell->second)
        if (std::hypot(p.x - q.x, p.y - q.y) < apart_) return false;
    }
  cells_[key(cx, cy)].push_back(p);
  return true;
}

}  // namespace zp
