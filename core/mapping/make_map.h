#pragma once
#include <filesystem>

#include "base/progress.h"
#include "feature/feature_reader.h"
#include "index/statistics.h"
#include "legend/legend.h"
#include "mapping/method.h"

namespace zp {

/// Gives features their codes, block by block, to a class map at `temporary` with the legend's
/// colours and names. `kept`: a map whose classes that count stay as they are.
void makeMap(const FeatureReader& reader, const PixelCoder& coder, const Legend& legend,
             const std::filesystem::path& temporary, const Progress& progress = Progress(),
             const TrustedMap* kept = nullptr);

/// What speaks for the class that each pixel is given (Classifier::support), 0…1, to a Float32
/// raster at `temporary`; no data (−1) where it is given none.
Statistics makeConfidence(const FeatureReader& reader, const Classifier& classifier,
                          const std::filesystem::path& temporary,
                          const Progress& progress = Progress());

}  // namespace zp
