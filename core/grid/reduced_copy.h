#pragma once
#include <filesystem>

#include "base/progress.h"
#include "grid/raster_file.h"

namespace zp {

/// Whether looking at all of a raster would mean reading all of it: it is large and has no
/// overviews.
bool needsReducedCopy(const RasterFile& raster);

/// Copies of a raster at a quarter of its size, an eighth and so on, in one file of our own, for
/// looking from afar (RasterFile::lookFrom). Error: the raster cannot be read, the disk is full.
void makeReducedCopy(const std::filesystem::path& raster, const std::filesystem::path& temporary,
                     const Progress& progress = Progress());

}  // namespace zp
