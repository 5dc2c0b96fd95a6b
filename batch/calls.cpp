#include "calls.h"

#include <fmt/format.h>

#include <fstream>
#include <limits>

#include "accuracy/stratified_estimate.h"
#include "arguments.h"
#include "base/error.h"
#include "base/outputs.h"
#include "base/text.h"
#include "feature/compute_index.h"
#include "feature/feature_kind.h"
#include "grid/block_pipeline.h"
#include "grid/raster_writer.h"
#include "index/index_book.h"
#include "index/threshold.h"
#include "legend/class_map.h"
#include "outline/class_polygons.h"
#include "sampling/feature_readings.h"
#include "sampling/plan.h"
#include "sampling/readings.h"
#include "scene/band_reader.h"
#include "scene/sensor.h"
#include "wrong_call.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

Call look(CLI::App& app) {
  auto* call = app.add_subcommand("look", "Facts of a scene: size, system, bands, statistics");
  auto a = std::make_shared<SceneArguments>();
  a->addTo(*call);
  return {call, [a](const Progress& progress) {
            const Scene scene = a->open();
            std::vector<Statistics> statistics(scene.bands.size());
            const BandReader reader(scene, {});
            reduceBlocks(reader, progress, [&](const BandBlock& block) {
              for (size_t b = 0; b < block.bands; ++b)
                statistics[b].add(block.band(b), block.window.pixels());
            });
            Json bands = Json::array();
            for (size_t b = 0; b < scene.bands.size(); ++b) {
              const auto& band = scene.bands[b];
              Json one = {{"number", b + 1},
                          {"name", band.name},
                          {"role", band.role.empty() ? Json(nullptr) : Json(band.role)},
                          {"nodata", band.conversion.nodata ? number(*band.conversion.nodata)
                                                            : Json(nullptr)}};
              one.update(toJson(statistics[b]));
              bands.push_back(std::move(one));
            }
            const std::string crs = crsName(scene.grid.crs);
            return Json{{"width", scene.grid.width},
                        {"height", scene.grid.height},
                        {"crs", crs.empty() ? Json(nullptr) : Json(crs)},
                        {"pixel_size", {scene.grid.pixelWidth(), scene.grid.pixelHeight()}},
                        {"values", idOf(scene.state)},
                        {"date", scene.date.empty() ? Json(nullptr) : Json(scene.date)},
                        {"bands", bands},
                        {"outputs", Json::array()}};
          }};
}

struct IndexArguments {
  SceneArguments scene;
  OutputArguments output;
  std::string index, formula, outline;
  bool inside = false, list = false;
};

Json runIndex(const IndexArguments& a, const Progress& progress) {
  const Scope scope = a.scene.scope();
  const Scene& scene = scope.scenes[0].scene;
  if (a.list) {
    Json list = Json::array();
    for (const auto& e : indexBook())
      list.push_back({{"id", e.id},
                      {"abbreviation", e.abbreviation},
                      {"group", e.group},
                      {"name", e.name},
                      {"range", {e.low, e.high}},
                      {"source", e.source},
                      {"formula", e.formula},
                      {"missing", missingRoles(e, scene)}});
    return Json{{"indices", list}, {"outputs", Json::array()}};
  }
  std::string text = a.formula, name = "formula";
  if (!a.index.empty()) {
    const auto& entry = indexEntry(a.index);
    const auto missing = missingRoles(entry, scene);
    if (!missing.empty())
      throw Error(
          "“{}” has no {} band, which {} needs; give it with --roles or "
          "--sensor.",
          scene.name, listed(missing), entry.name);
    text = formulaFor(entry, scope.scenes[0].scene);
    name = entry.name;
  }
  const Formula formula = formulaFrom(text, scope.names());
  Outputs outputs(a.output.replace);
  const fs::path temporary = outputs.add(a.output.out, a.scene.files(scope));
  const auto inside = insideFrom(a.outline, scope.grid.crs);
  Json result =
      toJson(computeIndex(scope, formula, name, temporary, inside ? &*inside : nullptr, progress));
  result["warnings"] = Json::array();
  for (const auto& w : warningsFor(scope, formula)) result["warnings"].push_back(w.text());
  outputs.commit();
  result["outputs"] = names(outputs);
  return result;
}

