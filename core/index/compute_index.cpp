#include "index/compute_index.h"

#include <fmt/format.h>

#include <limits>
#include <optional>

#include "base/error.h"
#include "grid/block_pipeline.h"
#include "grid/raster_writer.h"
#include "outline/scanline.h"
#include "scene/band_reader.h"

namespace zp {
namespace {

struct IndexBlock {
  BandBlock bands;
  std::vector<float> result;
  Statistics statistics;
};

RasterSpec indexSpec(const Scene& scene, const std::string& name, const Formula& formula) {
  RasterSpec spec;
  spec.grid = scene.grid;
  spec.nodata = kNoDataOut;
  spec.bands.resize(1);
  spec.bands[0].name = name;
  spec.metadata["kind"] = "index";
  spec.metadata["formula"] = formula.text;
  return spec;
}

void keepInside(const InsideMask& inside, Window w, std::vector<float>& values) {
  std::vector<uint8_t> mask;
  inside.fill(w, mask);
  for (size_t i = 0; i < values.size(); ++i)
    if (mask[i] == 0) values[i] = std::numeric_limits<float>::quiet_NaN();
}

}  // namespace

std::vector<size_t> bandsOf(const Formula& formula, const Scene& scene) {
  std::vector<size_t> bands;
  for (const auto& role : formula.variables) {
    const int b = scene.bandOf(role);
    if (b < 0)
      throw Error(
          fmt::format("“{}” has no {} band; give a band that role first.", scene.name, role));
    bands.push_back(static_cast<size_t>(b));
  }
  if (bands.empty()) bands.push_back(0);  // a formula of numbers alone still needs a grid
  return bands;
}

Statistics computeIndex(const Scene& scene, const Formula& formula, const std::string& name,
                        const std::filesystem::path& temporary, const Layer* inside,
                        const Progress& progress) {
  const BandReader reader(scene, bandsOf(formula, scene));
  std::optional<InsideMask> mask;
  if (inside != nullptr) {
    mask.emplace(inside->shapes, scene.grid);
    if (!mask->any())
      throw Error(
          fmt::format("“{}” lies outside the scene; choose another outline.", inside->name));
  }
  RasterWriter writer(temporary, indexSpec(scene, name, formula));
  Statistics total;
  runBlocks<IndexBlock>(
      reader.windows(), progress,
      [&](Window w) {
        auto b = std::make_shared<IndexBlock>();
        reader.read(w, b->bands);
        return b;
      },
      [&](IndexBlock& b) {
        const size_t n = b.bands.window.pixels();
        b.result.resize(n);
        evaluateFormula(formula, b.bands.pointers(), n, b.result.data());
        b.bands.values = {};
        if (mask) keepInside(*mask, b.bands.window, b.result);
        b.statistics.add(b.result.data(), n);
      },
      [&](IndexBlock& b) {
        total.merge(b.statistics);
        writer.write(1, b.bands.window, b.result);
      });
  writer.finish();
  return total;
}

}  // namespace zp
