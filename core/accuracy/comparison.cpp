#include "accuracy/comparison.h"

#include <gsl/gsl_cdf.h>

#include <algorithm>
#include <cmath>

#include "accuracy/strata.h"
#include "base/error.h"

namespace zp {
namespace {

constexpr size_t kExactBelow = 25;
constexpr double kNone = std::numeric_limits<double>::quiet_NaN();

/// Which of two maps are right at a point.
enum Right : size_t { Neither, First, Second, Both, kWays };

Right rightAt(const ComparedPoint& p) {
  const bool first = p.first == p.reference, second = p.second == p.reference;
  return first ? (second ? Both : First) : (second ? Second : Neither);
}

/// The difference of two that do not depend on each other, or hardly.
Estimate differenceOf(const Estimate& first, const Estimate& second) {
  const double value = second.value - first.value;
  return {value,
          std::max(-1.0, value - std::hypot(second.value - second.low, first.high - first.value)),
          std::min(1.0, value + std::hypot(second.high - second.value, first.value - first.low)),
          std::hypot(first.error, second.error)};
}

/// Points by stratum, and which maps are right there; one stratum where they were not drawn so.
Strata waysOf(const std::vector<ComparedPoint>& points, const std::map<int, double>& sizes) {
  constexpr int kAll = 1;
  const bool weighted = !sizes.empty();
  Strata strata(kWays, weighted ? sizes : std::map<int, double>{{kAll, 1.0}});
  for (const auto& p : points) strata.addPoint(weighted ? p.stratum : kAll, 0, rightAt(p));
  strata.requirePoints();
  return strata;
}

}  // namespace

McNemar mcNemar(size_t onlyFirst, size_t onlySecond) {
  McNemar test{onlyFirst, onlySecond, kNone, 1, false};
  const size_t n = onlyFirst + onlySecond;
  test.exact = n < kExactBelow;
  if (n == 0) return test;
  const double unlike = static_cast<double>(onlyFirst) - static_cast<double>(onlySecond);
  test.statistic = unlike * unlike / static_cast<double>(n);
  const auto fewer = static_cast<unsigned>(std::min(onlyFirst, onlySecond));
  test.p = test.exact ? std::min(1.0, 2 * gsl_cdf_binomial_P(fewer, 0.5, static_cast<unsigned>(n)))
                      : gsl_cdf_chisq_Q(test.statistic, 1);
  return test;
}

Comparison compare(const std::vector<ComparedPoint>& points, const std::map<int, double>& sizes) {
  std::vector<ComparedPoint> complete;
  for (const auto& p : points)
    if (p.first != 0 && p.second != 0 && p.reference != 0) complete.push_back(p);
  if (complete.empty())
    throw Error(
        "There is no point with a label and a class of both maps; label some points first.");
  Comparison c;
  c.weighted = !sizes.empty();
  std::array<size_t, kWays> all{};
  std::map<int, std::array<size_t, kWays>> byClass;
  for (const auto& p : complete) {
    ++all[rightAt(p)];
    ++byClass[p.reference][rightAt(p)];
  }
  c.both = all[Both], c.neither = all[Neither];
  c.all = mcNemar(all[First], all[Second]);
  for (const auto& [code, ways] : byClass) c.byClass[code] = mcNemar(ways[First], ways[Second]);
  const Strata strata = waysOf(complete, sizes);
  const auto only = [](Right way) { return [way](size_t, size_t j) { return j == way; }; };
  c.difference = differenceOf(strata.share(only(First)), strata.share(only(Second)));
  c.difference.error = strata.error([](size_t, size_t j) {
    return j == Second ? 1.0 : j == First ? -1.0 : 0.0;
  });
  return c;
}

namespace {

/// Half the interval is 1.96 errors wide.
double errorOf(const Estimate& e) {
  return e.error == 0 ? (e.high - e.low) / 2 / gsl_cdf_ugaussian_Pinv(0.975) : e.error;
}

}  // namespace

DifferenceTest differenceTest(const Estimate& first, const Estimate& second) {
  DifferenceTest test{differenceOf(first, second), kNone, kNone};
  const double error = std::hypot(errorOf(first), errorOf(second));
  if (error > 0) {
    test.z = test.difference.value / error;
    test.p = 2 * gsl_cdf_ugaussian_Q(std::abs(test.z));
  }
  return test;
}

}  // namespace zp
