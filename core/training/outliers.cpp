#include "training/outliers.h"

#include <Eigen/Cholesky>
#include <algorithm>
#include <cmath>
#include <limits>
#include <map>
#include <set>

#include "outline/cut.h"
#include "training/signature.h"

namespace zp {
namespace {

using Lower = Eigen::LLT<Eigen::MatrixXd>;

/// The 99.99 % point of chi-square (Wilson and Hilferty 1931).
double farthestOf(size_t degrees) {
  constexpr double kNormal = 3.719016485455709;
  const double k = static_cast<double>(degrees), part = 2 / (9 * k);
  return k * std::pow(1 - part + kNormal * std::sqrt(part), 3);
}

Eigen::VectorXd valuesOf(const Samples& s, size_t i) {
  return Eigen::Map<const Eigen::VectorXf>(s.sample(i),
                                           static_cast<Eigen::Index>(s.features.size()))
      .cast<double>();
}

/// Mean and covariance of some samples.
Signature statisticsOf(const Samples& s, const std::vector<size_t>& which) {
  Signature all;
  const auto n = static_cast<Eigen::Index>(s.features.size());
  all.mean = Eigen::VectorXd::Zero(n);
  all.covariance = Eigen::MatrixXd::Zero(n, n);
  for (const size_t i : which) all.mean += valuesOf(s, i);
  all.mean /= static_cast<double>(which.size());
  for (const size_t i : which) {
    const Eigen::VectorXd d = valuesOf(s, i) - all.mean;
    all.covariance += d * d.transpose();
  }
  all.covariance /= static_cast<double>(which.size() - 1);
  return all;
}

double squaredDistance(const Lower& lower, const Eigen::VectorXd& d) {
  return lower.matrixL().solve(d).squaredNorm();
}

void addOutliers(const Samples& s, const std::vector<size_t>& all, std::vector<Outlier>& found) {
  constexpr int kRounds = 20;
  if (all.size() < 10 * s.features.size()) return;
  const double farthest = farthestOf(s.features.size());
  std::vector<size_t> kept = all;
  std::map<size_t, double> out;
  for (int round = 0; round < kRounds; ++round) {
    const Signature of = statisticsOf(s, kept);
    const Lower lower(of.covariance);
    if (lower.info() != Eigen::Success) return;
    std::vector<size_t> next;
    std::map<size_t, double> now;
    for (const size_t i : all) {
      const double d = squaredDistance(lower, valuesOf(s, i) - of.mean);
      if (d > farthest)
        now[i] = std::sqrt(d);
      else
        next.push_back(i);
    }
    out = std::move(now);
    if (next == kept || next.size() * 2 < all.size()) break;
    kept = std::move(next);
  }
  for (const auto& [i, d] : out) found.push_back({i, d, 0});
}

/// For each outlier the class it is most like.
void compare(const Samples& s, std::vector<Outlier>& found) {
  const SignatureSet set = signaturesOf(s);
  std::vector<std::pair<const Signature*, Lower>> classes;
  for (const auto& c : set.classes)
    if (Lower lower(c.covariance); lower.info() == Eigen::Success) classes.emplace_back(&c, lower);
  for (auto& o : found) {
    double nearest = std::numeric_limits<double>::infinity();
    for (const auto& [c, lower] : classes)
      if (const double d = squaredDistance(lower, valuesOf(s, o.sample) - c->mean); d < nearest)
        nearest = d, o.like = c->code;
  }
}

}  // namespace

std::vector<Outlier> outliersOf(const Samples& samples, int code) {
  std::map<std::string, std::vector<size_t>> parts;
  for (size_t i = 0; i < samples.size(); ++i)
    if (samples.codes[i] == code) parts[samples.subclass(i)].push_back(i);
  std::vector<Outlier> found;
  for (const auto& [subclass, all] : parts) addOutliers(samples, all, found);
  compare(samples, found);
  std::stable_sort(found.begin(), found.end(),
                   [](const Outlier& a, const Outlier& b) { return a.distance > b.distance; });
  return found;
}

std::vector<TrainingArea> withoutPixels(const std::vector<TrainingArea>& areas,
                                        const Samples& samples, const std::vector<size_t>& which,
                                        const Grid& grid) {
  std::set<std::pair<int, int>> gone;  // row, column
  std::set<int> codes;
  for (const size_t i : which) {
    gone.insert({samples.pixels[i].row, samples.pixels[i].column});
    codes.insert(samples.codes[i]);
  }
  std::vector<TrainingArea> left;
  for (const auto& a : areas) {
    std::vector<Span> pixels;
    auto spans = pixelsInside(a.shape, grid);
    const auto points = pixelsOfPoints(a.shape, grid);
    spans.insert(spans.end(), points.begin(), points.end());
    for (const auto& s : spans)
      for (int c = s.from; codes.count(a.code) > 0 && c < s.to; ++c)
        if (gone.count({s.row, c}) > 0) pixels.push_back({s.row, c, c + 1});
    TrainingArea now = a;
    if (!pixels.empty()) now.shape = cutAway(a.shape, pixels, grid);
    if (!now.shape.rings.empty() || !now.shape.points.empty()) left.push_back(std::move(now));
  }
  return left;
}

}  // namespace zp
