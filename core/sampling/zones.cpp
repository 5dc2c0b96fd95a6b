#include "sampling/zones.h"

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/error.h"
#include "base/pool.h"
#include "feature/feature_kind.h"
#include "grid/block_size.h"
#include "grid/raster_file.h"
#include "sampling/feature_readings.h"
#include "sampling/zone_patches.h"

namespace zp {
namespace {

using Kind = ZoneStatistic::Kind;

bool isOfClasses(const ZoneStatistic& s) {
  return s.kind == Kind::Share || s.kind == Kind::Majority || s.kind == Kind::Patches;
}

void check(const Layer& polygons, const ZoneQuestion& question) {
  if (std::none_of(polygons.shapes.begin(), polygons.shapes.end(),
                   [](const Shape& s) { return !s.rings.empty(); }))
    throw Error("There are no polygons to summarise over; give a layer of polygons.");
  if (question.statistics.empty()) throw Error("Say which statistics to tell of the zones.");
  for (const auto& s : question.statistics)
    if (question.decibels && (s.kind == Kind::Sum || isOfClasses(s)))
      throw Error("“{}” means nothing in decibels; ask for it without them.", s.id);
}

void requireClasses(const RasterFile& file, int band, const ZoneQuestion& question) {
  const NumberType type = file.facts(band).type;
  if (type != NumberType::Float32 && type != NumberType::Float64) return;
  for (const auto& s : question.statistics)
    if (isOfClasses(s))
      throw Error("“{}” is asked of classes, but “{}” holds real numbers.", s.id,
                  file.path().string());
}

std::vector<int> bandsOf(const RasterFile& file, const ReadingSource& source) {
  if (source.band > file.bands())
    throw Error("“{}” has no band {}; it has {}.", source.file.string(), source.band, file.bands());
  if (source.band > 0) return {source.band};
  std::vector<int> all;
  for (int b = 1; b <= file.bands(); ++b) all.push_back(b);
  return all;
}

ZoneLayers layersOf(const ReadingSource& source, const ZoneQuestion& question,
                    std::vector<std::string>& taken) {
  auto first = std::make_unique<RasterFile>(source.file);
  const auto bands = bandsOf(*first, source);
  ZoneLayers layers{first->grid(), {}, {}, {}, {}};
  for (int b : bands) {
    requireClasses(*first, b, question);
    layers.names.push_back(columnOf(source, first->bands(), b, taken));
    layers.decibels.push_back(question.decibels);
    taken.push_back(layers.names.back());
  }
  layers.windows = planWindows(first->grid(), first->blockWidth(), first->blockHeight(),
                               kBlockBytes / sizeof(double) / bands.size());
  const auto files = std::make_shared<Pool<RasterFile>>(
      std::move(first),
      [](const RasterFile& one) { return std::make_unique<RasterFile>(one.path()); });
  layers.read = [files, bands](Window w, double* values) {
    const auto file = files->borrow();
    for (int b : bands) {
      file->readWide(b, w, file->conversion(b), values);
      values += w.pixels();
    }
  };
  return layers;
}

/// The same without patches, which are told by a pass of their own.
ZoneQuestion withoutPatches(ZoneQuestion question) {
  std::erase_if(question.statistics,
                [](const ZoneStatistic& s) { return s.kind == Kind::Patches; });
  return question;
}

/// The pixels of the zones on each grid that came up; dates of a season mostly share one.
class PixelsOnGrids {
 public:
  PixelsOnGrids(const Layer& polygons, Inclusion inclusion)
      : polygons_(polygons), inclusion_(inclusion) {}
  const ZonePixels& on(const Grid& grid) {
    if (!grid_ || !grid_->sameAs(grid)) {
      pixels_.emplace(polygons_.shapes, polygons_.crs, grid, inclusion_);
      grid_ = grid;
    }
    return *pixels_;
  }

