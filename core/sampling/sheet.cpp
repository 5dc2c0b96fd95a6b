#include "sampling/sheet.h"

#include <algorithm>
#include <cmath>
#include <numeric>

#include "base/day.h"
#include "base/error.h"
#include "base/nan.h"
#include "base/text.h"

namespace zp {
namespace {

/// Numbers that would read back otherwise are texts: "007".
std::optional<double> plainNumber(const std::string& text) {
  const bool padded = text.size() > 1 && text[0] == '0' && text[1] != '.';
  return padded ? std::nullopt : parseNumber(text);
}

std::optional<double> date(const std::string& text) {
  const auto day = dayOf(text);
  return day ? std::optional<double>(static_cast<double>(*day)) : std::nullopt;
}

/// The values of all that are not empty; nothing where one has none.
std::optional<std::vector<double>> valuesOf(const std::vector<std::string>& texts,
                                            std::optional<double> (*valueOf)(const std::string&)) {
  std::vector<double> values(texts.size(), kNan);
  bool any = false;
  for (size_t r = 0; r < texts.size(); ++r) {
    if (texts[r].empty()) continue;
    const auto value = valueOf(texts[r]);
    if (!value) return {};
    values[r] = *value;
    any = true;
  }
  if (!any) return {};
  return values;
}

}  // namespace

size_t SheetColumn::filled() const {
  return static_cast<size_t>(
      std::count_if(texts.begin(), texts.end(), [](const auto& text) { return !text.empty(); }));
}

size_t Sheet::column(const std::string& name) const {
  return Table{names(), {}}.column(name);
}

std::vector<std::string> Sheet::names() const {
  std::vector<std::string> all;
  for (const auto& c : columns) all.push_back(c.name);
  return all;
}

SheetColumn columnOf(std::string name, std::vector<std::string> texts) {
  SheetColumn column{std::move(name), CellType::Text, std::move(texts), {}, {}};
  const auto take = [&](CellType type, std::optional<std::vector<double>> numbers) {
    if (!numbers) return false;
    column.type = type;
    column.numbers = std::move(*numbers);
    return true;
  };
  if (!take(CellType::Number, valuesOf(column.texts, &plainNumber)))
    take(CellType::Date, valuesOf(column.texts, &date));
  return column;
}

SheetColumn columnOf(std::string name, CellType type, std::vector<double> numbers) {
  SheetColumn column{std::move(name), type, {}, std::move(numbers), {}};
  column.texts.reserve(column.numbers.size());
  for (const double v : column.numbers)
    column.texts.push_back(std::isnan(v)            ? ""
                           : type == CellType::Date ? dateOf(std::lround(v))
                                                    : shortest(v));
  return column;
}

Sheet sheetOf(const Table& table) {
  if (table.rows.size() > kMostSheetRows)
    throw Error("The table has {} rows; a table here has {} at most. Divide it first.",
                table.rows.size(), kMostSheetRows);
  Sheet sheet;
  sheet.origin.resize(table.rows.size());
  std::iota(sheet.origin.begin(), sheet.origin.end(), size_t{0});
  for (size_t c = 0; c < table.columns.size(); ++c) {
    std::vector<std::string> texts;
    texts.reserve(table.rows.size());
    for (const auto& row : table.rows) texts.push_back(row[c]);
    sheet.columns.push_back(columnOf(table.columns[c], std::move(texts)));
    sheet.columns.back().from = table.columns[c];
  }
  return sheet;
}

Table tableOf(const Sheet& sheet) {
  Table table{sheet.names(), {}};
  table.rows.resize(sheet.rows());
  for (size_t r = 0; r < sheet.rows(); ++r) {
    table.rows[r].reserve(sheet.columns.size());
    for (const auto& column : sheet.columns) table.rows[r].push_back(column.texts[r]);
  }
  return table;
}

void takeRows(Sheet& sheet, const std::vector<size_t>& rows) {
  const auto taken = [&](auto& all) {
    std::remove_reference_t<decltype(all)> some;
    some.reserve(rows.size());
    for (const size_t r : rows) some.push_back(all[r]);
    all = std::move(some);
  };
  for (auto& column : sheet.columns) {
    taken(column.texts);
    if (column.type != CellType::Text) taken(column.numbers);
  }
  taken(sheet.origin);
}

std::vector<size_t> inOrderOf(const Sheet& sheet, size_t column, bool down) {
  const auto& c = sheet.columns[column];
  std::vector<size_t> order(sheet.rows());
  std::iota(order.begin(), order.end(), size_t{0});
  const auto less = [&](size_t a, size_t b) {
    return c.type == CellType::Text ? naturalLess(c.texts[a], c.texts[b])
                                    : c.numbers[a] < c.numbers[b];
  };
  std::stable_sort(order.begin(), order.end(), [&](size_t a, size_t b) {
    if (c.texts[a].empty() || c.texts[b].empty()) return !c.texts[a].empty() && c.texts[b].empty();
    return down ? less(b, a) : less(a, b);
  });
  return order;
}

}  // namespace zp
