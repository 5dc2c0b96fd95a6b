// Readings of features at points, against pixels computed whole.
#include "sampling/feature_readings.h"

#include <cmath>
#include <random>

#include "base/random.h"
#include "feature/feature_kind.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

class FeatureReadings : public ::testing::Test {
 protected:
  void SetUp() override {
    std::mt19937 random(3);
    for (auto& band : bands_) {
      band.resize(grid_.pixels());
      for (auto& v : band) v = static_cast<float>(random() % 1000 + 1) / 1000;
    }
    bands_[1][5] = std::nanf("");
    writeFloats(folder_ / "s.tif", grid_, bands_, {"red", "nir"}, -9999);
  }
  Scope scope() { return Scope({{"", openScene(folder_ / "s.tif")}}); }
  /// The middle of pixels, drawn by seed, and some places that lie nowhere on them.
  std::vector<Place> places(size_t n) {
    std::mt19937 random(11);
    std::vector<Place> all;
    for (size_t i = 0; i < n; ++i)
      all.push_back(
          grid_.centre(static_cast<int>(random() % 700), static_cast<int>(random() % 530)));
    return all;
  }
  size_t pixelOf(Place p) {
    const Place at = grid_.toPixel(p);
    if (at.x < 0 || at.y < 0 || at.x >= grid_.width || at.y >= grid_.height) return grid_.pixels();
    return static_cast<size_t>(at.y) * static_cast<size_t>(grid_.width) + static_cast<size_t>(at.x);
  }
  Folder folder_;
  const Grid grid_ = metricGrid(600, 520);
  std::vector<std::vector<float>> bands_{2};
};

TEST_F(FeatureReadings, AreThePixelsThatThePlacesLieIn) {
  const auto where = places(4000);
  const std::vector<std::string> lines{"band(nir)", "index(ndvi)", "formula(nir - red)"};
  const Readings read = readFeaturesAt(where, grid_.crs, scope(), lines);
  ASSERT_EQ(read.columns.size(), 3u);
  EXPECT_EQ(read.columns[0], "nir");
  size_t outside = 0;
  for (size_t i = 0; i < where.size(); ++i) {
    const size_t p = pixelOf(where[i]);
    if (p == grid_.pixels()) {
      ++outside;
      for (const auto& column : read.values) EXPECT_TRUE(std::isnan(column[i]));
      continue;
    }
    const float red = bands_[0][p], nir = bands_[1][p];
    if (std::isnan(nir)) {
      for (const auto& column : read.values) EXPECT_TRUE(std::isnan(column[i]));
      continue;
    }
    EXPECT_EQ(read.values[0][i], static_cast<double>(nir));
    EXPECT_NEAR(read.values[1][i], (nir - red) / (nir + red), 1e-6);
    EXPECT_NEAR(read.values[2][i], nir - red, 1e-6);
  }
  EXPECT_GT(outside, 100u);
  const Readings empty = readFeaturesAt({grid_.centre(5, 0)}, grid_.crs, scope(), lines);
  EXPECT_TRUE(std::isnan(empty.values[1][0]));
}

TEST_F(FeatureReadings, LookAroundAPixelAcrossTheirBlocks) {
  // At the corners of the cells that are read by themselves, and on the edge of the scene.
  std::vector<Place> where;
  for (const int c : {0, 255, 256, 257, 511, 512, 599})
    for (const int r : {1, 255, 256, 511, 519}) where.push_back(grid_.centre(c, r));
  const Readings read = readFeaturesAt(where, grid_.crs, scope(), {"formula(mean_in(red, 5))"});
  for (size_t i = 0; i < where.size(); ++i) {
    const Place at = grid_.toPixel(where[i]);
    double sum = 0;
    int n = 0;
    for (int y = static_cast<int>(at.y) - 2; y <= static_cast<int>(at.y) + 2; ++y)
      for (int x = static_cast<int>(at.x) - 2; x <= static_cast<int>(at.x) + 2; ++x)
        if (x >= 0 && y >= 0 && x < grid_.width && y < grid_.height)
          sum += static_cast<double>(
              bands_[0][static_cast<size_t>(y) * static_cast<size_t>(grid_.width) +
                        static_cast<size_t>(x)]),
              ++n;
    EXPECT_NEAR(read.values[0][i], sum / n, 1e-5) << at.x << " " << at.y;
  }
}

TEST_F(FeatureReadings, PlacesInAnotherSystemAreBroughtOver) {
  const auto where = places(300);
  const CrsChange change(grid_.crs, crsFrom("EPSG:4326"));
  auto degrees = where;
  for (auto& p : degrees) ASSERT_TRUE(change.apply(p));
  const auto a = readFeaturesAt(where, grid_.crs, scope(), {"index(ndvi)"}),
             b = readFeaturesAt(degrees, crsFrom("EPSG:4326"), scope(), {"index(ndvi)"});
  for (size_t i = 0; i < where.size(); ++i)
    EXPECT_TRUE(a.values[0][i] == b.values[0][i] ||
                (std::isnan(a.values[0][i]) && std::isnan(b.values[0][i])));
}

TEST_F(FeatureReadings, OfAnotherSceneSayOfWhich) {
  writeFloats(folder_ / "may.tif", grid_, {bands_[1], bands_[0]}, {"red", "nir"});
  const Scope both({{"", openScene(folder_ / "s.tif")}, {"may", openScene(folder_ / "may.tif")}});
  const Readings read =
      readFeaturesAt({grid_.centre(9, 9)}, grid_.crs, both, {"band(red)", "band(nir) of may"});
  EXPECT_EQ(read.columns, (std::vector<std::string>{"red", "nir of may"}));
  EXPECT_EQ(read.values[0][0], read.values[1][0]);
}

TEST_F(FeatureReadings, WithoutPlacesOrAPositionIsAnError) {
  EXPECT_TRUE(sentenceOf([&] {
                readFeaturesAt({}, grid_.crs, scope(), {"band(red)"});
              }).find("no points") != std::string::npos);
  Grid nowhere = metricGrid(20, 20);
  nowhere.georeferenced = false;
  nowhere.crs.clear();
  writeFloats(folder_ / "n.tif", nowhere, {std::vector<float>(400, 1)}, {"red"});
  const Scope lost({{"", openScene(folder_ / "n.tif")}});
  EXPECT_TRUE(sentenceOf([&] {
                readFeaturesAt({{1, 1}}, "", lost, {"band(red)"});
              }).find("does not say where it lies") != std::string::npos);
}

}  // namespace
}  // namespace zp
