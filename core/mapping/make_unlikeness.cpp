#include "mapping/make_unlikeness.h"

#include "base/error.h"
#include "grid/block_pipeline.h"
#include "grid/raster_file.h"
#include "grid/raster_writer.h"

namespace zp {
namespace {

struct UnlikeBlock : FeatureBlock {
  std::vector<uint16_t> codes;
  std::vector<float> index;
  std::unique_ptr<RasterFile> map;  // of its thread
};

}  // namespace

Json toJson(const UnlikeShare& share) {
  Json classes = Json::array();
  for (const auto& [code, of] : share.classes)
    classes.push_back({{"code", code}, {"pixels", of.pixels}, {"unlike", of.unlike}});
  return {{"pixels", share.all.pixels}, {"unlike", share.all.unlike}, {"classes", classes}};
}

UnlikeShare makeUnlikeness(const FeatureReader& reader, const Unlikeness& unlikeness,
                           const std::filesystem::path& map, const std::filesystem::path& temporary,
                           const Progress& progress) {
  const Grid grid = RasterFile(map).grid();
  if (grid.width != reader.grid().width || grid.height != reader.grid().height)
    throw Error("The map lies on another grid than its features; make it again.");
  RasterSpec spec;
  spec.grid = reader.grid();
  spec.nodata = -1;
  spec.bands.resize(1);
  spec.bands[0].name = "unlikeness";
  RasterWriter writer(temporary, spec);
  UnlikeShare share;
  forEachBlock<UnlikeBlock>(
      reader.windows(), progress,
      [&](Window w, UnlikeBlock& b) {
        if (b.map == nullptr) b.map = std::make_unique<RasterFile>(map);
        reader.read(w, b);
        b.codes.resize(w.pixels());
        b.index.resize(w.pixels());
        b.map->readCodes(1, w, b.codes.data(), w.width, w.height);
        unlikeness.of(b.pointers(), w.pixels(), b.index.data());
      },
      [&](UnlikeBlock& b) {
        share.index.add(b.index.data(), b.index.size());
        for (size_t i = 0; i < b.codes.size(); ++i) {
          if (b.codes[i] == 0) continue;
          auto& of = share.classes[b.codes[i]];
          const bool unlike = static_cast<double>(b.index[i]) > unlikeness.limit();
          ++of.pixels, ++share.all.pixels;
          of.unlike += unlike, share.all.unlike += unlike;
        }
        writer.write(1, b.window, b.index);
      });
  writer.finish();
  return share;
}

}  // namespace zp
