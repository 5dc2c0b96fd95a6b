#include "sampling/plan.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <queue>
#include <unordered_map>

#include "base/error.h"
#include "base/random.h"
#include "grid/block_pipeline.h"
#include "legend/class_map.h"
#include "outline/scanline.h"

namespace zp {
namespace {

struct Candidate {
  uint64_t key;
  size_t pixel;
  bool operator<(const Candidate& o) const { return key != o.key ? key < o.key : pixel < o.pixel; }
};

/// The candidates of one class with the smallest keys, and how many pixels there were.
struct Stratum {
  std::priority_queue<Candidate> smallest;
  size_t pixels = 0;
  void add(Candidate c, size_t most) {
    ++pixels;
    if (smallest.size() < most) {
      smallest.push(c);
    } else if (c < smallest.top()) {
      smallest.pop();
      smallest.push(c);
    }
  }
  std::vector<Candidate> sorted() {
    std::vector<Candidate> all;
    for (; !smallest.empty(); smallest.pop()) all.push_back(smallest.top());
    std::reverse(all.begin(), all.end());
    return all;
  }
};

std::map<int, Stratum> drawCandidates(const RasterFile& file, const SamplingPlan& plan,
                                      const InsideMask* inside, size_t most,
                                      const Progress& progress) {
  std::map<int, Stratum> strata;
  const Grid& g = file.grid();
  const auto windows = planWindows(g, file.blockWidth(), file.blockHeight(), size_t{4} << 20);
  const bool classes = plan.kind == PlanKind::Stratified;
  std::vector<uint16_t> codes;
  std::vector<float> values;
  std::vector<uint8_t> mask;
  for (size_t i = 0; i < windows.size(); ++i) {
    const Window w = windows[i];
    if (classes)
      codes.resize(w.pixels()), file.readCodes(1, w, codes.data());
    else
      values.resize(w.pixels()), file.read(1, w, values.data());
    if (inside != nullptr) inside->fill(w, mask);
    for (size_t p = 0; p < w.pixels(); ++p) {
      if (inside != nullptr && mask[p] == 0) continue;
      const int code = classes ? codes[p] : (std::isnan(values[p]) ? 0 : 1);
      if (code == 0) continue;
      const auto width = static_cast<size_t>(w.width);
      const size_t pixel = (static_cast<size_t>(w.y) + p / width) * static_cast<size_t>(g.width) +
                           static_cast<size_t>(w.x) + p % width;
      strata[code].add({mix(plan.seed, pixel), pixel}, most);
    }
    progress.at(static_cast<double>(i + 1) / static_cast<double>(windows.size()));
  }
  return strata;
}

/// Refuses places that are nearer than the smallest spacing to one taken before.
class Spacing {
 public:
  explicit Spacing(std::optional<double> apart) : apart_(apart.value_or(0)) {}
  bool take(Place p) {
    if (apart_ <= 0) return true;
    const auto cx = static_cast<int64_t>(std::floor(p.x / apart_));
    const auto cy = static_cast<int64_t>(std::floor(p.y / apart_));
    for (int64_t y = cy - 1; y <= cy + 1; ++y)
      for (int64_t x = cx - 1; x <= cx + 1; ++x) {
        const auto cell = cells_.find(key(x, y));
        if (cell == cells_.end()) continue;
        for (const auto& q : cell->second)
          if (std::hypot(p.x - q.x, p.y - q.y) < apart_) return false;
      }
    cells_[key(cx, cy)].push_back(p);
    return true;
  }