 private:
  const Layer& polygons_;
  Inclusion inclusion_;
  std::optional<Grid> grid_;
  std::optional<ZonePixels> pixels_;
};

/// Beside the summary of each band.
void addPatches(const Layer& polygons, const ReadingSource& source, const Progress& progress,
                std::vector<ZoneSummary>& summaries) {
  const RasterFile map(source.file);
  const ZonePixels zones(polygons.shapes, polygons.crs, map.grid(), Inclusion::Centres);
  const auto bands = bandsOf(map, source);
  for (size_t b = 0; b < bands.size(); ++b) {
    ZoneSummary more = zonePatches(map, bands[b], zones, progress);
    auto& into = summaries[b];
    into.columns.insert(into.columns.end(), more.columns.begin(), more.columns.end());
    into.values.insert(into.values.end(), more.values.begin(), more.values.end());
  }
}

}  // namespace

std::vector<ZoneSummary> summarise(const Layer& polygons, const std::vector<ReadingSource>& sources,
                                   const ZoneQuestion& question, const Progress& progress) {
  check(polygons, question);
  PixelsOnGrids pixels(polygons, question.inclusion);
  std::vector<ZoneSummary> out;
  std::vector<std::string> taken;
  const auto count = static_cast<double>(sources.size());
  const ZoneQuestion asked = withoutPatches(question);
  const bool patches = asked.statistics.size() < question.statistics.size();
  for (size_t s = 0; s < sources.size(); ++s) {
    const Progress part =
        progress.part(static_cast<double>(s) / count, static_cast<double>(s + 1) / count);
    const ZoneLayers layers = layersOf(sources[s], question, taken);
    auto summaries =
        passOver(layers, pixels.on(layers.grid), asked, part.part(0, patches ? 0.5 : 1));
    for (auto& summary : summaries) summary.distinct = pixels.on(layers.grid).distinctPixels();
    if (patches) addPatches(polygons, sources[s], part.part(0.5, 1), summaries);
    out.insert(out.end(), std::make_move_iterator(summaries.begin()),
               std::make_move_iterator(summaries.end()));
  }
  return out;
}

std::vector<ZoneSummary> summarise(const Layer& polygons, const Scope& scope,
                                   const std::vector<std::string>& lines,
                                   const ZoneQuestion& question, const Progress& progress) {
  const FeatureReader reader(scope, makeFeatures(lines, scope));
  ZoneLayers layers{reader.grid(), columnsOf(reader, lines), {}, reader.windows(), {}};
  for (const auto& feature : reader.features()) layers.decibels.push_back(feature->inDecibels());
  ZoneQuestion asked = question;
  asked.decibels =
      std::find(layers.decibels.begin(), layers.decibels.end(), true) != layers.decibels.end();
  check(polygons, asked);
  for (const auto& s : question.statistics)
    if (isOfClasses(s)) throw Error("“{}” is asked of classes, which features do not have.", s.id);
  layers.read = [&](Window w, double* values) {
    FeatureBlock block;
    reader.read(w, block);
    for (size_t f = 0; f < block.features; ++f)
      for (size_t p = 0; p < w.pixels(); ++p) {
        const auto v = static_cast<double>(block.feature(f)[p]);
        *values++ = layers.decibels[f] ? std::pow(10, v / 10) : v;
      }
  };
  const ZonePixels zones(polygons.shapes, polygons.crs, reader.grid(), question.inclusion);
  auto summaries = passOver(layers, zones, asked, progress);
  for (size_t i = 0; i < summaries.size(); ++i) {
    summaries[i].distinct = zones.distinctPixels();
    summaries[i].line = lines[i];
  }
  return summaries;
}

Readings wide(const std::vector<ZoneSummary>& summaries) {
  Readings out;
  for (const auto& s : summaries)
    for (size_t c = 0; c < s.columns.size(); ++c) {
      out.columns.push_back(summaries.size() == 1 ? s.columns[c] : s.layer + "_" + s.columns[c]);
      out.values.push_back(s.values[c]);
    }
  return out;
}

Table longTable(const Table& places, const std::vector<ZoneSummary>& summaries) {
  std::vector<std::string> columns;
  for (const auto& s : summaries)
    for (const auto& column : s.columns)
      if (std::find(columns.begin(), columns.end(), column) == columns.end())
        columns.push_back(column);
  const bool dated = std::any_of(summaries.begin(), summaries.end(),
                                 [](const ZoneSummary& s) { return !s.date.empty(); });
  Table out;
  for (const auto& s : summaries) {
    Table part = places;
    if (dated) part.columns.push_back("date");
    part.columns.push_back("layer");
    for (auto& row : part.rows) {
      if (dated) row.push_back(s.date);
      row.push_back(s.series.empty() ? s.layer : s.series);
    }
    Readings readings;
    for (const auto& column : columns) {
      const auto at = std::find(s.columns.begin(), s.columns.end(), column) - s.columns.begin();
      readings.columns.push_back(column);
      readings.values.push_back(
          static_cast<size_t>(at) < s.values.size()
              ? s.values[static_cast<size_t>(at)]
              : std::vector<double>(places.rows.size(), std::numeric_limits<double>::quiet_NaN()));
    }
    appendTo(part, readings);
    out.columns = part.columns;
    out.rows.insert(out.rows.end(), part.rows.begin(), part.rows.end());
  }
  return out;
}

}  // namespace zp
