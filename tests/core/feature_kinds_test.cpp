// Features that look around a pixel, or through a season, against direct computations.
#include <cmath>
#include <map>

#include "base/nan.h"
#include "base/random.h"
#include "feature/feature_kind.h"
#include "feature/feature_reader.h"
#include "feature/texture.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

constexpr int kWidth = 40, kHeight = 30;

/// Some dates of one place: optical with red and nir, radar with vv, and heights.
class FeatureKinds : public ::testing::Test {
 protected:
  void SetUp() override {
    Random random(5);
    std::vector<NamedScene> all;
    const auto values = [&](double from, double to) {
      std::vector<float> v(kWidth * kHeight);
      for (float& x : v) x = static_cast<float>(from + (to - from) * random.uniform());
      return v;
    };
    const char* days[] = {"2031-05-01", "2031-03-02", "2031-12-31", "2032-01-01"};
    for (int i = 0; i < 4; ++i) {
      auto red = values(0.05, 0.3), nir = values(0.1, 0.6), vv = values(0.01, 0.4);
      nir[static_cast<size_t>(5 + i)] = vv[static_cast<size_t>(9 + i)] = -9999;
      nir_.push_back(nir);
      vv_.push_back(vv);
      const std::string name = "d" + std::to_string(i);
      Scene optical = openScene(
          writeFloats(folder_ / ("o" + name + ".tif"), grid_, {red, nir}, {"red", "nir"}, -9999));
      Scene radar =
          openScene(writeFloats(folder_ / ("r" + name + ".tif"), grid_, {vv}, {"vv"}, -9999));
      optical.date = radar.date = days[i];
      radar.state = ValueState::BackscatterPower;
      all.push_back({i == 0 ? "" : "o" + name, optical});
      all.push_back({"r" + name, radar});
    }
    std::vector<float> height;
    for (int y = 0; y < kHeight; ++y)
      for (int x = 0; x < kWidth; ++x) height.push_back(static_cast<float>(3 * x - 4 * y));
    all.push_back({"height", openScene(writeFloats(folder_ / "h.tif", grid_, {height}, {"h"}))});
    scope_ = Scope(all);
  }
  std::vector<float> values(const std::string& line, Window w = {0, 0, kWidth, kHeight}) {
    FeatureBlock block;
    FeatureReader(scope_, makeFeatures({line}, scope_)).read(w, block);
    return block.values;
  }
  std::string wrong(const std::string& line) {
    return sentenceOf([&] { makeFeature(line, scope_); });
  }
  static double decibels(double power) { return 10 * std::log10(power); }
  Folder folder_;
  Grid grid_ = metricGrid(kWidth, kHeight, 5);
  std::vector<std::vector<float>> nir_, vv_;
  Scope scope_;
};

TEST_F(FeatureKinds, RadarIsAveragedAsPowerAroundAPixel) {
  const auto ours = values("neighbourhood(vv, mean, 3) of rd0");
  const auto& vv = vv_[0];
  for (int y = 0; y < kHeight; ++y)
    for (int x = 0; x < kWidth; ++x) {
      double sum = 0, n = 0;
      for (int v = std::max(0, y - 1); v <= std::min(kHeight - 1, y + 1); ++v)
        for (int u = std::max(0, x - 1); u <= std::min(kWidth - 1, x + 1); ++u)
          if (const float p = vv[static_cast<size_t>(v * kWidth + u)]; p > 0)
            sum += static_cast<double>(p), n += 1;
      const auto at = static_cast<size_t>(y * kWidth + x);
      if (vv[at] < 0)
        EXPECT_TRUE(std::isnan(ours[at]));
      else
        EXPECT_NEAR(ours[at], decibels(sum / n), 1e-4) << x << " " << y;
    }
  // The same place told in decibels gives the same.
  std::vector<float> told;
  for (const float p : vv)
    told.push_back(p < 0 ? -9999 : static_cast<float>(decibels(static_cast<double>(p))));
  Scene in = openScene(writeFloats(folder_ / "db.tif", grid_, {told}, {"vv"}, -9999));
  in.state = ValueState::BackscatterDecibels;
  scope_ = Scope(in);
  const auto same = values("neighbourhood(vv, mean, 3)");
  for (size_t i = 0; i < ours.size(); ++i)
    if (!std::isnan(ours[i])) {
      EXPECT_NEAR(same[i], ours[i], 1e-3);
    }
  EXPECT_NE(wrong("neighbourhood(vv, mean, 4)").find("odd"), std::string::npos);
}

