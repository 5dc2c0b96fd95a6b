#include "scene/scene.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "base/pattern.h"
#include "base/text.h"
#include "base/words.h"
#include "grid/regrid.h"
#include "outline/shape_json.h"
#include "scene/band_names.h"
#include "scene/sensor.h"
#include "scene/stac_item.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

struct StateWords {
  ValueState state;
  const char *id, *title;
};
constexpr StateWords kStates[] = {
    {ValueState::Unknown, "unknown", words("not known")},
    {ValueState::RawCounts, "raw-counts", words("raw counts")},
    {ValueState::TopOfAtmosphere, "top-of-atmosphere", words("top-of-atmosphere reflectance")},
    {ValueState::SurfaceReflectance, "surface-reflectance", words("surface reflectance")},
    {ValueState::BackscatterPower, "backscatter-power", words("backscatter, power")},
    {ValueState::BackscatterDecibels, "backscatter-decibels", words("backscatter, decibels")},
    {ValueState::Quantity, "quantity", words("a quantity")},
    {ValueState::ClassCodes, "class-codes", words("class codes")}};

std::vector<fs::path> filesIn(const fs::path& folder) {
  std::vector<fs::path> files;
  for (const auto& entry : fs::directory_iterator(folder))
    if (entry.is_regular_file() && looksLikeRaster(entry.path()) &&
        entry.path().filename().string()[0] != '.')
      files.push_back(entry.path());
  std::sort(files.begin(), files.end(), [](const fs::path& a, const fs::path& b) {
    return naturalLess(a.filename().string(), b.filename().string());
  });
  if (files.empty())
    throw Error("The folder “{}” holds no rasters; choose one with a file a band.",
                folder.string());
  return withoutPreviews(files);
}

/// The size of a pixel of one grid against that of another.
double squareUnits(const Grid& a, const Grid& b) {
  if (a.sameAs(b)) return 1;
  const PixelNet quarters(pieceOf(a, {a.width / 2, a.height / 2, 1, 1}, 2, 2), b);
  const Place p = quarters.at(0, 0), across = quarters.at(1, 0), down = quarters.at(0, 1);
  return 4 * std::abs((across.x - p.x) * (down.y - p.y) - (across.y - p.y) * (down.x - p.x));
}

void appendBands(Scene& scene, const fs::path& path, bool oneOfMany) {
  const RasterFile file(path);
  if (!scene.bands.empty() && !canBringTogether(scene.grid, file.grid())) {
    const auto& g = file.grid();
    throw Error(
        "“{}” is {} x {} pixels, but the bands before it are {} x {} or lie "
        "elsewhere, and without a reference system they cannot be brought together.",
        path.filename().string(), g.width, g.height, scene.grid.width, scene.grid.height);
  }
  const bool finer = !scene.bands.empty() && squareUnits(file.grid(), scene.grid) < 0.999;
  if (scene.bands.empty() || finer) {
    scene.grid = file.grid();
    scene.gridBand = scene.bands.size();
  }
  for (int b = 1; b <= file.bands(); ++b) {
    if (file.facts(b).alpha && file.bands() > 1) continue;
    SceneBand band;
    band.file = path;
    band.number = b;
    const auto& facts = file.facts(b);
    const bool named = facts.name.rfind("band ", 0) != 0;
    band.name = oneOfMany && !named ? asUtf8(path.stem().string()) : facts.name;
    // A scene we made says itself what its bands are.
    if (const auto role = facts.metadata.find("role"); role != facts.metadata.end())
      band.role = roleIn(role->second);
    if (const auto w = facts.metadata.find("wavelength"); w != facts.metadata.end())
      band.wavelength = parseNumber(w->second).value_or(0);
    if (band.role.empty()) band.role = roleIn(band.name);
    if (band.role.empty() && oneOfMany && file.bands() == 1)
      band.role = roleIn(path.stem().string());
    band.conversion = file.conversion(b);
    scene.bands.push_back(std::move(band));
  }
  const auto facts = file.metadata();
  if (const auto kind = facts.find("kind"); kind == facts.end() || kind->second != "scene") return;
  if (const auto v = facts.find("values"); v != facts.end())
    scene.state = valueStateFrom(v->second);
  if (const auto v = facts.find("date"); v != facts.end()) scene.date = v->second;
}

void keepFirstOfEachRole(Scene& scene) {
  for (size_t i = 0; i < scene.bands.size(); ++i)
    for (size_t j = 0; j < i; ++j)
      if (scene.bands[j].role == scene.bands[i].role) scene.bands[i].role.clear();
}

