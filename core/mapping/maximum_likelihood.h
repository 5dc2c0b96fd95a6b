#pragma once
#include "mapping/classifier.h"
#include "mapping/distance_kernel.h"

namespace zp {

/// Gaussian maximum likelihood with full covariances (Richards 2013, ch. 8.2): the class with the
/// largest ln prior − ½ ln det C − ½ (x − m)' C⁻¹ (x − m). `reject`: Mahalanobis distance.
class MaximumLikelihood : public Classifier {
 public:
  MaximumLikelihood(const SignatureSet& set, const MethodOptions& options);
  size_t bands() const override { return static_cast<size_t>(bands_); }
  void classify(const std::vector<const float*>& bands, size_t n, uint16_t* codes) const override;
  /// The probability by Bayes' rule over all classes, with their priors.
  void classify(const std::vector<const float*>& bands, size_t n, uint16_t* codes,
                float* confidence) const override;

 private:
  DistanceModel model() const;
  int bands_ = 0;
  std::vector<uint16_t> codes_;
  std::vector<float> means_, whitening_, offsets_;
  std::optional<double> reject_;
};

}  // namespace zp
