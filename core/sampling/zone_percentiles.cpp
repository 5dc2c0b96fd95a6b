#include "sampling/zone_percentiles.h"

#include <algorithm>
#include <map>

#include "sampling/percentile_search.h"

namespace zp {
namespace {
constexpr size_t kAtOnce = 128;  // searches, of half a megabyte each

struct Search {
  size_t layer;
  PercentileSearch percentile;
};
using Searches = std::multimap<size_t, Search>;  // by zone

void goThrough(const ZoneLayers& layers, const ZonePixels& zones,
               const std::vector<Window>& windows, const Progress& progress, Searches& searches) {
  forEachZoneBlock(layers, windows, progress, [&](const ZoneBlock& block) {
    zones.visit(block.window, [&](const ZoneRun& part, size_t at) {
      const auto [first, last] = searches.equal_range(part.zone);
      for (auto it = first; it != last; ++it)
        it->second.percentile.add(block.layer(it->second.layer) + at,
                                  static_cast<size_t>(part.to - part.from),
                                  static_cast<double>(part.share));
    });
  });
}

void findAll(const ZoneLayers& layers, const ZonePixels& zones, Progress progress,
             Searches& searches) {
  std::vector<Window> windows;
  for (const Window& w : layers.windows) {
    bool any = false;
    zones.visit(w, [&](const ZoneRun& part, size_t) { any |= searches.contains(part.zone); });
    if (any) windows.push_back(w);
  }
  for (bool found = false; !found; progress = progress.part(0.5, 1)) {
    goThrough(layers, zones, windows, progress.part(0, 0.5), searches);
    found = true;
    for (auto& [zone, search] : searches) found = search.percentile.narrow() && found;
  }
}

}  // namespace

std::vector<double> findPercentiles(const ZoneLayers& layers, const ZonePixels& zones,
                                    const std::vector<SoughtPercentile>& sought,
                                    const Progress& progress) {
  std::vector<double> out;
  const auto all = static_cast<double>(sought.size());
  for (size_t from = 0; from < sought.size(); from += kAtOnce) {
    const size_t to = std::min(sought.size(), from + kAtOnce);
    Searches searches;
    std::vector<const Search*> inOrder;
    for (size_t i = from; i < to; ++i) {
      const auto& one = sought[i];
      inOrder.push_back(
          &searches.emplace(one.zone, Search{one.layer, {one.totals, one.percent}})->second);
    }
    findAll(layers, zones,
            progress.part(static_cast<double>(from) / all, static_cast<double>(to) / all),
            searches);
    for (const Search* search : inOrder) out.push_back(search->percentile.value());
  }
  return out;
}

}  // namespace zp
