#include "grid/raster_file.h"

#include <fmt/format.h>
#include <gdal_priv.h>

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/cpu.h"
#include "base/error.h"
#include "base/nan.h"
#include "base/text.h"
#include "grid/gdal_start.h"
#include "grid/stored_values_kernel.h"

namespace zp {

void CloseDataset::operator()(GDALDataset* d) const {
  GdalMessages quiet;
  if (d != nullptr) GDALClose(d);
}

namespace {

NumberType numberType(GDALDataType t, const std::string& path) {
  switch (t) {
    case GDT_Byte:
      return NumberType::Byte;
    case GDT_UInt16:
      return NumberType::UInt16;
    case GDT_Int16:
      return NumberType::Int16;
    case GDT_UInt32:
      return NumberType::UInt32;
    case GDT_Int32:
      return NumberType::Int32;
    case GDT_Float32:
      return NumberType::Float32;
    case GDT_Float64:
      return NumberType::Float64;
    default:
      throw Error(
          "“{}” holds complex numbers or a number type that is not supported; "
          "convert it to whole or real numbers first.",
          path);
  }
}

bool fitsFloat(NumberType t) {
  return t == NumberType::Byte || t == NumberType::UInt16 || t == NumberType::Int16 ||
         t == NumberType::Float32;
}

BandFacts factsOf(GDALRasterBand& band, int number, const std::string& path) {
  BandFacts f;
  f.name = asUtf8(band.GetDescription());
  if (f.name.empty()) f.name = fmt::format("band {}", number);
  f.type = numberType(band.GetRasterDataType(), path);
  int has = 0;
  const double nodata = band.GetNoDataValue(&has);
  if (has != 0) f.nodata = nodata;
  const double scale = band.GetScale(&has);
  if (has != 0 && scale != 0 && std::isfinite(scale)) f.scale = scale;
  const double offset = band.GetOffset(&has);
  if (has != 0 && std::isfinite(offset)) f.offset = offset;
  if (const char* unit = band.GetUnitType()) f.unit = asUtf8(unit);
  f.alpha = band.GetColorInterpretation() == GCI_AlphaBand;
  f.masked = !f.alpha && (band.GetMaskFlags() & (GMF_PER_DATASET | GMF_ALPHA)) != 0;
  char** items = band.GetMetadata();
  for (int i = 0; items != nullptr && items[i] != nullptr; ++i) {
    char* key = nullptr;
    const char* value = CPLParseNameValue(items[i], &key);
    if (key != nullptr && value != nullptr) f.metadata[asUtf8(key)] = asUtf8(value);
    CPLFree(key);
  }
  char** names = band.GetCategoryNames();
  for (int i = 0; names != nullptr && names[i] != nullptr; ++i)
    f.categories.push_back(asUtf8(names[i]));
  if (const GDALColorTable* table = band.GetColorTable()) {
    for (int i = 0; i < table->GetColorEntryCount(); ++i) {
      const GDALColorEntry* c = table->GetColorEntry(i);
      f.colours[i] = {c->c1, c->c2, c->c3};
    }
  }
  return f;
}

/// A file, and which of its variables.
struct Variable {
  std::string file, name;
};

Variable variableOf(const std::string& path) {
  const size_t at = path.rfind(".nc:");
  if (at == std::string::npos || std::filesystem::exists(path)) return {path, ""};
  return {path.substr(0, at + 3), path.substr(at + 4)};
}

/// Error: missing, or not a raster.
Dataset openRaster(const std::string& path) {
  startGdal();
  requireLocalPath(path);
  const Variable v = variableOf(path);
  std::error_code ec;
  if (!std::filesystem::exists(v.file, ec))
    throw Error("“{}” does not exist; check the name.", v.file);
  requirePlainFile(v.file);
  const bool plain = (v.file + v.name).find('"') == std::string::npos;
  const std::string name = v.name.empty() ? path : fmt::format("NETCDF:\"{}\":{}", v.file, v.name);
  Dataset dataset;
  if (plain)
    dataset.reset(static_cast<GDALDataset*>(
        GDALOpenEx(name.c_str(), GDAL_OF_RASTER | GDAL_OF_READONLY, nullptr, nullptr, nullptr)));
  if (!dataset)
    throw Error(
        "“{}” is not a raster that can be read; choose a GeoTIFF or another "
        "open raster format.",
        path);
  return dataset;
}

constexpr double kLargestBlock = 1 << 30;  // bytes

/// A block is read as one, with all its bands where they lie pixel by pixel; a few hundred bytes
/// can claim one that takes all memory.
void requireBlock(GDALDataset& dataset, int width, int height, const std::string& path) {
  const char* order = dataset.GetMetadataItem("INTERLEAVE", "IMAGE_STRUCTURE");
  const int together = order != nullptr && EQUAL(order, "PIXEL") ? dataset.GetRasterCount() : 1;
  if (static_cast<double>(width) * height * together *
          GDALGetDataTypeSizeBytes(dataset.GetRasterBand(1)->GetRasterDataType()) >
      kLargestBlock)
    throw Error(
        "“{}” is stored in blocks of {} x {} pixels and {} bands, more than can be read at once; "
        "write it again in tiles.",
        path, width, height, together);
}

}  // namespace

std::vector<std::filesystem::path> rastersIn(const std::filesystem::path& file) {
  GdalMessages messages;
  const Dataset dataset = openRaster(file.string());
  if (dataset->GetRasterCount() > 0) return {file};
  // SUBDATASET_1_NAME=NETCDF:"FILE":VARIABLE
  std::vector<std::filesystem::path> parts;
  const CSLConstList items = dataset->GetMetadata("SUBDATASETS");
  for (int i = 1;; ++i) {
    const char* item = CSLFetchNameValue(items, fmt::format("SUBDATASET_{}_NAME", i).c_str());
    if (item == nullptr) break;
    const std::string name(item);
    if (name.rfind("NETCDF:", 0) == 0)
      parts.push_back(file.string() + ":" + name.substr(name.rfind(':') + 1));
  }
  if (parts.empty()) return {file};
  return parts;
}

RasterFile::RasterFile(const std::filesystem::path& path) : path_(path) {
  GdalMessages messages;
  dataset_ = openRaster(path.string());
  if (dataset_->GetRasterCount() == 0)
    throw Error("“{}” has no bands; choose another file.", path.string());
  grid_.width = dataset_->GetRasterXSize();
  grid_.height = dataset_->GetRasterYSize();
  if (grid_.pixels() > kMostPixels)
    throw Error(
        "“{}” says it has {} x {} pixels, more than can be worked on; cut out a "
        "part first.",
        path.string(), grid_.width, grid_.height);
  grid_.georeferenced = dataset_->GetGeoTransform(grid_.transform.data()) == CE_None;
  if (!grid_.georeferenced) grid_.transform = {0, 1, 0, 0, 0, -1};
  const char* wkt = dataset_->GetProjectionRef();
  if (grid_.georeferenced && wkt != nullptr) grid_.crs = asUtf8(wkt);
  for (int b = 1; b <= dataset_->GetRasterCount(); ++b)
    facts_.push_back(factsOf(*dataset_->GetRasterBand(b), b, path.string()));
  findAlpha();
  if (const std::string variable = variableOf(path.string()).name; !variable.empty())
    for (auto& f : facts_)
      f.name = bands() == 1 ? variable : variable + f.name.substr(f.name.rfind(' '));
  dataset_->GetRasterBand(1)->GetBlockSize(&blockWidth_, &blockHeight_);
  requireBlock(*dataset_, blockWidth_, blockHeight_, path.string());
  // A file that was cut short is found out now, at its last pixel, rather than half way.
  float last = 0;
  const Window corner{grid_.width - 1, grid_.height - 1, 1, 1};
  rawRead(bands(), corner, &last, 1, 1, GDT_Float32);
}

/// The library takes alpha for a mask only in files of two and of four bands.
void RasterFile::findAlpha() {
  for (int b = 1; b <= bands() && alpha_ == 0; ++b)
    if (facts(b).alpha) alpha_ = b;
  if (alpha_ == 0) return;
  for (auto& f : facts_) {
    if (f.masked) alpha_ = 0;
    f.masked = f.masked || !f.alpha;
  }
}

RasterFile::~RasterFile() = default;
RasterFile::RasterFile(RasterFile&&) noexcept = default;
RasterFile& RasterFile::operator=(RasterFile&&) noexcept = default;

std::map<std::string, std::string> RasterFile::metadata() const {
  std::map<std::string, std::string> all;
  char** items = dataset_->GetMetadata();
  for (int i = 0; items != nullptr && items[i] != nullptr; ++i) {
    char* key = nullptr;
    const char* value = CPLParseNameValue(items[i], &key);
    if (key != nullptr && value != nullptr) all[asUtf8(key)] = asUtf8(value);
    CPLFree(key);
  }
  return all;
}

bool RasterFile::hasOverviews() const {
  return dataset_->GetRasterBand(1)->GetOverviewCount() > 0;
}

RasterFile::Conversion RasterFile::conversion(int band) const {
  const auto& f = facts(band);
  return {f.nodata, f.scale, f.offset};
}

void RasterFile::rawRead(int band, Window w, void* out, int ow, int oh, int gdalType) const {
  GdalMessages messages;
  const CPLErr result =
      dataset_->GetRasterBand(band)->RasterIO(GF_Read, w.x, w.y, w.width, w.height, out, ow, oh,
                                              static_cast<GDALDataType>(gdalType), 0, 0, nullptr);
  if (result != CE_None)
    throw Error(
        "“{}” is damaged or cut short near row {}; copy it again from its "
        "source.",
        path_.string(), w.y + w.height);
}

template <class T>
void RasterFile::setMasked(int band, Window w, int ow, int oh, T empty, T* out) const {
  if (!facts(band).masked) return;
  std::vector<float> mask(static_cast<size_t>(ow) * static_cast<size_t>(oh));
  GdalMessages messages;
  auto* from =
      alpha_ > 0 ? dataset_->GetRasterBand(alpha_) : dataset_->GetRasterBand(band)->GetMaskBand();
  const CPLErr result = from->RasterIO(GF_Read, w.x, w.y, w.width, w.height, mask.data(), ow, oh,
                                       GDT_Float32, 0, 0, nullptr);
  if (result != CE_None)
    throw Error("The mask of “{}” is damaged near row {}; copy it again from its source.",
                path_.string(), w.y + w.height);
  for (size_t i = 0; i < mask.size(); ++i)
    if (mask[i] == 0) out[i] = empty;
}

void RasterFile::read(int band, Window w, float* out, int ow, int oh) const {
  read(band, w, conversion(band), out, ow, oh);
}

bool RasterFile::lookFrom(const std::filesystem::path& reduced) {
  std::error_code ec;
  const auto of = std::filesystem::last_write_time(reduced, ec);
  if (ec || of != std::filesystem::last_write_time(path_, ec) || ec) return false;
  try {
    auto copy = std::make_shared<RasterFile>(reduced);
    const double across = static_cast<double>(grid_.width) / copy->grid_.width,
                 down = static_cast<double>(grid_.height) / copy->grid_.height;
    if (copy->bands() != bands() || std::abs(across - 4) > 0.1 || std::abs(down - 4) > 0.1)
      return false;
    reduced_ = std::move(copy);
  } catch (const Error&) {
    return false;
  }
  return true;
}

void RasterFile::readSampled(int band, Window w, const Conversion& c, float* out, int ow,
                             int oh) const {
  constexpr size_t kDecoded = 12'000'000;
  const int rowsOfBlocks = std::max(1, (w.height + blockHeight_ - 1) / blockHeight_);
  const size_t each = static_cast<size_t>(w.width) * static_cast<size_t>(blockHeight_);
  const int most = static_cast<int>(std::max<size_t>(1, kDecoded / std::max<size_t>(1, each)));
  const int step = (rowsOfBlocks + most - 1) / most;
  if (step <= 1 || reduced_ || hasOverviews()) return read(band, w, c, out, ow, oh);
  const int group = step * blockHeight_;
  for (int r = 0; r < oh; ++r) {
    const int y = static_cast<int>((r + 0.5) * w.height / oh);
    // The rows of one block, spread over those of its group.
    const int first = y / group * group, within = (y - first) / step;
    const int row = std::min(w.height - 1, first + within);
    read(band, {w.x, w.y + row, w.width, 1}, c,
         out + static_cast<size_t>(r) * static_cast<size_t>(ow), ow, 1);
  }
}

void RasterFile::read(int band, Window w, const Conversion& c, float* out, int ow, int oh) const {
  if (ow <= 0) ow = w.width, oh = w.height;
  if (reduced_ && ow * 4 <= w.width && oh * 4 <= w.height) {
    const auto part = [](int v, int n, int most) {
      return std::clamp(v / 4, 0, std::max(0, most - n));
    };
    const Grid& g = reduced_->grid_;
    const int width = std::clamp((w.width + 3) / 4, 1, g.width),
              height = std::clamp((w.height + 3) / 4, 1, g.height);
    return reduced_->read(band,
                          {part(w.x, width, g.width), part(w.y, height, g.height), width, height},
                          c, out, ow, oh);
  }
  const size_t n = static_cast<size_t>(ow) * static_cast<size_t>(oh);
  const NumberType type = facts(band).type;
  const bool plain = c.scale == 1 && c.offset == 0;
  if (fitsFloat(type)) {
    rawRead(band, w, out, ow, oh, GDT_Float32);
    const bool whole = type != NumberType::Float32;
    const float none = c.nodata ? static_cast<float>(*c.nodata) : kNan;
    if (!plain || c.nodata || !whole)
      (cpuHasV3() ? &v3::storedToValues : &baseline::storedToValues)(out, n, none, c.scale,
                                                                     c.offset);
  } else {
    std::vector<double> wide(n);
    rawRead(band, w, wide.data(), ow, oh, GDT_Float64);
    for (size_t i = 0; i < n; ++i) {
      const auto v = static_cast<float>(plain ? wide[i] : wide[i] * c.scale + c.offset);
      out[i] = (c.nodata && wide[i] == *c.nodata) || !std::isfinite(v) ? kNan : v;
    }
  }
  setMasked(band, w, ow, oh, kNan, out);
}

void RasterFile::readWide(int band, Window w, const Conversion& c, double* out) const {
  rawRead(band, w, out, w.width, w.height, GDT_Float64);
  for (size_t i = 0; i < w.pixels(); ++i) {
    const double v = c.nodata && out[i] == *c.nodata ? NAN : out[i] * c.scale + c.offset;
    out[i] = std::isfinite(v) ? v : NAN;
  }
  setMasked(band, w, w.width, w.height, static_cast<double>(NAN), out);
}

void RasterFile::readCodes(int band, Window w, uint16_t* out, int ow, int oh) const {
  if (ow <= 0) ow = w.width, oh = w.height;
  const size_t n = static_cast<size_t>(ow) * static_cast<size_t>(oh);
  const auto& f = facts(band);
  if (f.scale != 1 || f.offset != 0)
    throw Error("“{}” holds scaled values and no class codes; choose a class map.", path_.string());
  if (f.type == NumberType::Byte || f.type == NumberType::UInt16) {
    rawRead(band, w, out, ow, oh, GDT_UInt16);
    if (f.nodata && *f.nodata != 0)
      for (size_t i = 0; i < n; ++i)
        if (out[i] == *f.nodata) out[i] = 0;
    return setMasked(band, w, ow, oh, uint16_t{0}, out);
  }
  std::vector<double> wide(n);
  rawRead(band, w, wide.data(), ow, oh, GDT_Float64);
  for (size_t i = 0; i < n; ++i) {
    const double v = wide[i];
    out[i] = 0;
    if (std::isnan(v) || v == 0 || (f.nodata && v == *f.nodata)) continue;
    if (v < 1 || v > 65535 || v != std::floor(v))
      throw Error(
          "“{}” holds {}, which is no class code (a whole number from 1 to "
          "65535); choose a class map.",
          path_.string(), v);
    out[i] = static_cast<uint16_t>(v);
  }
  setMasked(band, w, ow, oh, uint16_t{0}, out);
}

}  // namespace zp
