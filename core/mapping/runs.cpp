#include "mapping/runs.h"

#include <algorithm>

namespace zp {

namespace {

/// Calls for the column where each run begins, row by row, with its class.
template <class Visit>
void eachRun(const RasterFile& map, const Progress& progress, Visit visit) {
  const int width = map.grid().width, height = map.grid().height;
  const int rows = std::max(1, map.blockHeight());
  std::vector<uint16_t> codes;
  for (int y = 0; y < height; y += rows) {
    const Window w{0, y, width, std::min(rows, height - y)};
    codes.resize(w.pixels());
    map.readCodes(1, w, codes.data());
    for (int r = 0; r < w.height; ++r) {
      const uint16_t* line = codes.data() + static_cast<std::ptrdiff_t>(r) * width;
      for (int32_t x = 0; x < width; ++x)
        if (x == 0 || line[x] != line[x - 1]) visit(x, line[x]);
    }
    progress.at(static_cast<double>(y + w.height) / height);
  }
}

}  // namespace

Runs runsOf(const RasterFile& map, const Progress& progress) {
  // Counted first: growing as they come they would need twice the memory.
  size_t count = 0;
  eachRun(map, progress.part(0, 0.5), [&](int32_t, uint16_t) { ++count; });
  Runs runs;
  runs.width = map.grid().width;
  runs.height = map.grid().height;
  runs.from.reserve(count);
  runs.code.reserve(count);
  eachRun(map, progress.part(0.5, 1), [&](int32_t x, uint16_t code) {
    if (x == 0) runs.row.push_back(runs.from.size());
    runs.from.push_back(x);
    runs.code.push_back(code);
  });
  runs.row.push_back(runs.from.size());
  return runs;
}

}  // namespace zp
