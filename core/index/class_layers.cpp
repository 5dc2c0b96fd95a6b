#include "index/class_layers.h"

namespace zp {

std::vector<Scene> classLayers(const std::vector<std::filesystem::path>& maps) {
  std::vector<Scene> layers;
  for (const auto& m : maps) {
    const RasterFile file(m);
    classBand(file);
    std::vector<uint16_t> corner(1);
    file.readCodes(1, {0, 0, 1, 1}, corner.data());  // says so when it is no class map
    layers.push_back(layerScene(m, m.stem().string(), ValueState::ClassCodes));
    layers.back().bands[0].conversion.nodata = file.facts(1).nodata.value_or(0);
  }
  return layers;
}

std::vector<BandSource> firstBands(const std::vector<Scene>& layers) {
  std::vector<BandSource> sources;
  for (const auto& l : layers) sources.push_back({&l, 0});
  return sources;
}

Legend legendsOf(const std::vector<std::filesystem::path>& maps) {
  Legend all;
  for (const auto& m : maps) all.addMissing(legendOf(RasterFile(m)));
  return all;
}

}  // namespace zp
