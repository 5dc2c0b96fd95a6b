#include "mapping/touch_up.h"

#include "base/error.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

/// From the system they were drawn in to that of the map.
std::vector<TouchUp> correctionsOf(const Json& step, const Grid& grid) {
  std::vector<TouchUp> all;
  const auto crs = step.value("crs", std::string());
  const bool both = !crs.empty() && !grid.crs.empty();
  const CrsChange change(both ? crs : "", both ? grid.crs : "");
  for (const auto& json : step.at("corrections")) {
    all.push_back(touchUpFrom(json));
    for (auto& ring : all.back().shape.rings)
      for (auto& p : ring)
        if (!change.apply(p)) throw Error("A correction lies outside the system of the map.");
  }
  return all;
}

Product runTouchUp(StepRun& r) {
  const Product& map = r.source("map");
  const auto corrections = correctionsOf(r.step(), RasterFile(map.file).grid());
  r.begin(ProductKind::ClassMap, ".tif");
  const size_t changed =
      touchUp(map.file, corrections, r.study().legend, r.temporary, r.progress().part(0, 0.8));
  r.product.date = map.date;
  r.product.facts["changed"] = changed;
  r.product.facts["corrections"] = corrections.size();
  return r.finishClassMap(r.progress().part(0.8, 1));
}

}  // namespace

namespace steps {
extern const StepKind touchUp{
    "touch-up",
    "A class map with what was plainly wrong put right by hand",
    {{"map", Holds::Product, true, "The class map"},
     {"corrections", Holds::Corrections, true,
      "In order: rings of places, the code they get, and the only one they had, 0 for any"},
     {"crs", Holds::Text, false, "The system of the places; that of the map when left out"}},
    &runTouchUp};
}
}  // namespace zp
