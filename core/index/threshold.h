#pragma once
#include <filesystem>
#include <vector>

#include "base/progress.h"
#include "legend/legend.h"

namespace zp {

/// Error when the thresholds do not rise, or the legend does not have one class more than there
/// are.
void requireRising(const std::vector<double>& thresholds, const Legend& legend);

/// Cuts one band of a raster into classes at rising thresholds and writes a class map to
/// `temporary`. Class i + 1 lies at or above thresholds[i]; codes come from `legend`, in order of
/// its classes, which number one more than the thresholds. Values are compared in the file's own
/// number type. Error: thresholds not rising, a legend of another length.
void thresholdToClasses(const std::filesystem::path& raster, int band,
                        const std::vector<double>& thresholds, const Legend& legend,
                        const std::filesystem::path& temporary,
                        const Progress& progress = Progress());

}  // namespace zp
