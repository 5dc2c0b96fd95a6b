#pragma once
#include "scene/scene.h"

namespace haven {

/// What a catalogue shows of a scene before it is fetched: a small picture, as PNG.
void writePreview(const zp::Scene& scene, const std::filesystem::path& file);

}  // namespace haven
