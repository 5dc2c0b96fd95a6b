#pragma once
#include <filesystem>

#include "base/progress.h"

namespace zp {

/// A class map in which each pixel has the class that most pixels of the square of `window` pixels
/// around it have, as far as it lies on the map. A tie keeps the pixel's own class where that is
/// among them, else the lowest code wins; no data neither votes nor changes. Written at
/// `temporary`, with the legend of the map; how many pixels changed is returned. Error: a window
/// that is even or not from 3 to 101, no class map.
size_t majority(const std::filesystem::path& map, int window,
                const std::filesystem::path& temporary, const Progress& progress = Progress());

}  // namespace zp
