// make-big-scene FILE WIDTH HEIGHT BANDS AREAS.gpkg: a scene of any size for measuring, with
// training areas of eight covers.
#include <fmt/format.h>

#include <cstdlib>

#include "covers.h"
#include "grid/crs.h"
#include "grid/raster_writer.h"
#include "outline/layer.h"

int main(int argc, char** argv) {
  if (argc != 6) {
    fmt::print(stderr, "Usage: make-big-scene FILE WIDTH HEIGHT BANDS AREAS.gpkg\n");
    return 2;
  }
  const int width = std::atoi(argv[2]), height = std::atoi(argv[3]), bands = std::atoi(argv[4]);
  static const char* const kRoles[] = {"blue", "green", "red",    "rededge",
                                       "nir",  "nir08", "swir16", "swir22"};
  zp::RasterSpec spec;
  spec.grid.width = width, spec.grid.height = height;
  spec.grid.transform = {400000, 10, 0, 6000000, 0, -10};
  spec.grid.georeferenced = true;
  spec.grid.crs = zp::crsFrom("EPSG:32627");
  spec.type = zp::NumberType::UInt16;
  for (int b = 0; b < bands; ++b) {
    spec.bands.emplace_back();
    spec.bands.back().name = b < 8 ? kRoles[b] : fmt::format("band {}", b + 1);
    spec.bands.back().scale = 0.0001;
  }
  // Eight covers in patches of 64 x 64 pixels, each with its own level per band and some noise.
  const auto cover = [](int x, int y) {
    return zp::mix(static_cast<uint64_t>(x / 64), static_cast<uint64_t>(y / 64)) % zp::kCovers;
  };
  zp::RasterWriter writer(argv[1], spec);
  std::vector<uint16_t> values;
  for (int y = 0; y < height; y += 256) {
    const zp::Window w{0, y, width, std::min(256, height - y)};
    values.resize(w.pixels());
    for (int b = 0; b < bands; ++b) {
      for (size_t i = 0; i < values.size(); ++i) {
        const int x = static_cast<int>(i % static_cast<size_t>(width)),
                  row = y + static_cast<int>(i / static_cast<size_t>(width));
        const uint64_t noise = zp::mix(i + static_cast<size_t>(y) * static_cast<size_t>(width),
                                       static_cast<uint64_t>(b)) %
                               zp::kCoverNoise;
        values[i] =
            static_cast<uint16_t>(zp::coverLevel(cover(x, row), static_cast<uint64_t>(b)) + noise);
      }
      writer.writeCodes(b + 1, w, values);
    }
  }
  writer.finish();
  zp::Layer areas;
  areas.name = "areas";
  areas.crs = spec.grid.crs;
  areas.table.columns = {"code", "name"};
  for (int y = 0; y < 20; ++y)
    for (int x = 0; x < 20 && (x + 1) * 64 <= width && (y + 1) * 64 <= height; ++x) {
      const auto c = cover(x * 64, y * 64) + 1;
      areas.table.rows.push_back({std::to_string(c), fmt::format("cover {}", c)});
      areas.shapes.emplace_back();
      const auto& g = spec.grid;
      areas.shapes.back().rings = {
          {g.toMap(x * 64 + 4, y * 64 + 4), g.toMap(x * 64 + 60, y * 64 + 4),
           g.toMap(x * 64 + 60, y * 64 + 60), g.toMap(x * 64 + 4, y * 64 + 60)}};
    }
  zp::writeLayer(argv[5], argv[5], areas, {zp::FieldType::Integer, zp::FieldType::Text});
  return 0;
}
