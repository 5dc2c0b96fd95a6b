#pragma once
#include "mapping/by_signatures.h"

namespace zp {

/// Spectral angle (Kruse et al. 1993): the class whose mean points most nearly the same way from
/// the origin, whatever the brightness. A pixel of zeros has no direction and no class. Setting
/// `reject`: the largest angle, in degrees.
class SpectralAngle : public BySignatures {
 public:
  explicit SpectralAngle(const SignatureSet& set, const Json& settings = Json::object());
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;
  void support(const std::vector<const float*>& values, size_t n, float* out) const override;

 private:
  DistanceModel model() const {
    return {static_cast<int>(features()), static_cast<int>(codes_.size()), directions_.data(),
            nullptr, nullptr};
  }
  std::vector<uint16_t> codes_;
  std::vector<float> directions_;
};

}  // namespace zp
