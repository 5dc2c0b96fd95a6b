#include "accuracy/strata.h"

#include <algorithm>
#include <cmath>

#include "accuracy/crossing.h"
#include "base/error.h"
#include "base/nan.h"

namespace zp {

Strata::Strata(size_t classes, const std::map<int, double>& sizes) : classes_(classes) {
  double whole = 0;
  for (const auto& [code, size] : sizes) whole += size;
  if (!(whole > 0)) throw Error("The areas of the classes are not known.");
  for (const auto& [code, size] : sizes)
    if (size > 0) strata_[code] = {size / whole, 0, {}, std::vector<bool>(classes)};
}

void Strata::requirePoints(const Legend& legend) const {
  for (const auto& [code, s] : strata_) {
    if (s.points > 0) continue;
    if (const auto* known = legend.find(code))
      throw Error(
          "“{}” is on the map but has no labelled point; label points in every class before "
          "weighting by area.",
          known->name);
    throw Error(
        "Class {} is on the map but has no labelled point; label points in every class before "
        "weighting by area.",
        code);
  }
}

void Strata::addPoint(int stratum, size_t map, size_t reference) {
  const auto at = strata_.find(stratum);
  if (at == strata_.end())
    throw Error(
        "There are points drawn in class {}, but the map has no such class; use the map the points "
        "were drawn on.",
        stratum);
  Stratum& s = at->second;
  ++s.points;
  s.mapped[map] = true;
  for (auto& c : s.cells)
    if (c.map == map && c.reference == reference) {
      ++c.points;
      return;
    }
  s.cells.push_back({map, reference, 1});
}

double Strata::meanIn(const Stratum& s, const Quantity& q) {
  double sum = 0;
  for (const auto& c : s.cells) sum += c.points * q(c.map, c.reference);
  return sum / s.points;
}

double Strata::mean(const Quantity& q) const {
  double sum = 0;
  for (const auto& [code, s] : strata_) sum += s.weight * meanIn(s, q);
  return sum;
}

double Strata::error(const Quantity& q) const {
  double variance = 0;
  for (const auto& [code, s] : strata_) {
    const double mean = meanIn(s, q);
    double squares = 0;
    for (const auto& c : s.cells) squares += c.points * std::pow(q(c.map, c.reference) - mean, 2);
    if (s.points > 1)
      variance += s.weight * s.weight * squares / s.points / (s.points - 1);
    else if (s.weight > 0)
      return kNan;
  }
  return std::sqrt(variance);
}

Limits Strata::limitsIn(const Stratum& s, const Quantity& q, double mean) const {
  double least = std::numeric_limits<double>::infinity(), most = -least;
  for (size_t i = 0; i < classes_; ++i)
    for (size_t j = 0; s.mapped[i] && j < classes_; ++j) {
      const double v = q(i, j);
      least = std::min(least, v), most = std::max(most, v);
    }
  if (!(most > least)) return {mean, mean};
  // What differs by rounding alone is the same.
  const double successes = std::round((mean - least) / (most - least) * s.points * 1e9) / 1e9;
  const auto [at, fresh] = known_.try_emplace({successes, s.points});
  if (fresh) at->second = exactLimits(successes, s.points);
  return {least + at->second.low * (most - least), least + at->second.high * (most - least)};
}

Limits Strata::limits(const Quantity& q) const {
  double mean = 0, below = 0, above = 0;
  for (const auto& [code, s] : strata_) {
    const double m = meanIn(s, q);
    const Limits l = limitsIn(s, q, m);
    mean += s.weight * m;
    below += std::pow(s.weight * (m - l.low), 2);
    above += std::pow(s.weight * (l.high - m), 2);
  }
  return {mean - std::sqrt(below), mean + std::sqrt(above)};
}

Estimate Strata::share(const Quantity& q) const {
  const Limits l = limits(q);
  return {mean(q), std::max(0.0, l.low), std::min(1.0, l.high), error(q)};
}

/// A ratio r is within its limits where 0 is within those of the mean of part − r · whole, which
/// falls with r (Fieller 1954).
Estimate Strata::ratio(const Quantity& part, const Quantity& whole) const {
  const double all = mean(whole);
  if (!(all > 0)) return kUndefined;
  const double value = std::min(1.0, mean(part) / all);
  const auto difference = [&](double r) {
    return [&part, &whole, r](size_t i, size_t j) { return part(i, j) - r * whole(i, j); };
  };
  const auto where = [&](double Limits::*which, double low, double high) {
    return crossing([&](double r) { return limits(difference(r)).*which; }, low, high);
  };
  const auto influence = [&](size_t i, size_t j) { return difference(value)(i, j) / all; };
  return {value, value > 0 ? where(&Limits::low, 0, value) : 0,
          value < 1 ? where(&Limits::high, value, 1) : 1, error(influence)};
}

}  // namespace zp
