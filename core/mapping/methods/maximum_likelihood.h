#pragma once
#include "mapping/by_signatures.h"
#include "mapping/gaussians.h"

namespace zp {

/// Gaussian maximum likelihood with full covariances (Richards 2013, ch. 8.2): the class with the
/// largest ln prior − ½ ln det C − ½ (x − m)' C⁻¹ (x − m). Settings: `priors`, shares of the
/// classes; `reject`, Mahalanobis distance.
class MaximumLikelihood : public BySignatures {
 public:
  explicit MaximumLikelihood(const SignatureSet& set, const Json& settings = Json::object());
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;
  /// The probability by Bayes' rule over all classes, with their priors.
  void support(const std::vector<const float*>& values, size_t n, float* out) const override;

 private:
  Gaussians classes_;
  std::vector<float> offsets_;
};

}  // namespace zp
