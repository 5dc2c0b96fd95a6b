#include <cmath>
#include <cstdlib>
#include <fstream>
#include <set>

#include "scene/band_reader.h"
#include "scene/mask.h"
#include "scene/sensor.h"
#include "scene/stac_item.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

TEST(Scene, FolderBandsInNaturalOrderWithRoles) {
  Folder folder;
  const Grid g = metricGrid(4, 3);
  fs::create_directory(folder / "bands 2031-07-18");
  for (const char* n : {"x_10_swir16.tif", "x_2_green.tif", "x_1_blue.tif"})
    writeFloats(folder / ("bands 2031-07-18/" + std::string(n)), g, {std::vector<float>(12, 1)});
  std::ofstream(folder / "bands 2031-07-18/readme.txt") << "x";
  const Scene s = openScene(folder / "bands 2031-07-18");
  EXPECT_EQ(s.roles(), (std::vector<std::string>{"blue", "green", "swir16"}));
  EXPECT_EQ(s.date, "2031-07-18");
  EXPECT_EQ(s.bands.size(), 3u);
}

TEST(Scene, BandsOfDifferentSizeWithoutASystemAreRefused) {
  Folder folder;
  fs::create_directory(folder / "b");
  Grid g = metricGrid(4, 3), other = metricGrid(4, 4);
  g.crs.clear(), other.crs.clear();
  writeFloats(folder / "b/1.tif", g, {std::vector<float>(12, 1)});
  writeFloats(folder / "b/2.tif", other, {std::vector<float>(16, 1)});
  EXPECT_NE(sentenceOf([&] { openScene(folder / "b"); }).find("4 x 4 pixels"), std::string::npos);
  fs::create_directory(folder / "empty");
  EXPECT_NE(sentenceOf([&] { openScene(folder / "empty"); }).find("holds no rasters"),
            std::string::npos);
}

TEST(Scene, CoarserBandsAreBroughtOntoTheFinestGrid) {
  Folder folder;
  fs::create_directory(folder / "b");
  writeFloats(folder / "b/1-swir16.tif", metricGrid(3, 3, 20), {std::vector<float>(9, 7)});
  writeFloats(folder / "b/2-nir.tif", metricGrid(6, 6, 10), {std::vector<float>(36, 3)});
  const Scene s = openScene(folder / "b");
  EXPECT_EQ(s.grid.width, 6);
  EXPECT_EQ(s.gridBand, 1u);
  EXPECT_EQ(s.bandsOnOtherGrids(), std::vector<size_t>{0});
  BandBlock block;
  BandReader(s, {}).read({0, 0, 6, 6}, block);
  for (size_t i = 0; i < 36; ++i) {
    EXPECT_FLOAT_EQ(block.band(0)[i], 7);
    EXPECT_FLOAT_EQ(block.band(1)[i], 3);
  }
  const Scene again = sceneFrom(toJson(s, folder.path()), folder.path());
  EXPECT_TRUE(again.grid.sameAs(s.grid));
}

TEST(Scene, RolesAndPresetsThatDoNotFit) {
  Folder folder;
  writeFloats(folder / "s.tif", metricGrid(2, 1), {{1, 2}, {3, 4}});
  SceneOptions options;
  options.roles = {{"red", 1}, {"nir", 2}};
  EXPECT_EQ(openScene(folder / "s.tif", options).bandOf("nir"), 1);
  options.roles = {{"redd", 1}};
  EXPECT_NE(sentenceOf([&] { openScene(folder / "s.tif", options); }).find("Did you mean “red”?"),
            std::string::npos);
  options.roles = {{"red", 3}};
  EXPECT_NE(sentenceOf([&] { openScene(folder / "s.tif", options); }).find("no band 3"),
            std::string::npos);
  options = {};
  options.sensor = "finch";
  EXPECT_NE(sentenceOf([&] { openScene(folder / "s.tif", options); }).find("has 8 bands, but"),
            std::string::npos);
  options.sensor = "fynch";
  EXPECT_NE(sentenceOf([&] { openScene(folder / "s.tif", options); }).find("“finch”"),
            std::string::npos);
}

TEST(Scene, ARoleMovesFromOneBandToAnother) {
  Folder folder;
  writeFloats(folder / "s.tif", metricGrid(2, 1), {{1, 2}, {3, 4}}, {"red", "nir"});
  Scene s = openScene(folder / "s.tif");
  setRoles(s, {{"red", 2}});
  EXPECT_EQ(s.bandOf("red"), 1);
  EXPECT_EQ(s.bandOf("nir"), -1);
  EXPECT_EQ(s.bands[0].role, "");
}

