// Patches of classes in zones, against a flood fill of each zone by itself.
#include "sampling/zone_patches.h"

#include <random>

#include "sampling/zones.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

class ZonePatches : public ::testing::Test {
 protected:
  std::vector<uint16_t> noise(unsigned seed, unsigned classes) {
    std::mt19937 random(seed);
    std::vector<uint16_t> codes(grid_.pixels());
    for (auto& c : codes) c = static_cast<uint16_t>(random() % (classes + 1));
    return codes;
  }
  Layer polygons(std::vector<Ring> rings) {
    Layer layer{"zones", grid_.crs, {{"id"}, {}}, {}};
    for (auto& ring : rings) {
      for (auto& p : ring) p = grid_.toMap(p.x, p.y);
      layer.table.rows.push_back({std::to_string(layer.shapes.size())});
      layer.shapes.push_back({{ring}, {}});
    }
    return layer;
  }
  /// The patches of a class among the pixels of a mask, by visiting one after the other.
  size_t flooded(const std::vector<uint16_t>& codes, std::vector<bool> left, uint16_t code) {
    size_t n = 0;
    for (size_t start = 0; start < codes.size(); ++start) {
      if (!left[start] || codes[start] != code) continue;
      ++n;
      std::vector<size_t> open{start};
      left[start] = false;
      while (!open.empty()) {
        const size_t at = open.back();
        open.pop_back();
        const int x = static_cast<int>(at) % grid_.width, y = static_cast<int>(at) / grid_.width;
        for (int dy = -1; dy <= 1; ++dy)
          for (int dx = -1; dx <= 1; ++dx) {
            if (x + dx < 0 || x + dx >= grid_.width || y + dy < 0 || y + dy >= grid_.height)
              continue;
            const auto next = static_cast<size_t>((y + dy) * grid_.width + x + dx);
            if (left[next] && codes[next] == code) left[next] = false, open.push_back(next);
          }
      }
    }
    return n;
  }
  const Grid grid_ = metricGrid(60, 50);
  Folder folder_;
};

TEST_F(ZonePatches, AgreeWithAFloodFillOfEachZone) {
  for (const unsigned seed : {1u, 2u, 3u}) {
    const auto codes = noise(seed, 3);
    const auto file = writeCodes(folder_ / "map.tif", grid_, codes);
    // Overlapping and oblique ones, one over the edge of the map and one without a pixel.
    const Layer zones = polygons({{{5, 5}, {35, 8}, {30, 40}, {8, 30}},
                                  {{20, 20}, {59, 21}, {40, 48}},
                                  {{-9, 40}, {12, 40}, {12, 70}, {-9, 70}},
                                  {{3.6, 3.6}, {3.9, 3.6}, {3.9, 3.9}}});
    const RasterFile map(file);
    const ZonePixels pixels(zones.shapes, zones.crs, grid_, Inclusion::Centres);
    const ZoneSummary told = zonePatches(map, 1, pixels);
    ASSERT_EQ(told.columns.size(), 6u);
    for (size_t z = 0; z < 4; ++z) {
      std::vector<bool> mask(grid_.pixels(), false);
      pixels.visit({0, 0, grid_.width, grid_.height}, [&](const ZoneRun& run, size_t at) {
        if (run.zone != z) return;
        const size_t row = at / static_cast<size_t>(grid_.width) * static_cast<size_t>(grid_.width);
        for (int x = run.from; x < run.to; ++x) mask[row + static_cast<size_t>(x)] = true;
      });
      for (uint16_t code = 1; code <= 3; ++code) {
        const double count = told.values[2 * (code - 1u)][z], area = told.values[2 * code - 1u][z];
        if (z == 3) {
          EXPECT_TRUE(std::isnan(count) && std::isnan(area));
          continue;
        }
        size_t n = 0;
        for (size_t p = 0; p < codes.size(); ++p) n += mask[p] && codes[p] == code ? 1 : 0;
        EXPECT_EQ(count, static_cast<double>(flooded(codes, mask, code))) << z << " " << code;
        EXPECT_EQ(area, static_cast<double>(n) * 100) << z << " " << code;
      }
    }
  }
}

TEST_F(ZonePatches, StandBesideTheOtherStatistics) {
  std::vector<uint16_t> codes(grid_.pixels(), 4);
  codes[3 * 60 + 3] = codes[4 * 60 + 4] = codes[10 * 60 + 10] = 7;  // two touch by a corner
  const auto file = writeCodes(folder_ / "map.tif", grid_, codes);
  const Layer zones = polygons({{{0, 0}, {20, 0}, {20, 20}, {0, 20}}});
  ZoneQuestion question;
  for (const char* id : {"majority", "patches"}) question.statistics.push_back(zoneStatistic(id));
  const auto told = summarise(zones, {{file, 1, "map"}}, question);
  ASSERT_EQ(told.size(), 1u);
  EXPECT_EQ(told[0].columns, (std::vector<std::string>{"majority", "patches_4", "patch_area_4",
                                                       "patches_7", "patch_area_7"}));
  EXPECT_EQ(told[0].values[1][0], 1);
  EXPECT_EQ(told[0].values[3][0], 2);
  EXPECT_EQ(told[0].values[4][0], 300);
  const auto real =
      writeFloats(folder_ / "real.tif", grid_, {std::vector<float>(grid_.pixels(), 1.5f)}, {"a"});
  EXPECT_THROW(summarise(zones, {{real, 1, "real"}}, question), Error);
}

}  // namespace
}  // namespace zp
