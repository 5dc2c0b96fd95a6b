#pragma once
#include <filesystem>
#include <string>
#include <vector>

#include "base/progress.h"
#include "index/statistics.h"
#include "scene/scene.h"

namespace zp {

/// How a layer of ours differs from the same quantity made elsewhere.
struct LayerComparison {
  Statistics difference;                // ours − theirs, where both have a value
  size_t onlyOurs = 0, onlyTheirs = 0;  // pixels with a value in one alone
  double rootMeanSquare = 0, correlation = 0;
  double gain = 1, offset = 0;    // theirs ≈ gain × ours + offset, by least squares
  std::vector<Sentence> reasons;  // likely ones, most telling first
};

/// On the grid of ours; theirs is brought over. Writes the difference to `temporary` (Float32)
/// where given. Error: layers that cannot be brought together, or nowhere both with a value.
LayerComparison compareLayers(const Scene& ours, const Scene& theirs,
                              const std::filesystem::path& temporary = {},
                              const Progress& progress = Progress());

Json toJson(const LayerComparison& comparison);

}  // namespace zp
