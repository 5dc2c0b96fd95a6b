#pragma once
#include "base/pool.h"
#include "grid/raster_file.h"

namespace zp {

/// A raster that many threads read at once, each through a handle of its own.
class SharedRaster : public Pool<RasterFile> {
 public:
  explicit SharedRaster(const std::filesystem::path& path)
      : Pool(std::make_unique<RasterFile>(path),
             [](const RasterFile& first) { return std::make_unique<RasterFile>(first.path()); }) {}
};

}  // namespace zp
