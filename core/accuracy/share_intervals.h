#pragma once
#include <cstddef>

#include "accuracy/estimate.h"

namespace zp {

/// 95 % interval of a share (Wilson 1927); undefined without trials.
Estimate wilson(size_t successes, size_t trials);

struct Limits {
  double low = 0, high = 1;
};

/// Exact 95 % limits of a share (Clopper and Pearson 1934), which hold for few trials and shares
/// near 0 or 1. `successes` need not be whole: for values between 0 and 1 whose mean is
/// successes / trials the limits are on the safe side, as no values spread more than 0 and 1.
Limits exactLimits(double successes, double trials);

}  // namespace zp
