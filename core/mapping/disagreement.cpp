#include "mapping/disagreement.h"

#include <algorithm>

#include "base/words.h"
#include "index/class_layers.h"

namespace zp {
namespace {

/// Paler, so that what stands out is where they do not agree.
Colour paler(Colour c) {
  const auto mix = [](int v) { return static_cast<uint8_t>((v + 2 * 205) / 3); };
  return {mix(c.r), mix(c.g), mix(c.b)};
}

}  // namespace

Disagreement mapDisagreement(const std::filesystem::path& first,
                             const std::filesystem::path& second,
                             const std::filesystem::path& temporary, const Progress& progress) {
  const ClassChange both = classChange(first, second, 0, {}, progress.part(0, 0.5));
  Disagreement told;
  told.pixels = both.pixels;
  for (const auto& cell : both.cells) {
    if (cell.from == cell.to) continue;
    told.different += cell.pixels;
    told.pairs.push_back(cell);
  }
  std::stable_sort(told.pairs.begin(), told.pairs.end(),
                   [](const FromTo& a, const FromTo& b) { return a.pixels > b.pixels; });
  Legend legend = legendsOf({first, second});
  for (auto& c : legend.classes) c.colour = paler(c.colour);
  LegendClass differ;
  differ.code = legend.highestCode() + 1;
  differ.name = words("they disagree");
  differ.colour = {200, 30, 90};
  legend.add(differ);
  const auto layers = classLayers({first, second});
  const BandReader reader(layers[0].grid, firstBands(layers));
  writeByLayers(reader, classMapSpec(reader.grid(), legend, "disagreement"), temporary,
                progress.part(0.5, 1), [&](const BandBlock& in, size_t p) {
                  const int a = codeOf(in.band(0)[p]), b = codeOf(in.band(1)[p]);
                  if (a == 0 || b == 0) return uint16_t{0};
                  return static_cast<uint16_t>(a == b ? a : differ.code);
                });
  return told;
}

Json toJson(const Disagreement& told) {
  Json pairs = Json::array();
  for (const auto& p : told.pairs)
    pairs.push_back({{"first", p.from}, {"second", p.to}, {"pixels", p.pixels}});
  return {{"pixels", told.pixels}, {"different", told.different}, {"pairs", pairs}};
}

}  // namespace zp
