#pragma once
#include <filesystem>
#include <vector>

#include "base/progress.h"
#include "grid/grid.h"
#include "legend/legend.h"

namespace zp {

struct GatheredMaps {
  Grid grid;
  Legend legend;  // of class maps; empty of maps of a quantity
};

/// Adjoining or overlapping maps as one, written to `temporary`: all class maps (their classes
/// together, codes as they are), or all rasters of a quantity with as many bands (float32, their
/// first's names and units). Where several have a value, the first named has it. They lie on one
/// lattice: the same system and pixels, moved by whole pixels. Error: another lattice, class maps
/// among others, one code for two classes, another number of bands, a result above 2^31 pixels.
GatheredMaps gatherMaps(const std::vector<std::filesystem::path>& files,
                        const std::filesystem::path& temporary,
                        const Progress& progress = Progress());

}  // namespace zp
