#pragma once
#include <cstddef>
#include <vector>

#include "accuracy/estimate.h"

namespace zp {

/// A class of the map that is to be tested.
struct PlannedClass {
  double share = 0;       // of the area; all sum to 1
  double accuracy = 0.9;  // the user's accuracy one expects
};

enum class PlanSplit { Equal, Proportional, Balanced };

struct PlanWish {
  double overall = 0.05;  // margin of overall accuracy, half of its 95 % interval
  double users = 0.15;    // largest margin of any class's user's accuracy
  size_t least = 20;      // points that every class gets
};

/// What a split of points promises, if the classes are as right as one expects. Margins are half of
/// 95 % intervals.
struct PlanMargins {
  double overall = 0;
  std::vector<double> users;
  /// Of each class's share of the area, relative to it, when what is wrong in a class is spread
  /// over the others by their shares; NaN for a class without area.
  std::vector<double> area;
};

/// Points for the wanted margin of overall accuracy, drawn in proportion to area (Cochran 1977,
/// eq. 5.25; Olofsson et al. 2014, eq. 13). Error: not a margin or accuracy between 0 and 1.
size_t pointsFor(const std::vector<PlannedClass>& classes, double margin);

/// Points for the wanted margin of a class's user's accuracy: the fewest whose Wilson interval,
/// with the expected share right, is no wider.
size_t pointsForClass(double accuracy, double margin);

/// A split of `total` points; at least `least` in each class. Balanced: every class what its margin
/// asks for, the rest in proportion to area. Sums to the larger of `total` and what that needs.
std::vector<size_t> splitPoints(const std::vector<PlannedClass>& classes, size_t total,
                                PlanSplit split, const PlanWish& wish);

/// The smallest total whose split keeps the wanted margin of overall accuracy, and with Balanced
/// those of the classes. Error: as pointsFor; more than a hundred thousand.
size_t totalFor(const std::vector<PlannedClass>& classes, PlanSplit split, const PlanWish& wish);

/// NaN where a class has fewer than two points.
PlanMargins marginsOf(const std::vector<PlannedClass>& classes, const std::vector<size_t>& points);

}  // namespace zp
