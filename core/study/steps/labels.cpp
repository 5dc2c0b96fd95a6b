#include <cmath>

#include "accuracy/labelling.h"
#include "base/error.h"
#include "sampling/readings.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

std::vector<ValidationPoint> pointsOn(const Product& points, const Product& map, std::string& crs) {
  const Layer layer = readLayer(points.file.string());
  const auto places = placesOf(layer);
  crs = layer.crs;
  const auto codes = readAt(places, crs, {{map.file, 1, "map"}}).values[0];
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
  std::string crs;
  auto all = pointsOn(points, map, crs);
  // Into a file of its own: labels may be given to the old one until this one takes its place.
  r.begin(ProductKind::Labels, ".json", true);
  r.product.facts = {{"points", all.size()}};
  const Labelling labelling = labellingOf(r, std::move(all));
  writeLabels(r.temporary, {labelling, crs});
  return r.finish();
}

}  // namespace

namespace steps {
extern const StepKind labels{"labels",
                             "Points to label, in shuffled order, against a class map",
                             {{"points", Holds::Product, true, "Where"},
                              {"map", Holds::Product, true, "What they are to judge"},
                              {"seed", Holds::Whole, true, "Of the order"},
                              {"given", Holds::Labels, false, "Labels given before"}},
                             &runLabels};
}
}  // namespace zp
