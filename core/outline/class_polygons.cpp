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

}  // namespace

Layer classPolygons(const std::filesystem::path& map, const std::map<int, std::string>& keep,
                    const Progress& progress) {
  const RasterFile file(map);
  if (file.grid().crs.empty())
    throw Error(
        fmt::format("“{}” has no reference system, so its polygons would lie nowhere; give "
                    "it one first.",
                    map.string()));
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
    throw Error(fmt::format("The polygons could not be made ({}).", messages.last()));
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
    out.table.rows.push_back({std::to_string(wanted->first), wanted->second,
                              shortest(areaOf(shape, file.grid(), rowAreas))});
    out.shapes.push_back(std::move(shape));
  }
  return out;
}

}  // namespace zp
