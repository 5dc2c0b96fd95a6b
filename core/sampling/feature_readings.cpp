#include "sampling/feature_readings.h"

#include <limits>

#include "base/error.h"
#include "feature/feature_kind.h"
#include "grid/block_pipeline.h"
#include "sampling/targets.h"

namespace zp {
namespace {
constexpr int kCell = 256;  // pixels, as the files of most scenes are stored

/// The features of the pixels that some places lie in, one after the other.
std::vector<std::vector<double>> readPixels(const std::vector<Place>& places,
                                            const std::string& crs, const FeatureReader& reader,
                                            const Progress& progress) {
  const auto targets = targetsOn(reader.grid(), places, crs, kCell, kCell, "The scene");
  const auto cells = byCell(targets, reader.grid(), kCell, kCell);
  std::vector<Window> windows;
  for (const auto& cell : cells) windows.push_back(around(targets, cell.first, cell.last));
  std::vector<std::vector<double>> values(
      reader.features().size(),
      std::vector<double>(places.size(), std::numeric_limits<double>::quiet_NaN()));
  size_t next = 0;
  forEachBlock<FeatureBlock>(
      windows, progress, [&](Window w, FeatureBlock& block) { reader.read(w, block); },
      [&](const FeatureBlock& block) {
        const Window& w = block.window;
        const auto& cell = cells[next++];
        for (size_t k = cell.first; k < cell.last; ++k) {
          const size_t p =
              static_cast<size_t>(targets[k].row - w.y) * static_cast<size_t>(w.width) +
              static_cast<size_t>(targets[k].column - w.x);
          for (size_t f = 0; f < values.size(); ++f)
            values[f][targets[k].place] = static_cast<double>(block.feature(f)[p]);
        }
      });
  return values;
}

}  // namespace

Readings readFeaturesAt(const std::vector<Place>& places, const std::string& crs,
                        const FeatureReader& reader, const Progress& progress,
                        const ReadingMethod& how) {
  if (places.empty()) throw Error("There are no points to read at; place or choose some first.");
  Readings out;
  for (const auto& feature : reader.features()) {
    out.columns.push_back(feature->name());
    out.values.emplace_back();
  }
  const auto parts = inParts(places, how);
  const auto count = static_cast<double>(parts.size());
  for (size_t i = 0; i < parts.size(); ++i) {
    const PixelsAround pixels(reader.grid(), parts[i].places, crs, how);
    const auto at = static_cast<double>(i);
    const auto values = readPixels(pixels.places(), pixels.crs(), reader,
                                   progress.part(at / count, (at + 1) / count));
    for (size_t f = 0; f < out.values.size(); ++f) {
      const auto some = pixels.combined(values[f], reader.features()[f]->inDecibels());
      out.values[f].insert(out.values[f].end(), some.begin(), some.end());
    }
  }
  for (const auto& values : out.values)
    out.distinct.push_back(distinctPixels(reader.grid(), places, crs, values));
  return out;
}

std::vector<std::string> columnsOf(const FeatureReader& reader,
                                   const std::vector<std::string>& lines) {
  std::vector<std::string> columns;
  for (size_t i = 0; i < lines.size(); ++i) {
    const std::string of = parseFeature(lines[i]).of;
    columns.push_back(reader.features()[i]->name() + (of.empty() ? "" : " of " + of));
  }
  return columns;
}

Readings readFeaturesAt(const std::vector<Place>& places, const std::string& crs,
                        const Scope& scope, const std::vector<std::string>& lines,
                        const Progress& progress, const ReadingMethod& how) {
  const FeatureReader reader(scope, makeFeatures(lines, scope));
  Readings readings = readFeaturesAt(places, crs, reader, progress, how);
  readings.columns = columnsOf(reader, lines);
  return readings;
}

}  // namespace zp
