#include "index/scope.h"

#include <cmath>
#include <random>

#include "feature/compute_index.h"
#include "index/window_statistics.h"
#include "mapping/rules.h"
#include "support/rasters.h"

using namespace zp;
using namespace zp::testing;

namespace {

Scene sceneOf(const fs::path& file, const Grid& g, std::vector<std::vector<float>> bands,
              const std::vector<std::string>& names) {
  return openScene(writeFloats(file, g, bands, names, -9999.0));
}

}  // namespace

TEST(Scope, SeveralScenesAndLayersInOneFormula) {
  Folder folder;
  const Grid g = metricGrid(6, 4);
  const Scene spring = sceneOf(folder / "a.tif", g, {std::vector<float>(24, 0.2f)}, {"nir"});
  const Scene autumn = sceneOf(folder / "b.tif", g, {std::vector<float>(24, 0.5f)}, {"nir"});
  writeCodes(folder / "m.tif", g, std::vector<uint16_t>(24, 3));
  const Scope scope({{"spring", spring},
                     {"autumn", autumn},
                     {"map", layerScene(folder / "m.tif", "map", ValueState::ClassCodes)}});
  EXPECT_EQ(scope.names(), (std::vector<std::string>{"nir", "spring.nir", "autumn.nir", "map"}));
  const auto f = parseFormula("when map = 3 then spring.nir - autumn.nir else 0", scope.names());
  const auto st = computeIndex(scope, f, "d", folder / "d.tif");
  EXPECT_FLOAT_EQ(static_cast<float>(st.mean), 0.2f - 0.5f);
  EXPECT_EQ(st.valid, 24u);
  EXPECT_NE(sentenceOf([&] { parseFormula("sprng.nir", scope.names()); }).find("spring.nir"),
            std::string::npos);
  EXPECT_THROW(scope.source("winter.nir"), Error);
  EXPECT_THROW(scope.source("red"), Error);
}

TEST(Scope, AnotherGridIsBroughtOverAndSaid) {
  Folder folder;
  const Scene a =
      sceneOf(folder / "a.tif", metricGrid(8, 8, 10), {std::vector<float>(64, 1)}, {"nir"});
  const Scene b =
      sceneOf(folder / "b.tif", metricGrid(4, 4, 20), {std::vector<float>(16, 3)}, {"nir"});
  const Scope scope({{"a", a}, {"b", b}});
  const auto st =
      computeIndex(scope, parseFormula("b.nir - a.nir", scope.names()), "d", folder / "d.tif");
  EXPECT_EQ(st.valid, 64u);
  EXPECT_FLOAT_EQ(static_cast<float>(st.mean), 2);
  const auto warnings = warningsFor(scope, parseFormula("a.nir + b.nir", scope.names()));
  ASSERT_EQ(warnings.size(), 1u);
  EXPECT_NE(warnings[0].text().find("b nir"), std::string::npos);
}

std::vector<std::string> warningsOfBoth(const Scene& a, const Scene& b) {
  const Scope scope({{"a", a}, {"b", b}});
  std::vector<std::string> texts;
  for (const auto& w : warningsFor(scope, parseFormula("a.nir + b.nir", scope.names())))
    texts.push_back(w.text());
  return texts;
}

TEST(Scope, MixedStatesAndUnscaledIntegersAreWarnedAbout) {
  Folder folder;
  const Grid g = metricGrid(2, 2);
  Scene a = sceneOf(folder / "a.tif", g, {std::vector<float>(4, 1)}, {"nir"});
  writeCodes(folder / "b.tif", g, {1, 2, 3, 4}, NumberType::UInt16);
  Scene b = openScene(folder / "b.tif");
  setRoles(b, {{"nir", 1}});
  a.state = ValueState::TopOfAtmosphere;
  b.state = ValueState::SurfaceReflectance;
  const auto warnings = warningsOfBoth(a, b);
  ASSERT_EQ(warnings.size(), 2u);
  EXPECT_NE(warnings[0].find("mixes"), std::string::npos);
  EXPECT_NE(warnings[1].find("whole numbers without scale"), std::string::npos);
  b.bands[0].conversion.scale = 0.0001;
  b.state = ValueState::TopOfAtmosphere;
  EXPECT_TRUE(warningsOfBoth(a, b).empty());
}

TEST(Scope, NamesMadeFromAnyText) {
  EXPECT_EQ(scopeName("Finch 18 Jul", {}), "finch_18_jul");
  EXPECT_EQ(scopeName("2031", {"layer_2031"}), "layer_2031_2");
  EXPECT_EQ(scopeName("…", {}), "layer_");
}

