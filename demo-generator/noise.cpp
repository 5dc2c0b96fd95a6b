#include "noise.h"

#include <algorithm>
#include <cmath>

#include "base/random.h"

namespace haven {
namespace {

uint64_t cell(int64_t x, int64_t y, uint64_t seed) {
  return zp::mix(static_cast<uint64_t>(x) * 0x9e3779b1u ^
                 static_cast<uint64_t>(y) * 0x85ebca77c2b2ull ^ seed * 0xd6e8feb86659fd93ull);
}

double slope(uint64_t h, double dx, double dy) {
  switch (h & 7) {
    case 0:
      return dx + dy;
    case 1:
      return dx - dy;
    case 2:
      return -dx + dy;
    case 3:
      return -dx - dy;
    case 4:
      return 1.4142135623730951 * dx;
    case 5:
      return -1.4142135623730951 * dx;
    case 6:
      return 1.4142135623730951 * dy;
    default:
      return -1.4142135623730951 * dy;
  }
}

double fade(double t) {
  return t * t * t * (t * (t * 6 - 15) + 10);
}

}  // namespace

double noise(double x, double y, uint64_t seed) {
  const double fx = std::floor(x), fy = std::floor(y);
  const auto ix = static_cast<int64_t>(fx), iy = static_cast<int64_t>(fy);
  const double dx = x - fx, dy = y - fy, u = fade(dx), v = fade(dy);
  const double a = slope(cell(ix, iy, seed), dx, dy), b = slope(cell(ix + 1, iy, seed), dx - 1, dy);
  const double c = slope(cell(ix, iy + 1, seed), dx, dy - 1);
  const double d = slope(cell(ix + 1, iy + 1, seed), dx - 1, dy - 1);
  return (a + u * (b - a)) + v * ((c + u * (d - c)) - (a + u * (b - a)));
}

double layered(double x, double y, int octaves, uint64_t seed) {
  double sum = 0, weight = 1;
  for (int o = 0; o < octaves; ++o) {
    sum += weight * noise(x, y, seed + static_cast<uint64_t>(o) * 101);
    x = x * 2 + 17.3, y = y * 2 - 9.1, weight *= 0.5;
  }
  return sum;
}

double chance(int64_t a, int64_t b, uint64_t seed) {
  return zp::unit(zp::mix(cell(a, b, seed)));
}

double smooth(double a, double b, double v) {
  const double t = std::clamp((v - a) / (b - a), 0.0, 1.0);
  return t * t * (3 - 2 * t);
}

}  // namespace haven
