// Light on slopes, against slopes whose light is known.
#include "scene/slope_light.h"

#include <cmath>

#include "base/random.h"
#include "grid/gradient.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

TEST(LightOn, IsTheCosineBetweenTheSunAndTheSlope) {
  const double steep = std::tan(M_PI / 6);  // 30 degrees
  EXPECT_NEAR(lightOn(0, 0, {30, 135}), 0.5, 1e-12);
  // It rises to the north, so it faces south: towards the sun, and away from it.
  EXPECT_NEAR(lightOn(0, steep, {60, 180}), 1, 1e-12);
  EXPECT_NEAR(lightOn(0, steep, {60, 0}), 0.5, 1e-12);
  EXPECT_NEAR(lightOn(0, steep, {30, 0}), 0, 1e-12);
  // Beside it, the sun stands no nearer than over level ground.
  EXPECT_NEAR(lightOn(0, steep, {30, 90}), 0.5 * std::cos(M_PI / 6), 1e-12);
  EXPECT_NEAR(lightOn(-steep, 0, {60, 90}), 1, 1e-12);  // falls to the east
}

TEST(Gradient, OfAPlaneIsItsOwn) {
  std::vector<float> z, east(20), north(20);
  for (int y = 0; y < 4; ++y)
    for (int x = 0; x < 5; ++x) z.push_back(static_cast<float>(3 * x * 10 - 0.5 * y * 20));
  gradientOf(z.data(), 5, 4, 10, 20, east.data(), north.data());
  EXPECT_NEAR(east[6], 3, 1e-6);
  EXPECT_NEAR(north[6], 0.5, 1e-6);
  EXPECT_TRUE(std::isnan(east[0]) && std::isnan(north[19]));
}

class SlopesInLight : public ::testing::Test {
 protected:
  static constexpr int kSide = 60;
  /// Hills, and ground of one colour in their light: value × (cos i + c).
  void SetUp() override {
    grid_ = metricGrid(kSide, kSide);
    for (int y = 0; y < kSide; ++y)
      for (int x = 0; x < kSide; ++x)
        heights_.push_back(static_cast<float>(60 * std::sin(x / 7.0) * std::cos(y / 9.0)));
    std::vector<float> east(heights_.size()), north(heights_.size());
    gradientOf(heights_.data(), kSide, kSide, 10, 10, east.data(), north.data());
    for (size_t i = 0; i < heights_.size(); ++i)
      light_.push_back(lightOn(std::isnan(east[i]) ? 0 : static_cast<double>(east[i]),
                               std::isnan(north[i]) ? 0 : static_cast<double>(north[i]), sun_));
    scene_ = write({0.0, 0.6});
    writeFloats(folder_ / "z.tif", grid_, {heights_});
    height_ = openScene(folder_ / "z.tif");
  }
  Scene write(const std::vector<double>& constants) {
    std::vector<std::vector<float>> bands;
    for (size_t b = 0; b < constants.size(); ++b) {
      auto& band = bands.emplace_back();
      for (const double l : light_) band.push_back(static_cast<float>(0.3 * (l + constants[b])));
    }
    Random random(4);  // and one that has nothing to do with it
    auto& other = bands.emplace_back();
    for (size_t i = 0; i < light_.size(); ++i)
      other.push_back(static_cast<float>(random.uniform()));
    writeFloats(folder_ / "s.tif", grid_, bands, {"red", "nir", "other"});
    return openScene(folder_ / "s.tif");
  }
  std::vector<std::vector<float>> corrected(SlopeLight how, const std::vector<double>& c) {
    correctSlopeLight(scene_, {&height_, 0}, sun_, how, c, folder_ / "o.tif");
    return {readFloats(folder_ / "o.tif", 1), readFloats(folder_ / "o.tif", 2),
            readFloats(folder_ / "o.tif", 3)};
  }
  Folder folder_;
  Grid grid_;
  Sun sun_{50, 150};
  std::vector<float> heights_;
  std::vector<double> light_;
  Scene scene_, height_;
};

TEST_F(SlopesInLight, AreAsBrightAsLevelGround) {
  const auto c = lightConstants(scene_, {&height_, 0}, sun_);
  ASSERT_EQ(c.size(), 3u);
  EXPECT_NEAR(c[0], 0, 1e-5);
  EXPECT_NEAR(c[1], 0.6, 1e-5);
  EXPECT_TRUE(std::isnan(c[2]));
  const auto bands = corrected(SlopeLight::C, c);
  const double level = lightOn(0, 0, sun_);
  for (int y = 1; y + 1 < kSide; ++y)
    for (int x = 1; x + 1 < kSide; ++x) {
      const auto i = static_cast<size_t>(y * kSide + x);
      if (!(light_[i] > 0)) {
        EXPECT_TRUE(std::isnan(bands[0][i]));
        continue;
      }
      EXPECT_NEAR(bands[0][i], 0.3 * level, 1e-5);
      EXPECT_NEAR(bands[1][i], 0.3 * (level + 0.6), 1e-5);
    }
  // What does not follow the light stays.
  const auto i = static_cast<size_t>(30 * kSide + 30);
  EXPECT_EQ(bands[2][i], readFloats(folder_ / "s.tif", 3)[i]);
}

TEST_F(SlopesInLight, ByCosineAlone) {
  const auto bands = corrected(SlopeLight::Cosine, {});
  const auto i = static_cast<size_t>(30 * kSide + 30);
  ASSERT_GT(light_[i], 0);
  EXPECT_NEAR(bands[0][i], 0.3 * lightOn(0, 0, sun_), 1e-5);
}

TEST_F(SlopesInLight, WhatCannotBeIsASentence) {
  EXPECT_NE(sentenceOf([&] {
              lightConstants(scene_, {&height_, 0}, {0, 90});
            }).find("sun"),
            std::string::npos);
  writeFloats(folder_ / "far.tif", metricGrid(5, 5), {std::vector<float>(25, -1)}, {}, -1);
  const Scene none = openScene(folder_ / "far.tif");
  EXPECT_NE(sentenceOf([&] {
              lightConstants(scene_, {&none, 0}, sun_);
            }).find("height"),
            std::string::npos);
}

}  // namespace
}  // namespace zp
