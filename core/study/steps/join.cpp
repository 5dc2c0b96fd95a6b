#include "scene/combine.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runJoin(StepRun& r) {
  const auto scenes = r.scenes("scenes");
  r.begin(ProductKind::Scene, ".tif");
  joinScenes(scenes, r.temporary, r.progress());
  return r.finishScene(scenes.at(0));
}

}  // namespace

namespace steps {
extern const StepKind join{"join",
                           "Adjoining scenes as one",
                           {{"scenes", Holds::Scenes, true, "The first lies on top"}},
                           &runJoin};
}
}  // namespace zp
