#include "desks/accuracy/pixel_curves.h"

#include <algorithm>
#include <cmath>

#include "index/formula.h"
#include "index/index_book.h"
#include "look/look.h"
#include "look/words.h"
#include "radar/decibels.h"
#include "sampling/readings.h"
#include "scene/band_axis.h"
#include "shell/index_title.h"

namespace zp {
namespace {

PixelCurves::Reflectance readReflectance(const Scene& scene, Place place, const std::string& crs,
                                         bool byWavelength) {
  PixelCurves::Reflectance c{{}, {}, {}, txt(titleOf(scene.state)), q(scene.name)};
  for (size_t b = 0; b < scene.bands.size(); ++b) {
    const double v = readBandAt({place}, crs, scene, b)[0];
    if (std::isnan(v)) continue;
    c.along << (byWavelength ? scene.bands[b].wavelength : static_cast<double>(b + 1));
    c.values << v;
    c.bands << q(calledBand(scene.bands[b]));
  }
  return c;
}

/// A scene's value of a role; of radar in decibels.
float valueOf(const Scene& scene, const std::string& role, Place place, const std::string& crs) {
  const double v = readBandAt({place}, crs, scene, static_cast<size_t>(scene.bandOf(role)))[0];
  if (scene.state != ValueState::BackscatterPower) return static_cast<float>(v);
  return v > 0 ? static_cast<float>(toDecibels(v)) : std::nanf("");
}

void readSeason(const SeasonQuantity& quantity, Place place, const std::string& crs,
                PixelCurves& c) {
  const Formula formula = parseFormula(quantity.formula, quantity.roles);
  for (const auto& scene : quantity.scenes) {
    std::vector<float> values;
    for (const auto& role : formula.variables) values.push_back(valueOf(scene, role, place, crs));
    std::vector<const float*> bands;
    for (const auto& v : values) bands.push_back(&v);
    float value = 0;
    evaluateFormula(formula, bands, 1, &value);
    if (std::isnan(value)) continue;
    c.days << static_cast<double>(
        QDate::fromString(q(scene.date), Qt::ISODate).startOfDay(Qt::UTC).toSecsSinceEpoch());
    c.season << static_cast<double>(value);
  }
}

std::vector<Scene> scenesWith(const Study& study, const std::vector<std::string>& roles,
                              bool radar) {
  std::vector<Scene> scenes;
  for (const auto& s : study.scenes)
    if (s.scene.isRadar() == radar && !s.scene.date.empty() && !s.scene.grid.crs.empty() &&
        std::all_of(roles.begin(), roles.end(),
                    [&](const auto& role) { return s.scene.bandOf(role) >= 0; }))
      scenes.push_back(s.scene);
  std::sort(scenes.begin(), scenes.end(),
            [](const Scene& a, const Scene& b) { return a.date < b.date; });
  return scenes;
}

}  // namespace

std::vector<SeasonQuantity> seasonQuantities(const Study& study) {
  std::vector<SeasonQuantity> all;
  const auto add = [&](SeasonQuantity quantity, bool radar) {
    quantity.scenes = scenesWith(study, quantity.roles, radar);
    if (quantity.scenes.size() > 1) all.push_back(std::move(quantity));
  };
  for (const char* role : {"vh", "vv", "hv", "hh"})
    add({role, txt("Radar %1 through the season, dB").arg(q(role).toUpper()), role, {role}, {}},
        true);
  for (const auto& e : indexBook())
    if (e.featured && e.group != "radar")
      add({"index-" + e.id,
           txt("%1 through the season").arg(titleInLists(e)),
           e.formula,
           e.roles,
           {}},
          false);
  return all;
}

PixelCurves curvesAt(Place place, const std::string& crs, const std::vector<Scene>& scenes,
                     const std::optional<SeasonQuantity>& season) {
  PixelCurves c;
  for (const auto& s : scenes) c.byWavelength = c.byWavelength && bandAxis(s).byWavelength;
  for (const auto& s : scenes)
    c.reflectances.push_back(readReflectance(s, place, crs, c.byWavelength));
  if (season) readSeason(*season, place, crs, c);
  return c;
}

}  // namespace zp
