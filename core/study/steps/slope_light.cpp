#include "scene/slope_light.h"

#include "base/error.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runSlopeLight(StepRun& r) {
  const Scope scope = r.scope();
  if (scope.scenes.size() != 2) throw Error("Name one layer of heights.");
  const Scene& scene = scope.scenes[0].scene;
  const Scene& heights = scope.scenes[1].scene;
  const auto band = r.step().value("band", size_t{0});
  requireBand(heights, band);
  const Sun sun{r.step().value("elevation", 45.0), r.step().value("azimuth", 180.0)};
  const bool cosine = r.step().value("how", "c") == "cosine";
  const BandSource height{&heights, band};
  const auto constants = cosine ? std::vector<double>()
                                : lightConstants(scene, height, sun, r.progress().part(0, 0.4));
  r.begin(ProductKind::Scene, ".tif");
  correctSlopeLight(scene, height, sun, cosine ? SlopeLight::Cosine : SlopeLight::C, constants,
                    r.temporary, r.progress().part(0.4, 1));
  if (!cosine) r.product.facts["light_constants"] = numbers(constants);
  return r.finishScene(scene);
}

}  // namespace

namespace steps {
extern const StepKind slopeLight{
    "slope-light",
    "A scene in the light of level ground",
    {{"scene", Holds::Scene, true, "With slopes"},
     {"with", Holds::Named, true, "The layer of heights, under any name"},
     {"band", Holds::Whole, false, "Its band with the heights in metres, from 0"},
     {"how", Holds::Text, false, "The method", {"c", "cosine"}},
     {"elevation", Holds::Number, false, "Of the sun above the horizon, in degrees"},
     {"azimuth", Holds::Number, false, "Of the sun, in degrees clockwise from north"}},
    &runSlopeLight};
}
}  // namespace zp
