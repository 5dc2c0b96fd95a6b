#include "sampling/zone_percentile.h"

#include <algorithm>
#include <cmath>

namespace zp {
namespace {

/// As many whole pixels would tell as much (Kish).
double wholePixels(const ZoneTotals& t) {
  return t.weight * t.weight / t.weightSquared;
}

double ofWhole(const ZoneTotals& totals, const std::vector<CountedValue>& values, double below,
               double percent) {
  const double h = percent / 100 * static_cast<double>(totals.count - 1), low = std::floor(h);
  for (size_t i = 0; i < values.size(); ++i) {
    below += values[i].weight;
    if (below <= low) continue;
    const bool last = below > low + 1 || i + 1 == values.size();
    return std::lerp(values[i].value, values[last ? i : i + 1].value, h - low);
  }
  return values.back().value;
}

double ofShares(const ZoneTotals& totals, const std::vector<CountedValue>& values, double below,
                double percent) {
  const double many = wholePixels(totals), from = percent / 100 * (many - 1) / many;
  const auto within = [&](double part) { return std::clamp((part - from) * many, 0.0, 1.0); };
  double sum = 0;
  for (size_t i = 0; i < values.size(); ++i) {
    const double before = i == 0 ? 0 : within(below / totals.weight);
    below += values[i].weight;
    const bool last = i + 1 == values.size();
    sum += (values[i].value - totals.pivot) * ((last ? 1 : within(below / totals.weight)) - before);
  }
  return totals.pivot + sum;
}

}  // namespace

void putTogether(std::vector<CountedValue>& values) {
  std::sort(values.begin(), values.end(),
            [](const CountedValue& a, const CountedValue& b) { return a.value < b.value; });
  size_t kept = 0;
  for (size_t i = 1; i < values.size(); ++i)
    if (values[i].value == values[kept].value)
      values[kept].weight += values[i].weight;
    else
      values[++kept] = values[i];
  if (!values.empty()) values.resize(kept + 1);
}

WeightSpan behindPercentile(const ZoneTotals& totals, double percent) {
  if (totals.whole) {
    const double low = std::floor(percent / 100 * static_cast<double>(totals.count - 1));
    return {low, low + 2};
  }
  const double many = wholePixels(totals), from = percent / 100 * (many - 1) / many;
  return {from * totals.weight, (from + 1 / many) * totals.weight};
}

double percentileOf(const ZoneTotals& totals, const std::vector<CountedValue>& values, double below,
                    double percent) {
  if (values.empty()) return std::numeric_limits<double>::quiet_NaN();
  return totals.whole ? ofWhole(totals, values, below, percent)
                      : ofShares(totals, values, below, percent);
}

}  // namespace zp
