// Reference from elsewhere: rasters, polygons, lists, and matrices made elsewhere.
#include "accuracy/reference_from.h"

#include "accuracy/typed_matrix.h"
#include "support/matrices.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

Legend threeClasses() {
  Legend legend;
  legend.addMissing(1, "Water");
  legend.addMissing(2, "Reed, dry");
  legend.addMissing(30, "Ploughland");
  return legend;
}

TEST(ReferenceFrom, ACellSaysAClassByMatchNameOrCode) {
  const Legend legend = threeClasses();
  const std::map<std::string, int> match{{"W", 1}, {"2", 30}};
  EXPECT_EQ(classSaid("W", match, legend), 1);
  EXPECT_EQ(classSaid(" water ", match, legend), 1);
  EXPECT_EQ(classSaid("2", match, legend), 30);  // as matched
  EXPECT_EQ(classSaid("2", {}, legend), 2);
  EXPECT_EQ(classSaid("30.0", {}, legend), 30);
  for (const char* none : {"", "0", "-1", "7", "1.5", "1e9", "nan", "reed"})
    EXPECT_EQ(classSaid(none, match, legend), 0) << none;
}

TEST(ReferenceFrom, RasterAndPolygonsSayTheSameWhereTheyAreTheSame) {
  Folder folder;
  const Grid g = metricGrid(20, 10);
  std::vector<uint16_t> codes(g.pixels());
  for (size_t i = 0; i < codes.size(); ++i) codes[i] = i % 20 < 10 ? 1 : i % 20 < 18 ? 2 : 0;
  writeCodes(folder / "m.tif", g, codes);
  const auto box = [&](int from, int to) {
    return Shape{{{g.toMap(from, 0), g.toMap(to, 0), g.toMap(to, 10), g.toMap(from, 10)}}, {}};
  };
  Layer polygons{"p", g.crs, {{"what"}, {{"1"}, {"2"}}}, {box(0, 10), box(10, 18)}};
  std::vector<Place> places;
  for (int i = 0; i < 20; ++i) places.push_back(g.centre(i, 4));
  places.push_back(g.centre(40, 4));  // outside both
  const auto raster = saidByRaster(places, g.crs, folder / "m.tif");
  EXPECT_EQ(raster, saidByPolygons(places, g.crs, polygons, "what"));
  EXPECT_EQ(raster[9], "1");
  EXPECT_EQ(raster[10], "2");
  EXPECT_EQ(raster[18], "");
  EXPECT_EQ(raster[20], "");
  EXPECT_NE(sentenceOf([&] { saidByPolygons(places, g.crs, polygons, "wat"); }).find("what"),
            std::string::npos);
}

TEST(ReferenceFrom, AListLabelsPointsByTheirIds) {
  std::vector<ValidationPoint> points(4);
  for (int i = 0; i < 4; ++i) points[static_cast<size_t>(i)].id = i + 1;
  const Labelling l(points, 1);
  const auto listed = labelsInList(
      "id\tclass\r\n1\tWater\r\n2;\"Reed, dry\"\n3, 30\n\n4,bog\n4,\n99,1\n4\n", l, threeClasses());
  EXPECT_EQ(listed.labels, (std::map<int, int>{{1, 1}, {2, 2}, {3, 30}}));
  EXPECT_EQ(listed.otherPoints, 1u);
  EXPECT_EQ(listed.otherClasses, (std::vector<std::string>{"bog"}));
  EXPECT_EQ(listed.otherLines, 1u);
  EXPECT_TRUE(labelsInList("", l, threeClasses()).labels.empty());
}

