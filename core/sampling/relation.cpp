#include "sampling/relation.h"

#include <gsl/gsl_cdf.h>

#include <algorithm>
#include <cmath>
#include <numeric>

#include "base/error.h"
#include "base/nan.h"
#include "base/pair_moments.h"

namespace zp {
namespace {

/// The pairs that have both.
std::pair<std::vector<double>, std::vector<double>> whole(const std::vector<double>& x,
                                                          const std::vector<double>& y) {
  std::pair<std::vector<double>, std::vector<double>> pairs;
  for (size_t i = 0; i < x.size() && i < y.size(); ++i)
    if (!std::isnan(x[i]) && !std::isnan(y[i])) {
      pairs.first.push_back(x[i]);
      pairs.second.push_back(y[i]);
    }
  return pairs;
}

PairMoments momentsOf(const std::vector<double>& x, const std::vector<double>& y) {
  PairMoments m;
  for (size_t i = 0; i < x.size(); ++i) m.add(x[i], y[i]);
  return m;
}

double correlation(const PairMoments& m) {
  const double r = m.covariance() / std::sqrt(m.varianceX() * m.varianceY());
  return std::isfinite(r) ? std::clamp(r, -1.0, 1.0) : kNan;
}

std::vector<double> ranksOf(const std::vector<double>& values) {
  std::vector<size_t> order(values.size());
  std::iota(order.begin(), order.end(), size_t{0});
  std::sort(order.begin(), order.end(), [&](size_t a, size_t b) { return values[a] < values[b]; });
  std::vector<double> ranks(values.size());
  for (size_t i = 0; i < order.size();) {
    size_t end = i;
    while (end < order.size() && values[order[end]] == values[order[i]]) ++end;
    for (size_t k = i; k < end; ++k) ranks[order[k]] = static_cast<double>(i + end + 1) / 2;
    i = end;
  }
  return ranks;
}

}  // namespace

double Line::halfBand(double x) const {
  const double off = x - meanX;
  return t * spread * std::sqrt(1 / static_cast<double>(n) + off * off / squares);
}

Line fitLine(const std::vector<double>& allX, const std::vector<double>& allY) {
  const auto [x, y] = whole(allX, allY);
  if (x.size() < 3)
    throw Error("A line needs 3 places that have both values; there are {}.", x.size());
  const auto [lowest, highest] = std::minmax_element(x.begin(), x.end());
  if (*lowest == *highest)
    throw Error("All values across are the same; there is no line through them.");
  const PairMoments m = momentsOf(x, y);
  const double n = m.count();
  Line line;
  line.n = x.size();
  line.lowest = *lowest, line.highest = *highest, line.meanX = m.meanX();
  line.squares = m.varianceX() * n;
  line.slope = m.covariance() / m.varianceX();
  line.intercept = m.meanY() - line.slope * m.meanX();
  double left = 0;
  for (size_t i = 0; i < x.size(); ++i) {
    const double residual = (y[i] - m.meanY()) - line.slope * (x[i] - m.meanX());
    left += residual * residual;
  }
  line.rmse = std::sqrt(left / n);
  line.spread = std::sqrt(left / (n - 2));
  line.t = gsl_cdf_tdist_Pinv(0.975, n - 2);
  line.slopeError = line.spread / std::sqrt(line.squares);
  line.interceptError = line.spread * std::sqrt(1 / n + line.meanX * line.meanX / line.squares);
  line.r = correlation(m);
  line.rSquared = m.varianceY() > 0 ? 1 - left / (m.varianceY() * n) : kNan;
  line.rLow = line.rHigh = kNan;
  if (x.size() >= 4) {
    const double z = std::atanh(line.r), half = gsl_cdf_ugaussian_Pinv(0.975) / std::sqrt(n - 3);
    line.rLow = std::tanh(z - half), line.rHigh = std::tanh(z + half);
  }
  return line;
}

double rankCorrelation(const std::vector<double>& allX, const std::vector<double>& allY) {
  const auto [x, y] = whole(allX, allY);
  return x.size() < 3 ? kNan : correlation(momentsOf(ranksOf(x), ranksOf(y)));
}

}  // namespace zp
