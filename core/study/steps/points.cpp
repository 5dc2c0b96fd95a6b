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
  const auto place = [&](const auto& ground, const std::string& crs) {
    const auto inside = r.inside(crs);
    return placePoints(ground, plan, inside ? &*inside : nullptr, r.progress());
  };
  if (r.study().scene(over) != nullptr) {
    const Scene& scene = r.sceneOf(over);
    return place(scene, scene.grid.crs);
  }
  const auto& file = r.sourceOf(over).file;
  return place(file, RasterFile(file).grid().crs);
}

Product run(StepRun& r) {
  const auto points = placed(r, planOf(r.step()));
  r.begin(ProductKind::Points, ".gpkg");
  writeLayer(r.temporary, r.product.file, toLayer(points, false), {FieldType::Integer});
  r.product.facts = {{"points", points.points.size()}};
  return r.finish();
}

}  // namespace

namespace steps {
extern const StepKind points{
    "points",
    "Points placed by a plan",
    {{"over", Holds::Layer, true, "A scene or a class map to place them over"},
     {"plan", Holds::Text, true, "How", {"random", "stratified"}},
     {"count", Holds::Whole, true, "Points in all, or in each class where stratified"},
     {"seed", Holds::Whole, true, "The same seed gives the same points"},
     {"apart", Holds::Number, false, "Smallest spacing, in the unit of the system"},
     {"inside", Holds::Outline, false, "To place them in"}},
    &run};
}
}  // namespace zp
