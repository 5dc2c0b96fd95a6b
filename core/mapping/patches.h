#pragma once
#include <algorithm>
#include <cstdint>
#include <unordered_map>
#include <vector>

#include "mapping/runs.h"

namespace zp {

/// What makes pixels of one class one patch: touching by a side, or by a corner too.
enum class PatchNeighbours { Sides, SidesAndCorners };

/// Patches of equal pixels as sets of runs, held in few bytes: a map of single pixels has as many
/// runs as pixels.
class Patches {
 public:
  Patches(Runs& runs, PatchNeighbours neighbours);

  /// The run that stands for the patch of another; its class is that of the patch.
  uint32_t first(size_t run) {
    while (parent_[run] >= 0) {
      const auto up = static_cast<size_t>(parent_[run]);
      if (parent_[up] >= 0) parent_[run] = parent_[up];
      run = up;
    }
    return static_cast<uint32_t>(run);
  }
  uint32_t size(uint32_t patch) const { return static_cast<uint32_t>(-parent_[patch]); }
  uint16_t code(uint32_t patch) const { return runs_.code[patch]; }
  void setCode(uint32_t patch, uint16_t code) { runs_.code[patch] = code; }
  bool isPatch(size_t run) const { return parent_[run] < 0 && runs_.code[run] != 0; }

  /// The lower number stands for both, with its class.
  uint32_t join(size_t a, size_t b) {
    uint32_t one = first(a), other = first(b);
    if (one == other) return one;
    if (other < one) std::swap(one, other);
    parent_[one] += parent_[other];
    parent_[other] = static_cast<int32_t>(one);
    std::swap(next_[one], next_[other]);  // two rings become one
    return one;
  }

  /// Patches around one, with how many sides of pixels it shares with each: 0 where it touches by a
  /// corner alone.
  void bordersOf(uint32_t patch, std::unordered_map<uint32_t, uint32_t>& borders) {
    borders.clear();
    const auto add = [&](size_t other, int32_t sides) {
      if (const uint32_t near = first(other); near != patch && runs_.code[near] != 0)
        borders[near] += static_cast<uint32_t>(sides);
    };
    size_t run = patch;
    do {
      const int y = static_cast<int>(std::upper_bound(runs_.row.begin(), runs_.row.end(), run) -
                                     runs_.row.begin()) -
                    1;
      if (run > runs_.row[static_cast<size_t>(y)]) add(run - 1, 1);
      if (run + 1 < runs_.row[static_cast<size_t>(y) + 1]) add(run + 1, 1);
      touching(run, y, y - 1, add);
      touching(run, y, y + 1, add);
      run = next_[run];
    } while (run != patch);
  }

 private:
  /// Calls for the runs of a neighbouring row that touch one, with how many columns they share.
  template <class Visit>
  void touching(size_t run, int y, int beside, Visit visit) const {
    if (beside < 0 || beside >= runs_.height) return;
    const int32_t from = runs_.from[run], to = runs_.to(run, y);
    const size_t begin = runs_.row[static_cast<size_t>(beside)],
                 end = runs_.row[static_cast<size_t>(beside) + 1];
    // The run that holds the first column, or the corner before it.
    const auto at = std::upper_bound(runs_.from.begin() + static_cast<std::ptrdiff_t>(begin),
                                     runs_.from.begin() + static_cast<std::ptrdiff_t>(end),
                                     std::max(0, from - reach_));
    for (auto r = static_cast<size_t>(at - runs_.from.begin()) - 1;
         r < end && runs_.from[r] < to + reach_; ++r)
      visit(r, std::max(0, std::min(to, runs_.to(r, beside)) - std::max(from, runs_.from[r])));
  }

  Runs& runs_;
  int reach_;
  std::vector<int32_t> parent_;  // of a run that stands for a patch: minus its pixels
  std::vector<uint32_t> next_;   // the runs of a patch, in a ring
};

/// Takes patches of fewer pixels than `smallest` into the neighbour of the longest border, the
/// smallest first; one without neighbours stays.
void mergeSmall(Patches& patches, size_t runs, uint32_t smallest,
                const Progress& progress = Progress());

}  // namespace zp
