#include "sampling/join_tables.h"

#include <algorithm>
#include <cmath>
#include <map>

#include "base/day.h"
#include "base/error.h"
#include "base/text.h"
#include "sampling/readings.h"

namespace zp {
namespace {

/// Numbers that are the same are one key, however they are written.
std::string keyOf(const std::string& cell) {
  const std::string text = trimmed(cell);
  const auto number = parseNumber(text);
  return number ? shortest(*number == 0 ? 0 : *number) : text;
}

/// Days since 1970; nothing for an empty cell. Error, naming the row.
std::optional<long> dayIn(const Table& table, size_t row, size_t column) {
  const std::string text = trimmed(table.rows[row][column]);
  if (text.empty()) return {};
  if (const auto day = dayOf(text)) return day;
  throw Error("“{}” in row {} of the column “{}” is no date such as 2031-07-18.", text, row + 1,
              table.columns[column]);
}

/// All keys of a row as one; nothing where a cell is empty.
std::optional<std::string> keysOf(const std::vector<std::string>& row,
                                  const std::vector<size_t>& columns) {
  std::string all;
  for (const size_t c : columns) {
    const std::string key = keyOf(row[c]);
    if (key.empty()) return {};
    all += key + '\x1f';
  }
  return all;
}

std::vector<std::optional<long>> daysIn(const Table& table, const std::string& column) {
  std::vector<std::optional<long>> days;
  const size_t c = table.column(column);
  for (size_t r = 0; r < table.rows.size(); ++r) days.push_back(dayIn(table, r, c));
  return days;
}

/// Of rows of the other, the one of the nearest date that is near enough; its equals after it.
std::vector<size_t> nearestInTime(const std::vector<size_t>& rows, std::optional<long> day,
                                  const std::vector<std::optional<long>>& days, int most) {
  if (!day) return {};
  std::vector<size_t> near;
  for (const size_t r : rows)
    if (days[r] && std::labs(*days[r] - *day) <= most) near.push_back(r);
  const auto rank = [&](size_t r) { return std::pair(std::labs(*days[r] - *day), *days[r]); };
  std::stable_sort(near.begin(), near.end(), [&](size_t a, size_t b) { return rank(a) < rank(b); });
  const auto end =
      std::find_if(near.begin(), near.end(), [&](size_t r) { return rank(r) != rank(near[0]); });
  near.erase(end, near.end());
  return near;
}

}  // namespace

size_t Matches::matched() const {
  return static_cast<size_t>(
      std::count_if(rows.begin(), rows.end(), [](const auto& r) { return !r.empty(); }));
}

size_t Matches::several() const {
  return static_cast<size_t>(
      std::count_if(rows.begin(), rows.end(), [](const auto& r) { return r.size() > 1; }));
}

size_t Matches::unused(size_t rowsOfOther) const {
  std::vector<bool> used(rowsOfOther);
  for (const auto& row : rows)
    for (const size_t r : row) used[r] = true;
  return static_cast<size_t>(std::count(used.begin(), used.end(), false));
}

Matches matchByKeys(const Table& one, const Table& other, const std::vector<JoinKey>& keys,
                    const std::optional<JoinDates>& dates) {
  if (keys.empty()) throw Error("Say by which columns the tables are joined.");
  std::vector<size_t> ours, theirs;
  for (const auto& key : keys) {
    ours.push_back(one.column(key.one));
    theirs.push_back(other.column(key.other));
  }
  std::map<std::string, std::vector<size_t>> byKey;
  for (size_t r = 0; r < other.rows.size(); ++r)
    if (const auto key = keysOf(other.rows[r], theirs)) byKey[*key].push_back(r);
  std::vector<std::optional<long>> ourDays, theirDays;
  if (dates) {
    ourDays = daysIn(one, dates->columns.one);
    theirDays = daysIn(other, dates->columns.other);
  }
  Matches matches;
  for (size_t r = 0; r < one.rows.size(); ++r) {
    const auto key = keysOf(one.rows[r], ours);
    const auto at = key ? byKey.find(*key) : byKey.end();
    std::vector<size_t> rows = at == byKey.end() ? std::vector<size_t>() : at->second;
    if (dates) rows = nearestInTime(rows, ourDays[r], theirDays, dates->days);
    matches.rows.push_back(std::move(rows));
  }
  return matches;
}

Table joined(const Table& one, const Table& other, const Matches& matches, bool all,
             std::vector<size_t>* origin) {
  Table out;
  out.columns = one.columns;
  const auto addColumn = [&](const std::string& name) {
    out.columns.push_back(columnBeside(name, out.columns));
  };
  for (const auto& name : other.columns) addColumn(name);
  if (!matches.measure.empty()) addColumn(matches.measure);
  addColumn("matches");
  for (size_t r = 0; r < one.rows.size(); ++r) {
    const auto& rows = matches.rows[r];
    const size_t times = all ? std::max<size_t>(1, rows.size()) : 1;
    for (size_t k = 0; k < times; ++k) {
      auto row = one.rows[r];
      if (k < rows.size())
        row.insert(row.end(), other.rows[rows[k]].begin(), other.rows[rows[k]].end());
      else
        row.resize(row.size() + other.columns.size());
      if (!matches.measure.empty())
        row.push_back(k < rows.size() ? shortest(matches.measures[r][k]) : "");
      row.push_back(std::to_string(rows.size()));
      out.rows.push_back(std::move(row));
      if (origin != nullptr) origin->push_back(r);
    }
  }
  return out;
}

}  // namespace zp
