#pragma once
#include "feature/feature_reader.h"
#include "sampling/readings.h"
#include "sampling/zone_pass.h"

namespace zp {

/// Statistics of zones over rasters, each in its own grid and system (zone_pass.h). Layers are
/// called as the columns of readings are.
/// Error: no polygon, no statistic, a sum of power in decibels, shares or a majority of a raster of
/// real numbers or of more than 1024 classes, no reference system, a band that is not there.
std::vector<ZoneSummary> summarise(const Layer& polygons, const std::vector<ReadingSource>& sources,
                                   const ZoneQuestion& question,
                                   const Progress& progress = Progress());
/// The same over features by their lines (feature/feature_kind.h), all in one pass over the grid of
/// the scope. Those in decibels are averaged as power. Features have no classes to tell shares of.
std::vector<ZoneSummary> summarise(const Layer& polygons, const Scope& scope,
                                   const std::vector<std::string>& lines,
                                   const ZoneQuestion& question,
                                   const Progress& progress = Progress());

/// A column a band and statistic, "may_mean"; of one band alone "mean".
Readings wide(const std::vector<ZoneSummary>& summaries);
/// A row a place and band: the columns of the places, "date" where there are dates, "layer" (the
/// series of one that has a date) and those of the statistics.
Table longTable(const Table& places, const std::vector<ZoneSummary>& summaries);

}  // namespace zp
