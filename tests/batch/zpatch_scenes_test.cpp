// Several scenes, brought-in bands and class maps, composites, change, the manual page.
#include <gdal_priv.h>

#include <cmath>

#include "grid/gdal_start.h"
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
  ASSERT_EQ(run("import f --type uint16 --store-scale 0.0001 --state surface-reflectance --out "
                "s.tif --json"),
            0)
      << err();
  EXPECT_EQ(json()["lost"], 1);
  ASSERT_EQ(run("look s.tif --json"), 0);
  EXPECT_EQ(json()["bands"][1]["role"], "nir");
  EXPECT_EQ(json()["values"], "surface-reflectance");
  EXPECT_NEAR(json()["bands"][1]["max"].get<double>(), 0.7, 1e-6);
  EXPECT_EQ(run("import f --type float12 --out t.tif"), 2);
  EXPECT_EQ(run("import f --state purple --out t.tif"), 2);
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
  EXPECT_EQ(run("import s.tif --type byte --store-offset inf --out o.tif"), 1);
  EXPECT_NE(err().find("finite"), std::string::npos) << err();
  EXPECT_EQ(run("index s.tif --roles red=1,nir=2 --index ndwo --out o.tif"), 2);
  EXPECT_FALSE(fs::exists(folder_ / "o.tif"));
  ASSERT_EQ(run("import s.tif --type byte --store-scale 0.01 --out b.tif --json"), 0) << err();
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

TEST_F(ZpatchScenes, WhatARawFilesNumbersAreCanBeSaid) {
  RasterSpec spec;
  spec.grid = metricGrid(2, 1);
  spec.type = NumberType::UInt16;
  spec.bands.resize(2);
  RasterWriter writer(folder_ / "raw.tif", spec);
  std::vector<float> red{1000, 2000}, nir{3000, 4000};
  writer.write(1, {0, 0, 2, 1}, red), writer.write(2, {0, 0, 2, 1}, nir);
  writer.finish();
  const std::string roles = "--roles red=1,nir=2 ";
  // Whole numbers of unknown state: said for an index with constants of reflectance, not for a
  // ratio.
  ASSERT_EQ(run("index raw.tif " + roles + "--index SAVI --out a.tif --json"), 0) << err();
  ASSERT_EQ(json()["warnings"].size(), 1u);
  EXPECT_NE(json()["warnings"][0].get<std::string>().find("unknown state"), std::string::npos);
  ASSERT_EQ(run("index raw.tif " + roles + "--index NDVI --out b.tif --json"), 0) << err();
  EXPECT_EQ(json()["warnings"].size(), 0u);
  ASSERT_EQ(run("index raw.tif " + roles +
                "--index SAVI --state surface-reflectance --scale 0.0001 --offset -0.05 "
                "--out c.tif --json"),
            0)
      << err();
  EXPECT_EQ(json()["warnings"].size(), 0u);
  EXPECT_NEAR(readFloats(folder_ / "c.tif")[0], 1.5 * 0.2 / (0.05 + 0.25 + 0.5), 1e-5);
  EXPECT_EQ(run("look raw.tif --scale zero"), 2);
  EXPECT_EQ(run("look raw.tif --scale 0"), 2);
  EXPECT_EQ(run("look raw.tif --state clean"), 2);
  EXPECT_NE(err().find("“clean” is no state of values"), std::string::npos) << err();
  ASSERT_EQ(run("import raw.tif --type uint16 --scale 0.0001 --state raw-counts --out d.tif"), 0);
  ASSERT_EQ(run("look d.tif --json"), 0);
  EXPECT_EQ(json()["values"], "raw-counts");
  EXPECT_NEAR(json()["bands"][1]["max"].get<double>(), 0.4, 1e-6);
  // Composites of raw files need their roles, and may take some of the bands.
  ASSERT_EQ(run("composite raw.tif raw.tif --how greenest " + roles + "--out e.tif"), 0) << err();
  ASSERT_EQ(run("composite raw.tif raw.tif " + roles + "--bands 2 --scale 0.001 --out f.tif"), 0)
      << err();
  EXPECT_EQ(RasterFile(folder_ / "f.tif").bands(), 1);
  EXPECT_EQ(readFloats(folder_ / "f.tif"), (std::vector<float>{3, 4}));
}

