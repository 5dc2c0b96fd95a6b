#pragma once
#include <limits>

namespace zp {

/// A value that is not there.
inline constexpr float kNan = std::numeric_limits<float>::quiet_NaN();

}  // namespace zp
