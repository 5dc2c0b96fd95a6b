#pragma once
#include <cstdint>
#include <vector>

#include "sampling/zone_percentile.h"

namespace zp {

/// A percentile of more values than are kept, found by going through them several times: first
/// they are counted in bins between the lowest and the highest, then in the bins that hold it,
/// until so few are left that they are kept. Bins are even in the bits of the numbers, in which
/// their order is that of whole numbers, so that it ends after six times at most, mostly after two.
class PercentileSearch {
 public:
  /// `mostKept`: values, at least 2.
  PercentileSearch(const ZoneTotals& totals, double percent, size_t mostKept = 1 << 15);
  /// NaN counts for nothing. Every time through, the same values in the same order.
  void add(const double* values, size_t n, double share);
  /// After a time through: whether it is found.
  bool narrow();
  double value() const { return percentileOf(totals_, values_, below_, percent_); }

 private:
  struct Bin {
    size_t count = 0;
    double weight = 0;
  };
  /// Keys between which the values at one end of what is wanted lie.
  struct Piece {
    uint64_t low = 0, high = 0;
    size_t count = 0;
    double weight = 0, below = 0;  // of the values in it, and of all that are lower
    uint64_t width = 1;            // of a bin
    std::vector<Bin> bins = {};    // none: its values are kept
    bool oneValue() const { return low == high; }
  };
  void open(Piece& piece) const;
  static Piece binIn(const Piece& piece, size_t bin);
  static Piece pieceAt(const Piece& piece, double weight, bool lower);

  ZoneTotals totals_;
  double percent_;
  size_t mostKept_;
  WeightSpan wanted_;
  std::vector<Piece> pieces_;  // one, or one at each end; what lies between two is always kept
  double below_ = 0;
  bool found_ = false;
  std::vector<CountedValue> values_;
};

}  // namespace zp
