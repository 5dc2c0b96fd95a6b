#pragma once
#include <limits>

namespace zp {

/// 97.5 % point of the standard normal: intervals are at 95 %.
inline constexpr double kNormal975 = 1.959963984540054;

/// A value with its 95 % interval and its standard error; NaN where one is not defined.
struct Estimate {
  double value = 0, low = 0, high = 0;
  double error = std::numeric_limits<double>::quiet_NaN();
};

/// What is not defined.
inline constexpr Estimate kUndefined{std::numeric_limits<double>::quiet_NaN(),
                                     std::numeric_limits<double>::quiet_NaN(),
                                     std::numeric_limits<double>::quiet_NaN()};

}  // namespace zp
