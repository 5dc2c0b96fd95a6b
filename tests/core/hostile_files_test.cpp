// Files that are damaged or made to harm: each is one sentence, at once.
#include <sys/stat.h>

#include <atomic>
#include <cmath>

#include "grid/block_pipeline.h"
#include "grid/gdal_start.h"
#include "scene/band_reader.h"
#include "scene/stac_item.h"
#include "study/study.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

void put(const fs::path& file, const std::string& text) {
  std::ofstream(file) << text;
}

TEST(Hostile, ARasterThatClaimsMorePixelsThanCanBe) {
  Folder folder;
  put(folder / "huge.vrt", R"(<VRTDataset rasterXSize="2147483647" rasterYSize="2147483647">)"
                           R"(<VRTRasterBand dataType="Byte" band="1"/></VRTDataset>)");
  EXPECT_NE(sentenceOf([&] { RasterFile(folder / "huge.vrt"); }).find("more than can be worked on"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { openScene(folder / "huge.vrt"); }).find("more than can be worked on"),
            std::string::npos);
}

TEST(Hostile, APipeIsNotWaitedFor) {
  Folder folder;
  ASSERT_EQ(mkfifo((folder / "p.tif").c_str(), 0600), 0);
  EXPECT_NE(sentenceOf([&] { RasterFile(folder / "p.tif"); }).find("a pipe"), std::string::npos);
  EXPECT_NE(sentenceOf([&] { openScene(folder / "p.tif"); }).find("a pipe"), std::string::npos);
  put(folder / "item.json",
      R"({"type": "Feature", "id": "x", "assets": {"a": {"href": "p.tif", "roles": ["data"]}}})");
  EXPECT_NE(sentenceOf([&] { openStacItem(folder / "item.json"); }).find("a pipe"),
            std::string::npos);
  ASSERT_EQ(mkfifo((folder / "l.gpkg").c_str(), 0600), 0);
  EXPECT_NE(sentenceOf([&] { readLayer((folder / "l.gpkg").string()); }).find("a pipe"),
            std::string::npos);
  ASSERT_EQ(mkfifo((folder / "t.csv").c_str(), 0600), 0);
  EXPECT_NE(sentenceOf([&] { readTable((folder / "t.csv").string()); }).find("a pipe"),
            std::string::npos);
  // Nor one beside a good file, nor one that a good file leads to.
  writeFloats(folder / "s.tif", metricGrid(2, 2), {{1, 2, 3, 4}});
  ASSERT_EQ(mkfifo((folder / "s.tif.aux.xml").c_str(), 0600), 0);
  EXPECT_NE(sentenceOf([&] { RasterFile(folder / "s.tif"); }).find("a pipe"), std::string::npos);
  put(folder / "v.vrt",
      R"(<VRTDataset rasterXSize="2" rasterYSize="2"><VRTRasterBand dataType="Byte" band="1">)"
      R"(<SimpleSource><SourceFilename relativeToVRT="1">p.tif</SourceFilename>)"
      R"(<SourceBand>1</SourceBand></SimpleSource></VRTRasterBand></VRTDataset>)");
  EXPECT_NE(sentenceOf([&] { RasterFile(folder / "v.vrt"); }).find("a pipe"), std::string::npos);
}

/// Names as they were written before there was UTF-8.
TEST(Hostile, NamesInAnotherEncodingAreReadAndCanBeWrittenDown) {
  Folder folder;
  const auto source = writeFloats(folder / "s.tif", metricGrid(2, 2), {{1, 2, 3, 4}});
  put(folder / "v.vrt",
      "<VRTDataset rasterXSize=\"2\" rasterYSize=\"2\"><Metadata><MDI key=\"Gr\xF6\xDF"
      "e\">\xFC</MDI></Metadata>"
      "<VRTRasterBand dataType=\"Byte\" band=\"1\"><Description>R\xF6te</Description>"
      "<UnitType>\xB0"
      "C</UnitType><CategoryNames><Category/><Category>R\xF6hricht</Category></CategoryNames>"
      "<SimpleSource><SourceFilename relativeToVRT=\"1\">s.tif</SourceFilename>"
      "<SourceBand>1</SourceBand></SimpleSource></VRTRasterBand></VRTDataset>");
  const RasterFile file(folder / "v.vrt");
  EXPECT_EQ(file.facts(1).name, "Röte");
  EXPECT_EQ(file.facts(1).unit, "°C");
  EXPECT_EQ(file.facts(1).categories.at(1), "Röhricht");
  EXPECT_EQ(file.metadata().at("Größe"), "ü");
  EXPECT_NO_THROW(toJson(openScene(folder / "v.vrt"), {}).dump());
  put(folder / "l.geojson",
      "{\"type\": \"FeatureCollection\", \"features\": [{\"type\": \"Feature\", \"properties\": "
      "{\"H\xF6he\": \"gr\xFCn\"}, \"geometry\": {\"type\": \"Point\", \"coordinates\": [1, "
      "2]}}]}");
  const Layer layer = readLayer((folder / "l.geojson").string());
  EXPECT_EQ(layer.table.columns.at(0), "Höhe");
  EXPECT_EQ(layer.table.rows.at(0).at(0), "grün");
}

