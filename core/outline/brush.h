#pragma once
#include "outline/layer.h"

namespace zp {

/// What a round brush covers along a line of places, in their units; empty without any. Error: a
/// width that is not above 0.
Shape brushed(const Ring& along, double width);

}  // namespace zp