Call index(CLI::App& app) {
  auto* call = app.add_subcommand("index", "Compute an index or a formula of band roles");
  auto a = std::make_shared<IndexArguments>();
  a->scene.addTo(*call, true);
  a->output.addTo(*call, "GeoTIFF to write", false);
  auto* index =
      call->add_option("--index", a->index, "An index of the book, by its id or abbreviation");
  call->add_option("--formula", a->formula, "A formula, such as (nir - red) / (nir + red)")
      ->excludes(index);
  auto* outline = call->add_option("--outline", a->outline, "Polygons: FILE or FILE:LAYER");
  call->add_flag("--inside", a->inside, "Keep only pixels inside the outline")->needs(outline);
  call->add_flag("--list", a->list, "List the indices this scene can and cannot do");
  call->callback([a] {
    if (a->scene.scene.empty() && a->scene.named.empty())
      throw CLI::ValidationError("index",
                                 "give a SCENE, or scenes under names with --scene name=SCENE");
    if (a->list) return;
    if (a->index.empty() && a->formula.empty())
      throw CLI::ValidationError("index", "give --index ID or --formula TEXT (or --list)");
    if (!a->index.empty()) argument("--index", [&] { indexEntry(a->index); });
    if (a->output.out.empty()) throw CLI::RequiredError("--out");
    if (!a->outline.empty() && !a->inside)
      throw CLI::ValidationError("--outline", "say --inside to cut to the outline");
  });
  return {call, [a](const Progress& progress) { return runIndex(*a, progress); }};
}

struct ThresholdArguments {
  std::string raster, at, names, polygons, keep;
  PolygonOptions shape;
  OutputArguments output;
};

Json runThreshold(const ThresholdArguments& a, const Progress& progress) {
  const auto source = readingSource(a.raster);
  const int bands = RasterFile(source.file).bands();
  if (source.band == 0 && bands > 1)
    throw Error("“{}” has {} bands; name one as {}:BAND.", a.raster, bands, a.raster);
  std::vector<double> at;
  for (const auto& part : split(a.at, ',')) {
    const auto t = parseNumber(part);
    if (!t) throw CLI::ValidationError("--at", fmt::format("“{}” is not a number.", part));
    at.push_back(*t);
  }
  Legend legend;
  for (const auto& name : split(a.names, ',')) {
    if (name.empty())
      throw CLI::ValidationError("--names", "A class has no name; give every class one.");
    for (const auto& c : legend.classes)
      if (c.name == name)
        throw CLI::ValidationError(
            "--names", fmt::format("Two classes are called “{}”; give each its own name.", name));
    legend.addMissing(legend.firstFreeCode(), name);
  }
  std::map<int, std::string> keep;
  for (const auto& c : legend.classes) keep[c.code] = c.name;
  if (!a.keep.empty()) {
    keep.clear();
    const auto all = split(a.names, ',');
    for (const auto& name : split(a.keep, ',')) {
      const auto found = std::find(all.begin(), all.end(), name);
      if (found == all.end())
        throw CLI::ValidationError("--keep", fmt::format("There is no class “{}” to keep.{}", name,
                                                         didYouMean(name, all)));
      keep[static_cast<int>(found - all.begin()) + 1] = name;
    }
  }
  argument("--at", [&] { requireRising(at, legend); });
  Outputs outputs(a.output.replace);
  const fs::path temporary = outputs.add(a.output.out, {source.file});
  fs::path vector;
  if (!a.polygons.empty()) vector = outputs.add(a.polygons, {source.file});
  thresholdToClasses(source.file, std::max(1, source.band), at, legend, temporary,
                     progress.part(0, 0.6));
  if (!vector.empty())
    writeLayer(vector, a.polygons, classPolygons(temporary, keep, progress.part(0.6, 0.9), a.shape),
               {FieldType::Integer, FieldType::Text, FieldType::Real});
  const Json areas = toJson(classAreas(temporary, legend, progress.part(0.9, 1)));
  outputs.commit();
  return Json{{"classes", areas}, {"outputs", names(outputs)}};
}

