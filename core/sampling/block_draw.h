#pragma once
#include <map>

#include "sampling/candidates.h"

namespace zp {

/// Squares of whole pixels that lie over a grid from a random start.
class BlockLattice {
 public:
  /// Error when they are smaller than a pixel, or too many to count.
  BlockLattice(const Grid& grid, double size, uint64_t seed);
  int blockAt(int column, int row) const;
  Ring ring(int block) const;

 private:
  const Grid& grid_;
  double size_;
  Place start_;  // upper left corner
  int across_ = 0;
};

/// How many times each of some blocks is drawn, of `draws` in all: in proportion to its area,
/// systematically from a random order (Madow 1949). Those with none are left out.
std::map<int, size_t> drawBlocks(const std::map<int, double>& areas, size_t draws, uint64_t seed);

}  // namespace zp
