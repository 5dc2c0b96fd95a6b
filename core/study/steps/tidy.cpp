#include "mapping/tidy.h"

#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runTidy(StepRun& r) {
  const Product& map = r.source("map");
  r.begin(ProductKind::ClassMap, ".tif");
  const size_t changed = tidy(map.file, r.step(), r.temporary, r.progress().part(0, 0.8));
  r.product.date = map.date;
  r.product.facts["changed"] = changed;
  return r.finishClassMap(r.progress().part(0.8, 1));
}

}  // namespace

namespace steps {
extern const StepKind tidy{
    "tidy",
    "A class map cleaned of single pixels and small patches",
    {{"map", Holds::Product, true, "The class map"},
     {"majority", Holds::Whole, false, "Side of the window, odd, whose most common class counts"},
     {"smallest", Holds::Whole, false,
      "Pixels of the smallest patch that stays; after the majority"},
     {"neighbours", Holds::Text, false, "What makes pixels one patch", {"sides", "corners"}}},
    &runTidy};
}
}  // namespace zp