TEST(Hostile, AFileWhoseNameCannotBeWrittenDownDoesNotComeIntoAStudy) {
  Folder folder;
  const auto file = folder / "R\xF6te.tif";
  writeFloats(file, metricGrid(2, 2), {{1, 2, 3, 4}});
  const Scene scene = openScene(file);
  EXPECT_EQ(scene.name, "Röte");
  Study study = Study::create(folder / "study", "One");
  EXPECT_NE(sentenceOf([&] { study.addScene(scene); }).find("Röte.tif” is no UTF-8"),
            std::string::npos);
  EXPECT_TRUE(study.scenes.empty());
  // Named from a study that lies beside it in such a folder, it can.
  Study beside = Study::create(folder /
                                   "Stra\xDF"
                                   "e",
                               "Two");
  const auto inside = folder /
                      "Stra\xDF"
                      "e/s.tif";
  writeFloats(inside, metricGrid(2, 2), {{1, 2, 3, 4}});
  beside.addScene(openScene(inside));
  beside.save();
  EXPECT_EQ(Study::read(beside.folder()).scenes.size(), 1u);
}

TEST(Hostile, KeysOfAnObject) {
  std::string many = "{";
  for (int i = 0; i < 99999; ++i) many += "\"k" + std::to_string(i) + "\": 1,";
  EXPECT_EQ(parseJson(many + "\"last\": 2}", "many").size(), 100000u);
  EXPECT_NE(sentenceOf([&] {
              parseJson(many + "\"a\": 1, \"b\": 2}", "many");
            }).find("more than 100000 keys"),
            std::string::npos);
  EXPECT_NE(sentenceOf([] { parseJson(R"({"a": 1, "b": 2, "a": 3})", "twice"); }).find("“a” twice"),
            std::string::npos);
  const Json kept = parseJson(R"({"z": 1, "a": [true, null, "x", -2, 1.5], "m": {"k": {}}})", "o");
  EXPECT_EQ(kept.dump(), R"({"z":1,"a":[true,null,"x",-2,1.5],"m":{"k":{}}})");
  EXPECT_NE(sentenceOf([] { parseJson("{} x", "rest"); }).find("not valid JSON"),
            std::string::npos);
  EXPECT_NE(sentenceOf([] { parseJson("1e999", "large"); }).find("too large"), std::string::npos);
}

/// A file of five bands, the fourth alpha.
fs::path writeWithAlpha(const fs::path& file, int bands, int alphaBand);

TEST(Alpha, IsAMaskWhereverItIsMarked) {
  Folder folder;
  for (const auto& [bands, alpha] : {std::pair{2, 2}, {4, 4}, {5, 4}, {5, 5}, {7, 2}}) {
    const auto file = writeWithAlpha(
        folder / (std::to_string(bands) + "-" + std::to_string(alpha) + ".tif"), bands, alpha);
    const RasterFile raster(file);
    for (int b = 1; b <= bands; ++b) {
      if (b == alpha) continue;
      std::vector<float> v(4);
      raster.read(b, {0, 0, 2, 2}, v.data());
      EXPECT_EQ(v[0], 9) << bands << " " << b;
      EXPECT_TRUE(std::isnan(v[1])) << bands << " " << b;
      EXPECT_EQ(v[3], 9) << bands << " " << b;
    }
  }
}

TEST(RasterWriter, AValueThatEqualsNoDataIsReadBackAsAValue) {
  Folder folder;
  RasterSpec spec;
  spec.grid = metricGrid(3, 1);
  spec.nodata = -9999;
  spec.bands.resize(1);
  RasterWriter writer(folder / "f.tif", spec);
  std::vector<float> values{-9999.0f, std::nanf(""), 5};
  writer.write(1, {0, 0, 3, 1}, values);
  writer.finish();
  const auto back = readFloats(folder / "f.tif");
  EXPECT_NEAR(back[0], -9999, 0.01);
  EXPECT_TRUE(std::isnan(back[1]));
  EXPECT_EQ(back[2], 5);
}

