#include "mapping/nearest_signature.h"

#include <cmath>
#include <limits>

namespace zp {

NearestSignature nearestSignature(const std::vector<double>& mean, const SignatureSet& set) {
  NearestSignature nearest;
  double best = std::numeric_limits<double>::infinity();
  for (const auto& c : set.classes) {
    const Eigen::VectorXd sd = c.sd();
    double sum = 0, width = 0;
    int features = 0;
    for (Eigen::Index f = 0; f < c.mean.size(); ++f) {
      const double gap = mean[static_cast<size_t>(f)] - c.mean[f];
      // One pixel has no spread, and a feature may be the same everywhere: no distance can be told.
      if (std::isnan(gap) || !(sd[f] > 0)) continue;
      sum += gap * gap / (sd[f] * sd[f]);
      width += 2 * std::log(sd[f]);
      ++features;
    }
    if (features == 0) continue;
    // Over as many features, should one not count for this class.
    const double unlikely = (sum + width) / features;
    if (unlikely < best) best = unlikely, nearest = {c.code, std::sqrt(sum / features)};
  }
  return nearest;
}

}  // namespace zp
