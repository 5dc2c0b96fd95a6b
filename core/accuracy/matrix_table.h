#pragma once
#include "accuracy/assessment.h"
#include "base/table.h"

namespace zp {

struct MatrixTable {
  bool turned = false;    // rows: the reference, columns: the map
  bool intervals = true;  // else the cells of limits are empty
};

/// The matrix as a table that says in words what its rows and columns are, with margins, accuracies
/// and measures. Cells are counts, or shares of the area where the assessment is weighted.
Table toTable(const ConfusionMatrix& m, const Assessment& a, const MatrixTable& how = {});

}  // namespace zp
