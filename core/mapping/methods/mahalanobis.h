#pragma once
#include "mapping/by_signatures.h"
#include "mapping/gaussians.h"

namespace zp {

/// Mahalanobis distance (Richards 2013, ch. 8.2.5): the class with the smallest (x − m)' C⁻¹ (x −
/// m). Settings: `covariance`, C being that of each class (`own`) or one of all classes (`pooled`:
/// the mean of theirs, weighted by pixels − 1); `reject`, that distance.
class Mahalanobis : public BySignatures {
 public:
  explicit Mahalanobis(const SignatureSet& set, const Json& settings = Json::object());
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;
  void support(const std::vector<const float*>& values, size_t n, float* out) const override;

 private:
  Gaussians classes_;
  std::vector<float> offsets_;  // none: nothing but the distance counts
};

}  // namespace zp
