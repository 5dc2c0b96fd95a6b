#include "sampling/feature_readings.h"

#include <limits>

#include "base/error.h"
#include "feature/feature_kind.h"
#include "grid/block_pipeline.h"
#include "sampling/targets.h"

namespace zp {
namespace {
constexpr int kCell = 256;  // pixels, as the files of most scenes are stored
}

Readings readFeaturesAt(const std::vector<Place>& places, const std::string& crs,
                        const FeatureReader& reader, const Progress& progress) {
  if (places.empty()) throw Error("There are no points to read at; place or choose some first.");
  const auto targets = targetsOn(reader.grid(), places, crs, kCell, kCell, "The scene");
  const auto cells = byCell(targets, reader.grid(), kCell, kCell);
  std::vector<Window> windows;
  for (const auto& cell : cells) windows.push_back(around(targets, cell.first, cell.last));
  Readings out;
  for (const auto& feature : reader.features()) {
    out.columns.push_back(feature->name());
    out.values.emplace_back(places.size(), std::numeric_limits<double>::quiet_NaN());
  }
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
          for (size_t f = 0; f < out.values.size(); ++f)
            out.values[f][targets[k].place] = static_cast<double>(block.feature(f)[p]);
        }
      });
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
                        const Progress& progress) {
  const FeatureReader reader(scope, makeFeatures(lines, scope));
  Readings readings = readFeaturesAt(places, crs, reader, progress);
  readings.columns = columnsOf(reader, lines);
  return readings;
}

}  // namespace zp
