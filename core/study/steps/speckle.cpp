#include "radar/speckle.h"

#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runSpeckle(StepRun& r) {
  const auto& scene = r.scene();
  SpeckleFilter f;
  f.kind = r.step().value("how", "lee") == "refined-lee" ? SpeckleFilter::RefinedLee
                                                         : SpeckleFilter::Lee;
  f.window = r.step().value("window", 7);
  f.looks = r.step().value("looks", 4.0);
  r.begin(ProductKind::Scene, ".tif");
  filterSpeckle(scene, f, r.temporary, r.progress());
  return r.finishScene(scene);
}

}  // namespace

namespace steps {
extern const StepKind speckle{"speckle",
                              "A radar scene with its speckle filtered",
                              {{"scene", Holds::Scene, true, "The radar scene"},
                               {"how", Holds::Text, false, "The filter", {"lee", "refined-lee"}},
                               {"window", Holds::Whole, false, "Pixels a side, odd"},
                               {"looks", Holds::Number, false, "Equivalent number of looks"}},
                              &runSpeckle};
}
}  // namespace zp
