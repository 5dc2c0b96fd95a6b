// What is done about training that is not good: a class is split, pixels are dropped.
#include <fstream>

#include "feature/feature_kind.h"
#include "mapping/split_class.h"
#include "outline/cut.h"
#include "support/rasters.h"
#include "support/signatures.h"
#include "training/grow_region.h"
#include "training/legend_file.h"
#include "training/outliers.h"

namespace zp::testing {
namespace {

Shape box(const Grid& g, double left, double top, double right, double bottom) {
  const Place a = g.toMap(left, top), b = g.toMap(right, bottom);
  return {{{a, {b.x, a.y}, b, {a.x, b.y}}}, {}};
}

size_t pixelsIn(const std::vector<TrainingArea>& areas, const Grid& g, int code,
                const std::string& subclass) {
  std::set<std::pair<int, int>> pixels;
  for (const auto& a : areas)
    if (a.code == code && a.subclass == subclass)
      for (const auto& s : pixelsInside(a.shape, g))
        for (int c = s.from; c < s.to; ++c) pixels.insert({s.row, c});
  return pixels.size();
}

TEST(Cut, WhatLiesInPixelsAndWhatDoesNotMakeTheWhole) {
  const Grid g = metricGrid(20, 10);
  const Shape shape = box(g, 2.3, 1.2, 9.7, 6.4);
  std::vector<Span> some;
  for (int row = 1; row < 7; ++row) some.push_back({row, 2, row % 2 == 0 ? 5 : 6});
  const Shape in = cutTo(shape, some, g), out = cutAway(shape, some, g);
  const auto count = [&](const Shape& s) {
    size_t n = 0;
    for (const auto& span : pixelsInside(s, g)) n += static_cast<size_t>(span.to - span.from);
    return n;
  };
  EXPECT_EQ(count(in) + count(out), count(shape));
  for (const auto& s : pixelsInside(in, g)) EXPECT_LT(s.to, s.row % 2 == 0 ? 6 : 7);
  EXPECT_EQ(count(cutAway(shape, {}, g)), count(shape));
  EXPECT_TRUE(cutTo(shape, {}, g).rings.empty());
  Shape points;
  points.points = {g.centre(3, 2), g.centre(8, 2)};
  EXPECT_EQ(cutTo(points, some, g).points.size(), 1u);
  EXPECT_EQ(cutAway(points, some, g).points[0].x, g.centre(8, 2).x);
  // A ring that crosses itself is cut too.
  const Place a = g.toMap(2, 2), b = g.toMap(8, 6);
  const Shape crossed{{{a, b, {b.x, a.y}, {a.x, b.y}}}, {}};
  EXPECT_NO_THROW(cutTo(crossed, some, g));
}

/// A class of two covers over three areas: one bright, one dark, one of both halves; and another.
struct TwoCovers {
  Folder folder;
  Grid grid = metricGrid(60, 30);
  Scene scene;
  std::vector<TrainingArea> areas;
  Legend legend;
  TwoCovers() {
    Random random(4);
    std::vector<std::vector<float>> bands(3, std::vector<float>(grid.pixels()));
    for (size_t i = 0; i < grid.pixels(); ++i)
      for (size_t b = 0; b < 3; ++b) {
        const size_t x = i % 60;
        const double middle = x < 20 ? 0.6 : x < 40 ? 0.2 : 0.9;
        bands[b][i] = static_cast<float>(middle + 0.01 * bellOf(random));
      }
    writeFloats(folder / "s.tif", grid, bands);
    scene = openScene(folder / "s.tif");
    add(4, box(grid, 1, 1, 9, 9));
    add(4, box(grid, 25, 1, 33, 7));
    add(4, box(grid, 15, 12, 24, 20));  // 5 columns bright, 4 dark
    add(7, box(grid, 42, 2, 58, 20));
    legend = legendOf(areas);
  }
  void add(int code, Shape shape) {
    TrainingArea a;
    a.code = code;
    a.className = "c" + std::to_string(code);
    a.shape = std::move(shape);
    areas.push_back(a);
  }
  Samples samples() const {
    const Scope scope(scene);
    const FeatureReader reader(scope, makeFeatures({"band(1)", "band(2)", "band(3)"}, scope));
    return drawSamples(reader, areas, legend);
  }
};

TEST(LegendFile, ComesBackFromBothFormats) {
  const Folder folder;
  Legend legend;
  legend.add({3, "Reedbed, \"dry\"", {186, 150, 88}, "cut; and uncut", {{"cut"}, {"uncut"}}});
  legend.add({12, "Open water", {60, 110, 170}, "", {}});
  for (const char* name : {"l.json", "l.csv"}) {
    writeLegendFile(folder / name, folder / name, legend);
    const Legend back = readLegendFile(folder / name);
    EXPECT_EQ(toJson(back), toJson(legend)) << name;
  }
  const auto refused = [&](const std::string& text) {
    std::ofstream(folder / "bad.csv") << text;
    return sentenceOf([&] { readLegendFile(folder / "bad.csv"); });
  };
  EXPECT_NE(refused("code,name\n1,a\n1,b\n").find("1"), std::string::npos);
  EXPECT_NE(refused("code,name\n0,a\n").find("not a class code"), std::string::npos);
  EXPECT_NE(refused("code,name\n4,\n").find("no name"), std::string::npos);
  EXPECT_NE(refused("number,name\n4,a\n").find("code"), std::string::npos);
  EXPECT_FALSE(refused("code,name,colour\n4,a,blue\n").empty());
  std::ofstream(folder / "bad.csv") << "code;name\n7;Only\n";
  EXPECT_EQ(readLegendFile(folder / "bad.csv").find(7)->name, "Only");
}

TEST(GrowRegion, TakesWhatIsLikeTheSeedAndNoMore) {
  const TwoCovers t;
  const Scope scope(t.scene);
  const FeatureReader reader(scope, makeFeatures({"band(1)", "band(2)", "band(3)"}, scope));
  const auto count = [](const std::vector<Span>& spans) {
    size_t n = 0;
    for (const auto& s : spans) n += static_cast<size_t>(s.to - s.from);
    return n;
  };
  // The dark cover, 20 columns wide, whole; its outline holds the same pixels.
  const auto dark = growRegion(reader, 30, 10, {0.3, 100000});
  EXPECT_EQ(count(dark), 20u * 30u);
  for (const auto& s : dark) EXPECT_TRUE(s.from == 20 && s.to == 40);
  EXPECT_EQ(count(pixelsInside(outlineOf(dark, t.grid), t.grid)), 600u);
  EXPECT_EQ(count(growRegion(reader, 30, 10, {0.3, 50})), 50u);
  EXPECT_EQ(count(growRegion(reader, 30, 10, {10, 100000})), t.grid.pixels());
  EXPECT_EQ(count(growRegion(reader, 0, 0, {0.3, 100000})), 20u * 30u);
  EXPECT_NE(sentenceOf([&] { growRegion(reader, 60, 10); }).find("outside"), std::string::npos);
  EXPECT_NE(sentenceOf([&] { growRegion(reader, -1, 10); }).find("outside"), std::string::npos);
}

TEST(SplitClass, ByItsOwnClustersAndCutsWhereBothMeet) {
  const TwoCovers t;
  const Samples s = t.samples();
  const ClassSplit split = splitClass(s, t.areas, t.grid, 4, "", {"bright", "dark"});
  EXPECT_EQ(split.parts[0].pixels, 64u + 40u);
  EXPECT_EQ(split.parts[1].pixels, 48u + 32u);
  EXPECT_NEAR(split.parts[0].mean[1], 0.6, 0.01);
  EXPECT_NEAR(split.parts[1].mean[1], 0.2, 0.01);
  ASSERT_EQ(split.areas.size(), 5u);
  EXPECT_EQ(pixelsIn(split.areas, t.grid, 4, "bright"), 104u);
  EXPECT_EQ(pixelsIn(split.areas, t.grid, 4, "dark"), 80u);
  EXPECT_EQ(pixelsIn(split.areas, t.grid, 7, ""), 16u * 18u);
  // Trained again, they are two.
  Samples again = s;
  TwoCovers u;
  u.areas = split.areas;
  again = u.samples();
  EXPECT_EQ(again.size(), s.size());
  std::map<std::string, size_t> pixels;
  for (size_t i = 0; i < again.size(); ++i)
    if (again.codes[i] == 4) ++pixels[again.subclass(i)];
  EXPECT_EQ(pixels["bright"], 104u);
  EXPECT_EQ(pixels["dark"], 80u);
}

TEST(SplitClass, APartCanBeDropped) {
  const TwoCovers t;
  const ClassSplit split = splitClass(t.samples(), t.areas, t.grid, 4, "", {"bright", "dark"});
  const auto left = withoutPart(split, 1);
  EXPECT_EQ(pixelsIn(left, t.grid, 4, ""), 104u);
  EXPECT_EQ(pixelsIn(left, t.grid, 4, "dark"), 0u);
  EXPECT_EQ(left.size(), 3u);
}

TEST(SplitClass, WhatCannotBeSplitIsSaid) {
  TwoCovers t;
  EXPECT_NE(sentenceOf([&] {
              splitClass(t.samples(), t.areas, t.grid, 4, "no such", {"a", "b"});
            }).find("fewer than two"),
            std::string::npos);
  Samples same = t.samples();
  std::fill(same.values.begin(), same.values.end(), 0.5f);
  EXPECT_NE(sentenceOf([&] {
              splitClass(same, t.areas, t.grid, 4, "", {"a", "b"});
            }).find("all alike"),
            std::string::npos);
}

TEST(Outliers, FarPixelsAreFoundWithTheClassTheyAreLike) {
  TwoCovers t;
  t.areas.erase(t.areas.begin() + 1, t.areas.begin() + 3);  // bright alone
  // Three pixels of class 7 lie in an area of class 4.
  t.add(4, box(t.grid, 38, 22, 43, 23));
  t.areas.erase(t.areas.begin() + 1);
  t.add(7, box(t.grid, 42, 2, 58, 20));
  const Samples s = t.samples();
  const auto found = outliersOf(s, 4);
  ASSERT_EQ(found.size(), 5u);  // two of the dark cover, three of class 7
  size_t like7 = 0;
  for (const auto& o : found) {
    EXPECT_EQ(s.pixels[o.sample].row, 22);
    EXPECT_GT(o.distance, 10);
    like7 += o.like == 7 ? 1 : 0;
  }
  EXPECT_EQ(like7, 3u);
  EXPECT_GE(found[0].distance, found[4].distance);
  EXPECT_TRUE(outliersOf(s, 7).empty());
  std::vector<size_t> which;
  for (const auto& o : found) which.push_back(o.sample);
  const auto left = withoutPixels(t.areas, s, which, t.grid);
  EXPECT_EQ(left.size(), 2u);  // nothing is left of the one they were in
  EXPECT_EQ(pixelsIn(left, t.grid, 4, ""), 64u);
  const auto fewer = withoutPixels(t.areas, s, {which[0]}, t.grid);
  EXPECT_EQ(pixelsIn(fewer, t.grid, 4, ""), 64u + 4u);
}

TEST(Outliers, AFewOfManyNormalPixelsAndNoneOfTooFew) {
  Random random(3);
  Samples s;
  s.features = {"a", "b"};
  s.subclasses = {""};
  for (int i = 0; i < 20000; ++i) {
    const double x = bellOf(random), y = bellOf(random);
    s.values.push_back(static_cast<float>(x));
    s.values.push_back(static_cast<float>(0.9 * x + 0.1 * y));
    s.codes.push_back(1);
    s.areas.push_back(0);
  }
  s.classes = {{1, "one", 20000}};
  EXPECT_LE(outliersOf(s, 1).size(), 8u);
  s.codes.assign(20000, 2);
  for (int i = 0; i < 15; ++i) s.codes[static_cast<size_t>(i)] = 1;
  EXPECT_TRUE(outliersOf(s, 1).empty());
}

}  // namespace
}  // namespace zp::testing
