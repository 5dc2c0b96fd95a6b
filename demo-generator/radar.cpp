#include "radar.h"

#include <algorithm>
#include <array>

#include "base/random.h"
#include "noise.h"
#include "steady_math.h"

namespace haven {
namespace {

/// VV in dB at the start, middle and end of the season, and how far VH lies below it.
struct Curve {
  double start, middle, end, below, rain;
};
constexpr Curve kCurves[kCovers] = {
    {-19.5, -20.5, -18.5, 7.5, 0}, {-18, -18.8, -17.5, 7.5, 0},     {-13.5, -13, -13.2, 9, 0.3},
    {-15, -14.5, -15, 9, 0.3},     {-13, -11.5, -12.2, 7.5, 0.5},   {-12, -10.8, -11.4, 7, 0.6},
    {-8.2, -8.9, -8.4, 6.2, 0.4},  {-13.8, -9.2, -8.8, 6.3, 0.5},   {-13, -9.6, -9.2, 6.4, 0.6},
    {-10, -8.6, -9.1, 5.8, 0.6},   {-12, -10.6, -11.2, 7.2, 1.2},   {-11.5, -11, -11.2, 7.4, 1.0},
    {-12.8, -11.8, -11, 9.2, 2.2}, {-12.4, -10.2, -12.2, 7.6, 1.4}, {-11.4, -9.8, -13, 7.4, 1.6},
    {-9.2, -8.3, -8.8, 5.4, 0.7},  {-9, -8.6, -8.8, 5.2, 0.6},      {-4.5, -4.5, -4.5, 7, 0.2},
    {-8.5, -7.8, -8.2, 6.4, 0.8},  {-14, -14, -14, 8.5, 0.8},       {-9.5, -9.5, -9.5, 8, 0.8}};

double along(const Curve& c, double season) {
  const double t = smooth(0, 0.5, season), u = smooth(0.5, 1, season);
  return c.start + t * (c.middle - c.start) + u * (c.end - c.middle);
}

}  // namespace

std::vector<std::vector<float>> heronScene(const World& world, double season, bool wet,
                                           uint64_t seed) {
  constexpr int w = kWidth / 4, h = kHeight / 4;
  std::array<std::array<double, 2>, kCovers> power;
  for (size_t c = 0; c < kCovers; ++c) {
    const double vv = along(kCurves[c], season) + (wet ? kCurves[c].rain : 0);
    power[c] = {fromDecibels(vv), fromDecibels(vv - kCurves[c].below)};
  }
  std::vector<std::vector<float>> out(2, std::vector<float>(static_cast<size_t>(w) * h));
  forRows(h, [&](int r) {
    for (int c = 0; c < w; ++c) {
      std::array<double, 2> sum{};
      for (int y = 0; y < 4; ++y)
        for (int x = 0; x < 4; ++x) {
          const auto i = static_cast<size_t>(r * 4 + y) * kWidth + static_cast<size_t>(c * 4 + x);
          const auto& p = power[static_cast<size_t>(world.after[i])];
          sum[0] += p[0], sum[1] += p[1];
        }
      const double texture = 1 + 0.12 * layered(c / 22.0, r / 22.0, 2, 301);
      const size_t i = static_cast<size_t>(r) * w + static_cast<size_t>(c);
      for (size_t k = 0; k < 2; ++k) {
        // Gamma with five looks: the mean of five exponential values.
        double product = 1;
        for (uint64_t look = 0; look < 5; ++look)
          product *= 1 - zp::unit(zp::mix(zp::mix(i * 2 + k, look), seed));
        out[k][i] = static_cast<float>(sum[k] / 16 * texture * (-steadyLog(product) / 5));
      }
    }
  });
  return out;
}

}  // namespace haven
