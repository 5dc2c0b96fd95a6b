#include "scene/sensor.h"

#include <fmt/format.h>

#include "base/data_folder.h"
#include "base/error.h"
#include "base/text.h"

namespace zp {
namespace {

std::vector<Sensor> readSensors() {
  std::vector<Sensor> all;
  const Json json = readJson(dataFile("sensors.json"), "zany-patch-sensors");
  for (const auto& s : json.at("sensors")) {
    Sensor one;
    one.id = s.at("id");
    one.title = s.at("title");
    one.scale = s.value("scale", 1.0);
    one.offset = s.value("offset", 0.0);
    if (s.contains("nodata")) one.nodata = s["nodata"].get<double>();
    one.state = valueStateFrom(s.value("state", "unknown"));
    for (const auto& b : s.at("bands"))
      one.bands.push_back(
          {b.at("name"), b.value("role", ""), b.value("wavelength", 0.0), b.value("width", 0.0)});
    all.push_back(std::move(one));
  }
  return all;
}

}  // namespace

const std::vector<Sensor>& sensors() {
  static const std::vector<Sensor> all = readSensors();
  return all;
}

const Sensor& sensor(const std::string& id) {
  std::vector<std::string> ids;
  for (const auto& s : sensors()) {
    if (s.id == id) return s;
    ids.push_back(s.id);
  }
  throw Error(fmt::format("There is no sensor preset “{}”; the presets are {}.{}", id, listed(ids),
                          didYouMean(id, ids)));
}

void applySensor(Scene& scene, const Sensor& preset) {
  if (scene.bands.size() != preset.bands.size())
    throw Error(
        fmt::format("The preset {} has {} bands, but “{}” has {}; set the roles band by "
                    "band.",
                    preset.title, preset.bands.size(), scene.name, scene.bands.size()));
  scene.sensor = preset.id;
  if (scene.state == ValueState::Unknown) scene.state = preset.state;
  for (size_t i = 0; i < scene.bands.size(); ++i) {
    auto& band = scene.bands[i];
    const auto& p = preset.bands[i];
    band.name = p.name;
    band.role = p.role;
    band.wavelength = p.wavelength;
    if (band.conversion.scale == 1 && band.conversion.offset == 0) {
      band.conversion.scale = preset.scale;
      band.conversion.offset = preset.offset;
    }
    if (!band.conversion.nodata) band.conversion.nodata = preset.nodata;
  }
}

}  // namespace zp
