#include "mapping/runs.h"

#include "base/error.h"

namespace zp {
namespace {

/// Calls for the column where each run begins, row by row, with its class.
template <class Visit>
void eachStart(const RasterFile& map, const Progress& progress, Visit visit) {
  const int width = map.grid().width, height = map.grid().height;
  const int rows = std::max(1, map.blockHeight());
  std::vector<uint16_t> codes;
  for (int y = 0; y < height; y += rows) {
    const Window w{0, y, width, std::min(rows, height - y)};
    codes.resize(w.pixels());
    map.readCodes(1, w, codes.data());
    for (int r = 0; r < w.height; ++r) {
      const uint16_t* line = codes.data() + static_cast<std::ptrdiff_t>(r) * width;
      for (int x = 0; x < width; ++x)
        if (x == 0 || line[x] != line[x - 1]) visit(x, y + r, line[x]);
    }
    progress.at(static_cast<double>(y + w.height) / height);
  }
}

}  // namespace

// Read twice: codes that grow as they come would need twice the memory.
Runs::Runs(const RasterFile& map, const Progress& progress)
    : width_(map.grid().width),
      height_(map.grid().height),
      starts_(map.grid().pixels() / 64 + 1),
      before_(starts_.size()) {
  if (map.grid().pixels() >= INT32_MAX)
    throw Error("“{}” has more pixels than patches can be told apart in; cut it first.",
                map.path().filename().string());
  const auto begin = [&](size_t at) { starts_[at / 64] |= uint64_t{1} << (at % 64); };
  eachStart(map, progress.part(0, 0.5), [&](int x, int y, uint16_t) { begin(positionOf(x, y)); });
  begin(map.grid().pixels());
  for (size_t w = 0; w < starts_.size(); ++w) {
    before_[w] = static_cast<uint32_t>(count_);
    count_ += static_cast<size_t>(std::popcount(starts_[w]));
  }
  --count_;  // the one beyond the last pixel
  codes.reserve(count_);
  eachStart(map, progress.part(0.5, 1), [&](int, int, uint16_t code) { codes.push_back(code); });
}

}  // namespace zp
