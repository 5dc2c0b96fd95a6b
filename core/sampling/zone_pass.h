#pragma once
#include "sampling/zone_layers.h"
#include "sampling/zone_pixels.h"
#include "sampling/zone_statistics.h"

namespace zp {

/// What zones are asked.
struct ZoneQuestion {
  std::vector<ZoneStatistic> statistics;
  Inclusion inclusion = Inclusion::Centres;
  /// Rasters hold linear power: means and spreads are taken in it, and mean, percentiles, min and
  /// max are told in decibels. Features in decibels are asked so without it.
  bool decibels = false;
  /// Percentiles: so many values are kept at once. Of zones that hold more the largest are gone
  /// through again, two or three times (percentile_search.h).
  size_t mostKept = 1 << 21;
};

/// What is told of one layer: a column a statistic, of shares a column a class ("share_3").
struct ZoneSummary {
  std::string layer;  // called as a reading's column is
  std::vector<std::string> columns;
  std::vector<std::vector<double>> values;  // column by column, zone by zone; NaN: empty
  size_t withoutPixels = 0;  // zones that hold none of the grid's pixels, too small or outside
  size_t distinct = 0;       // different pixels behind all of them
  // Where it is one of many dates: which, and what is the same at all of them; else "".
  std::string date = {}, series = {};
  std::string source = {};  // free for the caller: what it was read from
  std::string line = {};    // of a feature (feature/feature_kind.h)
};

/// Goes through the layers once for all zones. Windows without zones are not read, the others on
/// all cores. Memory: with percentiles, the values of the zones that a row of windows meets, as
/// many as the question allows.
/// Error: more than 1024 classes to tell the shares of.
std::vector<ZoneSummary> passOver(const ZoneLayers& layers, const ZonePixels& zones,
                                  const ZoneQuestion& question,
                                  const Progress& progress = Progress());

}  // namespace zp
