#include "sampling/readings.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <limits>
#include <optional>

#include "base/error.h"
#include "base/text.h"
#include "grid/raster_file.h"
#include "radar/decibels.h"
#include "sampling/targets.h"

namespace zp {
namespace {

std::vector<Target> targetsOn(const RasterFile& file, const Grid& grid,
                              const std::vector<Place>& places, const std::string& crs) {
  return targetsOn(grid, places, crs, file.blockWidth(), file.blockHeight(), file.path().string());
}

void readColumn(const RasterFile& file, int band, const RasterFile::Conversion& conversion,
                const std::vector<Target>& targets, std::vector<double>& out) {
  std::vector<float> values;
  std::vector<double> wideValues;
  const NumberType type = file.facts(band).type;
  const bool wide =
      type == NumberType::Float64 || type == NumberType::Int32 || type == NumberType::UInt32;
  for (const auto& [cell, first, last] :
       byCell(targets, file.grid(), file.blockWidth(), file.blockHeight())) {
    const Window w = last - first == 1 ? around(targets, first, last) : cell;
    if (wide)
      wideValues.resize(w.pixels()), file.readWide(band, w, conversion, wideValues.data());
    else
      values.resize(w.pixels()), file.read(band, w, conversion, values.data());
    for (size_t k = first; k < last; ++k) {
      const size_t p = static_cast<size_t>(targets[k].row - w.y) * static_cast<size_t>(w.width) +
                       static_cast<size_t>(targets[k].column - w.x);
      out[targets[k].place] = wide ? wideValues[p] : static_cast<double>(values[p]);
    }
  }
}

void putAt(size_t first, const std::vector<double>& values, std::vector<double>& all) {
  std::copy(values.begin(), values.end(), all.begin() + static_cast<std::ptrdiff_t>(first));
}

}  // namespace

std::string columnBeside(const std::string& wanted, const std::vector<std::string>& taken) {
  std::string name = wanted;
  for (int n = 2; std::find(taken.begin(), taken.end(), name) != taken.end(); ++n)
    name = fmt::format("{}_{}", wanted, n);
  return name;
}

ReadingSource readingSource(const std::string& name) {
  const size_t colon = name.rfind(':');
  std::error_code ec;
  if (colon != std::string::npos && !std::filesystem::exists(name, ec)) {
    const auto band = parseInteger(name.substr(colon + 1));
    if (band && *band >= 1 && *band <= 100000)
      return {name.substr(0, colon), static_cast<int>(*band), ""};
  }
  return {name, 0, ""};
}

std::string columnOf(const ReadingSource& source, int bands, int band,
                     const std::vector<std::string>& taken) {
  std::string name = source.column.empty() ? source.file.stem().string() : source.column;
  if (bands > 1) name += fmt::format("_b{}", band);
  return columnBeside(name, taken);
}

Readings readAt(const std::vector<Place>& places, const std::string& crs,
                const std::vector<ReadingSource>& sources, const Progress& progress,
                const ReadingMethod& how) {
  if (places.empty()) throw Error("There are no points to read at; place or choose some first.");
  Readings out;
  for (size_t s = 0; s < sources.size(); ++s) {
    const auto& source = sources[s];
    const RasterFile file(source.file);
    if (source.band > file.bands())
      throw Error("“{}” has no band {}; it has {}.", source.file.string(), source.band,
                  file.bands());
    const int first = source.band > 0 ? source.band : 1;
    const int last = source.band > 0 ? source.band : file.bands();
    const size_t before = out.columns.size();
    for (int b = first; b <= last; ++b) {
      out.columns.push_back(columnOf(source, file.bands(), b, out.columns));
      out.values.emplace_back(places.size(), std::numeric_limits<double>::quiet_NaN());
    }
    for (const auto& part : inParts(places, how)) {
      const PixelsAround around(file.grid(), part.places, crs, how);
      const auto targets = targetsOn(file, file.grid(), around.places(), around.crs());
      for (int b = first; b <= last; ++b) {
        progress.check();
        std::vector<double> values(around.places().size(),
                                   std::numeric_limits<double>::quiet_NaN());
        readColumn(file, b, file.conversion(b), targets, values);
        putAt(part.first, around.combined(values),
              out.values[before + static_cast<size_t>(b - first)]);
      }
    }
    for (size_t c = before; c < out.values.size(); ++c)
      out.distinct.push_back(distinctPixels(file.grid(), places, crs, out.values[c]));
    progress.at(static_cast<double>(s + 1) / static_cast<double>(sources.size()));
  }
  return out;
}

namespace {
std::vector<double> readBandFrom(const RasterFile& file, const RasterFile* mask,
                                 const std::vector<Place>& places, const std::string& crs,
                                 const Scene& scene, const SceneBand& band) {
  std::vector<double> out(places.size(), std::numeric_limits<double>::quiet_NaN());
  const Grid grid = file.grid().moved(scene.shift);
  readColumn(file, band.number, band.conversion, targetsOn(file, grid, places, crs), out);
  if (mask == nullptr) return out;
  std::vector<double> code(places.size(), 0);
  readColumn(*mask, 1, {}, targetsOn(*mask, scene.grid, places, crs), code);
  for (size_t i = 0; i < out.size(); ++i)
    if (code[i] != 0) out[i] = std::numeric_limits<double>::quiet_NaN();
  return out;
}
}  // namespace

Grid gridOfBand(const Scene& scene, size_t number) {
  return RasterFile(scene.bands.at(number).file).grid().moved(scene.shift);
}

std::vector<double> readBandAt(const std::vector<Place>& places, const std::string& crs,
                               const Scene& scene, size_t number, const ReadingMethod& how) {
  const SceneBand& band = scene.bands.at(number);
  const RasterFile file(band.file);
  std::optional<RasterFile> mask;
  if (!scene.mask.empty()) mask.emplace(scene.mask);
  std::vector<double> out(places.size());
  for (const auto& part : inParts(places, how)) {
    const PixelsAround around(file.grid().moved(scene.shift), part.places, crs, how);
    putAt(part.first,
          around.combined(readBandFrom(file, mask ? &*mask : nullptr, around.places(), around.crs(),
                                       scene, band),
                          backscatterState(scene) == ValueState::BackscatterDecibels),
          out);
  }
  return out;
}

double readBandAt(Place place, const std::string& crs, const Scene& scene, size_t number,
                  OpenRasters& open) {
  const SceneBand& band = scene.bands.at(number);
  const RasterFile* mask = scene.mask.empty() ? nullptr : &open.at(scene.mask);
  return readBandFrom(open.at(band.file), mask, {place}, crs, scene, band)[0];
}

double readAt(Place place, const std::string& crs, const std::filesystem::path& path, int band,
              OpenRasters& open) {
  const RasterFile& file = open.at(path);
  std::vector<double> out(1, std::numeric_limits<double>::quiet_NaN());
  readColumn(file, band, file.conversion(band), targetsOn(file, file.grid(), {place}, crs), out);
  return out[0];
}

void add(Readings& readings, Readings more) {
  const auto append = [](auto& to, auto& from) {
    to.insert(to.end(), std::make_move_iterator(from.begin()), std::make_move_iterator(from.end()));
  };
  append(readings.columns, more.columns);
  append(readings.values, more.values);
  append(readings.distinct, more.distinct);
}

void appendTo(Table& table, const Readings& readings, bool forPeople) {
  for (size_t c = 0; c < readings.columns.size(); ++c) {
    table.columns.push_back(columnBeside(readings.columns[c], table.columns));
    for (size_t r = 0; r < table.rows.size(); ++r)
      table.rows[r].push_back(forPeople ? readable(readings.values[c][r])
                                        : shortest(readings.values[c][r]));
  }
}

}  // namespace zp