TEST_F(FeatureKinds, TheSpreadOfANeighbourhoodIsThatOfItsValues) {
  const auto ours = values("neighbourhood(nir, spread, 5)");
  const size_t at = 12 * kWidth + 20;
  double sum = 0, squares = 0;
  for (size_t y = 10; y <= 14; ++y)
    for (size_t x = 18; x <= 22; ++x) {
      const auto v = static_cast<double>(nir_[0][y * kWidth + x]);
      sum += v, squares += v * v;
    }
  EXPECT_NEAR(ours[at], std::sqrt((squares - sum * sum / 25) / 24), 1e-6);
}

TEST_F(FeatureKinds, ASeasonIsTakenOverTheDatesThatHaveIt) {
  std::map<std::string, std::vector<float>> ours;
  for (const char* of : {"mean", "spread", "min", "max", "peak"})
    ours[of] = values(std::string("season(nir, ") + of + ")");
  const double days[] = {121, 61, 365, 366};
  for (size_t i = 0; i < nir_[0].size(); ++i) {
    double sum = 0, squares = 0, n = 0, least = 1e9, most = -1e9, peak = 0;
    for (size_t d = 0; d < 4; ++d) {
      const auto v = static_cast<double>(nir_[d][i]);
      if (v < 0) continue;
      sum += v, squares += v * v, n += 1;
      least = std::min(least, v);
      if (v > most) most = v, peak = days[d];
    }
    EXPECT_NEAR(ours["mean"][i], sum / n, 1e-6);
    EXPECT_NEAR(ours["spread"][i], std::sqrt((squares - sum * sum / n) / (n - 1)), 1e-5);
    EXPECT_NEAR(ours["min"][i], least, 1e-7);
    EXPECT_NEAR(ours["max"][i], most, 1e-7);
    EXPECT_EQ(ours["peak"][i], peak);
  }
}

TEST_F(FeatureKinds, ASeasonOfRadarIsAMeanOfPowerAndElseOfDecibels) {
  const auto mean = values("season(vv, mean)"), spread = values("season(vv, spread)");
  for (size_t i = 0; i < mean.size(); ++i) {
    double sum = 0, of = 0, squares = 0, n = 0;
    for (size_t d = 0; d < 4; ++d) {
      const auto p = static_cast<double>(vv_[d][i]);
      if (p < 0) continue;
      sum += p, n += 1, of += decibels(p), squares += decibels(p) * decibels(p);
    }
    EXPECT_NEAR(mean[i], decibels(sum / n), 1e-4);
    EXPECT_NEAR(spread[i], std::sqrt((squares - of * of / n) / (n - 1)), 1e-3);
  }
}

TEST_F(FeatureKinds, ASeasonOfAFormulaAndWhatIsMissing) {
  const auto ours = values("season(ndiff(nir, red), max)");
  EXPECT_GT(ours[100], 0);
  EXPECT_LE(ours[100], 1);
  EXPECT_NE(wrong("season(swir16, mean)").find("there are 0"), std::string::npos);
  EXPECT_NE(wrong("season(h, mean)").find("two or more scenes"), std::string::npos);
  scope_.scenes[3].scene.state = ValueState::BackscatterDecibels;
  EXPECT_NE(wrong("season(vv, mean)").find("another kind"), std::string::npos);
}

