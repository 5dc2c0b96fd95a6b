#pragma once
#include <cstddef>
#include <vector>

#include "mapping/cluster_pixels.h"

namespace zp {

/// Groups of pixels that are alike.
struct Clusters {
  size_t features = 0;
  std::vector<double> means;  // cluster by cluster, each of all features
  std::vector<size_t> sizes;  // pixels of each
  double withinSumOfSquares = 0;
  int passes = 0;
  size_t count() const { return sizes.size(); }
  const double* mean(size_t cluster) const { return means.data() + cluster * features; }
};

/// Means anew from sums; what has fewer pixels than `smallest` is left out.
Clusters clustersOf(const ClusterSums& sums, size_t features, size_t smallest = 1);

}  // namespace zp
