#pragma once
#include "mapping/clusters.h"

namespace zp {

/// When ISODATA parts and joins clusters. Distances are in the scale of the pixels.
struct IsodataPlan {
  size_t wanted = 12;   // clusters; about so many are sought, from half to twice as many come out
  size_t smallest = 1;  // pixels; a cluster with fewer is dissolved
  double split = 1;     // a cluster with a larger spread in some feature may be parted there
  double merge = 0.5;   // two whose means are nearer are joined
  int passes = 20;      // at most
};

/// ISODATA (Ball and Hall 1965): passes as of k-means, between which clusters that are too small
/// are dissolved, wide ones parted and near ones joined. It ends when nothing of it happens any
/// more and no mean moves, or after the last pass. Error: every cluster is too small.
Clusters isodata(const ClusterPixels& pixels, std::vector<double> start, const IsodataPlan& plan,
                 const Progress& progress = Progress());

}  // namespace zp
