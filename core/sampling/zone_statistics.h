#pragma once
#include <map>
#include <string>
#include <vector>

#include "sampling/zone_percentile.h"

namespace zp {

/// What can be told of the values in a zone.
struct ZoneStatistic {
  enum class Kind { Count, Sum, Mean, Spread, Min, Max, Percentile, Majority, Share, Patches };
  Kind kind = Kind::Mean;
  double percent = 50;  // Percentile
  std::string id;       // as it is asked for and its column is called
};

/// "count", "sum", "mean", "sd", "min", "max", "median", "p10" (0 to 100), "majority", "share",
/// "patches" (zone_patches.h).
/// Error with the nearest known one.
ZoneStatistic zoneStatistic(const std::string& id);

/// What has been seen of a zone. Each value counts with the share of its pixel that is in the zone
/// (1 for pixels counted whole); NaN counts for nothing.
class ZoneTally {
 public:
  /// What has to be kept for some statistics.
  struct Keep {
    bool values = false;   // for percentiles
    bool classes = false;  // for the majority and shares
    bool shares = false;   // not all are 1
  };
  static Keep keepFor(const std::vector<ZoneStatistic>& statistics, bool shares);

  void add(const double* values, size_t n, double share, const Keep& keep);
  /// NaN where it cannot be told: of no value, or a spread of one. Count: the pixels behind. Spread
  /// with n − 1, of shares w as sum of w (v − mean)² over sum of w − (sum of w²) ÷ (sum of w).
  /// Percentile: zone_percentile.h. Majority: a tie goes to the lowest.
  double tell(const ZoneStatistic& statistic) const;
  double share(double code) const;
  const std::map<double, double>& classes() const { return classes_; }
  /// Percentiles can be told from now on, and nothing be added.
  void close();
  /// Forgets the values themselves.
  void drop();
  /// The same before it is closed: they are too many, percentiles are told elsewhere.
  void giveUp();
  bool gaveUp() const { return gaveUp_; }
  size_t kept() const { return values_.size(); }
  const ZoneTotals& totals() const { return totals_; }

 private:
  static constexpr size_t kFewValues = 1 << 16;

  ZoneTotals totals_;
  /// Equal ones are put together as they become many: stored as 16 bits, there are 65 536 different
  /// ones at most.
  std::vector<CountedValue> values_;
  size_t mostValues_ = kFewValues;  // before equal ones are put together
  bool gaveUp_ = false;
  std::map<double, double> classes_;
};

}  // namespace zp
