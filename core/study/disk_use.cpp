#include "study/disk_use.h"

namespace fs = std::filesystem;

namespace zp {

DiskUse diskUseOf(const fs::path& study, size_t most) {
  DiskUse use;
  size_t files = 0;
  std::error_code ec;
  const auto bin = (study / "bin").string() + "/";
  fs::recursive_directory_iterator at(study, fs::directory_options::skip_permission_denied, ec);
  for (; !ec && at != fs::recursive_directory_iterator(); at.increment(ec)) {
    std::error_code gone;
    if (!at->is_regular_file(gone)) continue;
    if (++files > most) {
      use.whole = false;
      break;
    }
    const auto size = at->file_size(gone);
    if (gone) continue;
    use.all += size;
    if (at->path().string().rfind(bin, 0) == 0) use.bin += size;
  }
  return use;
}

}  // namespace zp
