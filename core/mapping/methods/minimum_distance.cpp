#include "mapping/methods/minimum_distance.h"

#include "base/cpu.h"
#include "base/words.h"

namespace zp {
MinimumDistance::MinimumDistance(const SignatureSet& set, const Json& settings)
    : BySignatures(set, settings) {
  requireBandsAndClasses(set);
  for (const auto& s : set.classes) {
    codes_.push_back(static_cast<uint16_t>(s.code));
    for (const double v : s.mean) means_.push_back(static_cast<float>(v));
  }
}

void MinimumDistance::classify(const std::vector<const float*>& values, size_t n,
                               uint16_t* codes) const {
  const auto kernel = cpuHasV3() ? &v3::nearestMean : &baseline::nearestMean;
  writeWinners(kernel, model(), codes_, reject_, values, n, codes);
}

void MinimumDistance::support(const std::vector<const float*>& values, size_t n, float* out) const {
  const auto kernel = cpuHasV3() ? &v3::nearestMean : &baseline::nearestMean;
  writeDistances(kernel, model(), values, n, out);
  membershipOf(out, codes_.size(), n);
}

namespace trained {
extern const Method minimumDistance{
    .id = "minimum-distance",
    .title = words("Minimum distance"),
    .about = words("Gives each pixel the class whose mean is nearest, as the crow flies, in the "
                   "values of the features."),
    .assumes = words("Classes are about equally wide in all features. It needs few training pixels "
                     "and is a good first look."),
    .fails = words("When one class is wide and its neighbour narrow, or when one feature has much "
                   "larger numbers than the rest."),
    .source = words("Richards 2013, ch. 8"),
    .support = words("how much nearer it is than the other classes"),
    .parameters = {{.id = "reject",
                    .title = words("Reject beyond"),
                    .about = words("In the unit of the features, from the nearest mean. Pixels "
                                   "farther away stay without a class."),
                    .lowest = 0,
                    .unset = words("never: every pixel gets a class")}},
    .bySignatures = true,
    .train = &BySignatures::train<MinimumDistance>,
    .read = &BySignatures::read<MinimumDistance>};
}  // namespace trained

}  // namespace zp
