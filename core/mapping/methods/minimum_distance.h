#pragma once
#include <optional>

#include "mapping/distance_kernel.h"
#include "mapping/method.h"
#include "training/signature.h"

namespace zp {

/// Minimum distance to means (Richards 2013, ch. 8.3): the class with the nearest mean in the
/// Euclidean sense. Setting `reject`: that distance, in the unit of the features.
class MinimumDistance : public Classifier {
 public:
  explicit MinimumDistance(const SignatureSet& set, const Json& settings = Json::object());
  using Classifier::classify;
  size_t features() const override { return signatures_.bands.size(); }
  std::vector<int> classes() const override { return signatures_.codes(); }
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;
  Json toJson() const override { return zp::toJson(signatures_); }

 private:
  SignatureSet signatures_;
  std::vector<uint16_t> codes_;
  std::vector<float> means_;
  std::optional<double> reject_;
};

}  // namespace zp
