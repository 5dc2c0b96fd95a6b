// Compiled twice (see zp_kernel); plain loops only, each over neighbouring pixels.
#include "mapping/angle_kernel.h"

namespace zp::ZP_LEVEL {

void nearestDirection(const DistanceModel& m, const float* const* bands, size_t n, int16_t* best,
                      float* squared) {
  float length[kKernelChunk], along[kKernelChunk], most[kKernelChunk];
  int index[kKernelChunk];
  for (size_t i = 0; i < n; ++i) length[i] = 0, most[i] = -3.4e38f, index[i] = -1;
  for (int b = 0; b < m.bands; ++b) {
    const float* x = bands[b];
    for (size_t i = 0; i < n; ++i) length[i] += x[i] * x[i];
  }
  for (int c = 0; c < m.classes; ++c) {
    const float* mean = m.means + c * m.bands;
    for (size_t i = 0; i < n; ++i) along[i] = 0;
    for (int b = 0; b < m.bands; ++b) {
      const float* x = bands[b];
      const float way = mean[b];
      for (size_t i = 0; i < n; ++i) along[i] += x[i] * way;
    }
    // False for NaN, so an empty pixel never wins a class.
    for (size_t i = 0; i < n; ++i) {
      const bool better = along[i] > most[i];
      most[i] = better ? along[i] : most[i];
      index[i] = better ? c : index[i];
    }
  }
  for (size_t i = 0; i < n; ++i) {
    const bool way = length[i] > 0;
    best[i] = static_cast<int16_t>(way ? index[i] : -1);
    squared[i] = 2 - 2 * most[i] / __builtin_sqrtf(length[i]);
  }
}

}  // namespace zp::ZP_LEVEL
