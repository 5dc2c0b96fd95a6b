#pragma once
#include <filesystem>

#include "base/progress.h"
#include "mapping/classifier.h"
#include "outline/layer.h"
#include "scene/scene.h"

namespace zp {

/// Classifies a scene, block by block, to a class map at `temporary` with the legend's colours and
/// names. With `confidence`, also a Float32 raster of the probability of each pixel's class (no
/// data −1). With `inside` (in the scene's system), only the pixels in its polygons.
void makeMap(const Scene& scene, const std::vector<size_t>& bands, const Classifier& classifier,
             const Legend& legend, const std::filesystem::path& temporary,
             const Progress& progress = Progress(), const std::filesystem::path& confidence = {},
             const Layer* inside = nullptr);

/// "1,2,5" as indices into the scene's bands, each once; all when empty. Error naming what is
/// wrong.
std::vector<size_t> bandsFromText(const std::string& text, const Scene& scene);

}  // namespace zp
