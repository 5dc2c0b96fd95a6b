#include "index/class_change.h"
#include "study/steps/step_run.h"

namespace zp {
namespace {

Product runChange(StepRun& r) {
  const auto &from = r.source("from"), &to = r.source("to");
  r.begin(ProductKind::ClassMap, ".tif");
  r.product.date = to.date;
  r.product.facts = {{"change", toJson(classChange(from.file, to.file, r.step().value("code", 0),
                                                   r.temporary, r.progress().part(0, 0.8)))},
                     {"from", dayOf(from)},
                     {"to", dayOf(to)}};
  return r.finishClassMap(r.progress().part(0.8, 1));
}

}  // namespace

namespace steps {
extern const StepKind change{
    "change",
    "What changed between two class maps",
    {{"from", Holds::Product, true, "The earlier map"},
     {"to", Holds::Product, true, "The later map"},
     {"code", Holds::Whole, false, "Of one class; left out, every change is a class of its own"}},
    &runChange};
}
}  // namespace zp
