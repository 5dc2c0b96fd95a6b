#include "mapping/methods/maximum_likelihood.h"

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/cpu.h"
#include "base/error.h"
#include "base/words.h"

namespace zp {
namespace {

double priorOf(const Signature& s, const SignatureSet& set, const Json& settings) {
  const Json priors = settings.value("priors", Json::object());
  if (priors.empty()) return 1.0 / static_cast<double>(set.classes.size());
  const auto shareOf = [&](const Signature& c) {
    return priors.value(std::to_string(c.code), 0.0);
  };
  if (!(shareOf(s) > 0))
    throw Error("There is no prior for “{}” ({}); give one for every class, or equal ones.", s.name,
                s.code);
  double sum = 0;
  for (const auto& c : set.classes) sum += shareOf(c);
  return shareOf(s) / sum;
}

}  // namespace

MaximumLikelihood::MaximumLikelihood(const SignatureSet& set, const Json& settings)
    : BySignatures(set, settings), classes_(gaussiansOf(set)) {
  for (size_t c = 0; c < set.classes.size(); ++c)
    offsets_.push_back(static_cast<float>(std::log(priorOf(set.classes[c], set, settings)) -
                                          classes_.halfLogDeterminants[c]));
}

void MaximumLikelihood::classify(const std::vector<const float*>& values, size_t n,
                                 uint16_t* codes) const {
  const auto kernel = cpuHasV3() ? &v3::likelihood : &baseline::likelihood;
  writeWinners(kernel, classes_.model(offsets_), classes_.codes, reject_, values, n, codes);
}

void MaximumLikelihood::support(const std::vector<const float*>& values, size_t n,
                                float* out) const {
  const auto kernel = cpuHasV3() ? &v3::likelihood : &baseline::likelihood;
  const size_t classes = classes_.codes.size();
  writeDistances(kernel, classes_.model(offsets_), values, n, out);
  for (size_t i = 0; i < n; ++i) {
    float best = -std::numeric_limits<float>::infinity();
    for (size_t c = 0; c < classes; ++c) {
      float& score = out[c * n + i];
      score = offsets_[c] - 0.5f * score;
      best = std::max(best, score);
    }
    double sum = 0;
    for (size_t c = 0; c < classes; ++c)
      sum += std::exp(static_cast<double>(out[c * n + i] - best));
    for (size_t c = 0; c < classes; ++c)
      out[c * n + i] =
          static_cast<float>(std::exp(static_cast<double>(out[c * n + i] - best)) / sum);
  }
}

namespace trained {
extern const Method maximumLikelihood{
    .id = "maximum-likelihood",
    .title = words("Maximum likelihood"),
    .about = words("Gives each pixel the class under which its values are most likely, from the "
                   "mean and the full covariance of the training pixels."),
    .assumes = words("Values of a class are spread like a normal distribution with one peak. A "
                     "class needs more training pixels than there are features; ten times as many "
                     "is a good rule."),
    .fails = words("When a class holds two covers (two peaks), or has few pixels: split the class "
                   "or draw more."),
    .source = words("Richards 2013, ch. 8"),
    .support = words("the posterior probability"),
    .parameters =
        {{.id = "priors",
          .title = words("Priors"),
          .about = words("How common each class is before looking: all equal, or shares of your "
                         "own. Rare classes are mapped more often with equal ones."),
          .type = Parameter::Type::Shares,
          .initial = Json::object()},
         {.id = "reject",
          .title = words("Reject beyond"),
          .about = words("In standard deviations from the class (Mahalanobis distance); 3 to 5 is "
                         "usual. Pixels farther away stay without a class."),
          .lowest = 0,
          .unset = words("never: every pixel gets a class"),
          .seldom = true}},
    .bySignatures = true,
    .train = &BySignatures::train<MaximumLikelihood>,
    .read = &BySignatures::read<MaximumLikelihood>};
}  // namespace trained

}  // namespace zp
