#include "feature/compute_index.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runIndex(StepRun& r) {
  const Scope scope = r.scope();
  const Formula formula = parseFormula(r.step().at("formula"), scope.names());
  const bool quantity = r.step().contains("unit");
  r.begin(quantity ? ProductKind::Quantity : ProductKind::Index, ".tif");
  if (quantity) r.product.facts["unit"] = r.step()["unit"];
  const auto& scene = scope.scenes[0].scene;
  r.product.date = scene.date;
  r.product.ramp = r.step().value("ramp", "dusk");
  r.product.facts["scene"] = scene.name;
  const auto inside = r.inside(scope.grid.crs);
  if (inside) r.product.facts["inside"] = inside->name;
  return r.finishPicture(computeIndex(scope, formula, r.product.name, r.temporary,
                                      inside ? &*inside : nullptr, r.progress().part(0, 0.8)));
}

}  // namespace

namespace steps {
extern const StepKind index{
    "index",
    "A formula of bands, as a picture",
    {{"scene", Holds::Scene, true, "Whose bands stand alone in the formula"},
     {"formula", Holds::Text, true, "Such as ndiff(nir, red)"},
     {"with", Holds::Named, false, "Other scenes and products that the formula names"},
     {"inside", Holds::Outline, false, "To cut to"},
     {"unit", Holds::Text, false, "Of a quantity that the formula estimates"},
     {"ramp", Holds::Text, false, "Of its colours"}},
    &runIndex};
}
}  // namespace zp
