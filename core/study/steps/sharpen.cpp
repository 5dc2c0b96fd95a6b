#include "base/error.h"
#include "scene/combine.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runSharpen(StepRun& r) {
  const auto &scene = r.scene(), &sharp = r.scene("sharp");
  const auto band = r.step().value("band", size_t{0});
  if (band >= sharp.bands.size()) throw Error("The sharp band is gone; choose another.");
  auto bands = r.step().value("bands", std::vector<size_t>());
  for (size_t b : bands) requireBand(scene, b);
  if (bands.empty())
    for (size_t b = 0; b < scene.bands.size(); ++b) bands.push_back(b);
  const auto how = r.step().value("how", "gram-schmidt") == "brovey" ? Sharpening::Brovey
                                                                     : Sharpening::GramSchmidt;
  r.begin(ProductKind::Scene, ".tif");
  sharpen(scene, bands, sharp, band, how, r.temporary, r.progress());
  r.product.facts["fit_for_classes"] = false;
  return r.finishScene(scene);
}

}  // namespace

namespace steps {
extern const StepKind sharpen{
    "sharpen",
    "Coarse bands with the detail of a sharp one",
    {{"scene", Holds::Scene, true, "With the coarse bands"},
     {"sharp", Holds::Scene, true, "With the sharp band"},
     {"band", Holds::Whole, false, "The sharp band, from 0"},
     {"bands", Holds::Indices, false, "The coarse bands, from 0; all when left out"},
     {"how", Holds::Text, false, "The method", {"gram-schmidt", "brovey"}}},
    &runSharpen};
}
}  // namespace zp
