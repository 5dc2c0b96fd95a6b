#pragma once
#include <cmath>

#include "look/look.h"

namespace zp {

/// A share as whole per cent; a dash where there is none.
inline QString percent(double share) {
  return std::isnan(share) ? QString("–") : decimal(100 * share, 0) + " %";
}

}  // namespace zp
