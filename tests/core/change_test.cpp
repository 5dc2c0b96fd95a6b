#include <cmath>

#include "index/class_change.h"
#include "index/compare_layers.h"
#include "index/histogram.h"
#include "legend/class_map.h"
#include "outline/class_polygons.h"
#include "outline/scanline.h"
#include "support/rasters.h"

using namespace zp;
using namespace zp::testing;

TEST(ClassChange, FromToTableAndMap) {
  Folder folder;
  const Grid g = metricGrid(4, 2);
  zp::testing::writeCodes(folder / "a.tif", g, {1, 1, 2, 2, 3, 0, 1, 1});
  zp::testing::writeCodes(folder / "b.tif", g, {1, 2, 2, 1, 3, 1, 0, 2});
  const auto c = classChange(folder / "a.tif", folder / "b.tif", 2, folder / "c.tif");
  EXPECT_EQ(c.pixels, 6u);
  EXPECT_EQ(c.left, 2u);
  EXPECT_EQ(c.find(1, 2)->pixels, 2u);
  EXPECT_EQ(c.find(1, 2)->area, 200);
  EXPECT_EQ(c.find(2, 3), nullptr);
  EXPECT_EQ(zp::testing::readCodes(folder / "c.tif"),
            (std::vector<uint16_t>{4, 2, 3, 1, 4, 0, 0, 2}));
  classChange(folder / "a.tif", folder / "b.tif", 0, folder / "all.tif");
  EXPECT_EQ(zp::testing::readCodes(folder / "all.tif"),
            (std::vector<uint16_t>{3, 1, 4, 2, 5, 0, 0, 1}));
  EXPECT_EQ(legendOf(RasterFile(folder / "all.tif")).find(1)->name, "class 1 → class 2");
  EXPECT_EQ(legendOf(RasterFile(folder / "all.tif")).find(5)->name, "class 3, as before");
  EXPECT_THROW(classChange(folder / "a.tif", folder / "b.tif", 9, folder / "d.tif"), Error);
}

TEST(ClassChange, ItsColoursAreThoseOfTheClassesItLeadsTo) {
  Folder folder;
  const Grid g = metricGrid(2, 2);
  Legend legend;
  for (const auto& [code, name, colour] :
       {std::tuple{1, "water", Colour{20, 90, 200}}, {2, "reed", Colour{180, 150, 60}}}) {
    LegendClass c;
    c.code = code, c.name = name, c.colour = colour;
    legend.add(c);
  }
  for (const auto& [file, codes] :
       {std::pair{"a.tif", std::vector<uint16_t>{1, 1, 2, 2}}, {"b.tif", {1, 2, 1, 2}}}) {
    RasterWriter writer(folder / file, classMapSpec(g, legend, "m"));
    writer.writeCodes(1, {0, 0, 2, 2}, codes);
    writer.finish();
  }
  classChange(folder / "a.tif", folder / "b.tif", 0, folder / "c.tif");
  const Legend got = legendOf(RasterFile(folder / "c.tif"));
  const auto colourOf = [&](const std::string& name) {
    for (const auto& c : got.classes)
      if (c.name == name) return c.colour;
    ADD_FAILURE() << name;
    return Colour();
  };
  EXPECT_EQ(colourText(colourOf("water → reed")), colourText({180, 150, 60}));
  EXPECT_EQ(colourText(colourOf("reed → water")), colourText({20, 90, 200}));
  const auto spread = [](Colour c) {
    return std::max({c.r, c.g, c.b}) - std::min({c.r, c.g, c.b});
  };
  const Colour same = colourOf("water, as before");
  EXPECT_LT(spread(same), 180 / 3);  // far less of a colour, and darker
  EXPECT_GT(same.b, same.r);         // but still a blue
  EXPECT_LT(same.b, 120);
}