TEST_F(FeatureKinds, ASeasonOfSomeDatesOnly) {
  const auto line = parseFeature("season(vv, max, rd1 rd3)");
  EXPECT_EQ(layersOf(line), (std::vector<std::string>{"rd1", "rd3"}));
  const auto ours = values("season(vv, max, rd1 rd3)");
  const size_t at = 500;
  EXPECT_NEAR(ours[at], decibels(static_cast<double>(std::max(vv_[1][at], vv_[3][at]))), 1e-4);
  // A scene that stands here twice counts once.
  scope_.scenes.push_back({"again", scope_.scenes[1].scene});
  EXPECT_EQ(makeFeature("season(vv, max)", scope_)->planes().size(), 4u);
  EXPECT_NE(wrong("season(vv, max, rd1 rd9)").find("rd9"), std::string::npos);
}

TEST_F(FeatureKinds, TheSlopeOfAPlane) {
  // 3 m up for 5 m east, 4 m up for 5 m north (rows go south).
  const auto slope = values("slope of height"), north = values("slope(1, northness) of height"),
             east = values("slope(1, eastness) of height");
  for (int y = 0; y < kHeight; ++y)
    for (int x = 0; x < kWidth; ++x) {
      const auto at = static_cast<size_t>(y * kWidth + x);
      if (x == 0 || y == 0 || x == kWidth - 1 || y == kHeight - 1) {
        EXPECT_TRUE(std::isnan(slope[at]));
        continue;
      }
      EXPECT_NEAR(slope[at], 45, 1e-4);
      EXPECT_NEAR(north[at], -0.8, 1e-5);  // it falls to the south and west
      EXPECT_NEAR(east[at], -0.6, 1e-5);
    }
  scope_.grid.crs = crsFrom("EPSG:4326");
  EXPECT_NE(wrong("slope of height").find("metres or feet"), std::string::npos);
}

/// The matrix of one window counted pair by pair, and its measures by their definitions.
struct Counted {
  std::map<std::pair<int, int>, double> p;
  double n = 0;
  Counted(const std::vector<int>& levels, int x, int y, int radius) {
    const auto inside = [&](int u, int v) {
      return std::abs(u - x) <= radius && std::abs(v - y) <= radius && u >= 0 && v >= 0 &&
             u < kWidth && v < kHeight;
    };
    for (int v = 0; v < kHeight; ++v)
      for (int u = 0; u < kWidth; ++u)
        for (int dv = -1; dv <= 1; ++dv)
          for (int du = -1; du <= 1; ++du) {
            if ((du == 0 && dv == 0) || !inside(u, v) || !inside(u + du, v + dv)) continue;
            const int a = levels[static_cast<size_t>(v * kWidth + u)],
                      b = levels[static_cast<size_t>((v + dv) * kWidth + u + du)];
            if (a >= 0 && b >= 0) p[{a, b}] += 1, n += 1;
          }
    for (auto& [pair, share] : p) share /= n;
  }
  double measure(TextureMeasure what) const {
    double mean = 0, variance = 0, sum = 0;
    for (const auto& [pair, share] : p) mean += share * pair.first;
    for (const auto& [pair, share] : p)
      variance += share * (pair.first - mean) * (pair.first - mean);
    for (const auto& [pair, share] : p) {
      const double gap = pair.first - pair.second;
      if (what == TextureMeasure::Contrast) sum += share * gap * gap;
      if (what == TextureMeasure::Homogeneity) sum += share / (1 + gap * gap);
      if (what == TextureMeasure::Entropy) sum -= share * std::log(share);
      if (what == TextureMeasure::Correlation)
        sum += share * (pair.first - mean) * (pair.second - mean) / variance;
    }
    return sum;
  }
};

