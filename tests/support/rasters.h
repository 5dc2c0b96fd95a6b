#pragma once
#include <gtest/gtest.h>

#include <filesystem>
#include <fstream>
#include <sstream>

#include "grid/crs.h"
#include "grid/raster_writer.h"
#include "outline/layer.h"
#include "scene/scene.h"

namespace zp::testing {

namespace fs = std::filesystem;

/// A folder of its own for every test, gone afterwards.
class Folder {
 public:
  Folder();
  ~Folder();
  fs::path operator/(const std::string& name) const { return path_ / name; }
  const fs::path& path() const { return path_; }
  /// Names of what is in it, sorted.
  std::vector<std::string> names() const { return namesIn(path_); }
  static std::vector<std::string> namesIn(const fs::path& folder);

 private:
  fs::path path_;
};

Grid metricGrid(int width, int height, double pixel = 10);

/// A Float32 raster of some bands, row by row.
fs::path writeFloats(const fs::path& file, const Grid& grid,
                     const std::vector<std::vector<float>>& bands,
                     const std::vector<std::string>& names = {}, std::optional<double> nodata = {});
fs::path writeCodes(const fs::path& file, const Grid& grid, const std::vector<uint16_t>& codes,
                    NumberType type = NumberType::Byte, std::optional<double> nodata = {});
/// A mask band inside the file: 0 where there is no data.
void addMaskBand(const fs::path& file, std::vector<uint8_t> mask);
std::vector<float> readFloats(const fs::path& file, int band = 1);
std::vector<uint16_t> readCodes(const fs::path& file);

/// Polygons as rings with a code and a name each.
struct Area {
  int code;
  std::string name;
  Ring ring;
};
fs::path writeAreas(const fs::path& file, const std::vector<Area>& areas,
                    const std::string& crs = "EPSG:32627");

std::string textOf(const fs::path& file);

/// The sentence of the Error that f throws; fails when it throws none.
template <class F>
std::string sentenceOf(F f) {
  try {
    f();
  } catch (const std::exception& e) {
    return e.what();
  }
  ADD_FAILURE() << "no error was thrown";
  return "";
}

}  // namespace zp::testing
