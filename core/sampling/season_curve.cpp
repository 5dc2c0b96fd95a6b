#include "sampling/season_curve.h"

#include <algorithm>
#include <chrono>
#include <cmath>
#include <map>
#include <set>

#include "base/nan.h"
#include "radar/decibels.h"

namespace zp {
namespace {

namespace ch = std::chrono;

int yearOf(double day) {
  return static_cast<int>(ch::year_month_day(ch::sys_days(ch::days(std::lround(day)))).year());
}

double dayOfYear(double day) {
  const ch::sys_days first(ch::year(yearOf(day)) / ch::January / 1);
  return static_cast<double>(std::lround(day) - first.time_since_epoch().count() + 1);
}

double powerOf(double decibels) {
  return std::pow(10.0, decibels / 10);
}
CurvePoint pointOf(double at, std::vector<double> values, bool decibels) {
  CurvePoint p{at, values.size(), kNan, kNan, kNan};
  if (values.empty()) return p;
  if (decibels)
    for (double& v : values) v = powerOf(v);
  const auto n = static_cast<double>(values.size());
  double sum = 0, squares = 0;
  for (const double v : values) sum += v;
  for (const double v : values) squares += (v - sum / n) * (v - sum / n);
  const double mean = sum / n, spread = values.size() < 2 ? 0 : std::sqrt(squares / (n - 1));
  p.mean = decibels ? toDecibels(mean) : mean;
  p.low = decibels ? toDecibels(mean - spread) : mean - spread;
  p.high = decibels ? toDecibels(mean + spread) : mean + spread;
  return p;
}

}  // namespace

int usualStep(const std::vector<double>& dates) {
  std::set<long> days;
  for (const double d : dates)
    if (!std::isnan(d)) days.insert(std::lround(d));
  std::map<long, int> steps;
  for (auto d = days.begin(); d != days.end() && std::next(d) != days.end(); ++d)
    ++steps[*std::next(d) - *d];
  const auto most = std::max_element(
      steps.begin(), steps.end(), [](const auto& a, const auto& b) { return a.second < b.second; });
  return most == steps.end() ? 1 : static_cast<int>(most->first);
}

std::vector<SeasonCurve> seasonCurves(const SeasonRows& rows, Along along) {
  struct Collected {
    SeasonCurve curve;
    std::map<double, std::vector<double>> values;
  };
  std::vector<Collected> all;
  std::map<std::pair<std::string, int>, size_t> known;
  std::map<int, std::set<double>> places;  // by year
  const int step = along == Along::DaysSince ? usualStep(rows.dates) : 1;
  for (size_t r = 0; r < rows.dates.size(); ++r) {
    if (std::isnan(rows.dates[r]) || rows.groups[r].empty()) continue;
    double at = rows.dates[r];
    if (along == Along::DayOfYear) at = dayOfYear(at);
    if (along == Along::DaysSince) at = std::round((at - rows.since[r]) / step) * step;
    if (std::isnan(at)) continue;
    const int year = along == Along::DayOfYear ? yearOf(rows.dates[r]) : 0;
    places[year].insert(at);
    const auto [found, isNew] = known.try_emplace({rows.groups[r], year}, all.size());
    if (isNew) all.push_back({{rows.groups[r], year, {}}, {}});
    if (!std::isnan(rows.values[r])) all[found->second].values[at].push_back(rows.values[r]);
  }
  std::vector<SeasonCurve> curves;
  for (auto& one : all) {
    for (const double at : places[one.curve.year])
      one.curve.points.push_back(pointOf(at, one.values[at], rows.decibels));
    curves.push_back(std::move(one.curve));
  }
  return curves;
}

}  // namespace zp
