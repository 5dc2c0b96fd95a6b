#include "sampling/cells.h"

#include <ogr_api.h>
#include <ogr_geometry.h>

#include <cmath>
#include <numbers>

#include "base/error.h"
#include "outline/ogr_shape.h"

namespace zp {
namespace {

Ring frameOf(const Grid& g) {
  return {g.toMap(0, 0), g.toMap(g.width, 0), g.toMap(g.width, g.height), g.toMap(0, g.height)};
}

/// What cells have to overlap.
class CellArea {
 public:
  CellArea(const Grid& grid, const Layer* inside) : whole_(toGeometry({{frameOf(grid)}, {}})) {
    if (inside != nullptr) cutTo(*inside);
    prepared_.reset(OGRCreatePreparedGeometry(OGRGeometry::ToHandle(whole_.get())));
    OGREnvelope e;
    whole_->getEnvelope(&e);
    extent_ = {e.MinX, e.MinY, e.MaxX, e.MaxY};
  }
  const Extent& extent() const { return extent_; }
  double size() const {
    if (const auto* parts = dynamic_cast<const OGRGeometryCollection*>(whole_.get()))
      return parts->get_Area();
    return 0;
  }
  /// A cell that only touches it does not overlap.
  bool overlaps(const Ring& ring, Place centre) const {
    constexpr double kWithin = 1 - 1e-6;
    Ring smaller;
    for (const auto& p : ring)
      smaller.push_back(
          {centre.x + (p.x - centre.x) * kWithin, centre.y + (p.y - centre.y) * kWithin});
    const auto geometry = toGeometry({{smaller}, {}});
    return OGRPreparedGeometryIntersects(prepared_.get(), OGRGeometry::ToHandle(geometry.get())) !=
           0;
  }

 private:
  void cutTo(const Layer& inside) {
    OGRMultiPolygon all;
    for (const auto& shape : inside.shapes) {
      if (shape.rings.empty()) continue;
      const auto part = toGeometry({shape.rings, {}});
      for (const auto* polygon : *part->toGeometryCollection())
        if (wkbFlatten(polygon->getGeometryType()) == wkbPolygon) all.addGeometry(polygon);
    }
    const std::unique_ptr<OGRGeometry> joined(all.UnionCascaded());
    std::unique_ptr<OGRGeometry> both(joined ? joined->Intersection(whole_.get()) : nullptr);
    if (!both || both->IsEmpty())
      throw Error("None of the polygons lies within the raster; choose others.");
    whole_.reset(OGRGeometryFactory::forceToMultiPolygon(both.release()));
  }
  std::unique_ptr<OGRGeometry> whole_;
  OGRPreparedGeometryUniquePtr prepared_;
  Extent extent_;
};

/// Where the cells of a form lie: row by row from `origin`, downwards.
struct Lattice {
  CellPlan::Form form;
  double size;
  Place origin;

