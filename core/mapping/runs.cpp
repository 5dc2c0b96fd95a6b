#include "mapping/runs.h"

#include <algorithm>

namespace zp {

Runs runsOf(const RasterFile& map, const Progress& progress) {
  Runs runs;
  runs.width = map.grid().width;
  runs.height = map.grid().height;
  const int rows = std::max(1, map.blockHeight());
  std::vector<uint16_t> codes;
  for (int y = 0; y < runs.height; y += rows) {
    const Window w{0, y, runs.width, std::min(rows, runs.height - y)};
    codes.resize(w.pixels());
    map.readCodes(1, w, codes.data());
    for (int r = 0; r < w.height; ++r) {
      const uint16_t* line = codes.data() + static_cast<std::ptrdiff_t>(r) * runs.width;
      runs.row.push_back(runs.from.size());
      for (int32_t x = 0; x < runs.width; ++x)
        if (x == 0 || line[x] != line[x - 1]) {
          runs.from.push_back(x);
          runs.code.push_back(line[x]);
        }
    }
    progress.at(static_cast<double>(y + w.height) / runs.height);
  }
  runs.row.push_back(runs.from.size());
  return runs;
}

}  // namespace zp
