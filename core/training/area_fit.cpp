#include "training/area_fit.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>

namespace zp {
namespace {

/// Sums of some samples, around a place near their mean.
struct Moments {
  size_t pixels = 0;
  Eigen::VectorXd sum, squares;
  void add(const Eigen::VectorXd& v) {
    if (pixels++ == 0) sum = squares = Eigen::VectorXd::Zero(v.size());
    sum += v;
    squares += v.cwiseAbs2();
  }
};

/// See AreaFit::apart.
double apartFrom(const Moments& area, const Moments& all) {
  const auto n = static_cast<double>(all.pixels - area.pixels);
  if (n < 2) return std::numeric_limits<double>::quiet_NaN();
  double sum = 0;
  int features = 0;
  for (Eigen::Index f = 0; f < all.sum.size(); ++f) {
    const double mean = (all.sum[f] - area.sum[f]) / n;
    const double variance = (all.squares[f] - area.squares[f] - n * mean * mean) / (n - 1);
    // Below this, what is left is rounding.
    if (!(variance > 1e-12 * all.squares[f] / n)) continue;
    const double d = area.sum[f] / static_cast<double>(area.pixels) - mean;
    sum += d * d / variance;
    ++features;
  }
  return features == 0 ? std::numeric_limits<double>::quiet_NaN() : std::sqrt(sum / features);
}

}  // namespace

std::vector<AreaFit> fitOfAreas(const Samples& samples) {
  const auto features = static_cast<Eigen::Index>(samples.features.size());
  std::map<int, Moments> classes;
  std::map<int, Eigen::VectorXd> near;  // the first sample of each class
  std::map<std::pair<int, size_t>, Moments> areas;
  for (size_t i = 0; i < samples.size(); ++i) {
    const int code = samples.codes[i];
    Eigen::VectorXd v =
        Eigen::Map<const Eigen::VectorXf>(samples.sample(i), features).cast<double>();
    v -= near.try_emplace(code, v).first->second;
    classes[code].add(v);
    areas[{code, samples.areas[i]}].add(v);
  }
  std::vector<AreaFit> all;
  for (const auto& [of, m] : areas)
    all.push_back({of.second, of.first, m.pixels,
                   near[of.first] + m.sum / static_cast<double>(m.pixels),
                   apartFrom(m, classes[of.first])});
  std::stable_sort(all.begin(), all.end(), [](const AreaFit& a, const AreaFit& b) {
    if (a.code != b.code) return a.code < b.code;
    return (std::isnan(a.apart) ? -1 : a.apart) > (std::isnan(b.apart) ? -1 : b.apart);
  });
  return all;
}

}  // namespace zp