void applyOptions(Scene& scene, const SceneOptions& options) {
  if (!options.sensor.empty()) applySensor(scene, sensor(options.sensor));
  if (!options.roles.empty()) setRoles(scene, options.roles);
  if (options.nodata)
    for (auto& band : scene.bands) band.conversion.nodata = options.nodata;
}

}  // namespace

bool looksLikeRaster(const fs::path& file) {
  static const std::vector<std::string> endings{".tif", ".tiff", ".jp2",  ".vrt",
                                                ".png", ".jpg",  ".jpeg", ".nc"};
  const std::string e = lowered(file.extension().string());
  return std::find(endings.begin(), endings.end(), e) != endings.end();
}

std::vector<fs::path> withoutPreviews(const std::vector<fs::path>& files) {
  const auto isPicture = [](const fs::path& file) {
    const std::string e = lowered(file.extension().string());
    return e == ".png" || e == ".jpg" || e == ".jpeg";
  };
  const bool others = std::any_of(files.begin(), files.end(),
                                  [&](const fs::path& file) { return !isPicture(file); });
  std::vector<fs::path> kept;
  for (const auto& file : files)
    if (!others || !isPicture(file) || RasterFile(file).grid().georeferenced) kept.push_back(file);
  return kept;
}

std::string idOf(ValueState s) {
  for (const auto& w : kStates)
    if (w.state == s) return w.id;
  return "unknown";
}

std::string titleOf(ValueState s) {
  for (const auto& w : kStates)
    if (w.state == s) return w.title;
  return kStates[0].title;
}

ValueState valueStateFrom(const std::string& id) {
  for (const auto& w : kStates)
    if (id == w.id) return w.state;
  return ValueState::Unknown;
}

const std::vector<ValueState>& allValueStates() {
  static const std::vector<ValueState> all = [] {
    std::vector<ValueState> v;
    for (const auto& w : kStates) v.push_back(w.state);
    return v;
  }();
  return all;
}

const std::vector<std::string>& knownRoles() {
  static const std::vector<std::string> roles{
      "coastal",    "blue",       "green",  "red",   "yellow", "pan",    "rededge", "rededge071",
      "rededge075", "rededge078", "nir",    "nir08", "nir09",  "cirrus", "swir16",  "swir22",
      "lwir",       "lwir11",     "lwir12", "vv",    "vh",     "hh",     "hv"};
  return roles;
}

void requireRole(const std::string& role) {
  const auto& known = knownRoles();
  if (std::find(known.begin(), known.end(), role) == known.end())
    throw Error("“{}” is not a band role.{} The roles are {}.", role, didYouMean(role, known),
                listed(known));
}

bool Scene::isRadar() const {
  return state == ValueState::BackscatterPower || state == ValueState::BackscatterDecibels ||
         bandOf("vv") >= 0 || bandOf("hh") >= 0;
}

int Scene::bandOf(const std::string& role) const {
  for (size_t i = 0; i < bands.size(); ++i)
    if (bands[i].role == role) return static_cast<int>(i);
  return -1;
}

std::vector<size_t> Scene::bandsOnOtherGrids() const {
  std::vector<size_t> others;
  std::map<fs::path, bool> same;  // by file
  for (size_t i = 0; i < bands.size(); ++i) {
    const auto& file = bands[i].file;
    if (!same.count(file)) same[file] = RasterFile(file).grid().moved(shift).sameAs(grid);
    if (!same[file]) others.push_back(i);
  }
  return others;
}

std::vector<std::string> Scene::roles() const {
  std::vector<std::string> all;
  for (const auto& b : bands)
    if (!b.role.empty()) all.push_back(b.role);
  return all;
}

Scene openScene(const fs::path& path, const SceneOptions& options) {
  std::error_code ec;
  Scene scene;
  if (fs::is_directory(path, ec)) {
    scene = openScene(filesIn(path));
    scene.name = asUtf8((path.has_filename() ? path : path.parent_path()).filename().string());
    if (const std::string date = dateIn(scene.name); !date.empty()) scene.date = date;
  } else if (lowered(path.extension().string()) == ".json") {
    scene = openStacItem(path);
  } else {
    scene = openScene(std::vector<fs::path>{path});
  }
  applyOptions(scene, options);
  return scene;
}

Scene openScene(const std::vector<fs::path>& files, const SceneOptions& options) {
  if (files.empty()) throw Error("No file was chosen; choose one or more rasters.");
  Scene scene;
  scene.name = asUtf8(files[0].stem().string());
  scene.date = dateIn(scene.name);
  for (const auto& file : files) {
    const auto parts = rastersIn(file);
    for (const auto& part : parts) {
      // Of the variables of one file, those on the grid of the first are its bands.
      const bool other =
          parts.size() > 1 && !scene.bands.empty() && !RasterFile(part).grid().sameAs(scene.grid);
      if (!other) appendBands(scene, part, files.size() > 1);
    }
  }
  keepFirstOfEachRole(scene);
  applyOptions(scene, options);
  return scene;
}

