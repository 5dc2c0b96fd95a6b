// Compiled twice (see zp_kernel); plain loops only, each over neighbouring pixels.
#include "mapping/vectors_kernel.h"

namespace zp::ZP_LEVEL {
namespace {

constexpr size_t kLanes = kVectorsChunk;

/// exp of numbers at or below 0, to the last digit or two of a float: 2^whole · 2^rest, the second
/// by its series, in place. NaN stays.
inline void exponential(float* x) {
  constexpr float kLowest = -87;  // beyond it nothing is left
  for (size_t i = 0; i < kLanes; ++i) {
    const float bounded = x[i] > kLowest ? x[i] : kLowest;
    const float turns = bounded * 1.44269504f;
    const auto whole = static_cast<int32_t>(turns - 0.5f);
    const float r = (turns - static_cast<float>(whole)) * 0.69314718f;
    float series = 0.0083333338f + r * 0.0013888889f;
    series = 0.041666668f + r * series;
    series = 0.16666667f + r * series;
    series = 0.5f + r * series;
    series = 1 + r * (1 + r * series);
    const float scale = __builtin_bit_cast(float, (whole + 127) << 23);
    x[i] = x[i] < kLowest ? 0.0f : series * scale + (x[i] - x[i]);
  }
}

inline void likeness(const VectorsModel& m, const float* vector, const float* x, float* out) {
  for (size_t i = 0; i < kLanes; ++i) out[i] = 0;
  if (!m.radial) {
    for (int f = 0; f < m.features; ++f) {
      const float v = vector[f];
      const float* at = x + static_cast<size_t>(f) * kLanes;
      for (size_t i = 0; i < kLanes; ++i) out[i] += at[i] * v;
    }
    return;
  }
  for (int f = 0; f < m.features; ++f) {
    const float v = vector[f];
    const float* at = x + static_cast<size_t>(f) * kLanes;
    for (size_t i = 0; i < kLanes; ++i) {
      const float gap = at[i] - v;
      out[i] += gap * gap;
    }
  }
  for (size_t i = 0; i < kLanes; ++i) out[i] *= -m.gamma;
  exponential(out);
}

}  // namespace

void decide(const VectorsModel& m, const float* const* values, size_t n, float* out) {
  float x[kMostVectorFeatures * kLanes], near[kLanes];
  for (int f = 0; f < m.features; ++f)
    for (size_t i = 0; i < kLanes; ++i)
      x[static_cast<size_t>(f) * kLanes + i] = i < n ? values[f][i] : 0;
  for (int k = 0; k < m.functions; ++k)
    for (size_t i = 0; i < kLanes; ++i) out[static_cast<size_t>(k) * kLanes + i] = m.offset[k];
  for (int v = 0; v < m.vectors; ++v) {
    likeness(m, m.values + static_cast<size_t>(v) * static_cast<size_t>(m.features), x, near);
    for (int32_t w = m.first[v]; w < m.first[v + 1]; ++w) {
      float* sum = out + static_cast<size_t>(m.function[w]) * kLanes;
      const float weight = m.weight[w];
      for (size_t i = 0; i < kLanes; ++i) sum[i] += weight * near[i];
    }
  }
}

}  // namespace zp::ZP_LEVEL
