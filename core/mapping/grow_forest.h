#pragma once
#include "base/progress.h"
#include "mapping/forest.h"
#include "training/samples.h"

namespace cv::ml {
class RTrees;
}

namespace zp {

struct ForestPlan {
  int trees = 100, depth = 20;
  int tried = 0;  // features tried at a split; 0: the root of their number
  uint64_t seed = 1;
};

struct GrownForest {
  Forest forest;
  /// Of samples that a tree has not seen: the share that the others of its ten, which have not seen
  /// them either, give the right class.
  double outOfBag = 0;
  /// By feature, together 1: how much worse the trees are when it is shuffled (Breiman 2001).
  std::vector<double> importance;
};

/// Trains trees on the samples named; ten at a time, on all cores, the same for the same seed.
/// Classes are numbered as in `samples.classes`.
GrownForest growForest(const Samples& samples, const std::vector<size_t>& which,
                       const ForestPlan& plan, const Progress& progress = Progress());

/// Adds the trees of one of the library to a forest; its responses are class numbers.
void addTrees(const cv::ml::RTrees& trained, Forest& forest);

}  // namespace zp
