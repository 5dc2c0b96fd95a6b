#include "training/two_peaks.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace zp {
namespace {

struct Part {
  double share = 0.5, mean = 0, variance = 0;
  double density(double x) const {
    return share / std::sqrt(2 * 3.14159265358979323846 * variance) *
           std::exp(-(x - mean) * (x - mean) / (2 * variance));
  }
};

Part partOf(const std::vector<double>& sorted, size_t from, size_t to, double least) {
  const auto n = static_cast<double>(to - from);
  double sum = 0, squares = 0;
  for (size_t i = from; i < to; ++i) sum += sorted[i];
  const double mean = sum / n;
  for (size_t i = from; i < to; ++i) squares += (sorted[i] - mean) * (sorted[i] - mean);
  return {n / static_cast<double>(sorted.size()), mean, std::max(least, squares / n)};
}

/// Where the values are cut best in two: the least sum of squares to the two means.
size_t bestCut(const std::vector<double>& sorted) {
  const auto n = static_cast<double>(sorted.size());
  const double all = std::accumulate(sorted.begin(), sorted.end(), 0.0);
  double left = 0, best = -1;
  size_t cut = sorted.size() / 2;
  for (size_t i = 1; i < sorted.size(); ++i) {
    left += sorted[i - 1];
    const auto k = static_cast<double>(i);
    const double gap = left / k - (all - left) / (n - k), between = k * (n - k) * gap * gap;
    if (between > best) best = between, cut = i;
  }
  return cut;
}

double logLikelihood(const std::vector<double>& values, const Part& a, const Part& b) {
  double sum = 0;
  for (const double x : values) sum += std::log(std::max(1e-300, a.density(x) + b.density(x)));
  return sum;
}

/// One round of expectation and maximisation.
void refine(const std::vector<double>& values, Part& a, Part& b, double least) {
  double weight = 0, sumA = 0, sumB = 0, all = 0;
  std::vector<double> of(values.size());
  for (size_t i = 0; i < values.size(); ++i) {
    const double da = a.density(values[i]), db = b.density(values[i]);
    of[i] = da + db > 0 ? da / (da + db) : 0.5;
    weight += of[i];
    sumA += of[i] * values[i];
    all += values[i];
  }
  const auto n = static_cast<double>(values.size());
  const double rest = n - weight;
  if (weight < 1 || rest < 1) return;
  sumB = all - sumA;
  a = {weight / n, sumA / weight, 0};
  b = {rest / n, sumB / rest, 0};
  for (size_t i = 0; i < values.size(); ++i) {
    a.variance += of[i] * (values[i] - a.mean) * (values[i] - a.mean) / weight;
    b.variance += (1 - of[i]) * (values[i] - b.mean) * (values[i] - b.mean) / rest;
  }
  a.variance = std::max(least, a.variance);
  b.variance = std::max(least, b.variance);
}

}  // namespace

TwoPeaks twoPeaks(std::vector<double> values) {
  constexpr size_t kFewest = 20;
  constexpr int kRounds = 200;
  TwoPeaks peaks;
  if (values.size() < kFewest) return peaks;
  std::sort(values.begin(), values.end());
  const Part one = partOf(values, 0, values.size(), 0);
  if (!(one.variance > 0)) return peaks;
  // A part of a single value would be infinitely likely.
  const double least = one.variance / 400;
  const size_t cut = bestCut(values);
  Part a = partOf(values, 0, cut, least), b = partOf(values, cut, values.size(), least);
  double before = logLikelihood(values, a, b);
  for (int round = 0; round < kRounds; ++round) {
    refine(values, a, b, least);
    const double now = logLikelihood(values, a, b);
    if (now - before < 1e-6 * std::abs(now)) break;
    before = now;
  }
  const auto n = static_cast<double>(values.size());
  const double alone = logLikelihood(values, {1, one.mean, one.variance}, {0, 0, 1});
  const double gained = 2 * (logLikelihood(values, a, b) - alone) - 3 * std::log(n);
  peaks.low = std::min(a.mean, b.mean);
  peaks.high = std::max(a.mean, b.mean);
  peaks.smaller = std::min(a.share, b.share);
  peaks.apart = std::sqrt(2.0) * (peaks.high - peaks.low) / std::sqrt(a.variance + b.variance);
  peaks.found = gained > 10 && peaks.apart > 2 && peaks.smaller >= 0.1;
  return peaks;
}

}  // namespace zp
