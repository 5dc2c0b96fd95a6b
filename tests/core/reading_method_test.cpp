// Values between pixels and means around places, and the different pixels behind them.
#include "sampling/reading_method.h"

#include <cmath>

#include "sampling/feature_readings.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

class AroundPlaces : public ::testing::Test {
 protected:
  void SetUp() override {
    for (int row = 0; row < 40; ++row)
      for (int column = 0; column < 50; ++column)
        plane_.push_back(static_cast<float>(3 * column - 2 * row));
    writeFloats(folder_ / "plane.tif", grid_, {plane_}, {}, -9999);
  }
  double at(double column, double row, const ReadingMethod& how, const char* file = "plane.tif") {
    return readAt({grid_.toMap(column, row)}, grid_.crs, {{folder_ / file, 1, "v"}}, Progress(),
                  how)
        .values[0][0];
  }
  const ReadingMethod bilinear_{ReadingMethod::Kind::Bilinear};
  const Grid grid_ = metricGrid(50, 40);
  std::vector<float> plane_;
  Folder folder_;
};

TEST_F(AroundPlaces, BilinearIsExactOnAPlane) {
  // Its value at a place is that of the plane through the centres.
  for (const auto& [column, row] : {std::pair{10.5, 7.5}, {10.9, 7.2}, {3.01, 38.7}, {25.0, 20.0}})
    EXPECT_NEAR(at(column, row, bilinear_), 3 * (column - 0.5) - 2 * (row - 0.5), 1e-5);
  // At the border there is nothing to go towards.
  EXPECT_NEAR(at(0.1, 0.1, bilinear_), 0, 1e-6);
  EXPECT_TRUE(std::isnan(at(-0.1, 5, bilinear_)));
}

TEST_F(AroundPlaces, TheMeanOfAWindowIsOfWhatHasAValue) {
  auto holed = plane_;
  holed[7 * 50 + 10] = holed[8 * 50 + 11] = -9999;
  writeFloats(folder_ / "holed.tif", grid_, {holed}, {}, -9999);
  const ReadingMethod mean{ReadingMethod::Kind::Mean, 3};
  EXPECT_NEAR(at(10.2, 7.9, mean), 3 * 10 - 2 * 7, 1e-6);
  double sum = 0;
  for (int row = 6; row <= 8; ++row)
    for (int column = 9; column <= 11; ++column) {
      const bool hole = (row == 7 && column == 10) || (row == 8 && column == 11);
      sum += hole ? 0 : 3 * column - 2 * row;
    }
  EXPECT_NEAR(at(10.2, 7.9, mean, "holed.tif"), sum / 7, 1e-5);
  // In the corner, of the pixels that there are.
  EXPECT_NEAR(at(0.5, 0.5, mean), (0 + 3 - 2 + 1) / 4.0, 1e-6);
  // Between pixels, the one it lies in must have a value.
  EXPECT_TRUE(std::isnan(at(10.5, 7.5, bilinear_, "holed.tif")));
  EXPECT_FALSE(std::isnan(at(9.9, 7.5, bilinear_, "holed.tif")));
}

TEST_F(AroundPlaces, DecibelsAreAveragedAsPower) {
  std::vector<float> decibels(grid_.pixels(), -20);
  decibels[5 * 50 + 5] = -10;
  writeFloats(folder_ / "vh.tif", grid_, {decibels}, {"vh"});
  Scene s = openScene(folder_ / "vh.tif");
  s.state = ValueState::BackscatterDecibels;
  setRoles(s, {{"vh", 1}});
  const double want = 10 * std::log10((8 * 0.01 + 0.1) / 9);
  const ReadingMethod mean{ReadingMethod::Kind::Mean, 3};
  const std::vector<Place> place{grid_.centre(5, 5)};
  EXPECT_NEAR(readBandAt(place, grid_.crs, s, 0, mean)[0], want, 1e-5);
  EXPECT_NEAR(readFeaturesAt(place, grid_.crs, Scope({{"", s}}), {"decibels(vh)"}, Progress(), mean)
                  .values[0][0],
              want, 1e-5);
}

TEST_F(AroundPlaces, ManyPlacesInPartsAndInAnotherSystem) {
  // More pixels around them than are read at once.
  std::vector<Place> places;
  for (int i = 0; i < 3000; ++i) places.push_back(grid_.toMap(i % 48 + 0.7, i % 37 + 0.6));
  const CrsChange change(grid_.crs, crsFrom("EPSG:4326"));
  for (auto& p : places) change.apply(p);
  const auto read = readAt(places, crsFrom("EPSG:4326"), {{folder_ / "plane.tif", 1, "v"}},
                           Progress(), {ReadingMethod::Kind::Mean, 41});
  const auto one = readAt({places[2999]}, crsFrom("EPSG:4326"), {{folder_ / "plane.tif", 1, "v"}},
                          Progress(), {ReadingMethod::Kind::Mean, 41});
  EXPECT_EQ(read.values[0][2999], one.values[0][0]);
  EXPECT_EQ(read.values[0].size(), 3000u);
  const auto between = readAt(places, crsFrom("EPSG:4326"), {{folder_ / "plane.tif", 1, "v"}},
                              Progress(), bilinear_);
  EXPECT_NEAR(between.values[0][100], 3 * (100 % 48 + 0.2) - 2 * (100 % 37 + 0.1), 1e-3);
}

TEST_F(AroundPlaces, DifferentPixelsAreCounted) {
  const std::vector<Place> places{grid_.toMap(1.1, 1.1), grid_.toMap(1.9, 1.2),
                                  grid_.toMap(2.1, 1.1), grid_.toMap(-1, 1), grid_.toMap(9, 9)};
  const auto read = readAt(places, grid_.crs, {{folder_ / "plane.tif", 1, "v"}});
  EXPECT_EQ(read.distinct, (std::vector<size_t>{3}));
  EXPECT_EQ(distinctPixels(grid_, places, grid_.crs, {1, NAN, NAN, NAN, 2}), 2u);
}

TEST(ReadingMethods, AreAskedForByTheirNames) {
  EXPECT_EQ(readingMethod("mean", 5).window, 5);
  EXPECT_NE(sentenceOf([] { readingMethod("biliner"); }).find("Did you mean “bilinear”"),
            std::string::npos);
  for (const int wrong : {0, 4, -3, 101})
    EXPECT_NE(sentenceOf([&] { readingMethod("mean", wrong); }).find("odd number"),
              std::string::npos);
}

}  // namespace
}  // namespace zp
