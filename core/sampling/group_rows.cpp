#include "sampling/group_rows.h"

#include <algorithm>
#include <cmath>
#include <functional>
#include <map>
#include <numeric>

#include "base/error.h"
#include "base/nan.h"
#include "base/text.h"
#include "sampling/readings.h"

namespace zp {
namespace {

/// Cells one after the other; numbers by their value, so that 2 comes before 10.
struct CellsLess {
  bool operator()(const std::vector<std::string>& a, const std::vector<std::string>& b) const {
    return std::lexicographical_compare(
        a.begin(), a.end(), b.begin(), b.end(),
        [](const std::string& one, const std::string& other) { return naturalLess(one, other); });
  }
};
using Groups = std::map<std::vector<std::string>, std::vector<size_t>, CellsLess>;

double spreadOf(const std::vector<double>& values, double mean) {
  if (values.size() < 2) return kNan;
  double squares = 0;
  for (const double v : values) squares += (v - mean) * (v - mean);
  return std::sqrt(squares / static_cast<double>(values.size() - 1));
}

double meanOf(const std::vector<double>& values) {
  const double n = static_cast<double>(values.size());  // 0 / 0 of none: NaN
  return std::accumulate(values.begin(), values.end(), 0.0) / n;
}

constexpr std::pair<const char*, double (*)(const std::vector<double>&)> kSummaries[] = {
    {"count", [](const std::vector<double>& v) { return static_cast<double>(v.size()); }},
    {"mean", &meanOf},
    {"sd", [](const std::vector<double>& v) { return spreadOf(v, meanOf(v)); }},
    {"q1", [](const std::vector<double>& v) { return quantileOf(v, 0.25); }},
    {"median", [](const std::vector<double>& v) { return quantileOf(v, 0.5); }},
    {"q3", [](const std::vector<double>& v) { return quantileOf(v, 0.75); }}};

std::vector<double> sortedValues(const SheetColumn& column, const std::vector<size_t>& rows) {
  std::vector<double> values;
  for (const size_t r : rows)
    if (!std::isnan(column.numbers[r])) values.push_back(column.numbers[r]);
  std::sort(values.begin(), values.end());
  return values;
}

void addSummaries(Sheet& out, const SheetColumn& column, const Groups& groups) {
  if (column.type != CellType::Number)
    throw Error("The column “{}” holds no numbers to summarise.", column.name);
  for (const auto& [name, summary] : kSummaries) {
    std::vector<double> values;
    for (const auto& [cells, rows] : groups) values.push_back(summary(sortedValues(column, rows)));
    out.columns.push_back(columnOf(columnBeside(column.name + " " + name, out.names()),
                                   CellType::Number, std::move(values)));
  }
}

}  // namespace

double quantileOf(const std::vector<double>& sorted, double share) {
  if (sorted.empty()) return kNan;
  const double h = share * static_cast<double>(sorted.size() - 1);
  const auto low = static_cast<size_t>(h);
  const size_t next = std::min(low + 1, sorted.size() - 1);
  return std::lerp(sorted[low], sorted[next], h - static_cast<double>(low));
}

Sheet groupRows(const Sheet& sheet, const std::vector<std::string>& by,
                const std::vector<std::string>& of) {
  if (by.empty()) throw Error("Say by which columns the rows are put together.");
  std::vector<size_t> keys;
  for (const auto& name : by) keys.push_back(sheet.column(name));
  Groups groups;
  for (size_t r = 0; r < sheet.rows(); ++r) {
    std::vector<std::string> cells;
    for (const size_t k : keys) cells.push_back(sheet.columns[k].texts[r]);
    groups[cells].push_back(r);
  }
  Sheet out;
  out.origin.resize(groups.size());
  std::iota(out.origin.begin(), out.origin.end(), size_t{0});
  for (size_t k = 0; k < keys.size(); ++k) {
    std::vector<std::string> texts;
    for (const auto& [cells, rows] : groups) texts.push_back(cells[k]);
    out.columns.push_back(columnOf(by[k], std::move(texts)));
  }
  std::vector<double> counts;
  for (const auto& [cells, rows] : groups) counts.push_back(static_cast<double>(rows.size()));
  out.columns.push_back(columnOf(columnBeside("rows", out.names()), CellType::Number, counts));
  for (const auto& name : of) addSummaries(out, sheet.columns[sheet.column(name)], groups);
  return out;
}

}  // namespace zp
