// Every kind of feature there is, each in the file of its name.
#include "feature/feature_kind.h"

#define ZP_FEATURES(of)                                                                   \
  of(band) of(index) of(formula) of(decibels) of(brightness) of(neighbourhood) of(season) \
      of(texture) of(slope)

namespace zp {

namespace features {
#define ZP_DECLARED(kind) extern const FeatureKind kind;
ZP_FEATURES(ZP_DECLARED)
}  // namespace features

const std::vector<const FeatureKind*>& featureKinds() {
#define ZP_LISTED(kind) &features::kind,
  static const std::vector<const FeatureKind*> all{ZP_FEATURES(ZP_LISTED)};
  return all;
}

}  // namespace zp
