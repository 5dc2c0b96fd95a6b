#include "mapping/smallest_patch.h"

#include <algorithm>
#include <numeric>
#include <queue>
#include <unordered_map>

#include "base/error.h"
#include "legend/class_map.h"
#include "mapping/runs.h"

namespace zp {
namespace {

/// Patches as sets of runs, held in few bytes: a map of single pixels has as many runs as pixels.
class Patches {
 public:
  Patches(Runs& runs, PatchNeighbours neighbours)
      : runs_(runs), reach_(neighbours == PatchNeighbours::Sides ? 0 : 1) {
    parent_.resize(runs.code.size());
    next_.resize(runs.code.size());
    std::iota(next_.begin(), next_.end(), 0u);
    for (int y = 0; y < runs.height; ++y)
      for (size_t r = runs.row[static_cast<size_t>(y)]; r < runs.row[static_cast<size_t>(y) + 1];
           ++r)
        parent_[r] = runs.from[r] - runs.to(r, y);
    for (int y = 1; y < runs.height; ++y)
      for (size_t r = runs.row[static_cast<size_t>(y)]; r < runs.row[static_cast<size_t>(y) + 1];
           ++r)
        touching(r, y, y - 1, [&](size_t other, int32_t) {
          if (runs_.code[r] == runs_.code[other] && runs_.code[r] != 0) join(r, other);
        });
  }

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

using Borders = std::unordered_map<uint32_t, uint32_t>;

/// Takes small patches into their neighbours, the smallest first.
class Merging {
 public:
  Merging(Patches& patches, size_t runs, uint32_t smallest)
      : patches_(patches), smallest_(smallest) {
    const auto isSmall = [&](size_t r) {
      return patches.isPatch(r) && patches.size(static_cast<uint32_t>(r)) < smallest;
    };
    size_t count = 0;
    for (size_t r = 0; r < runs; ++r) count += isSmall(r) ? 1 : 0;
    std::vector<Waiting> small;
    small.reserve(count);
    for (size_t r = 0; r < runs; ++r)
      if (const auto patch = static_cast<uint32_t>(r); isSmall(r))
        small.push_back({patches.size(patch), patch});
    waiting_ = std::priority_queue<Waiting>({}, std::move(small));
  }

  void run(const Progress& progress) {
    const size_t all = std::max(size_t{1}, waiting_.size());
    for (size_t done = 0; !waiting_.empty(); ++done) {
      if (done % 4096 == 0)
        progress.at(std::min(1.0, static_cast<double>(done) / static_cast<double>(all)));
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
    if (patches_.size(joined) < smallest_) waiting_.push({patches_.size(joined), joined});
  }

  Patches& patches_;
  uint32_t smallest_;
  Borders borders_;
  std::priority_queue<Waiting> waiting_;
};

/// Writes the runs with the classes of their patches; how many pixels are not what they were.
size_t write(const Runs& runs, Patches& patches, const RasterFile& before, RasterWriter& writer,
             const Progress& progress) {
  const int rows = std::max(1, before.blockHeight());
  size_t changed = 0;
  std::vector<uint16_t> codes, was;
  for (int y = 0; y < runs.height; y += rows) {
    const Window w{0, y, runs.width, std::min(rows, runs.height - y)};
    codes.resize(w.pixels());
    was.resize(w.pixels());
    for (int r = y; r < y + w.height; ++r) {
      const auto line = codes.begin() + static_cast<std::ptrdiff_t>(r - y) * runs.width;
      for (size_t i = runs.row[static_cast<size_t>(r)]; i < runs.row[static_cast<size_t>(r) + 1];
           ++i)
        std::fill(line + runs.from[i], line + runs.to(i, r), patches.code(patches.first(i)));
    }
    before.readCodes(1, w, was.data());
    for (size_t i = 0; i < codes.size(); ++i) changed += codes[i] != was[i] ? 1 : 0;
    writer.writeCodes(1, w, codes);
    progress.at(static_cast<double>(y + w.height) / runs.height);
  }
  return changed;
}

}  // namespace

size_t removeSmallPatches(const std::filesystem::path& map, size_t smallest,
                          PatchNeighbours neighbours, const std::filesystem::path& temporary,
                          const Progress& progress) {
  constexpr size_t kMost = 1'000'000'000;
  if (smallest < 2 || smallest > kMost)
    throw Error("The smallest patch has 2 pixels or more; {} changes nothing.", smallest);
  const RasterFile file(map);
  classBand(file);
  if (file.grid().pixels() >= INT32_MAX)
    throw Error("“{}” has more pixels than patches can be told apart in; cut it first.",
                map.filename().string());
  Runs runs = runsOf(file, progress.part(0, 0.3));
  Patches patches(runs, neighbours);
  progress.at(0.4);
  Merging(patches, runs.from.size(), static_cast<uint32_t>(smallest)).run(progress.part(0.4, 0.8));
  RasterWriter writer(temporary, classMapSpec(file.grid(), legendOf(file), "classes"));
  const size_t changed = write(runs, patches, file, writer, progress.part(0.8, 1));
  writer.finish();
  return changed;
}

}  // namespace zp
