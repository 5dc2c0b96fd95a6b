#pragma once
#include <cstdint>
#include <filesystem>

#include "base/progress.h"

namespace haven {

/// Writes the whole demo below `folder`: pristine/ (the study to start from), study/ (a copy of it to
/// work in, unless there is one), archive/ (all scenes as a STAC catalogue), outlines/ and truth/ (for
/// tests; the application never shows it). Returns a checksum of all pixels, the same on every machine.
uint64_t writeHaven(const std::filesystem::path& folder, const zp::Progress& progress);

/// Copies the study to start from out of a demo written before, to a folder that does not exist.
void copyStudy(const std::filesystem::path& folder, const std::filesystem::path& target);

/// The demo for somebody who learns with it: archive/ and outlines/ below `folder`, and the study to
/// start from as `study`, which does not exist. It appears there once all is written.
void writeDemo(const std::filesystem::path& folder, const std::filesystem::path& study,
               const zp::Progress& progress);

}  // namespace haven
