#pragma once
#include <string>
#include <vector>

#include "scene/scene.h"

namespace zp {

/// What the quality band of a mission flags, of `data/quality.json`.
struct QualityPreset {
  std::string id, title, source;
  std::vector<QualityFlag> flags;
};
const std::vector<QualityPreset>& qualityPresets();

/// Whether a flag of this name speaks against using a pixel (cloud, shadow, saturated…).
bool isFlaw(const std::string& flagName);

/// Error when the band cannot be read, is no whole-number band, or lies on another grid than the
/// scene.
void setQuality(Scene& scene, const QualityBand& quality);

}  // namespace zp
