#include "index/class_change.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <map>

#include "base/error.h"
#include "grid/block_pipeline.h"
#include "grid/pixel_area.h"
#include "index/class_layers.h"
#include "legend/change_classes.h"

namespace zp {
namespace {

using Counts = std::map<ClassPair, std::vector<size_t>>;  // pixels, row by row of the grid

Counts countPairs(const BandReader& reader, const Progress& progress) {
  Counts counts;
  const auto rows = static_cast<size_t>(reader.grid().height);
  reduceBlocks(reader, progress, [&](const BandBlock& in) {
    const Window w = in.window;
    const auto width = static_cast<size_t>(w.width);
    ClassPair last{-1, -1};
    std::vector<size_t>* row = nullptr;
    for (size_t p = 0; p < w.pixels(); ++p) {
      const ClassPair pair{codeOf(in.band(0)[p]), codeOf(in.band(1)[p])};
      if (pair != last) {
        row = &counts[pair];
        row->resize(rows);
        last = pair;
      }
      ++(*row)[static_cast<size_t>(w.y) + p / width];
    }
  });
  return counts;
}

ClassChange summed(const Counts& counts, const Grid& grid, const Legend& legend) {
  const auto areas = pixelAreas(grid);
  ClassChange out;
  for (const auto& c : legend.classes) out.codes.push_back(c.code);
  for (const auto& [pair, rows] : counts) {
    FromTo cell{pair.first, pair.second, 0, areas.empty() ? NAN : 0.0};
    for (size_t r = 0; r < rows.size(); ++r) {
      cell.pixels += rows[r];
      if (!areas.empty()) cell.area += areas[r] * static_cast<double>(rows[r]);
    }
    if (pair.first == 0 || pair.second == 0) {
      out.left += cell.pixels;
      continue;
    }
    out.pixels += cell.pixels;
    out.cells.push_back(cell);
    for (const int code : {pair.first, pair.second})
      if (std::find(out.codes.begin(), out.codes.end(), code) == out.codes.end())
        out.codes.push_back(code);
  }
  std::sort(out.codes.begin(), out.codes.end());
  for (const int code : out.codes) {
    const auto* c = legend.find(code);
    out.names.push_back(c != nullptr ? c->name : fmt::format("class {}", code));
  }
  return out;
}

LegendClass classOf(int code, const std::string& name, Colour colour) {
  LegendClass c;
  c.code = code, c.name = name, c.colour = colour;
  return c;
}

}  // namespace

const FromTo* ClassChange::find(int from, int to) const {
  for (const auto& c : cells)
    if (c.from == from && c.to == to) return &c;
  return nullptr;
}

ClassChange classChange(const std::filesystem::path& earlier, const std::filesystem::path& later,
                        int code, const std::filesystem::path& temporary,
                        const Progress& progress) {
  const auto layers = classLayers({earlier, later});
  const BandReader reader(layers[0].grid, firstBands(layers));
  const auto change = summed(countPairs(reader, progress.part(0, temporary.empty() ? 1 : 0.5)),
                             reader.grid(), legendsOf({earlier, later}));
  if (change.pixels == 0)
    throw Error("No pixel has a class in both maps; choose maps of one place.");
  if (code != 0 && std::find(change.codes.begin(), change.codes.end(), code) == change.codes.end())
    throw Error("Neither map has a class {}; choose one that they have.", code);
  if (temporary.empty()) return change;
  std::vector<ClassPair> pairs;
  for (const auto& c : change.cells) pairs.push_back({c.from, c.to});
  const ChangeClasses classes(legendsOf({earlier, later}), pairs, code);
  writeByLayers(reader, classMapSpec(reader.grid(), classes.legend(), "change"), temporary,
                progress.part(0.5, 1), [&](const BandBlock& in, size_t p) {
                  const ClassPair pair{codeOf(in.band(0)[p]), codeOf(in.band(1)[p])};
                  return static_cast<uint16_t>(classes.codeOf(pair));
                });
  return change;
}

Json toJson(const ClassChange& change) {
  Json classes = Json::array(), cells = Json::array();
  for (size_t i = 0; i < change.codes.size(); ++i)
    classes.push_back({{"code", change.codes[i]}, {"name", change.names[i]}});
  for (const auto& c : change.cells)
    cells.push_back(
        {{"from", c.from}, {"to", c.to}, {"pixels", c.pixels}, {"area_m2", number(c.area)}});
  return {{"classes", classes}, {"cells", cells}, {"pixels", change.pixels}, {"left", change.left}};
}

void classHistory(const std::vector<std::filesystem::path>& maps,
                  const std::vector<std::string>& dates, int code, const HistoryFiles& files,
                  const Progress& progress) {
  if (maps.size() < 2 || maps.size() != dates.size())
    throw Error("A history takes class maps of two or more dates.");
  if (maps.size() > 1000) throw Error("A history takes at most 1000 dates.");
  const auto layers = classLayers(maps);
  const BandReader reader(layers[0].grid, firstBands(layers));
  const size_t n = maps.size();
  const auto known = [n](const BandBlock& in, size_t p) {
    for (size_t d = 0; d < n; ++d)
      if (codeOf(in.band(d)[p]) != 0) return true;
    return false;
  };
  Legend legend;
  for (size_t d = 0; d < n; ++d)
    legend.add(classOf(static_cast<int>(d) + 1, dates[d], suggestedColour(d)));
  const auto when = [&](const std::filesystem::path& file, bool first, double from, double to) {
    if (file.empty()) return;
    writeByLayers(reader, classMapSpec(reader.grid(), legend, first ? "first" : "last"), file,
                  progress.part(from, to), [&](const BandBlock& in, size_t p) {
                    for (size_t k = 0; k < n; ++k) {
                      const size_t d = first ? k : n - 1 - k;
                      if (codeOf(in.band(d)[p]) == code) return static_cast<uint16_t>(d + 1);
                    }
                    return uint16_t{0};
                  });
  };
  if (!files.times.empty()) {
    RasterSpec spec;
    spec.grid = reader.grid();
    spec.type = NumberType::UInt16;
    spec.nodata = 65535;
    spec.bands.resize(1);
    spec.bands[0].name = "times";
    writeByLayers(reader, spec, files.times, progress.part(0, 0.4),
                  [&](const BandBlock& in, size_t p) {
                    uint16_t times = 0;
                    for (size_t d = 0; d < n; ++d) times += codeOf(in.band(d)[p]) == code ? 1 : 0;
                    return known(in, p) ? times : uint16_t{65535};
                  });
  }
  when(files.first, true, 0.4, 0.7);
  when(files.last, false, 0.7, 1);
}

}  // namespace zp
