#include "arguments.h"

#include <fmt/format.h>

#include "base/text.h"
#include "legend/class_map.h"
#include "sampling/readings.h"
#include "scene/sensor.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {

void SceneArguments::addTo(CLI::App& app, bool several) {
  auto* one =
      app.add_option("SCENE", scene, "A raster, a folder of one-band rasters or a STAC item");
  if (several)
    app.add_option(
           "--scene", named,
           "A scene under a name, as name=SCENE; its roles are name.role. Several may be given")
        ->allow_extra_args(false);
  else
    one->required();
  addReadingTo(app);
}

void SceneArguments::addReadingTo(CLI::App& app) {
  std::vector<std::string> states;
  for (const auto s : allValueStates()) states.push_back(idOf(s));
  app.add_option("--sensor", sensor, "Preset to take band roles from");
  app.add_option("--roles", roles, "Roles by band number, such as red=3,nir=4");
  app.add_option("--nodata", nodata, "Stored value that stands for no data");
  app.add_option("--state", state, fmt::format("What the numbers are: {}", listed(states)))
      ->check(oneOf("state of values", states));
  app.add_option("--scale", scale, "Of stored numbers: stored x scale + offset is the value");
  app.add_option("--offset", offset, "See --scale");
}

void SceneArguments::require(const char* call) const {
  if (scene.empty() && named.empty())
    throw CLI::ValidationError(call, "give a SCENE, or scenes under names with --scene name=SCENE");
}

namespace {
std::optional<double> numberIn(const char* option, const std::string& text) {
  if (text.empty()) return {};
  const auto v = parseNumber(text);
  if (!v) throw CLI::ValidationError(option, fmt::format("“{}” is not a number.", text));
  return v;
}
}  // namespace

Scene SceneArguments::open() const {
  return open(scene);
}

SceneOptions SceneArguments::options() const {
  SceneOptions options;
  options.sensor = sensor;
  if (!sensor.empty()) argument("--sensor", [&] { zp::sensor(sensor); });
  if (!roles.empty())
    for (const auto& [role, number] : pairsFrom("--roles", roles)) {
      const auto band = parseInteger(number);
      if (!band || *band < 1 || *band > 100000)
        throw CLI::ValidationError("--roles",
                                   fmt::format("“{}={}” is not role=band.", role, number));
      argument("--roles", [&, role = role] { requireRole(role); });
      for (const auto& [other, taken] : options.roles)
        if (taken == *band)
          throw CLI::ValidationError(
              "--roles", fmt::format("Band {} is given as {} and as {}; a band has one role.",
                                     number, other, role));
      options.roles[role] = static_cast<int>(*band);
    }
  options.nodata = numberIn("--nodata", nodata);
  return options;
}

Scene SceneArguments::open(const std::string& path) const {
  const auto factor = numberIn("--scale", scale), shift = numberIn("--offset", offset);
  if (factor && *factor == 0)
    throw CLI::ValidationError("--scale", "A scale of 0 makes every value the same; give another.");
  Scene opened = openScene(path, options());
  if (!state.empty()) opened.state = valueStateFrom(state);
  for (auto& b : opened.bands) {
    if (factor) b.conversion.scale = *factor;
    if (shift) b.conversion.offset = *shift;
  }
  return opened;
}

Scope SceneArguments::scope() const {
  std::vector<NamedScene> all;
  if (!scene.empty()) all.push_back({"", open(scene)});
  for (const auto& text : named) {
    const size_t at = text.find('=');
    const std::string name = text.substr(0, at);
    if (at == std::string::npos || name.empty() || scopeName(name, {}) != name)
      throw CLI::ValidationError(
          "--scene",
          fmt::format("“{}” is not name=SCENE, its name of small letters, digits and _.", text));
    for (const auto& other : all)
      if (other.name == name)
        throw CLI::ValidationError("--scene", fmt::format("Two scenes are called “{}”.", name));
    all.push_back({name, open(text.substr(at + 1))});
  }
  return Scope(std::move(all));
}

std::vector<fs::path> SceneArguments::files(const Scope& scope) const {
  std::vector<fs::path> all;
  for (const auto& s : scope.scenes)
    for (const auto& f : filesOf(s.scene)) all.push_back(f);
  return all;
}

void OutputArguments::addTo(CLI::App& app, const char* help, bool required) {
  app.add_option("--out", out, help)->required(required);
  app.add_flag("--replace", replace, "Replace the output where it exists");
}

ClassMapArgument::ClassMapArgument(const std::string& name) {
  const auto source = readingSource(name);
  file = source.file;
  band = classBand(RasterFile(file), source.band);
}

std::vector<fs::path> filesOf(const Scene& scene) {
  std::vector<fs::path> files;
  for (const auto& b : scene.bands) files.push_back(b.file);
  return files;
}

Json names(const Outputs& outputs) {
  Json list = Json::array();
  for (const auto& t : outputs.targets()) list.push_back(t.string());
  return list;
}

Json factsOf(const fs::path& file, const Outputs& outputs) {
  const Scene s = openScene(std::vector<fs::path>{file});
  Json bands = Json::array();
  for (const auto& b : s.bands)
    bands.push_back({{"name", b.name}, {"role", b.role.empty() ? Json(nullptr) : Json(b.role)}});
  return {{"width", s.grid.width},
          {"height", s.grid.height},
          {"bands", bands},
          {"outputs", names(outputs)}};
}

std::map<std::string, std::string> pairsFrom(const char* option, const std::string& text) {
  std::map<std::string, std::string> pairs;
  for (const auto& part : split(text, ',')) {
    const auto pair = split(part, '=');
    if (pair.size() != 2)
      throw CLI::ValidationError(
          option, fmt::format("“{}” is not {}.", part,
                              std::string(option) == "--roles" ? "role=band" : "theirs=ours"));
    if (!pairs.emplace(trimmed(pair[0]), trimmed(pair[1])).second)
      throw CLI::ValidationError(
          option, fmt::format("“{}” is given twice; give it once.", trimmed(pair[0])));
  }
  return pairs;
}

std::optional<Layer> insideFrom(const std::string& outline, const std::string& crs) {
  if (outline.empty()) return {};
  if (crs.empty())
    throw Error(
        "The scene has no reference system, so it cannot be cut to an outline; give it one first.");
  return readLayer(outline, crs);
}

Formula formulaFrom(const std::string& text, const std::vector<std::string>& known) {
  return withPlace([&] { return parseFormula(text, known); });
}

}  // namespace zp
