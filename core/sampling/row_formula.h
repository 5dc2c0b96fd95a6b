#pragma once
#include "sampling/sheet.h"

namespace zp {

/// A formula (index/formula.h) over the rows of a table, in double precision: a column is named as
/// it is, in braces where that is no plain word. Dates count days: `date - last_cut` is a number,
/// `date + 7` a date, and `last_cut > "2031-05-12"` compares. Texts are compared with = and <>, and
/// chosen between. What is computed from an empty cell is empty, but `cover = ""` tells whether one
/// is. Error: as parseFormula; texts where numbers are needed, and the other way round.
SheetColumn computedColumn(std::string name, const std::string& formula, const Sheet& sheet);

/// The rows for which a formula is true: neither 0 nor empty.
std::vector<size_t> rowsWhere(const std::string& formula, const Sheet& sheet);

/// The same formula where a column has got another name.
std::string renamedIn(const std::string& formula, const std::string& column,
                      const std::string& name);

/// A name as it stands in such a formula.
std::string inFormula(const std::string& column);

}  // namespace zp
