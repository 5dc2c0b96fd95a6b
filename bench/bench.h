#pragma once
#include <benchmark/benchmark.h>
#include <fmt/format.h>

#include <map>
#include <opencv2/ml.hpp>

#include "base/random.h"
#include "training/signature.h"

namespace zp {

/// A million pixels of eight overlapping classes in eight bands.
struct Pixels {
  static constexpr int kBands = 8, kClasses = 8, kCount = 1 << 20, kTraining = 2000;
  // With braces, a cv::Mat would take its sizes for values.
  cv::Mat training = cv::Mat(kClasses * kTraining, kBands, CV_32F);
  cv::Mat labels = cv::Mat(kClasses * kTraining, 1, CV_32S);
  cv::Mat all = cv::Mat(kCount, kBands, CV_32F);
  std::vector<std::vector<float>> planar{kBands, std::vector<float>(kCount)};
  SignatureSet signatures;

  Pixels() {
    Random random(1);
    const auto bell = [&] {
      double s = -6;
      for (int i = 0; i < 12; ++i) s += random.uniform();
      return s;
    };
    std::vector<Eigen::MatrixXd> mixing;
    std::vector<Eigen::VectorXd> means;
    for (int c = 0; c < kClasses; ++c) {
      mixing.push_back(Eigen::MatrixXd::NullaryExpr(kBands, kBands, [&] { return 0.02 * bell(); }));
      means.push_back(Eigen::VectorXd::NullaryExpr(kBands, [&] { return 0.25 + 0.06 * bell(); }));
    }
    const auto draw = [&](int c, float* out) {
      const Eigen::VectorXd x = means[static_cast<size_t>(c)] +
                                mixing[static_cast<size_t>(c)] *
                                    Eigen::VectorXd::NullaryExpr(kBands, [&] { return bell(); });
      for (int b = 0; b < kBands; ++b) out[b] = static_cast<float>(x[b]);
    };
    for (int i = 0; i < training.rows; ++i)
      labels.at<int>(i) = i % kClasses + 1, draw(i % kClasses, training.ptr<float>(i));
    for (int i = 0; i < kCount; ++i) {
      draw(static_cast<int>(random.below(kClasses)), all.ptr<float>(i));
      for (int b = 0; b < kBands; ++b)
        planar[static_cast<size_t>(b)][static_cast<size_t>(i)] = all.at<float>(i, b);
    }
    for (int b = 0; b < kBands; ++b) signatures.bands.push_back(fmt::format("b{}", b));
    for (int c = 0; c < kClasses; ++c) {
      Signature s;
      s.code = c + 1;
      s.pixels = kTraining;
      Eigen::MatrixXd rows(kTraining, kBands);
      for (int i = 0; i < kTraining; ++i)
        for (int b = 0; b < kBands; ++b) rows(i, b) = training.at<float>(i * kClasses + c, b);
      s.mean = rows.colwise().mean();
      const Eigen::MatrixXd centred = rows.rowwise() - s.mean.transpose();
      s.covariance = centred.transpose() * centred / (kTraining - 1);
      s.min = s.max = s.mean;
      signatures.classes.push_back(std::move(s));
    }
  }
};

/// Made when they are asked for first.
Pixels& pixels();

/// Keeps the best time of each benchmark.
class BestTimes : public benchmark::ConsoleReporter {
 public:
  void ReportRuns(const std::vector<Run>& runs) override {
    ConsoleReporter::ReportRuns(runs);
    for (const auto& r : runs) {
      if (r.run_type != Run::RT_Iteration) continue;
      const double t = r.GetAdjustedRealTime();
      auto& best = times[r.run_name.function_name];
      if (best == 0 || t < best) best = t;
    }
  }
  std::map<std::string, double> times;
};

/// A benchmark in real time, three times.
inline void slow(const char* name, void (*f)(benchmark::State&)) {
  benchmark::RegisterBenchmark(name, f)
      ->Unit(benchmark::kMillisecond)
      ->UseRealTime()
      ->MinTime(0.01)
      ->Repetitions(3);
}

// Forests, support vectors and k-means against the library.
void addLearners();
void tellLearners(std::map<std::string, double>& times);

// Readings at points, and zones, against one after the other.
void addPlaces(const std::filesystem::path& scene);
void tellPlaces(std::map<std::string, double>& times);

}  // namespace zp
