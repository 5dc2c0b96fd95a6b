#pragma once
#include <cstdint>
#include <filesystem>
#include <vector>

#include "base/progress.h"
#include "grid/raster_file.h"

namespace zp {

/// A class map as runs of equal pixels along its rows.
struct Runs {
  int width = 0, height = 0;
  std::vector<int32_t> from;   // of each run: its first column
  std::vector<uint16_t> code;  // and its class; 0 is no data
  std::vector<size_t> row;     // of each row and beyond the last: its first run
  int32_t to(size_t run, int y) const {
    return run + 1 < row[static_cast<size_t>(y) + 1] ? from[run + 1] : width;
  }
};

Runs runsOf(const RasterFile& map, const Progress& progress = Progress());

}  // namespace zp
