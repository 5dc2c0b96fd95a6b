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

/// How far apart runs of neighbouring rows may be: by a corner they share no column.
int reachOf(PatchNeighbours neighbours) {
  return neighbours == PatchNeighbours::Sides ? 0 : 1;
}

/// Patches as sets of runs; what is asked of one is asked of its first run.
class Patches {
 public:
  Patches(const Runs& runs, PatchNeighbours neighbours) : code(runs.code), parent_(code.size()) {
    std::iota(parent_.begin(), parent_.end(), 0u);
    size.resize(code.size());
    for (int y = 0; y < runs.height; ++y)
      for (size_t r = runs.row[static_cast<size_t>(y)]; r < runs.row[static_cast<size_t>(y) + 1];
           ++r)
        size[r] = static_cast<uint32_t>(runs.to(r, y) - runs.from[r]);
    eachTouching(runs, reachOf(neighbours), [&](size_t a, size_t b, int32_t) {
      if (code[a] == code[b] && code[a] != 0) join(a, b);
    });
  }

  uint32_t first(size_t run) {
    while (parent_[run] != run) run = parent_[run] = parent_[parent_[run]];
    return static_cast<uint32_t>(run);
  }
  /// The lower number stays; its class does too.
  uint32_t join(size_t a, size_t b) {
    uint32_t one = first(a), other = first(b);
    if (one == other) return one;
    if (other < one) std::swap(one, other);
    parent_[other] = one;
    size[one] += size[other];
    return one;
  }

  /// Calls for runs of neighbouring rows that share columns, or miss by `reach`, with how many they
  /// share.
  template <class Visit>
  static void eachTouching(const Runs& runs, int reach, Visit visit) {
    for (int y = 1; y < runs.height; ++y) {
      size_t a = runs.row[static_cast<size_t>(y) - 1], b = runs.row[static_cast<size_t>(y)];
      const size_t endA = runs.row[static_cast<size_t>(y)],
                   endB = runs.row[static_cast<size_t>(y) + 1];
      while (a < endA && b < endB) {
        const int32_t toA = runs.to(a, y - 1), toB = runs.to(b, y);
        const int32_t shared = std::min(toA, toB) - std::max(runs.from[a], runs.from[b]);
        if (shared + reach > 0) visit(a, b, std::max(0, shared));
        // Where both end together, each touches the other's next by a corner.
        if (toA == toB && reach > 0) {
          if (a + 1 < endA) visit(a + 1, b, 0);
          if (b + 1 < endB) visit(a, b + 1, 0);
        }
        if (toA <= toB) ++a;
        if (toB <= toA) ++b;
      }
    }
  }

  std::vector<uint16_t> code;  // of the first run of a patch
  std::vector<uint32_t> size;  // likewise

 private:
  std::vector<uint32_t> parent_;
};

using Borders = std::unordered_map<uint32_t, uint32_t>;  // neighbour → sides shared

/// Takes small patches into their neighbours, the smallest first.
class Merging {
 public:
  Merging(Patches& patches, uint32_t smallest) : patches_(patches), smallest_(smallest) {}

  void addBorder(size_t a, size_t b, int32_t sides) {
    const uint32_t one = patches_.first(a), other = patches_.first(b);
    if (one == other || patches_.code[one] == 0 || patches_.code[other] == 0) return;
    if (isSmall(one)) borders_[one][other] += static_cast<uint32_t>(sides);
    if (isSmall(other)) borders_[other][one] += static_cast<uint32_t>(sides);
  }

  void run(const Progress& progress) {
    for (const auto& [patch, borders] : borders_) waiting_.push({patches_.size[patch], patch});
    const size_t all = std::max(size_t{1}, waiting_.size());
    for (size_t done = 0; !waiting_.empty(); ++done) {
      if (done % 4096 == 0)
        progress.at(std::min(1.0, static_cast<double>(done) / static_cast<double>(all)));
      const auto [size, patch] = waiting_.top();
      waiting_.pop();
      if (patches_.first(patch) == patch && patches_.size[patch] == size) merge(patch);
    }
  }

