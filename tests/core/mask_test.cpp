#include "scene/mask.h"

#include <cmath>

#include "scene/band_reader.h"
#include "scene/quality.h"
#include "support/rasters.h"

using namespace zp;
using namespace zp::testing;

namespace {

/// 8 x 6, all 1 but what is set, with a quality band beside it.
struct Sample {
  Folder folder;
  Grid grid = metricGrid(8, 6);
  std::vector<float> values = std::vector<float>(48, 1);
  std::vector<uint16_t> flags = std::vector<uint16_t>(48, 0);
  Scene open() {
    writeFloats(folder / "s.tif", grid, {values}, {"nir"}, -9.0);
    zp::testing::writeCodes(folder / "q.tif", grid, flags);
    Scene s = openScene(folder / "s.tif");
    setQuality(s, {folder / "q.tif", 1, {{"cloud", true, 0, true}, {"shadow", true, 1, true}}});
    return s;
  }
};

size_t validPixels(const Scene& s) {
  BandBlock block;
  BandReader(s, {}).read({0, 0, s.grid.width, s.grid.height}, block);
  return static_cast<size_t>(std::count_if(block.values.begin(), block.values.end(),
                                           [](float v) { return !std::isnan(v); }));
}

}  // namespace

TEST(Mask, BitsOfAQualityBandAreSetAside) {
  Sample d;
  d.flags[3] = 1, d.flags[4] = 2, d.flags[5] = 3, d.flags[6] = 4;
  d.values[7] = -9;
  Scene s = d.open();
  MaskRecipe r;
  r.bits = {0, 1};
  const MaskCount n = makeMask(s, r, d.folder / "m.tif");
  EXPECT_EQ(n.flagged, 3u);
  EXPECT_EQ(n.noData, 1u);
  EXPECT_EQ(n.usable, 48u - 3 - 1);
  EXPECT_NEAR(n.usableShare(), 44.0 / 48, 1e-12);
  s.mask = d.folder / "m.tif";
  EXPECT_EQ(validPixels(s), 44u);
  EXPECT_EQ(countUsable(s).usable, 44u);
}

TEST(Mask, ValuesOfAQualityBand) {
  Sample d;
  d.flags[0] = 9, d.flags[1] = 8, d.flags[2] = 3;
  const Scene s = d.open();
  MaskRecipe r;
  r.values = {3, 9};
  EXPECT_EQ(makeMask(s, r, d.folder / "m.tif").flagged, 2u);
}

TEST(Mask, WidenedByADisc) {
  Sample d;
  d.flags[3 * 8 + 3] = 1;
  const Scene s = d.open();
  MaskRecipe r;
  r.bits = {0};
  r.widen = 2;
  const MaskCount n = makeMask(s, r, d.folder / "m.tif");
  EXPECT_EQ(n.flagged, 1u);
  EXPECT_EQ(n.widened, 12u);  // the 13 pixels whose centre lies within 2, but for the one itself
}

TEST(Mask, DrawnAndGrown) {
  Sample d;
  for (int i : {10, 11, 12, 18, 20, 28}) d.values[static_cast<size_t>(i)] = 0.5f;
  d.values[40] = 0.5f;  // alike, but not connected
  const Scene s = d.open();
  MaskRecipe r;
  const Place a = d.grid.toMap(0, 0), b = d.grid.toMap(2, 2);
  r.drawn.push_back({{{a, {b.x, a.y}, b, {a.x, b.y}}}, {}});
  r.grown.push_back({d.grid.centre(2, 1), 0.1});
  const MaskCount n = makeMask(s, r, d.folder / "m.tif");
  EXPECT_EQ(n.drawn, 4u + 6u);
  r.grown = {{d.grid.centre(100, 1), 0.1}};
  EXPECT_NE(sentenceOf([&] { makeMask(s, r, d.folder / "n.tif"); }).find("outside the scene"),
            std::string::npos);
}

TEST(Mask, WhatCannotBe) {
  Sample d;
  Scene s = d.open();
  s.quality = {};
  MaskRecipe r;
  r.bits = {0};
  EXPECT_NE(sentenceOf([&] { makeMask(s, r, d.folder / "m.tif"); }).find("no quality band"),
            std::string::npos);
  writeFloats(d.folder / "real.tif", d.grid, {d.values});
  EXPECT_NE(sentenceOf([&] {
              setQuality(s, {d.folder / "real.tif", 1, {}});
            }).find("real numbers"),
            std::string::npos);
  r.widen = 1000;
  EXPECT_THROW(makeMask(s, r, d.folder / "m.tif"), Error);
}

TEST(Mask, ThereAndBackThroughJson) {
  Sample d;
  Scene s = d.open();
  s.maskRecipe.edge = true;
  s.maskRecipe.bits = {0, 3};
  s.maskRecipe.widen = 4;
  s.maskRecipe.grown = {{{5, 6}, 0.25}};
  s.maskRecipe.drawn.push_back({{{{0, 0}, {1, 0}, {1, 1}}}, {}});
  makeMask(s, {}, d.folder / "m.tif");
  s.mask = d.folder / "m.tif";
  s.shift = {3, -2};
  s.pass = "ascending";
  const Json j = toJson(s, d.folder.path());
  EXPECT_EQ(toJson(sceneFrom(j, d.folder.path()), d.folder.path()), j);
}

TEST(Quality, PresetsNameFlawsOnly) {
  ASSERT_GE(qualityPresets().size(), 5u);
  for (const auto& p : qualityPresets()) {
    EXPECT_FALSE(p.source.empty());
    EXPECT_TRUE(std::any_of(p.flags.begin(), p.flags.end(), [](auto& f) { return f.setAside; }));
    for (const auto& f : p.flags) {
      const bool harmless = f.name == "water" || f.name == "vegetation" || f.name == "clear";
      EXPECT_FALSE(harmless && f.setAside) << p.id << " " << f.name;
    }
  }
}

TEST(RasterFile, AlphaAndMaskBandsSayWhereThereIsNoData) {
  Folder folder;
  // A picture of two bands and alpha, as GDAL makes it: the third band says what is there.
  RasterSpec spec;
  spec.grid = metricGrid(4, 2);
  spec.type = NumberType::Byte;
  spec.bands.resize(2);
  {
    RasterWriter w(folder / "p.tif", spec);
    w.writeCodes(1, {0, 0, 4, 2}, {1, 0, 3, 4, 5, 6, 7, 8});
    w.writeCodes(2, {0, 0, 4, 2}, {1, 1, 1, 1, 1, 1, 1, 1});
    w.finish();
  }
  addMaskBand(folder / "p.tif", {255, 255, 0, 255, 255, 255, 255, 0});
  const Scene s = openScene(folder / "p.tif");
  EXPECT_EQ(s.bands.size(), 2u);
  const auto v = readFloats(folder / "p.tif");
  EXPECT_TRUE(std::isnan(v[2]) && std::isnan(v[7]));
  EXPECT_EQ(v[1], 0);
  EXPECT_EQ(zp::testing::readCodes(folder / "p.tif")[2], 0);
}
