#pragma once
#include "base/parameter.h"

namespace zp {

/// The side of the square around a pixel that a feature looks at, `window`: odd, in pixels.
Parameter windowParameter(int initial);
/// Error: an even number.
int oddWindow(int window);
/// How far it reaches in a picture of which `scale` pixels make one of the grid's; at least 1.
int radiusAt(int window, double scale);

}  // namespace zp
