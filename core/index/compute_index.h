#pragma once
#include <filesystem>

#include "base/progress.h"
#include "index/formula.h"
#include "index/statistics.h"
#include "outline/layer.h"
#include "scene/scene.h"

namespace zp {

/// Computes a formula over a scene, block by block, to a Float32 GeoTIFF at `temporary` (no data
/// −9999). With `inside`, only pixels whose centre lies in one of its polygons (in the scene's
/// system) get a value. Error: a role the scene lacks.
Statistics computeIndex(const Scene& scene, const Formula& formula, const std::string& name,
                        const std::filesystem::path& temporary, const Layer* inside = nullptr,
                        const Progress& progress = Progress());

/// The bands of a scene that the variables of a formula stand for.
std::vector<size_t> bandsOf(const Formula& formula, const Scene& scene);

}  // namespace zp
