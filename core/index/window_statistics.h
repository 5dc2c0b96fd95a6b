#pragma once
#include <vector>

#include "index/formula.h"

namespace zp {

/// A statistic of the valid values in the square of 2 radius + 1 pixels around each pixel of a
/// block, as far as it lies in the block. NaN where the pixel itself is; the spread is with n − 1,
/// and NaN of one value alone.
std::vector<float> inWindow(WindowFunction function, const std::vector<float>& values, int width,
                            int height, int radius);

}  // namespace zp
