#include "sampling/plan.h"

#include <fmt/format.h>

#include <algorithm>

#include "base/error.h"
#include "base/random.h"
#include "grid/crs.h"
#include "sampling/away_from_edge.h"
#include "sampling/random_points.h"
#include "sampling/systematic_points.h"

namespace zp {
namespace {

constexpr size_t kMostPoints = 10'000'000;

/// Where the points of a plan may lie.
struct PlanArea {
  Ground ground;
  std::unique_ptr<Bounds> bounds;  // of its grid
};

Ground onlyClass(Ground ground, int code) {
  ground.read = [read = ground.read, code](Window w, std::vector<uint16_t>& codes) {
    read(w, codes);
    for (auto& c : codes) c = c == code ? c : uint16_t{0};
  };
  return ground;
}

PlanArea planArea(Ground ground, const SamplingPlan& plan, const Layer* inside) {
  if (ground.grid.crs.empty())
    throw Error(
        "“{}” has no reference system, so its points would lie nowhere; give it "
        "one first.",
        ground.name);
  if (plan.only) ground = onlyClass(std::move(ground), *plan.only);
  if (plan.edge > 0)
    ground = awayFromEdge(std::move(ground), plan.edge, plan.kind != PlanKind::Stratified);
  PlanArea area{std::move(ground), nullptr};
  area.bounds = std::make_unique<Bounds>(area.ground.grid);
  const auto add = [&](const std::vector<Shape>& polygons) {
    area.bounds->add(plan.edge > 0 ? shrunk(polygons, plan.edge) : polygons);
  };
  if (plan.within) {
    const Extent& e = *plan.within;
    add({{{{{e.left, e.bottom}, {e.right, e.bottom}, {e.right, e.top}, {e.left, e.top}}}, {}}});
  }
  if (inside != nullptr) add(inside->shapes);
  area.bounds->avoid(plan.avoid);
  return area;
}

PlannedPoints placeSystematic(const PlanArea& area, const SamplingPlan& plan,
                              const std::vector<Place>& before, const Progress& progress) {
  PlannedPoints out;
  out.crs = area.ground.grid.crs;
  out.legend = area.ground.legend;
  for (const auto& p : before) out.points.push_back({p});
  auto places = systematicPlaces(area.ground, plan, *area.bounds, before, progress);
  if (places.empty())
    throw Error(
        "No point of so wide a lattice falls on a valid pixel; give a smaller spacing, or choose "
        "another raster or area.");
  // Row by row nobody would label them without knowing where they are.
  std::vector<std::pair<uint64_t, size_t>> order;
  for (size_t i = 0; i < places.size(); ++i) order.push_back({mix(mix(plan.seed, 3), i), i});
  std::sort(order.begin(), order.end());
  for (const auto& [key, i] : order) out.points.push_back({places[i]});
  return out;
}

PlannedPoints place(Ground ground, const SamplingPlan& plan, const Layer* inside,
                    const std::vector<Place>& before, const Progress& progress) {
  const bool counts = plan.kind != PlanKind::Systematic && plan.split != Split::Given;
  if (counts && plan.count == 0) throw Error("Ask for at least one point.");
  if (plan.kind == PlanKind::Blocks && plan.blocks == 0) throw Error("Ask for at least one block.");
  if (counts && plan.count > kMostPoints)
    throw Error("More than {} points are asked for; ask for fewer.", kMostPoints);
  const PlanArea area = planArea(std::move(ground), plan, inside);
  if (area.bounds->extent().empty())
    throw Error("There are no valid pixels to place points on; choose another raster or area.");
  if (plan.kind == PlanKind::Systematic) return placeSystematic(area, plan, before, progress);
  return randomPoints(area.ground, *area.bounds, plan, before, progress);
}

}  // namespace

PlannedPoints placePoints(const std::filesystem::path& raster, const SamplingPlan& plan,
                          const Layer* inside, const Progress& progress, int band,
                          const std::vector<Place>& before) {
  const bool classes = plan.kind == PlanKind::Stratified || plan.only;
  return place(groundOf(raster, classes, band), plan, inside, before, progress);
}

PlannedPoints placePoints(const Scene& scene, const SamplingPlan& plan, const Layer* inside,
                          const Progress& progress, const std::vector<Place>& before) {
  if (plan.kind == PlanKind::Stratified || plan.only)
    throw Error("A scene has no classes to place points in; choose a class map.");
  return place(groundOf(scene), plan, inside, before, progress);
}

PlannedPoints broughtTo(PlannedPoints points, const std::string& crs) {
  const CrsChange change(points.crs, crs);
  for (auto& p : points.points)
    if (!change.apply(p.place))
      throw Error("Some of the points have no place in {}; choose another system.", crsTitle(crs));
  for (auto& ring : points.blocks)
    for (auto& p : ring) change.apply(p);
  points.crs = crs;
  return points;
}

Layer toLayer(const PlannedPoints& points, bool withClass) {
  Layer layer;
  layer.name = "points";
  layer.crs = points.crs;
  layer.table.columns = {"id"};
  const bool withBlock = !points.blocks.empty();
  if (withBlock) layer.table.columns.push_back("block");
  if (withClass) layer.table.columns.insert(layer.table.columns.end(), {"code", "class"});
  for (size_t i = 0; i < points.points.size(); ++i) {
    const auto& p = points.points[i];
    std::vector<std::string> row{std::to_string(i + 1)};
    if (withBlock) row.push_back(std::to_string(p.block));
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
