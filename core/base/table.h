#pragma once
#include <filesystem>
#include <string>
#include <vector>

namespace zp {

/// A table of text cells: every row has as many cells as there are columns; "" is empty.
struct Table {
  std::vector<std::string> columns;
  std::vector<std::vector<std::string>> rows;

  /// Error with the nearest known column when there is no such one.
  size_t column(const std::string& name) const;
};

/// With this decimal sign in the cells that are numbers.
Table withDecimal(Table table, char decimal);

/// CSV as UTF-8, a header first, "\n" at line ends.
std::string toCsv(const Table& table, char separator = ',');

}  // namespace zp
