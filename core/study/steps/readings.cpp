#include "sampling/readings.h"

#include "base/error.h"
#include "base/text.h"
#include "grid/crs.h"
#include "sampling/feature_readings.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

/// Scenes give a column a band, with their own conversion; products one.
Readings readLayers(StepRun& r, const std::vector<std::string>& from,
                    const std::vector<Place>& places, const std::string& crs,
                    const Progress& progress) {
  Readings readings;
  for (size_t i = 0; i < from.size(); ++i) {
    if (r.study().scene(from[i]) != nullptr) {
      const Scene& s = r.sceneOf(from[i]);
      for (size_t b = 0; b < s.bands.size(); ++b) {
        readings.columns.push_back(s.name + " " + s.bands[b].name);
        readings.values.push_back(readBandAt(places, crs, s, b));
      }
    } else {
      const auto& p = r.sourceOf(from[i]);
      auto part = readAt(places, crs, {{p.file, 1, p.name}});
      readings.columns.push_back(p.name);
      readings.values.push_back(std::move(part.values[0]));
    }
    progress.at(static_cast<double>(i + 1) / static_cast<double>(from.size()));
  }
  return readings;
}

Product runReadings(StepRun& r) {
  const auto from = r.step().value("from", std::vector<std::string>()),
             lines = r.step().value("features", std::vector<std::string>());
  if (from.empty() && lines.empty()) throw Error("Nothing is chosen to read; choose one or more.");
  if (!lines.empty() && !r.step().contains("scene"))
    throw Error("Say whose features are read; this step names no scene.");
  const Layer layer = readLayer(r.source("points").file.string());
  const auto places = placesOf(layer);
  Table table = layer.table;
  const double half = lines.empty() ? 1 : from.empty() ? 0 : 0.5;
  if (!from.empty())
    appendTo(table, readLayers(r, from, places, layer.crs, r.progress().part(0, half)));
  if (!lines.empty())
    appendTo(table,
             readFeaturesAt(places, layer.crs, r.scope(), lines, r.progress().part(half, 1)));
  table.columns.insert(table.columns.begin() + 1, {"x", "y"});
  for (size_t i = 0; i < table.rows.size(); ++i)
    table.rows[i].insert(table.rows[i].begin() + 1, {shortest(places[i].x), shortest(places[i].y)});
  r.begin(ProductKind::Table, ".csv");
  writeFileAtomically(r.temporary, toCsv(table));
  r.product.facts = {
      {"rows", table.rows.size()}, {"columns", table.columns}, {"system", crsName(layer.crs)}};
  return r.finish();
}

}  // namespace

namespace steps {
extern const StepKind readings{
    "readings",
    "A table of values at points",
    {{"points", Holds::Product, true, "Where"},
     {"from", Holds::Layers, false,
      "Scenes, with all their bands, and products that are read there"},
     {"features", Holds::Texts, false, "And features, such as index(ndvi)"},
     {"scene", Holds::Scene, false, "Whose features need no name, and on whose grid they are read"},
     {"with", Holds::Named, false, "Other scenes and products that the features name"}},
    &runReadings};
}
}  // namespace zp
