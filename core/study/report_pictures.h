#pragma once
#include "base/progress.h"
#include "grid/png.h"
#include "legend/legend.h"
#include "scene/scene.h"

namespace zp {

/// A class map as a picture of at most `most` pixels along its longer side, transparent where it
/// has no class; a class the legend does not have is grey. Error: the map cannot be read.
Pixels classPicture(const std::filesystem::path& map, const Legend& legend, int most,
                    const Progress& progress = Progress());

/// A composite of a scene around a place, each of its pixels one of the picture; darkest and
/// brightest are the outer hundredths of each band in the scene, of natural colours of all three.
/// Transparent outside the scene.
Pixels chipPicture(const Scene& scene, Place centre, const std::string& crs, int width, int height);

}  // namespace zp
