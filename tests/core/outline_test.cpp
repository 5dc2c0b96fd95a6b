#include <fstream>

#include "base/random.h"
#include "outline/class_polygons.h"
#include "outline/scanline.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

Grid unitGrid(int w, int h) {
  Grid g;
  g.width = w, g.height = h;
  g.transform = {0, 1, 0, static_cast<double>(h), 0, -1};
  return g;
}

size_t count(const std::vector<Span>& spans) {
  size_t n = 0;
  for (const auto& s : spans) n += static_cast<size_t>(s.to - s.from);
  return n;
}

TEST(Scanline, LeftAndTopEdgesBelong) {
  // A square whose edges run exactly through pixel centres: 2 x 2 of the 3 x 3 centres belong.
  Shape s;
  s.rings = {{{1.5, 6.5}, {3.5, 6.5}, {3.5, 4.5}, {1.5, 4.5}}};
  const auto spans = pixelsInside(s, unitGrid(8, 8));
  ASSERT_EQ(spans.size(), 2u);
  EXPECT_EQ(spans[0].row,
            1);  // the centre at y 6.5 is row 1 from the top, and the top edge belongs
  EXPECT_EQ(spans[0].from, 1);
  EXPECT_EQ(spans[0].to, 3);
}

TEST(Scanline, NeighboursShareNoPixelAndLeaveNone) {
  Random random(3);
  const Grid g = unitGrid(64, 64);
  for (int round = 0; round < 20; ++round) {
    // A fan of triangles around a centre tiles a square exactly.
    const Place c{random.between(10, 50), random.between(10, 50)};
    const std::vector<Place> corners{{0, 0},   {random.between(5, 60), 0},
                                     {64, 0},  {64, random.between(5, 60)},
                                     {64, 64}, {0, 64}};
    std::vector<int> owner(64 * 64);
    for (size_t i = 0; i < corners.size(); ++i) {
      Shape s;
      s.rings = {{c, corners[i], corners[(i + 1) % corners.size()]}};
      for (const auto& span : pixelsInside(s, g))
        for (int x = span.from; x < span.to; ++x) ++owner[static_cast<size_t>(span.row * 64 + x)];
    }
    for (int n : owner) EXPECT_EQ(n, 1);
  }
}

TEST(Scanline, HolesAndWhatLiesOutside) {
  Shape s;
  s.rings = {{{-5, -5}, {20, -5}, {20, 20}, {-5, 20}}, {{2, 2}, {6, 2}, {6, 6}, {2, 6}}};
  EXPECT_EQ(count(pixelsInside(s, unitGrid(8, 8))), 64u - 16u);
  s.rings = {{{100, 100}, {110, 100}, {105, 110}}};
  EXPECT_EQ(count(pixelsInside(s, unitGrid(8, 8))), 0u);
}

TEST(Scanline, PointsTakeTheirPixel) {
  Shape s;
  s.points = {{0, 8}, {7.999, 0.001}, {8, 4}, {3.5, 3.5}};
  const auto spans = pixelsOfPoints(s, unitGrid(8, 8));
  ASSERT_EQ(spans.size(), 3u);  // (8, 4) is just outside
  EXPECT_EQ(spans[0].row, 0);
  EXPECT_EQ(spans[1].row, 7);
  EXPECT_EQ(spans[1].from, 7);
}

TEST(ClassPolygons, RasterisedAgainGiveTheMapBack) {
  Folder folder;
  const Grid g = metricGrid(41, 37);
  std::vector<uint16_t> codes(g.pixels());
  for (size_t i = 0; i < codes.size(); ++i)
    codes[i] = static_cast<uint16_t>(mix(i / 3) % 4);  // 0 … 3
  testing::writeCodes(folder / "m.tif", g, codes, NumberType::Byte, 0);
  const Layer layer = classPolygons(folder / "m.tif", {{1, "a"}, {2, "b"}, {3, "c"}}, Progress());
  std::vector<uint16_t> back(codes.size());
  double area = 0;
  for (size_t i = 0; i < layer.shapes.size(); ++i) {
    area += std::stod(layer.table.rows[i][2]);
    for (const auto& s : pixelsInside(layer.shapes[i], g))
      for (int x = s.from; x < s.to; ++x)
        back[static_cast<size_t>(s.row * g.width + x)] =
            static_cast<uint16_t>(std::stoi(layer.table.rows[i][0]));
  }
  EXPECT_EQ(back, codes);
  EXPECT_EQ(area, 100.0 * static_cast<double>(codes.size() - static_cast<size_t>(std::count(
                                                                 codes.begin(), codes.end(), 0))));
}

TEST(Layer, RoundTripAndOtherSystem) {
  Folder folder;
  for (const char* name : {"a.gpkg", "a.geojson", "a.shp"}) {
    writeAreas(folder / name,
               {{1,
                 "Open water",
                 {{500010, 4999990}, {500050, 4999990}, {500050, 4999950}, {500010, 4999950}}}});
    const Layer back = readLayer((folder / name).string(), crsFrom("EPSG:32627"));
    ASSERT_EQ(back.shapes.size(), 1u) << name;
    EXPECT_EQ(back.table.rows[0][1], "Open water");
    const Extent e = back.shapes[0].extent();
    EXPECT_NEAR(e.left, 500010, 0.01) << name;
    EXPECT_NEAR(e.top, 4999990, 0.01) << name;
  }
}

TEST(Layer, BadInput) {
  Folder folder;
  std::ofstream(folder / "x.gpkg") << "nothing";
  EXPECT_NE(sentenceOf([&] { readLayer((folder / "x.gpkg").string()); }).find("not a vector layer"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { readLayer((folder / "y.gpkg").string()); }).find("does not exist"),
            std::string::npos);
  writeAreas(folder / "a.gpkg", {{1, "a", {{0, 0}, {1, 0}, {1, 1}}}}, "");
  EXPECT_NE(sentenceOf([&] {
              readLayer((folder / "a.gpkg").string(), crsFrom("EPSG:32627"));
            }).find("no reference system"),
            std::string::npos);
  appendLayer(folder / "a.gpkg",
              [] {
                Layer l;
                l.name = "second";
                return l;
              }(),
              {});
  const std::string s = sentenceOf([&] { readLayer((folder / "a.gpkg").string()); });
  EXPECT_NE(s.find("several layers"), std::string::npos) << s;
  EXPECT_NE(
      sentenceOf([&] { readLayer((folder / "a.gpkg").string() + ":secund"); }).find("“second”"),
      std::string::npos);
}

TEST(Table, SeparatorIsFoundOut) {
  Folder folder;
  for (const char* text :
       {"id,name\n1,\"a, b\"\n2,\n", "id;name\n1;\"a, b\"\n2;\n", "id\tname\n1\t\"a, b\"\n2\t\n"}) {
    std::ofstream(folder / "t.csv") << text;
    const Table t = readTable((folder / "t.csv").string());
    ASSERT_EQ(t.columns, (std::vector<std::string>{"id", "name"}));
    EXPECT_EQ(t.rows[0][1], "a, b");
    EXPECT_EQ(t.rows[1][1], "");
  }
  EXPECT_NE(
      sentenceOf([&] { readTable((folder / "t.csv").string()).column("nam"); }).find("“name”"),
      std::string::npos);
}

}  // namespace
}  // namespace zp