TEST_F(FeatureKinds, TextureIsThatOfTheCountedMatrix) {
  std::vector<float> v = nir_[0];
  std::vector<int> levels;
  for (float& x : v) {
    if (x < 0) x = kNan;
    levels.push_back(
        std::isnan(x)
            ? -1
            : std::clamp(static_cast<int>(std::floor((static_cast<double>(x) - 0.2) / 0.3 * 16)), 0,
                         15));
  }
  for (const auto what : {TextureMeasure::Contrast, TextureMeasure::Homogeneity,
                          TextureMeasure::Entropy, TextureMeasure::Correlation}) {
    const auto ours = texture(what, v, kWidth, kHeight, 2, {16, 0.2, 0.5});
    for (const auto& [x, y] : {std::pair{0, 0}, {5, 1}, {20, 15}, {39, 29}, {39, 3}, {6, 0}}) {
      const auto at = static_cast<size_t>(y * kWidth + x);
      if (levels[at] < 0)
        EXPECT_TRUE(std::isnan(ours[at]));
      else
        EXPECT_NEAR(ours[at], Counted(levels, x, y, 2).measure(what), 1e-5) << x << " " << y;
    }
  }
}

TEST_F(FeatureKinds, TextureOfAnEvenSquare) {
  const std::vector<float> even(kWidth * kHeight, 0.4f);
  const auto of = [&](TextureMeasure what) {
    return texture(what, even, kWidth, kHeight, 3, {16, 0, 1})[200];
  };
  EXPECT_EQ(of(TextureMeasure::Contrast), 0);
  EXPECT_EQ(of(TextureMeasure::Homogeneity), 1);
  EXPECT_NEAR(of(TextureMeasure::Entropy), 0, 1e-6);
  EXPECT_EQ(of(TextureMeasure::Correlation), 1);
  EXPECT_TRUE(std::isnan(texture(TextureMeasure::Contrast, {1}, 1, 1, 3, {16, 0, 1})[0]));
}

TEST_F(FeatureKinds, TextureTakesItsLevelsFromTheSceneOrAsTold) {
  EXPECT_EQ(values("texture(nir, contrast, 5, 0.1, 0.6)").size(), 1200u);
  EXPECT_NE(values("texture(nir, contrast, 5)"), values("texture(nir, contrast, 5, 0, 3)"));
  EXPECT_NE(wrong("texture(nir, contrast, 5, 1, 0)").find("not below"), std::string::npos);
  EXPECT_NE(wrong("texture(nir, roughness)").find("contrast"), std::string::npos);
}

TEST_F(FeatureKinds, AreCalledByTheRoleOfTheirBandWhereItHasOne) {
  std::vector<float> flat(kWidth * kHeight, 0.2f);
  Scene plain =
      openScene(writeFloats(folder_ / "plain.tif", grid_, {flat, flat}, {"first", "second"}));
  setRoles(plain, {{"nir", 2}});
  const Scope scope({{"", plain}});
  const auto called = [&](const std::string& line) { return makeFeature(line, scope)->name(); };
  EXPECT_EQ(called("band(1)"), "first");
  EXPECT_EQ(called("band(2)"), "nir");
  EXPECT_EQ(called("neighbourhood(2)"), "nir mean in 5");
}

TEST_F(FeatureKinds, WhatIsReadInPiecesIsWhatIsReadAtOnce) {
  for (const std::string line :
       {"neighbourhood(vv, mean, 7) of rd1", "season(nir, peak)", "texture(nir, entropy, 5)",
        "texture(nir, correlation, 5)", "slope of height", "season(mean_in(vv, 3), spread)"}) {
    const auto whole = values(line);
    for (const Window w : {Window{0, 0, 13, 9}, {11, 4, 20, 20}, {39, 29, 1, 1}}) {
      const auto part = values(line, w);
      for (int y = 0; y < w.height; ++y)
        for (int x = 0; x < w.width; ++x) {
          const float a = part[static_cast<size_t>(y * w.width + x)],
                      b = whole[static_cast<size_t>((w.y + y) * kWidth + w.x + x)];
          EXPECT_TRUE((std::isnan(a) && std::isnan(b)) || std::abs(a - b) <= 1e-6f * std::abs(b))
              << line << " " << x << " " << y << " " << a << " " << b;
        }
    }
  }
}

}  // namespace
}  // namespace zp
