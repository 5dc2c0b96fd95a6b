#include "accuracy/stratified_estimate.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/error.h"

namespace zp {
namespace {

Estimate share(double value, double variance) {
  if (std::isnan(value)) return {value, value, value};
  const double half = kNormal975 * std::sqrt(std::max(0.0, variance));
  return {value, std::max(0.0, value - half), std::min(1.0, value + half)};
}

}  // namespace

StratifiedEstimate stratifiedEstimate(const ConfusionMatrix& m,
                                      const std::map<int, double>& mappedArea) {
  const size_t k = m.codes.size();
  std::vector<double> weight(k), n(k);
  double whole = 0;
  for (const auto& [code, area] : mappedArea) {
    whole += area;
    const auto at = std::find(m.codes.begin(), m.codes.end(), code);
    const bool sampled =
        at != m.codes.end() && m.rowTotal(static_cast<size_t>(at - m.codes.begin())) > 1;
    if (area > 0 && !sampled)
      throw Error(
          "Class {} is on the map but has fewer than two points; draw points in every class "
          "before weighting by area.",
          code);
  }
  for (size_t i = 0; i < k; ++i) {
    const auto area = mappedArea.find(m.codes[i]);
    n[i] = static_cast<double>(m.rowTotal(i));
    weight[i] = area == mappedArea.end() ? 0 : area->second / whole;
    if (n[i] > 0 && weight[i] == 0)
      throw Error(
          "There are points mapped as class {}, but the map has no such class; use "
          "the map the points were drawn on.",
          m.codes[i]);
  }
  const auto p = [&](size_t i, size_t j) {
    return n[i] > 0 ? static_cast<double>(m.counts[i][j]) / n[i] : 0;
  };
  StratifiedEstimate out;
  double overall = 0, overallVariance = 0;
  for (size_t i = 0; i < k; ++i) {
    const double u = n[i] > 0 ? p(i, i) : std::numeric_limits<double>::quiet_NaN();
    const double v = n[i] > 1 ? u * (1 - u) / (n[i] - 1) : 0;
    out.users.push_back(share(u, v));
    if (n[i] == 0) continue;
    overall += weight[i] * u;
    overallVariance += weight[i] * weight[i] * v;
  }
  out.overall = share(overall, overallVariance);
  for (size_t j = 0; j < k; ++j) {
    double total = 0, variance = 0;
    for (size_t i = 0; i < k; ++i) {
      total += weight[i] * p(i, j);
      if (n[i] > 1) variance += weight[i] * weight[i] * p(i, j) * (1 - p(i, j)) / (n[i] - 1);
    }
    const double half = kNormal975 * std::sqrt(variance) * whole;
    out.area.push_back({total * whole, std::max(0.0, total * whole - half), total * whole + half});
    const double producer = weight[j] * p(j, j) / total;
    double sum = 0;
    for (size_t i = 0; i < k; ++i)
      if (i != j && n[i] > 1) sum += weight[i] * weight[i] * p(i, j) * (1 - p(i, j)) / (n[i] - 1);
    const double uj = p(j, j);
    const double own = n[j] > 1 ? weight[j] * weight[j] * (1 - producer) * (1 - producer) * uj *
                                      (1 - uj) / (n[j] - 1)
                                : 0;
    out.producers.push_back(share(producer, (own + producer * producer * sum) / (total * total)));
  }
  return out;
}

Json toJson(const StratifiedEstimate& e) {
  const auto interval = [](const Estimate& x) {
    return Json::array({number(x.low), number(x.high)});
  };
  Json users = Json::array(), ui = Json::array(), producers = Json::array(), pi = Json::array();
  for (const auto& u : e.users) users.push_back(number(u.value)), ui.push_back(interval(u));
  for (const auto& p : e.producers) producers.push_back(number(p.value)), pi.push_back(interval(p));
  return {{"overall", number(e.overall.value)},
          {"overall_interval", interval(e.overall)},
          {"users", users},
          {"users_interval", ui},
          {"producers", producers},
          {"producers_interval", pi}};
}

}  // namespace zp
