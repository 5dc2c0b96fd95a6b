#include "index/threshold.h"

#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runThreshold(StepRun& r) {
  const auto& source = r.source("product");
  r.begin(ProductKind::ClassMap, ".tif");
  r.product.date = source.date;
  const Legend legend = legendOfStep(r.step().at("classes"));
  thresholdToClasses(source.file, r.step().value("band", 0) + 1,
                     r.step().at("at").get<std::vector<double>>(), legend, r.temporary,
                     r.progress().part(0, 0.6));
  return r.finishClassMap(r.progress().part(0.7, 1), legend);
}

}  // namespace

namespace steps {
extern const StepKind threshold{
    "threshold",
    "A picture cut into classes at rising thresholds",
    {{"product", Holds::Product, true, "The picture"},
     {"band", Holds::Whole, false, "Of a file with several, from 0"},
     {"at", Holds::Numbers, true, "Thresholds, rising; a value equal to one is above it"},
     {"classes", Holds::Classes, true, "From low to high, one more than thresholds"}},
    &runThreshold};
}
}  // namespace zp
