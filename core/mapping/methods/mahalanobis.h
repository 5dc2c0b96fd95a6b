#pragma once
#include <optional>

#include "mapping/gaussians.h"
#include "mapping/method.h"

namespace zp {

/// Mahalanobis distance (Richards 2013, ch. 8.2.5): the class with the smallest (x − m)' C⁻¹ (x −
/// m). Settings: `covariance`, C being that of each class (`own`) or one of all classes (`pooled`:
/// the mean of theirs, weighted by pixels − 1); `reject`, that distance.
class Mahalanobis : public Classifier {
 public:
  explicit Mahalanobis(const SignatureSet& set, const Json& settings = Json::object());
  using Classifier::classify;
  size_t features() const override { return signatures_.bands.size(); }
  std::vector<int> classes() const override { return signatures_.codes(); }
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;
  Json toJson() const override { return zp::toJson(signatures_); }

 private:
  SignatureSet signatures_;
  Gaussians classes_;
  std::vector<float> offsets_;  // none: nothing but the distance counts
  std::optional<double> reject_;
};

}  // namespace zp
