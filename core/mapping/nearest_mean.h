#pragma once
#include <cstddef>
#include <cstdint>
#include <vector>

namespace zp {

/// Means that pixels are assigned to, in the float of the kernels: their digits go into the
/// differences, so features stand best near 0 (mapping/standard.h).
class NearestMean {
 public:
  /// `means`: one after the other, each of all features. Error: more features or means than the
  /// kernels take.
  NearestMean(const std::vector<double>& means, size_t features);

  size_t features() const { return features_; }
  size_t count() const { return means_.size() / features_; }
  /// For each of n pixels, feature by feature: the nearest mean, from 0, the first of equally near
  /// ones, −1 where a value is NaN; and its squared distance.
  void assign(const float* const* values, size_t n, int16_t* nearest, float* squared) const;

 private:
  size_t features_;
  std::vector<float> means_;
};

}  // namespace zp