void moveScene(Scene& scene, Place by) {
  scene.shift.x += by.x, scene.shift.y += by.y;
  scene.grid = scene.grid.moved(by);
  const auto move = [&](Place& p) { p.x += by.x, p.y += by.y; };
  for (auto& shape : scene.maskRecipe.drawn)
    for (auto& ring : shape.rings)
      for (auto& p : ring) move(p);
  for (auto& seed : scene.maskRecipe.grown) move(seed.place);
}

Scene layerScene(const fs::path& file, const std::string& name, ValueState state) {
  Scene scene = openScene(std::vector<fs::path>{file});
  scene.bands.resize(1);
  scene.bands[0].role.clear();
  scene.name = name;
  scene.state = state;
  return scene;
}

void setRoles(Scene& scene, const std::map<std::string, int>& roles) {
  for (const auto& [role, number] : roles) {
    requireRole(role);
    if (number < 1 || number > static_cast<int>(scene.bands.size()))
      throw Error("There is no band {} for {}; “{}” has {} bands.", number, role, scene.name,
                  scene.bands.size());
  }
  for (const auto& [role, number] : roles) {
    for (auto& band : scene.bands)
      if (band.role == role) band.role.clear();
    scene.bands[static_cast<size_t>(number - 1)].role = role;
  }
}

namespace {
const Pattern& datePattern() {
  static const Pattern pattern(
      "((?:19|20)\\d\\d)[-_]?(0[1-9]|1[0-2])[-_]?(0[1-9]|[12]\\d|3[01])(?!\\d)");
  return pattern;
}
}  // namespace

std::string dateIn(const std::string& name) {
  const auto m = datePattern().in(name);
  return m ? m->group(1) + "-" + m->group(2) + "-" + m->group(3) : "";
}

std::string withoutDate(const std::string& name) {
  const auto m = datePattern().in(name);
  return m ? name.substr(0, m->at) + name.substr(m->at + m->length) : name;
}

namespace {

Json recipeJson(const MaskRecipe& r) {
  Json drawn = Json::array(), grown = Json::array();
  for (const auto& shape : r.drawn) drawn.push_back(shapeJson(shape));
  for (const auto& seed : r.grown)
    grown.push_back({{"x", seed.place.x}, {"y", seed.place.y}, {"tolerance", seed.tolerance}});
  return {{"edge", r.edge}, {"bits", r.bits}, {"values", r.values},
          {"drawn", drawn}, {"grown", grown}, {"widen", r.widen}};
}

MaskRecipe recipeFrom(const Json& j) {
  MaskRecipe r;
  r.edge = j.value("edge", false);
  r.bits = j.value("bits", std::vector<int>());
  r.values = j.value("values", std::vector<int>());
  r.widen = std::clamp(j.value("widen", 0), 0, kMostWidening);
  if (j.contains("drawn"))
    for (const auto& shape : j["drawn"]) r.drawn.push_back(shapeFrom(shape));
  if (j.contains("grown"))
    for (const auto& s : j["grown"])
      r.grown.push_back({{s.at("x"), s.at("y")}, s.at("tolerance").get<double>()});
  return r;
}

QualityBand qualityOf(const Json& j, const fs::path& base) {
  QualityBand q;
  q.file = base / j.at("file").get<std::string>();
  q.number = j.value("number", 1);
  if (j.contains("flags"))
    for (const auto& f : j["flags"])
      q.flags.push_back({f.at("name"), f.contains("bit"),
                         f.contains("bit") ? f["bit"] : f.at("value"), f.value("set_aside", true)});
  return q;
}

}  // namespace

namespace {
std::string namedFrom(const fs::path& base, const fs::path& file) {
  const fs::path whole = fs::absolute(file).lexically_normal();
  const fs::path r = whole.lexically_relative(base);
  return r.empty() || *r.begin() == ".." ? whole.string() : r.generic_string();
}
}  // namespace

void requireNames(const Scene& scene, const fs::path& base) {
  const auto require = [&](const fs::path& file) {
    const std::string name = file.empty() ? "" : namedFrom(base, file);
    if (!isUtf8(name))
      throw Error(
          "The name “{}” is no UTF-8, so that it cannot be written down; rename the file or its "
          "folder.",
          asUtf8(name));
  };
  for (const auto& b : scene.bands) require(b.file);
  require(scene.quality.file);
}

