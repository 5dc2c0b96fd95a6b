#include "scene/dark_object.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "scene/quantile.h"

namespace zp {

std::vector<double> hazeOf(const Scene& scene, const DarkObject& how, const Progress& progress) {
  if (how.startBand >= scene.bands.size())
    throw Error("The starting band is not in the scene; choose the blue or green one.");
  if (!(how.power >= 0 && how.power <= 4))
    throw Error("The power of the scattering lies between 0 and 4; write 2 for clear air.");
  if (!(how.darkShare >= 0 && how.darkShare < 0.5))
    throw Error("The share of dark pixels lies between 0 and 0.5; write one such as 0.0001.");
  for (const auto& b : scene.bands)
    if (!(b.wavelength > 0))
      throw Error(
          "“{}” has no wavelength, which the scattering follows; choose a sensor "
          "preset first.",
          b.name);
  const double start =
      std::max(0.0, quantileOf(BandReader(scene, {how.startBand}), 0, how.darkShare, progress) -
                        how.darkValue);
  std::vector<double> haze;
  for (const auto& b : scene.bands)
    haze.push_back(start *
                   std::pow(b.wavelength / scene.bands[how.startBand].wavelength, -how.power));
  return haze;
}

void subtractHaze(const Scene& scene, const std::vector<double>& haze,
                  const std::filesystem::path& temporary, const Progress& progress) {
  makeScene(BandReader(scene, {}), specLike(scene), temporary, progress,
            [&](const BandBlock& in, std::vector<std::vector<float>>& out) {
              for (size_t b = 0; b < out.size(); ++b)
                for (size_t p = 0; p < out[b].size(); ++p) {
                  const double v = static_cast<double>(in.band(b)[p]);
                  out[b][p] = std::isnan(v) ? in.band(b)[p]
                                            : static_cast<float>(std::max(0.0, v - haze[b]));
                }
            });
}

}  // namespace zp
