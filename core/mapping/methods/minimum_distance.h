#pragma once
#include "mapping/by_signatures.h"

namespace zp {

/// Minimum distance to means (Richards 2013, ch. 8.3): the class with the nearest mean in the
/// Euclidean sense. Setting `reject`: that distance, in the unit of the features.
class MinimumDistance : public BySignatures {
 public:
  explicit MinimumDistance(const SignatureSet& set, const Json& settings = Json::object());
  using Classifier::classify;
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;

 private:
  std::vector<uint16_t> codes_;
  std::vector<float> means_;
};

}  // namespace zp
