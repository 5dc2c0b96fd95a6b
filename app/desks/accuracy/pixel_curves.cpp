#include "desks/accuracy/pixel_curves.h"

#include <cmath>

#include "look/look.h"
#include "look/words.h"
#include "radar/decibels.h"
#include "sampling/readings.h"

namespace zp {
namespace {

void readReflectance(const Scene& scene, Place place, const std::string& crs, PixelCurves& c) {
  c.reflectanceTitle =
      txt("%1 by wavelength in nm, %2").arg(txt(titleOf(scene.state)), q(scene.name));
  c.reflectanceTitle[0] = c.reflectanceTitle[0].toUpper();
  for (size_t b = 0; b < scene.bands.size(); ++b) {
    const double v = readBandAt({place}, crs, scene, b)[0];
    if (std::isnan(v)) continue;
    const double wavelength = scene.bands[b].wavelength;
    c.wavelengths << (wavelength > 0 ? wavelength : static_cast<double>(c.wavelengths.size() + 1));
    c.reflectance << v;
  }
}

void readBackscatter(const std::vector<Scene>& radar, Place place, const std::string& crs,
                     PixelCurves& c) {
  for (const auto& s : radar) {
    const bool power = s.state == ValueState::BackscatterPower;
    const double v = readBandAt({place}, crs, s, static_cast<size_t>(s.bandOf("vh")))[0];
    if (!(v > 0) && power) continue;
    c.days << static_cast<double>(
        QDate::fromString(q(s.date), Qt::ISODate).startOfDay(Qt::UTC).toSecsSinceEpoch());
    c.backscatter << (power ? toDecibels(v) : v);
  }
}

}  // namespace

PixelCurves curvesAt(Place place, const std::string& crs, const std::optional<Scene>& scene,
                     const std::vector<Scene>& radar) {
  PixelCurves c;
  if (scene) readReflectance(*scene, place, crs, c);
  readBackscatter(radar, place, crs, c);
  return c;
}

}  // namespace zp
