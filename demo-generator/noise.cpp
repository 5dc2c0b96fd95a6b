#include "noise.h"

#include <algorithm>

#include "base/random.h"

namespace haven {
namespace {

uint64_t cell(int64_t x, int64_t y, uint64_t seed) {
  return zp::mix(static_cast<uint64_t>(x) * 0x9e3779b1u ^
                 static_cast<uint64_t>(y) * 0x85ebca77c2b2ull ^ seed * 0xd6e8feb86659fd93ull);
}

/// One of eight directions; as a table, for a processor cannot foresee which it is.
double slope(uint64_t h, double dx, double dy) {
  constexpr double kRoot = 1.4142135623730951;
  static constexpr double kX[] = {1, 1, -1, -1, kRoot, -kRoot, 0, 0},
                          kY[] = {1, -1, 1, -1, 0, 0, kRoot, -kRoot};
  return kX[h & 7] * dx + kY[h & 7] * dy;
}

/// Rounded down; the library's own is a call on a processor of the baseline.
int64_t below(double v) {
  const auto whole = static_cast<int64_t>(v);
  return whole - (v < static_cast<double>(whole) ? 1 : 0);
}

double fade(double t) {
  return t * t * t * (t * (t * 6 - 15) + 10);
}

}  // namespace

double noise(double x, double y, uint64_t seed) {
  const int64_t ix = below(x), iy = below(y);
  const double dx = x - static_cast<double>(ix), dy = y - static_cast<double>(iy), u = fade(dx),
               v = fade(dy);
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
