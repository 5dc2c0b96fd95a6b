#pragma once
#include "sampling/ground.h"
#include "sampling/plan.h"

namespace zp {

/// The points of a plan that takes pixels in a random order: random, stratified, in blocks
/// (plan.h).
PlannedPoints randomPoints(const Ground& ground, const Bounds& bounds, const SamplingPlan& plan,
                           const std::vector<Place>& before, const Progress& progress);

}  // namespace zp
