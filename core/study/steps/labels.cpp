#include <cmath>

#include "accuracy/labelling.h"
#include "accuracy/reference_from.h"
#include "base/error.h"
#include "sampling/readings.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

/// What is said at each point elsewhere: in a column of the points, by a map, or by polygons;
/// nothing where the step names none of these.
std::vector<std::string> saidElsewhere(StepRun& r, const Layer& points) {
  const Json& step = r.step();
  const auto places = placesOf(points);
  if (step.contains("reference"))
    return saidByRaster(places, points.crs, r.source("reference").file, r.progress());
  if (step.contains("polygons"))
    return saidByPolygons(places, points.crs, r.outline("polygons"), step.at("field"),
                          r.progress());
  std::vector<std::string> said;
  if (!step.contains("field")) return said;
  const size_t column = points.table.column(step["field"]);
  for (const auto& row : points.table.rows) said.push_back(row[column]);
  return said;
}

/// Labels from elsewhere; true when every point has one, so that there is nothing to label blind.
bool labelBy(StepRun& r, const std::vector<std::string>& said,
             std::vector<ValidationPoint>& points) {
  if (said.empty()) return false;
  const auto match = r.step().value("match", std::map<std::string, int>());
  size_t without = 0;
  for (size_t i = 0; i < points.size(); ++i) {
    points[i].reference = classSaid(said[i], match, r.study().legend);
    without += points[i].reference == 0 ? 1 : 0;
  }
  if (without == points.size())
    throw Error("Nothing that is said at the points is a class of the legend, by name or code.");
  r.product.facts["without_class"] = without;
  return without == 0;
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

/// As they were, of points that have the map's classes of now.
LabelsFile onChangedMap(LabelsFile labels, const std::vector<ValidationPoint>& points) {
  labels.labelling = labels.labelling.onChangedMap(points);
  return labels;
}

/// Shuffled for the first time, or with the labels given before. Those keep the strata that their
/// points were drawn in then.
LabelsFile labelsOf(StepRun& r, const Product& source, const Layer& layer,
                    std::vector<ValidationPoint> points) {
  if (r.again() != nullptr) return onChangedMap(readLabels(r.again()->file), points);
  const auto given = r.step().find("given");
  if (given == r.step().end()) {
    const auto strata = setStrata(r, source, layer, points);
    LabelsFile labels{Labelling(std::move(points), r.step().at("seed")), layer.crs, strata};
    labels.block = r.step().value("block", 1);
    return labels;
  }
  try {
    LabelsFile labels = labelsFrom(*given);
    if (labels.strata.empty()) labels.strata = setStrata(r, source, layer, points);
    labels = onChangedMap(std::move(labels), points);
    labels.crs = layer.crs;
    r.product.step.erase("given");  // they are in the file from now on
    return labels;
  } catch (const Json::exception&) {
    throw Error("The labels given are not complete; leave them out, or take the record anew.");
  }
}

Product runLabels(StepRun& r) {
  const auto &points = r.source("points"), &map = r.source("map");
  const Layer layer = readLayer(points.file.string());
  auto all = pointsOn(layer, map);
  if (const int block = r.step().value("block", 1); block != 1 && block != 3)
    throw Error("A label is of 1 pixel or of a block of 3 x 3; {} is neither.", block);
  // Into a file of its own: labels may be given to the old one until this one takes its place.
  r.begin(ProductKind::Labels, ".json", true);
  r.product.facts = {{"points", all.size()}};
  const bool complete = labelBy(r, saidElsewhere(r, layer), all);
  LabelsFile labels = labelsOf(r, points, layer, std::move(all));
  if (complete) labels.labelling.close("");
  writeLabels(r.temporary, labels);
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
     {"block", Holds::Whole, false,
      "Pixels along the side of the square that each label is of: 1 or 3"},
     {"field", Holds::Text, false,
      "A column that says the classes already: of the points, or of the polygons"},
     {"reference", Holds::Product, false, "Instead: a class map that says them"},
     {"polygons", Holds::Outline, false, "Instead: polygons that say them"},
     {"match", Holds::Codes, false, "What stands in it, where that is no class of the legend"},
     {"given", Holds::Labels, false, "Labels given before"}},
    &runLabels};
}
}  // namespace zp
