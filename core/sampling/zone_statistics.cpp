#include "sampling/zone_statistics.h"

#include <algorithm>

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
    if (keep.values) values_.push_back({v, share});
    if (keep.classes) classes_[v] += share;
  }
  whole_ = !keep.shares;
  if (values_.size() > mostValues_) {
    putTogether();
    mostValues_ = std::max(kFewValues, 2 * values_.size());
  }
}

void ZoneTally::putTogether() {
  std::sort(values_.begin(), values_.end(),
            [](const Counted& a, const Counted& b) { return a.value < b.value; });
  size_t kept = 0;
  for (size_t i = 1; i < values_.size(); ++i)
    if (values_[i].value == values_[kept].value)
      values_[kept].weight += values_[i].weight;
    else
      values_[++kept] = values_[i];
  if (!values_.empty()) values_.resize(kept + 1);
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
  putTogether();
}

double ZoneTally::percentile(double percent) const {
  const double p = percent / 100;
  if (whole_) {
    const double h = p * static_cast<double>(count_ - 1), low = std::floor(h);
    double below = 0;
    for (size_t i = 0; i < values_.size(); ++i) {
      below += values_[i].weight;
      if (below <= low) continue;
      const bool last = below > low + 1 || i + 1 == values_.size();
      return std::lerp(values_[i].value, values_[last ? i : i + 1].value, h - low);
    }
  }
  // As many whole pixels would tell as much (Kish).
  const double many = weight_ * weight_ / weightSquared_;
  const double from = p * (many - 1) / many;
  const auto within = [&](double part) { return std::clamp((part - from) * many, 0.0, 1.0); };
  double below = 0, sum = 0;
  for (size_t i = 0; i < values_.size(); ++i) {
    const double before = within(below / weight_);
    below += values_[i].weight;
    const bool last = i + 1 == values_.size();
    sum += (values_[i].value - pivot_) * ((last ? 1 : within(below / weight_)) - before);
  }
  return pivot_ + sum;
}

void ZoneTally::drop() {
  values_ = std::vector<Counted>();
}

}  // namespace zp
