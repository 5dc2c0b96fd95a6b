#include "index/trusted_map.h"

#include "index/class_layers.h"

namespace zp {

MapReader::MapReader(const TrustedMap& map, const Grid& grid)
    : map_(map), layer_(classLayers({map.file})) {
  reader_ = std::make_unique<BandReader>(grid, firstBands(layer_));
}

}  // namespace zp
