#include "sampling/open_rasters.h"

#include <algorithm>

namespace zp {

const RasterFile& OpenRasters::at(const std::filesystem::path& path) {
  constexpr size_t kMost = 48;
  std::error_code none;
  const auto written = std::filesystem::last_write_time(path, none);
  const auto known =
      std::find_if(open_.begin(), open_.end(), [&](const Open& o) { return o.path == path; });
  if (known != open_.end() && !none && known->written == written) {
    open_.splice(open_.begin(), open_, known);
    return open_.front().file;
  }
  if (known != open_.end()) open_.erase(known);
  open_.push_front({path, written, RasterFile(path)});
  if (open_.size() > kMost) open_.pop_back();
  return open_.front().file;
}

}  // namespace zp
