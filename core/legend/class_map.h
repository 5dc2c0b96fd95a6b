#pragma once
#include <filesystem>
#include <vector>

#include "base/progress.h"
#include "grid/raster_writer.h"
#include "legend/legend.h"

namespace zp {

/// How a class map is written: Byte up to code 255, else UInt16; 0 is no data; colours as a colour
/// table, names as category names and as band metadata (`class_4` = "Reedbed").
RasterSpec classMapSpec(const Grid& grid, const Legend& legend, const std::string& name);

/// The classes a class map carries; empty when it carries none.
Legend legendOf(const RasterFile& map, int band = 1);

/// The band of a file that holds the classes: the one named (from 1), or its only one. Error when
/// it has several and none is named (0), or not so many.
int classBand(const RasterFile& map, int named = 0);

/// The class that a value read from a class map stands for; 0 for none.
inline int codeOf(float value) {
  return value >= 1 && value <= 65535 ? static_cast<int>(value) : 0;
}

struct ClassArea {
  int code = 0;
  std::string name;
  size_t pixels = 0;
  double area = 0;  // square metres; NaN without a reference system
};

/// Pixels and area per class, by ascending code: every class of the map's legend and of `legend`,
/// and every code that occurs. `band`: see classBand.
std::vector<ClassArea> classAreas(const std::filesystem::path& map, const Legend& legend = {},
                                  const Progress& progress = Progress(), int band = 0);

Json toJson(const std::vector<ClassArea>& areas);

}  // namespace zp