 private:
  struct Waiting {
    uint32_t size, patch;
    bool operator<(const Waiting& o) const {  // the smallest is on top
      return size != o.size ? size > o.size : patch > o.patch;
    }
  };
  bool isSmall(uint32_t patch) const { return patches_.size[patch] < smallest_; }

  /// With neighbours under the numbers they have now.
  Borders bordersOf(uint32_t patch) {
    Borders now;
    for (const auto& [neighbour, sides] : borders_[patch])
      if (const uint32_t n = patches_.first(neighbour); n != patch) now[n] += sides;
    return now;
  }

  void merge(uint32_t patch) {
    const Borders now = bordersOf(patch);
    borders_.erase(patch);
    if (now.empty()) return;
    const auto better = [this](const Borders::value_type& a, const Borders::value_type& b) {
      if (a.second != b.second) return a.second > b.second;
      const uint32_t sizeA = patches_.size[a.first], sizeB = patches_.size[b.first];
      if (sizeA != sizeB) return sizeA > sizeB;
      const uint16_t codeA = patches_.code[a.first], codeB = patches_.code[b.first];
      return codeA != codeB ? codeA < codeB : a.first < b.first;
    };
    const uint16_t code = patches_.code[std::min_element(now.begin(), now.end(), better)->first];
    // It takes the class, and so is one with all of that class around it.
    Borders of = now;
    uint32_t joined = patch;
    for (const auto& [neighbour, sides] : now) {
      if (patches_.code[neighbour] != code) continue;
      if (const auto known = borders_.find(neighbour); known != borders_.end()) {
        for (const auto& [n, s] : known->second) of[n] += s;
        borders_.erase(known);
      }
      joined = patches_.join(joined, neighbour);
    }
    patches_.code[joined] = code;
    if (!isSmall(joined)) return;
    borders_[joined] = std::move(of);
    borders_[joined] = bordersOf(joined);
    if (!borders_[joined].empty()) waiting_.push({patches_.size[joined], joined});
  }

  Patches& patches_;
  uint32_t smallest_;
  std::unordered_map<uint32_t, Borders> borders_;  // of small patches
  std::priority_queue<Waiting> waiting_;
};

/// Writes the runs with the classes of their patches; how many pixels are not what they were.
size_t write(const Runs& runs, Patches& patches, RasterWriter& writer, const Progress& progress) {
  constexpr int kRows = 256;
  size_t changed = 0;
  std::vector<uint16_t> codes;
  for (int y = 0; y < runs.height; y += kRows) {
    const Window w{0, y, runs.width, std::min(kRows, runs.height - y)};
    codes.resize(w.pixels());
    for (int r = y; r < y + w.height; ++r)
      for (size_t i = runs.row[static_cast<size_t>(r)]; i < runs.row[static_cast<size_t>(r) + 1];
           ++i) {
        const uint16_t code = patches.code[patches.first(i)];
        const int32_t to = runs.to(i, r);
        const auto line = codes.begin() + static_cast<std::ptrdiff_t>(r - y) * runs.width;
        std::fill(line + runs.from[i], line + to, code);
        if (code != runs.code[i]) changed += static_cast<size_t>(to - runs.from[i]);
      }
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
  const Runs runs = runsOf(file, progress.part(0, 0.3));
  if (runs.from.size() >= UINT32_MAX)
    throw Error("The map has too many single pixels for this; take the majority first.");
  Patches patches(runs, neighbours);
  progress.at(0.4);
  Merging merging(patches, static_cast<uint32_t>(smallest));
  for (int y = 0; y < runs.height; ++y)
    for (size_t r = runs.row[static_cast<size_t>(y)] + 1; r < runs.row[static_cast<size_t>(y) + 1];
         ++r)
      merging.addBorder(r - 1, r, 1);
  Patches::eachTouching(
      runs, 0, [&](size_t a, size_t b, int32_t shared) { merging.addBorder(a, b, shared); });
  merging.run(progress.part(0.5, 0.7));
  RasterWriter writer(temporary, classMapSpec(file.grid(), legendOf(file), "classes"));
  const size_t changed = write(runs, patches, writer, progress.part(0.7, 1));
  writer.finish();
  return changed;
}

}  // namespace zp
