#include "sampling/systematic_points.h"

#include <algorithm>
#include <cmath>
#include <set>

#include "base/error.h"
#include "base/random.h"
#include "base/text.h"

namespace zp {
namespace {

constexpr double kMostPlaces = 10e6;
constexpr uint64_t kStartX = 0x575701, kStartY = 0x575702, kRow = 0x575703;

/// A lattice, and the one in its middle, and the two that are then in the middle of both; in
/// spacings. All four together are a lattice of half the spacing.
constexpr Place kSquare[] = {{0, 0}, {0.5, 0.5}, {0.5, 0}, {0, 0.5}},
                kStaggered[] = {{0, 0}, {0.5, 0}, {0.25, 0.5}, {0.75, 0.5}};

/// Rows of places over an extent.
class PointLattice {
 public:
  PointLattice(const Ground& ground, const SamplingPlan& plan, const Extent& over)
      : ground_(ground), plan_(plan), over_(over) {
    const bool bySpacing = plan.spacing > 0;
    if (!bySpacing && (plan.across == 0 || plan.down == 0))
      throw Error("Say how far the points are from each other, or how many along each side.");
    dx_ = bySpacing ? plan.spacing : (over.right - over.left) / static_cast<double>(plan.across);
    dy_ = bySpacing ? plan.spacing : (over.top - over.bottom) / static_cast<double>(plan.down);
    if (!((over.right - over.left) / dx_ * ((over.top - over.bottom) / dy_) <= kMostPlaces))
      throw Error("These would be more than {} points; give a larger spacing.",
                  static_cast<int>(kMostPlaces));
    start_ = {unit(mix(plan.seed, kStartX)), unit(mix(plan.seed, kStartY))};
    meanArea_ = meanArea();
  }

  double spacing() const { return std::min(dx_, dy_); }

  std::vector<Place> places(Place moved) const {
    std::vector<Place> all;
    const double up = start_.y + moved.y - std::floor(start_.y + moved.y);
    // Which row of the first lattice it is, or lies below.
    const bool wraps = start_.y + moved.y >= 1;
    for (int row = 0;; ++row) {
      const double y = over_.top - (row + up) * dy_;
      if (y < over_.bottom) break;
      const bool shifted = plan_.staggered && (row + (wraps ? 1 : 0)) % 2 != 0;
      addRow(y, row, moved.x + (shifted ? 0.5 : 0), all);
    }
    return all;
  }

 private:
  double areaAt(double y) const {
    const double row = std::floor(ground_.grid.toPixel({(over_.left + over_.right) / 2, y}).y);
    return ground_.areaOf(static_cast<int>(std::clamp(row, 0.0, ground_.grid.height - 1.0)));
  }
  double meanArea() const {
    if (ground_.areas.empty()) return 1;
    double sum = 0;
    int n = 0;
    for (double y = over_.top - dy_ / 2; y > over_.bottom; y -= dy_, ++n) sum += areaAt(y);
    return n > 0 ? sum / n : areaAt((over_.top + over_.bottom) / 2);
  }
  void addRow(double y, int row, double moved, std::vector<Place>& all) const {
    double step = dx_, start = start_.x;
    if (!ground_.areas.empty()) {
      step *= meanArea_ / areaAt(y);
      start = unit(mix(mix(plan_.seed, kRow), static_cast<uint64_t>(row)));
    }
    const double first = start + moved - std::floor(start + moved);
    for (int i = 0;; ++i) {
      const double x = over_.left + (i + first) * step;
      if (x >= over_.right) break;
      all.push_back({x, y});
    }
  }

  const Ground& ground_;
  const SamplingPlan& plan_;
  Extent over_;
  double dx_ = 0, dy_ = 0, meanArea_ = 1;
  Place start_;
};

/// Those in pixels that may be taken, in their order.
std::vector<Place> onGround(const std::vector<Place>& places, const Ground& ground,
                            const Bounds& bounds, const Progress& progress) {
  struct At {
    int row, column;
    size_t place;
  };
  std::vector<At> at;
  const Grid& g = ground.grid;
  for (size_t i = 0; i < places.size(); ++i) {
    const Place p = g.toPixel(places[i]);
    if (!(p.x >= 0 && p.y >= 0 && p.x < g.width && p.y < g.height) || !bounds.holds(p)) continue;
    at.push_back({static_cast<int>(p.y), static_cast<int>(p.x), i});
  }
  std::stable_sort(at.begin(), at.end(), [](const At& a, const At& b) { return a.row < b.row; });
  std::vector<bool> kept(places.size());
  std::vector<uint16_t> codes;
  for (size_t k = 0; k < ground.windows.size(); ++k) {
    const Window w = ground.windows[k];
    progress.at(static_cast<double>(k) / static_cast<double>(ground.windows.size()));
    const auto rowLess = [](const At& a, int row) { return a.row < row; };
    const auto first = std::lower_bound(at.begin(), at.end(), w.y, rowLess),
               last = std::lower_bound(first, at.end(), w.y + w.height, rowLess);
    if (first == last) continue;
    ground.read(w, codes);
    for (auto a = first; a != last; ++a) {
      if (a->column < w.x || a->column >= w.x + w.width) continue;
      const auto code = codes[static_cast<size_t>(a->row - w.y) * static_cast<size_t>(w.width) +
                              static_cast<size_t>(a->column - w.x)];
      kept[a->place] = code != 0;
    }
  }
  std::vector<Place> out;
  for (size_t i = 0; i < places.size(); ++i)
    if (kept[i]) out.push_back(places[i]);
  return out;
}

/// Tells whether places are among others, to a small part of the spacing.
class Among {
 public:
  Among(const std::vector<Place>& places, double spacing) : cell_(spacing * 1e-3) {
    for (const auto& p : places) cells_.insert({cellOf(p.x), cellOf(p.y)});
  }
  bool hold(Place p) const {
    for (int y = -1; y <= 1; ++y)
      for (int x = -1; x <= 1; ++x)
        if (cells_.count({cellOf(p.x) + x, cellOf(p.y) + y}) > 0) return true;
    return false;
  }

 private:
  int64_t cellOf(double v) const { return static_cast<int64_t>(std::floor(v / cell_)); }
  double cell_;
  std::set<std::pair<int64_t, int64_t>> cells_;
};

}  // namespace

std::vector<Place> systematicPlaces(const Ground& ground, const SamplingPlan& plan,
                                    const Bounds& bounds, const std::vector<Place>& before,
                                    const Progress& progress) {
  const PointLattice lattice(ground, plan, bounds.extent());
  const Among already(before, lattice.spacing());
  size_t known = 0;
  for (const auto& moved : plan.staggered ? kStaggered : kSquare) {
    auto places = onGround(lattice.places(moved), ground, bounds, progress);
    const auto there = static_cast<size_t>(
        std::count_if(places.begin(), places.end(), [&](Place p) { return already.hold(p); }));
    if (there == 0 && known == before.size()) return places;
    if (there < places.size()) break;
    known += there;
  }
  if (known == before.size())
    throw Error(
        "These points were topped up three times, to half their spacing; place anew what is to be "
        "closer still.");
  throw Error("The points are none that this plan placed: its spacing, seed or area is another.");
}

}  // namespace zp
