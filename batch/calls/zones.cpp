#include "sampling/zones.h"

#include "base/text.h"
#include "calls.h"
#include "source_arguments.h"
#include "table_output.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

struct ZonesArguments {
  std::string polygons;
  SourceArguments sources;
  std::vector<std::string> statistics{"mean"};
  bool decibels = false, byArea = false, rowEach = false;
  OutputArguments output;
};

ZoneQuestion questionOf(const ZonesArguments& a) {
  ZoneQuestion question;
  question.decibels = a.decibels;
  if (a.byArea) question.inclusion = Inclusion::Area;
  for (const auto& id : a.statistics) question.statistics.push_back(zoneStatistic(id));
  return question;
}

std::vector<ZoneSummary> summariesOf(const Layer& polygons, const ZonesArguments& a,
                                     const std::optional<Scope>& scope, const Progress& progress) {
  const Halves halves(progress, a.sources);
  std::vector<ZoneSummary> all;
  if (!a.sources.from.empty())
    all = summarise(polygons, a.sources.rasters(), questionOf(a), halves.rasters);
  if (!scope) return all;
  for (auto& more : summarise(polygons, *scope, a.sources.features, questionOf(a), halves.features))
    all.push_back(std::move(more));
  return all;
}

Table tableOf(const Layer& polygons, const std::vector<ZoneSummary>& summaries, bool rowEach) {
  if (rowEach) return longTable(polygons.table, summaries);
  Table table = polygons.table;
  appendTo(table, wide(summaries));
  return table;
}

Json runZones(const ZonesArguments& a, const Progress& progress) {
  const auto scope = a.sources.scope();
  auto inputs = a.sources.files(scope);
  inputs.push_back(fileOfLayer(a.polygons));
  Outputs outputs(a.output.replace);
  fs::path temporary;
  if (!a.output.out.empty()) temporary = outputs.add(a.output.out, inputs);
  const Layer polygons = readLayer(a.polygons);
  const auto summaries = summariesOf(polygons, a, scope, progress);
  const Table table = tableOf(polygons, summaries, a.rowEach);
  if (!temporary.empty()) {
    writeFileAtomically(temporary, toCsv(table));
    outputs.commit();
  }
  Json json = told(table, outputs, [&] { return toCsv(table); });
  for (const auto& s : summaries)
    json["without_pixels"].push_back({{"layer", s.layer}, {"zones", s.withoutPixels}});
  return json;
}

}  // namespace

namespace calls {

Call zones(CLI::App& app) {
  auto* call = app.add_subcommand("zones", "Statistics of rasters in polygons");
  auto a = std::make_shared<ZonesArguments>();
  call->add_option("POLYGONS", a->polygons, "Polygons: FILE or FILE:LAYER")->required();
  a->sources.addTo(*call);
  call->add_option(
          "--stats", a->statistics,
          "count (pixels that have a value), sum, mean, sd, min, max, median, percentiles "
          "such as p10, majority, share (of each class), patches (of each class: number and area)")
      ->delimiter(',')
      ->capture_default_str();
  call->add_flag(
      "--by-area", a->byArea,
      "Every pixel that a polygon touches counts, by the share that lies inside; without "
      "it those whose centre lies inside");
  call->add_flag("--decibels", a->decibels,
                 "The rasters hold linear power: means are taken in it and told in decibels");
  call->add_flag("--long", a->rowEach, "A row for each polygon and raster, not a column");
  a->output.addTo(*call, "CSV to write; without it the table is printed", false);
  call->callback([a] {
    a->sources.require("zones");
    argument("--stats", [&] { questionOf(*a); });
  });
  return {call, [a](const Progress& progress) { return runZones(*a, progress); }};
}

}  // namespace calls
}  // namespace zp
