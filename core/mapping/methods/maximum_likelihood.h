#pragma once
#include <optional>

#include "mapping/gaussians.h"
#include "mapping/method.h"

namespace zp {

/// Gaussian maximum likelihood with full covariances (Richards 2013, ch. 8.2): the class with the
/// largest ln prior − ½ ln det C − ½ (x − m)' C⁻¹ (x − m). Settings: `priors`, shares of the
/// classes; `reject`, Mahalanobis distance.
class MaximumLikelihood : public Classifier {
 public:
  explicit MaximumLikelihood(const SignatureSet& set, const Json& settings = Json::object());
  size_t features() const override { return static_cast<size_t>(classes_.features); }
  std::vector<int> classes() const override { return signatures_.codes(); }
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;
  /// The probability by Bayes' rule over all classes, with their priors.
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes,
                float* confidence) const override;
  Json toJson() const override { return zp::toJson(signatures_); }

 private:
  SignatureSet signatures_;
  Gaussians classes_;
  std::vector<float> offsets_;
  std::optional<double> reject_;
};

}  // namespace zp
