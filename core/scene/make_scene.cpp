#include "scene/make_scene.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/error.h"
#include "base/text.h"
#include "grid/block_pipeline.h"
#include "grid/halo.h"
#include "grid/raster_writer.h"

namespace zp {
namespace {

struct TypeFacts {
  const char* name;
  NumberType type;
  double low, high, nodata;  // of stored numbers
};
constexpr TypeFacts kTypes[] = {
    {"byte", NumberType::Byte, 1, 255, 0},
    {"uint16", NumberType::UInt16, 0, 65534, 65535},
    {"int16", NumberType::Int16, -32767, 32767, -32768},
    {"float32", NumberType::Float32, -3.4e38, 3.4e38, static_cast<double>(kNoDataOut)}};

const TypeFacts& factsOf(NumberType type) {
  for (const auto& t : kTypes)
    if (t.type == type) return t;
  throw Error("A scene is written as byte, uint16, int16 or float32.");
}

/// Values as stored numbers; NaN stays.
size_t toStored(const SceneSpec& spec, std::vector<float>& values) {
  if (spec.type == NumberType::Float32) return 0;
  const TypeFacts& type = factsOf(spec.type);
  size_t lost = 0;
  for (float& v : values) {
    if (std::isnan(v)) continue;
    const double stored = std::nearbyint((static_cast<double>(v) - spec.offset) / spec.scale);
    const bool fits = stored >= type.low && stored <= type.high;
    v = fits ? static_cast<float>(stored) : std::numeric_limits<float>::quiet_NaN();
    lost += fits ? 0 : 1;
  }
  return lost;
}

}  // namespace

RasterSpec rasterSpecOf(const Grid& grid, const SceneSpec& scene) {
  RasterSpec spec;
  spec.grid = grid;
  spec.type = scene.type;
  spec.nodata = factsOf(scene.type).nodata;
  for (const auto& b : scene.bands) {
    BandFacts facts;
    facts.name = b.name;
    if (scene.type != NumberType::Float32) facts.scale = scene.scale, facts.offset = scene.offset;
    if (!b.role.empty()) facts.metadata["role"] = b.role;
    if (b.wavelength > 0) facts.metadata["wavelength"] = shortest(b.wavelength);
    spec.bands.push_back(std::move(facts));
  }
  spec.metadata = scene.facts;
  spec.metadata["kind"] = "scene";
  spec.metadata["values"] = idOf(scene.state);
  if (!scene.date.empty()) spec.metadata["date"] = scene.date;
  return spec;
}

SceneSpec specLike(const Scene& scene, const std::vector<size_t>& bands) {
  SceneSpec spec;
  spec.date = scene.date;
  spec.state = scene.state;
  if (bands.empty()) spec.bands = scene.bands;
  for (size_t b : bands) spec.bands.push_back(scene.bands.at(b));
  return spec;
}

size_t makeScene(const BandReader& reader, const SceneSpec& spec,
                 const std::filesystem::path& temporary, const Progress& progress,
                 const SceneKernel& kernel, int halo) {
  if (spec.type != NumberType::Float32 && !(spec.scale > 0))
    throw Error("The scale of whole numbers has to be above 0; write one such as 0.0001.");
  if (!std::isfinite(spec.scale) || !std::isfinite(spec.offset))
    throw Error("Scale and offset have to be finite numbers; write others.");
  struct Block {
    Window window;
    BandBlock in;
    std::vector<std::vector<float>> out;
    size_t lost = 0;
  };
  RasterWriter writer(temporary, rasterSpecOf(reader.grid(), spec));
  size_t lost = 0;
  forEachBlock<Block>(
      reader.windows(), progress,
      [&](Window w, Block& b) {
        b.window = w;
        b.lost = 0;
        reader.read(widened(w, halo, reader.grid()), b.in);
        b.out.assign(spec.bands.size(), std::vector<float>(b.in.window.pixels()));
        kernel(b.in, b.out);
        for (auto& values : b.out) {
          if (halo > 0) values = cutTo(b.window, values, b.in.window);
          b.lost += toStored(spec, values);
        }
      },
      [&](Block& b) {
        lost += b.lost;
        for (size_t i = 0; i < b.out.size(); ++i)
          writer.write(static_cast<int>(i) + 1, b.window, b.out[i]);
      });
  writer.finish();
  return lost;
}

NumberType numberTypeFrom(const std::string& name) {
  std::vector<std::string> names;
  for (const auto& t : kTypes) {
    if (name == t.name) return t.type;
    names.emplace_back(t.name);
  }
  throw Error("“{}” is no number type here.{} They are {}.", name, didYouMean(name, names),
              listed(names));
}

}  // namespace zp
