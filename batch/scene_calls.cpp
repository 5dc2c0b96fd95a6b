// The calls that make scenes and class maps out of others: import, composite, change.
#include <fmt/format.h>

#include "arguments.h"
#include "base/text.h"
#include "calls.h"
#include "feature/feature_kind.h"
#include "index/class_change.h"
#include "index/import_classes.h"
#include "scene/combine.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

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

struct ImportArguments {
  SceneArguments scene;
  OutputArguments output;
  std::string bands, type = "float32", legend, match, field, like;
  std::optional<double> scale, offset;  // as it is written
};

CodeMatch matchFrom(const ImportArguments& a,
                    const std::vector<std::pair<std::string, std::string>>& theirs,
                    const Legend& legend) {
  if (a.match.empty()) return suggestMatch(theirs, legend);
  CodeMatch match;
  for (const auto& [code, ours] : pairsFrom("--match", a.match))
    argument("--match",
             [&, code = code, ours = ours] { match[code] = classCode(ours, "--match"); });
  return match;
}

/// A class map made elsewhere, its codes matched with a legend of ours.
Json importClassMap(const ImportArguments& a, const Progress& progress) {
  const Legend legend = readLegend(a.legend);
  if (a.field.empty() && (!a.like.empty() || fileOfLayer(a.scene.scene) != a.scene.scene))
    throw CLI::ValidationError(
        "import", "polygons need --like RASTER for the grid and --class-field FIELD for the class");
  Outputs outputs(a.output.replace);
  const auto file = outputs.add(a.output.out, {fileOfLayer(a.scene.scene), a.legend});
  CodeMatch match;
  std::vector<std::pair<std::string, std::string>> theirs;
  if (a.field.empty()) {
    theirs = classesIn(a.scene.scene, progress.part(0, 0.3));
    match = matchFrom(a, theirs, legend);
    importClasses(a.scene.scene, match, legend, file, progress.part(0.3, 0.8));
  } else {
    const Grid grid = RasterFile(a.like).grid();
    const Layer layer = readLayer(a.scene.scene, grid.crs);
    theirs = classesIn(layer, a.field);
    match = matchFrom(a, theirs, legend);
    importClasses(layer, a.field, match, grid, legend, file, progress.part(0.3, 0.8));
  }
  const Json areas = toJson(classAreas(file, legend, progress.part(0.8, 1)));
  outputs.commit();
  Json matched = Json::object();
  for (const auto& [code, ours] : match) matched[code] = ours;
  std::vector<std::string> left;
  for (const auto& [code, name] : theirs)
    if (match.count(code) == 0) left.push_back(code);
  Json warnings = Json::array();
  if (!left.empty())
    warnings.push_back(fmt::format(
        "No class of the legend has {}; there is no data there now. Match with --match.",
        listed(left)));
  return {{"match", matched},
          {"left", left},
          {"warnings", warnings},
          {"classes", areas},
          {"outputs", names(outputs)}};
}

/// Bands of a scene as one file, with their roles and the state of their values.
Json importBands(const ImportArguments& a, const Progress& progress) {
  const Scene scene = a.scene.open();
  const auto bands = bandsNamed(a.bands, scene);
  SceneSpec spec = specLike(scene, bands);
  argument("--type", [&] { spec.type = numberTypeFrom(a.type); });
  // Whole numbers are written as they were read, where nothing else is said.
  const auto& as = scene.bands.at(bands.at(0)).conversion;
  spec.scale = a.scale.value_or(as.scale), spec.offset = a.offset.value_or(as.offset);
  Outputs outputs(a.output.replace);
  const auto file = outputs.add(a.output.out, filesOf(scene));
  std::vector<BandSource> sources;
  for (const size_t b : bands) sources.push_back({&scene, b});
  const size_t lost = stackBands(sources, spec, file, progress);
  outputs.commit();
  Json facts = factsOf(a.output.out, outputs);
  facts["lost"] = lost;
  facts["warnings"] = Json::array();
  if (lost > 0)
    facts["warnings"].push_back(
        fmt::format("{} values do not fit {} with this scale and offset and became no data; "
                    "choose others with --type, --store-scale and --store-offset.",
                    lost, a.type));
  return facts;
}

