#pragma once
#include "mapping/classifier.h"
#include "mapping/distance_kernel.h"

namespace zp {

/// Minimum distance to means (Richards 2013, ch. 8.3): the class with the nearest mean in the
/// Euclidean sense. `reject`: that distance, in the unit of the bands.
class MinimumDistance : public Classifier {
 public:
  MinimumDistance(const SignatureSet& set, const MethodOptions& options);
  using Classifier::classify;
  size_t bands() const override { return static_cast<size_t>(bands_); }
  void classify(const std::vector<const float*>& bands, size_t n, uint16_t* codes) const override;

 private:
  int bands_ = 0;
  std::vector<uint16_t> codes_;
  std::vector<float> means_;
  std::optional<double> reject_;
};

}  // namespace zp
