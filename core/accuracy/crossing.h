#pragma once
#include <functional>

namespace zp {

/// Where a continuous function that is on one side of 0 at `low` and on the other, or 0, at `high`
/// crosses it, to 1e-12 (Brent 1973).
double crossing(const std::function<double(double)>& f, double low, double high);

}  // namespace zp
