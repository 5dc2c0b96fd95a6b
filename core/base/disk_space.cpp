#include "base/disk_space.h"

#include <fmt/format.h>

#include "base/error.h"

namespace zp {

namespace {
/// What is left is of no use below this.
constexpr std::uintmax_t kFull = std::uintmax_t{2} << 20;
constexpr std::uintmax_t kForTheStudy = std::uintmax_t{16} << 20;

std::string mebibytes(std::uintmax_t bytes) {
  return fmt::format("{:.1f} MiB", static_cast<double>(bytes) / (1 << 20));
}
}  // namespace

Sentence notWritten(const Sentence& what, const std::filesystem::path& file,
                    const std::string& detail) {
  std::error_code ec;
  const auto space = std::filesystem::space(std::filesystem::absolute(file).parent_path(), ec);
  if (!ec && space.available < kFull)
    return Sentence(
        "{} could not be written: the disk of “{}” is full; free some space and try "
        "again.",
        what, file.parent_path().string());
  return Sentence("{} could not be written ({}); free some space on the disk and try again.", what,
                  detail);
}

void requireRoom(const Sentence& what, std::uintmax_t bytes, const std::filesystem::path& folder) {
  std::error_code ec;
  const auto space = std::filesystem::space(folder, ec);
  if (!ec && space.available < bytes + kForTheStudy)
    throw Error("{} takes {} and {} are free in “{}”; free some space and try again.", what,
                mebibytes(bytes), mebibytes(space.available), folder.string());
}

}  // namespace zp
