#include "accuracy/validation_plan.h"

#include <algorithm>
#include <cmath>
#include <map>

#include "accuracy/share_intervals.h"
#include "base/error.h"
#include "base/nan.h"
#include "sampling/share_out.h"

namespace zp {
namespace {

constexpr size_t kMostPoints = 100'000;  // for margins that nobody can label

double spreadOf(double accuracy) {
  return std::sqrt(accuracy * (1 - accuracy));
}

void requireShare(double v, const char* what) {
  if (!(v > 0 && v < 1)) throw Error("{} is {}; give a number between 0 and 1.", what, v);
}

/// Half of Wilson's interval, for a share of points that need not be whole.
double halfInterval(double share, double n) {
  const double zz = kNormal975 * kNormal975;
  return kNormal975 * std::sqrt(share * (1 - share) / n + zz / (4 * n * n)) / (1 + zz / n);
}

std::vector<size_t> proportional(const std::vector<PlannedClass>& classes, size_t total) {
  std::map<int, double> areas;
  for (size_t i = 0; i < classes.size(); ++i) areas[static_cast<int>(i)] = classes[i].share;
  std::vector<size_t> points(classes.size());
  for (const auto& [i, n] : shareOut(total, areas)) points[static_cast<size_t>(i)] = n;
  return points;
}

/// At least as many as asked for in every class; what that costs is taken from the others in
/// proportion to area.
std::vector<size_t> atLeast(const std::vector<PlannedClass>& classes, size_t total,
                            const std::vector<size_t>& least) {
  std::vector<bool> held(classes.size());
  for (;;) {
    std::vector<PlannedClass> rest = classes;
    size_t left = total;
    for (size_t i = 0; i < classes.size(); ++i)
      if (held[i]) rest[i].share = 0, left -= std::min(left, least[i]);
    auto points = proportional(rest, left);
    bool changed = false;
    for (size_t i = 0; i < classes.size(); ++i) {
      if (!held[i] && points[i] < least[i]) held[i] = changed = true;
      if (held[i]) points[i] = least[i];
    }
    if (!changed) return points;
  }
}

}  // namespace

size_t pointsFor(const std::vector<PlannedClass>& classes, double margin) {
  requireShare(margin, "The margin");
  double sum = 0;
  for (const auto& c : classes) {
    requireShare(c.accuracy, "The expected accuracy of a class");
    sum += c.share * spreadOf(c.accuracy);
  }
  return static_cast<size_t>(std::ceil(std::pow(sum / (margin / kNormal975), 2) - 1e-9));
}

size_t pointsForClass(double accuracy, double margin) {
  requireShare(margin, "The margin");
  requireShare(accuracy, "The expected accuracy of a class");
  size_t low = 1, high = kMostPoints;
  while (low < high) {
    const size_t middle = (low + high) / 2;
    if (halfInterval(accuracy, static_cast<double>(middle)) <= margin)
      high = middle;
    else
      low = middle + 1;
  }
  return low;
}

std::vector<size_t> splitPoints(const std::vector<PlannedClass>& classes, size_t total,
                                PlanSplit split, const PlanWish& wish) {
  std::vector<size_t> least(classes.size(), wish.least);
  if (split == PlanSplit::Equal) {
    const size_t each = (total + classes.size() - 1) / std::max<size_t>(1, classes.size());
    return std::vector<size_t>(classes.size(), std::max(each, wish.least));
  }
  if (split == PlanSplit::Balanced)
    for (size_t i = 0; i < classes.size(); ++i)
      least[i] = std::max(least[i], pointsForClass(classes[i].accuracy, wish.users));
  return atLeast(classes, total, least);
}

size_t totalFor(const std::vector<PlannedClass>& classes, PlanSplit split, const PlanWish& wish) {
  const auto enough = [&](size_t total) {
    return marginsOf(classes, splitPoints(classes, total, split, wish)).overall <= wish.overall;
  };
  size_t low = pointsFor(classes, wish.overall), high = kMostPoints;
  if (!enough(high))
    throw Error("Such margins ask for more than {} points; allow wider ones.", kMostPoints);
  while (low < high) {
    const size_t middle = (low + high) / 2;
    if (enough(middle))
      high = middle;
    else
      low = middle + 1;
  }
  size_t total = 0;
  for (const size_t n : splitPoints(classes, low, split, wish)) total += n;
  return total;
}

PlanMargins marginsOf(const std::vector<PlannedClass>& classes, const std::vector<size_t>& points) {
  PlanMargins m;
  const size_t k = classes.size();
  double variance = 0;
  for (size_t i = 0; i < k; ++i) {
    const auto& c = classes[i];
    const auto n = static_cast<double>(points[i]);
    m.users.push_back(n < 2 ? kNan : halfInterval(c.accuracy, n));
    variance +=
        n < 2 ? (c.share > 0 ? kNan : 0) : std::pow(c.share * spreadOf(c.accuracy), 2) / (n - 1);
  }
  m.overall = kNormal975 * std::sqrt(variance);
  for (size_t j = 0; j < k; ++j) {
    double area = 0, spread = 0;
    for (size_t i = 0; i < k; ++i) {
      // Of class i, how much is j.
      const double others = 1 - classes[i].share;
      const double is = i == j       ? classes[i].accuracy
                        : others > 0 ? (1 - classes[i].accuracy) * classes[j].share / others
                                     : 0;
      area += classes[i].share * is;
      if (classes[i].share > 0)
        spread +=
            std::pow(classes[i].share, 2) * is * (1 - is) / (static_cast<double>(points[i]) - 1);
    }
    const bool known =
        area > 0 && std::all_of(points.begin(), points.end(), [](size_t n) { return n > 1; });
    m.area.push_back(known ? kNormal975 * std::sqrt(spread) / area : kNan);
  }
  return m;
}

}  // namespace zp
