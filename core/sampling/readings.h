#pragma once
#include <filesystem>
#include <string>
#include <vector>

#include "base/progress.h"
#include "base/table.h"
#include "grid/grid.h"
#include "sampling/open_rasters.h"
#include "sampling/reading_method.h"
#include "scene/scene.h"

namespace zp {

/// One raster band (or all of a raster) to read at places.
struct ReadingSource {
  std::filesystem::path file;
  int band = 0;        // 0: all bands
  std::string column;  // heading; "" takes the file's stem
};

/// "F.tif:2" or "F.tif".
ReadingSource readingSource(const std::string& name);
/// "ndvi", or "ndvi_2" and so on where that is taken.
std::string columnBeside(const std::string& wanted, const std::vector<std::string>& taken);
/// What the column of a band is called, of a raster with so many, beside those that are taken.
std::string columnOf(const ReadingSource& source, int bands, int band,
                     const std::vector<std::string>& taken);

struct Readings {
  std::vector<std::string> columns;
  std::vector<std::vector<double>> values;  // column by column; NaN: outside or no data
  /// Of each column, how many different pixels are behind its values; empty where not asked.
  std::vector<size_t> distinct = {};
};

/// Values of rasters at places, in input order. Places are in `crs` and are brought into the system
/// of each raster; the pixel a place lies in counts, or those around it (reading_method.h). Rasters
/// are read once, block by block.
/// Columns are named after the file stems (`_b2` for bands of a file with several, `_2` for a
/// second column of the same name). Class codes read as numbers.
Readings readAt(const std::vector<Place>& places, const std::string& crs,
                const std::vector<ReadingSource>& sources, const Progress& progress = Progress(),
                const ReadingMethod& how = {});

/// One value a place from a band of a scene, with its conversion, shift and mask; of a scene in
/// decibels, means are taken of power.
std::vector<double> readBandAt(const std::vector<Place>& places, const std::string& crs,
                               const Scene& scene, size_t band, const ReadingMethod& how = {});
/// The grid that a band of a scene is read on.
Grid gridOfBand(const Scene& scene, size_t band);

// The same of one place, from files that stay open.
double readBandAt(Place place, const std::string& crs, const Scene& scene, size_t band,
                  OpenRasters& open);
double readAt(Place place, const std::string& crs, const std::filesystem::path& file, int band,
              OpenRasters& open);

/// Columns beside those that are there.
void add(Readings& readings, Readings more);

/// Appends readings to a table as text, unrounded, or `forPeople` with the digits their numbers
/// carry.
void appendTo(Table& table, const Readings& readings, bool forPeople = false);

}  // namespace zp
