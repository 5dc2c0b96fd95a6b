#pragma once
#include <filesystem>
#include <map>

#include "base/progress.h"
#include "legend/class_map.h"
#include "outline/layer.h"

namespace zp {

/// Which code of ours a class made elsewhere becomes: theirs (a whole number, or the text of a
/// field) → ours. What is not named is left out.
using CodeMatch = std::map<std::string, int>;

/// The classes that occur in a raster, with the names it carries, as texts of their codes.
std::vector<std::pair<std::string, std::string>> classesIn(const std::filesystem::path& raster,
                                                           const Progress& progress = Progress());
/// Those of a field of a vector layer.
std::vector<std::pair<std::string, std::string>> classesIn(const Layer& layer,
                                                           const std::string& field);

/// Matches by name, then by code, with a legend; what matches nothing is left out.
CodeMatch suggestMatch(const std::vector<std::pair<std::string, std::string>>& theirs,
                       const Legend& legend);

/// A class map of ours from a raster of classes, on its own grid. Error: a raster that holds no
/// whole numbers, a code that the legend lacks.
void importClasses(const std::filesystem::path& raster, const CodeMatch& match,
                   const Legend& legend, const std::filesystem::path& temporary,
                   const Progress& progress = Progress());
/// From polygons, on a grid in whose system the layer is; where they overlap the later one counts.
void importClasses(const Layer& layer, const std::string& field, const CodeMatch& match,
                   const Grid& grid, const Legend& legend, const std::filesystem::path& temporary,
                   const Progress& progress = Progress());

}  // namespace zp
