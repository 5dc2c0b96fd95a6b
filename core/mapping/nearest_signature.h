#pragma once
#include <vector>

#include "training/signature.h"

namespace zp {

/// The class that a mean is most like: the one under whose signature it is most likely, each
/// feature by itself (a wide class is not near to everything). And how far from it that is: the
/// root of the mean, over the features, of the squared differences in spreads of the class. About 1
/// and less: as near as its own training pixels are.
struct NearestSignature {
  int code = 0;  // 0: there are no signatures
  double distance = 0;
};

/// `mean`: of the features of the set, in their order; one that is NaN is left out.
NearestSignature nearestSignature(const std::vector<double>& mean, const SignatureSet& set);

}  // namespace zp