Json toJson(const Scene& scene, const fs::path& base) {
  const auto relative = [&](const fs::path& file) { return namedFrom(base, file); };
  Json bands = Json::array();
  for (const auto& b : scene.bands) {
    Json one = {{"file", relative(b.file)},
                {"number", b.number},
                {"name", b.name},
                {"role", b.role},
                {"wavelength", b.wavelength},
                {"scale", b.conversion.scale},
                {"offset", b.conversion.offset}};
    if (b.conversion.nodata) one["nodata"] = number(*b.conversion.nodata);
    if (!b.reduced.empty()) one["reduced"] = relative(b.reduced);
    bands.push_back(std::move(one));
  }
  Json json = {{"name", scene.name},
               {"sensor", scene.sensor},
               {"date", scene.date},
               {"values", idOf(scene.state)},
               {"bands", std::move(bands)}};
  if (scene.gridBand != 0) json["grid_band"] = scene.gridBand;
  if (scene.shift != Place{}) json["shift"] = {scene.shift.x, scene.shift.y};
  if (!scene.mask.empty()) {
    json["mask"] = recipeJson(scene.maskRecipe);
    json["mask"]["file"] = relative(scene.mask);
  }
  if (!scene.quality.file.empty()) {
    Json flags = Json::array();
    for (const auto& f : scene.quality.flags)
      flags.push_back(
          {{"name", f.name}, {f.bit ? "bit" : "value", f.at}, {"set_aside", f.setAside}});
    json["quality"] = {
        {"file", relative(scene.quality.file)}, {"number", scene.quality.number}, {"flags", flags}};
  }
  if (!scene.pass.empty()) json["pass"] = scene.pass;
  if (scene.incidence > 0) json["incidence"] = scene.incidence;
  return json;
}

Scene sceneFrom(const Json& json, const fs::path& base) {
  Scene scene;
  scene.name = json.at("name").get<std::string>();
  scene.sensor = json.value("sensor", "");
  scene.date = json.value("date", "");
  scene.state = valueStateFrom(json.value("values", "unknown"));
  for (const auto& b : json.at("bands")) {
    SceneBand band;
    band.file = base / b.at("file").get<std::string>();
    band.number = b.value("number", 1);
    band.name = b.value("name", "");
    band.role = b.value("role", "");
    band.wavelength = b.value("wavelength", 0.0);
    band.conversion.scale = b.value("scale", 1.0);
    band.conversion.offset = b.value("offset", 0.0);
    if (b.contains("nodata") && b["nodata"].is_number())
      band.conversion.nodata = b["nodata"].get<double>();
    if (b.contains("reduced")) band.reduced = base / b["reduced"].get<std::string>();
    scene.bands.push_back(std::move(band));
  }
  if (json.contains("empty_mask")) {  // as the first version wrote it
    scene.mask = base / json["empty_mask"].get<std::string>();
    scene.maskRecipe.edge = true;
  }
  if (json.contains("mask")) {
    scene.mask = base / json["mask"].at("file").get<std::string>();
    scene.maskRecipe = recipeFrom(json["mask"]);
  }
  if (json.contains("quality")) scene.quality = qualityOf(json["quality"], base);
  if (json.contains("shift"))
    scene.shift = {json["shift"].at(0).get<double>(), json["shift"].at(1).get<double>()};
  scene.pass = json.value("pass", "");
  scene.incidence = json.value("incidence", 0.0);
  if (scene.bands.empty()) throw Error("The scene “{}” has no bands.", scene.name);
  scene.gridBand = std::min(json.value("grid_band", size_t{0}), scene.bands.size() - 1);
  scene.grid = RasterFile(scene.bands[scene.gridBand].file).grid().moved(scene.shift);
  return scene;
}

const std::vector<Composite>& composites() {
  static const std::vector<Composite> all{
      {"natural", words("natural colour"), words("natural"), {"red", "green", "blue"}},
      {"vegetation",
       words("vegetation false colour"),
       words("vegetation"),
       {"nir", "red", "green"}},
      {"bare-soil", words("bare-soil false colour"), words("bare soil"), {"swir16", "nir", "blue"}},
      {"radar", words("radar colour"), words("radar"), {"vv", "vh", "vv"}}};
  return all;
}

std::vector<Composite> compositesOf(const Scene& scene) {
  std::vector<Composite> can;
  for (const auto& c : composites())
    if (std::all_of(c.roles.begin(), c.roles.end(),
                    [&](const std::string& r) { return scene.bandOf(r) >= 0; }))
      can.push_back(c);
  return can;
}

}  // namespace zp
