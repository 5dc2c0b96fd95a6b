#pragma once
#include <cstddef>
#include <limits>
#include <vector>

namespace zp {

/// A value with what it counts for: the share of its pixel that is in the zone, of many equal ones
/// the sum.
struct CountedValue {
  double value, weight;
};

/// Sorts values and makes one of equal ones.
void putTogether(std::vector<CountedValue>& values);

/// What is known of all values of a zone without keeping them.
struct ZoneTotals {
  size_t count = 0;
  // Sums of v − pivot, the first value, so that little is lost where values are large.
  double weight = 0, weightSquared = 0, pivot = 0, sum = 0, squares = 0;
  double lowest = std::numeric_limits<double>::infinity(), highest = -lowest;
  bool whole = true;  // every value counts as 1
};

/// Between which sums of weights, counted from the lowest value, those lie that a percentile is
/// told from.
struct WeightSpan {
  double from, to;
};
WeightSpan behindPercentile(const ZoneTotals& totals, double percent);

/// From the values that lie there, put together; `below` is the weight of those that are lower.
/// Linear between the values in order (Hyndman and Fan 1996, type 7), of shares as in Akinshin 2023
/// (weighted quantile estimators, type 7).
double percentileOf(const ZoneTotals& totals, const std::vector<CountedValue>& values, double below,
                    double percent);

}  // namespace zp
