#include "mapping/disagreement.h"

#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runDisagreement(StepRun& r) {
  const auto &first = r.source("map"), &second = r.source("other");
  r.begin(ProductKind::ClassMap, ".tif");
  r.product.date = first.date;
  r.product.facts["disagreement"] =
      toJson(mapDisagreement(first.file, second.file, r.temporary, r.progress().part(0, 0.8)));
  r.product.facts["of"] = {first.name, second.name};
  return r.finishClassMap(r.progress().part(0.8, 1));
}

}  // namespace

namespace steps {
extern const StepKind disagreement{
    "disagreement",
    "Where two class maps give different classes",
    {{"map", Holds::Product, true, "One class map"}, {"other", Holds::Product, true, "The other"}},
    &runDisagreement};
}
}  // namespace zp
