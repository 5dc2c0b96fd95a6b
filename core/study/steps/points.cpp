#include <fmt/format.h>

#include "base/error.h"
#include "sampling/plan.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

SamplingPlan planOf(const Json& step) {
  SamplingPlan plan;
  plan.kind = step.at("plan") == "stratified" ? PlanKind::Stratified : PlanKind::Random;
  plan.count = step.at("count");
  plan.seed = step.at("seed");
  if (step.contains("apart") && step["apart"].is_number()) plan.apart = step["apart"].get<double>();
  if (plan.apart && !(*plan.apart >= 0))
    throw Error("The smallest spacing is {}; give 0 or more.", *plan.apart);
  return plan;
}

PlannedPoints placed(StepRun& r, const SamplingPlan& plan) {
  const std::string over = r.step().at("over");
  if (r.study().scene(over) != nullptr) {
    const Scene& scene = r.sceneOf(over);
    const auto inside = r.inside(scene.grid.crs);
    return placePoints(scene, plan, inside ? &*inside : nullptr, r.progress());
  }
  const auto& file = r.sourceOf(over).file;
  const auto inside = r.inside(RasterFile(file).grid().crs);
  const int band = r.step().contains("band") ? r.step()["band"].get<int>() + 1 : 0;
  return placePoints(file, plan, inside ? &*inside : nullptr, r.progress(), band);
}

Json perClass(const PlannedPoints& points) {
  Json list = Json::array();
  for (const auto& [code, n] : points.perClass) {
    const auto* known = points.legend.find(code);
    list.push_back({{"code", code},
                    {"name", known != nullptr ? known->name : fmt::format("class {}", code)},
                    {"points", n}});
  }
  return list;
}

Product runPoints(StepRun& r) {
  const auto points = placed(r, planOf(r.step()));
  r.begin(ProductKind::Points, ".gpkg");
  const bool withClass = r.step().value("fields", "id") == "class";
  std::vector<FieldType> types{FieldType::Integer};
  if (withClass) types.insert(types.end(), {FieldType::Integer, FieldType::Text});
  writeLayer(r.temporary, r.product.file, toLayer(points, withClass), types);
  r.product.facts = {{"points", points.points.size()}};
  if (!points.perClass.empty()) r.product.facts["per_class"] = perClass(points);
  return r.finish();
}

}  // namespace

namespace steps {
extern const StepKind points{
    "points",
    "Points placed by a plan",
    {{"over", Holds::Layer, true, "A scene or a class map to place them over"},
     {"band", Holds::Whole, false, "Of a file with several, from 0"},
     {"plan", Holds::Text, true, "How", {"random", "stratified"}},
     {"count", Holds::Whole, true, "Points in all, or in each class where stratified"},
     {"seed", Holds::Whole, true, "The same seed gives the same points"},
     {"apart", Holds::Number, false, "Smallest spacing, in the unit of the system"},
     {"inside", Holds::Outline, false, "To place them in"},
     {"fields", Holds::Text, false, "What is told of each beside its number", {"id", "class"}}},
    &runPoints};
}
}  // namespace zp
