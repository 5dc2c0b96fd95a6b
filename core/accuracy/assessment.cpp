#include "accuracy/assessment.h"

#include <algorithm>
#include <cmath>

#include "accuracy/strata.h"

namespace zp {
namespace {

std::vector<double> rowSums(const std::vector<std::vector<double>>& shares) {
  std::vector<double> sums;
  for (const auto& row : shares) {
    double sum = 0;
    for (const double v : row) sum += v;
    sums.push_back(sum);
  }
  return sums;
}

std::vector<double> columnSums(const std::vector<std::vector<double>>& shares) {
  std::vector<double> sums(shares.size());
  for (const auto& row : shares)
    for (size_t j = 0; j < row.size(); ++j) sums[j] += row[j];
  return sums;
}

void disagree(Assessment& a) {
  const auto rows = rowSums(a.shares), columns = columnSums(a.shares);
  double unlike = 0;
  for (size_t i = 0; i < rows.size(); ++i) unlike += std::abs(rows[i] - columns[i]);
  a.quantity = unlike / 2;
  a.allocation = std::max(0.0, 1 - a.overall.value - a.quantity);
}

/// F1 is 2 q / (1 + q) of the share q that is right among the points that either side says.
Estimate f1OfCounts(const ConfusionMatrix& m, size_t i) {
  const Estimate q = wilson(m.counts[i][i], m.rowTotal(i) + m.columnTotal(i) - m.counts[i][i]);
  const auto of = [](double share) { return 2 * share / (1 + share); };
  return {of(q.value), of(q.low), of(q.high), 2 / std::pow(1 + q.value, 2) * q.error};
}

/// How much kappa changes with a share (Stehman 1996).
Estimate kappaByStrata(const Strata& strata, const std::vector<std::vector<double>>& shares,
                       double agree) {
  auto rows = rowSums(shares), columns = columnSums(shares);
  double chance = 0;
  for (size_t i = 0; i < rows.size(); ++i) chance += rows[i] * columns[i];
  const double rest = 1 - chance;
  if (!(rest > 1e-12)) return kUndefined;
  rows.push_back(0), columns.push_back(0);  // of a class not seen
  const auto influence = [&](size_t i, size_t j) {
    return ((i == j ? rest : 0) - (1 - agree) * (columns[i] + rows[j])) / (rest * rest);
  };
  const double kappa = (agree - chance) / rest, mean = strata.mean(influence);
  const Limits limits = strata.limits(influence);
  return {kappa, std::max(-1.0, kappa - (mean - limits.low)),
          std::min(1.0, kappa + (limits.high - mean)), strata.error(influence)};
}

Strata strataOf(const ConfusionMatrix& m, const std::vector<DrawnPoint>& points,
                const std::map<int, double>& sizes, const Legend& legend) {
  // One class more: what has not been seen yet may be there all the same.
  Strata strata(m.codes.size() + 1, sizes);
  for (const auto& p : points)
    if (p.mapped != 0 && p.reference != 0)
      strata.addPoint(p.stratum, m.indexOf(p.mapped), m.indexOf(p.reference));
  strata.requirePoints(legend);
  return strata;
}

/// Where no point or every point disagrees the delta method knows no spread: exact limits then.
Estimate kappaOfCounts(const ConfusionMatrix& m, const Assessment& a) {
  const Estimate kappa = m.kappa();
  if (std::isnan(kappa.value) || kappa.error > 0) return kappa;
  constexpr int kAll = 1;
  Strata strata(m.codes.size() + 1, {{kAll, 1.0}});
  for (size_t i = 0; i < m.codes.size(); ++i)
    for (size_t j = 0; j < m.codes.size(); ++j)
      for (size_t n = 0; n < m.counts[i][j]; ++n) strata.addPoint(kAll, i, j);
  return kappaByStrata(strata, a.shares, a.overall.value);
}

Json intervalOf(const Estimate& e) {
  return Json::array({number(e.low), number(e.high)});
}

}  // namespace

double Assessment::mapShare(size_t map) const {
  double sum = 0;
  for (const double v : shares[map]) sum += v;
  return sum;
}

Assessment assessCounts(const ConfusionMatrix& m) {
  Assessment a;
  const auto n = static_cast<double>(m.total());
  for (const auto& row : m.counts) {
    a.shares.emplace_back();
    for (const size_t c : row) a.shares.back().push_back(static_cast<double>(c) / n);
  }
  a.overall = m.overall();
  a.kappa = kappaOfCounts(m, a);
  disagree(a);
  for (size_t i = 0; i < m.codes.size(); ++i) {
    a.users.push_back(m.users(i));
    a.producers.push_back(m.producers(i));
    a.f1.push_back(f1OfCounts(m, i));
    a.area.push_back(wilson(m.columnTotal(i), m.total()));
  }
  return a;
}

Assessment assessByStrata(const ConfusionMatrix& m, const std::vector<DrawnPoint>& points,
                          const std::map<int, double>& sizes, const Legend& legend) {
  const Strata strata = strataOf(m, points, sizes, legend);
  Assessment a;
  a.weighted = true;
  const size_t k = m.codes.size();
  a.shares.assign(k, std::vector<double>(k));
  for (size_t r = 0; r < k; ++r)
    for (size_t c = 0; c < k; ++c)
      if (m.counts[r][c] > 0)
        a.shares[r][c] = strata.mean([=](size_t i, size_t j) { return i == r && j == c; });
  a.overall = strata.share([](size_t i, size_t j) { return i == j; });
  a.kappa = kappaByStrata(strata, a.shares, a.overall.value);
  disagree(a);
  for (size_t c = 0; c < k; ++c) {
    const auto right = [c](size_t i, size_t j) { return i == c && j == c; };
    const auto mapped = [c](size_t i, size_t) { return i == c; };
    const auto reference = [c](size_t, size_t j) { return j == c; };
    a.users.push_back(strata.ratio(right, mapped));
    a.producers.push_back(strata.ratio(right, reference));
    a.f1.push_back(strata.ratio(
        [=](size_t i, size_t j) { return 2.0 * right(i, j); },
        [=](size_t i, size_t j) { return static_cast<double>(mapped(i, j)) + reference(i, j); }));
    a.area.push_back(strata.share(reference));
  }
  return a;
}

std::string strengthOf(double kappa) {
  if (std::isnan(kappa)) return "";
  if (kappa < 0) return "poor";
  constexpr const char* kWords[] = {"slight", "fair", "moderate", "substantial"};
  for (int fifth = 1; fifth <= 4; ++fifth)
    if (kappa <= 0.2 * fifth) return kWords[fifth - 1];
  return "almost perfect";
}

Json toJson(const Assessment& a) {
  Json json = {{"overall", number(a.overall.value)},
               {"overall_interval", intervalOf(a.overall)},
               {"overall_error", number(a.overall.error)},
               {"kappa", number(a.kappa.value)},
               {"kappa_interval", intervalOf(a.kappa)},
               {"kappa_error", number(a.kappa.error)},
               {"quantity_disagreement", number(a.quantity)},
               {"allocation_disagreement", number(a.allocation)}};
  const auto add = [&](const std::string& name, const std::vector<Estimate>& list) {
    Json values = Json::array(), intervals = Json::array();
    for (const auto& e : list) {
      values.push_back(number(e.value));
      intervals.push_back(intervalOf(e));
    }
    json[name] = values;
    json[name + "_interval"] = intervals;
  };
  add("users", a.users);
  add("producers", a.producers);
  add("f1", a.f1);
  return json;
}

}  // namespace zp
