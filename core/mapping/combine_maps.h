#pragma once
#include <vector>

#include "base/progress.h"
#include "index/trusted_map.h"

namespace zp {

/// Writes a class map, on the grid of the first or the one given, in which each pixel has the class
/// of the first map that has one for it that counts. So classes of one map are kept as they are,
/// and another is heard for the rest. The others are brought over by the nearest pixel. Returns how
/// many pixels each map gave. Error: fewer than two maps, no class map, maps that do not meet.
std::vector<size_t> combineMaps(const std::vector<TrustedMap>& maps,
                                const std::filesystem::path& temporary,
                                const Progress& progress = Progress(),
                                const std::optional<Grid>& grid = {});

}  // namespace zp
