#include "index/threshold.h"

#include "study/steps/step_run.h"

namespace zp {
namespace {

Product run(StepRun& r) {
  const auto& source = r.source("product");
  r.begin(ProductKind::ClassMap, ".tif");
  r.product.date = source.date;
  thresholdToClasses(source.file, 1, r.step().at("at").get<std::vector<double>>(),
                     legendOfStep(r.step().at("classes")), r.temporary, r.progress().part(0, 0.6));
  return r.finishClassMap(r.progress().part(0.7, 1));
}

}  // namespace

namespace steps {
extern const StepKind threshold{
    "threshold",
    "A picture cut into classes at rising thresholds",
    {{"product", Holds::Product, true, "The picture"},
     {"at", Holds::Numbers, true, "Thresholds, rising; a value equal to one is above it"},
     {"classes", Holds::Classes, true, "From low to high, one more than thresholds"}},
    &run};
}
}  // namespace zp
