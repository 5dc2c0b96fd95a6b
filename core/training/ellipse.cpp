#include "training/ellipse.h"

#include <cmath>
#include <numbers>

namespace zp {

Ring ellipseOf(const Signature& s, size_t x, size_t y, double spreads, size_t places) {
  const auto i = static_cast<Eigen::Index>(x), j = static_cast<Eigen::Index>(y);
  const double xx = s.covariance(i, i), yy = s.covariance(j, j), xy = s.covariance(i, j);
  if (!(xx > 0) && !(yy > 0)) return {};
  // A square root of the covariance of the two: lower triangle.
  const double a = std::sqrt(std::max(0.0, xx)), b = a > 0 ? xy / a : 0,
               c = std::sqrt(std::max(0.0, yy - b * b));
  Ring ring;
  for (size_t k = 0; k <= places; ++k) {
    const double angle =
        2 * std::numbers::pi * static_cast<double>(k) / static_cast<double>(places);
    const double u = spreads * std::cos(angle), v = spreads * std::sin(angle);
    ring.push_back({s.mean[i] + a * u, s.mean[j] + b * u + c * v});
  }
  return ring;
}

}  // namespace zp