TEST_F(ZpatchScenes, AWrongCallIsSaidInOurWords) {
  writeFloats(folder_ / "s.tif", metricGrid(2, 2), {{1, 2, 3, 4}}, {"nir"});
  const auto wrong = [&](const std::string& call, const char* words) {
    EXPECT_EQ(run(call), 2) << call;
    EXPECT_NE(err().find(words), std::string::npos) << call << ": " << err();
    for (const char* theirs : {" not in {", "requires", "expected", "Could not convert"})
      EXPECT_EQ(err().find(theirs), std::string::npos) << call << ": " << err();
  };
  wrong("lok s.tif", "“lok” is no call of zpatch. Did you mean “look”?");
  wrong("", "zpatch CALL; the calls are look, index");
  wrong("look", "zpatch look needs SCENE");
  wrong("look s.tif --sensr x", "has no option “--sensr”. Did you mean “--sensor”?");
  wrong("look s.tif t.tif", "“t.tif” is one word too many");
  wrong("points --plan spiral --over s.tif --seed 1 --out p.gpkg",
        "“spiral” is no plan here; they are random, stratified, systematic and blocks");
  wrong("points --plan random --count -5 --over s.tif --seed 1 --out p.gpkg",
        "“-5” is not a whole number from 1");
  wrong("points --plan random --count 5 --over s.tif --seed -1 --out p.gpkg",
        "“-1” is not a whole number from 0 up");
  wrong("points --plan random --count 5 --apart near --over s.tif --seed 1 --out p.gpkg",
        "“near” is not a number above 0");
  wrong("index s.tif --index vegetation --formula nir --out o.tif", "cannot be given together");
  wrong("index s.tif --inside --formula nir --out o.tif", "--inside goes with --outline");
  wrong("index s.tif --index nvdi --out o.tif", "Did you mean “NDVI”?");
  wrong("look s.tif --threads many", "--threads");
  wrong("index s.tif --formula nir --out", "--out needs a value");
  wrong("threshold s.tif --at 2 --names a, --out o.tif", "A class has no name");
}

TEST_F(ZpatchScenes, AFileOfSeveralBandsIsNoClassMapUnlessTheBandIsNamed) {
  RasterSpec spec;
  spec.grid = metricGrid(2, 1);
  spec.type = NumberType::Byte;
  spec.bands.resize(3);
  RasterWriter writer(folder_ / "rgb.tif", spec);
  for (int b = 1; b <= 3; ++b)
    writer.writeCodes(b, {0, 0, 2, 1}, {static_cast<uint16_t>(b), static_cast<uint16_t>(b + 4)});
  writer.finish();
  EXPECT_EQ(run("areas rgb.tif"), 1);
  EXPECT_NE(err().find("3 bands and so is no class map"), std::string::npos) << err();
  ASSERT_EQ(run("areas rgb.tif:2 --json"), 0) << err();
  EXPECT_EQ(json()["classes"][0]["code"], 2);
  EXPECT_EQ(json()["classes"][1]["code"], 6);
  EXPECT_EQ(run("areas rgb.tif:4"), 1);
  EXPECT_EQ(run("change rgb.tif rgb.tif"), 1);
  const std::string points =
      "points --plan stratified --per-class 1 --seed 1 --out p.csv --replace ";
  EXPECT_EQ(run(points + "--over rgb.tif"), 1);
  ASSERT_EQ(run(points + "--over rgb.tif:3 --json"), 0) << err();
  EXPECT_EQ(json()["per_class"][1]["code"], 7);
}

TEST_F(ZpatchScenes, WhatLiesNowhereOverEachOtherIsAnError) {
  writeFloats(folder_ / "a.tif", metricGrid(4, 4), {std::vector<float>(16, 0.5f)}, {"nir"});
  Grid far = metricGrid(4, 4);
  far.transform[0] += 9000;
  writeFloats(folder_ / "b.tif", far, {std::vector<float>(16, 0.5f)}, {"nir"});
  EXPECT_EQ(run("index --scene a=a.tif --scene b=b.tif --formula 'a.nir - b.nir' --out o.tif"), 1);
  EXPECT_NE(err().find("nowhere over each other"), std::string::npos) << err();
  EXPECT_EQ(run("composite a.tif b.tif --out o.tif"), 1);
  testing::writeCodes(folder_ / "m.tif", metricGrid(2, 2), {1, 1, 0, 0});
  testing::writeCodes(folder_ / "n.tif", far, std::vector<uint16_t>(16, 1));
  testing::writeCodes(folder_ / "k.tif", metricGrid(2, 2), {0, 0, 1, 1});
  EXPECT_EQ(run("change m.tif n.tif --out o.tif"), 1);
  EXPECT_EQ(run("change m.tif k.tif --out o.tif"), 1);
  EXPECT_NE(err().find("No pixel has a class in both"), std::string::npos) << err();
  EXPECT_FALSE(fs::exists(folder_ / "o.tif"));
}

