#pragma once
#include "scene/make_scene.h"

namespace zp {

/// How speckle is taken out of a radar scene in linear power.
struct SpeckleFilter {
  enum Kind { Lee, RefinedLee } kind = Lee;
  int window = 7;    // odd, 3…31; the refined one always takes 7
  double looks = 1;  // equivalent number of looks of the scene
};

/// Local statistics filter for multiplicative noise (Lee 1980): v + k (mean − v) … with
/// k = max(0, (var − mean² cu²) / (var (1 + cu²))), cu² = 1 / looks; statistics over the valid
/// pixels of the window. A pixel without data stays without.
void leeFilter(const float* values, int width, int height, const SpeckleFilter& filter, float* out);

/// The same with statistics over the half of a 7 x 7 window on the pixel's own side of the
/// strongest edge through it, found from the 3 x 3 means (Lee 1981).
void refinedLeeFilter(const float* values, int width, int height, const SpeckleFilter& filter,
                      float* out);

/// A filtered scene, in linear power (decibels in are brought there). Error: no radar scene, a
/// window that is even or out of range, looks not above 0.
size_t filterSpeckle(const Scene& scene, const SpeckleFilter& filter,
                     const std::filesystem::path& temporary, const Progress& progress = Progress());

/// The equivalent number of looks of an even area: mean² / variance, as the median over the blocks
/// of 16 x 16 pixels with the least relative spread (a tenth of them). NaN when there is nothing to
/// measure.
double estimateLooks(const Scene& scene, size_t band);

}  // namespace zp