TEST(WindowStatistics, AgreeWithPlainLoops) {
  const int w = 23, h = 17;
  std::mt19937 random(5);
  std::vector<float> v(static_cast<size_t>(w * h));
  for (auto& x : v) x = random() % 7 == 0 ? NAN : static_cast<float>(random() % 1000) / 100;
  for (const int r : {1, 3}) {
    for (const auto f :
         {WindowFunction::Mean, WindowFunction::Min, WindowFunction::Max, WindowFunction::Spread}) {
      const auto got = inWindow(f, v, w, h, r);
      for (int y = 0; y < h; ++y)
        for (int x = 0; x < w; ++x) {
          std::vector<double> in;
          for (int j = std::max(0, y - r); j <= std::min(h - 1, y + r); ++j)
            for (int i = std::max(0, x - r); i <= std::min(w - 1, x + r); ++i)
              if (const float q = v[static_cast<size_t>(j * w + i)]; !std::isnan(q))
                in.push_back(q);
          const float mine = got[static_cast<size_t>(y * w + x)];
          if (std::isnan(v[static_cast<size_t>(y * w + x)])) {
            ASSERT_TRUE(std::isnan(mine));
            continue;
          }
          double sum = 0, squares = 0;
          for (double q : in) sum += q;
          const double mean = sum / static_cast<double>(in.size());
          for (double q : in) squares += (q - mean) * (q - mean);
          double want = mean;
          if (f == WindowFunction::Min) want = *std::min_element(in.begin(), in.end());
          if (f == WindowFunction::Max) want = *std::max_element(in.begin(), in.end());
          if (f == WindowFunction::Spread)
            want = std::sqrt(squares / static_cast<double>(in.size() - 1));
          ASSERT_NEAR(mine, want, 1e-5) << x << " " << y;
        }
    }
  }
}

TEST(Formula, WindowsDoNotDependOnTheBlocks) {
  Folder folder;
  const Grid g = metricGrid(600, 530);
  std::vector<float> v(g.pixels());
  for (size_t i = 0; i < v.size(); ++i) v[i] = static_cast<float>((i * 2654435761u >> 8) % 997);
  const Scene s = sceneOf(folder / "s.tif", g, {v}, {"nir"});
  const auto f = parseFormula("max_in(mean_in(nir, 5), 7) - spread_in(nir, 3)", s.roles());
  EXPECT_EQ(f.halo(), 5);
  computeIndex(s, f, "f", folder / "f.tif");
  std::vector<float> want(v.size());
  evaluateFormula(f, {v.data()}, g.width, g.height, want.data());
  const auto got = readFloats(folder / "f.tif");
  for (size_t i = 0; i < want.size(); ++i) ASSERT_NEAR(got[i], want[i], 1e-2) << i;
}

TEST(Formula, WindowsThatCannotBe) {
  const std::vector<std::string> known{"nir"};
  EXPECT_THROW(parseFormula("mean_in(nir)", known), FormulaError);
  EXPECT_THROW(parseFormula("mean_in(nir, 4)", known), FormulaError);
  EXPECT_THROW(parseFormula("mean_in(nir, 1e9)", known), FormulaError);
  EXPECT_THROW(parseFormula("mean_in(nir, 5555555555555555555555)", known), FormulaError);
  EXPECT_THROW(parseFormula("mean_in(nir, 5.5)", known), FormulaError);
  EXPECT_THROW(parseFormula("mean_in(nir, nir)", known), FormulaError);
  EXPECT_THROW(parseFormula("mean_in nir, 5", known), FormulaError);
  std::string many = "0";
  for (int i = 0; i < 17; ++i) many += " + mean_in(nir, 3)";
  EXPECT_THROW(parseFormula(many, known), FormulaError);
  std::string deep = "nir";
  for (int i = 0; i < 200; ++i) deep = "mean_in(" + deep + ", 3)";
  EXPECT_THROW(parseFormula(deep, known), FormulaError);
}

TEST(Rules, TheFirstThatHoldsGivesTheClass) {
  Folder folder;
  const Grid g = metricGrid(4, 1);
  const Scene s = sceneOf(folder / "s.tif", g,
                          {{0.2f, 0.2f, 0.0f, -9999}, {0.5f, 0.1f, 0.9f, 0.9f}}, {"green", "nir"});
  const std::vector<Rule> rules{{"green > 0.1 and nir > 0.3", {1, "flooded", {1, 2, 3}, "", {}}},
                                {"green > 0.1", {2, "damp", {4, 5, 6}, "", {}}}};
  rulesToClasses(Scope(s), rules, {7, "dry", {7, 8, 9}, "", {}}, folder / "m.tif");
  EXPECT_EQ(readCodes(folder / "m.tif"), (std::vector<uint16_t>{1, 2, 7, 0}));
  EXPECT_EQ(legendOf(RasterFile(folder / "m.tif")).find(7)->name, "dry");
  rulesToClasses(Scope(s), rules, {}, folder / "n.tif");
  EXPECT_EQ(readCodes(folder / "n.tif"), (std::vector<uint16_t>{1, 2, 0, 0}));
  const auto sentence = sentenceOf([&] {
    parseRules({{"green >", {1, "wet", {}, "", {}}}}, s.roles());
  });
  EXPECT_EQ(sentence.rfind("wet: ", 0), 0u);
  EXPECT_THROW(rulesToClasses(Scope(s), {rules[0], rules[0]}, {}, folder / "o.tif"), Error);
}
