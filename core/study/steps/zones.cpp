#include "sampling/zones.h"

#include <algorithm>

#include "base/error.h"
#include "feature/feature_kind.h"
#include "grid/crs.h"
#include "radar/decibels.h"
#include "study/steps/step_run.h"
#include "study/table_places.h"

namespace zp {
namespace {

bool asksOfClasses(const ZoneStatistic& s) {
  using Kind = ZoneStatistic::Kind;
  return s.kind == Kind::Share || s.kind == Kind::Majority || s.kind == Kind::Patches;
}

/// What is asked of class maps, or of all else; the number of pixels of both.
ZoneQuestion questionFor(bool classes, const ZoneQuestion& all, const std::string& layer) {
  ZoneQuestion question = all;
  auto& asked = question.statistics;
  asked.erase(std::remove_if(asked.begin(), asked.end(),
                             [&](const ZoneStatistic& s) {
                               return s.kind != ZoneStatistic::Kind::Count &&
                                      asksOfClasses(s) != classes;
                             }),
              asked.end());
  if (asked.empty() && classes)
    throw Error("“{}” holds classes; ask for the majority or the shares.", layer);
  if (asked.empty())
    throw Error("“{}” holds no classes to tell the majority or the shares of.", layer);
  return question;
}

/// Every band of a scene, on its own grid; backscatter in decibels.
std::vector<ZoneSummary> ofScene(const Layer& polygons, const Scene& scene,
                                 const ZoneQuestion& question, const Progress& progress) {
  std::vector<std::string> lines;
  const bool power = backscatterState(scene) == ValueState::BackscatterPower;
  for (size_t b = 0; b < scene.bands.size(); ++b) {
    FeatureLine line = parseFeature(bandLine(scene, b));
    if (power) line.kind = "decibels";
    lines.push_back(textOf(line));
  }
  auto all = summarise(polygons, Scope({{"", scene}}), lines,
                       questionFor(false, question, scene.name), progress);
  for (auto& s : all) {
    s.series = s.layer;
    s.date = scene.date.substr(0, 10);
    s.layer = scene.name + " " + s.layer;
  }
  return all;
}

std::vector<ZoneSummary> ofProduct(const Layer& polygons, const Product& product,
                                   const ZoneQuestion& question, const Progress& progress) {
  const bool classes =
      product.kind == ProductKind::ClassMap || product.kind == ProductKind::Clusters;
  auto all = summarise(polygons, {{product.file, 1, product.name}},
                       questionFor(classes, question, product.name), progress);
  for (auto& s : all) s.date = product.date.substr(0, 10);
  return all;
}

ZoneQuestion questionOf(const Json& step) {
  ZoneQuestion question;
  for (const auto& id : step.at("statistics"))
    question.statistics.push_back(zoneStatistic(id.get<std::string>()));
  if (step.value("pixels", "centres") == "by-area") question.inclusion = Inclusion::Area;
  return question;
}

Layer polygonsOf(StepRun& r) {
  if (r.step().contains("outline") == r.step().contains("cells"))
    throw Error("Say in which outline or in which cells.");
  if (r.step().contains("outline")) return r.outline("outline");
  return readLayer(r.source("cells").file.string());
}

std::vector<ZoneSummary> summaries(StepRun& r, const Layer& polygons) {
  const auto from = r.step().value("from", std::vector<std::string>()),
             lines = r.step().value("features", std::vector<std::string>());
  if (from.empty() && lines.empty()) throw Error("Nothing is chosen to read; choose one or more.");
  if (!lines.empty() && !r.step().contains("scene"))
    throw Error("Say whose features are read; this step names no scene.");
  const ZoneQuestion question = questionOf(r.step());
  const auto parts = static_cast<double>(from.size() + (lines.empty() ? 0 : 1));
  const auto part = [&](size_t i) {
    return r.progress().part(static_cast<double>(i) / parts, static_cast<double>(i + 1) / parts);
  };
  std::vector<ZoneSummary> all;
  const auto add = [&](std::vector<ZoneSummary> some, const std::string& of) {
    for (auto& s : some) s.source = of;
    all.insert(all.end(), std::make_move_iterator(some.begin()),
               std::make_move_iterator(some.end()));
  };
  for (size_t i = 0; i < from.size(); ++i)
    if (r.study().scene(from[i]) != nullptr)
      add(ofScene(polygons, r.sceneOf(from[i]), question, part(i)), from[i]);
    else
      add(ofProduct(polygons, r.sourceOf(from[i]), question, part(i)), from[i]);
  if (!lines.empty())
    add(summarise(polygons, r.scope(), lines, questionFor(false, question, lines[0]),
                  part(from.size())),
        r.step()["scene"]);
  return all;
}

/// Zones in which a layer has no pixel at all.
Json withoutPixels(const std::vector<ZoneSummary>& all) {
  Json list = Json::array();
  for (const auto& s : all)
    if (s.withoutPixels > 0) list.push_back({{"layer", s.layer}, {"zones", s.withoutPixels}});
  return list;
}

void noteColumns(const std::vector<ZoneSummary>& all, const Table& table, size_t first,
                 Json& facts) {
  for (const auto& s : all)
    for (size_t c = 0; c < s.columns.size(); ++c) {
      Json source{{"of", s.source}, {"what", s.columns[c]}};
      if (!s.line.empty()) source["line"] = s.line;
      noteColumn(table.columns[first++], source, s.values[c], s.distinct, facts);
    }
}

Product runZones(StepRun& r) {
  const Layer polygons = polygonsOf(r);
  const auto all = summaries(r, polygons);
  Table table = polygons.table;
  const bool dates = r.step().value("rows", "zones") == "zones-and-dates";
  if (dates)
    table = longTable(table, all);
  else
    appendTo(table, wide(all));
  r.begin(ProductKind::Table, ".csv");
  writeFileAtomically(r.temporary, toCsv(table));
  r.product.facts = {
      {"rows", table.rows.size()}, {"columns", table.columns}, {"zones", polygons.shapes.size()}};
  for (const auto& s : all)
    for (size_t c = 0; dates && c < s.columns.size(); ++c)
      addDistinct(s.columns[c], s.values[c], s.distinct, r.product.facts);
  if (!dates) noteColumns(all, table, polygons.table.columns.size(), r.product.facts);
  if (const Json empty = withoutPixels(all); !empty.empty())
    r.product.facts["without_pixels"] = empty;
  return r.finish();
}

}  // namespace

namespace steps {
extern const StepKind zones{
    "zones",
    "A table of statistics in the polygons of an outline, or in cells",
    {{"outline", Holds::Outline, false, "Whose polygons"},
     {"cells", Holds::Product, false, "Or which cells"},
     {"from", Holds::Layers, false, "Scenes, with all their bands, and products"},
     {"features", Holds::Texts, false, "And features, such as index(ndvi)"},
     {"scene", Holds::Scene, false, "Whose features need no name, and on whose grid they are read"},
     {"with", Holds::Named, false, "Other scenes and products that the features name"},
     {"statistics", Holds::Texts, true,
      "count, sum, mean, sd, min, max, median, percentiles such as p10; of class maps majority, "
      "share and patches (their number and area)"},
     {"pixels",
      Holds::Text,
      false,
      "Those whose centre lies inside, or all by the share that lies inside",
      {"centres", "by-area"}},
     {"rows",
      Holds::Text,
      false,
      "A row a zone, or a row a zone and date",
      {"zones", "zones-and-dates"}}},
    &runZones};
}
}  // namespace zp
