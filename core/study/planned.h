#pragma once
#include "base/progress.h"
#include "sampling/cells.h"
#include "sampling/plan.h"
#include "study/study.h"

namespace zp {

// What steps would place, to be seen before anything is made.

struct PointsPreview {
  PlannedPoints points;  // in the system of what they lie over
  Spread spread;
  double pixel = 0;  // of what they lie over, its shorter side
};

/// Of a step “points”; errors are the step's.
PointsPreview plannedPoints(const Study& study, const Json& step,
                            const Progress& progress = Progress());
/// Of a step “cells”.
PlannedCells plannedCells(const Study& study, const Json& step,
                          const Progress& progress = Progress());

}  // namespace zp
