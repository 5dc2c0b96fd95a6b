#pragma once
#include <string>
#include <vector>

#include "accuracy/share_intervals.h"
#include "base/json.h"
#include "base/table.h"
#include "legend/legend.h"

namespace zp {

/// Rows: what the map says; columns: what the reference says (Congalton and Green 2019, ch. 5).
struct ConfusionMatrix {
  std::vector<int> codes;  // ascending
  std::vector<std::string> names;
  std::vector<std::vector<size_t>> counts;  // counts[map][reference]
  size_t skipped = 0;                       // pairs with an empty side

  /// Error: not one of the classes.
  size_t indexOf(int code) const;
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

Json toJson(const ConfusionMatrix& m);

}  // namespace zp