Call threshold(CLI::App& app) {
  auto* call = app.add_subcommand("threshold", "Cut a raster into classes at rising thresholds");
  auto a = std::make_shared<ThresholdArguments>();
  call->add_option("RASTER", a->raster, "F.tif or F.tif:BAND")->required();
  call->add_option("--at", a->at, "Thresholds, rising, separated by commas")->required();
  call->add_option("--names", a->names, "Class names, one more than thresholds")->required();
  a->output.addTo(*call, "Class map to write");
  auto* polygons =
      call->add_option("--polygons", a->polygons, "Vector file for polygons of classes");
  call->add_option("--keep", a->keep, "Names of the classes that become polygons")->needs(polygons);
  call->add_option("--smallest", a->shape.smallest,
                   "Leave out polygons below so many square metres")
      ->needs(polygons)
      ->check(numberFrom(0));
  call->add_option("--smooth", a->shape.smoothing, "Cut the corners of polygons, so many rounds")
      ->needs(polygons)
      ->check(wholeNumber(0, 5));
  return {call, [a](const Progress& progress) { return runThreshold(*a, progress); }};
}

Call areas(CLI::App& app) {
  auto* call = app.add_subcommand("areas", "Pixels and area per class of a class map");
  auto map = std::make_shared<std::string>();
  call->add_option("MAP", *map, "A class map: M.tif or M.tif:BAND")->required();
  return {call, [map](const Progress& progress) {
            const ClassMapArgument of(*map);
            return Json{{"classes", toJson(classAreas(of.file, {}, progress, of.band))},
                        {"outputs", Json::array()}};
          }};
}

struct PointsArguments {
  std::string plan, over, inside;
  size_t count = 0, perClass = 0;
  double apart = 0;
  uint64_t seed = 1;
  bool withClass = false;
  OutputArguments output;
};

Json runPoints(const PointsArguments& a, const Progress& progress) {
  SamplingPlan plan;
  plan.kind = a.plan == "stratified" ? PlanKind::Stratified : PlanKind::Random;
  plan.count = a.plan == "stratified" ? a.perClass : a.count;
  plan.seed = a.seed;
  if (a.apart > 0) plan.apart = a.apart;
  const auto over = readingSource(a.over);
  std::vector<fs::path> inputs{over.file};
  if (!a.inside.empty()) inputs.push_back(fileOfLayer(a.inside));
  Outputs outputs(a.output.replace);
  const fs::path temporary = outputs.add(a.output.out, inputs);
  std::optional<Layer> inside;
  if (!a.inside.empty()) inside = readLayer(a.inside, RasterFile(over.file).grid().crs);
  const auto placed =
      placePoints(over.file, plan, inside ? &*inside : nullptr, progress, over.band);
  const Layer layer = toLayer(placed, a.withClass);
  std::vector<FieldType> types{FieldType::Integer};
  if (a.withClass) types.insert(types.end(), {FieldType::Integer, FieldType::Text});
  writeLayer(temporary, a.output.out, layer, types);
  outputs.commit();
  Json perClass = Json::array();
  for (const auto& [code, n] : placed.perClass) {
    const auto* known = placed.legend.find(code);
    perClass.push_back({{"code", code},
                        {"name", known ? known->name : fmt::format("class {}", code)},
                        {"points", n}});
  }
  return Json{
      {"points", placed.points.size()}, {"per_class", perClass}, {"outputs", names(outputs)}};
}

