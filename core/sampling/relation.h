#pragma once
#include <cstddef>
#include <vector>

namespace zp {

/// How one quantity goes with another. Pairs of which one is NaN are left out.

/// A line by least squares, y = intercept + slope · x, with 95 % intervals (Draper and Smith 1998,
/// chapters 1 and 3; of r by Fisher's z, Fisher 1921). They hold when the pairs are independent and
/// spread evenly about the line.
struct Line {
  size_t n = 0;
  double slope = 0, intercept = 0;
  double slopeError = 0, interceptError = 0;  // standard errors
  double r = 0;                               // NaN when y does not vary
  double rLow = 0, rHigh = 0;                 // NaN below 4 pairs
  double rSquared = 0;
  double rmse = 0;    // root of the mean squared residual, in units of y
  double spread = 0;  // standard deviation of the residuals, n − 2 degrees of freedom
  double lowest = 0, highest = 0, meanX = 0, squares = 0;  // of x: range, mean, Σ(x − mean)²
  double t = 0;  // Student's, two-sided 95 %, n − 2 degrees of freedom

  double at(double x) const { return intercept + slope * x; }
  /// Half the width of the band that holds the true line at x.
  double halfBand(double x) const;
};

/// Error: fewer than 3 pairs, or an x that does not vary.
Line fitLine(const std::vector<double>& x, const std::vector<double>& y);

/// Spearman's rank correlation, equals with their mean rank; NaN below 3 pairs or when one does not
/// vary.
double rankCorrelation(const std::vector<double>& x, const std::vector<double>& y);

}  // namespace zp
