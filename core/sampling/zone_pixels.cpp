#include "sampling/zone_pixels.h"

#include <ogr_geometry.h>
#include <oneapi/tbb/parallel_for.h>

#include <algorithm>
#include <optional>

#include "base/error.h"
#include "grid/crs.h"
#include "outline/coverage.h"
#include "outline/ogr_shape.h"
#include "outline/scanline.h"

namespace zp {
namespace {

/// Brings the places of a shape into another system; false when one has no counterpart there.
bool bring(Shape& shape, const CrsChange& change) {
  for (auto& ring : shape.rings)
    for (auto& p : ring)
      if (!change.apply(p)) return false;
  return true;
}

bool within(const Extent& e, const Extent& o) {
  return e.left >= o.left && e.right <= o.right && e.bottom >= o.bottom && e.top <= o.top;
}

/// The part within a frame; all of it where the shape's rings cross themselves.
Shape cutTo(const Shape& shape, const Extent& e) {
  const auto frame = toGeometry(
      {{{{e.left, e.bottom}, {e.right, e.bottom}, {e.right, e.top}, {e.left, e.top}}}, {}});
  const std::unique_ptr<OGRGeometry> both(toGeometry({shape.rings, {}})->Intersection(frame.get()));
  if (!both) return shape;
  Shape part;
  addGeometry(both.get(), part);
  return part;
}

/// What lies around a grid, in another system; more than enough by half its size on each side.
std::optional<Extent> aroundGrid(const Grid& grid, const std::string& crs) {
  auto e = broughtTo(grid.extent(), grid.crs, crs);
  if (!e) return {};
  const double x = (e->right - e->left) / 2, y = (e->top - e->bottom) / 2;
  return Extent{e->left - x, e->bottom - y, e->right + x, e->top + y};
}

/// In the grid's system. What reaches far beyond the grid is cut first: a corner may have no
/// counterpart there, or one that means nothing (the poles, for a system of one zone).
Shape broughtOver(Shape shape, const CrsChange& change, const std::optional<Extent>& around) {
  if (change.identity() || shape.rings.empty()) return shape;
  if (around && !within(shape.extent(), *around)) shape = cutTo(shape, *around);
  return bring(shape, change) ? shape : Shape();
}

std::vector<CoveredRun> runsOf(const Shape& shape, const Grid& grid, Inclusion inclusion) {
  if (inclusion == Inclusion::Area) return coverageOf(shape, grid);
  std::vector<CoveredRun> runs;
  for (const auto& span : pixelsInside(shape, grid))
    runs.push_back({span.row, span.from, span.to, 1});
  return runs;
}

}  // namespace

ZonePixels::ZonePixels(const std::vector<Shape>& shapes, const std::string& crs, const Grid& grid,
                       Inclusion inclusion)
    : rows_(static_cast<size_t>(grid.height)), lastRow_(shapes.size(), -1) {
  if (crs.empty())
    throw Error("The polygons name no reference system, so they cannot be laid over a raster.");
  if (!grid.georeferenced || grid.crs.empty())
    throw Error("The raster names no reference system, so zones cannot be laid over it.");
  const auto around = aroundGrid(grid, crs);
  std::vector<std::vector<CoveredRun>> runs(shapes.size());
  oneapi::tbb::parallel_for(
      oneapi::tbb::blocked_range<size_t>(0, shapes.size(), 64), [&](const auto& some) {
        const CrsChange change(crs, grid.crs);
        for (size_t z = some.begin(); z < some.end(); ++z)
          runs[z] = runsOf(broughtOver(shapes[z], change, around), grid, inclusion);
      });
  for (size_t z = 0; z < runs.size(); ++z) {
    for (const auto& run : runs[z])
      rows_[static_cast<size_t>(run.row)].push_back(
          {static_cast<uint32_t>(z), run.from, run.to, run.share});
    if (!runs[z].empty()) lastRow_[z] = runs[z].back().row;
    runs[z] = {};
  }
}

void ZonePixels::visit(Window w, const std::function<void(const ZoneRun&, size_t)>& see) const {
  for (int r = 0; r < w.height; ++r)
    for (const auto& run : rows_[static_cast<size_t>(w.y + r)]) {
      const int from = std::max(run.from, w.x), to = std::min(run.to, w.x + w.width);
      if (from < to)
        see({run.zone, from, to, run.share}, static_cast<size_t>(r) * static_cast<size_t>(w.width) +
                                                 static_cast<size_t>(from - w.x));
    }
}

bool ZonePixels::anyIn(Window w) const {
  for (int r = 0; r < w.height; ++r)
    for (const auto& run : rows_[static_cast<size_t>(w.y + r)])
      if (run.from < w.x + w.width && run.to > w.x) return true;
  return false;
}

size_t ZonePixels::distinctPixels() const {
  size_t n = 0;
  for (const auto& row : rows_) {
    std::vector<std::pair<int, int>> spans;
    for (const auto& run : row) spans.push_back({run.from, run.to});
    std::sort(spans.begin(), spans.end());
    int end = 0;
    for (const auto& [from, to] : spans) {
      n += static_cast<size_t>(std::max(0, to - std::max(from, end)));
      end = std::max(end, to);
    }
  }
  return n;
}

}  // namespace zp
