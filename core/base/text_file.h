#pragma once
#include <cstddef>
#include <filesystem>
#include <string>

namespace zp {

/// All of a small file. Error: it is none or cannot be read, it is larger than that.
std::string textOfFile(const std::filesystem::path& file, size_t maxBytes);

}  // namespace zp
