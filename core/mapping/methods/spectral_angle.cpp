#include "mapping/methods/spectral_angle.h"

#include <cmath>
#include <numbers>

#include "base/cpu.h"
#include "base/error.h"
#include "base/words.h"
#include "mapping/angle_kernel.h"

namespace zp {
namespace {

/// The chord that an angle in degrees spans on the unit circle.
double chordOf(double degrees) {
  return 2 * std::sin(std::min(degrees, 180.0) * std::numbers::pi / 360);
}

}  // namespace

SpectralAngle::SpectralAngle(const SignatureSet& set, const Json& settings)
    : BySignatures(set, settings) {
  requireBandsAndClasses(set);
  if (set.bands.size() < 2)
    throw Error("An angle needs two features or more; one alone has no direction.");
  for (const auto& s : set.classes) {
    const double length = s.mean.norm();
    if (!(length > 0))
      throw Error("The mean of “{}” is 0 in every feature and has no direction; redraw it.",
                  s.name);
    codes_.push_back(static_cast<uint16_t>(s.code));
    for (const double v : s.mean) directions_.push_back(static_cast<float>(v / length));
  }
  if (reject_) reject_ = chordOf(*reject_);
}

void SpectralAngle::classify(const std::vector<const float*>& values, size_t n,
                             uint16_t* codes) const {
  const auto kernel = cpuHasV3() ? &v3::nearestDirection : &baseline::nearestDirection;
  writeWinners(kernel, model(), codes_, reject_, values, n, codes);
}

void SpectralAngle::support(const std::vector<const float*>& values, size_t n, float* out) const {
  const auto kernel = cpuHasV3() ? &v3::nearestDirection : &baseline::nearestDirection;
  writeDistances(kernel, model(), values, n, out);
  membershipOf(out, codes_.size(), n);
}

namespace trained {
extern const Method spectralAngle{
    .id = "spectral-angle",
    .title = words("Spectral angle"),
    .about = words("Gives each pixel the class whose curve has the most similar shape, whatever "
                   "the brightness: a slope in shadow is like one in the sun."),
    .assumes = words("Zero means no signal in every feature, as in reflectance. It suits many "
                     "bands and uneven light."),
    .fails = words("When classes differ in brightness rather than in shape, as deep and shallow "
                   "water do; and with features in decibels or of mixed units."),
    .source = words("Kruse et al. 1993"),
    .support = words("how much nearer it is than the other classes"),
    .parameters = {{.id = "reject",
                    .title = words("Reject beyond"),
                    .about = words("In degrees, from the mean of the class; 3 to 10 is usual. "
                                   "Pixels farther away stay without a class."),
                    .lowest = 0,
                    .highest = 180,
                    .unset = words("never: every pixel gets a class")}},
    .bySignatures = true,
    .train = &BySignatures::train<SpectralAngle>,
    .read = &BySignatures::read<SpectralAngle>};
}  // namespace trained

}  // namespace zp