TEST(ClassChange, HowOftenFirstAndLast) {
  Folder folder;
  const Grid g = metricGrid(4, 1);
  zp::testing::writeCodes(folder / "a.tif", g, {1, 2, 2, 0});
  zp::testing::writeCodes(folder / "b.tif", g, {2, 1, 2, 0});
  zp::testing::writeCodes(folder / "c.tif", g, {1, 1, 2, 0});
  const HistoryFiles files{folder / "t.tif", folder / "f.tif", folder / "l.tif"};
  classHistory({folder / "a.tif", folder / "b.tif", folder / "c.tif"}, {"May", "Jul", "Oct"}, 1,
               files);
  const auto times = readFloats(files.times);
  EXPECT_EQ(times[0], 2);
  EXPECT_EQ(times[2], 0);
  EXPECT_TRUE(std::isnan(times[3]));
  EXPECT_EQ(zp::testing::readCodes(files.first), (std::vector<uint16_t>{1, 2, 0, 0}));
  EXPECT_EQ(zp::testing::readCodes(files.last), (std::vector<uint16_t>{3, 3, 0, 0}));
  EXPECT_EQ(legendOf(RasterFile(files.last)).find(3)->name, "Oct");
}

TEST(Histogram, OfAPartAndItsValley) {
  Folder folder;
  const Grid g = metricGrid(100, 100);
  std::vector<float> v(g.pixels());
  for (size_t i = 0; i < v.size(); ++i)
    v[i] = (i % 100 < 50 ? 0.0f : 1.0f) + 0.002f * static_cast<float>(i / 100 % 50);
  writeFloats(folder / "v.tif", g, {v});
  EXPECT_EQ(histogramOf(folder / "v.tif", 1, 64, nullptr, {10, 10, 20, 5}).statistics.valid, 100u);
  Layer in;
  const Place a = g.toMap(50, 0), b = g.toMap(60, 10);
  in.shapes = {{{{a, {b.x, a.y}, b, {a.x, b.y}}}, {}}};
  const auto part = histogramOf(folder / "v.tif", 1, 64, &in, {});
  EXPECT_EQ(part.statistics.valid, 100u);
  EXPECT_GE(part.statistics.min, 1);
  const auto valley = valleyThreshold(histogramOf(folder / "v.tif", 1, 64));
  ASSERT_TRUE(valley);
  EXPECT_GT(*valley, 0.1);
  EXPECT_LT(*valley, 1);
  EXPECT_FALSE(valleyThreshold(histogramOf(std::vector<float>{1, 1, 1, 1, 1}, 16)));
}

TEST(Histogram, AFewFarValuesDoNotPressTheRestIntoOneBar) {
  Folder folder;
  const Grid g = metricGrid(200, 100);
  std::vector<float> v(g.pixels());
  for (size_t i = 0; i < v.size(); ++i) v[i] = static_cast<float>(i % 1000) / 1000;
  v[10] = 50000, v[11] = 60000, v[12] = -700;
  writeFloats(folder / "v.tif", g, {v});
  for (const Histogram& h : {histogramOf(folder / "v.tif", 1, 100), histogramOf(v, 100)}) {
    EXPECT_GT(h.low, -0.05);
    EXPECT_LT(h.high, 1.05);
    EXPECT_EQ(h.statistics.max, 60000);
    EXPECT_GE(h.above, 2u);
    EXPECT_GE(h.below, 1u);
    size_t inside = 0, filled = 0;
    for (const size_t n : h.bins) inside += n, filled += n > 0 ? 1 : 0;
    EXPECT_EQ(inside + h.below + h.above, v.size());  // every pixel is counted once
    EXPECT_GT(filled, 90u);
  }
  // Without far values the axis is the range.
  for (auto& x : v) x = std::min(1.0f, std::max(0.0f, x));
  const Histogram whole = histogramOf(v, 100);
  EXPECT_EQ(whole.low, 0);
  EXPECT_EQ(whole.high, 1);
  EXPECT_EQ(whole.below + whole.above, 0u);
}

