#include "mapping/clusters.h"

namespace zp {

Clusters clustersOf(const ClusterSums& sums, size_t features, size_t smallest) {
  Clusters c;
  c.features = features;
  c.withinSumOfSquares = sums.within;
  for (size_t k = 0; k < sums.sizes.size(); ++k) {
    if (sums.sizes[k] < smallest) continue;
    c.sizes.push_back(sums.sizes[k]);
    for (size_t f = 0; f < features; ++f)
      c.means.push_back(sums.values[k * features + f] / static_cast<double>(sums.sizes[k]));
  }
  return c;
}

}  // namespace zp
