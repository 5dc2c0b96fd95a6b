#pragma once
#include <cstdint>
#include <filesystem>

#include "base/progress.h"

namespace haven {

/// Writes the whole demo below `folder`: study/ (the study to start from), archive/ (all scenes as
/// a STAC catalogue) and truth/ (for tests; the application never shows it). Returns a checksum of
/// all pixels, the same on every machine. Copies the study to start from out of a demo written
/// before, to a folder that does not exist.
void copyStudy(const std::filesystem::path& folder, const std::filesystem::path& target);

uint64_t writeHaven(const std::filesystem::path& folder, const zp::Progress& progress);

}  // namespace haven
