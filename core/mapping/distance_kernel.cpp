// Compiled twice (see zp_kernel); plain loops and vector types only, as in formula_kernel.cpp.
#include "mapping/distance_kernel.h"

#include <utility>

#include "mapping/lanes.h"

namespace zp::ZP_LEVEL {
namespace {

/// Mahalanobis² as |L⁻¹ (x − mean)|², with L L' the covariance. kBands: as many as there are, known
/// when it is compiled, so that the loops below need no counting; 0 for any number.
template <int kBands>
inline Pair whitened(const DistanceModel& m, int c, const Pair* x) {
  const int bands = kBands > 0 ? kBands : m.bands;
  Pair d[kBands > 0 ? kBands : kMostBands];
  const float* mean = m.means + c * bands;
#pragma GCC unroll 16
  for (int b = 0; b < bands; ++b) d[b] = {x[b].a - mean[b], x[b].b - mean[b]};
  const float* row = m.whitening + c * (bands * (bands + 1) / 2);
  Pair sum{Lane{}, Lane{}};
  const auto add = [&sum](const Pair& y) { sum.a += y.a * y.a, sum.b += y.b * y.b; };
  // Two rows at a time: four sums that do not wait for each other.
#pragma GCC unroll 8
  for (int j = 0; j + 1 < bands; j += 2) {
    const float* next = row + j + 1;
    Pair y{Lane{}, Lane{}}, z = y;
#pragma GCC unroll 16
    for (int k = 0; k <= j; ++k) {
      y.a += row[k] * d[k].a;
      y.b += row[k] * d[k].b;
      z.a += next[k] * d[k].a;
      z.b += next[k] * d[k].b;
    }
    z.a += next[j + 1] * d[j + 1].a;
    z.b += next[j + 1] * d[j + 1].b;
    add(y);
    add(z);
    row = next + j + 2;
  }
  if (bands % 2 == 1) {
    Pair y{Lane{}, Lane{}};
#pragma GCC unroll 16
    for (int k = 0; k < bands; ++k) {
      y.a += row[k] * d[k].a;
      y.b += row[k] * d[k].b;
    }
    add(y);
  }
  return sum;
}

inline Pair euclidean(const DistanceModel& m, int c, const Pair* x) {
  const float* mean = m.means + c * m.bands;
  Pair sum{Lane{}, Lane{}};
  for (int b = 0; b < m.bands; ++b) {
    const Lane a = x[b].a - mean[b], e = x[b].b - mean[b];
    sum.a += a * a;
    sum.b += e * e;
  }
  return sum;
}

template <bool kLikelihood, int kBands>
inline void sixteen(const DistanceModel& m, const Pair* x, int16_t* best, float* squared) {
  Winner first = nobody(), second = first;
  for (int c = 0; c < m.classes; ++c) {
    const Pair d = kLikelihood ? whitened<kBands>(m, c, x) : euclidean(m, c, x);
    const float weight = kLikelihood ? 0.5f : 1.0f;
    const float offset = kLikelihood ? m.offsets[c] : 0.0f;
    challenge(first, offset - weight * d.a, d.a, c);
    challenge(second, offset - weight * d.b, d.b, c);
  }
  tell(first, best, squared);
  tell(second, best + kLanes, squared + kLanes);
}

template <bool kLikelihood, int kBands>
void classify(const DistanceModel& m, const float* const* bands, size_t n, int16_t* best,
              float* squared) {
  bySixteen(m.bands, bands, n, best, squared,
            [&](const Pair* x, int16_t* b, float* s) { sixteen<kLikelihood, kBands>(m, x, b, s); });
}

using Kernel = void (*)(const DistanceModel&, const float* const*, size_t, int16_t*, float*);

/// For each number of bands, the one made for it.
template <class>
struct BySize;
template <int... kBands>
struct BySize<std::integer_sequence<int, kBands...>> {
  static constexpr Kernel kernels[] = {&classify<true, kBands>...};
};

}  // namespace

void likelihood(const DistanceModel& m, const float* const* bands, size_t n, int16_t* best,
                float* squared) {
  constexpr int kMade = 16;
  const auto& kernels = BySize<std::make_integer_sequence<int, kMade + 1>>::kernels;
  kernels[m.bands <= kMade ? m.bands : 0](m, bands, n, best, squared);
}

void nearestMean(const DistanceModel& m, const float* const* bands, size_t n, int16_t* best,
                 float* squared) {
  classify<false, 0>(m, bands, n, best, squared);
}

}  // namespace zp::ZP_LEVEL
