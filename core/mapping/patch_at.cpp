#include "mapping/patch_at.h"

#include <cmath>

#include "base/error.h"
#include "grid/flood_fill.h"
#include "legend/class_map.h"
#include "outline/cut.h"

namespace zp {
namespace {

constexpr int kAround = 1024;  // pixels on each side

/// The pixels that are set, run by run.
std::vector<Span> spansOf(const std::vector<bool>& set, Window w) {
  std::vector<Span> spans;
  size_t i = 0;
  for (int y = 0; y < w.height; ++y)
    for (int x = 0; x < w.width; ++x, ++i) {
      if (!set[i]) continue;
      if (x > 0 && set[i - 1])
        ++spans.back().to;
      else
        spans.push_back({w.y + y, w.x + x, w.x + x + 1});
    }
  return spans;
}

/// Whether it goes on beyond the square.
bool reachesOut(const std::vector<Span>& spans, Window w, const Grid& grid) {
  for (const auto& s : spans)
    if ((s.row == w.y && w.y > 0) || (s.row + 1 == w.y + w.height && s.row + 1 < grid.height) ||
        (s.from == w.x && w.x > 0) || (s.to == w.x + w.width && s.to < grid.width))
      return true;
  return false;
}

}  // namespace

Shape patchAt(const std::filesystem::path& map, Place place) {
  const RasterFile file(map);
  const int band = classBand(file);
  const Grid& grid = file.grid();
  const Place at = grid.toPixel(place);
  const double column = std::floor(at.x), row = std::floor(at.y);
  if (!(column >= 0 && row >= 0 && column < grid.width && row < grid.height))
    throw Error("There is no pixel of the map; click on it.");
  const int x = static_cast<int>(column), y = static_cast<int>(row);
  const int left = std::max(0, x - kAround), top = std::max(0, y - kAround);
  const Window w{left, top, std::min(grid.width, x + kAround) - left,
                 std::min(grid.height, y + kAround) - top};
  std::vector<uint16_t> codes(w.pixels());
  file.readCodes(band, w, codes.data());
  const auto width = static_cast<size_t>(w.width);
  const uint16_t code = codes[static_cast<size_t>(y - top) * width + static_cast<size_t>(x - left)];
  if (code == 0) throw Error("The map has no class there; click on a patch.");
  std::vector<bool> same(codes.size());
  for (size_t i = 0; i < codes.size(); ++i) same[i] = codes[i] == code;
  const auto spans = spansOf(floodFill(same, w.width, w.height, {{x - left, y - top}}), w);
  if (reachesOut(spans, w, grid))
    throw Error("This patch is larger than {} pixels across; draw an area instead.", kAround);
  return outlineOf(spans, grid);
}

}  // namespace zp
