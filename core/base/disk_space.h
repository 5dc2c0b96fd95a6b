#pragma once
#include <cstdint>
#include <filesystem>
#include <string>

#include "base/sentence.h"

namespace zp {

/// The sentence for what could not be written ("The layer"): that the disk is full where it is, and
/// else what the library said.
Sentence notWritten(const Sentence& what, const std::filesystem::path& file,
                    const std::string& detail);

/// Before much is stored at once: Error when it does not fit beside what a study needs to be saved.
void requireRoom(const Sentence& what, std::uintmax_t bytes, const std::filesystem::path& folder);

}  // namespace zp
