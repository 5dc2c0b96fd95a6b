// The view's tiles, asked for as a hurried hand asks. Run under the thread sanitizer too (preset
// tsan).
#include <gtest/gtest.h>

#include <QtTest/QTest>
#include <random>

#include "support/rasters.h"
#include "threads/patience.h"
#include "view/tile_store.h"

namespace zp {
namespace {

using testing::Folder;
using testing::metricGrid;

/// A scene of three bands, in all their composites, and one of their bands alone.
std::vector<Picture> picturesOf(const std::filesystem::path& folder) {
  const Grid grid = metricGrid(300, 200);
  std::vector<std::vector<float>> bands(3, std::vector<float>(grid.pixels()));
  std::mt19937 random(7);
  for (auto& band : bands)
    for (auto& v : band) v = static_cast<float>(random() % 1000) / 1000;
  testing::writeFloats(folder / "s.tif", grid, bands, {"red", "green", "nir"});
  const Scene scene = openScene(folder / "s.tif");
  std::vector<Picture> all;
  for (const auto& shown : {std::array<size_t, 3>{0, 1, 2}, {2, 0, 1}, {1, 1, 1}})
    all.push_back(compositePicture("s", scene, shown, QString::number(shown[0])));
  return all;
}

/// Those that lie over the scene at a level.
std::vector<TileId> tilesAt(int level) {
  const Extent e = metricGrid(300, 200).extent();
  const double size = TileStore::kSize * std::exp2(level);
  std::vector<TileId> ids;
  for (auto x = static_cast<int64_t>(std::floor(e.left / size)); x * size < e.right; ++x)
    for (auto y = static_cast<int64_t>(std::floor(-e.top / size)); y * size < -e.bottom; ++y)
      ids.push_back({level, x, y});
  return ids;
}

TEST(TilesUnderWay, AreTheSameHoweverTheyAreAskedFor) {
  Folder folder;
  const auto pictures = picturesOf(folder.path());
  const std::string crs = metricGrid(1, 1).crs;
  TileStore store(4);
  std::mt19937 random(1);
  std::vector<std::pair<Picture, TileId>> wanted;
  for (int round = 0; round < 60; ++round) {
    wanted.clear();
    for (const auto& p : pictures)
      for (const auto& id : tilesAt(static_cast<int>(2 + random() % 4)))
        if (random() % 3 != 0) wanted.emplace_back(p, id);
    store.want(wanted, round % 7 == 6 ? crsFrom("EPSG:4326") : crs);
    if (round % 5 == 0) store.forget(pictures[random() % 3].key);
    if (round % 2 == 0) QCoreApplication::processEvents();
  }
  wanted.clear();
  for (const auto& p : pictures) {
    store.forget(p.key);
    for (const auto& id : tilesAt(3)) wanted.emplace_back(p, id);
  }
  store.want(wanted, crs);
  const auto all = [&] {
    return std::all_of(wanted.begin(), wanted.end(), [&](const auto& one) {
      return store.tile(one.first.key, one.second) != nullptr;
    });
  };
  ASSERT_TRUE(QTest::qWaitFor(all, kPatience));
  ASSERT_TRUE(QTest::qWaitFor([&] { return store.idle(); }, kPatience));
  PicturePainter alone;
  for (const auto& [p, id] : wanted) {
    const auto stretch = alone.overview(p).stretch;
    EXPECT_EQ(*store.tile(p.key, id), alone.paint(p, stretch, TileStore::pieceOf(id), crs));
  }
}

TEST(TilesUnderWay, GoAwayWithTheirStore) {
  Folder folder;
  const auto pictures = picturesOf(folder.path());
  for (int round = 0; round < 10; ++round) {
    TileStore store(3);
    std::vector<std::pair<Picture, TileId>> wanted;
    for (const auto& p : pictures)
      for (const auto& id : tilesAt(3)) wanted.emplace_back(p, id);
    store.want(wanted, metricGrid(1, 1).crs);
    if (round % 2 == 0) QCoreApplication::processEvents();
  }
}

}  // namespace
}  // namespace zp