Call points(CLI::App& app) {
  auto* call = app.add_subcommand("points", "Place points over a raster");
  auto a = std::make_shared<PointsArguments>();
  call->add_option("--plan", a->plan, "random or stratified (per class of a class map)")
      ->required()
      ->check(oneOf("plan", {"random", "stratified"}));
  call->add_option("--over", a->over, "Raster to place points on: F.tif or F.tif:BAND")->required();
  call->add_option("--inside", a->inside, "Polygons: FILE or FILE:LAYER");
  auto* count = call->add_option("--count", a->count, "Points in all (random)")
                    ->check(wholeNumber(1, 100'000'000));
  call->add_option("--per-class", a->perClass, "Points in each class (stratified)")
      ->check(wholeNumber(1, 100'000'000))
      ->excludes(count);
  call->add_option("--apart", a->apart, "Smallest spacing, in the unit of the raster's system")
      ->check(numberAbove(0));
  call->add_option("--seed", a->seed, "Seed of the random numbers")
      ->required()
      ->check(wholeNumber(0, std::numeric_limits<long long>::max()));
  call->add_flag("--with-class", a->withClass, "Write the class of the map too");
  a->output.addTo(*call, "Vector file to write (.gpkg, .geojson, .csv)");
  call->callback([a] {
    const bool stratified = a->plan == "stratified";
    if (stratified && a->perClass == 0) throw CLI::RequiredError("--per-class");
    if (!stratified && a->count == 0) throw CLI::RequiredError("--count");
    if (!stratified && a->withClass)
      throw CLI::ValidationError("--with-class", "goes with --plan stratified");
  });
  return {call, [a](const Progress& progress) { return runPoints(*a, progress); }};
}

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

Call matrix(CLI::App& app) {
  struct Arguments {
    std::string table, reference, mapped, strata;
    OutputArguments output;
  };
  auto* call = app.add_subcommand("matrix", "Confusion matrix of a table of points");
  auto a = std::make_shared<Arguments>();
  call->add_option("TABLE", a->table, "A CSV or vector layer")->required();
  call->add_option("--reference", a->reference, "Field with the reference label")->required();
  call->add_option("--mapped", a->mapped, "Field with the class of the map")->required();
  call->add_option("--strata", a->strata, "Class map the points were drawn on, to weight by area");
  a->output.addTo(*call, "CSV to write", false);
  return {call, [a](const Progress& progress) {
            Outputs outputs(a->output.replace);
            fs::path temporary;
            if (!a->output.out.empty())
              temporary = outputs.add(a->output.out, {fileOfLayer(a->table)});
            const Table table = readTable(a->table);
            Legend legend;
            std::optional<ClassMapArgument> strata;
            if (!a->strata.empty()) {
              strata.emplace(a->strata);
              legend = legendOf(RasterFile(strata->file), strata->band);
            }
            const auto m = confusionMatrix(pairsFrom(table, a->mapped, a->reference), legend);
            Json json = toJson(m);
            if (strata) {
              std::map<int, double> mapped;
              for (const auto& c : classAreas(strata->file, {}, progress, strata->band))
                mapped[c.code] = c.area;
              if (!mapped.empty() && std::isnan(mapped.begin()->second))
                throw Error(
                    "“{}” has no reference system, so areas are not known; give it one "
                    "first.",
                    a->strata);
              const auto e = stratifiedEstimate(m, mapped);
              json["weighted"] = toJson(e);
              Json areas = Json::array();
              for (size_t i = 0; i < m.codes.size(); ++i)
                areas.push_back({{"code", m.codes[i]},
                                 {"area_m2", number(e.area[i].value)},
                                 {"interval", {number(e.area[i].low), number(e.area[i].high)}}});
              json["areas"] = areas;
            }
            if (!temporary.empty()) {
              writeFileAtomically(temporary, toCsv(toTable(m)));
              outputs.commit();
            }
            json["outputs"] = names(outputs);
            return json;
          }};
}

}  // namespace

std::vector<Call> addCalls(CLI::App& app) {
  std::vector<Call> calls{look(app),   index(app),    threshold(app), areas(app),
                          points(app), readings(app), matrix(app)};
  for (auto* more : {&addMapCalls, &addSceneCalls, &addStudyCalls})
    for (auto& call : more(app)) calls.push_back(std::move(call));
  return calls;
}

}  // namespace zp
