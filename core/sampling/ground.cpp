#include "sampling/ground.h"

#include <algorithm>
#include <cmath>
#include <memory>

#include "grid/crs.h"
#include "grid/pixel_area.h"
#include "legend/class_map.h"
#include "scene/band_reader.h"

namespace zp {
namespace {

constexpr size_t kPixelsRead = size_t{4} << 20;

std::vector<double> areasWhereTheyDiffer(const Grid& grid) {
  return !grid.crs.empty() && crsIsGeographic(grid.crs) ? pixelAreas(grid) : std::vector<double>();
}

void validAsOne(const std::vector<float>& values, std::vector<uint16_t>& codes) {
  std::transform(values.begin(), values.end(), codes.begin(),
                 [](float v) { return std::isnan(v) ? uint16_t{0} : uint16_t{1}; });
}

}  // namespace

Ground groundOf(const std::filesystem::path& raster, bool classes, int named) {
  const auto file = std::make_shared<RasterFile>(raster);
  const int band = classes ? classBand(*file, named) : std::max(1, named);
  Ground ground;
  ground.name = raster.string();
  ground.grid = file->grid();
  ground.windows = planWindows(ground.grid, file->blockWidth(), file->blockHeight(), kPixelsRead);
  ground.areas = areasWhereTheyDiffer(ground.grid);
  if (classes) {
    ground.legend = legendOf(*file, band);
    ground.read = [file, band](Window w, std::vector<uint16_t>& codes) {
      codes.resize(w.pixels());
      file->readCodes(band, w, codes.data());
    };
  } else {
    ground.read = [file, band, values = std::vector<float>()](
                      Window w, std::vector<uint16_t>& codes) mutable {
      values.resize(w.pixels());
      codes.resize(w.pixels());
      file->read(band, w, values.data());
      validAsOne(values, codes);
    };
  }
  return ground;
}

Ground groundOf(const Scene& scene) {
  const auto reader = std::make_shared<BandReader>(scene, std::vector<size_t>{scene.gridBand});
  Ground ground;
  ground.name = scene.name;
  ground.grid = scene.grid;
  ground.windows = reader->windows();
  ground.areas = areasWhereTheyDiffer(scene.grid);
  ground.read = [reader, block = BandBlock()](Window w, std::vector<uint16_t>& codes) mutable {
    reader->read(w, block);
    codes.resize(w.pixels());
    validAsOne(block.values, codes);
  };
  return ground;
}

void Bounds::add(const std::vector<Shape>& shapes) {
  areas_.push_back({InsideMask(shapes, grid_), PointInside(shapes, grid_)});
  Extent all{INFINITY, INFINITY, -INFINITY, -INFINITY};
  for (const auto& shape : shapes)
    for (const auto& ring : shape.rings)
      for (const auto& p : ring) all.include(p);
  extent_ = {std::max(extent_.left, all.left), std::max(extent_.bottom, all.bottom),
             std::min(extent_.right, all.right), std::min(extent_.top, all.top)};
}

void Bounds::avoid(const std::vector<Shape>& shapes) {
  if (!shapes.empty())
    avoided_.emplace(Area{InsideMask(shapes, grid_), PointInside(shapes, grid_)});
}

void Bounds::fill(Window w, bool anywhere, std::vector<uint8_t>& parts) const {
  parts.assign(w.pixels(), In);
  std::vector<uint8_t> centres, edges;
  for (const auto& area : areas_) {
    area.centres.fill(w, centres);
    if (anywhere) area.places.fillEdges(w, edges);
    for (size_t p = 0; p < parts.size(); ++p) {
      if (anywhere && edges[p] != 0)
        parts[p] = parts[p] == Out ? Out : Partly;
      else if (centres[p] == 0)
        parts[p] = Out;
    }
  }
  if (!avoided_) return;
  avoided_->centres.fill(w, centres);
  if (anywhere) avoided_->places.fillEdges(w, edges);
  for (size_t p = 0; p < parts.size(); ++p)
    if (anywhere && edges[p] != 0)
      parts[p] = parts[p] == Out ? Out : Partly;
    else if (centres[p] != 0 && parts[p] != Out)
      parts[p] = Avoided;
}

bool Bounds::holds(Place pixel) const {
  if (avoided_ && avoided_->places.at(pixel.x, pixel.y)) return false;
  return std::all_of(areas_.begin(), areas_.end(),
                     [&](const Area& a) { return a.places.at(pixel.x, pixel.y); });
}

}  // namespace zp
