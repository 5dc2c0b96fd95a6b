#pragma once
#include <filesystem>

#include "mapping/patches.h"

namespace zp {

/// A class map without patches of fewer than `smallest` pixels: the smallest first, each goes to
/// the patch it shares the longest border with (of equally long ones to the larger, then the lower
/// code), and counts as part of that from then on. A patch that borders on no data alone stays.
/// Written at `temporary`, with the legend of the map; how many pixels changed is returned. It
/// holds the map as runs of pixels along its rows, 6 bytes each.
/// Error: no class map.
size_t removeSmallPatches(const std::filesystem::path& map, size_t smallest,
                          PatchNeighbours neighbours, const std::filesystem::path& temporary,
                          const Progress& progress = Progress());

}  // namespace zp
