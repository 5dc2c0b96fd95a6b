#pragma once
#include "accuracy/assessment.h"
#include "look/look.h"

namespace zp {

/// The colour behind a cell of a matrix: what agrees and what does not, the more the stronger.
QColor matrixTint(const Assessment& a, size_t map, size_t reference);

}  // namespace zp