TEST(ClassPolygons, RasterisedTheyGiveTheMapBack) {
  Folder folder;
  const Grid g = metricGrid(40, 30);
  std::vector<uint16_t> codes(g.pixels());
  for (size_t i = 0; i < codes.size(); ++i)
    codes[i] = static_cast<uint16_t>((i * 2654435761u >> 11) % 4);
  zp::testing::writeCodes(folder / "m.tif", g, codes);
  const std::map<int, std::string> keep{{1, "a"}, {2, "b"}, {3, "c"}};
  const Layer polygons = classPolygons(folder / "m.tif", keep, Progress());
  std::vector<uint16_t> again(codes.size());
  double area = 0;
  for (size_t i = 0; i < polygons.shapes.size(); ++i) {
    area += std::stod(polygons.table.rows[i][2]);
    for (const auto& s : pixelsInside(polygons.shapes[i], g))
      for (int x = s.from; x < s.to; ++x)
        again[static_cast<size_t>(s.row * 40 + x)] =
            static_cast<uint16_t>(std::stoi(polygons.table.rows[i][0]));
  }
  EXPECT_EQ(again, codes);
  EXPECT_EQ(area, 100.0 * static_cast<double>(std::count_if(codes.begin(), codes.end(),
                                                            [](auto c) { return c != 0; })));
  const Layer large = classPolygons(folder / "m.tif", keep, Progress(), {500, 0});
  EXPECT_LT(large.shapes.size(), polygons.shapes.size());
  for (const auto& r : large.table.rows) EXPECT_GE(std::stod(r[2]), 500);
}

TEST(ClassPolygons, SmoothedKeepsNearlyTheirArea) {
  Folder folder;
  const Grid g = metricGrid(60, 60);
  std::vector<uint16_t> codes(g.pixels());
  for (int y = 0; y < 60; ++y)
    for (int x = 0; x < 60; ++x)
      codes[static_cast<size_t>(y * 60 + x)] = std::hypot(x - 29.5, y - 29.5) < 20 ? 1 : 0;
  zp::testing::writeCodes(folder / "m.tif", g, codes);
  const Layer plain = classPolygons(folder / "m.tif", {{1, "disc"}}, Progress());
  const Layer soft = classPolygons(folder / "m.tif", {{1, "disc"}}, Progress(), {0, 2});
  ASSERT_EQ(soft.shapes.size(), 1u);
  EXPECT_GT(soft.shapes[0].rings[0].size(), plain.shapes[0].rings[0].size());
  EXPECT_NEAR(std::stod(soft.table.rows[0][2]) / std::stod(plain.table.rows[0][2]), 1, 0.01);
}

TEST(CompareLayers, LikelyReasonsAreNamed) {
  Folder folder;
  const Grid g = metricGrid(130, 130);
  std::vector<float> a(g.pixels()), scaled, offset, partly;
  for (size_t i = 0; i < a.size(); ++i)
    a[i] = static_cast<float>(std::sin(0.13 * static_cast<double>(i % 130)) +
                              std::cos(0.21 * static_cast<double>(i / 130)));
  for (const float v : a) scaled.push_back(10000 * v), offset.push_back(v + 0.3f);
  partly = a;
  for (size_t i = 0; i < 500; ++i) partly[i] = -9999;
  const auto layer = [&](const std::string& name, const std::vector<float>& v) {
    return layerScene(writeFloats(folder / (name + ".tif"), g, {v}, {}, -9999.0), name,
                      ValueState::Quantity);
  };
  const Scene ours = layer("ours", a);
  const auto same = compareLayers(ours, ours);
  EXPECT_TRUE(same.reasons.empty());
  EXPECT_EQ(same.rootMeanSquare, 0);
  const auto s = compareLayers(ours, layer("scaled", scaled));
  ASSERT_FALSE(s.reasons.empty());
  EXPECT_EQ(s.reasons[0].text().rfind("Scale", 0), 0u) << s.reasons[0].text();
  const auto o = compareLayers(ours, layer("offset", offset), folder / "d.tif");
  EXPECT_EQ(o.reasons.at(0).text().rfind("Offset", 0), 0u);
  EXPECT_NEAR(readFloats(folder / "d.tif")[5], -0.3, 1e-6);
  const auto p = compareLayers(ours, layer("partly", partly));
  EXPECT_EQ(p.onlyOurs, 500u);
  EXPECT_EQ(p.reasons.back().text().rfind("No data", 0), 0u);
}
