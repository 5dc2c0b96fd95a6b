#include "index/import_classes.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>

#include "base/error.h"
#include "base/text.h"
#include "outline/scanline.h"

namespace zp {
namespace {

void requireKnown(const CodeMatch& match, const Legend& legend) {
  if (match.empty())
    throw Error("No class is matched with one of the legend; match one or more first.");
  for (const auto& [theirs, ours] : match)
    if (legend.find(ours) == nullptr)
      throw Error("The legend has no class {}, with which {} is matched.", ours, theirs);
}

}  // namespace

std::vector<std::pair<std::string, std::string>> classesIn(const std::filesystem::path& raster,
                                                           const Progress& progress) {
  std::vector<std::pair<std::string, std::string>> all;
  for (const auto& c : classAreas(raster, {}, progress))
    all.emplace_back(std::to_string(c.code), c.name);
  return all;
}

std::vector<std::pair<std::string, std::string>> classesIn(const Layer& layer,
                                                           const std::string& field) {
  std::vector<std::string> values;
  const size_t column = layer.table.column(field);
  for (const auto& row : layer.table.rows) values.push_back(row[column]);
  std::sort(values.begin(), values.end(),
            [](const auto& a, const auto& b) { return naturalLess(a, b); });
  values.erase(std::unique(values.begin(), values.end()), values.end());
  std::vector<std::pair<std::string, std::string>> all;
  for (const auto& v : values)
    if (!v.empty()) all.emplace_back(v, v);
  return all;
}

CodeMatch suggestMatch(const std::vector<std::pair<std::string, std::string>>& theirs,
                       const Legend& legend) {
  CodeMatch match;
  for (const auto& [code, name] : theirs)
    for (const auto& c : legend.classes)
      if (lowered(trimmed(name)) == lowered(c.name)) match[code] = c.code;
  for (const auto& [code, name] : theirs) {
    const auto number = parseInteger(code);
    if (match.count(code) == 0 && number && *number >= 1 && *number <= 65535 &&
        legend.find(static_cast<int>(*number)) != nullptr)
      match[code] = static_cast<int>(*number);
  }
  return match;
}

void importClasses(const std::filesystem::path& raster, const CodeMatch& match,
                   const Legend& legend, const std::filesystem::path& temporary,
                   const Progress& progress) {
  requireKnown(match, legend);
  std::vector<uint16_t> ours(65536, 0);
  for (const auto& [theirs, code] : match) {
    const auto number = parseInteger(theirs);
    if (!number || *number < 1 || *number > 65535)
      throw Error("“{}” is no class code of a raster (a whole number from 1 to 65535).", theirs);
    ours[static_cast<size_t>(*number)] = static_cast<uint16_t>(code);
  }
  const RasterFile file(raster);
  classBand(file);
  RasterWriter writer(temporary, classMapSpec(file.grid(), legend, "classes"));
  const auto windows =
      planWindows(file.grid(), file.blockWidth(), file.blockHeight(), size_t{4} << 20);
  std::vector<uint16_t> codes;
  for (size_t i = 0; i < windows.size(); ++i) {
    codes.resize(windows[i].pixels());
    file.readCodes(1, windows[i], codes.data());
    for (auto& c : codes) c = ours[c];
    writer.writeCodes(1, windows[i], codes);
    progress.at(static_cast<double>(i + 1) / static_cast<double>(windows.size()));
  }
  writer.finish();
}

void importClasses(const Layer& layer, const std::string& field, const CodeMatch& match,
                   const Grid& grid, const Legend& legend, const std::filesystem::path& temporary,
                   const Progress& progress) {
  requireKnown(match, legend);
  const size_t column = layer.table.column(field);
  std::vector<uint16_t> codes(grid.pixels());
  for (size_t i = 0; i < layer.shapes.size(); ++i) {
    const auto at = match.find(layer.table.rows[i][column]);
    if (at == match.end()) continue;
    for (const auto& s : pixelsInside(layer.shapes[i], grid))
      std::fill_n(codes.begin() + static_cast<std::ptrdiff_t>(s.row) * grid.width + s.from,
                  s.to - s.from, static_cast<uint16_t>(at->second));
    progress.at(0.8 * static_cast<double>(i + 1) / static_cast<double>(layer.shapes.size()));
  }
  RasterWriter writer(temporary, classMapSpec(grid, legend, "classes"));
  constexpr int kRows = 256;
  for (int y = 0; y < grid.height; y += kRows) {
    const Window w{0, y, grid.width, std::min(kRows, grid.height - y)};
    const auto from = codes.begin() + static_cast<std::ptrdiff_t>(y) * grid.width;
    writer.writeCodes(1, w, {from, from + static_cast<std::ptrdiff_t>(w.pixels())});
  }
  writer.finish();
}

}  // namespace zp
