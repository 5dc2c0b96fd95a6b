#include "accuracy/error_places.h"

#include <cmath>

#include "base/random.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

ValidationPoint point(int id, int mapped, int reference, Place place = {}) {
  ValidationPoint p;
  p.id = id;
  p.mapped = mapped;
  p.reference = reference;
  p.place = place;
  return p;
}

TEST(ErrorPlaces, GroupsAreCutAtEdgesAndByNames) {
  const std::vector<ValidationPoint> points{point(1, 1, 1), point(2, 1, 2), point(3, 2, 2),
                                            point(4, 2, 0), point(5, 0, 2), point(6, 3, 3)};
  const auto byValue =
      errorsByValue(points, {1, 1.5, 2, 1, 1, std::nan("")}, {1, 2}, {"at", "near", "far"});
  ASSERT_EQ(byValue.size(), 3u);
  EXPECT_EQ(byValue[0].ids, (std::set<int>{1}));
  EXPECT_EQ(byValue[1].ids, (std::set<int>{2, 3}));
  EXPECT_EQ(byValue[1].right, 1u);
  EXPECT_EQ(byValue[1].share.value, 0.5);
  EXPECT_TRUE(byValue[2].ids.empty());
  EXPECT_TRUE(std::isnan(byValue[2].share.value));
  const auto byName = errorsByName(points, {"north", "north", "south", "south", "", ""});
  ASSERT_EQ(byName.size(), 2u);
  EXPECT_EQ(byName[0].name, "north");
  EXPECT_EQ(byName[0].ids.size(), 2u);
  EXPECT_EQ(byName[1].right, 1u);
}

std::vector<ErrorGroup> groupsOf(std::initializer_list<std::pair<size_t, int>> rightOf) {
  std::vector<ErrorGroup> groups;
  for (const auto& [right, all] : rightOf) {
    groups.emplace_back();
    for (int i = 0; i < all; ++i) groups.back().ids.insert(i);
    groups.back().right = right;
  }
  return groups;
}

// By hand: 40 of 50 and 30 of 50; expected 35 and 15 in each; 25/35 · 2 + 25/15 · 2 = 4.7619; one
// degree of freedom: p = 0.02909.
TEST(ErrorPlaces, TheTestOfHomogeneityIsThatOfThe2x2Table) {
  EXPECT_NEAR(sameEverywhere(groupsOf({{40, 50}, {30, 50}})), 0.0290963, 1e-6);
  EXPECT_NEAR(sameEverywhere(groupsOf({{40, 50}, {30, 50}, {0, 0}})), 0.0290963, 1e-6);
  EXPECT_NEAR(sameEverywhere(groupsOf({{35, 50}, {35, 50}, {70, 100}})), 1, 1e-12);
  for (const auto& none :
       {groupsOf({}), groupsOf({{3, 6}}), groupsOf({{6, 6}, {5, 5}}), groupsOf({{0, 6}, {0, 5}}),
        groupsOf({{1, 2}, {2, 3}}), groupsOf({{0, 0}})})
    EXPECT_TRUE(std::isnan(sameEverywhere(none)));
}

TEST(ErrorPlaces, DistancesToABorderAreThoseOfAPlainSearch) {
  Folder folder;
  const Grid g = metricGrid(60, 40);
  std::vector<uint16_t> codes(g.pixels());
  Random random(3);
  for (size_t i = 0; i < codes.size(); ++i)
    codes[i] = static_cast<uint16_t>(i % 60 < 30 ? 1 : random.below(40) == 0 ? 3 : 2);
  for (size_t i = 0; i < 60; ++i) codes[i] = 0;
  writeCodes(folder / "m.tif", g, codes);
  std::vector<ValidationPoint> points;
  for (int y = 0; y < 40; y += 3)
    for (int x = 0; x < 60; x += 7)
      points.push_back(point(static_cast<int>(points.size()), 1, 1, g.centre(x, y)));
  points.push_back(point(999, 1, 1, {0, 0}));
  const auto found = borderDistances(points, g.crs, folder / "m.tif", 6);
  size_t i = 0;
  for (int y = 0; y < 40; y += 3)
    for (int x = 0; x < 60; x += 7) {
      const auto own = codes[static_cast<size_t>(y * 60 + x)];
      double best = 6;
      for (int cy = 0; cy < 40; ++cy)
        for (int cx = 0; cx < 60; ++cx) {
          const auto code = codes[static_cast<size_t>(cy * 60 + cx)];
          if (code != 0 && code != own) best = std::min(best, std::hypot(cx - x, cy - y));
        }
      if (own == 0)
        EXPECT_TRUE(std::isnan(found[i]));
      else
        EXPECT_NEAR(found[i], best, 1e-12) << x << " " << y;
      ++i;
    }
  EXPECT_TRUE(std::isnan(found.back()));
}

}  // namespace
}  // namespace zp
