#include "sampling/candidates.h"

#include <algorithm>
#include <cmath>

#include "base/random.h"

namespace zp {
namespace {

/// Adds what may be taken of a window to the strata.
class WindowDraw {
 public:
  WindowDraw(const Ground& ground, const Draw& draw) : ground_(ground), draw_(draw) {}

  void operator()(Window w, std::map<int, Stratum>& strata) {
    ground_.read(w, codes_);
    if (draw_.bounds != nullptr) draw_.bounds->fill(w, draw_.anywhere, parts_);
    const auto width = static_cast<size_t>(w.width);
    for (size_t p = 0; p < w.pixels(); ++p) {
      if (codes_[p] == 0) continue;
      const uint8_t part = draw_.bounds == nullptr ? uint8_t{Bounds::In} : parts_[p];
      if (part == Bounds::Out) continue;
      const int column = w.x + static_cast<int>(p % width), row = w.y + static_cast<int>(p / width);
      const auto stratum = draw_.stratumOf(codes_[p], column, row);
      if (!stratum) continue;
      const size_t pixel = static_cast<size_t>(row) * static_cast<size_t>(ground_.grid.width) +
                           static_cast<size_t>(column);
      const uint64_t key = mix(draw_.seed, pixel);
      const bool taken = !draw_.taken.empty() && draw_.taken.count(pixel) > 0;
      // A pixel on the border counts as much as it lies inside: its place decides.
      if (!taken && part == Bounds::Partly &&
          !draw_.bounds->holds(placeIn(pixel, key, ground_.grid, draw_.anywhere)))
        continue;
      Stratum& of = strata[*stratum];
      of.area += ground_.areaOf(row);
      if (taken)
        of.taken.push_back(pixel);
      else if (part != Bounds::Avoided)
        of.add(candidate(pixel, key, row), draw_.most(*stratum));
    }
  }

 private:
  Candidate candidate(size_t pixel, uint64_t key, int row) const {
    if (ground_.areas.empty()) return {0, key, pixel};
    return {-std::log1p(-unit(mix(key, 4))) / ground_.areaOf(row), key, pixel};
  }
  const Ground& ground_;
  const Draw& draw_;
  std::vector<uint16_t> codes_;
  std::vector<uint8_t> parts_;
};

}  // namespace

void Stratum::add(const Candidate& c, size_t most) {
  ++pixels;
  if (smallest.size() < most) {
    smallest.push(c);
  } else if (most > 0 && c < smallest.top()) {
    smallest.pop();
    smallest.push(c);
  }
}

std::vector<Candidate> Stratum::sorted() {
  std::vector<Candidate> all;
  for (; !smallest.empty(); smallest.pop()) all.push_back(smallest.top());
  std::reverse(all.begin(), all.end());
  return all;
}

Place placeIn(size_t pixel, uint64_t key, const Grid& g, bool anywhere) {
  const auto width = static_cast<size_t>(g.width);
  const auto row = static_cast<double>(pixel / width), column = static_cast<double>(pixel % width);
  if (!anywhere) return {column + 0.5, row + 0.5};
  return {column + unit(mix(key, 1)), row + unit(mix(key, 2))};
}

std::map<int, Stratum> drawCandidates(const Ground& ground, const Draw& draw,
                                      const Progress& progress) {
  std::map<int, Stratum> strata;
  WindowDraw windowDraw(ground, draw);
  for (size_t i = 0; i < ground.windows.size(); ++i) {
    windowDraw(ground.windows[i], strata);
    progress.at(static_cast<double>(i + 1) / static_cast<double>(ground.windows.size()));
  }
  return strata;
}

}  // namespace zp
