#include "scene/dark_object.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runHaze(StepRun& r) {
  const auto& scene = r.scene();
  DarkObject how;
  how.startBand = r.step().value("start", size_t{0});
  how.power = r.step().value("power", 2.0);
  how.darkValue = r.step().value("dark", 0.0);
  const auto subtracted = hazeOf(scene, how, r.progress().part(0, 0.4));
  r.begin(ProductKind::Scene, ".tif");
  r.product.facts["haze"] = numbers(subtracted);
  subtractHaze(scene, subtracted, r.temporary, r.progress().part(0.4, 1));
  return r.finishScene(scene);
}

}  // namespace

namespace steps {
extern const StepKind haze{"haze",
                           "A scene without its haze, by dark objects",
                           {{"scene", Holds::Scene, true, "With haze"},
                            {"start", Holds::Whole, false, "The band it is found in, from 0"},
                            {"power", Holds::Number, false, "Of its fall with the wavelength"},
                            {"dark", Holds::Number, false, "What a dark object reflects"}},
                           &runHaze};
}
}  // namespace zp
