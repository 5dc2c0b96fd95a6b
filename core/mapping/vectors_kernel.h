#pragma once
#include <cstddef>
#include <cstdint>

namespace zp {

/// Support vectors as the kernels take them.
struct VectorsModel {
  int features = 0, vectors = 0, functions = 0;
  const float* values = nullptr;  // vectors x features
  bool radial = true;             // exp(−gamma · squared distance), else the product of both
  float gamma = 0;
  const int32_t* first = nullptr;     // vectors + 1: where the weights of each begin
  const int32_t* function = nullptr;  // of each weight: the function it counts in
  const float* weight = nullptr;
  const float* offset = nullptr;  // of each function
};

inline constexpr size_t kVectorsChunk = 64, kMostVectorFeatures = 64;

// For n pixels, at most kVectorsChunk: the value of each function, `out[function * kVectorsChunk +
// pixel]`; NaN where a feature is. `values[f]` are the n values of feature f.
namespace baseline {
void decide(const VectorsModel& m, const float* const* values, size_t n, float* out);
}
namespace v3 {
void decide(const VectorsModel& m, const float* const* values, size_t n, float* out);
}

}  // namespace zp
