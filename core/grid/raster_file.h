#pragma once
#include <filesystem>
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "grid/dataset.h"
#include "grid/grid.h"

namespace zp {

enum class NumberType { Byte, UInt16, Int16, UInt32, Int32, Float32, Float64 };

/// What a file says of one of its bands. Stored × scale + offset is the value.
struct BandFacts {
  std::string name;
  NumberType type = NumberType::Float32;
  std::optional<double> nodata;
  double scale = 1, offset = 0;
  std::string unit;
  std::map<std::string, std::string> metadata;
  std::vector<std::string> categories;        // class names by code, where the file has them
  std::map<int, std::array<int, 3>> colours;  // colour table, where the file has one
  bool alpha = false;                         // it says how opaque the other bands are
  bool masked = false;                        // a mask or alpha band says where it has no data
};

/// The rasters in a file: itself, or, of a netCDF file with several variables, each as
/// FILE.nc:VARIABLE. Error: not readable.
std::vector<std::filesystem::path> rastersIn(const std::filesystem::path& file);

/// A square of 316 000 pixels a side; what says it is larger is damaged or made to harm.
inline constexpr size_t kMostPixels = 100'000'000'000;

/// A raster opened for reading. A variable of a netCDF file is named FILE.nc:VARIABLE. Values come
/// as float32 with NaN for no data (its value, or where a mask or alpha band is 0); integers up to
/// 16 bit are exact. Not to be shared between threads; open one a thread.
class RasterFile {
 public:
  /// Error (one sentence): missing, not a raster, no bands, damaged at its end.
  explicit RasterFile(const std::filesystem::path& path);
  ~RasterFile();
  RasterFile(RasterFile&&) noexcept;
  RasterFile& operator=(RasterFile&&) noexcept;

  const std::filesystem::path& path() const { return path_; }
  const Grid& grid() const { return grid_; }
  int bands() const { return static_cast<int>(facts_.size()); }
  /// Bands count from 1.
  const BandFacts& facts(int band) const { return facts_.at(static_cast<size_t>(band - 1)); }
  std::map<std::string, std::string> metadata() const;
  int blockWidth() const { return blockWidth_; }
  int blockHeight() const { return blockHeight_; }
  bool hasOverviews() const;

  /// From now on, reads at a quarter of the size or less come from a reduced copy of this raster
  /// (reduced_copy.h). False when it is none, or the raster was written since.
  bool lookFrom(const std::filesystem::path& reduced);
  bool hasReducedCopy() const { return reduced_ != nullptr; }

  /// How stored numbers become values; by default what the file says.
  struct Conversion {
    std::optional<double> nodata;
    double scale = 1, offset = 0;
  };
  Conversion conversion(int band) const;

  /// Values of a window, row by row, into `out`. With `outWidth` x `outHeight` smaller than the
  /// window, the nearest pixels (from overviews where there are some).
  void read(int band, Window window, float* out, int outWidth = 0, int outHeight = 0) const;
  void read(int band, Window window, const Conversion& conversion, float* out, int outWidth = 0,
            int outHeight = 0) const;
  /// A look at a large window without reading all of it: only some rows of blocks are read, and
  /// stand for those beside them. As `read` where that is little anyway.
  void readSampled(int band, Window window, const Conversion& conversion, float* out, int outWidth,
                   int outHeight) const;
  /// The same in double precision and full size, for number types that float32 cannot hold.
  void readWide(int band, Window window, const Conversion& conversion, double* out) const;
  /// Class codes of a window; no data as 0, codes above 65535 or below 0 as 0 too.
  void readCodes(int band, Window window, uint16_t* out, int outWidth = 0, int outHeight = 0) const;

 private:
  void rawRead(int band, Window w, void* out, int ow, int oh, int gdalType) const;
  void findAlpha();
  template <class T>
  void setMasked(int band, Window w, int ow, int oh, T empty, T* out) const;

  std::filesystem::path path_;
  Dataset dataset_;
  Grid grid_;
  std::vector<BandFacts> facts_;
  int blockWidth_ = 0, blockHeight_ = 0;
  std::shared_ptr<RasterFile> reduced_;
  int alpha_ = 0;  // the band that masks the others, where the library does not see it; 0 for none
};

}  // namespace zp
