#include "mapping/make_map.h"

#include <fmt/format.h>

#include <algorithm>
#include <limits>
#include <numeric>
#include <optional>

#include "base/error.h"
#include "base/text.h"
#include "grid/block_pipeline.h"
#include "legend/class_map.h"
#include "outline/scanline.h"
#include "scene/band_reader.h"

namespace zp {
namespace {
struct MapBlock {
  BandBlock bands;
  std::vector<uint16_t> codes;
  std::vector<float> confidence;
};

/// No data outside: such pixels get no class.
void setAsideOutside(const InsideMask& mask, BandBlock& block) {
  std::vector<uint8_t> inside;
  mask.fill(block.window, inside);
  for (size_t i = 0; i < block.values.size(); ++i)
    if (inside[i % inside.size()] == 0) block.values[i] = std::numeric_limits<float>::quiet_NaN();
}

RasterSpec confidenceSpec(const Grid& grid) {
  RasterSpec spec;
  spec.grid = grid;
  spec.nodata = -1;
  spec.bands.resize(1);
  spec.bands[0].name = "confidence";
  return spec;
}
}  // namespace

void makeMap(const Scene& scene, const std::vector<size_t>& bands, const Classifier& classifier,
             const Legend& legend, const std::filesystem::path& temporary, const Progress& progress,
             const std::filesystem::path& confidence, const Layer* inside) {
  const BandReader reader(scene, bands);
  if (reader.bands() != classifier.bands())
    throw Error("The training used {} bands, but {} are chosen; choose the same.",
                classifier.bands(), reader.bands());
  RasterWriter writer(temporary, classMapSpec(scene.grid, legend, "classes"));
  std::unique_ptr<RasterWriter> second;
  if (!confidence.empty())
    second = std::make_unique<RasterWriter>(confidence, confidenceSpec(scene.grid));
  std::optional<InsideMask> mask;
  if (inside != nullptr) mask.emplace(inside->shapes, scene.grid);
  runBlocks<MapBlock>(
      reader.windows(), progress,
      [&](Window w) {
        auto b = std::make_shared<MapBlock>();
        reader.read(w, b->bands);
        if (mask) setAsideOutside(*mask, b->bands);
        return b;
      },
      [&](MapBlock& b) {
        const size_t n = b.bands.window.pixels();
        b.codes.resize(n);
        if (second) {
          b.confidence.resize(n);
          classifier.classify(b.bands.pointers(), n, b.codes.data(), b.confidence.data());
        } else {
          classifier.classify(b.bands.pointers(), n, b.codes.data());
        }
        b.bands.values = {};
      },
      [&](MapBlock& b) {
        writer.writeCodes(1, b.bands.window, b.codes);
        if (second) second->write(1, b.bands.window, b.confidence);
      });
  writer.finish();
  if (second) second->finish();
}

std::vector<size_t> bandsFromText(const std::string& text, const Scene& scene) {
  std::vector<size_t> bands(scene.bands.size());
  std::iota(bands.begin(), bands.end(), size_t{0});
  if (text.empty()) return bands;
  bands.clear();
  for (const auto& part : split(text, ',')) {
    const auto n = parseInteger(part);
    if (!n || *n < 1 || *n > static_cast<long long>(scene.bands.size()))
      throw Error("“{}” is not a band of “{}”; its bands are 1 to {}.", part, scene.name,
                  scene.bands.size());
    const auto b = static_cast<size_t>(*n - 1);
    if (std::find(bands.begin(), bands.end(), b) != bands.end())
      throw Error("Band {} is named twice; name each band once.", *n);
    bands.push_back(b);
  }
  return bands;
}

}  // namespace zp
