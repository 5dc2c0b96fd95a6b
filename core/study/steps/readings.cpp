#include "sampling/readings.h"

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "base/text.h"
#include "feature/feature_kind.h"
#include "grid/crs.h"
#include "radar/decibels.h"
#include "sampling/attribute_readings.h"
#include "sampling/feature_readings.h"
#include "sampling/zones.h"
#include "study/steps/step_run.h"
#include "study/table_places.h"

namespace zp {
namespace {

bool isOfClasses(const Product& p) {
  return p.kind == ProductKind::ClassMap || p.kind == ProductKind::Clusters;
}

/// Columns, and of each the scene or product that it was read from, by its id, and as which
/// feature; its date, and what is the same at all dates of a scene ("" for none).
struct ReadColumns {
  Readings readings;
  std::vector<Json> sources = {};
  std::vector<std::string> dates = {}, series = {};
  void told(const Json& source, const std::string& date, const std::string& sameAtAll) {
    sources.push_back(source);
    dates.push_back(date.substr(0, 10));
    series.push_back(sameAtAll);
  }
};

std::string seriesOf(const Scene& s, size_t band) {
  const bool decibels = backscatterState(s) == ValueState::BackscatterDecibels;
  return s.bands[band].name + (decibels ? " dB" : "");
}

/// Scenes give a column a band, with their own conversion; products one. Between classes there is
/// no mean: the pixel that a place lies in gives its own.
ReadColumns readLayers(StepRun& r, const std::vector<std::string>& from,
                       const std::vector<Place>& places, const std::string& crs,
                       const ReadingMethod& how, const Progress& progress) {
  ReadColumns out;
  Readings& readings = out.readings;
  for (size_t i = 0; i < from.size(); ++i) {
    if (r.study().scene(from[i]) != nullptr) {
      const Scene& s = r.sceneOf(from[i]);
      for (size_t b = 0; b < s.bands.size(); ++b) {
        readings.columns.push_back(s.name + " " + s.bands[b].name);
        readings.values.push_back(readBandAt(places, crs, s, b, how));
        readings.distinct.push_back(
            distinctPixels(gridOfBand(s, b), places, crs, readings.values.back()));
        out.told({{"of", from[i]}, {"line", bandLine(s, b)}}, s.date, seriesOf(s, b));
      }
    } else {
      const auto& p = r.sourceOf(from[i]);
      add(readings, readAt(places, crs, {{p.file, 1, p.name}}, Progress(),
                           isOfClasses(p) ? ReadingMethod() : how));
      readings.columns.back() = p.name;
      out.told({{"of", from[i]}}, p.date, "");
    }
    progress.at(static_cast<double>(i + 1) / static_cast<double>(from.size()));
  }
  return out;
}

std::vector<std::string> listIn(const Json& step, const char* field) {
  return step.value(field, std::vector<std::string>());
}

ReadColumns readAll(StepRun& r, const std::vector<Place>& places, const std::string& crs,
                    const Progress& progress) {
  const auto from = listIn(r.step(), "from"), lines = listIn(r.step(), "features");
  if (!lines.empty() && !r.step().contains("scene"))
    throw Error("Say whose features are read; this step names no scene.");
  const auto how = readingMethod(r.step().value("how", "nearest"), r.step().value("window", 3));
  const double half = lines.empty() ? 1 : from.empty() ? 0 : 0.5;
  ReadColumns all;
  if (!from.empty()) all = readLayers(r, from, places, crs, how, progress.part(0, half));
  if (lines.empty()) return all;
  add(all.readings, readFeaturesAt(places, crs, r.scope(), lines, progress.part(half, 1), how));
  for (size_t i = 0; i < lines.size(); ++i)
    all.told({{"of", r.step()["scene"]}, {"line", lines[i]}}, r.sceneOf(r.step()["scene"]).date,
             all.readings.columns[all.readings.columns.size() - lines.size() + i]);
  return all;
}

/// Columns of outlines, cells and points, and of each how many places have none or several.
void readAttributes(StepRun& r, const Layer& points, const Progress& progress, Table& table) {
  const auto all = static_cast<double>(listIn(r.step(), "attributes").size() +
                                       listIn(r.step(), "nearest").size());
  double done = 0;
  for (const auto& [field, which] : {std::pair{"attributes", Attributes::OfPolygonAround},
                                     std::pair{"nearest", Attributes::OfNearest}})
    for (const auto& id : listIn(r.step(), field)) {
      const auto other = r.rowsOf(id);
      const auto read = readAttributesAt(points, other.layer, other.name, which, table.columns,
                                         progress.part(done / all, (done + 1) / all));
      ++done;
      appendTo(table, read);
      if (!read.distance.empty())
        r.product.facts["sources"][read.distance] = {{"of", id}, {"unit", "m"}};
      r.product.facts["attributes"].push_back(
          {{"layer", other.name}, {"none", read.none}, {"several", read.several}});
    }
}

Table withCoordinates(Table table, const std::vector<Place>& places) {
  table.columns.insert(table.columns.begin() + 1, {"x", "y"});
  for (size_t i = 0; i < table.rows.size(); ++i)
    table.rows[i].insert(table.rows[i].begin() + 1, {shortest(places[i].x), shortest(places[i].y)});
  return table;
}

constexpr const char* kValue = "value";

/// As zones have it, with one column of values.
Table aRowADate(const Table& places, const ReadColumns& read) {
  std::vector<ZoneSummary> layers;
  for (size_t c = 0; c < read.readings.columns.size(); ++c) {
    ZoneSummary one{read.readings.columns[c], {kValue}, {read.readings.values[c]}};
    one.date = read.dates[c];
    one.series = read.series[c];
    layers.push_back(std::move(one));
  }
  return longTable(places, layers);
}

Product runReadings(StepRun& r) {
  bool any = false;
  for (const char* field : {"from", "features", "attributes", "nearest"})
    any = any || !listIn(r.step(), field).empty();
  if (!any) throw Error("Nothing is chosen to read; choose one or more.");
  const Layer layer = readLayer(r.source("points").file.string());
  const auto places = placesOf(layer);
  const bool attributes =
      !listIn(r.step(), "attributes").empty() || !listIn(r.step(), "nearest").empty();
  const double split = attributes ? 0.6 : 1;
  const ReadColumns read = readAll(r, places, layer.crs, r.progress().part(0, split));
  r.begin(ProductKind::Table, ".csv");
  Table table = withCoordinates(layer.table, places);
  if (r.step().value("rows", "points") == "points-and-dates") {
    readAttributes(r, layer, r.progress().part(split, 1), table);
    table = aRowADate(table, read);
    r.product.facts["places_read"] = places.size();
    for (size_t c = 0; c < read.sources.size(); ++c)
      addDistinct(kValue, read.readings.values[c], read.readings.distinct[c], r.product.facts);
  } else {
    const size_t own = table.columns.size();
    appendTo(table, read.readings);
    for (size_t c = 0; c < read.sources.size(); ++c)
      noteColumn(table.columns[own + c], read.sources[c], read.readings.values[c],
                 read.readings.distinct[c], r.product.facts);
    readAttributes(r, layer, r.progress().part(split, 1), table);
  }
  writeFileAtomically(r.temporary, toCsv(table));
  const Json facts{
      {"rows", table.rows.size()}, {"columns", table.columns}, {"system", crsName(layer.crs)}};
  r.product.facts.update(facts);
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
     {"attributes", Holds::RowsList, false,
      "Outlines and cells: the columns of the polygon that a point lies in"},
     {"nearest", Holds::RowsList, false,
      "Outlines, cells and points: the columns of the nearest, and its distance in metres"},
     {"with", Holds::Named, false, "Other scenes and products that the features name"},
     {"how",
      Holds::Text,
      false,
      "The pixel a place lies in, between the four nearest, or the mean of a window; of class maps "
      "always the first",
      {"nearest", "bilinear", "mean"}},
     {"window", Holds::Whole, false, "Of a mean: pixels across, odd"},
     {"rows",
      Holds::Text,
      false,
      "A row a point with a column for each layer, or a row a point and date",
      {"points", "points-and-dates"}}},
    &runReadings};
}
}  // namespace zp