TEST_F(ZpatchScenes, FiguresForPeopleHaveTheDigitsOfTheNumberType) {
  writeFloats(folder_ / "s.tif", metricGrid(2, 1), {{0.0191f, 0.3f}}, {"nir"});
  ASSERT_EQ(run("look s.tif"), 0);
  EXPECT_NE(textOf(folder_ / "out.log").find("min 0.0191,"), std::string::npos)
      << textOf(folder_ / "out.log");
  EXPECT_EQ(textOf(folder_ / "out.log").find("0.01909"), std::string::npos);
  ASSERT_EQ(run("look s.tif --json"), 0);
  EXPECT_EQ(json()["bands"][0]["min"].get<double>(), static_cast<double>(0.0191f));
  testing::writeCodes(folder_ / "m.tif", metricGrid(100, 100), std::vector<uint16_t>(10000, 1));
  ASSERT_EQ(run("areas m.tif"), 0);
  EXPECT_NE(textOf(folder_ / "out.log").find("100.00 ha, 1.0000 km²"), std::string::npos)
      << textOf(folder_ / "out.log");
  std::ofstream(folder_ / "p.csv") << "id,x,y\n1,500005,4999995\n2,500015,4999995\n";
  ASSERT_EQ(run("readings p.csv --from s.tif"), 0) << err();
  EXPECT_EQ(textOf(folder_ / "out.log").rfind("id,x,y,s\n1,500005,4999995,0.0191", 0), 0u)
      << textOf(folder_ / "out.log");
  ASSERT_EQ(run("readings p.csv --from s.tif --json"), 0) << err();
  EXPECT_EQ(json()["values"].size(), 2u);
}

TEST_F(ZpatchScenes, AVariableOfAFileIsNamedWithoutItsFolder) {
  // Whatever stands behind the colon, it is no address on a network.
  writeFloats(folder_ / "s.tif", metricGrid(2, 1), {{1.5f, 2.5f}}, {"nir"});
  {
    startGdal();
    const auto open = [](const fs::path& file) {
      return GDALDatasetUniquePtr(GDALDataset::Open(file.c_str()));
    };
    auto* netCdf = GetGDALDriverManager()->GetDriverByName("netCDF");
    ASSERT_NE(netCdf, nullptr);
    const auto from = open(folder_ / "s.tif");
    GDALDatasetUniquePtr(
        netCdf->CreateCopy((folder_ / "s.nc").c_str(), from.get(), 0, nullptr, nullptr, nullptr));
  }
  std::ofstream(folder_ / "p.csv") << "id,x,y\n1,500005,4999995\n2,500015,4999995\n";
  ASSERT_EQ(run("readings p.csv --from s.nc:Band1 --json"), 0) << err();
  EXPECT_EQ(json()["values"][0][3], "1.5") << json();
  EXPECT_EQ(json()["values"][1][3], "2.5") << json();
  EXPECT_EQ(run("look s.nc:Band1"), 0) << err();
  EXPECT_EQ(run("look s.nc:Tea"), 1);
  fs::remove(folder_ / "s.nc");
  EXPECT_EQ(run("look s.nc:Band1"), 1);
  EXPECT_NE(err().find("“s.nc” does not exist"), std::string::npos) << err();
}

TEST_F(ZpatchScenes, AFinerFileUnderACoarserGridNeedsLittleMemory) {
  const Grid coarse = metricGrid(400, 400, 10);
  writeFloats(folder_ / "c.tif", coarse, {std::vector<float>(160000, 1)}, {"red"});
  std::ofstream(folder_ / "f.vrt")
      << R"(<VRTDataset rasterXSize="16000" rasterYSize="16000"><SRS>EPSG:32627</SRS>)"
      << R"(<GeoTransform>500000, 0.25, 0, 5000000, 0, -0.25</GeoTransform>)"
      << R"(<VRTRasterBand dataType="Float32" band="1"><Description>nir</Description>)"
      << R"(<SimpleSource><SourceFilename relativeToVRT="1">c.tif</SourceFilename>)"
      << R"(<SourceBand>1</SourceBand><SrcRect xOff="0" yOff="0" xSize="400" ySize="400"/>)"
      << R"(<DstRect xOff="0" yOff="0" xSize="16000" ySize="16000"/></SimpleSource>)"
      << R"(</VRTRasterBand></VRTDataset>)";
  // All of the finer file would be 1 GB.
  const std::string call = "bash -c 'ulimit -v 900000; cd " + folder_.path().string() +
                           " && exec " ZPATCH
                           " index --scene a=c.tif --scene b=f.vrt --formula "
                           "\"a.red + b.nir\" --out o.tif' 2> '" +
                           (folder_ / "err.log").string() + "' > /dev/null";
  ASSERT_EQ(std::system(call.c_str()), 0) << err();
  EXPECT_EQ(readFloats(folder_ / "o.tif")[80200], 2);
}

}  // namespace
}  // namespace zp
