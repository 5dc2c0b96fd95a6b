#include "sampling/zone_pixels.h"

#include <oneapi/tbb/parallel_for.h>

#include <algorithm>

#include "base/error.h"
#include "grid/crs.h"
#include "outline/coverage.h"
#include "outline/scanline.h"

namespace zp {
namespace {

/// In the grid's system; without rings where that cannot be.
Shape broughtOver(Shape shape, const CrsChange& change) {
  for (auto& ring : shape.rings)
    for (auto& p : ring)
      if (!change.apply(p)) return {};
  return shape;
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
  std::vector<std::vector<CoveredRun>> runs(shapes.size());
  oneapi::tbb::parallel_for(oneapi::tbb::blocked_range<size_t>(0, shapes.size(), 64),
                            [&](const auto& some) {
                              const CrsChange change(crs, grid.crs);
                              for (size_t z = some.begin(); z < some.end(); ++z)
                                runs[z] = runsOf(broughtOver(shapes[z], change), grid, inclusion);
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

}  // namespace zp
