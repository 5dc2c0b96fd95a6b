#pragma once
#include <filesystem>

#include "base/progress.h"
#include "scene/scene.h"

namespace zp {

/// Writes a Byte raster to `mask`: 1 where a pixel is zero in every band and connected, by its
/// sides, with the border of the picture through such pixels; else 0. Zeros inside stay valid.
/// Returns how many pixels are empty.
size_t findEmptyEdge(const Scene& scene, const std::filesystem::path& mask,
                     const Progress& progress);

}  // namespace zp
