#include <cmath>

#include "accuracy/labelling.h"
#include "base/error.h"
#include "base/text.h"
#include "sampling/readings.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

/// The class that a cell says: as `match` has it, else the one of the legend that is called so or
/// has that code; 0 for none.
int classSaid(const std::string& cell, const Json& match, const Legend& legend) {
  if (const auto at = match.find(cell); at != match.end()) return at->get<int>();
  for (const auto& c : legend.classes)
    if (lowered(c.name) == lowered(trimmed(cell))) return c.code;
  const auto code = parseInteger(trimmed(cell));
  return code && legend.find(static_cast<int>(*code)) != nullptr ? static_cast<int>(*code) : 0;
}

/// Labels that the points bring along from elsewhere.
void labelBy(StepRun& r, const Table& table, std::vector<ValidationPoint>& points) {
  if (!r.step().contains("field")) return;
  const size_t column = table.column(r.step()["field"]);
  const Json match = r.step().value("match", Json::object());
  size_t without = 0;
  for (size_t i = 0; i < points.size(); ++i) {
    points[i].reference = classSaid(table.rows[i][column], match, r.study().legend);
    without += points[i].reference == 0 ? 1 : 0;
  }
  if (without == points.size())
    throw Error("No cell of “{}” says a class of the legend, by name or code.",
                r.step()["field"].get<std::string>());
  r.product.facts["without_class"] = without;
}

std::vector<ValidationPoint> pointsOn(const Layer& layer, const Product& map) {
  const auto places = placesOf(layer);
  const auto codes = readAt(places, layer.crs, {{map.file, 1, "map"}}).values[0];
  std::vector<ValidationPoint> all;
  for (size_t i = 0; i < places.size(); ++i) {
    ValidationPoint p;
    p.id = static_cast<int>(i) + 1;
    p.place = places[i];
    p.mapped = std::isnan(codes[i]) ? 0 : static_cast<int>(codes[i]);
    all.push_back(p);
  }
  return all;
}

/// The class that each point was drawn in, where a plan drew them class by class of a map that is
/// still as it was then, and the area of each of these strata.
std::map<int, double> setStrata(StepRun& r, const Product& points, const Layer& layer,
                                std::vector<ValidationPoint>& all) {
  std::map<int, double> areas;
  if (points.step.value("plan", "") != "stratified" || !points.facts.contains("strata"))
    return areas;
  const std::string over = points.step.at("over");
  const Product* drawnOn = r.study().product(over);
  if (drawnOn == nullptr) return areas;
  for (const auto& input : points.inputs)
    if (input.revision != r.study().revisionOf(input.id)) return areas;
  const int band = points.step.value("band", 0) + 1;
  const auto codes = readAt(placesOf(layer), layer.crs, {{drawnOn->file, band, "map"}}).values[0];
  for (size_t i = 0; i < all.size(); ++i)
    all[i].stratum = std::isnan(codes[i]) ? 0 : static_cast<int>(codes[i]);
  for (const auto& s : points.facts["strata"])
    areas[s.at("code").get<int>()] = s.at("area_m2").get<double>();
  return areas;
}

/// Shuffled for the first time, or with the labels given before.
Labelling labellingOf(StepRun& r, std::vector<ValidationPoint> points) {
  if (r.again() != nullptr) return readLabels(r.again()->file).labelling.onChangedMap(points);
  const auto given = r.step().find("given");
  if (given == r.step().end()) return Labelling(std::move(points), r.step().at("seed"));
  try {
    const Labelling labelling = labellingFrom(*given).onChangedMap(points);
    r.product.step.erase("given");  // they are in the file from now on
    return labelling;
  } catch (const Json::exception&) {
    throw Error("The labels given are not complete; leave them out, or take the record anew.");
  }
}

Product runLabels(StepRun& r) {
  const auto &points = r.source("points"), &map = r.source("map");
  const Layer layer = readLayer(points.file.string());
  auto all = pointsOn(layer, map);
  // Into a file of its own: labels may be given to the old one until this one takes its place.
  r.begin(ProductKind::Labels, ".json", true);
  r.product.facts = {{"points", all.size()}};
  labelBy(r, layer.table, all);
  // Labels that were given before keep the strata that their points were drawn in then.
  const auto strata =
      r.again() != nullptr ? readLabels(r.again()->file).strata : setStrata(r, points, layer, all);
  const Labelling labelling = labellingOf(r, std::move(all));
  writeLabels(r.temporary, {labelling, layer.crs, strata});
  return r.finish();
}

}  // namespace

namespace steps {
extern const StepKind labels{
    "labels",
    "Points to label, in shuffled order, against a class map",
    {{"points", Holds::Product, true, "Where"},
     {"map", Holds::Product, true, "What they are to judge"},
     {"seed", Holds::Whole, true, "Of the order"},
     {"field", Holds::Text, false, "A column of the points that says their classes already"},
     {"match", Holds::Codes, false, "What stands in it, where that is no class of the legend"},
     {"given", Holds::Labels, false, "Labels given before"}},
    &runLabels};
}
}  // namespace zp
