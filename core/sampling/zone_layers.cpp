#include "sampling/zone_layers.h"

#include "grid/block_pipeline.h"

namespace zp {

void forEachZoneBlock(const ZoneLayers& layers, const std::vector<Window>& windows,
                      const Progress& progress, const std::function<void(const ZoneBlock&)>& see) {
  forEachBlock<ZoneBlock>(
      windows, progress,
      [&](Window w, ZoneBlock& block) {
        block.window = w;
        block.values.resize(w.pixels() * layers.names.size());
        layers.read(w, block.values.data());
      },
      see);
}

}  // namespace zp
