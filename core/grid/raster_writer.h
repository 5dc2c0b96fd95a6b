#pragma once
#include <array>
#include <filesystem>
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "grid/dataset.h"
#include "grid/raster_file.h"

namespace zp {

/// What we write where there is no value.
inline constexpr float kNoDataOut = -9999.0f;

struct RasterSpec {
  Grid grid;
  NumberType type = NumberType::Float32;
  std::optional<double> nodata;
  std::vector<BandFacts> bands;  // names, scale, offset, unit, metadata, categories, colours
  std::map<std::string, std::string> metadata;
};

/// Writes a tiled, compressed GeoTIFF at a temporary place (see Outputs). A write that fails (disk
/// full) throws; `finish` flushes, opens the file again and reads its last pixel back.
class RasterWriter {
 public:
  RasterWriter(const std::filesystem::path& temporary, RasterSpec spec);
  ~RasterWriter();
  RasterWriter(const RasterWriter&) = delete;
  RasterWriter& operator=(const RasterWriter&) = delete;

  /// NaN is written as the no-data value, and a real number that equals it as its neighbour, so
  /// that it is read back as a value.
  void write(int band, Window window, std::vector<float>& values);
  void writeCodes(int band, Window window, const std::vector<uint16_t>& codes);
  void finish();

 private:
  void rawWrite(int band, Window w, void* data, int gdalType);

  std::filesystem::path path_;
  RasterSpec spec_;
  Dataset dataset_;
};

/// Half, quarter… size copies inside the file, for quick looking. `classes`: nearest pixels,
/// else averages.
void addOverviews(const std::filesystem::path& raster, bool classes);

}  // namespace zp
