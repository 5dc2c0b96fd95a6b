#pragma once
#include <filesystem>

#include "base/progress.h"
#include "feature/feature_reader.h"
#include "index/statistics.h"

namespace zp {

/// Computes a formula over scenes and layers, block by block, to a Float32 GeoTIFF at `temporary`
/// (no data −9999), on the scope's grid. With `inside`, only pixels whose centre lies in one of its
/// polygons (in that grid's system) get a value. Error: a name the scope lacks, an outline outside.
Statistics computeIndex(const Scope& scope, const Formula& formula, const std::string& name,
                        const std::filesystem::path& temporary, const Layer* inside = nullptr,
                        const Progress& progress = Progress());
/// Of one scene by itself.
Statistics computeIndex(const Scene& scene, const Formula& formula, const std::string& name,
                        const std::filesystem::path& temporary, const Layer* inside = nullptr,
                        const Progress& progress = Progress());

}  // namespace zp
