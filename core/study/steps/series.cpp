#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "base/text.h"
#include "feature/compute_index.h"
#include "index/threshold.h"
#include "legend/class_map.h"
#include "outline/scanline.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

size_t pixelsIn(const Layer& outline, const Grid& grid) {
  const InsideMask mask(outline.shapes, grid);
  std::vector<uint8_t> row;
  size_t n = 0;
  for (int y = 0; y < grid.height; ++y) {
    mask.fill({0, y, grid.width, 1}, row);
    n += static_cast<size_t>(std::count(row.begin(), row.end(), uint8_t{1}));
  }
  return n;
}

/// The areas of one date, its mean, and the share of the place that could be used.
std::vector<std::string> rowOf(StepRun& r, const std::string& id, const Legend& legend,
                               const Progress& progress) {
  const Scope scope = r.scopeOf(id);
  const Scene& scene = scope.scenes[0].scene;
  const Formula f = parseFormula(r.step().at("formula"), scope.names());
  Outputs scratch(true);
  const auto index = scratch.add(r.temporary.string() + ".index.tif"),
             map = scratch.add(r.temporary.string() + ".map.tif");
  const auto inside = r.inside(scope.grid.crs);
  const auto st =
      computeIndex(scope, f, "index", index, inside ? &*inside : nullptr, progress.part(0, 0.6));
  thresholdToClasses(index, 1, r.step().at("at").get<std::vector<double>>(), legend, map,
                     progress.part(0.6, 0.8));
  std::vector<std::string> row{scene.date.substr(0, 10), scene.name};
  for (const auto& c : classAreas(map, legend, progress.part(0.8, 1)))
    row.push_back(shortest(c.area / 10000));
  row.push_back(shortest(st.mean));
  const double seen = inside ? static_cast<double>(pixelsIn(*inside, scope.grid))
                             : static_cast<double>(st.valid + st.empty);
  row.push_back(shortest(seen > 0 ? static_cast<double>(st.valid) / seen : NAN));
  return row;
}

Product runSeries(StepRun& r) {
  if (r.step().at("scenes").empty()) throw Error("No scene is chosen; choose one or more.");
  const Legend legend = legendOfStep(r.step().at("classes"));
  requireRising(r.step().at("at").get<std::vector<double>>(), legend);
  r.begin(ProductKind::Areas, ".csv");
  Table table{{"date", "scene"}, {}};
  for (const auto& c : legend.classes) table.columns.push_back(c.name + " ha");
  for (const char* extra : {"mean", "usable share"}) table.columns.emplace_back(extra);
  const auto& ids = r.step().at("scenes");
  const auto n = static_cast<double>(ids.size());
  for (size_t i = 0; i < ids.size(); ++i)
    table.rows.push_back(
        rowOf(r, ids[i], legend,
              r.progress().part(static_cast<double>(i) / n, static_cast<double>(i + 1) / n)));
  std::sort(table.rows.begin(), table.rows.end());
  writeFileAtomically(r.temporary, toCsv(table));
  r.product.facts = {{"rows", table.rows.size()}, {"columns", table.columns}};
  return r.finish();
}

}  // namespace

namespace steps {
extern const StepKind series{
    "series",
    "A table of areas: the same formula and thresholds over scenes of many dates",
    {{"scenes", Holds::Scenes, true, "The dates"},
     {"formula", Holds::Text, true, "Such as ndiff(nir, red)"},
     {"at", Holds::Numbers, true, "Thresholds, rising"},
     {"classes", Holds::Classes, true, "From low to high, one more than thresholds"},
     {"inside", Holds::Outline, false, "To cut to"}},
    &runSeries};
}
}  // namespace zp
