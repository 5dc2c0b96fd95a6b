// What the painter draws, pixel by pixel.
#include <gtest/gtest.h>

#include <QtTest/QTest>
#include <cmath>

#include "look/look.h"
#include "support/rasters.h"
#include "view/picture.h"
#include "view/ramp.h"
#include "view/thumbnail.h"
#include "view/tile_store.h"

namespace zp {
namespace {

using namespace zp::testing;

MapPiece pieceOf(const Grid& g, double unitsPerPixel) {
  const Extent e = g.extent();
  return {e.left, e.top, unitsPerPixel, static_cast<int>((e.right - e.left) / unitsPerPixel),
          static_cast<int>((e.top - e.bottom) / unitsPerPixel)};
}

Picture classPicture(const fs::path& file, const Legend& legend) {
  Picture p;
  p.kind = Picture::Kind::Classes;
  p.file = file;
  p.legend = legend;
  p.key = QString::fromStdString(file.string());
  return p;
}

Legend twoClasses() {
  Legend l;
  l.add({1, "one", colourFrom("#102030"), "", {}});
  l.add({2, "two", colourFrom("#405060"), "", {}});
  return l;
}

TEST(Painter, TheRampAroundZeroHasItsMiddleAtZero) {
  Folder folder;
  std::vector<float> values(400);
  for (size_t i = 0; i < values.size(); ++i) values[i] = 0.1f + 0.001f * static_cast<float>(i);
  for (const float sign : {1.0f, -1.0f}) {
    std::vector<float> one = values;
    for (float& v : one) v *= sign;
    Picture p;
    p.kind = Picture::Kind::Index;
    p.file =
        writeFloats(folder / (sign > 0 ? "above.tif" : "below.tif"), metricGrid(20, 20), {one});
    p.key = QString::fromStdString(p.file.string());
    p.ramp = "diverging";
    const Stretch s = PicturePainter().overview(p).stretch;
    EXPECT_FLOAT_EQ(s.low[0], -s.high[0]);
    EXPECT_NEAR(s.high[0], 0.5f, 0.01f);
    p.ramp = "grey";
    const Stretch plain = PicturePainter().overview(p).stretch;
    EXPECT_NEAR(sign > 0 ? plain.low[0] : plain.high[0], sign * 0.1f, 0.01f);
  }
}

TEST(Painter, AValueFarBeyondTheStretchIsBrightestAndNotDarkest) {
  Folder folder;
  const Grid g = metricGrid(4, 1);
  Picture p;
  p.kind = Picture::Kind::Index;
  p.file = writeFloats(folder / "f.tif", g, {{0.0f, 1.0f, 3e38f, -3e38f}});
  p.key = "far";
  p.ramp = "grey";
  Stretch s;
  s.low.fill(0), s.high.fill(1);
  const QImage image = PicturePainter().paint(p, s, pieceOf(g, 1), g.crs);
  EXPECT_EQ(image.pixelColor(25, 5), image.pixelColor(15, 5));
  EXPECT_EQ(image.pixelColor(35, 5), image.pixelColor(5, 5));
  EXPECT_GT(image.pixelColor(25, 5).lightness(), image.pixelColor(35, 5).lightness());
}

TEST(Painter, ClassesWearTheirColoursAndNoDataIsClear) {
  Folder folder;
  const Grid g = metricGrid(2, 2);
  testing::writeCodes(folder / "m.tif", g, {1, 2, 0, 1});
  PicturePainter painter;
  const QImage i =
      painter.paint(classPicture(folder / "m.tif", twoClasses()), {}, pieceOf(g, 1), g.crs);
  ASSERT_EQ(i.size(), QSize(20, 20));
  EXPECT_EQ(i.pixelColor(0, 0), QColor("#102030"));
  EXPECT_EQ(i.pixelColor(9, 9), QColor("#102030"));
  EXPECT_EQ(i.pixelColor(10, 0), QColor("#405060"));
  EXPECT_EQ(i.pixelColor(0, 10).alpha(), 0);
  EXPECT_EQ(i.pixelColor(19, 19), QColor("#102030"));
}

TEST(Painter, OneClassAlone) {
  Folder folder;
  const Grid g = metricGrid(2, 1);
  testing::writeCodes(folder / "m.tif", g, {1, 2});
  Picture p = classPicture(folder / "m.tif", twoClasses());
  p.onlyClass = 2;
  PicturePainter painter;
  const QImage i = painter.paint(p, {}, pieceOf(g, 1), g.crs);
  EXPECT_EQ(i.pixelColor(0, 0).alpha(), 0);
  EXPECT_EQ(i.pixelColor(15, 5), QColor("#405060"));
}

TEST(Painter, CompositesAreStretchedAndEmptyPixelsClear) {
  Folder folder;
  const Grid g = metricGrid(4, 1);
  writeFloats(folder / "s.tif", g, {{0, 1, 2, -9999}, {2, 1, 0, 0}, {0, 0, 2, 0}},
              {"nir", "swir16", "blue"}, -9999);
  const Scene s = openScene(folder / "s.tif");
  const Picture p = compositePicture("s1", s, {0, 1, 2}, "three");
  Stretch stretch;
  for (size_t c = 0; c < 3; ++c) stretch.low[c] = 0, stretch.high[c] = 2;
  PicturePainter painter;
  const QImage i = painter.paint(p, stretch, pieceOf(g, 10), g.crs);
  EXPECT_EQ(i.pixelColor(0, 0), QColor(0, 255, 0));
  EXPECT_EQ(i.pixelColor(1, 0), QColor(128, 128, 0));
  EXPECT_EQ(i.pixelColor(2, 0), QColor(255, 0, 255));
  EXPECT_EQ(i.pixelColor(3, 0).alpha(), 0);
}

TEST(Painter, TheStretchLeavesOnePercentOutAtEachEnd) {
  Folder folder;
  const Grid g = metricGrid(100, 10);
  std::vector<float> values(1000);
  for (size_t i = 0; i < 1000; ++i) values[i] = static_cast<float>(i);
  values[0] = -1e6f, values[999] = 1e6f;  // outliers
  writeFloats(folder / "s.tif", g, {values});
  const Scene s = openScene(folder / "s.tif");
  PicturePainter painter;
  const Overview o = painter.overview(compositePicture("s1", s, {0, 0, 0}, "one"));
  EXPECT_NEAR(o.stretch.low[0], 10, 2);
  EXPECT_NEAR(o.stretch.high[0], 989, 2);
  EXPECT_EQ(o.histogram.statistics.valid, 1000u);
}

TEST(Painter, GreyStaysGreyInNaturalColour) {
  Folder folder;
  const Grid g = metricGrid(50, 50);
  // Red varies widely, blue little; a grey pixel must not turn blue.
  std::vector<float> red(2500), green(2500), blue(2500);
  for (size_t i = 0; i < 2500; ++i) {
    const auto t = static_cast<float>(i) / 2500;
    red[i] = 0.4f * t, green[i] = 0.3f * t, blue[i] = 0.1f * t;
  }
  writeFloats(folder / "s.tif", g, {red, green, blue}, {"red", "green", "blue"});
  const Scene s = openScene(folder / "s.tif");
  PicturePainter painter;
  const Overview o = painter.overview(compositePicture("s1", s, {0, 1, 2}, "natural colour"));
  const float width = o.stretch.high[0] - o.stretch.low[0];
  EXPECT_NEAR(o.stretch.high[2] - o.stretch.low[2], width, 1e-6);
  EXPECT_NEAR(o.stretch.high[1] - o.stretch.low[1], width, 1e-6);
  // Free choices are stretched each by itself.
  const Overview free = painter.overview(compositePicture("s1", s, {2, 1, 0}, "odd"));
  EXPECT_LT(free.stretch.high[0], free.stretch.high[2]);
}

TEST(Painter, BackscatterIsShownInDecibels) {
  Folder folder;
  writeFloats(folder / "r.tif", metricGrid(3, 1), {{0.1f, 1, 0}}, {"vv"});
  Scene s = openScene(folder / "r.tif");
  s.state = ValueState::BackscatterPower;
  PicturePainter painter;
  const Overview o = painter.overview(compositePicture("r", s, {0, 0, 0}, "vv"));
  EXPECT_NEAR(o.histogram.statistics.min, -10, 1e-5);
  EXPECT_NEAR(o.histogram.statistics.max, 0, 1e-5);
  EXPECT_EQ(o.histogram.statistics.empty, 1u);  // no power, no decibels
}

TEST(Painter, AFormulaIsEvaluatedOnThePartSeen) {
  Folder folder;
  const Grid g = metricGrid(2, 1);
  writeFloats(folder / "s.tif", g, {{1, 3}, {3, 1}}, {"red", "nir"});
  Picture p;
  p.kind = Picture::Kind::Formula;
  p.scope = Scope(openScene(folder / "s.tif"));
  p.formula = parseFormula("ndiff(nir, red)", p.scope.names());
  p.ramp = "grey";
  p.key = "f";
  PicturePainter painter;
  Stretch stretch;
  stretch.low[0] = -1, stretch.high[0] = 1;
  const QImage i = painter.paint(p, stretch, pieceOf(g, 10), g.crs);
  EXPECT_EQ(QColor(i.pixel(0, 0)), QColor(ramp("grey")[191]));  // 0.5 of −1…1
  EXPECT_EQ(QColor(i.pixel(1, 0)), QColor(ramp("grey")[64]));
}

TEST(Painter, OtherSystemsAreBroughtOver) {
  Folder folder;
  const Grid g = metricGrid(200, 200);
  std::vector<uint16_t> codes(g.pixels());
  for (size_t i = 0; i < codes.size(); ++i) codes[i] = i % 200 < 100 ? 1 : 2;
  testing::writeCodes(folder / "m.tif", g, codes);
  const std::string degrees = crsFrom("EPSG:4326");
  const CrsChange change(g.crs, degrees);
  Place middle = g.toMap(100, 100), corner = g.toMap(0, 0);
  change.apply(middle);
  change.apply(corner);
  const double unit = (middle.x - corner.x) / 50;
  const MapPiece piece{corner.x, corner.y, unit, 100, 60};
  PicturePainter painter;
  const QImage i = painter.paint(classPicture(folder / "m.tif", twoClasses()), {}, piece, degrees);
  EXPECT_EQ(i.pixelColor(10, 20), QColor("#102030"));
  EXPECT_EQ(i.pixelColor(90, 20), QColor("#405060"));
  // The edge between the two falls where the exact transformation says, to a pixel.
  int edge = 0;
  while (edge < 100 && i.pixelColor(edge, 20) == QColor("#102030")) ++edge;
  EXPECT_NEAR(edge, 50, 1);
}

TEST(Painter, BeyondTheRasterIsClear) {
  Folder folder;
  const Grid g = metricGrid(2, 2);
  testing::writeCodes(folder / "m.tif", g, {1, 1, 1, 1});
  PicturePainter painter;
  const Picture p = classPicture(folder / "m.tif", twoClasses());
  const MapPiece away{900000, 900000, 10, 8, 8};
  EXPECT_EQ(painter.paint(p, {}, away, g.crs).pixelColor(4, 4).alpha(), 0);
  const MapPiece half{499990, 5000000, 10, 4, 2};
  const QImage i = painter.paint(p, {}, half, g.crs);
  EXPECT_EQ(i.pixelColor(0, 0).alpha(), 0);
  EXPECT_EQ(i.pixelColor(1, 0).alpha(), 255);
  EXPECT_EQ(i.pixelColor(3, 0).alpha(), 0);
}

TEST(SmallPictures, AreKeptWhileTheyAreAskedForAgain) {
  Folder folder;
  const Grid g = metricGrid(8, 8);
  testing::writeCodes(folder / "m.tif", g, std::vector<uint16_t>(g.pixels(), 2));
  const Picture stays = classPicture(folder / "m.tif", twoClasses());
  QObject receiver;
  Thumbnails small(20, 20, nullptr);
  int came = 0;
  const auto ask = [&](const Picture& p) {
    small.ask(p, &receiver, [&](const QImage& image) { came += image.isNull() ? 0 : 1; });
  };
  for (int round = 0; round < 60; ++round) {
    small.startRound();
    Picture other = stays;
    other.key += QString::number(round);
    ask(stays);
    ask(other);
    ASSERT_TRUE(QTest::qWaitFor([&] { return came == 2 * round + 2; }, 20000));
  }
  EXPECT_GT(small.kept(), 1);
  EXPECT_LT(small.kept(), 15);
  bool atOnce = false;
  small.ask(stays, &receiver, [&](const QImage&) { atOnce = true; });
  EXPECT_TRUE(atOnce);
}

TEST(Tiles, PiecesTouchEachOther) {
  const MapPiece a = TileStore::pieceOf({3, 10, -7}), right = TileStore::pieceOf({3, 11, -7}),
                 below = TileStore::pieceOf({3, 10, -6});
  EXPECT_EQ(a.unitsPerPixel, 8);
  EXPECT_EQ(a.left + 256 * 8, right.left);
  EXPECT_EQ(a.top - 256 * 8, below.top);
}

TEST(Tiles, ArriveOnceAskedAndAreKept) {
  Folder folder;
  const Grid g = metricGrid(64, 64);
  testing::writeCodes(folder / "m.tif", g, std::vector<uint16_t>(g.pixels(), 2));
  TileStore store;
  const Picture p = classPicture(folder / "m.tif", twoClasses());
  const TileId id{2, static_cast<int64_t>(std::floor(500100.0 / 1024)),
                  static_cast<int64_t>(std::floor(-4999900.0 / 1024))};
  EXPECT_EQ(store.tile(p.key, id), nullptr);
  store.want({{p, id}}, g.crs);
  ASSERT_TRUE(QTest::qWaitFor([&] { return store.tile(p.key, id) != nullptr; }, 20000));
  EXPECT_NE(store.overview(p.key), nullptr);
  store.forget(p.key);
  EXPECT_EQ(store.tile(p.key, id), nullptr);
}

TEST(Tiles, AFileThatCannotBeReadIsSaidOnce) {
  TileStore store;
  Picture p = classPicture("/nowhere/m.tif", twoClasses());
  int failures = 0;
  QObject::connect(&store, &TileStore::failed, &store, [&](const QString&, const QString& s) {
    ++failures;
    EXPECT_TRUE(s.contains("does not exist"));
  });
  store.want({{p, {0, 0, 0}}}, "");
  ASSERT_TRUE(QTest::qWaitFor([&] { return failures == 1; }, 20000));
  store.want({{p, {0, 0, 1}}}, "");
  ASSERT_TRUE(QTest::qWaitFor([&] { return store.idle(); }, 20000));
  QCoreApplication::processEvents();
  EXPECT_EQ(failures, 1);
}

TEST(Ramps, RiseEvenlyInLightness) {
  // Ramps that are read as more and less must not go back and forth in lightness by more than the
  // eye forgives; the diverging one has its lightest in the middle.
  const auto lightness = [](QRgb c) {
    const auto part = [](double v) {
      return v <= 0.04045 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4);
    };
    const double y = 0.2126 * part(qRed(c) / 255.0) + 0.7152 * part(qGreen(c) / 255.0) +
                     0.0722 * part(qBlue(c) / 255.0);
    return 116 * std::cbrt(std::max(y, 0.009)) - 16;
  };
  for (const auto& [id, title] : rampNames()) {
    const auto& r = ramp(id);
    double longest = 0;
    for (size_t i = 1; i < 256; ++i)
      longest = std::max(longest, std::abs(lightness(r[i]) - lightness(r[i - 1])));
    EXPECT_LT(longest, 3) << id;  // no step that draws an edge
  }
  const auto& grey = ramp("grey");
  for (size_t i = 1; i < 256; ++i) EXPECT_GE(lightness(grey[i]), lightness(grey[i - 1]) - 1e-9);
  const auto& diverging = ramp("diverging");
  EXPECT_GT(lightness(diverging[127]), lightness(diverging[0]) + 30);
  EXPECT_GT(lightness(diverging[127]), lightness(diverging[255]) + 30);
}

TEST(Numbers, AreWrittenAsTheBriefSays) {
  EXPECT_EQ(grouped(1234567), "1 234 567");
  EXPECT_EQ(grouped(999), "999");
  EXPECT_EQ(decimal(-1234.56, 1), "−1 234.6");
  EXPECT_EQ(decimal(-0.0001, 1), "0.0");  // no minus before nothing
  EXPECT_EQ(decimal(std::nan(""), 1), "–");
  EXPECT_EQ(niceDate("2031-07-18"), "18 Jul 2031");
  EXPECT_EQ(niceDate(""), "");
  EXPECT_EQ(areaText(12345678), "1 235");
  EXPECT_EQ(areaText(55000), "5.50");
  EXPECT_EQ(compact(0.12345), "0.123");
  EXPECT_EQ(compact(-0.00001), "−1e−05");
}

}  // namespace
}  // namespace zp
