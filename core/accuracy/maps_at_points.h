#pragma once
#include <filesystem>
#include <vector>

#include "accuracy/labelling.h"
#include "base/progress.h"

namespace zp {

/// The class that each of several maps has at each point: [map][point], 0 outside a map and where
/// it has no data. `crs`: of the points.
std::vector<std::vector<int>> classesAt(const std::vector<ValidationPoint>& points,
                                        const std::string& crs,
                                        const std::vector<std::filesystem::path>& maps,
                                        const Progress& progress = Progress());

}  // namespace zp
