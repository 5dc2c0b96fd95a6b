#pragma once
#include <optional>
#include <string>
#include <vector>

#include "base/progress.h"
#include "outline/layer.h"

namespace zp {

/// What of another table belongs to the rows of one.
struct Matches {
  std::vector<std::vector<size_t>> rows;  // row by row, those of the other, the best first
  /// Of each of them, where it has one: the share that overlaps, or the distance.
  std::vector<std::vector<double>> measures = {};
  std::string measure = {};  // what those are called; "" for none

  size_t matched() const;  // rows that have one or more
  size_t several() const;  // that have more than one
  /// Of the other, those that belong to no row.
  size_t unused(size_t rowsOfOther) const;
};

/// A column of one table and the one of the other that says the same.
struct JoinKey {
  std::string one, other;
};

/// A date in each, as 2031-07-18 with or without a time.
struct JoinDates {
  JoinKey columns;
  int days = 0;  // so far apart at most; of several the nearest, of two as near the earlier
};

/// By equal cells in all keys: numbers as numbers, other texts as they stand without blanks around
/// them; an empty cell equals nothing. Error: no key, an unknown column, a cell that is no date
/// (naming its row).
Matches matchByKeys(const Table& one, const Table& other, const std::vector<JoinKey>& keys,
                    const std::optional<JoinDates>& dates = {});

/// How two places belong together; the other layer is brought into the system of the first.
enum class PlaceRelation {
  Within,   // the first lies in a polygon of the other
  Overlap,  // polygons that overlap, the largest share of the first's area first
  Nearest   // the one at the smallest distance
};
struct PlaceMatch {
  PlaceRelation relation = PlaceRelation::Within;
  double leastShare = 0;                // Overlap: of the first's area, above it
  std::optional<double> farthest = {};  // Nearest: in the units of the first's system
};
/// Error: no polygons where they are needed, a layer without a reference system where the other has
/// one, distances in degrees.
Matches matchByPlace(const Layer& one, const Layer& other, const PlaceMatch& how,
                     const Progress& progress = Progress());

/// Both tables beside each other, the columns of the other renamed where they are taken, then the
/// measure and "matches", how many there were. A row for the best match, or with `all` one for
/// each; those without any stay, with empty cells. `origin`: of every row, which of the first it
/// was.
Table joined(const Table& one, const Table& other, const Matches& matches, bool all,
             std::vector<size_t>* origin = nullptr);

}  // namespace zp
