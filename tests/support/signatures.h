#pragma once
#include "base/random.h"
#include "training/signature.h"

namespace zp::testing {

/// About normally distributed, mean 0 and spread 1.
inline double bellOf(Random& random) {
  double s = -6;
  for (int i = 0; i < 12; ++i) s += random.uniform();
  return s;
}

/// Signatures with random full covariances, overlapping so that many pixels are near a boundary.
inline SignatureSet randomSignatures(size_t bands, size_t classes, uint64_t seed) {
  Random random(seed);
  SignatureSet set;
  for (size_t b = 0; b < bands; ++b) set.bands.push_back("b" + std::to_string(b));
  const auto n = static_cast<Eigen::Index>(bands);
  for (size_t c = 0; c < classes; ++c) {
    Signature s;
    s.code = static_cast<int>(c) * 3 + 1;
    s.name = "c" + std::to_string(c);
    s.pixels = 1000;
    s.mean = Eigen::VectorXd(n);
    Eigen::MatrixXd a(n, n);
    for (Eigen::Index i = 0; i < n; ++i) {
      s.mean[i] = 0.2 + 0.03 * bellOf(random);
      for (Eigen::Index j = 0; j < n; ++j) a(i, j) = 0.02 * bellOf(random);
    }
    s.covariance = a * a.transpose() + 1e-4 * Eigen::MatrixXd::Identity(n, n);
    s.min = s.max = s.mean;
    set.classes.push_back(s);
  }
  return set;
}

}  // namespace zp::testing
