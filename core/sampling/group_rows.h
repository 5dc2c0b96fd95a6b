#pragma once
#include "sampling/sheet.h"

namespace zp {

/// The value below which a share (0…1) of sorted values lies, between two by their distance
/// (Hyndman and Fan 1996, definition 7); NaN of none.
double quantileOf(const std::vector<double>& sorted, double share);

/// A row for each combination of the cells of `by` that occurs, in their order: its number of rows
/// under "rows", and of each column of `of` its cells that are not empty, mean, standard deviation
/// (n − 1), quartiles and median, under "NAME mean" and so on. Error: a column of `of` without
/// numbers.
Sheet groupRows(const Sheet& sheet, const std::vector<std::string>& by,
                const std::vector<std::string>& of);

}  // namespace zp
