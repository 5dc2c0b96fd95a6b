#pragma once
#include <vector>

#include "base/json.h"
#include "feature/feature_reader.h"
#include "training/signature.h"

namespace zp {

/// Features brought to one scale: (value − mean) ÷ spread, of the samples. A feature that does not
/// vary is left where it is, around 0.
struct Standard {
  std::vector<double> mean, spread;

  size_t features() const { return mean.size(); }
  float of(float value, size_t feature) const {
    return static_cast<float>((static_cast<double>(value) - mean[feature]) / spread[feature]);
  }
  double back(double scaled, size_t feature) const {
    return scaled * spread[feature] + mean[feature];
  }
};

/// Takes in one more feature, by its values.
void addFeature(Standard& standard, const std::vector<float>& values);
/// Of the samples named.
Standard standardOf(const Samples& samples, const std::vector<size_t>& which);
/// Of all pixels that the signatures are of.
Standard standardOf(const SignatureSet& set);
/// That changes nothing.
Standard noStandard(size_t features);

/// Brings the values of a block to the scale.
void scale(FeatureBlock& block, const Standard& standard);

/// Values of the features, brought to the scale.
Eigen::VectorXd scaled(const Eigen::VectorXd& values, const Standard& standard);
Signature scaled(Signature signature, const Standard& standard);

Json toJson(const Standard& standard);
/// Error: not such, a spread that is not above 0.
Standard standardFrom(const Json& json);

}  // namespace zp
