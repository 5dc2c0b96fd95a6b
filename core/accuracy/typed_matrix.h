#pragma once
#include <map>
#include <string>

#include "accuracy/assessment.h"

namespace zp {

/// A matrix of counts made elsewhere. With the area of each class of the map its rows are strata.
struct TypedMatrix {
  ConfusionMatrix matrix;
  std::map<int, double> areas;  // by code, in any unit; empty: not given
};

/// Reads one from text, a line a row, cells parted by tab, semicolon, comma, or (without any of
/// these) blanks. A heading of class names and names before the rows may be there or not; a last
/// column called "area" gives the area of each class; columns and rows of totals, accuracies and
/// limits, as our own CSV has them, are left out. `columnsAreMap`: rows are the reference. Error:
/// not square, a cell that is no whole number of points, no point at all, areas that are none.
TypedMatrix typedMatrix(const std::string& text, bool columnsAreMap = false);

/// Weighted where areas are given, else of counts.
Assessment assess(const TypedMatrix& typed);

}  // namespace zp
