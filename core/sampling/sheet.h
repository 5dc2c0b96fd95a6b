#pragma once
#include "base/table.h"

namespace zp {

enum class CellType { Number, Date, Text };

/// A column as text and as what the text stands for. A column is of numbers or dates when all its
/// cells that are not empty are, and at least one is; "007" is a text.
struct SheetColumn {
  std::string name;
  CellType type = CellType::Text;
  std::vector<std::string> texts;  // as they stand in a file; "" where empty
  std::vector<double> numbers;     // of numbers and dates (days since 1970); NaN where empty
  std::string from = {};           // what it was read as; "" of one that was computed

  size_t filled() const;  // cells that are not empty
};

/// A table to compute with, column by column.
struct Sheet {
  std::vector<SheetColumn> columns;
  std::vector<size_t> origin;  // row by row, which of the table it was read from it is
  size_t rows() const { return origin.size(); }

  /// Error with the nearest known column when there is no such one.
  size_t column(const std::string& name) const;
  std::vector<std::string> names() const;
};

inline constexpr size_t kMostSheetRows = 1'000'000;

/// Error: more than kMostSheetRows rows.
Sheet sheetOf(const Table& table);
Table tableOf(const Sheet& sheet);

/// What the texts of a column are, its numbers.
SheetColumn columnOf(std::string name, std::vector<std::string> texts);
/// A column of numbers or dates, as texts too.
SheetColumn columnOf(std::string name, CellType type, std::vector<double> numbers);

/// Only these rows, in this order.
void takeRows(Sheet& sheet, const std::vector<size_t>& rows);
/// All rows in the order of a column, empty ones last; equals stay as they are.
std::vector<size_t> inOrderOf(const Sheet& sheet, size_t column, bool down);

}  // namespace zp
