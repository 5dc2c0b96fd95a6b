#include "scene/band_reader.h"

#include <cmath>

#include "base/random.h"
#include "feature/feature_reader.h"
#include "feature/formula_feature.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

TEST(BandReader, BandsOfSeveralFilesInTheOrderAsked) {
  Folder folder;
  const Grid g = metricGrid(3, 2);
  writeFloats(folder / "a.tif", g, {{1, 2, 3, 4, 5, 6}});
  writeFloats(folder / "b.tif", g, {{10, 20, 30, 40, 50, 60}, {-1, -2, -3, -4, -5, -6}});
  const Scene s = openScene(std::vector<fs::path>{folder / "a.tif", folder / "b.tif"});
  ASSERT_EQ(s.bands.size(), 3u);
  BandBlock block;
  BandReader(s, {2, 0}).read({1, 0, 2, 2}, block);
  ASSERT_EQ(block.bands, 2u);
  EXPECT_EQ(std::vector<float>(block.band(0), block.band(0) + 4),
            (std::vector<float>{-2, -3, -5, -6}));
  EXPECT_EQ(std::vector<float>(block.band(1), block.band(1) + 4), (std::vector<float>{2, 3, 5, 6}));
}

TEST(BandReader, WindowsTogetherGiveTheWhole) {
  Folder folder;
  const Grid g = metricGrid(517, 391);
  std::vector<float> values(g.pixels());
  for (size_t i = 0; i < values.size(); ++i) values[i] = static_cast<float>(unit(mix(i)));
  writeFloats(folder / "s.tif", g, {values});
  const Scene s = openScene(folder / "s.tif");
  const BandReader reader(s, {0});
  std::vector<float> whole(g.pixels(), -1);
  BandBlock block;
  for (const auto& w : reader.windows(100000)) {
    reader.read(w, block);
    for (int r = 0; r < w.height; ++r)
      for (int c = 0; c < w.width; ++c)
        whole[static_cast<size_t>((w.y + r) * g.width + w.x + c)] =
            block.band(0)[static_cast<size_t>(r * w.width + c)];
  }
  EXPECT_EQ(whole, values);
}

TEST(BandReader, ReducedReadsAreNearestPixels) {
  Folder folder;
  const Grid g = metricGrid(100, 100);
  std::vector<float> values(g.pixels());
  for (size_t i = 0; i < values.size(); ++i) values[i] = static_cast<float>(i);
  writeFloats(folder / "s.tif", g, {values});
  std::vector<float> small;
  const Scene s = openScene(folder / "s.tif");
  BandReader(s, {0}).readReduced({0, 0, 100, 100}, 10, 10, small);
  ASSERT_EQ(small.size(), 100u);
  for (int r = 0; r < 10; ++r)
    for (int c = 0; c < 10; ++c) {
      const float v = small[static_cast<size_t>(r * 10 + c)];
      const int row = static_cast<int>(v) / 100, column = static_cast<int>(v) % 100;
      EXPECT_GE(row, r * 10);
      EXPECT_LT(row, r * 10 + 10);
      EXPECT_GE(column, c * 10);
      EXPECT_LT(column, c * 10 + 10);
    }
}

TEST(BandReader, AFileThatChangedSizeIsRefused) {
  Folder folder;
  writeFloats(folder / "s.tif", metricGrid(4, 4), {std::vector<float>(16, 1)});
  const Scene s = openScene(folder / "s.tif");
  fs::remove(folder / "s.tif");
  writeFloats(folder / "s.tif", metricGrid(4, 5), {std::vector<float>(20, 1)});
  EXPECT_NE(sentenceOf([&] { BandReader(s, {}); }).find("bring the scene in again"),
            std::string::npos);
}

TEST(BandReader, AnOwnNoDataValueReplacesTheFiles) {
  Folder folder;
  writeFloats(folder / "s.tif", metricGrid(3, 1), {{0, -9999, 5}}, {}, -9999);
  SceneOptions options;
  options.nodata = 0;
  const Scene s = openScene(folder / "s.tif", options);
  BandBlock block;
  BandReader(s, {}).read({0, 0, 3, 1}, block);
  EXPECT_TRUE(std::isnan(block.band(0)[0]));
  EXPECT_EQ(block.band(0)[1], -9999);
}

TEST(Scene, ThereAndBackThroughJson) {
  Folder folder;
  fs::create_directory(folder / "in");
  writeFloats(folder / "in/s.tif", metricGrid(2, 2), {{1, 2, 3, 4}, {5, 6, 7, 8}}, {"red", "nir"});
  Scene s = openScene(folder / "in/s.tif");
  s.state = ValueState::TopOfAtmosphere;
  s.date = "2031-05-02";
  s.bands[1].wavelength = 803;
  s.bands[1].conversion = {7.0, 2.0, 1.0};
  const Json json = toJson(s, folder.path());
  EXPECT_EQ(json["bands"][0]["file"], "in/s.tif");  // stays inside the study
  const Scene back = sceneFrom(json, folder.path());
  EXPECT_EQ(back.roles(), s.roles());
  EXPECT_EQ(back.state, s.state);
  EXPECT_EQ(back.bands[1].conversion.nodata, 7.0);
  EXPECT_EQ(back.bands[1].conversion.scale, 2.0);
  EXPECT_TRUE(back.grid.sameAs(s.grid));
  const Json outside = toJson(s, folder / "elsewhere");
  EXPECT_EQ(outside["bands"][0]["file"], (folder / "in/s.tif").string());
}

