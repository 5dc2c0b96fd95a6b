#pragma once
#include <filesystem>
#include <map>

#include "index/statistics.h"
#include "mapping/unlikeness.h"

namespace zp {

/// How much of a map is a guess.
struct UnlikeShare {
  struct Count {
    size_t pixels = 0, unlike = 0;
  };
  Statistics index;
  Count all;
  std::map<int, Count> classes;
};

/// pixels, unlike, and both of each class.
Json toJson(const UnlikeShare& share);

/// Writes the index of each pixel, block by block, to a Float32 raster at `temporary` (no data −1),
/// and counts which lie beyond the limit, by the class that a map on the same grid gives them.
UnlikeShare makeUnlikeness(const FeatureReader& reader, const Unlikeness& unlikeness,
                           const std::filesystem::path& map, const std::filesystem::path& temporary,
                           const Progress& progress = Progress());

}  // namespace zp