 private:
  static uint64_t key(int64_t x, int64_t y) {
    return mix(static_cast<uint64_t>(x), static_cast<uint64_t>(y));
  }
  double apart_;
  std::unordered_map<uint64_t, std::vector<Place>> cells_;
};

Place placeOf(const Candidate& c, const Grid& g, const SamplingPlan& plan) {
  const auto width = static_cast<size_t>(g.width);
  const int row = static_cast<int>(c.pixel / width), column = static_cast<int>(c.pixel % width);
  if (plan.kind == PlanKind::Stratified) return g.centre(column, row);
  return g.toMap(column + unit(mix(c.key, 1)), row + unit(mix(c.key, 2)));
}

struct Taken {
  uint64_t order;
  SamplePoint point;
};

/// Takes candidates of every class in turn; false when a class ran out of candidates although it
/// has more pixels than were drawn.
bool takePoints(std::map<int, Stratum>& strata, const Grid& g, const SamplingPlan& plan,
                std::vector<Taken>& taken, std::map<int, size_t>& perClass) {
  Spacing spacing(plan.apart);
  bool enough = true;
  for (auto& [code, stratum] : strata) {
    const size_t pixels = stratum.pixels;
    const auto candidates = stratum.sorted();
    size_t count = 0;
    for (const auto& c : candidates) {
      if (count == plan.count) break;
      const Place p = placeOf(c, g, plan);
      if (!spacing.take(p)) continue;
      taken.push_back({mix(c.key, 3), {p, plan.kind == PlanKind::Stratified ? code : 0}});
      ++count;
    }
    perClass[code] = count;
    if (count < plan.count && candidates.size() < pixels) enough = false;
  }
  return enough;
}

void requireEnough(const std::map<int, size_t>& perClass, const Legend& legend,
                   const SamplingPlan& plan) {
  if (perClass.empty())
    throw Error("There are no valid pixels to place points on; choose another raster or area.");
  for (const auto& [code, count] : perClass) {
    if (count >= plan.count) continue;
    const auto* known = legend.find(code);
    const std::string where =
        plan.kind == PlanKind::Random
            ? std::string("there")
            : fmt::format("in “{}”",
                          known != nullptr ? known->name : fmt::format("class {}", code));
    throw Error(
        fmt::format("Only {} points fit {}, not {}; ask for fewer or set them closer together.",
                    count, where, plan.count));
  }
}

}  // namespace

PlannedPoints placePoints(const std::filesystem::path& raster, const SamplingPlan& plan,
                          const Layer* inside, const Progress& progress) {
  if (plan.count == 0) throw Error("Ask for at least one point.");
  const RasterFile file(raster);
  if (file.grid().crs.empty())
    throw Error(
        fmt::format("“{}” has no reference system, so its points would lie nowhere; give it "
                    "one first.",
                    raster.string()));
  std::unique_ptr<InsideMask> mask;
  if (inside != nullptr) mask = std::make_unique<InsideMask>(inside->shapes, file.grid());

  PlannedPoints out;
  out.crs = file.grid().crs;
  if (plan.kind == PlanKind::Stratified) out.legend = legendOf(file);
  std::vector<Taken> taken;
  // With a spacing, most of the nearest candidates may be refused: draw more and more of them.
  for (size_t most = plan.apart ? plan.count * 32 : plan.count;; most *= 16) {
    taken.clear();
    out.perClass.clear();
    auto strata = drawCandidates(file, plan, mask.get(), most, progress);
    if (takePoints(strata, file.grid(), plan, taken, out.perClass)) break;
  }
  requireEnough(out.perClass, out.legend, plan);
  std::sort(taken.begin(), taken.end(),
            [](const Taken& a, const Taken& b) { return a.order < b.order; });
  for (auto& t : taken) out.points.push_back(t.point);
  if (plan.kind == PlanKind::Random) out.perClass.clear();
  return out;
}

Layer toLayer(const PlannedPoints& points, bool withClass) {
  Layer layer;
  layer.name = "points";
  layer.crs = points.crs;
  layer.table.columns = {"id"};
  if (withClass) layer.table.columns = {"id", "code", "class"};
  for (size_t i = 0; i < points.points.size(); ++i) {
    const auto& p = points.points[i];
    std::vector<std::string> row{std::to_string(i + 1)};
    if (withClass) {
      const auto* known = points.legend.find(p.code);
      row.push_back(std::to_string(p.code));
      row.push_back(known != nullptr ? known->name : "");
    }
    layer.table.rows.push_back(std::move(row));
    Shape shape;
    shape.points = {p.place};
    layer.shapes.push_back(std::move(shape));
  }
  return layer;
}

}  // namespace zp
