#include "mapping/touch_up.h"

#include "base/error.h"
#include "index/class_layers.h"
#include "outline/scanline.h"
#include "outline/shape_json.h"

namespace zp {
namespace {

/// Columns of a row that get a class.
struct Stroke {
  int from, to, code, only;
};

/// By row, in the order of the corrections.
std::vector<std::vector<Stroke>> strokesOf(const std::vector<TouchUp>& corrections,
                                           const Grid& grid) {
  std::vector<std::vector<Stroke>> rows(static_cast<size_t>(grid.height));
  for (const auto& c : corrections)
    for (const auto& s : pixelsInside(c.shape, grid))
      rows[static_cast<size_t>(s.row)].push_back({s.from, s.to, c.code, c.only});
  return rows;
}

Legend legendWith(const std::filesystem::path& map, const std::vector<TouchUp>& corrections,
                  const Legend& known) {
  Legend all = legendsOf({map});
  for (const auto& c : corrections) {
    if (all.find(c.code) != nullptr) continue;
    const auto* from = known.find(c.code);
    if (from == nullptr)
      throw Error("There is no class {} for a correction to give; choose another.", c.code);
    all.add(*from);
  }
  return all;
}

}  // namespace

size_t touchUp(const std::filesystem::path& map, const std::vector<TouchUp>& corrections,
               const Legend& legend, const std::filesystem::path& temporary,
               const Progress& progress) {
  const auto layers = classLayers({map});
  const BandReader reader(layers[0].grid, firstBands(layers));
  const auto rows = strokesOf(corrections, reader.grid());
  struct Block {
    BandBlock in;
    std::vector<uint16_t> out;
    size_t changed = 0;
  };
  RasterWriter writer(temporary,
                      classMapSpec(reader.grid(), legendWith(map, corrections, legend), "classes"));
  size_t changed = 0;
  forEachBlock<Block>(
      reader.windows(), progress,
      [&](Window w, Block& b) {
        reader.read(w, b.in);
        b.out.resize(w.pixels());
        b.changed = 0;
        for (size_t p = 0; p < b.out.size(); ++p)
          b.out[p] = static_cast<uint16_t>(codeOf(b.in.band(0)[p]));
        for (int y = 0; y < w.height; ++y)
          for (const auto& s : rows[static_cast<size_t>(w.y + y)])
            for (int x = std::max(s.from, w.x); x < std::min(s.to, w.x + w.width); ++x) {
              uint16_t& at = b.out[static_cast<size_t>(y) * static_cast<size_t>(w.width) +
                                   static_cast<size_t>(x - w.x)];
              if (at != 0 && (s.only == 0 || at == s.only)) at = static_cast<uint16_t>(s.code);
            }
        for (size_t p = 0; p < b.out.size(); ++p)
          b.changed += b.out[p] != codeOf(b.in.band(0)[p]) ? 1 : 0;
      },
      [&](Block& b) {
        writer.writeCodes(1, b.in.window, b.out);
        changed += b.changed;
      });
  writer.finish();
  return changed;
}

Json toJson(const TouchUp& c) {
  Json json = shapeJson(c.shape);
  json["code"] = c.code;
  json["only"] = c.only;
  return json;
}

TouchUp touchUpFrom(const Json& json) {
  try {
    TouchUp c{shapeFrom(json), json.at("code"), json.value("only", 0)};
    if (c.code < 1 || c.code > 65535 || c.only < 0 || c.only > 65535)
      throw Error("A correction has a class code that is none.");
    return c;
  } catch (const Json::exception&) {
    throw Error("A correction needs rings of places and the code of a class.");
  }
}

}  // namespace zp
