#pragma once
#include <string>
#include <vector>

#include "base/json.h"
#include "scene/scene.h"

namespace zp {

/// The lines of the features that a step names, or the bands; when it names neither, `known`, or
/// all bands of the scene where that is empty. Error: a band that the scene lacks.
std::vector<std::string> featureLines(const Json& step, const Scene& scene,
                                      const std::vector<std::string>& known = {});

}  // namespace zp
