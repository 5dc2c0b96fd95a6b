#include "sampling/zone_statistics.h"

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/error.h"
#include "base/text.h"

namespace zp {
namespace {
using Kind = ZoneStatistic::Kind;
constexpr double kNone = std::numeric_limits<double>::quiet_NaN();
}  // namespace

ZoneStatistic zoneStatistic(const std::string& id) {
  static const std::map<std::string, Kind> known{
      {"count", Kind::Count},       {"sum", Kind::Sum},     {"mean", Kind::Mean},
      {"sd", Kind::Spread},         {"min", Kind::Min},     {"max", Kind::Max},
      {"median", Kind::Percentile}, {"share", Kind::Share}, {"majority", Kind::Majority},
      {"patches", Kind::Patches}};
  if (const auto at = known.find(id); at != known.end()) return {at->second, 50, id};
  if (id.size() > 1 && id[0] == 'p') {
    const auto percent = parseNumber(id.substr(1));
    if (percent && *percent >= 0 && *percent <= 100) return {Kind::Percentile, *percent, id};
  }
  std::vector<std::string> names;
  for (const auto& [name, kind] : known) names.push_back(name);
  throw Error("There is no statistic “{}”; there are {} and percentiles such as p10.{}", id,
              listed(names), didYouMean(id, names));
}

ZoneTally::Keep ZoneTally::keepFor(const std::vector<ZoneStatistic>& statistics, bool shares) {
  Keep keep;
  keep.shares = shares;
  for (const auto& s : statistics) {
    keep.values |= s.kind == Kind::Percentile;
    keep.classes |= s.kind == Kind::Majority || s.kind == Kind::Share;
  }
  return keep;
}

void ZoneTally::add(const double* values, size_t n, double share, const Keep& keep) {
  ZoneTotals& t = totals_;
  const bool keepValues = keep.values && !gaveUp_;
  for (size_t i = 0; i < n; ++i) {
    const double v = values[i];
    if (std::isnan(v)) continue;
    if (t.count == 0) t.pivot = v;
    const double d = v - t.pivot;
    ++t.count;
    t.weight += share;
    t.weightSquared += share * share;
    t.sum += share * d;
    t.squares += share * d * d;
    t.lowest = std::min(t.lowest, v), t.highest = std::max(t.highest, v);
    if (keepValues) values_.push_back({v, share});
    if (keep.classes) classes_[v] += share;
  }
  t.whole = !keep.shares;
  if (values_.size() > mostValues_) {
    putTogether(values_);
    mostValues_ = std::max(kFewValues, 2 * values_.size());
  }
}

double ZoneTally::tell(const ZoneStatistic& statistic) const {
  const ZoneTotals& t = totals_;
  if (statistic.kind == Kind::Count) return static_cast<double>(t.count);
  if (t.count == 0) return kNone;
  switch (statistic.kind) {
    case Kind::Sum:
      return t.pivot * t.weight + t.sum;
    case Kind::Mean:
      return t.pivot + t.sum / t.weight;
    case Kind::Spread: {
      const double freedom = t.weight - t.weightSquared / t.weight;
      if (t.count < 2 || freedom <= 0) return kNone;
      return std::sqrt(std::max(0.0, t.squares - t.sum * t.sum / t.weight) / freedom);
    }
    case Kind::Min:
      return t.lowest;
    case Kind::Max:
      return t.highest;
    case Kind::Percentile:
      return percentileOf(t, values_, 0, statistic.percent);
    case Kind::Majority:
      return std::max_element(classes_.begin(), classes_.end(),
                              [](const auto& a, const auto& b) { return a.second < b.second; })
          ->first;
    default:
      return kNone;
  }
}

double ZoneTally::share(double code) const {
  if (totals_.count == 0) return kNone;
  const auto at = classes_.find(code);
  return at == classes_.end() ? 0 : at->second / totals_.weight;
}

void ZoneTally::close() {
  putTogether(values_);
}

void ZoneTally::drop() {
  values_ = std::vector<CountedValue>();
}

void ZoneTally::giveUp() {
  drop();
  gaveUp_ = true;
}

}  // namespace zp
