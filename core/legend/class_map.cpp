#include "legend/class_map.h"

#include <fmt/format.h>

#include <algorithm>
#include <limits>
#include <map>

#include "base/error.h"
#include "base/text.h"
#include "grid/block_pipeline.h"
#include "grid/pixel_area.h"
#include "grid/shared_raster.h"

namespace zp {

RasterSpec classMapSpec(const Grid& grid, const Legend& legend, const std::string& name) {
  RasterSpec spec;
  spec.grid = grid;
  spec.type = legend.highestCode() > 255 ? NumberType::UInt16 : NumberType::Byte;
  spec.nodata = 0;
  BandFacts band;
  band.name = name;
  band.categories.assign(static_cast<size_t>(legend.highestCode()) + 1, "");
  for (const auto& c : legend.classes) {
    band.categories[static_cast<size_t>(c.code)] = c.name;
    band.metadata[fmt::format("class_{}", c.code)] = c.name;
    band.colours[c.code] = {c.colour.r, c.colour.g, c.colour.b};
  }
  band.colours[0] = {0, 0, 0};
  spec.bands = {band};
  spec.metadata["kind"] = "class map";
  return spec;
}

Legend legendOf(const RasterFile& map, int band) {
  const auto& facts = map.facts(band);
  std::map<int, std::string> names;
  for (size_t i = 1; i < facts.categories.size(); ++i)
    if (!facts.categories[i].empty()) names[static_cast<int>(i)] = facts.categories[i];
  for (const auto& [key, value] : facts.metadata) {
    const auto code = key.rfind("class_", 0) == 0 ? parseInteger(key.substr(6)) : std::nullopt;
    if (code && *code >= 1 && *code <= 65535) names[static_cast<int>(*code)] = value;
  }
  Legend legend;
  for (const auto& [code, name] : names) {
    LegendClass c;
    c.code = code;
    c.name = name;
    c.colour = suggestedColour(static_cast<size_t>(code - 1));
    const auto colour = facts.colours.find(code);
    if (colour != facts.colours.end())
      c.colour = {static_cast<uint8_t>(colour->second[0]), static_cast<uint8_t>(colour->second[1]),
                  static_cast<uint8_t>(colour->second[2])};
    legend.add(std::move(c));
  }
  return legend;
}

int classBand(const RasterFile& map, int named) {
  if (named > map.bands())
    throw Error("“{}” has no band {}; it has {}.", map.path().string(), named, map.bands());
  if (named == 0 && map.bands() > 1)
    throw Error(
        "“{}” has {} bands and so is no class map; name the band that holds the "
        "classes, such as {}:1.",
        map.path().string(), map.bands(), map.path().string());
  return std::max(1, named);
}

namespace {
struct CodeBlock {
  Window window;
  std::vector<uint16_t> codes;
  std::map<std::pair<int, int>, size_t> counts;  // (row, code) → pixels
};
}  // namespace

std::vector<ClassArea> classAreas(const std::filesystem::path& path, const Legend& legend,
                                  const Progress& progress, int named) {
  SharedRaster rasters(path);
  const RasterFile& file = rasters.first();
  const int band = classBand(file, named);
  const auto rowAreas = pixelAreas(file.grid());
  std::map<int, ClassArea> areas;
  const auto slot = [&](int code, const std::string& name) -> ClassArea& {
    auto& a = areas[code];
    if (a.name.empty()) a.name = name;
    a.code = code;
    return a;
  };
  for (const auto& c : legend.classes) slot(c.code, c.name);
  for (const auto& c : legendOf(file, band).classes) slot(c.code, c.name);

  const auto windows =
      planWindows(file.grid(), file.blockWidth(), file.blockHeight(), size_t{4} << 20);
  forEachBlock<CodeBlock>(
      windows, progress,
      [&](Window w, CodeBlock& b) {
        b.window = w;
        b.counts.clear();
        b.codes.resize(w.pixels());
        rasters.borrow()->readCodes(band, w, b.codes.data());
        std::vector<size_t> row(65536);
        size_t at = 0;
        for (int y = 0; y < b.window.height; ++y) {
          int highest = 0;
          for (int x = 0; x < b.window.width; ++x, ++at) {
            ++row[b.codes[at]];
            highest = std::max<int>(highest, b.codes[at]);
          }
          for (int code = 0; code <= highest; ++code) {
            auto& n = row[static_cast<size_t>(code)];
            if (n > 0 && code > 0) b.counts[{b.window.y + y, code}] = n;
            n = 0;
          }
        }
      },
      [&](CodeBlock& b) {
        for (const auto& [key, n] : b.counts) {
          auto& a = slot(key.second, fmt::format("class {}", key.second));
          a.pixels += n;
          if (!rowAreas.empty())
            a.area += static_cast<double>(n) * rowAreas[static_cast<size_t>(key.first)];
        }
      });
  std::vector<ClassArea> out;
  for (auto& [code, a] : areas) {
    if (rowAreas.empty()) a.area = std::numeric_limits<double>::quiet_NaN();
    out.push_back(a);
  }
  return out;
}

Json toJson(const std::vector<ClassArea>& areas) {
  Json list = Json::array();
  for (const auto& a : areas)
    list.push_back(
        {{"code", a.code}, {"name", a.name}, {"pixels", a.pixels}, {"area_m2", number(a.area)}});
  return list;
}

}  // namespace zp
