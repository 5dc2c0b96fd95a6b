#pragma once
#include "feature/feature_reader.h"
#include "sampling/readings.h"

namespace zp {

/// Values of features at places, in input order; NaN outside the reader's grid and where there is
/// none. Places are in `crs`; the pixel of the grid that a place lies in counts, or those around
/// it. A column a feature, called as the feature is. Blocks without places are not read, the others
/// on all cores. Error: no place, or a grid that does not say where it lies.
Readings readFeaturesAt(const std::vector<Place>& places, const std::string& crs,
                        const FeatureReader& reader, const Progress& progress = Progress(),
                        const ReadingMethod& how = {});
/// What the columns of features are called that are read by their lines (feature/feature_kind.h).
std::vector<std::string> columnsOf(const FeatureReader& reader,
                                   const std::vector<std::string>& lines);
/// The same of features by their lines (feature/feature_kind.h); the column of one of another scene
/// says of which.
Readings readFeaturesAt(const std::vector<Place>& places, const std::string& crs,
                        const Scope& scope, const std::vector<std::string>& lines,
                        const Progress& progress = Progress(), const ReadingMethod& how = {});

}  // namespace zp
