#pragma once
#include <filesystem>
#include <vector>

#include "grid/block_pipeline.h"
#include "legend/class_map.h"
#include "scene/band_reader.h"

namespace zp {

// Several class maps looked at together.

/// The maps as layers, whose codes are checked as they are read. Error: no class map.
std::vector<Scene> classLayers(const std::vector<std::filesystem::path>& maps);
/// Their bands, in that order; the layers outlive what is made of them.
std::vector<BandSource> firstBands(const std::vector<Scene>& layers);
/// The classes of all of them; of one code, as the first map has it.
Legend legendsOf(const std::vector<std::filesystem::path>& maps);

/// Writes a class map block by block: `code(block, pixel)` is the class of a pixel, from the values
/// of all layers.
template <class Code>
void writeByLayers(const BandReader& reader, const RasterSpec& spec,
                   const std::filesystem::path& file, const Progress& progress, Code code) {
  struct Block {
    BandBlock in;
    std::vector<uint16_t> out;
  };
  RasterWriter writer(file, spec);
  forEachBlock<Block>(
      reader.windows(), progress,
      [&](Window w, Block& b) {
        reader.read(w, b.in);
        b.out.resize(b.in.window.pixels());
        for (size_t p = 0; p < b.out.size(); ++p) b.out[p] = code(b.in, p);
      },
      [&](Block& b) { writer.writeCodes(1, b.in.window, b.out); });
  writer.finish();
}

}  // namespace zp
