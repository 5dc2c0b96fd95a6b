#pragma once
#include "sampling/zone_layers.h"
#include "sampling/zone_percentile.h"
#include "sampling/zone_pixels.h"

namespace zp {

/// A percentile of a zone that holds more values than are kept.
struct SoughtPercentile {
  size_t layer, zone;
  ZoneTotals totals;
  double percent;
};

/// One value each, by going through the layers two or three times more (percentile_search.h), as
/// often for every 128 of them, so that memory stays below 100 MiB.
std::vector<double> findPercentiles(const ZoneLayers& layers, const ZonePixels& zones,
                                    const std::vector<SoughtPercentile>& sought,
                                    const Progress& progress = Progress());

}  // namespace zp
