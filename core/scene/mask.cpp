#include "scene/mask.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <functional>

#include "base/error.h"
#include "grid/block_pipeline.h"
#include "grid/flood_fill.h"
#include "grid/raster_writer.h"
#include "outline/scanline.h"
#include "scene/band_reader.h"

namespace zp {
namespace {

using Mask = std::vector<uint8_t>;

/// Index in the whole grid of pixel p of a window.
size_t indexIn(const Grid& grid, Window w, size_t p) {
  const auto width = static_cast<size_t>(w.width);
  return (static_cast<size_t>(w.y) + p / width) * static_cast<size_t>(grid.width) +
         static_cast<size_t>(w.x) + p % width;
}

/// Which pixels meet a condition over all bands.
std::vector<bool> where(const Scene& scene, const Progress& progress,
                        const std::function<bool(size_t band, float value)>& holds) {
  const BandReader reader(scene, {});
  std::vector<bool> all(scene.grid.pixels());
  reduceBlocks(reader, progress, [&](const BandBlock& block) {
    for (size_t p = 0; p < block.window.pixels(); ++p) {
      bool yes = true;
      for (size_t b = 0; b < block.bands && yes; ++b) yes = holds(b, block.band(b)[p]);
      all[indexIn(scene.grid, block.window, p)] = yes;
    }
  });
  return all;
}

std::vector<std::pair<int, int>> borderOf(const Grid& g) {
  std::vector<std::pair<int, int>> border;
  for (int x = 0; x < g.width; ++x) border.insert(border.end(), {{x, 0}, {x, g.height - 1}});
  for (int y = 0; y < g.height; ++y) border.insert(border.end(), {{0, y}, {g.width - 1, y}});
  return border;
}

void set(Mask& mask, const std::vector<bool>& pixels, MaskCode code) {
  for (size_t i = 0; i < mask.size(); ++i)
    if (pixels[i] && mask[i] == kUsable) mask[i] = code;
}

void setEdge(Scene scene, Mask& mask, const Progress& progress) {
  for (auto& b : scene.bands) b.conversion = {};
  const auto zero = where(scene, progress, [](size_t, float v) { return v == 0; });
  set(mask, floodFill(zero, scene.grid.width, scene.grid.height, borderOf(scene.grid)), kEmptyEdge);
}

void setFlagged(const Scene& scene, const MaskRecipe& recipe, Mask& mask,
                const Progress& progress) {
  if (scene.quality.file.empty())
    throw Error("“{}” has no quality band; choose one first.", scene.name);
  // Read as stored, as a layer of its own.
  Scene flags;
  flags.grid = scene.grid;
  flags.shift = scene.shift;
  flags.state = ValueState::ClassCodes;
  flags.bands.push_back({scene.quality.file, scene.quality.number, "quality", "", 0, {}});
  uint32_t bits = 0;
  for (int b : recipe.bits)
    if (b >= 0 && b < 24) bits |= uint32_t{1} << b;
  const auto& values = recipe.values;
  set(mask,
      where(flags, progress,
            [&](size_t, float v) {
              if (!(v >= 0)) return false;
              const auto stored = static_cast<uint32_t>(v);
              return (stored & bits) != 0 || std::find(values.begin(), values.end(),
                                                       static_cast<int>(stored)) != values.end();
            }),
      kFlagged);
}

void setDrawn(const Scene& scene, const std::vector<Shape>& shapes, Mask& mask) {
  for (const auto& shape : shapes)
    for (const auto& s : pixelsInside(shape, scene.grid))
      for (int x = s.from; x < s.to; ++x) {
        auto& m = mask[static_cast<size_t>(s.row) * static_cast<size_t>(scene.grid.width) +
                       static_cast<size_t>(x)];
        if (m == kUsable) m = kDrawn;
      }
}

void setGrown(Scene scene, const MaskRecipe::Seed& seed, Mask& mask, const Progress& progress) {
  scene.mask.clear();
  const Place at = scene.grid.toPixel(seed.place);
  const int x = static_cast<int>(std::floor(at.x)), y = static_cast<int>(std::floor(at.y));
  if (x < 0 || y < 0 || x >= scene.grid.width || y >= scene.grid.height)
    throw Error("The place to grow from lies outside the scene; click inside it.");
  std::vector<float> like;
  BandReader(scene, {}).readReduced({x, y, 1, 1}, 1, 1, like);
  if (std::any_of(like.begin(), like.end(), [](float v) { return std::isnan(v); }))
    throw Error("The place to grow from has no data; click on a pixel that has.");
  const auto near = where(scene, progress, [&](size_t b, float v) {
    return std::abs(static_cast<double>(v) - static_cast<double>(like[b])) <= seed.tolerance;
  });
  set(mask, floodFill(near, scene.grid.width, scene.grid.height, {{x, y}}), kDrawn);
}

/// Every pixel within `radius` of one that is set aside, run by run.
void widen(Mask& mask, int width, int height, int radius) {
  const Mask before = mask;
  const auto counts = [](uint8_t m) { return m == kFlagged || m == kDrawn; };
  for (int y = 0; y < height; ++y) {
    const uint8_t* row = before.data() + static_cast<size_t>(y) * static_cast<size_t>(width);
    for (int x = 0; x < width;) {
      if (!counts(row[x])) {
        ++x;
        continue;
      }
      int to = x;
      while (to < width && counts(row[to])) ++to;
      for (int dy = -radius; dy <= radius; ++dy) {
        if (y + dy < 0 || y + dy >= height) continue;
        const int half =
            static_cast<int>(std::sqrt(static_cast<double>(radius * radius - dy * dy)));
        uint8_t* out = mask.data() + static_cast<size_t>(y + dy) * static_cast<size_t>(width);
        for (int c = std::max(0, x - half); c < std::min(width, to + half); ++c)
          if (out[c] == kUsable) out[c] = kWidened;
      }
      x = to;
    }
  }
}

void writeMask(const Mask& mask, const Grid& grid, const std::filesystem::path& file,
               const Progress& progress) {
  RasterSpec spec;
  spec.grid = grid;
  spec.type = NumberType::Byte;
  spec.bands.resize(1);
  spec.bands[0].name = "mask";
  RasterWriter writer(file, spec);
  constexpr int kRows = 256;
  for (int y = 0; y < grid.height; y += kRows) {
    progress.check();
    const Window w{0, y, grid.width, std::min(kRows, grid.height - y)};
    const auto from = mask.begin() + static_cast<std::ptrdiff_t>(y) * grid.width;
    writer.writeCodes(1, w, {from, from + static_cast<std::ptrdiff_t>(w.pixels())});
  }
  writer.finish();
}

/// What is left under the mask, with the pixels that have no data anyhow.
MaskCount countUnder(Scene scene, const Mask& mask, const Progress& progress) {
  scene.mask.clear();
  MaskCount n;
  n.pixels = scene.grid.pixels();
  reduceBlocks(BandReader(scene, {}), progress, [&](const BandBlock& block) {
    for (size_t p = 0; p < block.window.pixels(); ++p) {
      bool valid = true;
      for (size_t b = 0; b < block.bands && valid; ++b) valid = !std::isnan(block.band(b)[p]);
      const uint8_t code = mask.empty() ? uint8_t{0} : mask[indexIn(scene.grid, block.window, p)];
      n.noData += valid ? 0 : 1;
      n.edge += code == kEmptyEdge ? 1 : 0;
      n.flagged += code == kFlagged ? 1 : 0;
      n.drawn += code == kDrawn ? 1 : 0;
      n.widened += code == kWidened ? 1 : 0;
      n.usable += valid && code == kUsable ? 1 : 0;
    }
  });
  return n;
}

}  // namespace

MaskCount makeMask(const Scene& scene, const MaskRecipe& recipe,
                   const std::filesystem::path& temporary, const Progress& progress) {
  if (recipe.widen < 0 || recipe.widen > kMostWidening)
    throw Error("A mask is widened by 0 to {} pixels, not {}.", kMostWidening, recipe.widen);
  Scene bare = scene;
  bare.mask.clear();
  Mask mask(scene.grid.pixels(), kUsable);
  if (recipe.edge) setEdge(bare, mask, progress.part(0, 0.3));
  if (!recipe.bits.empty() || !recipe.values.empty())
    setFlagged(bare, recipe, mask, progress.part(0.3, 0.4));
  setDrawn(bare, recipe.drawn, mask);
  for (size_t i = 0; i < recipe.grown.size(); ++i) {
    const double n = static_cast<double>(recipe.grown.size());
    setGrown(bare, recipe.grown[i], mask,
             progress.part(0.4 + 0.3 * static_cast<double>(i) / n,
                           0.4 + 0.3 * static_cast<double>(i + 1) / n));
  }
  if (recipe.widen > 0) widen(mask, scene.grid.width, scene.grid.height, recipe.widen);
  const MaskCount count = countUnder(bare, mask, progress.part(0.7, 0.95));
  writeMask(mask, scene.grid, temporary, progress);
  progress.at(1);
  return count;
}

MaskCount countUsable(const Scene& scene, const Progress& progress) {
  Mask mask;
  if (!scene.mask.empty()) {
    const RasterFile file(scene.mask);
    std::vector<uint16_t> codes(scene.grid.pixels());
    file.readCodes(1, {0, 0, scene.grid.width, scene.grid.height}, codes.data());
    mask.assign(codes.begin(), codes.end());
  }
  return countUnder(scene, mask, progress);
}

}  // namespace zp
