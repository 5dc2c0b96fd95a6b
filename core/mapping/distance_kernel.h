#pragma once
#include <cstddef>
#include <cstdint>

namespace zp {

/// Classes as the kernels take them; all arrays class by class.
struct DistanceModel {
  int bands = 0, classes = 0;
  const float* means = nullptr;      // classes x bands
  const float* whitening = nullptr;  // classes x bands (bands + 1) / 2: rows of L⁻¹, lower triangle
  const float* offsets = nullptr;  // classes: ln prior − ½ ln det(covariance)
};

// For n pixels: which class scores highest (index from 0, −1 where a band is NaN; a tie goes to the
// first), and its squared distance. `bands[b]` points to the n values of band b.
//   likelihood: score = offset − ½ Mahalanobis²;   nearest: score = −Euclidean².
namespace baseline {
void likelihood(const DistanceModel& m, const float* const* bands, size_t n, int16_t* best,
                float* squared);
void nearestMean(const DistanceModel& m, const float* const* bands, size_t n, int16_t* best,
                 float* squared);
}  // namespace baseline
namespace v3 {
void likelihood(const DistanceModel& m, const float* const* bands, size_t n, int16_t* best,
                float* squared);
void nearestMean(const DistanceModel& m, const float* const* bands, size_t n, int16_t* best,
                 float* squared);
}  // namespace v3

inline constexpr int kMostBands = 64, kMostClasses = 1024;
/// Pixels that kernels are given at once: what they need stays in the nearest cache.
inline constexpr size_t kKernelChunk = 1024;

}  // namespace zp
