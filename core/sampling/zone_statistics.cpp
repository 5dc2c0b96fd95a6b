#include "sampling/zone_statistics.h"

#include <algorithm>
#include <numeric>

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
      {"median", Kind::Percentile}, {"share", Kind::Share}, {"majority", Kind::Majority}};
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
  for (size_t i = 0; i < n; ++i) {
    const double v = values[i];
    if (std::isnan(v)) continue;
    if (count_ == 0) pivot_ = v;
    const double d = v - pivot_;
    ++count_;
    weight_ += share;
    weightSquared_ += share * share;
    sum_ += share * d;
    squares_ += share * d * d;
    lowest_ = std::min(lowest_, v), highest_ = std::max(highest_, v);
    if (keep.values) values_.push_back(v);
    if (keep.values && keep.shares) shares_.push_back(static_cast<float>(share));
    if (keep.classes) classes_[v] += share;
  }
}

double ZoneTally::tell(const ZoneStatistic& statistic) const {
  if (statistic.kind == Kind::Count) return static_cast<double>(count_);
  if (count_ == 0) return kNone;
  switch (statistic.kind) {
    case Kind::Sum:
      return pivot_ * weight_ + sum_;
    case Kind::Mean:
      return pivot_ + sum_ / weight_;
    case Kind::Spread: {
      const double freedom = weight_ - weightSquared_ / weight_;
      if (count_ < 2 || freedom <= 0) return kNone;
      return std::sqrt(std::max(0.0, squares_ - sum_ * sum_ / weight_) / freedom);
    }
    case Kind::Min:
      return lowest_;
    case Kind::Max:
      return highest_;
    case Kind::Percentile:
      return percentile(statistic.percent);
    case Kind::Majority:
      return std::max_element(classes_.begin(), classes_.end(),
                              [](const auto& a, const auto& b) { return a.second < b.second; })
          ->first;
    default:
      return kNone;
  }
}

double ZoneTally::share(double code) const {
  if (count_ == 0) return kNone;
  const auto at = classes_.find(code);
  return at == classes_.end() ? 0 : at->second / weight_;
}

void ZoneTally::close() {
  if (shares_.empty()) return std::sort(values_.begin(), values_.end());
  std::vector<size_t> order(values_.size());
  std::iota(order.begin(), order.end(), size_t{0});
  std::sort(order.begin(), order.end(),
            [&](size_t a, size_t b) { return values_[a] < values_[b]; });
  std::vector<double> values;
  std::vector<float> shares;
  for (size_t i : order) values.push_back(values_[i]), shares.push_back(shares_[i]);
  values_ = std::move(values), shares_ = std::move(shares);
}

double ZoneTally::percentile(double percent) const {
  const double p = percent / 100;
  const size_t n = values_.size();
  if (shares_.empty()) {
    const double h = p * static_cast<double>(n - 1);
    const auto i = static_cast<size_t>(h);
    return i + 1 < n ? std::lerp(values_[i], values_[i + 1], h - static_cast<double>(i))
                     : values_[n - 1];
  }
  // As many whole pixels would tell as much (Kish).
  const double many = weight_ * weight_ / weightSquared_;
  const double from = p * (many - 1) / many;
  const auto within = [&](double part) { return std::clamp((part - from) * many, 0.0, 1.0); };
  double below = 0, sum = 0;
  for (size_t i = 0; i < n; ++i) {
    const double before = within(below / weight_);
    below += static_cast<double>(shares_[i]);
    sum += (values_[i] - pivot_) * ((i + 1 == n ? 1 : within(below / weight_)) - before);
  }
  return pivot_ + sum;
}

void ZoneTally::drop() {
  values_ = std::vector<double>();
  shares_ = std::vector<float>();
}

}  // namespace zp