TEST(Scene, CompositesNeedTheirRoles) {
  Folder folder;
  writeFloats(folder / "s.tif", metricGrid(1, 1), {{1}, {2}, {3}, {4}},
              {"blue", "green", "red", "nir"});
  const Scene s = openScene(folder / "s.tif");
  std::vector<std::string> ids;
  for (const auto& c : compositesOf(s)) ids.push_back(c.id);
  EXPECT_EQ(ids, (std::vector<std::string>{"natural", "vegetation"}));
  EXPECT_FALSE(s.isRadar());
  writeFloats(folder / "r.tif", metricGrid(1, 1), {{1}, {2}}, {"vv", "vh"});
  EXPECT_TRUE(openScene(folder / "r.tif").isRadar());
}

TEST(Scene, WorksWithoutAReferenceSystem) {
  Folder folder;
  Grid g = metricGrid(2, 1);
  g.crs.clear();
  g.georeferenced = false;
  writeFloats(folder / "s.tif", g, {{1, 2}});
  const Scene s = openScene(folder / "s.tif");
  EXPECT_TRUE(s.grid.crs.empty());
  EXPECT_FALSE(s.grid.georeferenced);
  BandBlock block;
  BandReader(s, {}).read({0, 0, 2, 1}, block);
  EXPECT_EQ(block.band(0)[1], 2);
}

TEST(KeptBands, ForgetTheOldestAndNeverMixPlacesUp) {
  const auto values = [](float v) {
    return std::make_shared<const std::vector<float>>(std::vector<float>(100, v));
  };
  KeptBands kept(1200);  // three of 400 bytes
  for (int i = 0; i < 3; ++i) kept.keep("a", {i, 0, 10, 10}, 10, 10, values(static_cast<float>(i)));
  EXPECT_EQ(kept.bytes(), 1200u);
  ASSERT_TRUE(kept.find("a", {0, 0, 10, 10}, 10, 10));  // now the latest asked for
  EXPECT_EQ((*kept.find("a", {0, 0, 10, 10}, 10, 10))[0], 0);
  kept.keep("b", {0, 0, 10, 10}, 10, 10, values(7));
  EXPECT_EQ(kept.bytes(), 1200u);
  EXPECT_FALSE(kept.find("a", {1, 0, 10, 10}, 10, 10));
  EXPECT_TRUE(kept.find("a", {0, 0, 10, 10}, 10, 10));
  EXPECT_FALSE(kept.find("b", {0, 0, 10, 10}, 5, 20));
  EXPECT_EQ((*kept.find("b", {0, 0, 10, 10}, 10, 10))[0], 7);
  kept.keep("b", {0, 0, 10, 10}, 10, 10, values(9));  // what is there stays
  EXPECT_EQ((*kept.find("b", {0, 0, 10, 10}, 10, 10))[0], 7);
  kept.keep("c", {0, 0, 99, 99}, 99, 99,
            std::make_shared<const std::vector<float>>(std::vector<float>(9801)));
  EXPECT_EQ(kept.bytes(), 0u);  // too much for it
}

TEST(KeptBands, ReadTheSameAndNeitherAnotherScaleNorAChangedFile) {
  Folder folder;
  const Grid g = metricGrid(64, 48);
  std::vector<float> values(g.pixels());
  for (size_t i = 0; i < values.size(); ++i) values[i] = static_cast<float>(unit(mix(i)));
  writeFloats(folder / "s.tif", g, {values, values});
  Scene scene = openScene(folder / "s.tif");
  const auto kept = std::make_shared<KeptBands>();
  const auto read = [&](const std::shared_ptr<KeptBands>& from) {
    BandReader reader(scene, {0, 1});
    reader.keepIn(from);
    std::vector<float> out;
    reader.readReduced({8, 4, 40, 32}, 20, 16, out);
    return out;
  };
  const auto plain = read(nullptr);
  EXPECT_EQ(read(kept), plain);
  EXPECT_EQ(kept->bytes(), 2 * 20 * 16 * sizeof(float));
  EXPECT_EQ(read(kept), plain);
  scene.bands[1].conversion.scale = 2;
  const auto scaled = read(kept);
  EXPECT_EQ(scaled, read(nullptr));
  EXPECT_FLOAT_EQ(scaled[320], 2 * plain[320]);
  for (float& v : values) v += 1;
  fs::remove(folder / "s.tif");
  writeFloats(folder / "s.tif", g, {values, values});
  fs::last_write_time(folder / "s.tif", fs::file_time_type::clock::now() + std::chrono::hours(1));
  EXPECT_EQ(read(kept), read(nullptr));
  EXPECT_FLOAT_EQ(read(kept)[0], plain[0] + 1);
}

TEST(KeptBands, AFormulaTypedFurtherReadsNoFileAgain) {
  Folder folder;
  const Grid g = metricGrid(64, 64);
  std::vector<float> nir(g.pixels(), 0.5f), red(g.pixels(), 0.1f);
  writeFloats(folder / "s.tif", g, {red, nir}, {"red", "nir"});
  const Scope scope(openScene(folder / "s.tif"));
  const auto feature = [&](const char* text) {
    return formulaFeature(parseFormula(text, {"red", "nir"}), scope);
  };
  const auto kept = std::make_shared<KeptBands>();
  const Window all{0, 0, 64, 64};
  const FeatureReader first(scope, {feature("nir - red")}, kept);
  EXPECT_FLOAT_EQ(first.reduced(all, 32, 32)[0][0], 0.4f);
  const size_t bytes = kept->bytes();
  // Cut short, the file cannot be read any more; what was read is enough.
  fs::resize_file(folder / "s.tif", 200);
  EXPECT_FLOAT_EQ(first.with({feature("nir + red")})->reduced(all, 32, 32)[0][0], 0.6f);
  EXPECT_EQ(kept->bytes(), bytes);
  EXPECT_EQ(first.with({feature("nir + red")})->features().size(), 1u);
}

}  // namespace
}  // namespace zp
