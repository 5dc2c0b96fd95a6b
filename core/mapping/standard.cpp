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

Standard noStandard(size_t features) {
  return {std::vector<double>(features, 0), std::vector<double>(features, 1)};
}

void scale(FeatureBlock& block, const Standard& standard) {
  const size_t n = block.window.pixels();
  for (size_t f = 0; f < block.features; ++f)
    for (size_t i = f * n; i < (f + 1) * n; ++i) block.values[i] = standard.of(block.values[i], f);
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
