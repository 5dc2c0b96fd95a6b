#include "grid/raster_writer.h"

#include <fmt/format.h>
#include <gdal_priv.h>

#include <algorithm>
#include <cmath>

#include "base/disk_space.h"
#include "base/error.h"
#include "grid/gdal_start.h"

namespace zp {
namespace {

GDALDataType gdalType(NumberType t) {
  switch (t) {
    case NumberType::Byte:
      return GDT_Byte;
    case NumberType::UInt16:
      return GDT_UInt16;
    case NumberType::Int16:
      return GDT_Int16;
    case NumberType::UInt32:
      return GDT_UInt32;
    case NumberType::Int32:
      return GDT_Int32;
    case NumberType::Float32:
      return GDT_Float32;
    case NumberType::Float64:
      return GDT_Float64;
  }
  return GDT_Float32;
}

void describeBand(GDALRasterBand& band, const BandFacts& f, const std::optional<double>& nodata) {
  if (!f.name.empty()) band.SetDescription(f.name.c_str());
  if (nodata) band.SetNoDataValue(*nodata);
  if (f.scale != 1) band.SetScale(f.scale);
  if (f.offset != 0) band.SetOffset(f.offset);
  if (!f.unit.empty()) band.SetUnitType(f.unit.c_str());
  for (const auto& [key, value] : f.metadata) band.SetMetadataItem(key.c_str(), value.c_str());
  if (!f.categories.empty()) {
    CPLStringList names;
    for (const auto& c : f.categories) names.AddString(c.c_str());
    band.SetCategoryNames(names.List());
  }
  if (!f.colours.empty()) {
    GDALColorTable table;
    for (const auto& [code, c] : f.colours) {
      const GDALColorEntry entry{static_cast<short>(c[0]), static_cast<short>(c[1]),
                                 static_cast<short>(c[2]), static_cast<short>(code == 0 ? 0 : 255)};
      table.SetColorEntry(code, &entry);
    }
    band.SetColorTable(&table);
  }
}

}  // namespace

RasterWriter::RasterWriter(const std::filesystem::path& temporary, RasterSpec spec)
    : path_(temporary), spec_(std::move(spec)) {
  startGdal();
  const bool real = spec_.type == NumberType::Float32 || spec_.type == NumberType::Float64;
  CPLStringList options;
  options.AddString("TILED=YES");
  options.AddString("BLOCKXSIZE=256");
  options.AddString("BLOCKYSIZE=256");
  options.AddString("COMPRESS=DEFLATE");
  options.AddString("ZLEVEL=1");
  options.AddString(real ? "PREDICTOR=3" : "PREDICTOR=2");
  options.AddString("INTERLEAVE=BAND");
  options.AddString("BIGTIFF=IF_SAFER");
  options.AddString("NUM_THREADS=ALL_CPUS");
  GdalMessages messages;
  GDALDriver* driver = GetGDALDriverManager()->GetDriverByName("GTiff");
  dataset_.reset(driver->Create(path_.c_str(), spec_.grid.width, spec_.grid.height,
                                static_cast<int>(spec_.bands.size()), gdalType(spec_.type),
                                options.List()));
  if (!dataset_)
    throw Error("No file can be written in “{}” ({}); choose another folder.",
                path_.parent_path().string(), messages.last());
  if (spec_.grid.georeferenced) dataset_->SetGeoTransform(spec_.grid.transform.data());
  if (!spec_.grid.crs.empty()) dataset_->SetProjection(spec_.grid.crs.c_str());
  for (const auto& [key, value] : spec_.metadata)
    dataset_->SetMetadataItem(key.c_str(), value.c_str());
  for (size_t b = 0; b < spec_.bands.size(); ++b)
    describeBand(*dataset_->GetRasterBand(static_cast<int>(b) + 1), spec_.bands[b], spec_.nodata);
}

RasterWriter::~RasterWriter() = default;

void RasterWriter::rawWrite(int band, Window w, void* data, int type) {
  GdalMessages messages;
  const CPLErr result = dataset_->GetRasterBand(band)->RasterIO(
      GF_Write, w.x, w.y, w.width, w.height, data, w.width, w.height,
      static_cast<GDALDataType>(type), 0, 0, nullptr);
  if (result != CE_None || messages.failed())
    throw Error(notWritten(Sentence("The result"), path_, messages.last()));
}

void RasterWriter::write(int band, Window w, std::vector<float>& values) {
  const auto nodata = static_cast<float>(spec_.nodata.value_or(kNoDataOut));
  const bool real = spec_.type == NumberType::Float32 || spec_.type == NumberType::Float64;
  for (float& v : values) {
    if (std::isnan(v))
      v = nodata;
    else if (real && v == nodata)
      v = std::nextafter(v, 0.0f);
  }
  rawWrite(band, w, values.data(), GDT_Float32);
}

void RasterWriter::writeCodes(int band, Window w, const std::vector<uint16_t>& codes) {
  rawWrite(band, w, const_cast<uint16_t*>(codes.data()), GDT_UInt16);
}

void RasterWriter::finish() {
  {
    GdalMessages messages;
    dataset_->FlushCache(true);
    dataset_.reset();
    if (messages.failed()) throw Error(notWritten(Sentence("The result"), path_, messages.last()));
  }
  try {
    const RasterFile check(path_);  // reads the last pixel
  } catch (const Error&) {
    throw Error("The result on the disk is not complete; free some space and try again.");
  }
}

void addOverviews(const std::filesystem::path& raster, bool classes) {
  startGdal();
  GdalMessages messages;
  const Dataset d(static_cast<GDALDataset*>(
      GDALOpenEx(raster.c_str(), GDAL_OF_RASTER | GDAL_OF_UPDATE, nullptr, nullptr, nullptr)));
  if (!d) return;
  std::vector<int> levels;
  const int longest = std::max(d->GetRasterXSize(), d->GetRasterYSize());
  for (int f = 2; longest / f >= 256; f *= 2) levels.push_back(f);
  if (levels.empty()) return;
  d->BuildOverviews(classes ? "NEAREST" : "AVERAGE", static_cast<int>(levels.size()), levels.data(),
                    0, nullptr, nullptr, nullptr);
}

}  // namespace zp
