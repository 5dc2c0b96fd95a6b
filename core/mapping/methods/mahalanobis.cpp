#include "mapping/methods/mahalanobis.h"

#include "base/cpu.h"
#include "base/words.h"

namespace zp {
namespace {

/// One covariance for all classes. With it a class of few pixels will do.
SignatureSet pooled(SignatureSet set) {
  if (set.classes.empty()) return set;
  const auto n = static_cast<Eigen::Index>(set.bands.size());
  Eigen::MatrixXd sum = Eigen::MatrixXd::Zero(n, n);
  size_t pixels = 0;
  for (const auto& c : set.classes) {
    if (c.pixels < 2) continue;
    sum += c.covariance * static_cast<double>(c.pixels - 1);
    pixels += c.pixels - 1;
  }
  for (auto& c : set.classes) {
    c.covariance = sum / static_cast<double>(std::max<size_t>(1, pixels));
    c.pixels = pixels;
  }
  return set;
}

}  // namespace

Mahalanobis::Mahalanobis(const SignatureSet& set, const Json& settings)
    : BySignatures(set, settings),
      classes_(gaussiansOf(settings.value("covariance", "own") == "pooled" ? pooled(set) : set)),
      offsets_(set.classes.size()) {}

void Mahalanobis::classify(const std::vector<const float*>& values, size_t n,
                           uint16_t* codes) const {
  const auto kernel = cpuHasV3() ? &v3::likelihood : &baseline::likelihood;
  writeWinners(kernel, classes_.model(offsets_), classes_.codes, reject_, values, n, codes);
}

void Mahalanobis::support(const std::vector<const float*>& values, size_t n, float* out) const {
  const auto kernel = cpuHasV3() ? &v3::likelihood : &baseline::likelihood;
  writeDistances(kernel, classes_.model(offsets_), values, n, out);
  membershipOf(out, classes_.codes.size(), n);
}

namespace trained {
extern const Method mahalanobis{
    .id = "mahalanobis-distance",
    .title = words("Mahalanobis distance"),
    .about =
        words("Gives each pixel the class whose mean is nearest, with each feature measured in "
              "the spread of the class and what features share counted once."),
    .assumes =
        words("Classes are about equally common and equally wide; then it gives what maximum "
              "likelihood gives, without leaning to narrow classes."),
    .fails = words("When one class is much wider than its neighbours: it takes their pixels. One "
                   "covariance for all classes helps, and needs fewer pixels a class."),
    .source = words("Richards 2013, ch. 8"),
    .support = words("how much nearer it is than the other classes"),
    .parameters = {{.id = "covariance",
                    .title = words("Covariance"),
                    .about = words("The spread that distances are measured in: each class its own, "
                                   "or one of all classes together."),
                    .type = Parameter::Type::Choice,
                    .initial = "own",
                    .choices = {{"own", words("of each class")},
                                {"pooled", words("of all classes")}}},
                   {.id = "reject",
                    .title = words("Reject beyond"),
                    .about =
                        words("In standard deviations from the class (Mahalanobis distance); 3 "
                              "to 5 is usual. Pixels farther away stay without a class."),
                    .lowest = 0,
                    .unset = words("never: every pixel gets a class")}},
    .bySignatures = true,
    .train = &BySignatures::train<Mahalanobis>,
    .read = &BySignatures::read<Mahalanobis>};
}  // namespace trained

}  // namespace zp
