#include "sampling/zone_patches.h"

#include <set>

#include "base/error.h"
#include "base/nan.h"
#include "grid/block_size.h"
#include "grid/pixel_area.h"

namespace zp {
namespace {

constexpr size_t kMostClasses = 1024;

/// The patches of one zone, row by row: pieces of a row join those of the row above that they
/// touch.
class PatchesOfZone {
 public:
  void add(int row, int from, int to, uint16_t code, double pixelArea) {
    if (row != row_) {
      above_.clear();
      if (row == row_ + 1) above_.swap(now_);
      now_.clear();
      row_ = row;
    }
    const auto label = static_cast<int>(parents_.size());
    parents_.push_back(label);
    codes_.push_back(code);
    areas_[code] += pixelArea * (to - from);
    for (const auto& p : above_)
      if (p.code == code && p.from <= to && p.to >= from) join(p.label, label);
    if (!now_.empty() && now_.back().to == from && now_.back().code == code)
      join(now_.back().label, label);
    now_.push_back({from, to, code, label});
  }
  bool empty() const { return parents_.empty(); }
  const std::map<uint16_t, double>& areas() const { return areas_; }
  std::map<uint16_t, size_t> patches() {
    std::map<uint16_t, size_t> counts;
    for (size_t label = 0; label < parents_.size(); ++label)
      if (rootOf(static_cast<int>(label)) == static_cast<int>(label)) ++counts[codes_[label]];
    return counts;
  }

 private:
  struct Piece {
    int from, to;  // columns [from, to)
    uint16_t code;
    int label;
  };
  int rootOf(int label) {
    while (parents_[static_cast<size_t>(label)] != label) {
      int& parent = parents_[static_cast<size_t>(label)];
      parent = parents_[static_cast<size_t>(parent)];
      label = parent;
    }
    return label;
  }
  void join(int a, int b) { parents_[static_cast<size_t>(rootOf(b))] = rootOf(a); }

  int row_ = -2;
  std::vector<Piece> above_, now_;
  std::vector<int> parents_;
  std::vector<uint16_t> codes_;  // by label
  std::map<uint16_t, double> areas_;
};

/// Parts of a run of a zone by the classes in it; 0 is none.
template <class See>
void eachClass(const uint16_t* codes, int from, int to, See see) {
  for (int x = from; x < to;) {
    int end = x + 1;
    while (end < to && codes[end] == codes[x]) ++end;
    if (codes[x] != 0) see(x, end, codes[x]);
    x = end;
  }
}

ZoneSummary toldOf(std::vector<PatchesOfZone>& zones) {
  std::set<uint16_t> codes;
  for (const auto& zone : zones)
    for (const auto& [code, area] : zone.areas()) codes.insert(code);
  if (codes.size() > kMostClasses)
    throw Error("The map has more than {} classes; patches are told of fewer.", kMostClasses);
  std::vector<std::map<uint16_t, size_t>> patches;
  for (auto& zone : zones) patches.push_back(zone.patches());
  ZoneSummary told;
  for (const auto code : codes) {
    std::vector<double> counts, areas;
    for (size_t z = 0; z < zones.size(); ++z) {
      const auto area = zones[z].areas().find(code);
      const bool has = area != zones[z].areas().end();
      const double none = zones[z].empty() ? static_cast<double>(kNan) : 0;
      counts.push_back(has ? static_cast<double>(patches[z].at(code)) : none);
      areas.push_back(has ? area->second : none);
    }
    told.columns.push_back("patches_" + std::to_string(code));
    told.values.push_back(std::move(counts));
    told.columns.push_back("patch_area_" + std::to_string(code));
    told.values.push_back(std::move(areas));
  }
  return told;
}

}  // namespace

ZoneSummary zonePatches(const RasterFile& map, int band, const ZonePixels& zones,
                        const Progress& progress) {
  const NumberType type = map.facts(band).type;
  if (type == NumberType::Float32 || type == NumberType::Float64)
    throw Error("Patches are asked of classes, but “{}” holds real numbers.", map.path().string());
  const Grid& grid = map.grid();
  const auto areas = pixelAreas(grid);
  if (areas.empty()) throw Error("Without a reference system patches have no area.");
  std::vector<PatchesOfZone> all(zones.zones());
  // Whole rows, so that what lies beside each other comes together.
  const int rows =
      std::clamp(static_cast<int>(kBlockBytes / sizeof(uint16_t) / static_cast<size_t>(grid.width)),
                 1, grid.height);
  std::vector<uint16_t> codes;
  for (int y = 0; y < grid.height; y += rows) {
    const Window strip{0, y, grid.width, std::min(rows, grid.height - y)};
    progress.at(static_cast<double>(y) / grid.height);
    if (!zones.anyIn(strip)) continue;
    codes.resize(strip.pixels());
    map.readCodes(band, strip, codes.data());
    zones.visit(strip, [&](const ZoneRun& run, size_t at) {
      const auto row = static_cast<int>(at / static_cast<size_t>(grid.width));
      const uint16_t* line =
          codes.data() + static_cast<size_t>(row) * static_cast<size_t>(grid.width);
      eachClass(line, run.from, run.to, [&](int from, int to, uint16_t code) {
        all[run.zone].add(y + row, from, to, code, areas[static_cast<size_t>(y + row)]);
      });
    });
  }
  progress.at(1);
  return toldOf(all);
}

}  // namespace zp
