#include "outline/class_polygons.h"

#include <fmt/format.h>
#include <gdal_alg.h>
#include <gdal_priv.h>
#include <ogrsf_frmts.h>

#include <cmath>

#include "base/error.h"
#include "base/text.h"
#include "grid/gdal_start.h"
#include "grid/pixel_area.h"
#include "grid/raster_file.h"
#include "outline/scanline.h"

namespace zp {
namespace {

int CPL_STDCALL onProgress(double share, const char*, void* data) {
  const auto& progress = *static_cast<const Progress*>(data);
  if (progress.cancelled()) return 0;
  progress.at(share);
  return 1;
}

/// Sum of the areas of the pixels inside: exact, since edges run along the pixels.
double areaOf(const Shape& shape, const Grid& grid, const std::vector<double>& rowAreas) {
  double area = 0;
  for (const auto& s : pixelsInside(shape, grid))
    area += (s.to - s.from) * rowAreas[static_cast<size_t>(s.row)];
  return area;
}

/// Twice the signed area of a ring, in its own units.
double shoelace(const Ring& ring) {
  double sum = 0;
  for (size_t i = 0; i < ring.size(); ++i) {
    const Place &a = ring[i], &b = ring[(i + 1) % ring.size()];
    sum += (a.x - ring[0].x) * (b.y - ring[0].y) - (b.x - ring[0].x) * (a.y - ring[0].y);
  }
  return sum;
}

/// Shell less holes: rings come with the shell first.
double extentOf(const Shape& shape) {
  double area = 0;
  for (size_t i = 0; i < shape.rings.size(); ++i)
    area += (i == 0 ? 1 : -1) * std::abs(shoelace(shape.rings[i]));
  return area;
}

/// Cuts every corner at a quarter of its edges, round by round; the new area over the old.
double smooth(Shape& shape, int rounds) {
  const double before = extentOf(shape);
  for (auto& ring : shape.rings)
    for (int r = 0; r < rounds; ++r) {
      Ring cut;
      for (size_t i = 0; i < ring.size(); ++i) {
        const Place &a = ring[i], &b = ring[(i + 1) % ring.size()];
        cut.push_back({0.75 * a.x + 0.25 * b.x, 0.75 * a.y + 0.25 * b.y});
        cut.push_back({0.25 * a.x + 0.75 * b.x, 0.25 * a.y + 0.75 * b.y});
      }
      ring = std::move(cut);
    }
  return before > 0 ? extentOf(shape) / before : 1;
}

}  // namespace

Layer classPolygons(const std::filesystem::path& map, const std::map<int, std::string>& keep,
                    const Progress& progress, const PolygonOptions& options) {
  const RasterFile file(map);
  if (file.grid().crs.empty())
    throw Error(
        "“{}” has no reference system, so its polygons would lie nowhere; give "
        "it one first.",
        map.string());
  const auto rowAreas = pixelAreas(file.grid());
  GdalMessages messages;
  std::unique_ptr<GDALDataset> raster(
      static_cast<GDALDataset*>(GDALOpen(map.c_str(), GA_ReadOnly)));
  std::unique_ptr<GDALDataset> memory(
      GetGDALDriverManager()->GetDriverByName("Memory")->Create("", 0, 0, 0, GDT_Unknown, nullptr));
  OGRLayer* polygons = memory->CreateLayer("polygons", nullptr, wkbPolygon, nullptr);
  OGRFieldDefn code("code", OFTInteger);
  polygons->CreateField(&code);
  auto* band = raster->GetRasterBand(1);
  if (GDALPolygonize(band, band->GetMaskBand(), OGRLayer::ToHandle(polygons), 0, nullptr,
                     &onProgress, const_cast<Progress*>(&progress)) != CE_None) {
    progress.check();
    throw Error("The polygons could not be made ({}).", messages.last());
  }
  Layer out;
  out.name = "classes";
  out.crs = file.grid().crs;
  out.table.columns = {"code", "class", "area_m2"};
  for (auto& feature : polygons) {
    const auto wanted = keep.find(feature->GetFieldAsInteger(0));
    if (wanted == keep.end()) continue;
    Shape shape;
    for (const auto* ring : feature->GetGeometryRef()->toPolygon()) {
      Ring places;
      for (int i = 0; i + 1 < ring->getNumPoints(); ++i)
        places.push_back({ring->getX(i), ring->getY(i)});
      shape.rings.push_back(std::move(places));
    }
    double area = areaOf(shape, file.grid(), rowAreas);
    if (area < options.smallest) continue;
    if (options.smoothing > 0) area *= smooth(shape, std::min(5, options.smoothing));
    out.table.rows.push_back({std::to_string(wanted->first), wanted->second, shortest(area)});
    out.shapes.push_back(std::move(shape));
  }
  return out;
}

}  // namespace zp
