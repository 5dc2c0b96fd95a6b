// Several scenes, brought-in bands and class maps, composites, change, the manual page.
#include <cmath>

#include "legend/legend.h"
#include "scene/catalogue.h"
#include "zpatch_run.h"

namespace zp {
namespace {

using namespace zp::testing;

using ZpatchScenes = ZpatchRun;

TEST_F(ZpatchScenes, AFormulaOverSeveralScenes) {
  writeFloats(folder_ / "a.tif", metricGrid(4, 4, 10), {std::vector<float>(16, 0.5f)}, {"nir"});
  writeFloats(folder_ / "b.tif", metricGrid(2, 2, 20), {std::vector<float>(4, 0.2f)}, {"nir"});
  ASSERT_EQ(
      run("index --scene spring=a.tif --scene autumn=b.tif --formula 'spring.nir - autumn.nir' "
          "--out d.tif --json"),
      0)
      << err();
  EXPECT_NEAR(json()["mean"].get<double>(), 0.3, 1e-6);
  EXPECT_EQ(json()["valid"], 16);
  EXPECT_EQ(json()["warnings"].size(), 1u);
  EXPECT_EQ(run("index --scene Spring=a.tif --formula nir --out e.tif"), 2);
  EXPECT_EQ(run("index --scene a=a.tif --scene a=b.tif --formula nir --out e.tif"), 2);
  EXPECT_EQ(run("index --formula nir --out e.tif"), 2);
  EXPECT_EQ(run("index a.tif --formula 'mean_in(nir, 3)' --out m.tif --json"), 0) << err();
  EXPECT_FLOAT_EQ(json()["mean"].get<float>(), 0.5f);
}

TEST_F(ZpatchScenes, BandsAreBroughtTogether) {
  fs::create_directory(folder_ / "f");
  writeFloats(folder_ / "f/1-red.tif", metricGrid(2, 2), {{0.1f, 0.2f, 0.3f, 7}});
  writeFloats(folder_ / "f/2-nir.tif", metricGrid(2, 2), {{0.4f, 0.5f, 0.6f, 0.7f}});
  ASSERT_EQ(
      run("import f --type uint16 --scale 0.0001 --values surface-reflectance --out s.tif --json"),
      0)
      << err();
  EXPECT_EQ(json()["lost"], 1);
  ASSERT_EQ(run("look s.tif --json"), 0);
  EXPECT_EQ(json()["bands"][1]["role"], "nir");
  EXPECT_EQ(json()["values"], "surface-reflectance");
  EXPECT_NEAR(json()["bands"][1]["max"].get<double>(), 0.7, 1e-6);
  EXPECT_EQ(run("import f --type float12 --out t.tif"), 2);
  EXPECT_EQ(run("import f --values purple --out t.tif"), 2);
}

TEST_F(ZpatchScenes, WhatIsGivenTwiceOrDoesNotFitIsSaid) {
  writeFloats(folder_ / "s.tif", metricGrid(2, 2), {{0.1f, 0.2f, 0.3f, 7}, {1, 1, 1, 1}});
  EXPECT_EQ(run("index s.tif --roles red=1,red=2 --formula red --out o.tif"), 2);
  EXPECT_NE(err().find("“red” is given twice"), std::string::npos) << err();
  EXPECT_EQ(run("index s.tif --roles red=1,nir=1 --formula red --out o.tif"), 2);
  EXPECT_NE(err().find("Band 1 is given as"), std::string::npos) << err();
  EXPECT_EQ(run("threshold s.tif --at 0.2 --names a,b --out o.tif"), 1);
  EXPECT_NE(err().find("name one as s.tif:BAND"), std::string::npos) << err();
  EXPECT_EQ(run("threshold s.tif:1 --at 0.2 --names a,a --out o.tif"), 2);
  EXPECT_NE(err().find("Two classes are called “a”"), std::string::npos) << err();
  EXPECT_EQ(run("import s.tif --type byte --offset inf --out o.tif"), 1);
  EXPECT_NE(err().find("finite"), std::string::npos) << err();
  EXPECT_EQ(run("index s.tif --roles red=1,nir=2 --index ndwo --out o.tif"), 2);
  EXPECT_FALSE(fs::exists(folder_ / "o.tif"));
  ASSERT_EQ(run("import s.tif --type byte --scale 0.01 --out b.tif --json"), 0) << err();
  EXPECT_EQ(json()["lost"], 1);
  EXPECT_NE(json()["warnings"][0].get<std::string>().find("do not fit byte"), std::string::npos);
  ASSERT_EQ(run("index s.tif --roles red=1,nir=2 --index NDVI --out v.tif --json"), 0) << err();
  EXPECT_EQ(json()["valid"], 4);
}

TEST_F(ZpatchScenes, AClassMapMadeElsewhere) {
  Legend ours;
  ours.addMissing(1, "water");
  ours.addMissing(4, "reed");
  writeLegend(folder_ / "l.json", ours);
  testing::writeCodes(folder_ / "m.tif", metricGrid(4, 1), {11, 12, 4, 0});
  ASSERT_EQ(run("import m.tif --legend l.json --match 11=1,12=4 --out c.tif --json"), 0) << err();
  EXPECT_EQ(testing::readCodes(folder_ / "c.tif"), (std::vector<uint16_t>{1, 4, 0, 0}));
  ASSERT_EQ(run("import m.tif --legend l.json --out d.tif --json"), 0) << err();
  EXPECT_EQ(testing::readCodes(folder_ / "d.tif"), (std::vector<uint16_t>{0, 0, 4, 0}));
  EXPECT_EQ(json()["left"], Json::array({"11", "12"}));
  EXPECT_NE(json()["warnings"][0].get<std::string>().find("11 and 12"), std::string::npos);
  EXPECT_EQ(run("import m.tif --legend l.json --match 11=1,11=4 --out e.tif"), 2);
  EXPECT_EQ(run("import p.gpkg:areas --legend l.json --out e.tif"), 2);
  EXPECT_NE(err().find("--class-field"), std::string::npos) << err();
  EXPECT_EQ(run("import m.tif --legend l.json --match 11=9 --out e.tif"), 1);
  EXPECT_NE(err().find("no class 9"), std::string::npos);
  writeAreas(
      folder_ / "p.gpkg",
      {{7, "Reed", {{500000, 5000000}, {500020, 5000000}, {500020, 4999990}, {500000, 4999990}}}});
  const RasterFile like(folder_ / "m.tif");
  ASSERT_EQ(run("import p.gpkg --legend l.json --class-field name --like m.tif --out v.tif --json"),
            0)
      << err();
  EXPECT_EQ(testing::readCodes(folder_ / "v.tif"), (std::vector<uint16_t>{4, 4, 0, 0}));
}

TEST_F(ZpatchScenes, CompositesOverDates) {
  for (const auto& [name, red, nir] : {std::tuple{"a", 1.f, 2.f}, {"b", 1.f, 5.f}, {"c", 1.f, 3.f}})
    writeFloats(folder_ / (std::string(name) + ".tif"), metricGrid(1, 1), {{red}, {nir}},
                {"red", "nir"});
  ASSERT_EQ(run("composite a.tif b.tif c.tif --out m.tif --json"), 0) << err();
  EXPECT_EQ(readFloats(folder_ / "m.tif", 2)[0], 3);
  ASSERT_EQ(run("composite a.tif b.tif c.tif --how greenest --out g.tif --json"), 0) << err();
  EXPECT_EQ(readFloats(folder_ / "g.tif", 2)[0], 5);
  EXPECT_EQ(run("composite a.tif --out x.tif"), 1);
  EXPECT_EQ(run("composite a.tif b.tif --how best --out x.tif"), 2);
  EXPECT_FALSE(fs::exists(folder_ / "x.tif"));
}

TEST_F(ZpatchScenes, ChangeBetweenClassMaps) {
  testing::writeCodes(folder_ / "a.tif", metricGrid(3, 1), {1, 1, 2});
  testing::writeCodes(folder_ / "b.tif", metricGrid(3, 1), {1, 2, 2});
  testing::writeCodes(folder_ / "c.tif", metricGrid(3, 1), {2, 2, 2});
  ASSERT_EQ(run("change a.tif b.tif --class 2 --out g.tif --json"), 0) << err();
  EXPECT_EQ(json()["cells"].size(), 3u);
  EXPECT_EQ(json()["cells"][1]["area_m2"], 100.0);
  EXPECT_EQ(testing::readCodes(folder_ / "g.tif"), (std::vector<uint16_t>{4, 2, 3}));
  ASSERT_EQ(run("change a.tif b.tif c.tif --class 2 --out t.tif --json"), 0) << err();
  EXPECT_EQ(readFloats(folder_ / "t.tif"), (std::vector<float>{1, 2, 3}));
  EXPECT_EQ(run("change a.tif"), 2);
  EXPECT_EQ(run("change a.tif b.tif c.tif"), 2);
}

TEST_F(ZpatchScenes, PolygonsWithASmallestSize) {
  std::vector<float> v(100, 0);
  v[5] = 1;
  for (size_t i = 60; i < 80; ++i) v[i] = 1;
  writeFloats(folder_ / "v.tif", metricGrid(10, 10), {v});
  ASSERT_EQ(
      run("threshold v.tif --at 0.5 --names low,high --out m.tif --polygons p.gpkg --keep high "
          "--smallest 1000 --smooth 2 --json"),
      0)
      << err();
  EXPECT_EQ(readLayer((folder_ / "p.gpkg").string()).shapes.size(), 1u);
  EXPECT_EQ(run("threshold v.tif --at 0.5 --names a,b --out n.tif --smallest 5"), 2);
}

TEST_F(ZpatchScenes, TheManualPageNamesEveryCall) {
  ASSERT_EQ(run("--man-page"), 0);
  const std::string page = textOf(folder_ / "out.log");
  for (const char* call : {"look", "index", "threshold", "import", "composite", "change", "matrix"})
    EXPECT_NE(page.find(std::string(".SS ") + call), std::string::npos) << call;
  EXPECT_EQ(std::system(("command -v man > /dev/null || exit 0; man --warnings -l -Tutf8 '" +
                         (folder_ / "out.log").string() + "' > /dev/null")
                            .c_str()),
            0);
}

TEST_F(ZpatchScenes, ACatalogueIsNoSceneAndAnItemOfItIs) {
  writeFloats(folder_ / "a.tif", metricGrid(4, 4, 10), {std::vector<float>(16, 0.5f)}, {"nir"});
  Scene s = openScene(folder_ / "a.tif");
  s.name = "Spring";
  writeCatalogue(folder_ / "list", "Made up", {s}, false);
  EXPECT_EQ(run("look list/catalog.json"), 1);
  EXPECT_NE(err().find("is not a STAC item"), std::string::npos);
  ASSERT_EQ(run("look list/spring/spring.json --json"), 0) << err();
  EXPECT_EQ(json()["width"], 4);
  EXPECT_EQ(json()["bands"][0]["role"], "nir");
}

}  // namespace
}  // namespace zp