TEST(Scene, DatesInNames) {
  EXPECT_EQ(dateIn("finch_20310718_b1"), "2031-07-18");
  EXPECT_EQ(dateIn("2031-07-18"), "2031-07-18");
  EXPECT_EQ(dateIn("tile12345"), "");
  EXPECT_EQ(dateIn("20311399"), "");
}

TEST(StacItem, ThereAndBack) {
  Folder folder;
  writeFloats(folder / "two.tif", metricGrid(2, 2), {{1, 2, 3, 4}, {5, 6, 7, 8}},
              {"first", "second"});
  Scene s = openScene(folder / "two.tif");
  setRoles(s, {{"red", 1}, {"nir", 2}});
  s.bands[0].wavelength = 662;
  s.bands[0].conversion = {0.0, 0.5, 0.25};
  s.date = "2031-07-18";
  s.state = ValueState::SurfaceReflectance;
  writeJson(folder / "item.json", stacItem(s, folder / "item.json"));
  const Scene back = openScene(folder / "item.json");
  EXPECT_EQ(back.roles(), s.roles());
  EXPECT_EQ(back.date, s.date);
  EXPECT_EQ(back.state, s.state);
  EXPECT_NEAR(back.bands[0].wavelength, 662, 1e-9);
  EXPECT_EQ(back.bands[0].conversion.scale, 0.5);
  std::ofstream(folder / "no.json") << R"({"type": "Feature"})";
  EXPECT_NE(sentenceOf([&] { openScene(folder / "no.json"); }).find("not a STAC item"),
            std::string::npos);
  std::ofstream(folder / "net.json")
      << R"({"type":"Feature","assets":{"a":{"href":"https://a.example/x.tif","roles":["data"]}}})";
  EXPECT_NE(sentenceOf([&] { openScene(folder / "net.json"); }).find("not a local file"),
            std::string::npos);
}

MaskRecipe edgeOnly() {
  MaskRecipe r;
  r.edge = true;
  return r;
}

TEST(EmptyEdge, ZerosInsideStayValid) {
  Folder folder;
  // A slanted corner of zeros, a zero bay that is reached only round a corner, and a lake inside.
  const Grid g = metricGrid(7, 6);
  const std::vector<float> band{0, 0, 0, 5, 5, 5, 5, 0, 0, 5, 5, 5, 0, 5, 0, 5, 5, 0, 5, 5, 5,
                                5, 5, 5, 0, 0, 5, 5, 5, 0, 5, 5, 5, 5, 5, 5, 0, 0, 5, 5, 5, 5};
  writeFloats(folder / "s.tif", g, {band, std::vector<float>(42, 0)});
  Scene s = openScene(folder / "s.tif");
  EXPECT_EQ(makeMask(s, edgeOnly(), folder / "mask.tif").edge, 6u + 3u);
  s.mask = folder / "mask.tif";
  BandBlock block;
  BandReader(s, {0}).read({0, 0, 7, 6}, block);
  EXPECT_TRUE(std::isnan(block.band(0)[0]));
  EXPECT_EQ(block.band(0)[1 * 7 + 5], 0);  // the lake
  EXPECT_EQ(block.band(0)[3 * 7 + 3], 0);
  EXPECT_TRUE(std::isnan(block.band(0)[4 * 7 + 1]));
}

TEST(EmptyEdge, AgreesWithAPlainFloodFill) {
  Folder folder;
  const Grid g = metricGrid(60, 50);
  std::vector<float> band(g.pixels());
  for (size_t i = 0; i < band.size(); ++i)
    band[i] = (i * 2654435761u >> 7) % 100 < 58 ? 0.0f : 1.0f;
  writeFloats(folder / "s.tif", g, {band});
  makeMask(openScene(folder / "s.tif"), edgeOnly(), folder / "mask.tif");
  std::vector<uint16_t> want(band.size());
  bool changed = true;
  while (changed) {
    changed = false;
    for (int y = 0; y < 50; ++y)
      for (int x = 0; x < 60; ++x) {
        const auto i = static_cast<size_t>(y * 60 + x);
        if (band[i] != 0 || want[i] == 1) continue;
        const bool border = x == 0 || y == 0 || x == 59 || y == 49;
        const bool near = (x > 0 && want[i - 1]) || (x < 59 && want[i + 1]) ||
                          (y > 0 && want[i - 60]) || (y < 49 && want[i + 60]);
        if (border || near) want[i] = 1, changed = true;
      }
  }
  EXPECT_EQ(readCodes(folder / "mask.tif"), want);
}