TEST(BandReader, AFinerFileIsBroughtOverInPiecesThatFitTogether) {
  Folder folder;
  const Grid coarse = metricGrid(40, 30, 10), fine = metricGrid(1600, 1200, 0.25);
  writeFloats(folder / "c.tif", coarse, {std::vector<float>(1200, 1)}, {"red"});
  std::vector<float> v(fine.pixels());
  for (size_t i = 0; i < v.size(); ++i)
    v[i] = static_cast<float>(i % 1600) * 0.001f + static_cast<float>(i / 1600) * 0.01f;
  writeFloats(folder / "f.tif", fine, {v}, {"nir"});
  const Scene c = openScene(folder / "c.tif"), f = openScene(folder / "f.tif");
  const BandReader reader(coarse, {{&c, 0}, {&f, 0}});
  BandBlock whole;
  reader.read({0, 0, 40, 30}, whole);
  for (size_t y = 1; y < 29; ++y)
    for (size_t x = 1; x < 39; ++x) {
      const double middleX = (static_cast<double>(x) + 0.5) * 40 - 0.5,
                   middleY = (static_cast<double>(y) + 0.5) * 40 - 0.5;
      EXPECT_NEAR(whole.band(1)[y * 40 + x], middleX * 0.001 + middleY * 0.01, 0.003);
    }
  // However it is cut, the values are those of the whole.
  for (const Window w : {Window{0, 0, 7, 5}, {7, 5, 1, 1}, {20, 11, 13, 17}, {39, 29, 1, 1}}) {
    BandBlock part;
    reader.read(w, part);
    for (int y = 0; y < w.height; ++y)
      for (int x = 0; x < w.width; ++x)
        EXPECT_NEAR(part.band(1)[y * w.width + x], whole.band(1)[(w.y + y) * 40 + w.x + x], 1e-4)
            << w.x + x << "," << w.y + y;
  }
}

TEST(BandReader, ScenesThatLieNowhereOverEachOtherAreRefused) {
  Folder folder;
  Grid far = metricGrid(4, 4);
  far.transform[0] += 1e5;
  const Scene a = openScene(
                  writeFloats(folder / "a.tif", metricGrid(4, 4), {std::vector<float>(16, 1)})),
              b = openScene(writeFloats(folder / "b.tif", far, {std::vector<float>(16, 1)}));
  EXPECT_NE(sentenceOf([&] {
              BandReader(a.grid, {{&a, 0}, {&b, 0}});
            }).find("nowhere over"),
            std::string::npos);
}

}  // namespace
}  // namespace zp

#include <gdal_priv.h>

namespace zp {
namespace {
fs::path writeWithAlpha(const fs::path& file, int bands, int alphaBand) {
  startGdal();  // a test alone is the first to need it
  auto* driver = GetGDALDriverManager()->GetDriverByName("GTiff");
  auto* d = driver->Create(file.c_str(), 2, 2, bands, GDT_Byte, nullptr);
  for (int b = 1; b <= bands; ++b) {
    std::vector<uint8_t> v(4, 9);
    if (b == alphaBand) v = {255, 0, 128, 1};
    EXPECT_EQ(d->GetRasterBand(b)->RasterIO(GF_Write, 0, 0, 2, 2, v.data(), 2, 2, GDT_Byte, 0, 0,
                                            nullptr),
              CE_None);
    d->GetRasterBand(b)->SetColorInterpretation(b == alphaBand ? GCI_AlphaBand : GCI_GrayIndex);
  }
  GDALClose(d);
  return file;
}
}  // namespace
}  // namespace zp

namespace zp {
namespace {
/// Nothing is written to it, so it takes a few hundred bytes.
fs::path writeOneTile(const fs::path& file, int size, int bands) {
  startGdal();
  const std::string wide = "BLOCKXSIZE=" + std::to_string(size),
                    high = "BLOCKYSIZE=" + std::to_string(size);
  const char* options[] = {"TILED=YES",      "COMPRESS=DEFLATE", "INTERLEAVE=PIXEL",
                           "SPARSE_OK=TRUE", wide.c_str(),       high.c_str(),
                           nullptr};
  GDALClose(GetGDALDriverManager()->GetDriverByName("GTiff")->Create(
      file.c_str(), size, size, bands, GDT_Byte, const_cast<char**>(options)));
  return file;
}

TEST(HostileRasters, ABlockThatTakesAllMemoryIsRefused) {
  Folder folder;
  const fs::path great = writeOneTile(folder / "great.tif", 20000, 3);
  EXPECT_LT(fs::file_size(great), 10000u);
  const std::string said = sentenceOf([&] { RasterFile raster(great); });
  EXPECT_NE(said.find("20000 x 20000 pixels and 3 bands"), std::string::npos) << said;
  EXPECT_EQ(RasterFile(writeOneTile(folder / "fair.tif", 2000, 3)).bands(), 3);
}
}  // namespace
}  // namespace zp
