// Rasters: opened, and a corner of each band read in every way.
#include "fuzz.h"
#include "grid/raster_file.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](const std::string& text) {
    const auto file = written("raster.tif", text);
    for (const auto& one : zp::rastersIn(file)) {
      const zp::RasterFile raster(one);
      writtenDown(raster.metadata());
      const int width = std::min(raster.grid().width, 40),
                height = std::min(raster.grid().height, 40);
      std::vector<float> values(1600);
      std::vector<double> wide(1600);
      std::vector<uint16_t> codes(1600);
      for (int band = 1; band <= std::min(raster.bands(), 4); ++band) {
        writtenDown(raster.facts(band).name);
        writtenDown(raster.facts(band).unit);
        writtenDown(raster.facts(band).metadata);
        writtenDown(raster.facts(band).categories);
        const zp::Window corner{0, 0, width, height};
        raster.read(band, corner, values.data());
        raster.readWide(band, corner, raster.conversion(band), wide.data());
        raster.readCodes(band, corner, codes.data());
      }
    }
  });
}
