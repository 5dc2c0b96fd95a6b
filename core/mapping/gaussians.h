#pragma once
#include "mapping/distance_kernel.h"
#include "training/signature.h"

namespace zp {

/// Classes as normal distributions, in the form the kernels take.
struct Gaussians {
  int features = 0;
  std::vector<uint16_t> codes;
  std::vector<float> means, whitening;
  std::vector<double> halfLogDeterminants;  // ½ ln det(covariance)

  /// `offsets`: one a class, kept by the caller.
  DistanceModel model(const std::vector<float>& offsets) const {
    return {features, static_cast<int>(codes.size()), means.data(), whitening.data(),
            offsets.data()};
  }
};

/// Error: too many features, fewer than two classes, a covariance that cannot be inverted.
Gaussians gaussiansOf(const SignatureSet& set);

}  // namespace zp
