#pragma once
#include "sampling/ground.h"
#include "sampling/plan.h"

namespace zp {

/// The places of a systematic plan (plan.h) that lie on the ground and within the bounds, row by
/// row. Error: no spacing, more than ten million, places of before that it cannot have placed, or
/// topped up three times already.
std::vector<Place> systematicPlaces(const Ground& ground, const SamplingPlan& plan,
                                    const Bounds& bounds, const std::vector<Place>& before,
                                    const Progress& progress);

}  // namespace zp
