#include "sampling/plan.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <functional>
#include <memory>
#include <queue>
#include <tuple>
#include <unordered_map>

#include "base/error.h"
#include "base/random.h"
#include "grid/crs.h"
#include "grid/pixel_area.h"
#include "legend/class_map.h"
#include "outline/point_inside.h"
#include "scene/band_reader.h"

namespace zp {
namespace {

/// A pixel that may be taken. Where all pixels are equally likely, `wait` is 0 and the key decides;
/// else it is exponential with the pixel's area as its rate.
struct Candidate {
  double wait;
  uint64_t key;
  size_t pixel;
  bool operator<(const Candidate& o) const {
    return std::tie(wait, key, pixel) < std::tie(o.wait, o.key, o.pixel);
  }
};

/// What points are placed over: the code of every pixel, 0 where there is none.
struct Ground {
  Grid grid;
  std::vector<Window> windows;
  std::function<void(Window, std::vector<uint16_t>&)> read;
  std::vector<double> areas;  // of a row's pixels, where they differ
};

/// The polygons that places must lie in.
struct Bounds {
  Bounds(const std::vector<Shape>& shapes, const Grid& grid)
      : centres(shapes, grid), places(shapes, grid) {}
  InsideMask centres;
  PointInside places;
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

Place pixelPlaceOf(uint64_t key, size_t pixel, const Grid& g, const SamplingPlan& plan) {
  const auto width = static_cast<size_t>(g.width);
  const auto row = static_cast<double>(pixel / width), column = static_cast<double>(pixel % width);
  if (plan.kind == PlanKind::Stratified) return {column + 0.5, row + 0.5};
  return {column + unit(mix(key, 1)), row + unit(mix(key, 2))};
}

std::map<int, Stratum> drawCandidates(const Ground& ground, const SamplingPlan& plan,
                                      const Bounds* bounds, size_t most, const Progress& progress) {
  std::map<int, Stratum> strata;
  const bool anywhere = plan.kind == PlanKind::Random;
  std::vector<uint16_t> codes;
  std::vector<uint8_t> centres, edges;
  for (size_t i = 0; i < ground.windows.size(); ++i) {
    const Window w = ground.windows[i];
    codes.resize(w.pixels());
    ground.read(w, codes);
    if (bounds != nullptr) bounds->centres.fill(w, centres);
    if (bounds != nullptr && anywhere) bounds->places.fillEdges(w, edges);
    for (size_t p = 0; p < w.pixels(); ++p) {
      if (codes[p] == 0) continue;
      const bool partly = bounds != nullptr && anywhere && edges[p] != 0;
      if (bounds != nullptr && !partly && centres[p] == 0) continue;
      const auto width = static_cast<size_t>(w.width);
      const size_t row = static_cast<size_t>(w.y) + p / width;
      const size_t pixel =
          row * static_cast<size_t>(ground.grid.width) + static_cast<size_t>(w.x) + p % width;
      const uint64_t key = mix(plan.seed, pixel);
      // A pixel on the border counts as much as it lies inside: its place decides.
      if (partly) {
        const Place at = pixelPlaceOf(key, pixel, ground.grid, plan);
        if (!bounds->places.at(at.x, at.y)) continue;
      }
      const double wait =
          ground.areas.empty() ? 0 : -std::log1p(-unit(mix(key, 4))) / ground.areas[row];
      strata[codes[p]].add({wait, key, pixel}, most);
    }
    progress.at(static_cast<double>(i + 1) / static_cast<double>(ground.windows.size()));
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
      const Place at = pixelPlaceOf(c.key, c.pixel, g, plan);
      const Place p = g.toMap(at.x, at.y);
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
    throw Error("Only {} points fit {}, not {}; ask for fewer or set them closer together.", count,
                where, plan.count);
  }
}

PlannedPoints place(const Ground& ground, const std::string& name, const Legend& legend,
                    const SamplingPlan& plan, const Layer* inside, const Progress& progress) {
  if (plan.count == 0) throw Error("Ask for at least one point.");
  if (ground.grid.crs.empty())
    throw Error(
        "“{}” has no reference system, so its points would lie nowhere; give it "
        "one first.",
        name);
  std::unique_ptr<Bounds> bounds;
  if (inside != nullptr) bounds = std::make_unique<Bounds>(inside->shapes, ground.grid);
  PlannedPoints out;
  out.crs = ground.grid.crs;
  out.legend = legend;
  std::vector<Taken> taken;
  // With a spacing, most of the nearest candidates may be refused: draw more and more of them.
  for (size_t most = plan.apart ? plan.count * 32 : plan.count;; most *= 16) {
    taken.clear();
    out.perClass.clear();
    auto strata = drawCandidates(ground, plan, bounds.get(), most, progress);
    if (takePoints(strata, ground.grid, plan, taken, out.perClass)) break;
  }
  requireEnough(out.perClass, out.legend, plan);
  std::sort(taken.begin(), taken.end(),
            [](const Taken& a, const Taken& b) { return a.order < b.order; });
  for (auto& t : taken) out.points.push_back(t.point);
  if (plan.kind == PlanKind::Random) out.perClass.clear();
  return out;
}

std::vector<double> areasWhereTheyDiffer(const Grid& grid) {
  return !grid.crs.empty() && crsIsGeographic(grid.crs) ? pixelAreas(grid) : std::vector<double>();
}

}  // namespace

PlannedPoints placePoints(const std::filesystem::path& raster, const SamplingPlan& plan,
                          const Layer* inside, const Progress& progress, int named) {
  const RasterFile file(raster);
  const bool stratified = plan.kind == PlanKind::Stratified;
  const int band = stratified ? classBand(file, named) : std::max(1, named);
  const Grid& g = file.grid();
  Ground ground{g,
                planWindows(g, file.blockWidth(), file.blockHeight(), size_t{4} << 20),
                {},
                areasWhereTheyDiffer(g)};
  std::vector<float> values;
  if (stratified)
    ground.read = [&](Window w, std::vector<uint16_t>& codes) {
      file.readCodes(band, w, codes.data());
    };
  else
    ground.read = [&](Window w, std::vector<uint16_t>& codes) {
      values.resize(w.pixels());
      file.read(band, w, values.data());
      std::transform(values.begin(), values.end(), codes.begin(),
                     [](float v) { return std::isnan(v) ? uint16_t{0} : uint16_t{1}; });
    };
  const Legend legend = stratified ? legendOf(file, band) : Legend();
  return place(ground, raster.string(), legend, plan, inside, progress);
}

PlannedPoints placePoints(const Scene& scene, const SamplingPlan& plan, const Layer* inside,
                          const Progress& progress) {
  if (plan.kind == PlanKind::Stratified)
    throw Error("A scene has no classes to place points in; choose a class map.");
  const BandReader reader(scene, {scene.gridBand});
  BandBlock block;
  const Ground ground{scene.grid, reader.windows(),
                      [&](Window w, std::vector<uint16_t>& codes) {
                        reader.read(w, block);
                        std::transform(
                            block.values.begin(), block.values.end(), codes.begin(),
                            [](float v) { return std::isnan(v) ? uint16_t{0} : uint16_t{1}; });
                      },
                      areasWhereTheyDiffer(scene.grid)};
  return place(ground, scene.name, {}, plan, inside, progress);
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
