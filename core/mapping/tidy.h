#pragma once
#include <filesystem>

#include "base/parameter.h"
#include "base/progress.h"

namespace zp {

/// What tidying can be told: majority, smallest, neighbours.
const std::vector<Parameter>& tidyParameters();

/// A class map cleaned by the majority of a window, then of small patches (mapping/majority.h,
/// smallest_patch.h), as far as `settings` asks for each. Written at `temporary`; how many pixels
/// have another class than before is returned. Error: neither is asked for.
size_t tidy(const std::filesystem::path& map, const Json& settings,
            const std::filesystem::path& temporary, const Progress& progress = Progress());

}  // namespace zp
