#include "mapping/maximum_likelihood.h"

#include <fmt/format.h>

#include <Eigen/Cholesky>
#include <algorithm>
#include <cmath>
#include <limits>

#include "base/cpu.h"
#include "base/error.h"
#include "mapping/winners.h"

namespace zp {
namespace {

double priorOf(const Signature& s, const SignatureSet& set, const MethodOptions& options) {
  if (options.priors.empty()) return 1.0 / static_cast<double>(set.classes.size());
  const auto p = options.priors.find(s.code);
  if (p == options.priors.end())
    throw Error("There is no prior for “{}” ({}); give one for every class, or equal ones.", s.name,
                s.code);
  double sum = 0;
  for (const auto& c : set.classes) {
    const auto q = options.priors.find(c.code);
    sum += q == options.priors.end() ? 0 : q->second;
  }
  return p->second / sum;
}

}  // namespace

MaximumLikelihood::MaximumLikelihood(const SignatureSet& set, const MethodOptions& options)
    : bands_(static_cast<int>(set.bands.size())), reject_(options.reject) {
  requireBandsAndClasses(set);
  requireCovariances(set);
  for (const auto& s : set.classes) {
    const Eigen::LLT<Eigen::MatrixXd> cholesky(s.covariance);
    const Eigen::MatrixXd lower = cholesky.matrixL();
    const Eigen::MatrixXd inverse =
        lower.triangularView<Eigen::Lower>().solve(Eigen::MatrixXd::Identity(bands_, bands_));
    codes_.push_back(static_cast<uint16_t>(s.code));
    for (int b = 0; b < bands_; ++b) means_.push_back(static_cast<float>(s.mean[b]));
    for (int r = 0; r < bands_; ++r)
      for (int c = 0; c <= r; ++c) whitening_.push_back(static_cast<float>(inverse(r, c)));
    const double halfLogDeterminant = lower.diagonal().array().log().sum();
    offsets_.push_back(static_cast<float>(std::log(priorOf(s, set, options)) - halfLogDeterminant));
  }
}

DistanceModel MaximumLikelihood::model() const {
  return {bands_, static_cast<int>(codes_.size()), means_.data(), whitening_.data(),
          offsets_.data()};
}

void MaximumLikelihood::classify(const std::vector<const float*>& bands, size_t n,
                                 uint16_t* codes) const {
  const auto kernel = cpuHasV3() ? &v3::likelihood : &baseline::likelihood;
  writeWinners(kernel, model(), codes_, reject_, bands, n, codes);
}

void MaximumLikelihood::classify(const std::vector<const float*>& bands, size_t n, uint16_t* codes,
                                 float* confidence) const {
  classify(bands, n, codes);
  const auto kernel = cpuHasV3() ? &v3::likelihood : &baseline::likelihood;
  const size_t classes = codes_.size(), perBand = static_cast<size_t>(bands_);
  // The kernel keeps only the winner; asked for one class at a time, it tells every score.
  std::vector<std::vector<float>> scores(classes, std::vector<float>(n));
  std::vector<int16_t> unused(n);
  for (size_t c = 0; c < classes; ++c) {
    const DistanceModel one{bands_, 1, means_.data() + c * perBand,
                            whitening_.data() + c * perBand * (perBand + 1) / 2,
                            offsets_.data() + c};
    kernel(one, bands.data(), n, unused.data(), scores[c].data());
    for (float& s : scores[c]) s = offsets_[c] - 0.5f * s;
  }
  for (size_t i = 0; i < n; ++i) {
    if (codes[i] == 0) {
      confidence[i] = std::numeric_limits<float>::quiet_NaN();
      continue;
    }
    double best = scores[0][i], sum = 0;
    for (size_t c = 1; c < classes; ++c) best = std::max<double>(best, scores[c][i]);
    for (size_t c = 0; c < classes; ++c) sum += std::exp(scores[c][i] - best);
    confidence[i] = static_cast<float>(1 / sum);
  }
}

}  // namespace zp
