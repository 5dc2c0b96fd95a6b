#include "index/compare_layers.h"
#include "study/steps/step_run.h"
#include "study/study_scope.h"

namespace zp {
namespace {

Product runCompare(StepRun& r) {
  const auto &ours = r.source("product"), &theirs = r.source("to");
  r.begin(ProductKind::Index, ".tif");
  r.product.ramp = "diverging";
  r.product.date = ours.date;
  r.product.facts =
      toJson(compareLayers(layerOf(ours), layerOf(theirs), r.temporary, r.progress()));
  return r.finishRaster();
}

}  // namespace

namespace steps {
extern const StepKind compare{"compare",
                              "The difference of two pictures, and how well they agree",
                              {{"product", Holds::Product, true, "One"},
                               {"to", Holds::Product, true, "The one that is taken away from it"}},
                              &runCompare};
}
}  // namespace zp
