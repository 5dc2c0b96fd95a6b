#include "sampling/readings.h"

#include "base/error.h"
#include "base/text.h"
#include "grid/crs.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

/// Scenes give a column a band, with their own conversion; products one.
Readings readAll(StepRun& r, const std::vector<Place>& places, const std::string& crs) {
  Readings readings;
  const auto from = r.step().at("from").get<std::vector<std::string>>();
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
    r.progress().at(static_cast<double>(i + 1) / static_cast<double>(from.size()));
  }
  return readings;
}

Product run(StepRun& r) {
  if (r.step().at("from").empty()) throw Error("Nothing is chosen to read; choose one or more.");
  const Layer layer = readLayer(r.source("points").file.string());
  const auto places = placesOf(layer);
  Table table = layer.table;
  appendTo(table, readAll(r, places, layer.crs));
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
extern const StepKind readings{"readings",
                               "A table of values at points",
                               {{"points", Holds::Product, true, "Where"},
                                {"from", Holds::Layers, true, "What is read there"}},
                               &run};
}
}  // namespace zp
