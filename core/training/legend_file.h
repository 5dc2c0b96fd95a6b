#pragma once
#include <filesystem>

#include "legend/legend.h"

namespace zp {

// Legends as JSON (zany-patch-legend) or, by the ending .csv, as a table with the columns code,
// name, colour, description and subclasses (several parted by ;). Only the first two are needed.

/// Error: not such, a code twice, a class without a name.
Legend readLegendFile(const std::filesystem::path& file);
/// To `temporary`, as the ending of `target` says.
void writeLegendFile(const std::filesystem::path& temporary, const std::filesystem::path& target,
                     const Legend& legend);

}  // namespace zp