  bool squares() const { return form == CellPlan::Form::Squares; }
  double rowStep() const { return squares() ? size : size * std::numbers::sqrt3 / 2; }
  Place centre(long long column, long long row) const {
    if (squares())
      return {origin.x + (static_cast<double>(column) + 0.5) * size,
              origin.y - (static_cast<double>(row) + 0.5) * size};
    const double shifted = row % 2 == 0 ? 0 : 0.5;
    return {origin.x + (static_cast<double>(column) + shifted) * size,
            origin.y - static_cast<double>(row) * rowStep()};
  }
  Ring ring(Place c) const {
    const double h = size / 2;
    if (squares())
      return {{c.x - h, c.y + h}, {c.x + h, c.y + h}, {c.x + h, c.y - h}, {c.x - h, c.y - h}};
    Ring corners;
    for (int k = 0; k < 6; ++k) {
      const double angle = std::numbers::pi * (0.5 - k / 3.0), r = size / std::numbers::sqrt3;
      corners.push_back({c.x + r * std::cos(angle), c.y + r * std::sin(angle)});
    }
    return corners;
  }
};

double sizeFor(const CellPlan& plan, const CellArea& area) {
  if (plan.size > 0) return plan.size;
  if (plan.count == 0) throw Error("Say how large the cells are, or how many.");
  const double each = area.size() / static_cast<double>(plan.count);
  return std::sqrt(plan.form == CellPlan::Form::Squares ? each : each * 2 / std::numbers::sqrt3);
}

void requireSystem(const Grid& grid) {
  if (!grid.georeferenced || grid.crs.empty())
    throw Error("The raster names no reference system, so cells cannot be laid over it.");
}

void requireFew(double count) {
  if (!(count <= static_cast<double>(kMostCells)))
    throw Error("These would be more than the {} cells that can be made; make them larger.",
                kMostCells);
}

}  // namespace

PlannedCells planCells(const Grid& over, const CellPlan& plan, const Layer* inside,
                       const Progress& progress) {
  requireSystem(over);
  const CellArea area(over, inside);
  const Extent whole = over.extent(), e = area.extent();
  const Lattice lattice{plan.form, sizeFor(plan, area), {whole.left, whole.top}};
  const double step = lattice.rowStep();
  // One more on each side: hexagons reach beyond their row.
  const auto first = [](double from, double by) { return std::floor(from / by) - 1; };
  const double left = first(e.left - whole.left, lattice.size),
               right = std::ceil((e.right - whole.left) / lattice.size) + 1,
               top = std::max(-1.0, first(whole.top - e.top, step)),
               bottom = std::ceil((whole.top - e.bottom) / step) + 1;
  requireFew((e.right - e.left) / lattice.size * ((e.top - e.bottom) / step));
  PlannedCells cells{over.crs, lattice.size, {}, {}};
  for (auto row = static_cast<long long>(top); row <= static_cast<long long>(bottom); ++row) {
    progress.at((static_cast<double>(row) - top) / (bottom - top + 1));
    for (auto column = static_cast<long long>(left); column <= static_cast<long long>(right);
         ++column) {
      const Place centre = lattice.centre(column, row);
      const Ring ring = lattice.ring(centre);
      if (!area.overlaps(ring, centre)) continue;
      cells.shapes.push_back({{ring}, {}});
      cells.centres.push_back(centre);
    }
  }
  if (cells.shapes.empty())
    throw Error("Cells of {} are far too large for this area; make them smaller.", lattice.size);
  return cells;
}

PlannedCells pixelsAsCells(const Ground& ground, const Layer* inside, const Progress& progress) {
  const Grid& g = ground.grid;
  requireSystem(g);
  requireFew(static_cast<double>(g.pixels()));
  const CellArea area(g, inside);
  PlannedCells cells{g.crs, g.pixelWidth(), {}, {}};
  std::vector<uint16_t> valid;
  for (int row = 0; row < g.height; ++row) {
    progress.at(static_cast<double>(row) / g.height);
    ground.read({0, row, g.width, 1}, valid);
    for (int c = 0; c < g.width; ++c) {
      if (valid[static_cast<size_t>(c)] == 0) continue;
      const Ring ring{g.toMap(c, row), g.toMap(c + 1, row), g.toMap(c + 1, row + 1),
                      g.toMap(c, row + 1)};
      const Place centre = g.centre(c, row);
      if (inside != nullptr && !area.overlaps(ring, centre)) continue;
      cells.shapes.push_back({{ring}, {}});
      cells.centres.push_back(centre);
    }
  }
  if (cells.shapes.empty()) throw Error("No pixel there has a value, so there are no cells.");
  return cells;
}

Layer toLayer(const PlannedCells& cells, bool centres) {
  Layer layer;
  layer.name = "cells";
  layer.crs = cells.crs;
  layer.table.columns = {"id"};
  for (size_t i = 0; i < cells.shapes.size(); ++i) {
    layer.table.rows.push_back({std::to_string(i + 1)});
    layer.shapes.push_back(centres ? Shape{{}, {cells.centres[i]}} : cells.shapes[i]);
  }
  return layer;
}

}  // namespace zp
