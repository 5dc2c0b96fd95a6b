#include "base/table.h"

#include <fmt/format.h>
#include <fmt/ranges.h>

#include <algorithm>

#include "base/error.h"
#include "base/text.h"

namespace zp {

size_t Table::column(const std::string& name) const {
  const auto at = std::find(columns.begin(), columns.end(), name);
  if (at == columns.end()) {
    constexpr size_t kShown = 10;
    std::string all = listed(columns).text();
    if (columns.size() > kShown)
      all =
          fmt::format("{} and {} more", fmt::join(columns.begin(), columns.begin() + kShown, ", "),
                      columns.size() - kShown);
    throw Error("There is no column “{}”; the columns are {}.{}", name, all,
                didYouMean(name, columns));
  }
  return static_cast<size_t>(at - columns.begin());
}

namespace {
void appendRow(std::string& out, const std::vector<std::string>& cells, char separator) {
  for (size_t i = 0; i < cells.size(); ++i) {
    if (i > 0) out += separator;
    out += csvField(cells[i], separator);
  }
  out += '\n';
}
}  // namespace

Table withDecimal(Table table, char decimal) {
  if (decimal == '.') return table;
  for (auto& row : table.rows)
    for (auto& cell : row)
      if (const auto point = cell.find('.'); point != std::string::npos && parseNumber(cell))
        cell[point] = decimal;
  return table;
}

std::string toCsv(const Table& table, char separator) {
  std::string out;
  appendRow(out, table.columns, separator);
  for (const auto& row : table.rows) appendRow(out, row, separator);
  return out;
}

}  // namespace zp
