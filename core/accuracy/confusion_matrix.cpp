#include "accuracy/confusion_matrix.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>
#include <set>

#include "base/error.h"
#include "base/text.h"

namespace zp {
size_t ConfusionMatrix::indexOf(int code) const {
  const auto at = std::lower_bound(codes.begin(), codes.end(), code);
  if (at == codes.end() || *at != code) throw Error("Class {} is not in the matrix.", code);
  return static_cast<size_t>(at - codes.begin());
}

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
  if (!(chance < 1)) return kUndefined;
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
  return {kappa, std::max(-1.0, kappa - half), std::min(1.0, kappa + half), half / kNormal975};
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

Json toJson(const ConfusionMatrix& m) {
  Json classes = Json::array();
  for (size_t i = 0; i < m.codes.size(); ++i)
    classes.push_back({{"code", m.codes[i]}, {"name", m.names[i]}});
  return {{"classes", classes}, {"counts", m.counts}, {"skipped", m.skipped}};
}

}  // namespace zp
