#include "legend/gather_maps.h"

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "base/nan.h"
#include "grid/block_pipeline.h"
#include "grid/crs.h"
#include "grid/raster_writer.h"
#include "legend/class_map.h"

namespace zp {
namespace {

constexpr double kLargest = 0x1p31;  // pixels
constexpr int kBlock = 256;
constexpr size_t kWindow = 1'000'000;  // pixels of all bands

/// One of the maps, and where its first pixel lies on the lattice of the first map.
struct Piece {
  std::filesystem::path file;
  Window at;
};

/// How far a grid is moved against another, in whole pixels; Error when they are no one lattice.
Window placeOn(const Grid& first, const Grid& grid, const std::filesystem::path& file) {
  const auto refuse = [&](const char* why) {
    throw Error(
        "“{}” {} than the first map; make both on one grid, such as the delivery grid of a study.",
        file.string(), why);
  };
  if (!first.georeferenced || !grid.georeferenced)
    throw Error("“{}” does not say where it lies, so it has no place among others.", file.string());
  if (!crsSame(first.crs, grid.crs)) refuse("is in another reference system");
  const double pixel = std::max(first.pixelWidth(), first.pixelHeight());
  for (const int i : {1, 2, 4, 5})
    if (std::abs(first.transform[static_cast<size_t>(i)] - grid.transform[static_cast<size_t>(i)]) >
        1e-6 * pixel)
      refuse("has other pixels");
  const Place corner = first.toPixel(grid.toMap(0, 0));
  const double x = std::round(corner.x), y = std::round(corner.y);
  if (std::abs(corner.x - x) > 1e-3 || std::abs(corner.y - y) > 1e-3)
    refuse("lies between other pixels");
  if (std::abs(x) > kLargest || std::abs(y) > kLargest) refuse("lies too far away to be one");
  return {static_cast<int>(x), static_cast<int>(y), grid.width, grid.height};
}

/// The grid over all pieces, whose places become those on it.
Grid gridOver(const Grid& first, std::vector<Piece>& pieces) {
  double left = 0, top = 0, right = 0, bottom = 0;
  for (const auto& p : pieces) {
    left = std::min<double>(left, p.at.x), top = std::min<double>(top, p.at.y);
    right = std::max(right, static_cast<double>(p.at.x) + p.at.width);
    bottom = std::max(bottom, static_cast<double>(p.at.y) + p.at.height);
  }
  if ((right - left) * (bottom - top) > kLargest)
    throw Error("The maps lie too far apart to be one; choose adjoining ones.");
  Grid grid = first;
  const Place corner = first.toMap(left, top);
  grid.transform[0] = corner.x, grid.transform[3] = corner.y;
  grid.width = static_cast<int>(right - left), grid.height = static_cast<int>(bottom - top);
  for (auto& p : pieces) p.at.x -= static_cast<int>(left), p.at.y -= static_cast<int>(top);
  return grid;
}

void addClasses(Legend& all, const Legend& of, const std::filesystem::path& file) {
  for (const auto& c : of.classes)
    if (const auto* known = all.find(c.code); known != nullptr && known->name != c.name)
      throw Error(
          "Code {} is “{}” in “{}” and “{}” in one before; bring them in with one legend first.",
          c.code, c.name, file.string(), known->name);
  all.addMissing(of);
}

Window common(const Window& a, const Window& b) {
  const int left = std::max(a.x, b.x), top = std::max(a.y, b.y);
  return {left, top, std::min(a.x + a.width, b.x + b.width) - left,
          std::min(a.y + a.height, b.y + b.height) - top};
}

struct Block {
  Window window;
  std::vector<std::vector<float>> bands;
  std::vector<float> part;
};

/// The first value at every pixel of a window.
void fill(const std::vector<Piece>& pieces, const Window& w, size_t bands, Block& block) {
  block.window = w;
  block.bands.resize(bands);
  for (auto& b : block.bands) b.assign(w.pixels(), kNan);
  for (const auto& p : pieces) {
    const Window c = common(w, p.at);
    if (c.width <= 0 || c.height <= 0) continue;
    const RasterFile raster(p.file);
    block.part.resize(c.pixels());
    for (size_t b = 0; b < bands; ++b) {
      raster.read(static_cast<int>(b) + 1, {c.x - p.at.x, c.y - p.at.y, c.width, c.height},
                  block.part.data());
      const float* from = block.part.data();
      for (int row = 0; row < c.height; ++row) {
        float* to = block.bands[b].data() +
                    static_cast<size_t>(c.y - w.y + row) * static_cast<size_t>(w.width) +
                    (c.x - w.x);
        for (int i = 0; i < c.width; ++i, ++from, ++to)
          if (std::isnan(*to)) *to = *from;
      }
    }
  }
}

/// `bytes`: every code fits a byte, also one that no legend tells of.
RasterSpec specOf(const RasterFile& first, const Grid& grid, const Legend& legend, bool bytes) {
  RasterSpec spec;
  if (!legend.classes.empty()) {
    spec = classMapSpec(grid, legend, first.facts(1).name);
    if (!bytes) spec.type = NumberType::UInt16;
    return spec;
  }
  spec.grid = grid;
  spec.nodata = kNoDataOut;
  for (int b = 1; b <= first.bands(); ++b) {
    BandFacts facts;
    facts.name = first.facts(b).name, facts.unit = first.facts(b).unit;
    facts.metadata = first.facts(b).metadata;
    spec.bands.push_back(std::move(facts));
  }
  spec.metadata = first.metadata();
  return spec;
}

void writeBlock(RasterWriter& writer, Block& block, bool classes) {
  if (!classes) {
    for (size_t b = 0; b < block.bands.size(); ++b)
      writer.write(static_cast<int>(b) + 1, block.window, block.bands[b]);
    return;
  }
  std::vector<uint16_t> codes(block.window.pixels());
  std::transform(block.bands[0].begin(), block.bands[0].end(), codes.begin(),
                 [](float v) { return static_cast<uint16_t>(codeOf(v)); });
  writer.writeCodes(1, block.window, codes);
}

}  // namespace

GatheredMaps gatherMaps(const std::vector<std::filesystem::path>& files,
                        const std::filesystem::path& temporary, const Progress& progress) {
  const RasterFile first(files.at(0));
  std::vector<Piece> pieces;
  GatheredMaps made;
  bool bytes = true;
  for (const auto& file : files) {
    const RasterFile raster(file);
    const Legend legend = raster.bands() == 1 ? legendOf(raster) : Legend();
    if (!pieces.empty() && legend.classes.empty() != made.legend.classes.empty())
      throw Error("“{}” is {} class map, unlike those before; gather class maps by themselves.",
                  file.string(), legend.classes.empty() ? "no" : "a");
    if (raster.bands() != first.bands())
      throw Error("“{}” has {} bands and the first {}; choose rasters of as many.", file.string(),
                  raster.bands(), first.bands());
    addClasses(made.legend, legend, file);
    bytes = bytes && raster.facts(1).type == NumberType::Byte;
    pieces.push_back({file, placeOn(first.grid(), raster.grid(), file)});
  }
  made.grid = gridOver(first.grid(), pieces);
  const bool classes = !made.legend.classes.empty();
  const auto bands = static_cast<size_t>(first.bands());
  RasterWriter writer(temporary, specOf(first, made.grid, made.legend, bytes));
  forEachBlock<Block>(
      planWindows(made.grid, kBlock, kBlock, kWindow / bands), progress,
      [&](Window w, Block& block) { fill(pieces, w, bands, block); },
      [&](Block& block) { writeBlock(writer, block, classes); });
  writer.finish();
  return made;
}

}  // namespace zp
