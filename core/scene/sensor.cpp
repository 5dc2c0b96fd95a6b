#include "scene/sensor.h"

#include <fmt/format.h>

#include "base/data_folder.h"
#include "base/error.h"
#include "base/own_entries.h"
#include "base/text.h"

namespace zp {
namespace {

constexpr const char* kFormat = "zany-patch-sensors";

Sensor sensorFrom(const Json& s) {
  Sensor one;
  one.id = s.at("id");
  one.title = s.at("title");
  one.source = s.value("source", "");
  one.scale = s.value("scale", 1.0);
  one.offset = s.value("offset", 0.0);
  if (s.contains("nodata")) one.nodata = s["nodata"].get<double>();
  one.state = valueStateFrom(s.value("state", "unknown"));
  for (const auto& b : s.at("bands"))
    one.bands.push_back(
        {b.at("name"), b.value("role", ""), b.value("wavelength", 0.0), b.value("width", 0.0)});
  return one;
}

Json toJson(const Sensor& s) {
  Json bands = Json::array();
  for (const auto& b : s.bands)
    bands.push_back(
        {{"name", b.name}, {"role", b.role}, {"wavelength", b.wavelength}, {"width", b.width}});
  Json j = {{"id", s.id},         {"title", s.title},       {"scale", s.scale},
            {"offset", s.offset}, {"state", idOf(s.state)}, {"source", s.source}};
  if (s.nodata) j["nodata"] = *s.nodata;
  j["bands"] = bands;
  return j;
}

std::vector<Sensor>& presets() {
  static std::vector<Sensor> all = [] {
    std::vector<Sensor> read;
    const Json json = readJson(dataFile("sensors.json"), kFormat);
    for (const auto& s : json.at("sensors")) read.push_back(sensorFrom(s));
    readOwnEntries("sensors.json", kFormat, "sensors", [&](const Json& entry) {
      read.push_back(sensorFrom(entry));
      read.back().own = true;
    });
    return read;
  }();
  return all;
}

void writeOwn() {
  Json list = Json::array();
  for (const auto& s : presets())
    if (s.own) list.push_back(toJson(s));
  writeOwnEntries("sensors.json", kFormat, "sensors", list);
}

}  // namespace

const std::vector<Sensor>& sensors() {
  return presets();
}

void keepSensor(const Scene& scene, const std::string& title) {
  if (title.empty()) throw Error("The preset has no name; write one.");
  std::vector<std::string> ids;
  for (const auto& s : presets()) {
    ids.push_back(s.id);
    if (lowered(s.title) == lowered(title))
      throw Error(fmt::format("There is a preset “{}” already; take another name.", s.title));
  }
  Sensor one;
  one.id = freshName("own-" + plainName(title), ids);
  one.title = title;
  one.own = true;
  one.source = "made from “" + scene.name + "”";
  one.state = scene.state;
  const auto& first = scene.bands.at(0).conversion;
  one.scale = first.scale, one.offset = first.offset, one.nodata = first.nodata;
  for (const auto& b : scene.bands) one.bands.push_back({b.name, b.role, b.wavelength, 0});
  presets().push_back(std::move(one));
  writeOwn();
}

void dropSensor(const std::string& id) {
  std::erase_if(presets(), [&](const Sensor& s) { return s.own && s.id == id; });
  writeOwn();
}

std::string whyNot(const Sensor& preset, const Scene& scene) {
  if (scene.bands.size() != preset.bands.size())
    return fmt::format("The preset {} has {} bands, but “{}” has {}; set the roles band by band.",
                       preset.title, preset.bands.size(), scene.name, scene.bands.size());
  return {};
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
  if (const std::string why = whyNot(preset, scene); !why.empty()) throw Error(why);
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
