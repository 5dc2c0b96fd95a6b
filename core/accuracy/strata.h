#pragma once
#include <functional>
#include <map>
#include <vector>

#include "accuracy/estimate.h"
#include "accuracy/share_intervals.h"
#include "legend/legend.h"

namespace zp {

/// Points by the stratum that each was drawn in, with what a map and the reference say there.
/// Estimates of means over the whole area (Cochran 1977, ch. 5; Stehman 2014), each stratum
/// weighing as much as its part of the area.
///
/// A quantity is told by its value for a point that is mapped as i and is j on the ground, both as
/// indices from 0. 95 % limits are put together from exact ones of each stratum (variance recovery,
/// Zou and Donner 2008), so that strata without an error, or with few points, keep theirs.
class Strata {
 public:
  using Quantity = std::function<double(size_t map, size_t reference)>;
  /// Of `classes` classes; `sizes`: area of each stratum by its code, in any unit. Error: no area.
  Strata(size_t classes, const std::map<int, double>& sizes);
  /// Error: a stratum without area.
  void addPoint(int stratum, size_t map, size_t reference);
  /// Error: a stratum without a point, by the name of its class where the legend has it.
  void requirePoints(const Legend& legend = {}) const;

  double mean(const Quantity& q) const;
  /// NaN where a stratum has a single point.
  double error(const Quantity& q) const;
  Limits limits(const Quantity& q) const;
  /// A mean with its limits.
  Estimate share(const Quantity& q) const;
  /// Mean of `part` over the mean of `whole`, where 0 ≤ part ≤ whole; undefined where that is 0.
  Estimate ratio(const Quantity& part, const Quantity& whole) const;

 private:
  struct Cell {
    size_t map, reference;
    double points;
  };
  struct Stratum {
    double weight = 0, points = 0;
    std::vector<Cell> cells;
    std::vector<bool> mapped;  // classes that points of it are mapped as
  };
  static double meanIn(const Stratum& s, const Quantity& q);
  /// Of a stratum's mean, by the least and largest value that a point of it may have.
  Limits limitsIn(const Stratum& s, const Quantity& q, double mean) const;

  size_t classes_;
  std::map<int, Stratum> strata_;
  mutable std::map<std::pair<double, double>, Limits> known_;
};

}  // namespace zp
