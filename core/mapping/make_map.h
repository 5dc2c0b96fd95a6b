#pragma once
#include <filesystem>

#include "base/progress.h"
#include "feature/feature_reader.h"
#include "legend/legend.h"
#include "mapping/method.h"

namespace zp {

/// Classifies features, block by block, to a class map at `temporary` with the legend's colours and
/// names. With `confidence`, also a Float32 raster of the probability of each pixel's class (no
/// data −1).
void makeMap(const FeatureReader& reader, const Classifier& classifier, const Legend& legend,
             const std::filesystem::path& temporary, const Progress& progress = Progress(),
             const std::filesystem::path& confidence = {});

}  // namespace zp
