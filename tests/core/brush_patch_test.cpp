// What a brush covers and what a patch is.
#include <cmath>

#include "base/error.h"
#include "mapping/patch_at.h"
#include "outline/brush.h"
#include "outline/scanline.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

size_t pixelsIn(const Shape& shape, const Grid& grid) {
  size_t n = 0;
  for (const auto& s : pixelsInside(shape, grid)) n += static_cast<size_t>(s.to - s.from);
  return n;
}

TEST(Brushed, CoversWhatIsWithinHalfItsWidth) {
  const Grid g = metricGrid(100, 60, 1);
  const Place a = g.toMap(20.5, 20.5), b = g.toMap(70.5, 20.5), c = g.toMap(70.5, 40.5);
  const Shape shape = brushed({a, b, c}, 9);
  std::vector<char> inside(g.pixels());
  for (const auto& s : pixelsInside(shape, g))
    for (int x = s.from; x < s.to; ++x) inside[static_cast<size_t>(s.row * 100 + x)] = 1;
  for (int y = 0; y < 60; ++y)
    for (int x = 0; x < 100; ++x) {
      const double along = std::hypot(x - std::clamp(x, 20, 70), y - 20),
                   down = std::hypot(x - 70, y - std::clamp(y, 20, 40));
      const double away = std::min(along, down);
      if (std::abs(away - 4.5) < 0.1) continue;  // arcs are drawn as lines
      EXPECT_EQ(inside[static_cast<size_t>(y * 100 + x)] != 0, away < 4.5) << x << " " << y;
    }
}

TEST(Brushed, ADotIsADisc) {
  const Grid g = metricGrid(50, 50, 1);
  const Place a = g.toMap(25, 25);
  EXPECT_NEAR(static_cast<double>(pixelsIn(brushed({a}, 20), g)), M_PI * 100, 8);
  EXPECT_NEAR(static_cast<double>(pixelsIn(brushed({a, a}, 20), g)), M_PI * 100, 8);
  EXPECT_TRUE(brushed({}, 5).rings.empty());
  EXPECT_THROW(brushed({a}, 0), Error);
}

TEST(PatchAt, IsWhatIsJoinedBySides) {
  Folder folder;
  const Grid g = metricGrid(5, 4);
  const std::vector<uint16_t> codes{1, 1, 2, 1, 1,  //
                                    1, 2, 2, 0, 1,  //
                                    1, 2, 3, 1, 1,  //
                                    1, 1, 1, 2, 1};
  writeCodes(folder / "m.tif", g, codes, NumberType::Byte, 0);
  const auto at = [&](double x, double y) {
    return pixelsIn(patchAt(folder / "m.tif", g.toMap(x + 0.5, y + 0.5)), g);
  };
  EXPECT_EQ(at(2, 0), 4u);
  EXPECT_EQ(at(3, 3), 1u);
  EXPECT_EQ(at(0, 0), 7u);
  EXPECT_EQ(at(4, 3), 6u);
  EXPECT_NE(sentenceOf([&] { at(3, 1); }).find("no class there"), std::string::npos);
  EXPECT_NE(sentenceOf([&] { at(9, 1); }).find("no pixel"), std::string::npos);
}

TEST(PatchAt, OneThatReachesTooFarIsRefused) {
  Folder folder;
  const Grid g = metricGrid(3000, 4);
  writeCodes(folder / "m.tif", g, std::vector<uint16_t>(g.pixels(), 1), NumberType::Byte, 0);
  EXPECT_NE(sentenceOf([&] { patchAt(folder / "m.tif", g.toMap(1500, 2)); }).find("draw an area"),
            std::string::npos);
}

}  // namespace
}  // namespace zp
