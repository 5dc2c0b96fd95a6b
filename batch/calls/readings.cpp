#include "sampling/readings.h"

#include "arguments.h"
#include "base/text.h"
#include "calls.h"
#include "feature/feature_kind.h"
#include "sampling/feature_readings.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

/// Points of a vector layer, or of a CSV with columns x and y.
std::vector<Place> placesOf(const Layer& layer, const std::string& name) {
  std::vector<Place> places;
  const bool shapes = std::any_of(layer.shapes.begin(), layer.shapes.end(),
                                  [](const Shape& s) { return !s.points.empty(); });
  if (shapes) {
    for (const auto& s : layer.shapes)
      places.push_back(s.points.empty() ? Place{NAN, NAN} : s.points[0]);
    return places;
  }
  const auto has = [&](const char* column) {
    return std::find(layer.table.columns.begin(), layer.table.columns.end(), column) !=
           layer.table.columns.end();
  };
  if (!has("x") || !has("y"))
    throw Error(
        "“{}” holds no points; give a layer of points, or a CSV with columns x and "
        "y in the system of the rasters.",
        name);
  const size_t x = layer.table.column("x"), y = layer.table.column("y");
  for (size_t r = 0; r < layer.table.rows.size(); ++r) {
    const auto px = parseNumber(trimmed(layer.table.rows[r][x])),
               py = parseNumber(trimmed(layer.table.rows[r][y]));
    if (!px || !py)
      throw Error("Row {} of “{}” has no number in x or y; mend it first.", r + 1, name);
    places.push_back({*px, *py});
  }
  return places;
}

/// Rasters, then features on the grid of the first scene.
Readings readAll(const std::vector<ReadingSource>& sources, const std::optional<Scope>& scope,
                 const std::vector<std::string>& features, const std::vector<Place>& places,
                 const std::string& crs, const Progress& progress) {
  const double half = !scope ? 1 : sources.empty() ? 0 : 0.5;
  Readings all;
  if (!sources.empty()) all = readAt(places, crs, sources, progress.part(0, half));
  if (!scope) return all;
  Readings more = readFeaturesAt(places, crs, *scope, features, progress.part(half, 1));
  all.columns.insert(all.columns.end(), more.columns.begin(), more.columns.end());
  all.values.insert(all.values.end(), more.values.begin(), more.values.end());
  return all;
}

struct ReadingsArguments {
  std::string places;
  std::vector<std::string> from, features;
  SceneArguments scenes;
  OutputArguments output;
};

Json runReadings(const ReadingsArguments& a, const Progress& progress) {
  std::vector<ReadingSource> sources;
  std::vector<fs::path> inputs{fileOfLayer(a.places)};
  for (const auto& name : a.from) {
    sources.push_back(readingSource(name));
    inputs.push_back(sources.back().file);
  }
  std::optional<Scope> scope;
  if (!a.features.empty()) {
    scope = a.scenes.scope();
    for (const auto& file : a.scenes.files(*scope)) inputs.push_back(file);
  }
  Outputs outputs(a.output.replace);
  fs::path temporary;
  if (!a.output.out.empty()) temporary = outputs.add(a.output.out, inputs);
  const Layer layer = readLayer(a.places);
  Table table = layer.table;
  const auto values =
      readAll(sources, scope, a.features, placesOf(layer, a.places), layer.crs, progress);
  appendTo(table, values);
  if (!temporary.empty()) {
    writeFileAtomically(temporary, toCsv(table));
    outputs.commit();
  }
  Json json{{"rows", table.rows.size()}, {"columns", table.columns}, {"outputs", names(outputs)}};
  if (temporary.empty()) {
    json["values"] = table.rows;
    Table shown = layer.table;
    appendTo(shown, values, true);
    json["csv"] = toCsv(shown);
  }
  return json;
}

}  // namespace

namespace calls {

Call readings(CLI::App& app) {
  auto* call = app.add_subcommand("readings", "Values of rasters and features at points");
  auto a = std::make_shared<ReadingsArguments>();
  call->add_option("PLACES", a->places, "Points: FILE, FILE:LAYER, or a CSV with x and y")
      ->required();
  call->add_option("--from", a->from, "Rasters to read: F.tif or F.tif:BAND");
  auto* features = call->add_option(
      "--features", a->features,
      "Features to read, on the grid of the first scene, such as index(ndvi); see zpatch features");
  auto* scenes = call->add_option("--scene", a->scenes.named,
                                  "A scene under a name, as name=SCENE. The features of the first "
                                  "need no name; of the others, as in index(ndvi) of name")
                     ->allow_extra_args(false);
  features->needs(scenes);
  scenes->needs(features);
  a->scenes.addReadingTo(*call);
  a->output.addTo(*call, "CSV to write; without it the table is printed", false);
  call->callback([a] {
    if (a->from.empty() && a->features.empty())
      throw CLI::ValidationError("readings", "give rasters with --from, or --features");
    if (a->features.empty()) return;
    for (const auto& line : a->features) argument("--features", [&] { parseFeature(line); });
  });
  return {call, [a](const Progress& progress) { return runReadings(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