TEST(TypedMatrix, IsReadInWhateverShapeItComes) {
  const auto& counts = kCongalton;
  for (const char* text : {"65 4 22 24\n6 81 5 8\n0 11 85 19\n4 7 3 90\n",
                           "65\t4\t22\t24\r\n6\t81\t5\t8\r\n0\t11\t85\t19\r\n4\t7\t3\t90",
                           "A;65;4;22;24\nB;6;81;5;8\nC;0;11;85;19\nD;4;7;3;90",
                           "A,B,C,D\n65,4,22,24\n6,81,5,8\n0,11,85,19\n4,7,3,90",
                           "map \\ ref,A,B,C,D\nA,65,4,22,24\nB,6,81,5,8\nC,0,11,85,19\nD,4,7,3,90",
                           ",A,B,C,D,total,user's\nA,65,4,22,24,115,57 %\nB,6,81,5,8,100,81 %\n"
                           "C,0,11,85,19,115,74 %\nD,4,7,3,90,104,87 %\ntotal,75,103,115,141,434,\n"
                           "producer's,87 %,79 %,74 %,64 %,,74 %\n",
                           // Rows in another order than columns.
                           ",A,B,C,D\nD,4,7,3,90\nA,65,4,22,24\nC,0,11,85,19\nB,6,81,5,8\n"}) {
    const TypedMatrix typed = typedMatrix(text);
    ASSERT_EQ(typed.matrix.codes.size(), 4u) << text;
    for (size_t i = 0; i < 4; ++i)
      for (size_t j = 0; j < 4; ++j)
        EXPECT_EQ(typed.matrix.counts[i][j], static_cast<size_t>(counts[i][j])) << text;
    EXPECT_NEAR(assess(typed).overall.value, 321.0 / 434, 1e-12);
    const TypedMatrix turned = typedMatrix(text, true);
    EXPECT_EQ(turned.matrix.counts[0][3], 4u);
  }
  EXPECT_EQ(typedMatrix(",A,B\nA,1,2\nB,3,4").matrix.names, (std::vector<std::string>{"A", "B"}));
  EXPECT_EQ(typedMatrix("1 2\n3 4").matrix.names[1], "class 2");
}

// Olofsson et al. 2014, Good practices…, section 5.2: 640 points, areas in pixels of 30 m; overall
// 0.95 ± 0.02, deforestation 21 158 ha.
TEST(TypedMatrix, WithAreasIsWeighted) {
  const TypedMatrix typed = typedMatrix(
      ",deforestation,gain,forest,non-forest,area\n"
      "deforestation,66,0,5,4,200000\ngain,0,55,8,12,150000\n"
      "forest,1,0,153,11,3200000\nnon-forest,2,1,9,313,6450000\n");
  const Assessment a = assess(typed);
  EXPECT_TRUE(a.weighted);
  EXPECT_NEAR(a.overall.value, 0.95, 0.005);
  double whole = 0;
  for (const auto& [code, area] : typed.areas) whole += area;
  EXPECT_NEAR(a.area[0].value * whole * 0.09, 21158, 1);
}

TEST(TypedMatrix, WhatIsNoneIsToldInASentence) {
  for (const auto& [text, told] :
       std::map<std::string, std::string>{{"", "a row of numbers"},
                                          {"1 2 3\n4 5 6\n", "as many of both"},
                                          {"0.5 0.1\n0.1 0.3\n", "no whole number"},
                                          {"0 0\n0 0\n", "no point"},
                                          {"1 -2\n3 4\n", "no number of points"},
                                          {"1 nan\n3 4\n", "of both"},
                                          {"1 1e300\n3 4\n", "more than a million"},
                                          {"only words\nmore words\n", "no number of points"},
                                          {",A,B,area\nA,1,2,much\nB,3,4,5", "no area"},
                                          {",A,B,area\nA,0,0,5\nB,1,4,5", "“A” has an area"}}) {
    const std::string said = sentenceOf([&] { typedMatrix(text); });
    EXPECT_NE(said.find(told), std::string::npos) << text << ": " << said;
  }
  EXPECT_EQ(typedMatrix("5").matrix.total(), 5u);
}

}  // namespace
}  // namespace zp