Call import(CLI::App& app) {
  auto* call = app.add_subcommand(
      "import", "Bring bands together as one file, or a class map made elsewhere");
  auto a = std::make_shared<ImportArguments>();
  a->scene.addTo(*call);
  a->output.addTo(*call, "GeoTIFF to write");
  call->add_option("--bands", a->bands, "Band numbers, such as 1,2,5; all by default");
  call->add_option("--type", a->type, "Number type: byte, uint16, int16 or float32");
  call->add_option("--store-scale", a->scale,
                   "Of the whole numbers written: stored x scale + offset is the value; as read by "
                   "default");
  call->add_option("--store-offset", a->offset, "See --store-scale");
  auto* legend =
      call->add_option("--legend", a->legend, "A legend: what is brought in is a class map");
  call->add_option("--match", a->match, "Codes as theirs=ours; by name, then by code, by default")
      ->needs(legend);
  auto* like = call->add_option("--like", a->like, "Raster whose grid polygons are brought onto");
  call->add_option("--class-field", a->field, "Field of a vector layer that holds the class")
      ->needs(legend)
      ->needs(like);
  return {call, [a](const Progress& progress) {
            return a->legend.empty() ? importBands(*a, progress) : importClassMap(*a, progress);
          }};
}

/// A scene of some of its bands, in the order given.
void keepBands(Scene& scene, const std::vector<size_t>& bands) {
  std::vector<SceneBand> kept;
  for (const size_t b : bands) kept.push_back(scene.bands[b]);
  // The grid stays where one of them has it, else it is that of the first.
  const auto lies = [&](const SceneBand& b) {
    return RasterFile(b.file).grid().moved(scene.shift);
  };
  scene.gridBand = 0;
  for (size_t i = 0; i < kept.size(); ++i)
    if (lies(kept[i]).sameAs(scene.grid)) {
      scene.gridBand = i;
      break;
    }
  scene.grid = lies(kept[scene.gridBand]);
  scene.bands = std::move(kept);
}

Call composite(CLI::App& app) {
  struct Arguments {
    std::vector<std::string> scenes;
    std::string how = "median", bands;
    SceneArguments reading;
    OutputArguments output;
  };
  auto* call = app.add_subcommand(
      "composite", "One scene out of several: median or greenest over dates, or joined");
  auto a = std::make_shared<Arguments>();
  call->add_option("SCENES", a->scenes, "Two or more scenes; the result lies on the first's grid")
      ->required();
  call->add_option("--how", a->how, "median, greenest (highest vegetation index) or join (mosaic)")
      ->check(oneOf("way to combine", {"median", "greenest", "join"}));
  a->reading.addReadingTo(*call);
  call->add_option("--bands", a->bands, "Band numbers to combine, such as 1,2,5; all by default");
  a->output.addTo(*call, "GeoTIFF to write");
  return {call, [a](const Progress& progress) {
            std::vector<Scene> scenes;
            std::vector<fs::path> inputs;
            for (const auto& path : a->scenes) {
              scenes.push_back(a->reading.open(path));
              keepBands(scenes.back(), bandsNamed(a->bands, scenes.back()));
              for (const auto& f : filesOf(scenes.back())) inputs.push_back(f);
            }
            Outputs outputs(a->output.replace);
            const auto file = outputs.add(a->output.out, inputs);
            const auto combine = a->how == "join"       ? &joinScenes
                                 : a->how == "greenest" ? &greenestOfDates
                                                        : &medianOfDates;
            combine(scenes, file, progress);
            outputs.commit();
            return factsOf(a->output.out, outputs);
          }};
}

Call change(CLI::App& app) {
  struct Arguments {
    std::vector<std::string> maps;
    int code = 0;
    OutputArguments output;
  };
  auto* call = app.add_subcommand("change", "What became of each class between class maps");
  auto a = std::make_shared<Arguments>();
  call->add_option("MAPS", a->maps,
                   "Two class maps, the earlier first; or more, in order, with --class")
      ->required();
  call->add_option("--class", a->code,
                   "Code of the class to follow: gained, lost and kept; of more "
                   "than two maps, how often a pixel was of it")
      ->check(wholeNumber(1, 65535));
  a->output.addTo(*call, "GeoTIFF to write", false);
  call->callback([a] {
    if (a->maps.size() < 2) throw CLI::ValidationError("change", "give two class maps or more");
    if (a->maps.size() > 2 && (a->code == 0 || a->output.out.empty()))
      throw CLI::ValidationError("change", "more than two maps need --class and --out");
  });
  return {call, [a](const Progress& progress) {
            std::vector<fs::path> maps(a->maps.begin(), a->maps.end());
            Outputs outputs(a->output.replace);
            fs::path file;
            if (!a->output.out.empty()) file = outputs.add(a->output.out, maps);
            Json json;
            if (maps.size() == 2) {
              json = toJson(classChange(maps[0], maps[1], a->code, file, progress));
            } else {
              std::vector<std::string> dates;
              for (const auto& m : maps) dates.push_back(m.stem().string());
              classHistory(maps, dates, a->code, {file, {}, {}}, progress);
              json = {{"dates", dates}};
            }
            outputs.commit();
            json["outputs"] = names(outputs);
            return json;
          }};
}

}  // namespace

std::vector<Call> addSceneCalls(CLI::App& app) {
  return {import(app), composite(app), change(app)};
}

}  // namespace zp
