#pragma once
#include "base/progress.h"
#include "feature/feature_reader.h"
#include "mapping/standard.h"

namespace zp {

/// Pixels of features without any training, feature by feature.
struct PixelSample {
  std::vector<std::string> features;        // their names
  std::vector<std::vector<float>> columns;  // one a feature, all of the same length; none is NaN
  size_t size() const { return columns.empty() ? 0 : columns[0].size(); }
};

/// Draws about as many pixels as wanted, by seed, each with the same chance and whatever the number
/// of threads; all of them when there are fewer. A pixel that lacks a feature is left out. Error:
/// no pixel has values.
PixelSample drawPixels(const FeatureReader& reader, size_t wanted, uint64_t seed,
                       const Progress& progress = Progress());

/// Of its pixels.
Standard standardOf(const PixelSample& sample);
/// Its values on that scale.
void scale(PixelSample& sample, const Standard& standard);

}  // namespace zp
