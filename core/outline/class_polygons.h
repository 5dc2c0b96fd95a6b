#pragma once
#include <filesystem>
#include <map>
#include <string>

#include "base/progress.h"
#include "outline/layer.h"

namespace zp {

struct PolygonOptions {
  double smallest = 0;  // square metres; smaller polygons are left out
  int smoothing = 0;    // rounds of corner cutting (Chaikin 1974), 0…5
};

/// Polygons along the pixel edges of a class map (connected by sides, not corners), with fields
/// `code`, `class` and `area_m2`. Only the classes in `keep` (code → name). Without smoothing they
/// give the map back when they are rasterised; smoothed ones meet their neighbours but for slivers,
/// and their area is their own.
/// Error without a reference system.
Layer classPolygons(const std::filesystem::path& map, const std::map<int, std::string>& keep,
                    const Progress& progress, const PolygonOptions& options = {});

}  // namespace zp
