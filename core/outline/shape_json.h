#pragma once
#include "base/json.h"
#include "outline/layer.h"

namespace zp {

/// A shape as {"rings": [[[x, y]…]…], "points": [[x, y]…]}, and back; a library's exception where
/// it is not so.
Json shapeJson(const Shape& shape);
Shape shapeFrom(const Json& json);

}  // namespace zp
