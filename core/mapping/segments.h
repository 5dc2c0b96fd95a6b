#pragma once
#include <filesystem>

#include "base/parameter.h"
#include "feature/feature_reader.h"
#include "scene/make_scene.h"

namespace zp {

/// What segments can be told: pixels, compactness.
const std::vector<Parameter>& segmentParameters();

/// What was found.
struct Segments {
  size_t count = 0, pixels = 0;
};

/// Cuts a picture into connected segments of like pixels (mapping/superpixels.h; parts of less than
/// a quarter of the usual size go to the neighbour of the longest border) and writes them at
/// `temporary` as a scene in which all pixels of a segment are the same. Its bands: for each
/// feature the mean, with the role and wavelength of the band that it is, and the spread; "size" in
/// pixels; "compactness", 4π area ÷ perimeter² (Polsby and Popper 1991: 1 for a disc, 0.79 for a
/// square). No data where a feature is missing. `settings`: what differs from the start. Error:
/// settings that do not fit, no pixel with values.
Segments makeSegments(const Scope& scope, const FeatureReader& reader, const Json& settings,
                      const std::filesystem::path& temporary,
                      const Progress& progress = Progress());

}  // namespace zp
