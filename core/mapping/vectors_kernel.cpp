// Compiled twice (see zp_kernel). Vectors of the compiler's own, so that what is between two loads
// stays in registers.
#include "mapping/vectors_kernel.h"

namespace zp::ZP_LEVEL {
namespace {

constexpr size_t kWide = 8, kPixels = 4 * kWide;
typedef float Lane __attribute__((vector_size(kWide * sizeof(float))));
typedef int32_t Whole __attribute__((vector_size(kWide * sizeof(int32_t))));
static_assert(kVectorsChunk % kPixels == 0);

/// Neighbouring pixels; members by name, or the compiler keeps them in memory.
struct Lanes {
  Lane a, b, c, d;
};

inline Lane loadOne(const float* from) {
  Lane v;
  __builtin_memcpy(&v, from, sizeof v);
  return v;
}

inline Lanes load(const float* from) {
  return {loadOne(from), loadOne(from + kWide), loadOne(from + 2 * kWide),
          loadOne(from + 3 * kWide)};
}

inline void store(const Lanes& x, float* to) {
  __builtin_memcpy(to, &x.a, sizeof x.a);
  __builtin_memcpy(to + kWide, &x.b, sizeof x.b);
  __builtin_memcpy(to + 2 * kWide, &x.c, sizeof x.c);
  __builtin_memcpy(to + 3 * kWide, &x.d, sizeof x.d);
}

/// What is done to each of them.
template <class Each>
inline Lanes each(const Lanes& x, const Lanes& y, Each of) {
  return {of(x.a, y.a), of(x.b, y.b), of(x.c, y.c), of(x.d, y.d)};
}

/// exp of numbers at or below 0, to the last digit or two of a float: 2^whole · 2^rest, the second
/// by its series. NaN stays.
inline Lane exponential(Lane x) {
  constexpr float kLowest = -87;  // beyond it nothing is left
  const Lane lowest = Lane{} + kLowest;
  const Lane bounded = x > lowest ? x : lowest;
  const Lane turns = bounded * 1.44269504f;
  const Whole whole = __builtin_convertvector(turns - 0.5f, Whole);
  const Lane r = (turns - __builtin_convertvector(whole, Lane)) * 0.69314718f;
  Lane series = 0.0083333338f + r * 0.0013888889f;
  series = 0.041666668f + r * series;
  series = 0.16666667f + r * series;
  series = 0.5f + r * series;
  series = 1 + r * (1 + r * series);
  const Whole bits = (whole + 127) << 23;
  Lane scale;
  __builtin_memcpy(&scale, &bits, sizeof scale);
  const Lane result = series * scale + (x - x);
  return x < lowest ? Lane{} : result;
}

inline Lanes likeness(const VectorsModel& m, const float* vector, const float* x) {
  Lanes sum{};
  for (int f = 0; f < m.features; ++f) {
    const Lanes at = load(x + static_cast<size_t>(f) * kVectorsChunk);
    const float v = vector[f];
    sum = m.radial ? each(sum, at, [v](Lane s, Lane p) { return s + (p - v) * (p - v); })
                   : each(sum, at, [v](Lane s, Lane p) { return s + p * v; });
  }
  if (!m.radial) return sum;
  const float gamma = m.gamma;
  return each(sum, sum, [gamma](Lane s, Lane) { return exponential(s * -gamma); });
}

/// kPixels pixels of a chunk.
void decideSome(const VectorsModel& m, const float* x, float* out) {
  for (int v = 0; v < m.vectors; ++v) {
    const Lanes near =
        likeness(m, m.values + static_cast<size_t>(v) * static_cast<size_t>(m.features), x);
    for (int32_t w = m.first[v]; w < m.first[v + 1]; ++w) {
      float* at = out + static_cast<size_t>(m.function[w]) * kVectorsChunk;
      const float weight = m.weight[w];
      store(each(load(at), near, [weight](Lane s, Lane n) { return s + weight * n; }), at);
    }
  }
}

}  // namespace

void decide(const VectorsModel& m, const float* const* values, size_t n, float* out) {
  float x[kMostVectorFeatures * kVectorsChunk];
  for (int f = 0; f < m.features; ++f)
    for (size_t i = 0; i < kVectorsChunk; ++i)
      x[static_cast<size_t>(f) * kVectorsChunk + i] = i < n ? values[f][i] : 0;
  for (int k = 0; k < m.functions; ++k)
    for (size_t i = 0; i < kVectorsChunk; ++i)
      out[static_cast<size_t>(k) * kVectorsChunk + i] = m.offset[k];
  for (size_t from = 0; from < n; from += kPixels) decideSome(m, x + from, out + from);
}

}  // namespace zp::ZP_LEVEL
