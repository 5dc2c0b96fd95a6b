#include <cmath>

#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

TEST(Crs, NamesAndTitles) {
  EXPECT_EQ(crsName(crsFrom("EPSG:32627")), "EPSG:32627");
  EXPECT_EQ(crsName(""), "");
  EXPECT_EQ(crsTitle(""), "no reference system");
  EXPECT_EQ(crsTitle(crsFrom("EPSG:32627")), "WGS 84 / UTM zone 27N");
  EXPECT_NE(sentenceOf([] { crsFrom("somewhere"); }).find("EPSG:n"), std::string::npos);
}

TEST(Crs, KindsAndUnits) {
  EXPECT_TRUE(crsIsGeographic(crsFrom("EPSG:4326")));
  EXPECT_FALSE(crsIsGeographic(crsFrom("EPSG:32627")));
  EXPECT_EQ(crsMetresPerUnit(crsFrom("EPSG:32627")), 1);
  EXPECT_NEAR(crsMetresPerUnit(crsFrom("EPSG:2263")), 0.3048006096, 1e-9);
  EXPECT_TRUE(crsSame(crsFrom("EPSG:4326"), crsFrom("EPSG:4326")));
  EXPECT_FALSE(crsSame(crsFrom("EPSG:4326"), crsFrom("EPSG:32627")));
  EXPECT_FALSE(crsSame(crsFrom("EPSG:4326"), ""));
}

TEST(Crs, AKnownPlaceOnTheCentralMeridian) {
  // On the central meridian of a transverse Mercator zone, easting is 500 km exactly and northing
  // is 0.9996 times the meridian arc; at 45° that arc is 4 984 944.378 m (WGS 84, Snyder 1987, eq.
  // 3-21).
  Place p{-21, 45};
  EXPECT_TRUE(CrsChange(crsFrom("EPSG:4326"), crsFrom("EPSG:32627")).apply(p));
  EXPECT_NEAR(p.x, 500000, 1e-6);
  EXPECT_NEAR(p.y, 0.9996 * 4984944.378, 0.01);
}

TEST(Crs, ThereAndBack) {
  const CrsChange there(crsFrom("EPSG:32627"), crsFrom("EPSG:4326"));
  const CrsChange back(crsFrom("EPSG:4326"), crsFrom("EPSG:32627"));
  for (double x : {400000.0, 512345.6}) {
    Place p{x, 5700000};
    there.apply(p);
    EXPECT_LT(std::abs(p.x), 180);
    back.apply(p);
    EXPECT_NEAR(p.x, x, 1e-5);
  }
}

TEST(Crs, NoWayWithoutASystem) {
  EXPECT_NE(sentenceOf([] { CrsChange(crsFrom("EPSG:4326"), ""); }).find("no reference system"),
            std::string::npos);
  EXPECT_TRUE(CrsChange("", "").identity());
  Place p{500, 95};  // no such latitude
  EXPECT_FALSE(CrsChange(crsFrom("EPSG:4326"), crsFrom("EPSG:32627")).apply(p));
}

TEST(Extent, IncludeAndOverlap) {
  Extent e{0, 0, 1, 1};
  e.include({3, -2});
  EXPECT_EQ(e.right, 3);
  EXPECT_EQ(e.bottom, -2);
  EXPECT_TRUE(e.overlaps({2, 0, 5, 5}));
  EXPECT_FALSE(e.overlaps({3, 0, 5, 5}));  // they only touch
  EXPECT_TRUE((Extent{1, 1, 1, 2}).empty());
}

}  // namespace
}  // namespace zp
