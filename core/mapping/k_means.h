#pragma once
#include "mapping/cluster_pixels.h"
#include "mapping/clusters.h"

namespace zp {

/// Where k-means begins: pixels drawn far from each other (k-means++, Arthur and Vassilvitskii
/// 2007). Fewer than wanted when there are not so many different pixels.
std::vector<double> spreadStart(const Columns& pixels, size_t wanted, uint64_t seed);

/// k-means (Lloyd 1982): each pixel to the nearest mean (the first of equally near ones), each mean
/// anew from its pixels, until no mean moves or `most` passes are done. A cluster that no pixel is
/// nearest to is left out. `start`: means, as in Clusters.
Clusters kMeans(const ClusterPixels& pixels, std::vector<double> start, int most,
                const Progress& progress = Progress());

}  // namespace zp
