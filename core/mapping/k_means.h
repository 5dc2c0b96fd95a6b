#pragma once
#include <cstdint>
#include <vector>

#include "base/progress.h"

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

/// One column a feature, of the same length, without NaN.
using Columns = std::vector<std::vector<float>>;

/// Where k-means begins: pixels drawn far from each other (k-means++, Arthur and Vassilvitskii
/// 2007). Fewer than wanted when there are not so many different pixels.
std::vector<double> spreadStart(const Columns& pixels, size_t wanted, uint64_t seed);

/// k-means (Lloyd 1982): each pixel to the nearest mean (the first of equally near ones), each mean
/// anew from its pixels, until no pixel changes or `most` passes are done. A cluster that no pixel
/// is nearest to is left out. `start`: means, as in Clusters. The same for any number of threads.
Clusters kMeans(const Columns& pixels, std::vector<double> start, int most,
                const Progress& progress = Progress());

/// The cluster of each pixel, from 0.
std::vector<int16_t> nearestClusters(const Columns& pixels, const Clusters& clusters);

}  // namespace zp
