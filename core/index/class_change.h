#pragma once
#include <filesystem>
#include <vector>

#include "base/progress.h"
#include "legend/class_map.h"

namespace zp {

/// One cell of a from–to table.
struct FromTo {
  int from = 0, to = 0;
  size_t pixels = 0;
  double area = 0;  // square metres; NaN without a reference system
};

/// What became of each class between two class maps. Pixels without a class in either count
/// nowhere. The later map is read on the grid of the earlier, by the nearest pixel.
struct ClassChange {
  std::vector<int> codes;  // of both maps, rising
  std::vector<std::string> names;
  std::vector<FromTo> cells;    // those that occur, by from and to
  size_t pixels = 0, left = 0;  // with a class in both; without
  const FromTo* find(int from, int to) const;
};

/// Counts, and writes to `temporary`, where it is given, a class map of what became of one class: 1
/// lost, 2 gained, 3 kept; the rest of what has a class in both is 4, neither. `code` 0: every
/// change is its own class ("saltmarsh → reedbed"), and 1 is what stayed.
/// Error: no class map, maps that cannot be brought together, a code that neither has.
ClassChange classChange(const std::filesystem::path& earlier, const std::filesystem::path& later,
                        int code, const std::filesystem::path& temporary = {},
                        const Progress& progress = Progress());

Json toJson(const ClassChange& change);

/// Over class maps of several dates, in order: how often, when first and when last a pixel was of a
/// class, each as a raster at its place (empty: not written). `times` holds 0…n (no data where no
/// date has a class); `first` and `last` are class maps whose classes are the dates.
struct HistoryFiles {
  std::filesystem::path times, first, last;
};
void classHistory(const std::vector<std::filesystem::path>& maps,
                  const std::vector<std::string>& dates, int code, const HistoryFiles& files,
                  const Progress& progress = Progress());

}  // namespace zp
