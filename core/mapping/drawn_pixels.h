#pragma once
#include "base/parameter.h"

namespace zp {

// Parameters of the methods that learn from a draw of the training pixels (drawnPerClass): `pixels`
// of a class at most, told of by `about`, and the `seed`.
Parameter pixelsOfAClass(const std::string& about, int initial = 1000);
Parameter seedOfTheDraw();

}  // namespace zp
