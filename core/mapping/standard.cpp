#include "mapping/standard.h"

#include <cmath>

#include "base/error.h"
#include "index/statistics.h"

namespace zp {

void addFeature(Standard& standard, const std::vector<float>& values) {
  Statistics statistics;
  statistics.add(values.data(), values.size());
  const double spread = statistics.sd();
  standard.mean.push_back(statistics.mean);
  standard.spread.push_back(spread > 0 ? spread : 1);
}

Standard standardOf(const Samples& samples, const std::vector<size_t>& which) {
  Standard s;
  std::vector<float> values(which.size());
  for (size_t f = 0; f < samples.features.size(); ++f) {
    for (size_t i = 0; i < which.size(); ++i) values[i] = samples.sample(which[i])[f];
    addFeature(s, values);
  }
  return s;
}

Standard standardOf(const SignatureSet& set) {
  const auto features = static_cast<Eigen::Index>(set.bands.size());
  const auto all = static_cast<double>(set.pixels());
  Eigen::VectorXd mean = Eigen::VectorXd::Zero(features), squares = mean;
  for (const auto& c : set.classes) mean += c.mean * static_cast<double>(c.pixels) / all;
  for (const auto& c : set.classes) {
    const auto n = static_cast<double>(c.pixels);
    squares += (n - 1) * c.covariance.diagonal() + n * (c.mean - mean).cwiseAbs2();
  }
  Standard s{{mean.begin(), mean.end()}, {}};
  for (const double sum : squares) s.spread.push_back(sum > 0 ? std::sqrt(sum / (all - 1)) : 1);
  return s;
}

Standard noStandard(size_t features) {
  return {std::vector<double>(features, 0), std::vector<double>(features, 1)};
}

void scale(FeatureBlock& block, const Standard& standard) {
  const size_t n = block.window.pixels();
  for (size_t f = 0; f < block.features; ++f)
    for (size_t i = f * n; i < (f + 1) * n; ++i) block.values[i] = standard.of(block.values[i], f);
}

Eigen::VectorXd scaled(const Eigen::VectorXd& values, const Standard& s) {
  const auto n = static_cast<Eigen::Index>(s.features());
  return (values - Eigen::Map<const Eigen::VectorXd>(s.mean.data(), n))
      .cwiseQuotient(Eigen::Map<const Eigen::VectorXd>(s.spread.data(), n));
}

Signature scaled(Signature c, const Standard& s) {
  const Eigen::Map<const Eigen::VectorXd> spread(s.spread.data(),
                                                 static_cast<Eigen::Index>(s.features()));
  for (auto* values : {&c.mean, &c.min, &c.max}) *values = scaled(*values, s);
  c.covariance = c.covariance.cwiseQuotient(spread * spread.transpose());
  return c;
}

Json toJson(const Standard& s) {
  return {{"mean", s.mean}, {"spread", s.spread}};
}

Standard standardFrom(const Json& json) {
  Standard s{json.at("mean").get<std::vector<double>>(),
             json.at("spread").get<std::vector<double>>()};
  if (s.mean.size() != s.spread.size())
    throw Error("The scale of the features is not complete; train again.");
  for (size_t f = 0; f < s.features(); ++f)
    if (!std::isfinite(s.mean[f]) || !(s.spread[f] > 0))
      throw Error("The scale of a feature is not above 0; train again.");
  return s;
}

}  // namespace zp
