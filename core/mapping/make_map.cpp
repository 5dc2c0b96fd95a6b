#include "mapping/make_map.h"

#include "base/error.h"
#include "grid/block_pipeline.h"
#include "legend/class_map.h"

namespace zp {
namespace {

struct MapBlock : FeatureBlock {
  std::vector<uint16_t> codes;
  std::vector<float> confidence;
};

RasterSpec confidenceSpec(const Grid& grid) {
  RasterSpec spec;
  spec.grid = grid;
  spec.nodata = -1;
  spec.bands.resize(1);
  spec.bands[0].name = "confidence";
  return spec;
}

}  // namespace

void makeMap(const FeatureReader& reader, const Classifier& classifier, const Legend& legend,
             const std::filesystem::path& temporary, const Progress& progress,
             const std::filesystem::path& confidence) {
  if (reader.features().size() != classifier.features())
    throw Error("The training used {} features, but {} are chosen; choose the same.",
                classifier.features(), reader.features().size());
  RasterWriter writer(temporary, classMapSpec(reader.grid(), legend, "classes"));
  std::unique_ptr<RasterWriter> second;
  if (!confidence.empty())
    second = std::make_unique<RasterWriter>(confidence, confidenceSpec(reader.grid()));
  forEachBlock<MapBlock>(
      reader.windows(), progress,
      [&](Window w, MapBlock& b) {
        reader.read(w, b);
        const size_t n = w.pixels();
        b.codes.resize(n);
        if (second) {
          b.confidence.resize(n);
          classifier.classify(b.pointers(), n, b.codes.data(), b.confidence.data());
        } else {
          classifier.classify(b.pointers(), n, b.codes.data());
        }
      },
      [&](MapBlock& b) {
        writer.writeCodes(1, b.window, b.codes);
        if (second) second->write(1, b.window, b.confidence);
      });
  writer.finish();
  if (second) second->finish();
}

}  // namespace zp
