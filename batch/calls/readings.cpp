#include "sampling/readings.h"

#include "arguments.h"
#include "base/text.h"
#include "calls.h"
#include "sampling/attribute_readings.h"
#include "sampling/feature_readings.h"
#include "source_arguments.h"
#include "table_output.h"
#include "wrong_call.h"

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

Readings readAll(const SourceArguments& sources, const std::optional<Scope>& scope,
                 const std::vector<Place>& places, const std::string& crs, const ReadingMethod& how,
                 const Progress& progress) {
  const Halves halves(progress, sources);
  Readings all;
  if (!sources.from.empty()) all = readAt(places, crs, sources.rasters(), halves.rasters, how);
  if (scope) add(all, readFeaturesAt(places, crs, *scope, sources.features, halves.features, how));
  return all;
}

struct ReadingsArguments {
  std::string places, how = "nearest";
  std::vector<std::string> attributes, nearest;
  int window = 3;
  SourceArguments sources;
  OutputArguments output;
};

/// Of vector layers: columns beside those of a table of the same places.
std::vector<AttributeReadings> readAttributes(const ReadingsArguments& a, const Layer& layer,
                                              const std::vector<Place>& places,
                                              std::vector<std::string> taken,
                                              const Progress& progress) {
  Layer points{layer.name, layer.crs, {}, {}};
  for (const Place& p : places) points.shapes.push_back({{}, {p}});
  std::vector<AttributeReadings> all;
  for (const auto& [names, which] : {std::pair{&a.attributes, Attributes::OfPolygonAround},
                                     std::pair{&a.nearest, Attributes::OfNearest}})
    for (const auto& name : *names) {
      const std::string stem = fileOfLayer(name).stem().string();
      all.push_back(readAttributesAt(points, readLayer(name), stem, which, taken, progress));
      taken.insert(taken.end(), all.back().columns.begin(), all.back().columns.end());
    }
  return all;
}

Json runReadings(const ReadingsArguments& a, const Progress& progress) {
  const auto scope = a.sources.scope();
  auto inputs = a.sources.files(scope);
  inputs.push_back(fileOfLayer(a.places));
  for (const auto* names : {&a.attributes, &a.nearest})
    for (const auto& name : *names) inputs.push_back(fileOfLayer(name));
  Outputs outputs(a.output.replace);
  fs::path temporary;
  if (!a.output.out.empty()) temporary = outputs.add(a.output.out, inputs);
  const Layer layer = readLayer(a.places);
  const auto places = placesOf(layer, a.places);
  const auto values =
      readAll(a.sources, scope, places, layer.crs, readingMethod(a.how, a.window), progress);
  Table table = layer.table;
  appendTo(table, values);
  const auto attributes = readAttributes(a, layer, places, table.columns, progress.part(1, 1));
  const auto withAttributes = [&](Table& all) {
    for (const auto& one : attributes) appendTo(all, one);
  };
  withAttributes(table);
  if (!temporary.empty()) {
    writeFileAtomically(temporary, toCsv(table));
    outputs.commit();
  }
  Json json = told(table, outputs, [&] {
    Table shown = layer.table;
    appendTo(shown, values, true);
    withAttributes(shown);
    return toCsv(shown);
  });
  for (size_t c = 0; c < values.distinct.size(); ++c)
    json["distinct_pixels"].push_back(
        {{"column", values.columns[c]}, {"pixels", values.distinct[c]}});
  for (const auto& one : attributes)
    json["attributes"].push_back(
        {{"columns", one.columns}, {"none", one.none}, {"several", one.several}});
  return json;
}

}  // namespace

namespace calls {

Call readings(CLI::App& app) {
  auto* call = app.add_subcommand("readings", "Values of rasters and features at points");
  auto a = std::make_shared<ReadingsArguments>();
  call->add_option("PLACES", a->places, "Points: FILE, FILE:LAYER, or a CSV with x and y")
      ->required();
  a->sources.addTo(*call);
  call->add_option("--attributes", a->attributes,
                   "Polygons whose columns are told of the one a point lies in: FILE or FILE:LAYER")
      ->allow_extra_args(false);
  call->add_option("--nearest", a->nearest,
                   "Polygons, lines or points whose columns are told of the nearest, and its "
                   "distance in metres")
      ->allow_extra_args(false);
  call->add_option("--how", a->how,
                   "The pixel a point lies in (nearest), between the four nearest (bilinear), or "
                   "the mean of a window around it (mean)")
      ->check(oneOf("way to read", {"nearest", "bilinear", "mean"}))
      ->capture_default_str();
  call->add_option("--window", a->window, "Of a mean: pixels across, odd")->capture_default_str();
  a->output.addTo(*call, "CSV to write; without it the table is printed", false);
  call->callback([a] {
    if (a->attributes.empty() && a->nearest.empty()) a->sources.require("readings");
    argument("--window", [&] { readingMethod(a->how, a->window); });
  });
  return {call, [a](const Progress& progress) { return runReadings(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
