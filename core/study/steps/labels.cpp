#include <cmath>

#include "accuracy/labels_file.h"
#include "accuracy/reference_from.h"
#include "base/error.h"
#include "sampling/readings.h"
#include "study/change_behind.h"
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

/// The class of each point that a map of change says which is not the one at stake: the same pair
/// of classes has another code there.
std::vector<int> codesByChange(StepRun& r, const std::vector<std::string>& said,
                               LabelsFile& labels) {
  const Product& reference = r.source("reference");
  const auto theirs = changeClassesOf(r.study(), reference);
  if (!theirs)
    throw Error("“{}” is no map of change, so it does not say what changed.", reference.name);
  const auto codes = theirs->codesIn(*labels.change);
  std::vector<int> out;
  for (const auto& code : said) {
    const auto at = code.empty() ? codes.end() : codes.find(std::stoi(code));
    out.push_back(at == codes.end() ? 0 : at->second);
  }
  return out;
}

/// Labels from elsewhere, in the order of the points.
std::vector<int> codesElsewhere(StepRun& r, const Layer& points, LabelsFile& labels) {
  const auto said = saidElsewhere(r, points);
  if (labels.change && r.step().contains("reference")) return codesByChange(r, said, labels);
  const auto match = r.step().value("match", std::map<std::string, int>());
  std::vector<int> codes;
  for (const auto& cell : said)
    codes.push_back(classSaid(cell, match, labels.legend(r.study().legend)));
  return codes;
}

/// True when every point has a label, so that there is nothing to label blind.
bool labelBy(StepRun& r, const std::vector<int>& codes, const LabelsFile& labels,
             std::vector<ValidationPoint>& points) {
  if (codes.empty()) return false;
  size_t without = 0;
  for (size_t i = 0; i < points.size(); ++i) {
    const Label label = labels.labelOf(codes[i]);
    points[i].reference = points[i].said = label.code;
    points[i].earlier = label.earlier;
    points[i].later = label.later;
    without += label.code == 0 ? 1 : 0;
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

/// With the labels given before, if there are any: those keep the strata that their points were
/// drawn in then.
LabelsFile withThoseBefore(StepRun& r, LabelsFile fresh) {
  if (r.again() != nullptr) return onChangedMap(readLabels(r.again()->file), std::move(fresh));
  const auto given = r.step().find("given");
  if (given == r.step().end()) return fresh;
  try {
    LabelsFile labels = onChangedMap(labelsFrom(*given), std::move(fresh));
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
  LabelsFile fresh;
  fresh.crs = layer.crs;
  fresh.block = r.step().value("block", 1);
  if (fresh.block != 1 && fresh.block != 3)
    throw Error("A label is of 1 pixel or of a block of 3 x 3; {} is neither.", fresh.block);
  // Into a file of its own: labels may be given to the old one until this one takes its place.
  r.begin(ProductKind::Labels, ".json", true);
  r.product.facts = {{"points", all.size()}};
  fresh.change = changeClassesOf(r.study(), map);
  const bool complete = labelBy(r, codesElsewhere(r, layer, fresh), fresh, all);
  fresh.strata = setStrata(r, points, layer, all);
  fresh.labelling = Labelling(std::move(all), r.step().at("seed"));
  LabelsFile labels = withThoseBefore(r, std::move(fresh));
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
