#pragma once
#include "mapping/by_signatures.h"

namespace zp {

/// Minimum distance to means (Richards 2013, ch. 8.3): the class with the nearest mean in the
/// Euclidean sense. Setting `reject`: that distance, in the unit of the features.
class MinimumDistance : public BySignatures {
 public:
  explicit MinimumDistance(const SignatureSet& set, const Json& settings = Json::object());
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;
  void support(const std::vector<const float*>& values, size_t n, float* out) const override;

 private:
  DistanceModel model() const {
    return {static_cast<int>(features()), static_cast<int>(codes_.size()), means_.data(), nullptr,
            nullptr};
  }
  std::vector<uint16_t> codes_;
  std::vector<float> means_;
};

}  // namespace zp
