#pragma once
#include <filesystem>

namespace zp {

/// A file of `data/` (sensors, index book, methods, ramps): from ZPATCH_DATA when set, else as
/// installed, else from the source tree. Error when it is nowhere.
std::filesystem::path dataFile(const std::string& name);

}  // namespace zp
