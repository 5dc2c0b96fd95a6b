#pragma once
#include <filesystem>
#include <map>
#include <string>

#include "base/progress.h"
#include "outline/layer.h"

namespace zp {

/// Polygons along the pixel edges of a class map (connected by sides, not corners), with fields
/// `code`, `class` and `area_m2`. Only the classes in `keep` (code → name).
/// Error without a reference system.
Layer classPolygons(const std::filesystem::path& map, const std::map<int, std::string>& keep,
                    const Progress& progress);

}  // namespace zp
