#pragma once
#include <filesystem>

#include "base/table.h"

namespace zp {

/// How a CSV is written.
struct CsvDialect {
  char separator = ',';  // or ';' or a tab
  char decimal = '.';    // or ','
};

/// The separator by which most of the first lines fall into equally many cells, and a comma as
/// decimal sign where another separator leaves cells like 1,5 and none like 1.5.
CsvDialect dialectOf(const std::filesystem::path& file);

/// A CSV (RFC 4180) in UTF-8, with or without a mark, its first line the names of the columns; the
/// cells of numbers with a point. `most`: no more rows are read. A name that is there twice becomes
/// "name_2". Error, with line and column: a quote that is never closed or stands within a cell, a
/// line with more or fewer cells than the first, a column without a name, bytes that are no UTF-8,
/// more than `limit` rows.
Table readCsv(const std::filesystem::path& file, const CsvDialect& dialect, size_t limit,
              size_t most = static_cast<size_t>(-1));

}  // namespace zp
