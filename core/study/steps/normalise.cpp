#include "scene/normalise.h"

#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runNormalise(StepRun& r) {
  const auto &scene = r.scene(), &to = r.scene("reference");
  const auto n = normalisationOf(scene, to, r.progress().part(0, 0.5));
  r.begin(ProductKind::Scene, ".tif");
  r.product.facts["gain"] = numbers(n.gain);
  r.product.facts["offset"] = numbers(n.offset);
  r.product.facts["unchanged"] = n.unchanged;
  normalise(scene, n, r.temporary, r.progress().part(0.5, 1));
  return r.finishScene(scene);
}

}  // namespace

namespace steps {
extern const StepKind normalise{
    "normalise",
    "A scene in the values of another, by what did not change between them",
    {{"scene", Holds::Scene, true, "What is changed"},
     {"reference", Holds::Scene, true, "What it is made like"}},
    &runNormalise};
}
}  // namespace zp
