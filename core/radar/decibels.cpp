#include "radar/decibels.h"

#include "scene/band_reader.h"

namespace zp {

ValueState recogniseBackscatter(const Scene& scene) {
  const int w = std::min(scene.grid.width, 500), h = std::min(scene.grid.height, 500);
  std::vector<float> values;
  BandReader(scene, {}).readReduced({0, 0, scene.grid.width, scene.grid.height}, w, h, values);
  double below = 0, n = 0, largest = 0;
  for (const float v : values) {
    if (std::isnan(v)) continue;
    n += 1, below += v < 0 ? 1 : 0;
    largest = std::max(largest, static_cast<double>(std::abs(v)));
  }
  if (n == 0) return ValueState::Unknown;
  if (below == 0) return largest < 1000 ? ValueState::BackscatterPower : ValueState::Unknown;
  return below > 0.5 * n && largest < 100 ? ValueState::BackscatterDecibels : ValueState::Unknown;
}

ValueState backscatterState(const Scene& s) {
  return s.state == ValueState::Unknown && s.isRadar() ? recogniseBackscatter(s) : s.state;
}

}  // namespace zp
