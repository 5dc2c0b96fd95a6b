#include "base/error.h"
#include "scene/combine.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runStack(StepRun& r) {
  const auto& chosen = r.step().at("bands");
  std::vector<Scene> scenes;
  scenes.reserve(chosen.size());
  std::vector<BandSource> sources;
  SceneSpec spec;
  for (const auto& b : chosen) {
    scenes.push_back(r.sceneOf(b.at("scene")));
    const Scene& scene = scenes.back();
    const auto number = b.at("band").get<size_t>();
    requireBand(scene, number);
    sources.push_back({&scene, number});
    spec.bands.push_back(scene.bands[number]);
    // In a stack of dates a band is known by its date, not by the role that all share.
    if (b.value("dated", false)) {
      spec.bands.back().name = spec.bands.back().role + " on " + scene.date.substr(0, 10);
      spec.bands.back().role.clear();
      spec.bands.back().wavelength = 0;
    }
  }
  if (scenes.empty()) throw Error("No band is chosen; choose one or more.");
  spec.state = scenes[0].state;
  spec.date = scenes[0].date;
  spec.type = numberTypeFrom(r.step().value("type", "float32"));
  spec.scale = r.step().value("scale", 1.0);
  spec.offset = r.step().value("offset", 0.0);
  r.begin(ProductKind::Scene, ".tif");
  r.product.facts["lost"] = stackBands(sources, spec, r.temporary, r.progress());
  return r.finishScene(scenes[0]);
}

}  // namespace

namespace steps {
extern const StepKind stack{
    "stack",
    "A scene of bands of one or several scenes, on the grid of the first",
    {{"bands", Holds::Bands, true, "Each with scene, band (from 0) and perhaps dated"},
     {"type", Holds::Text, false, "Number type of the file"},
     {"scale", Holds::Number, false, "Of the stored numbers"},
     {"offset", Holds::Number, false, "Of the stored numbers"}},
    &runStack};
}
}  // namespace zp
