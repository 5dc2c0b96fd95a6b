#include "sampling/block_draw.h"

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "base/random.h"

namespace zp {

namespace {
constexpr double kMostBlocks = 10e6;
// Keys of the draws that are none of a pixel's.
constexpr uint64_t kStartX = 0xb10c1, kStartY = 0xb10c2, kOrder = 0xb10c3, kFirst = 0xb10c4;
}  // namespace

BlockLattice::BlockLattice(const Grid& grid, double size, uint64_t seed)
    : grid_(grid), size_(size) {
  if (!(size >= std::max(grid.pixelWidth(), grid.pixelHeight())))
    throw Error("Blocks of {} are smaller than a pixel; make them larger.", size);
  const Extent e = grid.extent();
  start_ = {e.left - unit(mix(seed, kStartX)) * size, e.top + unit(mix(seed, kStartY)) * size};
  const double across = std::floor((e.right - start_.x) / size) + 1,
               down = std::floor((start_.y - e.bottom) / size) + 1;
  if (across * down > kMostBlocks)
    throw Error("These would be more than {} blocks; make them larger.",
                static_cast<int>(kMostBlocks));
  across_ = static_cast<int>(across);
}

int BlockLattice::blockAt(int column, int row) const {
  const Place p = grid_.centre(column, row);
  return static_cast<int>((start_.y - p.y) / size_) * across_ +
         static_cast<int>((p.x - start_.x) / size_);
}

Ring BlockLattice::ring(int block) const {
  const double left = start_.x + block % across_ * size_,
               top = start_.y - static_cast<double>(block / across_) * size_;
  return {{left, top}, {left + size_, top}, {left + size_, top - size_}, {left, top - size_}};
}

std::map<int, size_t> drawBlocks(const std::map<int, double>& areas, size_t draws, uint64_t seed) {
  std::vector<std::pair<uint64_t, int>> order;
  double whole = 0;
  for (const auto& [block, area] : areas) {
    order.push_back({mix(mix(seed, kOrder), static_cast<uint64_t>(block)), block});
    whole += area;
  }
  std::sort(order.begin(), order.end());
  const double step = whole / static_cast<double>(draws), first = unit(mix(seed, kFirst)) * step;
  std::map<int, size_t> drawn;
  double reached = 0;
  size_t next = 0;
  for (const auto& [key, block] : order) {
    reached += areas.at(block);
    for (; next < draws && first + static_cast<double>(next) * step < reached; ++next)
      ++drawn[block];
  }
  return drawn;
}

}  // namespace zp
