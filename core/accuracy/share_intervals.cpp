#include "accuracy/share_intervals.h"

#include <gsl/gsl_cdf.h>

#include <algorithm>
#include <cmath>

#include "accuracy/crossing.h"

namespace zp {
namespace {

constexpr double kTail = 0.025;

/// Where the beta distribution reaches a probability. The library's own inverse gives up for some
/// small parameters.
double betaQuantile(double probability, double a, double b) {
  return crossing([=](double x) { return gsl_cdf_beta_P(x, a, b) - probability; }, 0, 1);
}

}  // namespace

Estimate wilson(size_t successes, size_t trials) {
  if (trials == 0) return kUndefined;
  const auto n = static_cast<double>(trials);
  const double p = static_cast<double>(successes) / n, zz = kNormal975 * kNormal975;
  const double centre = (p + zz / (2 * n)) / (1 + zz / n);
  const double half = kNormal975 * std::sqrt(p * (1 - p) / n + zz / (4 * n * n)) / (1 + zz / n);
  return {p, std::max(0.0, centre - half), std::min(1.0, centre + half),
          std::sqrt(p * (1 - p) / n)};
}

Limits exactLimits(double successes, double trials) {
  const double x = std::clamp(successes, 0.0, trials), n = trials;
  Limits limits;
  if (!(n > 0)) return limits;
  if (x > 0) limits.low = std::min(x / n, betaQuantile(kTail, x, n - x + 1));
  if (x < n) limits.high = std::max(x / n, betaQuantile(1 - kTail, x + 1, n - x));
  return limits;
}

}  // namespace zp
