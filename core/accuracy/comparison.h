#pragma once
#include <map>
#include <vector>

#include "accuracy/estimate.h"

namespace zp {

/// A point that two maps and the reference speak of; 0 stands for an empty side.
struct ComparedPoint {
  int stratum = 0;  // class of a map that it was drawn in, where drawn class by class
  int first = 0, second = 0, reference = 0;
};

/// McNemar's test of pairs that only one of two calls right (McNemar 1947).
struct McNemar {
  size_t onlyFirst = 0, onlySecond = 0;
  double statistic = 0;  // (b − c)² / (b + c); NaN without such pairs
  double p = 1;          // two-sided: exact binomial below 25 such pairs, else chi-squared
  bool exact = false;
};
McNemar mcNemar(size_t onlyFirst, size_t onlySecond);

struct Comparison {
  size_t both = 0, neither = 0;  // right
  McNemar all;
  std::map<int, McNemar> byClass;  // of the points that are that class on the ground
  Estimate difference;             // of overall accuracies, second less first
  bool weighted = false;
};

/// Two maps at the same points. With the area of each stratum the difference is weighted by it.
/// Interval: that of the shares of points which one alone has right, put together (variance
/// recovery, Zou and Donner 2008). Points with an empty side are left out. Error: no complete
/// point; strata as in assessByStrata.
Comparison compare(const std::vector<ComparedPoint>& points,
                   const std::map<int, double>& sizes = {});

/// Two accuracies of different points, second less first, with the interval of both put together
/// (of counts that is Newcombe 1998, method 10) and a two-sided test by their standard errors. An
/// accuracy of 0 or 1 has none; in its place stands what its interval tells of it.
struct DifferenceTest {
  Estimate difference;
  double z = 0, p = 1;  // NaN where an error is not defined
};
DifferenceTest differenceTest(const Estimate& first, const Estimate& second);

}  // namespace zp
