#pragma once
#include <cstdint>
#include <functional>
#include <map>
#include <optional>
#include <queue>
#include <tuple>
#include <unordered_set>

#include "base/progress.h"
#include "sampling/ground.h"

namespace zp {

/// A pixel that may be taken. Where all pixels are equally likely, `wait` is 0 and the key decides;
/// else it is exponential with the pixel's area as its rate.
struct Candidate {
  double wait;
  uint64_t key;
  size_t pixel;  // its number in the grid, row by row
  bool operator<(const Candidate& o) const {
    return std::tie(wait, key, pixel) < std::tie(o.wait, o.key, o.pixel);
  }
};

/// The candidates with the smallest keys of those that are drawn from together, and what there is.
struct Stratum {
  std::priority_queue<Candidate> smallest;
  size_t pixels = 0;
  double area = 0;            // in pixels, or square metres in a geographic system
  std::vector<size_t> taken;  // its pixels that are no candidates any more
  void add(const Candidate& c, size_t most);
  /// By rising key; nothing is left in it.
  std::vector<Candidate> sorted();
};

/// How candidates are found.
struct Draw {
  uint64_t seed = 1;
  bool anywhere = false;           // a place in the pixel, not its centre
  const Bounds* bounds = nullptr;  // nullptr: everywhere
  /// The stratum a pixel is drawn in; none where it may not be taken.
  std::function<std::optional<int>(uint16_t code, int column, int row)> stratumOf;
  /// How many candidates of a stratum are kept.
  std::function<size_t(int stratum)> most;
  std::unordered_set<size_t> taken = {};  // pixels that were taken before
};

/// Where in a pixel its place is, in pixel units.
Place placeIn(size_t pixel, uint64_t key, const Grid& grid, bool anywhere);

/// Goes through the ground once.
std::map<int, Stratum> drawCandidates(const Ground& ground, const Draw& draw,
                                      const Progress& progress);

}  // namespace zp
