// Compiled twice (see zp_kernel); plain loops and vector types only.
#include "mapping/angle_kernel.h"

#include "mapping/lanes.h"

namespace zp::ZP_LEVEL {
namespace {

/// The squared chord, and nobody for a pixel without a direction.
inline void chord(Winner& w, Lane length) {
  Lane root;
  for (size_t i = 0; i < kLanes; ++i) root[i] = __builtin_sqrtf(length[i]);
  w.squared = 2 - 2 * w.score / root;
  w.index = length > 0 ? w.index : Mask{} - 1;
}

inline void sixteenDirections(const DistanceModel& m, const Pair* x, int16_t* best,
                              float* squared) {
  Pair length{Lane{}, Lane{}};
  for (int b = 0; b < m.bands; ++b) length.a += x[b].a * x[b].a, length.b += x[b].b * x[b].b;
  Winner first = nobody(), second = first;
  for (int c = 0; c < m.classes; ++c) {
    const float* mean = m.means + c * m.bands;
    Pair along{Lane{}, Lane{}};
    for (int b = 0; b < m.bands; ++b) along.a += x[b].a * mean[b], along.b += x[b].b * mean[b];
    challenge(first, along.a, along.a, c);
    challenge(second, along.b, along.b, c);
  }
  chord(first, length.a);
  chord(second, length.b);
  tell(first, best, squared);
  tell(second, best + kLanes, squared + kLanes);
}

}  // namespace

void nearestDirection(const DistanceModel& m, const float* const* bands, size_t n, int16_t* best,
                      float* squared) {
  bySixteen(m.bands, bands, n, best, squared,
            [&](const Pair* x, int16_t* b, float* s) { sixteenDirections(m, x, b, s); });
}

}  // namespace zp::ZP_LEVEL
