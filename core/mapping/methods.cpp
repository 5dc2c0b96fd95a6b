// Every trained method there is, each in the file pair of its name.
#include "mapping/method.h"

#define ZP_METHODS(of)                                                                          \
  of(maximumLikelihood) of(randomForest) of(supportVectors) of(mahalanobis) of(minimumDistance) \
      of(spectralAngle) of(nearestNeighbours)

namespace zp {

namespace trained {
#define ZP_DECLARED(method) extern const Method method;
ZP_METHODS(ZP_DECLARED)
}  // namespace trained

const std::vector<const Method*>& methods() {
#define ZP_LISTED(method) &trained::method,
  static const std::vector<const Method*> all{ZP_METHODS(ZP_LISTED)};
  return all;
}

}  // namespace zp
