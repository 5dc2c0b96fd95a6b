#include "scene/sensor.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <numeric>

#include "base/data_folder.h"
#include "base/error.h"
#include "base/own_entries.h"
#include "base/text.h"
#include "scene/band_names.h"

namespace zp {
namespace {

constexpr const char* kFormat = "zany-patch-sensors";
constexpr size_t kMostBands = 1000;

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
  if (one.bands.empty() || one.bands.size() > kMostBands)
    throw Error("“{}” has {} bands.", one.title, one.bands.size());
  if (one.scale == 0 || !std::isfinite(one.scale) || !std::isfinite(one.offset))
    throw Error("The scale of “{}” is 0 or no number.", one.title);
  for (const auto& b : one.bands)
    if (!b.role.empty()) requireRole(b.role);
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
    const auto file = dataFile("sensors.json");
    std::vector<Sensor> read = sensorsFrom(readJson(file, kFormat), file.string());
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

/// Which band of a preset each band of a scene is: by name where all of them name one ("band 2" is
/// no name), else by number. Nothing when neither fits.
std::vector<size_t> fitted(const Sensor& preset, const Scene& scene) {
  std::vector<size_t> by;
  for (const auto& b : scene.bands)
    for (size_t i = 0; i < preset.bands.size(); ++i)
      if (b.name.rfind("band ", 0) != 0 &&
          plainBand(preset.bands[i].name) == bandNameOf(b.name).band &&
          std::find(by.begin(), by.end(), i) == by.end()) {
        by.push_back(i);
        break;
      }
  if (by.size() == scene.bands.size()) return by;
  if (scene.bands.size() != preset.bands.size()) return {};
  by.resize(scene.bands.size());
  std::iota(by.begin(), by.end(), size_t{0});
  return by;
}

}  // namespace

std::vector<Sensor> sensorsFrom(const Json& json, const std::string& name) {
  std::vector<Sensor> read;
  takeEntries(json, name, "sensors", [&](const Json& s) { read.push_back(sensorFrom(s)); });
  return read;
}

const std::vector<Sensor>& sensors() {
  return presets();
}

void keepSensor(const Scene& scene, const std::string& title) {
  if (title.empty()) throw Error("The preset has no name; write one.");
  std::vector<std::string> ids;
  for (const auto& s : presets()) {
    ids.push_back(s.id);
    if (lowered(s.title) == lowered(title))
      throw Error("There is a preset “{}” already; take another name.", s.title);
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

Sentence whyNot(const Sensor& preset, const Scene& scene) {
  if (fitted(preset, scene).empty())
    return Sentence("The preset {} has {} bands, but “{}” has {}; set the roles band by band.",
                    preset.title, preset.bands.size(), scene.name, scene.bands.size());
  return Sentence("");
}

const Sensor& sensor(const std::string& id) {
  std::vector<std::string> ids;
  for (const auto& s : sensors()) {
    if (s.id == id) return s;
    ids.push_back(s.id);
  }
  throw Error("There is no sensor preset “{}”; the presets are {}.{}", id, listed(ids),
              didYouMean(id, ids));
}

void applySensor(Scene& scene, const Sensor& preset) {
  if (const Sentence why = whyNot(preset, scene); !why.empty()) throw Error(why);
  scene.sensor = preset.id;
  if (scene.state == ValueState::Unknown) scene.state = preset.state;
  const auto by = fitted(preset, scene);
  for (size_t i = 0; i < scene.bands.size(); ++i) {
    auto& band = scene.bands[i];
    const auto& p = preset.bands[by[i]];
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
