#pragma once
#include <vector>

#include "training/samples.h"

namespace zp {

/// A training pixel that is unlike the rest of its class.
struct Outlier {
  size_t sample = 0;
  double distance = 0;  // Mahalanobis, from the rest
  int like = 0;         // the class whose mean is nearest to it, measured in that class's spread
};

/// Those of a class, by falling distance. Within each subclass, a pixel lies out when its squared
/// Mahalanobis distance is beyond what one of 10 000 of a normal distribution is (chi-square with
/// as many degrees as features; Wilks 1963); those found are left out of mean and covariance, until
/// no more are. A subclass with fewer than ten pixels a feature, or without a covariance that can
/// be inverted, has none.
std::vector<Outlier> outliersOf(const Samples& samples, int code);

/// The training areas, in the system of `grid`, without the pixels of some samples of one class.
/// An area that nothing is left of goes.
std::vector<TrainingArea> withoutPixels(const std::vector<TrainingArea>& areas,
                                        const Samples& samples, const std::vector<size_t>& which,
                                        const Grid& grid);

}  // namespace zp
