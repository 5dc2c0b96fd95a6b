#include "mapping/train_vectors.h"

#include <oneapi/tbb/parallel_for.h>

#include <algorithm>
#include <atomic>
#include <cmath>
#include <opencv2/ml.hpp>
#include <set>

#include "base/error.h"
#include "training/folds.h"

namespace zp {
namespace {

constexpr int kFolds = 5;

/// The samples for which `wanted` holds.
template <class Wanted>
VectorSamples some(const VectorSamples& all, Wanted wanted) {
  VectorSamples part;
  part.features = all.features;
  part.classes = all.classes;
  for (size_t i = 0; i < all.size(); ++i) {
    if (!wanted(i)) continue;
    const auto first = all.values.begin() + static_cast<std::ptrdiff_t>(i * all.features);
    part.values.insert(part.values.end(), first, first + static_cast<std::ptrdiff_t>(all.features));
    part.labels.push_back(all.labels[i]);
    part.areas.push_back(all.areas[i]);
  }
  return part;
}

struct Count {
  std::vector<size_t> right, all;  // by class
};

void judge(const SupportVectors& machine, const VectorSamples& kept, Count& count) {
  std::vector<std::vector<float>> columns(kept.features, std::vector<float>(kept.size()));
  std::vector<const float*> at;
  for (size_t f = 0; f < kept.features; ++f) {
    for (size_t i = 0; i < kept.size(); ++i) columns[f][i] = kept.values[i * kept.features + f];
    at.push_back(columns[f].data());
  }
  std::vector<int16_t> best(kept.size());
  machine.decide(at, kept.size(), best.data());
  for (size_t i = 0; i < kept.size(); ++i) {
    const auto label = static_cast<size_t>(kept.labels[i]);
    ++count.all[label];
    count.right[label] += best[i] == kept.labels[i] ? 1 : 0;
  }
}

double rightOf(const VectorSamples& samples, const std::vector<int>& folds,
               const VectorsPlan& plan) {
  Count count{std::vector<size_t>(samples.classes), std::vector<size_t>(samples.classes)};
  for (int fold = 0; fold < kFolds; ++fold) {
    const auto kept = some(samples, [&](size_t i) { return folds[i] == fold; });
    const auto used = some(samples, [&](size_t i) { return folds[i] != fold; });
    const std::set<int> classes(used.labels.begin(), used.labels.end());
    if (kept.size() == 0 || classes.size() < samples.classes) continue;
    judge(trainVectors(used, plan), kept, count);
  }
  double sum = 0, classes = 0;
  for (size_t k = 0; k < samples.classes; ++k) {
    if (count.all[k] == 0) continue;
    sum += static_cast<double>(count.right[k]) / static_cast<double>(count.all[k]);
    ++classes;
  }
  return classes > 0 ? sum / classes : 0;
}

}  // namespace

SupportVectors vectorsOf(const cv::ml::SVM& trained, size_t classes) {
  SupportVectors v;
  const cv::Mat vectors = trained.getSupportVectors();
  v.features = static_cast<size_t>(vectors.cols);
  v.classes = classes;
  v.radial = trained.getKernelType() == cv::ml::SVM::RBF;
  v.gamma = trained.getGamma();
  for (int r = 0; r < vectors.rows; ++r)
    v.values.insert(v.values.end(), vectors.ptr<float>(r), vectors.ptr<float>(r) + vectors.cols);
  for (size_t f = 0; f < classes * (classes - 1) / 2; ++f) {
    cv::Mat weights, which;
    SupportVectors::Function function;
    function.offset = -trained.getDecisionFunction(static_cast<int>(f), weights, which);
    for (int i = 0; i < static_cast<int>(which.total()); ++i) {
      function.vectors.push_back(which.at<int>(i));
      function.weights.push_back(weights.at<double>(i));
    }
    v.functions.push_back(std::move(function));
  }
  v.arrange();
  return v;
}

SupportVectors trainVectors(const VectorSamples& samples, const VectorsPlan& plan) {
  constexpr int kSteps = 200'000;
  constexpr double kTolerance = 1e-3;
  const cv::Mat values(static_cast<int>(samples.size()), static_cast<int>(samples.features), CV_32F,
                       const_cast<float*>(samples.values.data()));
  const cv::Mat labels(static_cast<int>(samples.size()), 1, CV_32S,
                       const_cast<int*>(samples.labels.data()));
  const auto machine = cv::ml::SVM::create();
  machine->setType(cv::ml::SVM::C_SVC);
  machine->setKernel(plan.radial ? cv::ml::SVM::RBF : cv::ml::SVM::LINEAR);
  machine->setC(plan.c);
  machine->setGamma(plan.gamma);
  machine->setTermCriteria(
      {cv::TermCriteria::MAX_ITER + cv::TermCriteria::EPS, kSteps, kTolerance});
  machine->train(cv::ml::TrainData::create(values, cv::ml::ROW_SAMPLE, labels));
  return vectorsOf(*machine, samples.classes);
}

std::vector<TriedPlan> searchPlan(const VectorSamples& samples, bool radial,
                                  std::optional<double> c, std::optional<double> gamma,
                                  uint64_t seed, const Progress& progress) {
  std::vector<double> cs{0.1, 1, 10, 100}, gammas{0};
  if (c) cs = {*c};
  const double usual = 1.0 / static_cast<double>(samples.features);  // the features have spread 1
  if (radial) gammas = {usual / 4, usual, usual * 4};
  if (radial && gamma) gammas = {*gamma};
  std::vector<TriedPlan> tried;
  for (const double oneC : cs)
    for (const double oneGamma : gammas) tried.push_back({{radial, oneC, oneGamma}, 0});
  const auto folds = foldsByArea(samples.labels, samples.areas, kFolds, seed);
  std::atomic<size_t> done{0};
  oneapi::tbb::parallel_for(size_t{0}, tried.size(), [&](size_t i) {
    progress.check();
    tried[i].right = rightOf(samples, folds, tried[i].plan);
    progress.at(static_cast<double>(++done) / static_cast<double>(tried.size()));
  });
  std::stable_sort(tried.begin(), tried.end(),
                   [](const TriedPlan& a, const TriedPlan& b) { return a.right > b.right; });
  return tried;
}

}  // namespace zp
