#pragma once
#include <filesystem>

namespace zp {

/// A file of `data/` (sensors, index book, methods, ramps): from ZPATCH_DATA when set, else as
/// installed, else from the source tree. Error when it is nowhere.
std::filesystem::path dataFile(const std::string& name);

/// A user's own file of the same name (presets, indices): in ZPATCH_OWN when set, else in
/// zany-patch below the XDG configuration folder. It need not exist.
std::filesystem::path ownFile(const std::string& name);

}  // namespace zp
