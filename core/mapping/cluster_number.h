#pragma once
#include "mapping/pixel_sample.h"

namespace zp {

/// What so many clusters would be like, by k-means.
struct NumberTrial {
  size_t clusters = 0;
  /// What is left of the sum of squared distances to the mean of all pixels, 0…1.
  double within = 0;
  /// Variance between the clusters ÷ variance within them, each by its degrees of freedom (Calinski
  /// and Harabasz 1974): the higher, the better the clusters part. NaN where nothing is within.
  double separation = 0;
};

/// Tries 2 to `most` clusters on a sample, which is on the scale that counts; fewer where there are
/// not so many different pixels. A help, no rule: more clusters are not more accuracy.
std::vector<NumberTrial> tryNumbers(const PixelSample& sample, size_t most, uint64_t seed,
                                    const Progress& progress = Progress());

}  // namespace zp
