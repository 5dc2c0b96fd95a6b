// Steps that compare dates and layers, and that make class maps by rules.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "base/text.h"
#include "grid/raster_writer.h"
#include "index/class_change.h"
#include "index/compare_layers.h"
#include "index/compute_index.h"
#include "index/histogram.h"
#include "index/rules.h"
#include "index/threshold.h"
#include "legend/class_map.h"
#include "outline/scanline.h"
#include "study/making.h"
#include "study/study_scope.h"

namespace zp {
namespace {

LegendClass classFrom(const Json& j, int code) {
  LegendClass c;
  c.code = j.value("code", code);
  c.name = j.at("name");
  c.colour = colourFrom(j.at("colour"));
  return c;
}

Product rules(const Study& study, const Json& step, const Progress& progress, const Product* into) {
  Making making(study, step, ProductKind::ClassMap, ".tif", into);
  const auto with = step.value("with", std::map<std::string, std::string>());
  const Scope scope = studyScope(study, step.at("scene"), with);
  making.uses(study, step["scene"]);
  for (const auto& [name, id] : with) making.uses(study, id);
  usesDelivery(making, study);
  making.product.date = scope.scenes[0].scene.date;
  std::vector<Rule> all;
  for (const auto& r : step.at("rules"))
    all.push_back({r.at("when"), classFrom(r, static_cast<int>(all.size()) + 1)});
  LegendClass otherwise;
  if (step.contains("otherwise"))
    otherwise = classFrom(step["otherwise"], static_cast<int>(all.size()) + 1);
  const auto inside = insideOf(making, study, scope.grid.crs);
  rulesToClasses(scope, all, otherwise, making.temporary, inside ? &*inside : nullptr,
                 progress.part(0, 0.8));
  finishClassMap(making, progress.part(0.8, 1));
  return making.finish();
}

std::string dayOf(const Product& p) {
  return p.date.empty() ? p.name : p.date.substr(0, 10);
}

Product change(const Study& study, const Json& step, const Progress& progress,
               const Product* into) {
  Making making(study, step, ProductKind::ClassMap, ".tif", into);
  const auto &a = needProduct(study, step.at("from")), &b = needProduct(study, step.at("to"));
  making.uses(study, a.id);
  making.uses(study, b.id);
  making.product.date = b.date;
  making.product.facts = {{"change", toJson(classChange(a.file, b.file, step.value("code", 0),
                                                        making.temporary, progress.part(0, 0.8)))},
                          {"from", dayOf(a)},
                          {"to", dayOf(b)}};
  finishClassMap(making, progress.part(0.8, 1));
  return making.finish();
}

/// "what": times, first or last.
Product history(const Study& study, const Json& step, const Progress& progress,
                const Product* into) {
  const std::string what = step.value("what", "times");
  Making making(study, step, what == "times" ? ProductKind::Quantity : ProductKind::ClassMap,
                ".tif", into);
  std::vector<std::filesystem::path> maps;
  std::vector<std::string> dates;
  for (const auto& id : step.at("maps")) {
    const auto& p = needProduct(study, id);
    making.uses(study, p.id);
    maps.push_back(p.file);
    dates.push_back(dayOf(p));
  }
  HistoryFiles files;
  (what == "times" ? files.times : what == "first" ? files.first : files.last) = making.temporary;
  classHistory(maps, dates, step.at("code"), files, progress.part(0, 0.7));
  if (what == "times") {
    making.product.facts["unit"] = "times";
    making.product.ramp = "dusk";
    finishPicture(making, histogramOf(making.temporary, 1, 16, progress.part(0.7, 1)).statistics);
  } else {
    finishClassMap(making, progress.part(0.7, 1));
  }
  return making.finish();
}

Product compare(const Study& study, const Json& step, const Progress& progress,
                const Product* into) {
  Making making(study, step, ProductKind::Index, ".tif", into);
  const auto &ours = needProduct(study, step.at("product")),
             &theirs = needProduct(study, step.at("to"));
  making.uses(study, ours.id);
  making.uses(study, theirs.id);
  making.product.ramp = "diverging";
  making.product.date = ours.date;
  const auto c = compareLayers(layerOf(ours), layerOf(theirs), making.temporary, progress);
  making.product.facts = toJson(c);
  addOverviews(making.temporary, false);
  return making.finish();
}

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

/// The same formula, thresholds and cut over scenes of many dates: a table of areas.
Product series(const Study& study, const Json& step, const Progress& progress,
               const Product* into) {
  Making making(study, step, ProductKind::Areas, ".csv", into);
  const auto at = step.at("at").get<std::vector<double>>();
  Legend legend;
  for (const auto& c : step.at("classes"))
    legend.add(classFrom(c, static_cast<int>(legend.classes.size()) + 1));
  requireRising(at, legend);
  Table table{{"date", "scene"}, {}};
  for (const auto& c : legend.classes) table.columns.push_back(c.name + " ha");
  for (const char* extra : {"mean", "usable share"}) table.columns.emplace_back(extra);
  const auto& ids = step.at("scenes");
  for (size_t i = 0; i < ids.size(); ++i) {
    const auto part = progress.part(static_cast<double>(i) / static_cast<double>(ids.size()),
                                    static_cast<double>(i + 1) / static_cast<double>(ids.size()));
    const auto& s = needScene(study, ids[i]);
    making.uses(study, s.id);
    usesDelivery(making, study);
    const Scope scope = studyScope(study, s.id, {});
    const Formula f = parseFormula(step.at("formula"), scope.names());
    Outputs scratch(true);
    const auto index = scratch.add(making.temporary.string() + ".index.tif"),
               map = scratch.add(making.temporary.string() + ".map.tif");
    const auto inside = insideOf(making, study, scope.grid.crs);
    const auto st =
        computeIndex(scope, f, "index", index, inside ? &*inside : nullptr, part.part(0, 0.6));
    thresholdToClasses(index, 1, at, legend, map, part.part(0.6, 0.8));
    std::vector<std::string> row{s.scene.date.substr(0, 10), s.scene.name};
    for (const auto& c : classAreas(map, legend, part.part(0.8, 1)))
      row.push_back(shortest(c.area / 10000));
    row.push_back(shortest(st.mean));
    const double seen = inside ? static_cast<double>(pixelsIn(*inside, scope.grid))
                               : static_cast<double>(st.valid + st.empty);
    row.push_back(shortest(seen > 0 ? static_cast<double>(st.valid) / seen : NAN));
    table.rows.push_back(std::move(row));
  }
  std::sort(table.rows.begin(), table.rows.end());
  writeFileAtomically(making.temporary, toCsv(table));
  making.product.facts = {{"rows", table.rows.size()}, {"columns", table.columns}};
  return making.finish();
}

}  // namespace

const std::map<std::string, Maker>& changeMakers() {
  static const std::map<std::string, Maker> all{{"rules", &rules},
                                                {"change", &change},
                                                {"history", &history},
                                                {"compare", &compare},
                                                {"series", &series}};
  return all;
}

}  // namespace zp
