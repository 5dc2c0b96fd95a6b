#include "mapping/gaussians.h"

#include <Eigen/Cholesky>

#include "mapping/winners.h"

namespace zp {

Gaussians gaussiansOf(const SignatureSet& set) {
  requireBandsAndClasses(set);
  requireCovariances(set);
  Gaussians g;
  g.features = static_cast<int>(set.bands.size());
  for (const auto& s : set.classes) {
    const Eigen::LLT<Eigen::MatrixXd> cholesky(s.covariance);
    const Eigen::MatrixXd lower = cholesky.matrixL();
    const Eigen::MatrixXd inverse = lower.triangularView<Eigen::Lower>().solve(
        Eigen::MatrixXd::Identity(g.features, g.features));
    g.codes.push_back(static_cast<uint16_t>(s.code));
    for (int b = 0; b < g.features; ++b) g.means.push_back(static_cast<float>(s.mean[b]));
    for (int r = 0; r < g.features; ++r)
      for (int c = 0; c <= r; ++c) g.whitening.push_back(static_cast<float>(inverse(r, c)));
    g.halfLogDeterminants.push_back(lower.diagonal().array().log().sum());
  }
  return g;
}

}  // namespace zp
