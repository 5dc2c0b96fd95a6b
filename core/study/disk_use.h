#pragma once
#include <cstdint>
#include <filesystem>

namespace zp {

/// Bytes of the files below a study's folder, and of those in its bin. Files elsewhere that a study
/// only names do not count.
struct DiskUse {
  std::uintmax_t all = 0, bin = 0;
  bool whole = true;  // false: counting was given up after `most` files
};
DiskUse diskUseOf(const std::filesystem::path& study, size_t most = 20'000);

}  // namespace zp
