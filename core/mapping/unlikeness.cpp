#include "mapping/unlikeness.h"

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/error.h"
#include "base/nan.h"
#include "training/folds.h"

namespace zp {
namespace {

constexpr int kApart = 5;

double distance(const float* a, const float* b, size_t features) {
  double sum = 0;
  for (size_t f = 0; f < features; ++f) {
    const double gap = static_cast<double>(a[f]) - static_cast<double>(b[f]);
    sum += gap * gap;
  }
  return std::sqrt(sum);
}

/// Between the values at both sides, as most tables have it.
double quantile(const std::vector<double>& sorted, double share) {
  const double at = share * static_cast<double>(sorted.size() - 1);
  const auto below = static_cast<size_t>(at);
  const size_t above = std::min(below + 1, sorted.size() - 1);
  return sorted[below] + (at - static_cast<double>(below)) * (sorted[above] - sorted[below]);
}

}  // namespace

std::vector<double> importanceOf(const Classifier& classifier) {
  std::vector<double> shares;
  for (const auto& f : classifier.facts().value("importance", Json::array()))
    shares.push_back(f.at("share"));
  return shares;
}

Unlikeness::Unlikeness(const Samples& samples, const std::vector<double>& weights, size_t perClass,
                       uint64_t seed)
    : weights_(weights) {
  const auto drawn = drawnPerClass(samples, perClass, seed);
  scale_ = standardOf(samples, drawn);
  weights_.resize(features(), 1);
  std::vector<int> classes;
  std::vector<size_t> areas;
  for (const size_t i : drawn) {
    for (size_t f = 0; f < features(); ++f)
      values_.push_back(static_cast<float>(static_cast<double>(scale_.of(samples.sample(i)[f], f)) *
                                           weights_[f]));
    classes.push_back(samples.codes[i]);
    areas.push_back(samples.areas[i]);
  }
  double sum = 0;
  for (size_t i = 0; i < drawn.size(); ++i)
    for (size_t j = 0; j < i; ++j)
      sum += distance(&values_[i * features()], &values_[j * features()], features());
  const auto n = static_cast<double>(drawn.size());
  mean_ = sum / (n * (n - 1) / 2);
  if (!(mean_ > 0))
    throw Error("The training pixels are all the same, so nothing can be told of what is unlike.");
  limit_ = limitOf(foldsByArea(classes, areas, kApart, seed));
  tree_ = std::make_unique<SampleTree>(values_, features());
}

double Unlikeness::limitOf(const std::vector<int>& folds) const {
  std::vector<double> all;
  for (size_t i = 0; i < folds.size(); ++i) {
    double nearest = std::numeric_limits<double>::infinity();
    for (size_t j = 0; j < folds.size(); ++j)
      if (folds[j] != folds[i])
        nearest = std::min(
            nearest, distance(&values_[i * features()], &values_[j * features()], features()));
    if (std::isfinite(nearest)) all.push_back(nearest / mean_);
  }
  if (all.empty()) return std::numeric_limits<double>::infinity();  // nothing can be told
  std::sort(all.begin(), all.end());
  const double upper = quantile(all, 0.75), fence = upper + 1.5 * (upper - quantile(all, 0.25));
  return *(std::upper_bound(all.begin(), all.end(), fence) - 1);
}

void Unlikeness::of(const std::vector<const float*>& values, size_t n, float* index) const {
  std::vector<float> place(features());
  for (size_t i = 0; i < n; ++i) {
    bool all = true;
    for (size_t f = 0; f < features(); ++f) {
      place[f] = static_cast<float>(static_cast<double>(scale_.of(values[f][i], f)) * weights_[f]);
      all = all && std::isfinite(place[f]);
    }
    uint32_t sample = 0;
    float squared = 0;
    index[i] = kNan;
    if (all && tree_->nearest(place.data(), 1, &sample, &squared) == 1)
      index[i] = static_cast<float>(std::sqrt(static_cast<double>(squared)) / mean_);
  }
}

}  // namespace zp
