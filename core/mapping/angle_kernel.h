#pragma once
#include "mapping/distance_kernel.h"

namespace zp {

// For n pixels: the class whose mean points most nearly the same way (index from 0, −1 where a
// feature is NaN or all are 0; a tie goes to the first), and the squared chord between the two
// directions, 2 − 2 cos(angle). `means` of the model are of length 1; n is at most kKernelChunk.
namespace baseline {
void nearestDirection(const DistanceModel& m, const float* const* bands, size_t n, int16_t* best,
                      float* squared);
}
namespace v3 {
void nearestDirection(const DistanceModel& m, const float* const* bands, size_t n, int16_t* best,
                      float* squared);
}

}  // namespace zp
