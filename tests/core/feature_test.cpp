#include <cmath>

#include "base/random.h"
#include "feature/compute_index.h"
#include "feature/feature_kind.h"
#include "feature/feature_reader.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

std::vector<float> noise(size_t n, uint64_t seed, float from = 0.05f, float to = 0.6f) {
  Random random(seed);
  std::vector<float> v(n);
  for (auto& x : v) x = from + (to - from) * static_cast<float>(random.uniform());
  return v;
}

/// Two dates of one place, the later on another grid in another system, and a radar scene.
struct Dates {
  Folder folder;
  Grid grid = metricGrid(60, 40);
  std::vector<float> red = noise(2400, 1), nir = noise(2400, 2), green = noise(2400, 3);
  Scope scope;
  Dates() {
    red[7] = -9999;
    writeFloats(folder / "june.tif", grid, {red, nir, green}, {"red", "nir", "green"}, -9999);
    writeFloats(folder / "july.tif", metricGrid(30, 20, 20), {noise(600, 4), noise(600, 5)},
                {"red", "nir"}, -9999);
    writeFloats(folder / "radar.tif", grid, {noise(2400, 6)}, {"vv"}, -9999);
    Scene radar = openScene(folder / "radar.tif");
    radar.state = ValueState::BackscatterPower;
    scope = Scope({{"", openScene(folder / "june.tif")},
                   {"july", openScene(folder / "july.tif")},
                   {"radar", radar}});
  }
  std::vector<float> values(const std::vector<std::string>& lines, Window w = {0, 0, 60, 40}) {
    FeatureBlock block;
    FeatureReader(scope, makeFeatures(lines, scope)).read(w, block);
    EXPECT_EQ(block.features, lines.size());
    return block.values;
  }
  std::string wrong(const std::string& line) {
    return sentenceOf([&] { makeFeature(line, scope); });
  }
};

TEST(FeatureLine, TextAndBack) {
  for (const char* text :
       {"brightness", "band(nir)", "band(nir) of july", "index(ndvi)", "brightness(visible)",
        "formula(when nir > 0.1 then max(nir, red) else mean_in(red, 3)) of july"})
    EXPECT_EQ(textOf(parseFeature(text)), text);
  EXPECT_EQ(textOf(parseFeature("  band( nir )  of   july ")), "band(nir) of july");
  EXPECT_EQ(textOf(parseFeature("brightness()")), "brightness");
  EXPECT_EQ(parseFeature("formula(ndiff(nir, red))").arguments,
            std::vector<std::string>{"ndiff(nir, red)"});
  for (const char* text : {"", "(nir)", "band(nir", "band nir", "band(nir) july", "band(nir) of",
                           "band(nir) of a b", "NDVI", "band(nir)) of july"})
    EXPECT_NE(sentenceOf([&] { parseFeature(text); }).find("is no feature"), std::string::npos)
        << text;
  EXPECT_THROW(parseFeature(std::string(5000, 'a')), Error);
}

TEST(Features, ABandIsItsValuesAndNoDataStaysEmpty) {
  Dates d;
  const auto v = d.values({"band(nir)", "band(1)"});
  for (size_t i = 0; i < 2400; ++i) {
    EXPECT_EQ(v[i], d.nir[i]);
    if (i == 7)
      EXPECT_TRUE(std::isnan(v[2400 + i]));
    else
      EXPECT_EQ(v[2400 + i], d.red[i]);
  }
}

TEST(Features, AnIndexIsWhatItsFormulaGives) {
  Dates d;
  const auto v = d.values({"index(NDVI)", "formula(nir / red - 1)"});
  computeIndex(d.scope, parseFormula("(nir - red) / (nir + red)", d.scope.names()), "x",
               d.folder / "x.tif");
  const auto written = readFloats(d.folder / "x.tif");
  for (size_t i = 0; i < 2400; ++i) {
    if (i == 7) continue;
    EXPECT_NEAR(v[i], (d.nir[i] - d.red[i]) / (d.nir[i] + d.red[i]), 1e-6);
    EXPECT_EQ(v[i], written[i]);
    EXPECT_NEAR(v[2400 + i], d.nir[i] / d.red[i] - 1, 1e-5);
  }
}

TEST(Features, OfAnotherSceneAreBroughtOntoTheGrid) {
  Dates d;
  const auto v = d.values({"band(nir) of july", "formula(nir + 0) of july", "formula(july.nir * 2)",
                           "index(ndvi) of july"});
  computeIndex(d.scope, parseFormula("july.nir", d.scope.names()), "x", d.folder / "x.tif");
  computeIndex(d.scope, parseFormula("ndiff(july.nir, july.red)", d.scope.names()), "y",
               d.folder / "y.tif");
  const auto nir = readFloats(d.folder / "x.tif"), ndvi = readFloats(d.folder / "y.tif");
  for (size_t i = 0; i < 2400; ++i) {
    EXPECT_EQ(v[i], nir[i]);
    EXPECT_EQ(v[2400 + i], nir[i]);
    EXPECT_EQ(v[4800 + i], nir[i] * 2);
    EXPECT_NEAR(v[7200 + i], ndvi[i], 1e-6);
  }
}

TEST(Features, BrightnessIsTheMeanOfTheBands) {
  Dates d;
  const auto v = d.values({"brightness", "brightness(visible)"});
  for (size_t i = 0; i < 2400; ++i) {
    if (i == 7) {
      EXPECT_TRUE(std::isnan(v[i]) && std::isnan(v[2400 + i]));
      continue;
    }
    const double red = d.red[i], nir = d.nir[i], green = d.green[i];
    EXPECT_NEAR(v[i], (red + nir + green) / 3, 1e-6);
    EXPECT_NEAR(v[2400 + i], (red + green) / 2, 1e-6);
  }
}

