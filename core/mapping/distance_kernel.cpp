// Compiled twice (see zp_kernel); plain loops and vector types only, as in formula_kernel.cpp.
#include "mapping/distance_kernel.h"

#include <utility>

#include "mapping/lanes.h"

namespace zp::ZP_LEVEL {
namespace {

/// Adds to `sum` the squares of rows kFrom–to (not with `to`; kFrom is even) of L⁻¹ (x − mean), L
/// L' being the covariance; those of all rows are Mahalanobis². `inverse`: L⁻¹, its lower triangle.
/// Where they end is known when it is compiled (kTo), so that loops need no counting, or given.
template <int kFrom, int kTo>
inline void addRows(const float* inverse, const Pair* d, int end, Pair& sum) {
  const int to = kTo > 0 ? kTo : end;
  const float* row = inverse + kFrom * (kFrom + 1) / 2;
  const auto add = [&sum](const Pair& y) { sum.a += y.a * y.a, sum.b += y.b * y.b; };
  // Two rows at a time: four sums that do not wait for each other.
#pragma GCC unroll 8
  for (int j = kFrom; j + 1 < to; j += 2) {
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
  if (to % 2 == 1) {
    Pair y{Lane{}, Lane{}};
#pragma GCC unroll 16
    for (int k = 0; k < to; ++k) {
      y.a += row[k] * d[k].a;
      y.b += row[k] * d[k].b;
    }
    add(y);
  }
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

/// The class of sixteen pixels; `likely` is asked first. Squares only add up, so a class that is
/// behind after half of its rows (a quarter of the work) is left there. kBands: 0 for any number.
template <int kBands>
inline void likeliest(const DistanceModel& m, int likely, const Pair* x, int16_t* best,
                      float* squared) {
  constexpr int kHalf = kBands / 4 * 2;
  const int bands = kBands > 0 ? kBands : m.bands;
  Winner first = nobody(), second = first;
  const auto ask = [&](int c) {
    const float* mean = m.means + c * bands;
    const float* inverse = m.whitening + c * (bands * (bands + 1) / 2);
    const float offset = m.offsets[c];
    const auto score = [offset](Lane squares) { return offset - 0.5f * squares; };
    Pair d[kBands > 0 ? kBands : kMostBands], sum{Lane{}, Lane{}};
    if constexpr (kHalf > 0) {
#pragma GCC unroll 16
      for (int b = 0; b < kHalf; ++b) d[b] = {x[b].a - mean[b], x[b].b - mean[b]};
      addRows<0, kHalf>(inverse, d, kHalf, sum);
      if (!any((score(sum.a) >= first.score) | (score(sum.b) >= second.score))) return;
    }
#pragma GCC unroll 16
    for (int b = kHalf; b < bands; ++b) d[b] = {x[b].a - mean[b], x[b].b - mean[b]};
    addRows<kHalf, kBands>(inverse, d, bands, sum);
    challenge(first, score(sum.a), sum.a, c);
    challenge(second, score(sum.b), sum.b, c);
  };
  ask(likely);
  for (int c = 0; c < m.classes; ++c)
    if (c != likely) ask(c);
  tell(first, best, squared);
  tell(second, best + kLanes, squared + kLanes);
}

inline void nearest(const DistanceModel& m, const Pair* x, int16_t* best, float* squared) {
  Winner first = nobody(), second = first;
  for (int c = 0; c < m.classes; ++c) {
    const Pair d = euclidean(m, c, x);
    challenge(first, -d.a, d.a, c);
    challenge(second, -d.b, d.b, c);
  }
  tell(first, best, squared);
  tell(second, best + kLanes, squared + kLanes);
}

template <int kBands>
void classify(const DistanceModel& m, const float* const* bands, size_t n, int16_t* best,
              float* squared) {
  int likely = 0;  // pixels are mostly of the class of those before them
  bySixteen(m.bands, bands, n, best, squared, [&](const Pair* x, int16_t* b, float* s) {
    likeliest<kBands>(m, likely, x, b, s);
    if (b[kStep - 1] >= 0) likely = b[kStep - 1];
  });
}

using Kernel = void (*)(const DistanceModel&, const float* const*, size_t, int16_t*, float*);

/// For each number of bands, the one made for it.
template <class>
struct BySize;
template <int... kBands>
struct BySize<std::integer_sequence<int, kBands...>> {
  static constexpr Kernel kernels[] = {&classify<kBands>...};
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
  bySixteen(m.bands, bands, n, best, squared,
            [&](const Pair* x, int16_t* b, float* s) { nearest(m, x, b, s); });
}

}  // namespace zp::ZP_LEVEL
