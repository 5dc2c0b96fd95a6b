#pragma once
#include <vector>

#include "cover.h"

namespace haven {

/// VV and VH backscatter in linear power at 10 m: averages of the truth's smooth growth curves,
/// with speckle of five looks. `season`: 0 March … 1 November; `wet`: rain on the ground.
std::vector<std::vector<float>> heronScene(const World& world, double season, bool wet,
                                           uint64_t seed);

}  // namespace haven
