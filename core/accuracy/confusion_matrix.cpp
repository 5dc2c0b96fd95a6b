#include "accuracy/confusion_matrix.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>
#include <set>

#include "base/error.h"
#include "base/nan.h"
#include "base/text.h"

namespace zp {
size_t ConfusionMatrix::rowTotal(size_t map) const {
  size_t n = 0;
  for (size_t c : counts[map]) n += c;
  return n;
}

size_t ConfusionMatrix::columnTotal(size_t reference) const {
  size_t n = 0;
  for (const auto& row : counts) n += row[reference];
  return n;
}

size_t ConfusionMatrix::total() const {
  size_t n = 0;
  for (size_t i = 0; i < counts.size(); ++i) n += rowTotal(i);
  return n;
}

size_t ConfusionMatrix::right() const {
  size_t n = 0;
  for (size_t i = 0; i < counts.size(); ++i) n += counts[i][i];
  return n;
}

Estimate ConfusionMatrix::overall() const {
  return wilson(right(), total());
}
Estimate ConfusionMatrix::users(size_t i) const {
  return wilson(counts[i][i], rowTotal(i));
}
Estimate ConfusionMatrix::producers(size_t i) const {
  return wilson(counts[i][i], columnTotal(i));
}

Estimate ConfusionMatrix::kappa() const {
  const auto n = static_cast<double>(total());
  const size_t k = counts.size();
  std::vector<double> row(k), column(k);
  double agree = 0, chance = 0, t3 = 0, t4 = 0;
  for (size_t i = 0; i < k; ++i) {
    row[i] = static_cast<double>(rowTotal(i)) / n;
    column[i] = static_cast<double>(columnTotal(i)) / n;
    agree += static_cast<double>(counts[i][i]) / n;
    chance += row[i] * column[i];
    t3 += static_cast<double>(counts[i][i]) / n * (row[i] + column[i]);
  }
  if (!(chance < 1)) return {kNan, kNan, kNan};
  for (size_t i = 0; i < k; ++i)
    for (size_t j = 0; j < k; ++j) {
      const double both = column[i] + row[j];
      t4 += static_cast<double>(counts[i][j]) / n * both * both;
    }
  const double kappa = (agree - chance) / (1 - chance), q = 1 - chance;
  const double variance =
      (agree * (1 - agree) / (q * q) + 2 * (1 - agree) * (2 * agree * chance - t3) / (q * q * q) +
       (1 - agree) * (1 - agree) * (t4 - 4 * chance * chance) / (q * q * q * q)) /
      n;
  const double half = kNormal975 * std::sqrt(std::max(0.0, variance));
  return {kappa, std::max(-1.0, kappa - half), std::min(1.0, kappa + half)};
}

ConfusionMatrix confusionMatrix(const std::vector<MapAndReference>& pairs, const Legend& legend) {
  ConfusionMatrix m;
  std::set<int> codes;
  for (const auto& p : pairs) {
    if (p.mapped == 0 || p.reference == 0) {
      ++m.skipped;
      continue;
    }
    codes.insert(p.mapped);
    codes.insert(p.reference);
  }
  if (codes.empty())
    throw Error(
        "There is no point with both a mapped class and a reference label; label some points "
        "first.");
  m.codes.assign(codes.begin(), codes.end());
  std::map<int, size_t> index;
  for (int code : m.codes) {
    index[code] = m.names.size();
    const auto* known = legend.find(code);
    m.names.push_back(known != nullptr ? known->name : fmt::format("class {}", code));
  }
  m.counts.assign(m.codes.size(), std::vector<size_t>(m.codes.size()));
  for (const auto& p : pairs)
    if (p.mapped != 0 && p.reference != 0) ++m.counts[index[p.mapped]][index[p.reference]];
  return m;
}

std::vector<MapAndReference> pairsFrom(const Table& table, const std::string& mapped,
                                       const std::string& reference) {
  const size_t m = table.column(mapped), r = table.column(reference);
  std::vector<MapAndReference> pairs;
  for (size_t i = 0; i < table.rows.size(); ++i) {
    const auto code = [&](size_t column) {
      const std::string cell = trimmed(table.rows[i][column]);
      return cell.empty() ? 0
                          : classCode(cell, fmt::format("row {}, column “{}”", i + 1,
                                                        table.columns[column]));
    };
    pairs.push_back({code(m), code(r)});
  }
  return pairs;
}

Estimate wilson(size_t successes, size_t trials) {
  if (trials == 0) return {kNan, kNan, kNan};
  const auto n = static_cast<double>(trials);
  const double p = static_cast<double>(successes) / n, zz = kNormal975 * kNormal975;
  const double centre = (p + zz / (2 * n)) / (1 + zz / n);
  const double half = kNormal975 * std::sqrt(p * (1 - p) / n + zz / (4 * n * n)) / (1 + zz / n);
  return {p, std::max(0.0, centre - half), std::min(1.0, centre + half)};
}

Json toJson(const ConfusionMatrix& m) {
  Json classes = Json::array(), users = Json::array(), producers = Json::array(),
       usersInterval = Json::array(), producersInterval = Json::array();
  const auto interval = [](const Estimate& e) {
    return Json::array({number(e.low), number(e.high)});
  };
  for (size_t i = 0; i < m.codes.size(); ++i) {
    classes.push_back({{"code", m.codes[i]}, {"name", m.names[i]}});
    users.push_back(number(m.users(i).value));
    usersInterval.push_back(interval(m.users(i)));
    producers.push_back(number(m.producers(i).value));
    producersInterval.push_back(interval(m.producers(i)));
  }
  return {{"classes", classes},
          {"counts", m.counts},
          {"overall", number(m.overall().value)},
          {"overall_interval", interval(m.overall())},
          {"kappa", number(m.kappa().value)},
          {"kappa_interval", interval(m.kappa())},
          {"users", users},
          {"users_interval", usersInterval},
          {"producers", producers},
          {"producers_interval", producersInterval},
          {"skipped", m.skipped}};
}

Table toTable(const ConfusionMatrix& m, bool intervals) {
  const auto limit = [intervals](double v) { return intervals ? shortest(v) : std::string(); };
  Table t;
  t.columns = {"rows: map, columns: reference"};
  for (const auto& name : m.names) t.columns.push_back(name);
  t.columns.insert(t.columns.end(), {"points", "user's accuracy", "low (95 %)", "high (95 %)"});
  for (size_t i = 0; i < m.codes.size(); ++i) {
    std::vector<std::string> row{m.names[i]};
    for (size_t c : m.counts[i]) row.push_back(std::to_string(c));
    const Estimate u = m.users(i);
    row.insert(row.end(),
               {std::to_string(m.rowTotal(i)), shortest(u.value), limit(u.low), limit(u.high)});
    t.rows.push_back(std::move(row));
  }
  const size_t width = t.columns.size();
  const auto addRow = [&](const std::string& title, auto cell) {
    std::vector<std::string> row{title};
    for (size_t i = 0; i < m.codes.size(); ++i) row.push_back(cell(i));
    row.resize(width);
    t.rows.push_back(std::move(row));
  };
  addRow("points", [&](size_t i) { return std::to_string(m.columnTotal(i)); });
  t.rows.back()[m.codes.size() + 1] = std::to_string(m.total());
  addRow("producer's accuracy", [&](size_t i) { return shortest(m.producers(i).value); });
  addRow("low (95 %)", [&](size_t i) { return limit(m.producers(i).low); });
  addRow("high (95 %)", [&](size_t i) { return limit(m.producers(i).high); });
  const auto single = [&](const std::string& title, const Estimate& e) {
    std::vector<std::string> row{title, shortest(e.value), limit(e.low), limit(e.high)};
    row.resize(std::max(width, row.size()));
    row.resize(width);
    t.rows.push_back(std::move(row));
  };
  single("overall accuracy (value, low, high)", m.overall());
  single("kappa (value, low, high)", m.kappa());
  return t;
}

}  // namespace zp
