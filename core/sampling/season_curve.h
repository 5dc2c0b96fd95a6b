#pragma once
#include <string>
#include <vector>

namespace zp {

/// What a curve runs along.
enum class Along {
  Date,       // days since 1970
  DayOfYear,  // 1…366, each year a curve of its own
  DaysSince   // days since a date of the row, in steps
};

/// Values row by row, with what tells which curve and which place of it they belong to.
struct SeasonRows {
  std::vector<double> dates;        // days since 1970; NaN: the row does not count
  std::vector<double> values;       // NaN: no value
  std::vector<std::string> groups;  // "": the row does not count
  std::vector<double> since = {};   // of DaysSince; NaN: the row does not count
  bool decibels = false;            // means and spreads are taken of power
};

/// The values of a group at one place of its curve. `n` is 0, and the rest NaN, where it has none
/// though others have: a gap.
struct CurvePoint {
  double at = 0;
  size_t n = 0;
  double mean = 0, low = 0, high = 0;  // one standard deviation (n − 1) at both sides; of 1: mean
};

struct SeasonCurve {
  std::string group;
  int year = 0;  // of DayOfYear
  std::vector<CurvePoint> points;
};

/// The step of DaysSince: the most usual distance between two dates, 1 at least.
int usualStep(const std::vector<double>& dates);

/// A curve a group, and a year of DayOfYear, in the order in which they occur; all dates of a year
/// stand in each of its curves.
std::vector<SeasonCurve> seasonCurves(const SeasonRows& rows, Along along);

}  // namespace zp
