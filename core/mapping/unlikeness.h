#pragma once
#include "mapping/method.h"
#include "mapping/sample_tree.h"
#include "mapping/standard.h"

namespace zp {

/// How much each feature counts for a classifier that tells it; else nothing.
std::vector<double> importanceOf(const Classifier& classifier);

/// How unlike all training a pixel is: the dissimilarity index and the area of applicability of
/// Meyer and Pebesma (2021). Features are brought to their spread in the training; the distance to
/// the nearest training sample is told in the mean distance of the training samples from each
/// other. For many threads.
class Unlikeness {
 public:
  /// `weights`: how much each feature counts, such as its importance in a forest; none: all alike.
  /// Of a class, `perClass` samples are kept, drawn by the seed. Error: samples that are all the
  /// same.
  Unlikeness(const Samples& samples, const std::vector<double>& weights, size_t perClass = 300,
             uint64_t seed = 1);
  /// The index of n pixels, `values[f]` being those of feature f; NaN where one is.
  void of(const std::vector<const float*>& values, size_t n, float* index) const;
  /// Beyond it, a class is a guess: the highest index that training samples have of training areas
  /// kept apart from theirs (foldsByArea), but for those beyond the upper quartile by more than one
  /// and a half interquartile ranges.
  double limit() const { return limit_; }

 private:
  double limitOf(const std::vector<int>& folds) const;
  size_t features() const { return scale_.features(); }

  Standard scale_;
  std::vector<double> weights_;
  std::vector<float> values_;  // on the scale, sample by sample
  double mean_ = 1;            // distance of two samples
  double limit_ = 0;
  std::unique_ptr<SampleTree> tree_;
};

}  // namespace zp
