#include "mapping/combine_maps.h"

#include "base/error.h"
#include "index/class_layers.h"

namespace zp {
namespace {

/// For each code whether it counts.
std::vector<char> counting(const TrustedMap& map) {
  std::vector<char> counts(65536);
  for (int code = 0; code < 65536; ++code) counts[static_cast<size_t>(code)] = map.counts(code);
  return counts;
}

}  // namespace

std::vector<size_t> combineMaps(const std::vector<TrustedMap>& maps,
                                const std::filesystem::path& temporary, const Progress& progress,
                                const std::optional<Grid>& grid) {
  if (maps.size() < 2) throw Error("Combining takes two class maps or more.");
  std::vector<std::filesystem::path> files;
  std::vector<std::vector<char>> counts;
  for (const auto& m : maps) {
    files.push_back(m.file);
    counts.push_back(counting(m));
  }
  const auto layers = classLayers(files);
  const BandReader reader(grid.value_or(layers[0].grid), firstBands(layers));
  const Legend legend = legendsOf(files);
  struct Block {
    BandBlock in;
    std::vector<uint16_t> out;
    std::vector<size_t> given;
  };
  RasterWriter writer(temporary, classMapSpec(reader.grid(), legend, "classes"));
  std::vector<size_t> given(maps.size());
  forEachBlock<Block>(
      reader.windows(), progress,
      [&](Window w, Block& b) {
        reader.read(w, b.in);
        b.out.assign(w.pixels(), 0);
        b.given.assign(maps.size(), 0);
        for (size_t p = 0; p < b.out.size(); ++p)
          for (size_t m = 0; m < maps.size(); ++m) {
            const int code = codeOf(b.in.band(m)[p]);
            if (counts[m][static_cast<size_t>(code)] == 0) continue;
            b.out[p] = static_cast<uint16_t>(code);
            ++b.given[m];
            break;
          }
      },
      [&](Block& b) {
        writer.writeCodes(1, b.in.window, b.out);
        for (size_t m = 0; m < given.size(); ++m) given[m] += b.given[m];
      });
  writer.finish();
  return given;
}

}  // namespace zp
