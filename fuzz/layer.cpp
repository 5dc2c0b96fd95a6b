// Vector layers: the first line is the ending of the file, then GeoJSON, CSV, KML or what it is.
#include "outline/layer.h"

#include "fuzz.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
  return onlyErrors(data, size, [](std::string text) {
    const std::string ending = takeLine(text);
    for (const std::string known : {"geojson", "csv", "kml", "gpkg"})
      if (ending == known) {
        const auto file = written("layer." + ending, text);
        zp::Layer layer = zp::readLayer(file.string());
        writtenDown(layer.name);
        writtenDown(layer.table.columns);
        writtenDown(layer.table.rows);
        for (auto& shape : layer.shapes) shape.extent();
      }
  });
}
