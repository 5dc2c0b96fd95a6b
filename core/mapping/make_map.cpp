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

void requireFeatures(const FeatureReader& reader, const PixelCoder& coder) {
  if (reader.features().size() != coder.features())
    throw Error("The training used {} features, but {} are chosen; choose the same.",
                coder.features(), reader.features().size());
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

void makeMap(const FeatureReader& reader, const PixelCoder& coder, const Legend& legend,
             const std::filesystem::path& temporary, const Progress& progress,
             const TrustedMap* kept) {
  requireFeatures(reader, coder);
  std::optional<MapReader> before;
  if (kept != nullptr) before.emplace(*kept, reader.grid());
  RasterWriter writer(temporary, classMapSpec(reader.grid(), legend, "classes"));
  forEachBlock<MapBlock>(
      reader.windows(), progress,
      [&](Window w, MapBlock& b) {
        reader.read(w, b);
        b.codes.resize(w.pixels());
        coder.classify(b.pointers(), w.pixels(), b.codes.data());
        if (before)
          before->each(w, b.taken, [&](size_t pixel, int code) {
            b.codes[pixel] = static_cast<uint16_t>(code);
          });
      },
      [&](MapBlock& b) { writer.writeCodes(1, b.window, b.codes); });
  writer.finish();
}

Statistics makeConfidence(const FeatureReader& reader, const Classifier& classifier,
                          const std::filesystem::path& temporary, const Progress& progress) {
  requireFeatures(reader, classifier);
  RasterWriter writer(temporary, confidenceSpec(reader.grid()));
  Statistics statistics;
  forEachBlock<MapBlock>(
      reader.windows(), progress,
      [&](Window w, MapBlock& b) {
        reader.read(w, b);
        b.codes.resize(w.pixels());
        b.confidence.resize(w.pixels());
        classifySurely(classifier, b.pointers(), w.pixels(), b.codes.data(), b.confidence.data());
      },
      [&](MapBlock& b) {
        statistics.add(b.confidence.data(), b.confidence.size());
        writer.write(1, b.window, b.confidence);
      });
  writer.finish();
  return statistics;
}

}  // namespace zp
