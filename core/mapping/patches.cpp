#include "mapping/patches.h"

#include <queue>

namespace zp {

Patches::Patches(Runs& runs, PatchNeighbours neighbours)
    : runs_(runs),
      reach_(neighbours == PatchNeighbours::Sides ? 0 : 1),
      parent_(runs.count()),
      seen_(runs.count()) {
  for (int y = 0; y < runs.height(); ++y)
    runs.eachIn(y, [&](const Runs::Run& r) {
      parent_[r.number] = r.from - r.to;
      if (runs_.codes[r.number] == 0) return;
      touching(r, y - 1, [&](const Runs::Run& above, int) {
        if (runs_.codes[r.number] == runs_.codes[above.number]) join(r.number, above.number);
      });
    });
}

void Patches::bordersOf(uint32_t patch, std::unordered_map<uint32_t, uint32_t>& borders) {
  borders.clear();
  members_.assign(1, runs_.run(patch));
  seen_[patch] = true;
  const auto add = [&](const Runs::Run& other, int sides) {
    const uint32_t near = first(other.number);
    if (near != patch) {
      if (runs_.codes[near] != 0) borders[near] += static_cast<uint32_t>(sides);
    } else if (!seen_[other.number]) {
      seen_[other.number] = true;
      members_.push_back(other);
    }
  };
  for (size_t i = 0; i < members_.size(); ++i) {
    const Runs::Run run = members_[i];
    if (run.from > 0)
      runs_.eachIn(run.row, run.from - 1, run.from, [&](const Runs::Run& r) { add(r, 1); });
    if (run.to < runs_.width())
      runs_.eachIn(run.row, run.to, run.to + 1, [&](const Runs::Run& r) { add(r, 1); });
    touching(run, run.row - 1, add);
    touching(run, run.row + 1, add);
  }
  for (const auto& run : members_) seen_[run.number] = false;
}

std::vector<int32_t> Patches::number(std::vector<uint32_t>& sizes) && {
  sizes.assign(1, 0);
  for (size_t r = 0; r < parent_.size(); ++r) {  // what a run points to is numbered before it
    if (parent_[r] >= 0) {
      parent_[r] = parent_[static_cast<size_t>(parent_[r])];
      continue;
    }
    if (runs_.codes[r] != 0) sizes.push_back(static_cast<uint32_t>(-parent_[r]));
    parent_[r] = runs_.codes[r] == 0 ? 0 : static_cast<int32_t>(sizes.size()) - 1;
  }
  return std::move(parent_);
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