TEST(Sensors, EveryPresetIsWhole) {
  std::set<std::string> ids, titles;
  for (const auto& s : sensors()) {
    EXPECT_TRUE(ids.insert(s.id).second) << s.id;
    EXPECT_TRUE(titles.insert(s.title).second) << s.title;
    EXPECT_FALSE(s.bands.empty()) << s.id;
    EXPECT_NE(s.state, ValueState::Unknown) << s.id;
    EXPECT_NE(s.scale, 0) << s.id;
    std::set<std::string> roles;
    for (const auto& b : s.bands) {
      EXPECT_TRUE(b.wavelength == 0 || (b.wavelength > 400 && b.wavelength < 15000)) << s.id;
      EXPECT_TRUE(b.width >= 0 && b.width <= 300) << s.id;
      if (b.role.empty()) continue;
      EXPECT_TRUE(roles.insert(b.role).second) << s.id << " has two of " << b.role;
      const auto& known = knownRoles();
      EXPECT_TRUE(std::find(known.begin(), known.end(), b.role) != known.end())
          << s.id << " " << b.role;
    }
  }
}

/// One's own presets and indices go to a folder of the test.
class Own : public ::testing::Test {
 protected:
  void SetUp() override { setenv("ZPATCH_OWN", (folder_ / "own").c_str(), 1); }
  void TearDown() override { unsetenv("ZPATCH_OWN"); }
  Folder folder_;
};

TEST_F(Own, APresetIsMadeFromASceneAndFitsTheNext) {
  writeFloats(folder_ / "a.tif", metricGrid(2, 1), {{10, 20}, {30, 40}});
  writeFloats(folder_ / "b.tif", metricGrid(2, 1), {{10, 20}, {30, 40}});
  writeFloats(folder_ / "c.tif", metricGrid(2, 1), {{10, 20}});
  Scene made = openScene(folder_ / "a.tif");
  setRoles(made, {{"red", 1}, {"nir", 2}});
  for (auto& b : made.bands) b.conversion.scale = 0.01, b.conversion.offset = -0.1;
  made.state = ValueState::SurfaceReflectance;
  const size_t before = sensors().size();
  keepSensor(made, "Kestrel, two bands");
  ASSERT_EQ(sensors().size(), before + 1);
  const Sensor kept = sensors().back();
  EXPECT_EQ(kept.id, "own-kestrel-two-bands");
  EXPECT_TRUE(kept.own);
  Scene other = openScene(folder_ / "b.tif");
  applySensor(other, sensor("own-kestrel-two-bands"));
  EXPECT_EQ(other.bandOf("nir"), 1);
  EXPECT_EQ(other.bands[0].conversion.offset, -0.1);
  EXPECT_EQ(other.state, ValueState::SurfaceReflectance);
  EXPECT_NE(whyNot(kept, openScene(folder_ / "c.tif")).text().find("has 2 bands"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { keepSensor(made, "kestrel, two bands"); }).find("another name"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { keepSensor(made, ""); }).find("no name"), std::string::npos);
  // The file holds it for the next start.
  const Json file = readJson(folder_ / "own/sensors.json", "zany-patch-sensors");
  ASSERT_EQ(file["sensors"].size(), 1u);
  EXPECT_EQ(file["sensors"][0]["bands"][1]["role"], "nir");
  dropSensor(kept.id);
  EXPECT_EQ(sensors().size(), before);
  dropSensor("finch");  // a shipped one stays
  EXPECT_EQ(sensors().size(), before);
}

TEST(Sensors, WhatIsWrongInAPresetIsSaid) {
  const Json good = {{"id", "a"},
                     {"title", "Kestrel"},
                     {"bands", {{{"name", "B1"}, {"role", "red"}}, {{"name", "B2"}}}}};
  const auto sentence = [&](const Json& changed) {
    return sentenceOf([&] { sensorsFrom({{"sensors", {good, changed}}}, "mine.json"); });
  };
  EXPECT_EQ(sensorsFrom({{"sensors", {good, good}}}, "mine.json").size(), 2u);
  Json one = good;
  one["bands"][0]["role"] = "redd";
  EXPECT_NE(sentence(one).find("Entry 2 of “sensors” in “mine.json”"), std::string::npos);
  EXPECT_NE(sentence(one).find("Did you mean “red”?"), std::string::npos);
  one = good, one.erase("title");
  EXPECT_NE(sentence(one).find("something is missing"), std::string::npos);
  one = good, one["bands"] = Json::array();
  EXPECT_NE(sentence(one).find("has 0 bands"), std::string::npos);
  one = good, one["scale"] = 0;
  EXPECT_NE(sentence(one).find("scale"), std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              sensorsFrom({{"presets", 3}}, "mine.json");
            }).find("has no list"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              sensorsFrom(parseJson("{\"sensors\": [\n {]}", "mine.json"), "m");
            }).find("line 2, column 3"),
            std::string::npos);
}

}  // namespace
}  // namespace zp
