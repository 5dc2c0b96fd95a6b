#include "scene/band_axis.h"

#include <algorithm>

namespace zp {

BandAxis bandAxis(const Scene& scene) {
  BandAxis axis;
  axis.byWavelength = std::all_of(scene.bands.begin(), scene.bands.end(),
                                  [](const auto& b) { return b.wavelength > 0; });
  for (size_t i = 0; i < scene.bands.size(); ++i)
    axis.at.push_back(axis.byWavelength ? scene.bands[i].wavelength : static_cast<double>(i + 1));
  return axis;
}

const std::string& calledBand(const SceneBand& band) {
  return band.role.empty() ? band.name : band.role;
}

}  // namespace zp
