#include "scene/combine.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runComposite(StepRun& r) {
  const auto scenes = r.scenes("scenes");
  const bool greenest = r.step().value("how", "median") == "greenest";
  r.begin(ProductKind::Scene, ".tif");
  (greenest ? greenestOfDates : medianOfDates)(scenes, r.temporary, r.progress());
  return r.finishScene(scenes.at(0));
}

}  // namespace

namespace steps {
extern const StepKind composite{
    "composite",
    "One scene of many dates, pixel by pixel",
    {{"scenes", Holds::Scenes, true, "The dates"},
     {"how", Holds::Text, false, "What is taken of them", {"median", "greenest"}}},
    &runComposite};
}
}  // namespace zp
