#pragma once
#include <filesystem>
#include <list>

#include "grid/raster_file.h"

namespace zp {

/// Raster files kept open for one place after the other. Not to be shared between threads.
class OpenRasters {
 public:
  /// Opened anew when the file was written since. Error as of RasterFile.
  const RasterFile& at(const std::filesystem::path& path);

 private:
  struct Open {
    std::filesystem::path path;
    std::filesystem::file_time_type written;
    RasterFile file;
  };
  std::list<Open> open_;  // the one asked for last is first
};

}  // namespace zp
