#include "mapping/patches.h"

#include <numeric>
#include <queue>

namespace zp {

Patches::Patches(Runs& runs, PatchNeighbours neighbours)
    : runs_(runs), reach_(neighbours == PatchNeighbours::Sides ? 0 : 1) {
  parent_.resize(runs.code.size());
  next_.resize(runs.code.size());
  std::iota(next_.begin(), next_.end(), 0u);
  for (int y = 0; y < runs.height; ++y)
    for (size_t r = runs.row[static_cast<size_t>(y)]; r < runs.row[static_cast<size_t>(y) + 1]; ++r)
      parent_[r] = runs.from[r] - runs.to(r, y);
  for (int y = 1; y < runs.height; ++y)
    for (size_t r = runs.row[static_cast<size_t>(y)]; r < runs.row[static_cast<size_t>(y) + 1]; ++r)
      touching(r, y, y - 1, [&](size_t other, int32_t) {
        if (runs_.code[r] == runs_.code[other] && runs_.code[r] != 0) join(r, other);
      });
}

namespace {

using Borders = std::unordered_map<uint32_t, uint32_t>;

class Merging {
 public:
  Merging(Patches& patches, size_t runs, uint32_t smallest)
      : patches_(patches), runs_(runs), smallest_(smallest) {}

  void run(const Progress& progress) {
    // Most are of few pixels. They are found by looking through all, size by size, for a queue of
    // them would need more memory than the patches do.
    const uint32_t looked = std::min(smallest_ - 1, kLookedThrough);
    for (uint32_t size = 1; size <= looked; ++size) {
      for (size_t r = 0; r < runs_; ++r)
        if (const auto patch = static_cast<uint32_t>(r);
            patches_.isPatch(r) && patches_.size(patch) == size)
          merge(patch);
      progress.at(0.5 * size / looked);
    }
    waits_ = true;
    for (size_t r = 0; r < runs_; ++r)
      if (const auto patch = static_cast<uint32_t>(r); patches_.isPatch(r)) wait(patch);
    const size_t all = std::max(size_t{1}, waiting_.size());
    for (size_t done = 0; !waiting_.empty(); ++done) {
      if (done % 4096 == 0)
        progress.at(0.5 +
                    0.5 * std::min(1.0, static_cast<double>(done) / static_cast<double>(all)));
      const auto [size, patch] = waiting_.top();
      waiting_.pop();
      if (patches_.first(patch) == patch && patches_.size(patch) == size) merge(patch);
    }
  }

 private:
  struct Waiting {
    uint32_t size, patch;
    bool operator<(const Waiting& o) const {  // the smallest is on top
      return size != o.size ? size > o.size : patch > o.patch;
    }
  };

  void merge(uint32_t patch) {
    patches_.bordersOf(patch, borders_);
    if (borders_.empty()) return;
    const auto better = [this](const Borders::value_type& a, const Borders::value_type& b) {
      if (a.second != b.second) return a.second > b.second;
      const uint32_t sizeA = patches_.size(a.first), sizeB = patches_.size(b.first);
      if (sizeA != sizeB) return sizeA > sizeB;
      const uint16_t codeA = patches_.code(a.first), codeB = patches_.code(b.first);
      return codeA != codeB ? codeA < codeB : a.first < b.first;
    };
    const uint16_t code =
        patches_.code(std::min_element(borders_.begin(), borders_.end(), better)->first);
    // It takes the class, and so is one with all of that class around it.
    uint32_t joined = patch;
    for (const auto& [neighbour, sides] : borders_)
      if (patches_.code(neighbour) == code) joined = patches_.join(joined, neighbour);
    patches_.setCode(joined, code);
    if (waits_) wait(joined);
  }

  void wait(uint32_t patch) {
    if (patches_.size(patch) < smallest_) waiting_.push({patches_.size(patch), patch});
  }

  static constexpr uint32_t kLookedThrough = 16;  // pixels
  Patches& patches_;
  size_t runs_;
  uint32_t smallest_;
  bool waits_ = false;  // a patch that stays small has to be queued again
  Borders borders_;
  std::priority_queue<Waiting> waiting_;
};

}  // namespace

void mergeSmall(Patches& patches, size_t runs, uint32_t smallest, const Progress& progress) {
  Merging(patches, runs, smallest).run(progress);
}

}  // namespace zp