TEST(Features, DecibelsOfPowerAndOfDecibels) {
  Dates d;
  const auto of = [&] { return d.values({"decibels(vv) of radar"}); };
  const auto power = d.values({"band(vv) of radar"}), decibels = of();
  for (size_t i = 0; i < 2400; ++i)
    EXPECT_NEAR(decibels[i], 10 * std::log10(static_cast<double>(power[i])), 1e-4);
  d.scope.scenes[2].scene.state = ValueState::BackscatterDecibels;
  EXPECT_EQ(of(), power);
  d.scope.scenes[2].scene.state = ValueState::Unknown;  // power is never below zero
  EXPECT_EQ(of(), decibels);
  EXPECT_NE(d.wrong("decibels(nir)").find("not known to hold backscatter"), std::string::npos);
}

TEST(Features, WhatIsReadInPiecesIsWhatIsReadAtOnce) {
  Dates d;
  const std::vector<std::string> lines{"band(red)", "formula(spread_in(nir, 5))",
                                       "brightness of july", "index(ndvi)"};
  const auto whole = d.values(lines);
  for (const Window w : {Window{0, 0, 60, 40}, {3, 5, 20, 11}, {58, 38, 2, 2}, {0, 39, 60, 1}}) {
    const auto part = d.values(lines, w);
    for (size_t f = 0; f < lines.size(); ++f)
      for (size_t p = 0; p < w.pixels(); ++p) {
        const size_t x = static_cast<size_t>(w.x) + p % static_cast<size_t>(w.width),
                     y = static_cast<size_t>(w.y) + p / static_cast<size_t>(w.width);
        const float a = part[f * w.pixels() + p], b = whole[f * 2400 + y * 60 + x];
        EXPECT_TRUE(a == b || (std::isnan(a) && std::isnan(b))) << lines[f] << x << " " << y;
      }
  }
}

TEST(Features, OnlyInsideAnOutline) {
  Dates d;
  FeatureReader reader(d.scope, makeFeatures({"band(nir)", "brightness"}, d.scope));
  const Extent e = d.grid.extent();
  Layer in;
  in.name = "corner";
  in.shapes = {
      {{{{e.left, e.top}, {e.left + 50, e.top}, {e.left + 50, e.top - 40}, {e.left, e.top - 40}}},
       {}}};
  reader.keepInside(in);
  FeatureBlock block;
  reader.read({0, 0, 60, 40}, block);
  size_t valid = 0;
  for (size_t i = 0; i < 2400; ++i) {
    const bool inside = i % 60 < 5 && i / 60 < 4;
    EXPECT_EQ(std::isnan(block.feature(0)[i]), !inside);
    valid += std::isnan(block.feature(1)[i]) ? 0 : 1;
  }
  EXPECT_EQ(valid, 20u);
  for (auto& p : in.shapes[0].rings[0]) p.x += 1e5;
  EXPECT_NE(sentenceOf([&] { reader.keepInside(in); }).find("lies outside"), std::string::npos);
}

TEST(Features, SayWhatIsWrong) {
  Dates d;
  const auto has = [](const std::string& sentence, const char* words) {
    EXPECT_NE(sentence.find(words), std::string::npos) << sentence;
  };
  has(d.wrong("brightnes"), "“brightness”");
  has(d.wrong("band"), "needs to be told its band");
  has(d.wrong("band(swir)"), "1 to 3");
  has(d.wrong("band(4)"), "1 to 3");
  has(d.wrong("band(nir, red)"), "more in its parentheses");
  has(d.wrong("band(nir) of june"), "There is no scene or layer “june”");
  has(d.wrong("index(nvdi)"), "“NDVI”");
  has(d.wrong("index(ndwi) of july"), "green");
  has(d.wrong("formula(nir +)"), "");
  has(d.wrong("brightness(dark)"), "one of all, visible");
  has(d.wrong("brightness(visible) of radar"), "no blue, green or red band");
  has(sentenceOf([&] { makeFeatures({"band(nir)", "band( nir )"}, d.scope); }), "named twice");
  has(sentenceOf([&] { makeFeatures({"band(nir)", "band(2)"}, d.scope); }), "are one band");
  has(sentenceOf([&] { FeatureReader(d.scope, {}); }), "No feature");
}

/// What holds of every kind there is and will be.
TEST(Features, EveryKindTellsWhatItIs) {
  std::set<std::string> ids;
  for (const auto* k : featureKinds()) {
    EXPECT_TRUE(ids.insert(k->id).second) << k->id;
    EXPECT_FALSE(k->title.empty() || k->about.empty()) << k->id;
    EXPECT_EQ(parseFeature(lineOf(*k)).kind, k->id);
    for (const auto& p : k->parameters) EXPECT_FALSE(p.about.empty()) << k->id << " " << p.id;
  }
}

TEST(BandsNamed, OrderAndErrors) {
  Dates d;
  const Scene& s = d.scope.scenes[0].scene;
  EXPECT_EQ(bandsNamed("3,1", s), (std::vector<size_t>{2, 0}));
  EXPECT_EQ(bandsNamed("nir, 1", s), (std::vector<size_t>{1, 0}));
  EXPECT_EQ(bandsNamed("", s).size(), 3u);
  EXPECT_NE(sentenceOf([&] { bandsNamed("4", s); }).find("1 to 3"), std::string::npos);
  EXPECT_NE(sentenceOf([&] { bandsNamed("1,red", s); }).find("twice"), std::string::npos);
  EXPECT_EQ(bandLines({1, 0}, s), (std::vector<std::string>{"band(nir)", "band(red)"}));
}

}  // namespace
}  // namespace zp
