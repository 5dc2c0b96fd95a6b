#include "training/grow_region.h"

#include <algorithm>
#include <cmath>
#include <deque>

#include "base/error.h"
#include "index/statistics.h"

namespace zp {
namespace {

constexpr int kAround = 256;

Window windowAround(const Grid& grid, int column, int row) {
  const int left = std::max(0, column - kAround), top = std::max(0, row - kAround);
  return {left, top, std::min(grid.width, column + kAround) - left,
          std::min(grid.height, row + kAround) - top};
}

/// How far the pixels of a block are from a seed.
class Likeness {
 public:
  Likeness(const FeatureBlock& block, int x, int y) : block_(block) {
    for (size_t f = 0; f < block.features; ++f) {
      Statistics all, seed;
      all.add(block.feature(f), block.window.pixels());
      for (int r = std::max(0, y - 1); r <= std::min(block.window.height - 1, y + 1); ++r)
        for (int c = std::max(0, x - 1); c <= std::min(block.window.width - 1, x + 1); ++c)
          seed.add(block.feature(f) + at(c, r), 1);
      middle_.push_back(seed.mean);
      const double sd = all.sd();
      spread_.push_back(sd > 0 ? sd : 1);  // a feature that is all the same tells nothing
    }
  }
  size_t at(int x, int y) const {
    return static_cast<size_t>(y) * static_cast<size_t>(block_.window.width) +
           static_cast<size_t>(x);
  }
  /// NaN where a value is.
  double of(size_t pixel) const {
    double sum = 0;
    for (size_t f = 0; f < middle_.size(); ++f) {
      const double d = (static_cast<double>(block_.feature(f)[pixel]) - middle_[f]) / spread_[f];
      sum += d * d;
    }
    return std::sqrt(sum / static_cast<double>(middle_.size()));
  }

 private:
  const FeatureBlock& block_;
  std::vector<double> middle_, spread_;
};

std::vector<Span> spansOf(const std::vector<char>& in, const Window& w) {
  std::vector<Span> spans;
  for (int y = 0; y < w.height; ++y)
    for (int x = 0; x < w.width; ++x) {
      if (in[static_cast<size_t>(y) * static_cast<size_t>(w.width) + static_cast<size_t>(x)] == 0)
        continue;
      if (!spans.empty() && spans.back().row == w.y + y && spans.back().to == w.x + x)
        ++spans.back().to;
      else
        spans.push_back({w.y + y, w.x + x, w.x + x + 1});
    }
  return spans;
}

}  // namespace

std::vector<Span> growRegion(const FeatureReader& reader, int column, int row,
                             const Growth& growth) {
  const Grid& grid = reader.grid();
  if (column < 0 || row < 0 || column >= grid.width || row >= grid.height)
    throw Error("The place lies outside the scene; point at a pixel of it.");
  const Window w = windowAround(grid, column, row);
  FeatureBlock block;
  reader.read(w, block);
  const Likeness likeness(block, column - w.x, row - w.y);
  const size_t seed = likeness.at(column - w.x, row - w.y);
  if (std::isnan(likeness.of(seed))) throw Error("The pixel has no values; point at one that has.");
  std::vector<char> in(w.pixels()), seen(w.pixels());
  std::deque<std::pair<int, int>> next{{column - w.x, row - w.y}};
  seen[seed] = 1;
  size_t pixels = 0;
  while (!next.empty() && pixels < growth.most) {
    const auto [x, y] = next.front();
    next.pop_front();
    in[likeness.at(x, y)] = 1;
    ++pixels;
    for (const auto& [dx, dy] : {std::pair{1, 0}, {-1, 0}, {0, 1}, {0, -1}}) {
      const int c = x + dx, r = y + dy;
      if (c < 0 || r < 0 || c >= w.width || r >= w.height) continue;
      const size_t at = likeness.at(c, r);
      if (seen[at] != 0) continue;
      seen[at] = 1;
      if (likeness.of(at) <= growth.tolerance) next.emplace_back(c, r);
    }
  }
  return spansOf(in, w);
}

}  // namespace zp
