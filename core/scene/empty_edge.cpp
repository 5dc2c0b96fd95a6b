#include "scene/empty_edge.h"

#include <algorithm>
#include <vector>

#include "grid/raster_writer.h"
#include "scene/band_reader.h"

namespace zp {
namespace {

/// Which pixels are stored as zero in every band.
std::vector<bool> zeroPixels(Scene scene, const Progress& progress) {
  for (auto& b : scene.bands) b.conversion = {};
  scene.emptyMask.clear();
  const BandReader reader(scene, {});
  std::vector<bool> zero(scene.grid.pixels());
  BandBlock block;
  const auto windows = reader.windows();
  for (size_t i = 0; i < windows.size(); ++i) {
    const Window w = windows[i];
    reader.read(w, block);
    for (size_t p = 0; p < w.pixels(); ++p) {
      bool all = true;
      for (size_t b = 0; b < block.bands && all; ++b) all = block.band(b)[p] == 0;
      const auto width = static_cast<size_t>(w.width);
      const size_t row = static_cast<size_t>(w.y) + p / width,
                   column = static_cast<size_t>(w.x) + p % width;
      zero[row * static_cast<size_t>(scene.grid.width) + column] = all;
    }
    progress.at(0.8 * static_cast<double>(i + 1) / static_cast<double>(windows.size()));
  }
  return zero;
}

/// Fills from the border over the zero pixels, run by run.
std::vector<bool> connectedWithBorder(const std::vector<bool>& zero, int width, int height) {
  std::vector<bool> filled(zero.size());
  std::vector<std::pair<int, int>> todo;
  const auto index = [&](int x, int y) {
    return static_cast<size_t>(y) * static_cast<size_t>(width) + static_cast<size_t>(x);
  };
  const auto open = [&](int x, int y) { return zero[index(x, y)] && !filled[index(x, y)]; };
  const auto seed = [&](int x, int y) {
    if (y >= 0 && y < height && open(x, y)) todo.emplace_back(x, y);
  };
  for (int x = 0; x < width; ++x) seed(x, 0), seed(x, height - 1);
  for (int y = 0; y < height; ++y) seed(0, y), seed(width - 1, y);
  while (!todo.empty()) {
    const auto [x, y] = todo.back();
    todo.pop_back();
    if (!open(x, y)) continue;
    int from = x, to = x;
    while (from > 0 && open(from - 1, y)) --from;
    while (to + 1 < width && open(to + 1, y)) ++to;
    for (int c = from; c <= to; ++c) filled[index(c, y)] = true;
    for (int c = from; c <= to; ++c)
      for (int r : {y - 1, y + 1}) {
        const bool first = c == from || (r >= 0 && r < height && !open(c - 1, r));
        if (first) seed(c, r);
      }
  }
  return filled;
}

}  // namespace

size_t findEmptyEdge(const Scene& scene, const std::filesystem::path& mask,
                     const Progress& progress) {
  const int width = scene.grid.width, height = scene.grid.height;
  const auto empty = connectedWithBorder(zeroPixels(scene, progress), width, height);
  RasterSpec spec;
  spec.grid = scene.grid;
  spec.type = NumberType::Byte;
  spec.bands.resize(1);
  spec.bands[0].name = "empty";
  RasterWriter writer(mask, spec);
  std::vector<uint16_t> rows;
  constexpr int kRows = 256;
  for (int y = 0; y < height; y += kRows) {
    progress.check();
    const Window w{0, y, width, std::min(kRows, height - y)};
    const size_t from = static_cast<size_t>(y) * static_cast<size_t>(width);
    rows.assign(empty.begin() + static_cast<std::ptrdiff_t>(from),
                empty.begin() + static_cast<std::ptrdiff_t>(from + w.pixels()));
    writer.writeCodes(1, w, rows);
  }
  writer.finish();
  return static_cast<size_t>(std::count(empty.begin(), empty.end(), true));
}

}  // namespace zp
