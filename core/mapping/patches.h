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
  uint16_t code(uint32_t patch) const { return runs_.codes[patch]; }
  void setCode(uint32_t patch, uint16_t code) { runs_.codes[patch] = code; }
  bool isPatch(size_t run) const { return parent_[run] < 0 && runs_.codes[run] != 0; }

  /// The lower number stands for both, with its class.
  uint32_t join(size_t a, size_t b) {
    uint32_t one = first(a), other = first(b);
    if (one == other) return one;
    if (other < one) std::swap(one, other);
    parent_[one] += parent_[other];
    parent_[other] = static_cast<int32_t>(one);
    return one;
  }

  /// Patches around one, with how many sides of pixels it shares with each: 0 where it touches by a
  /// corner alone. It looks at every run of the patch, so it is for small ones.
  void bordersOf(uint32_t patch, std::unordered_map<uint32_t, uint32_t>& borders);

  /// Numbers the patches from 1 in the order in which rows meet them and gives away the number of
  /// each run, 0 where there is no class, and the pixels of each patch. There are no patches after.
  std::vector<int32_t> number(std::vector<uint32_t>& sizes) &&;

 private:
  /// Calls for the runs of a neighbouring row that touch one, with how many columns they share.
  template <class Visit>
  void touching(const Runs::Run& run, int beside, Visit visit) const {
    if (beside < 0 || beside >= runs_.height()) return;
    const int from = std::max(0, run.from - reach_), to = std::min(runs_.width(), run.to + reach_);
    runs_.eachIn(beside, from, to, [&](const Runs::Run& other) {
      visit(other, std::max(0, std::min(run.to, other.to) - std::max(run.from, other.from)));
    });
  }

  Runs& runs_;
  int reach_;
  std::vector<int32_t> parent_;  // a run before it in its patch, or minus the pixels of the patch
  std::vector<bool> seen_;       // runs met while looking around a patch,
  std::vector<Runs::Run> members_;  // and those of them that are its own
};

/// Takes patches of fewer pixels than `smallest` into the neighbour of the longest border, the
/// smallest first; one without neighbours stays.
void mergeSmall(Patches& patches, size_t runs, uint32_t smallest,
                const Progress& progress = Progress());

}  // namespace zp
