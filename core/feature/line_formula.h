#pragma once
#include <optional>
#include <string>

#include "scene/scene.h"

namespace zp {

/// What a feature's line (feature_kind.h) says, as a formula over the roles of its own scene.
/// Nothing where a formula cannot say it: of another scene, a band without a role, of neighbouring
/// pixels or of several dates, or no line at all.
std::optional<std::string> formulaOfLine(const std::string& line, const Scene& scene);

}  // namespace zp
