#pragma once
#include "mapping/by_signatures.h"

namespace zp {

/// Spectral angle (Kruse et al. 1993): the class whose mean points most nearly the same way from
/// the origin, whatever the brightness. A pixel of zeros has no direction and no class. Setting
/// `reject`: the largest angle, in degrees.
class SpectralAngle : public BySignatures {
 public:
  explicit SpectralAngle(const SignatureSet& set, const Json& settings = Json::object());
  using Classifier::classify;
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;

 private:
  std::vector<uint16_t> codes_;
  std::vector<float> directions_;
};

}  // namespace zp
