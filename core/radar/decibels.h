#pragma once
#include <cmath>
#include <limits>

#include "scene/scene.h"

namespace zp {

/// NaN where there is no power.
template <class Number>
Number toDecibels(Number power) {
  return power > 0 ? 10 * std::log10(power) : std::numeric_limits<Number>::quiet_NaN();
}
inline float toPower(float decibels) {
  return std::pow(10.0f, decibels / 10);
}

/// Whether the numbers of a radar scene are power or decibels: power is never below zero, decibels
/// of land and water mostly are. Unknown when neither is plain: one has to be asked.
ValueState recogniseBackscatter(const Scene& scene);
inline bool isBackscatter(ValueState state) {
  return state == ValueState::BackscatterPower || state == ValueState::BackscatterDecibels;
}
/// What the numbers of a scene are; of a radar scene of which nobody has said it, as recognised.
ValueState backscatterState(const Scene& scene);

}  // namespace zp
