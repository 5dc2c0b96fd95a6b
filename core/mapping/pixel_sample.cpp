#include "mapping/pixel_sample.h"

#include <cmath>

#include "base/error.h"
#include "base/random.h"
#include "grid/block_pipeline.h"

namespace zp {
namespace {

struct DrawnBlock : FeatureBlock {
  std::vector<std::vector<float>> drawn;
};

/// Whether all features have a value there.
bool whole(const FeatureBlock& b, size_t pixel) {
  for (size_t f = 0; f < b.features; ++f)
    if (!std::isfinite(b.feature(f)[pixel])) return false;
  return true;
}

}  // namespace

PixelSample drawPixels(const FeatureReader& reader, size_t wanted, uint64_t seed,
                       const Progress& progress) {
  PixelSample sample;
  for (const auto& f : reader.features()) sample.features.push_back(f->name());
  sample.columns.resize(sample.features.size());
  const auto across = static_cast<uint64_t>(reader.grid().width);
  const double share = static_cast<double>(wanted) / static_cast<double>(reader.grid().pixels());
  forEachBlock<DrawnBlock>(
      reader.windows(), progress,
      [&](Window w, DrawnBlock& b) {
        reader.read(w, b);
        b.drawn.assign(b.features, {});
        for (size_t p = 0; p < w.pixels(); ++p) {
          const auto width = static_cast<size_t>(w.width);
          const uint64_t number = (static_cast<uint64_t>(w.y) + p / width) * across +
                                  static_cast<uint64_t>(w.x) + p % width;
          if (share < 1 && unit(mix(seed, number)) >= share) continue;
          if (!whole(b, p)) continue;
          for (size_t f = 0; f < b.features; ++f) b.drawn[f].push_back(b.feature(f)[p]);
        }
      },
      [&](DrawnBlock& b) {
        for (size_t f = 0; f < b.features; ++f)
          sample.columns[f].insert(sample.columns[f].end(), b.drawn[f].begin(), b.drawn[f].end());
      });
  if (sample.size() == 0)
    throw Error("No pixel has a value in every feature; choose others or another place.");
  return sample;
}

Standard standardOf(const PixelSample& sample) {
  Standard s;
  for (const auto& column : sample.columns) addFeature(s, column);
  return s;
}

void scale(PixelSample& sample, const Standard& standard) {
  for (size_t f = 0; f < sample.columns.size(); ++f)
    for (float& v : sample.columns[f]) v = standard.of(v, f);
}

}  // namespace zp
