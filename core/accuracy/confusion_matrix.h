#pragma once
#include <string>
#include <vector>

#include "base/json.h"
#include "base/table.h"
#include "legend/legend.h"

namespace zp {

/// 97.5 % point of the standard normal: intervals are at 95 %.
inline constexpr double kNormal975 = 1.959963984540054;

/// A value with its 95 % interval; all NaN where it is not defined.
struct Estimate {
  double value = 0, low = 0, high = 0;
};

/// Rows: what the map says; columns: what the reference says (Congalton and Green 2019, ch. 5).
struct ConfusionMatrix {
  std::vector<int> codes;  // ascending
  std::vector<std::string> names;
  std::vector<std::vector<size_t>> counts;  // counts[map][reference]
  size_t skipped = 0;                       // pairs with an empty side

  size_t total() const;
  size_t rowTotal(size_t map) const;
  size_t columnTotal(size_t reference) const;
  size_t right() const;

  Estimate overall() const;
  Estimate users(size_t map) const;
  Estimate producers(size_t reference) const;
  /// Cohen's kappa; interval by the delta method (Fleiss, Cohen and Everitt 1969; in the form of
  /// Congalton and Green 2019, eq. 8.4).
  Estimate kappa() const;
};

/// One point: 0 stands for an empty side.
struct MapAndReference {
  int mapped = 0, reference = 0;
};

/// Error when no pair is complete.
ConfusionMatrix confusionMatrix(const std::vector<MapAndReference>& pairs,
                                const Legend& legend = {});

/// Pairs from two columns of a table; an empty cell is 0. Error: not a class code.
std::vector<MapAndReference> pairsFrom(const Table& table, const std::string& mapped,
                                       const std::string& reference);

/// 95 % interval of a share (Wilson 1927).
Estimate wilson(size_t successes, size_t trials);

Json toJson(const ConfusionMatrix& m);
/// As a table with words for rows and columns, margins and accuracies; without `intervals` the
/// cells of their limits are empty.
Table toTable(const ConfusionMatrix& m, bool intervals = true);

}  // namespace zp
