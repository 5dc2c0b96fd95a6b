#pragma once
#include "grid/raster_file.h"
#include "sampling/zone_pass.h"

namespace zp {

/// Of each class of a map in each zone the number of its patches ("patches_3") and their area in
/// square metres ("patch_area_3"): pixels of one class whose centres lie in the zone and that touch
/// by a side or a corner, in one pass over the map. Patches are cut at the edge of the zone. A zone
/// without a pixel of the map has empty cells. Error: a map without a reference system, of real
/// numbers, or of more than 1024 classes.
ZoneSummary zonePatches(const RasterFile& map, int band, const ZonePixels& zones,
                        const Progress& progress = Progress());

}  // namespace zp
