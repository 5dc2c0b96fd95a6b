#include "support/rasters.h"

#include <gdal_priv.h>
#include <unistd.h>

#include <algorithm>
#include <cmath>

namespace zp::testing {

Folder::Folder() {
  std::string pattern = (fs::temp_directory_path() / "zp-test-XXXXXX").string();
  path_ = mkdtemp(pattern.data());
}

Folder::~Folder() {
  std::error_code ignored;
  fs::permissions(path_, fs::perms::owner_all, ignored);
  fs::remove_all(path_, ignored);
}

std::vector<std::string> Folder::namesIn(const fs::path& folder) {
  std::vector<std::string> out;
  for (const auto& e : fs::directory_iterator(folder)) out.push_back(e.path().filename().string());
  std::sort(out.begin(), out.end());
  return out;
}

Grid metricGrid(int width, int height, double pixel) {
  Grid g;
  g.width = width, g.height = height;
  g.transform = {500000, pixel, 0, 5000000, 0, -pixel};
  g.georeferenced = true;
  g.crs = crsFrom("EPSG:32627");
  return g;
}

fs::path writeFloats(const fs::path& file, const Grid& grid,
                     const std::vector<std::vector<float>>& bands,
                     const std::vector<std::string>& names, std::optional<double> nodata) {
  RasterSpec spec;
  spec.grid = grid;
  spec.nodata = nodata;
  for (size_t b = 0; b < bands.size(); ++b) {
    spec.bands.emplace_back();
    if (b < names.size()) spec.bands.back().name = names[b];
  }
  RasterWriter writer(file, spec);
  for (size_t b = 0; b < bands.size(); ++b) {
    auto copy = bands[b];
    for (float& v : copy)
      if (nodata && static_cast<double>(v) == *nodata) v = std::nanf("");
    writer.write(static_cast<int>(b) + 1, {0, 0, grid.width, grid.height}, copy);
  }
  writer.finish();
  return file;
}

fs::path writeCodes(const fs::path& file, const Grid& grid, const std::vector<uint16_t>& codes,
                    NumberType type, std::optional<double> nodata) {
  RasterSpec spec;
  spec.grid = grid;
  spec.type = type;
  spec.nodata = nodata;
  spec.bands.resize(1);
  RasterWriter writer(file, spec);
  writer.writeCodes(1, {0, 0, grid.width, grid.height}, codes);
  writer.finish();
  return file;
}

void addMaskBand(const fs::path& file, std::vector<uint8_t> mask) {
  CPLSetConfigOption("GDAL_TIFF_INTERNAL_MASK", "YES");
  auto* d = static_cast<GDALDataset*>(GDALOpen(file.c_str(), GA_Update));
  d->CreateMaskBand(GMF_PER_DATASET);
  EXPECT_EQ(d->GetRasterBand(1)->GetMaskBand()->RasterIO(
                GF_Write, 0, 0, d->GetRasterXSize(), d->GetRasterYSize(), mask.data(),
                d->GetRasterXSize(), d->GetRasterYSize(), GDT_Byte, 0, 0, nullptr),
            CE_None);
  GDALClose(d);
}

std::vector<float> readFloats(const fs::path& file, int band) {
  const RasterFile f(file);
  std::vector<float> out(f.grid().pixels());
  f.read(band, {0, 0, f.grid().width, f.grid().height}, out.data());
  return out;
}

std::vector<uint16_t> readCodes(const fs::path& file) {
  const RasterFile f(file);
  std::vector<uint16_t> out(f.grid().pixels());
  f.readCodes(1, {0, 0, f.grid().width, f.grid().height}, out.data());
  return out;
}

fs::path writeAreas(const fs::path& file, const std::vector<Area>& areas, const std::string& crs) {
  Layer layer;
  layer.name = "areas";
  layer.crs = crs.empty() ? "" : crsFrom(crs);
  layer.table.columns = {"code", "name"};
  for (const auto& a : areas) {
    layer.table.rows.push_back({std::to_string(a.code), a.name});
    layer.shapes.emplace_back();
    layer.shapes.back().rings = {a.ring};
  }
  writeLayer(file, file, layer, {FieldType::Integer, FieldType::Text});
  return file;
}

std::string textOf(const fs::path& file) {
  std::ifstream in(file, std::ios::binary);
  std::stringstream s;
  s << in.rdbuf();
  return s.str();
}

}  // namespace zp::testing
