// Every kind of step there is, each in the file of its name.
#include "study/steps/step_kind.h"

#define ZP_STEPS(of)                                                                               \
  of(index) of(threshold) of(rules) of(change) of(history) of(series) of(compare) of(map)          \
      of(confidence) of(unlikeness) of(cluster) of(nameClusters) of(segments) of(tidy) of(touchUp) \
          of(combine) of(disagreement) of(points) of(cells) of(readings) of(zones) of(joinTables)  \
              of(table) of(labels) of(stack) of(join) of(composite) of(sharpen) of(speckle)        \
                  of(haze) of(slopeLight) of(normalise) of(importClasses) of(importQuantity)       \
                      of(importTable)

namespace zp {

namespace steps {
#define ZP_DECLARED(kind) extern const StepKind kind;
ZP_STEPS(ZP_DECLARED)
}  // namespace steps

const std::vector<const StepKind*>& stepKinds() {
#define ZP_LISTED(kind) &steps::kind,
  static const std::vector<const StepKind*> all{ZP_STEPS(ZP_LISTED)};
  return all;
}

}  // namespace zp
