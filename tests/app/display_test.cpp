// How a picture is displayed, pixel by pixel: range, part, steps, hidden classes, a range lit up.
#include <gtest/gtest.h>

#include <set>

#include "support/rasters.h"
#include "view/picture.h"

namespace zp {
namespace {

using namespace zp::testing;

class DisplayedPicture : public ::testing::Test {
 protected:
  static constexpr int kSide = 100;
  void SetUp() override {
    // Values rise from left to right: 0 … 99, with one outlier.
    const Grid g = metricGrid(kSide, kSide);
    std::vector<float> values(g.pixels());
    for (size_t i = 0; i < values.size(); ++i) values[i] = static_cast<float>(i % kSide);
    values[0] = 5000;
    writeFloats(folder_ / "s.tif", g, {values});
    scene_ = openScene(folder_ / "s.tif");
    picture_ = compositePicture("s1", scene_, {0, 0, 0}, "one");
  }
  Overview overview(const Display& d) { return painter_.overview(displayed(picture_, d)); }
  QImage paint(const Display& d) {
    const Picture p = displayed(picture_, d);
    const Extent e = scene_.grid.extent();
    return painter_.paint(p, painter_.overview(p).stretch, {e.left, e.top, 10, kSide, kSide},
                          scene_.grid.crs);
  }
  Folder folder_;
  Scene scene_;
  Picture picture_;
  PicturePainter painter_;
};

TEST_F(DisplayedPicture, RangesAndKeys) {
  Display d;
  EXPECT_LT(overview(d).stretch.high[0], 100);
  EXPECT_EQ(displayed(picture_, d).key, picture_.key);
  d.range = Display::Range::Full;
  EXPECT_EQ(overview(d).stretch.low[0], 0);
  EXPECT_EQ(overview(d).stretch.high[0], 5000);
  const QString key = displayed(picture_, d).key;
  EXPECT_NE(key, picture_.key);
  EXPECT_EQ(displayed(displayed(picture_, d), {}).key, picture_.key);  // and back
  d.range = Display::Range::ByHand;
  d.low.fill(20), d.high.fill(40);
  EXPECT_NE(displayed(picture_, d).key, key);
  const QImage image = paint(d);
  const auto level = [&](int x) { return qRed(image.pixel(x, 50)); };
  EXPECT_EQ(level(10), level(20));  // darkest
  EXPECT_EQ(level(90), level(40));  // brightest
  EXPECT_NEAR(level(30), (level(10) + level(90)) / 2, 2);
  EXPECT_GT(level(90), level(10) + 200);
}

TEST_F(DisplayedPicture, ThePartThatIsLookedAt) {
  Display d;
  d.range = Display::Range::Full;
  d.from = Display::From::Visible;
  const Extent e = scene_.grid.extent();
  const auto column = [&](double c) { return e.left + 10 * c; };
  d.part = {
      {{{{column(30), e.bottom}, {column(50), e.bottom}, {column(50), e.top}, {column(30), e.top}}},
       {}}};
  d.partCrs = scene_.grid.crs;
  const Overview o = overview(d);
  EXPECT_EQ(o.stretch.low[0], 30);
  EXPECT_EQ(o.stretch.high[0], 49);
  EXPECT_EQ(o.histogram.statistics.valid, 20u * kSide);
  // The same part in another system.
  for (auto& p : d.part[0].rings[0]) CrsChange(scene_.grid.crs, crsFrom("EPSG:4326")).apply(p);
  d.partCrs = crsFrom("EPSG:4326");
  EXPECT_NEAR(overview(d).stretch.low[0], 30, 1);
  EXPECT_NEAR(overview(d).stretch.high[0], 49, 1);
}

TEST_F(DisplayedPicture, EqualStepsAndEqualCounts) {
  Display d;
  d.range = Display::Range::ByHand;
  d.low.fill(0), d.high.fill(100);
  d.steps = Display::Steps::Equal;
  d.count = 4;
  EXPECT_EQ(overview(d).stretch.edges, (std::vector<float>{0, 25, 50, 75, 100}));
  const QImage image = paint(d);
  std::set<QRgb> colours;
  for (int x = 1; x < kSide; ++x) colours.insert(image.pixel(x, 50));
  EXPECT_EQ(colours.size(), 4u);
  EXPECT_NE(image.pixel(24, 50), image.pixel(25, 50));  // an edge belongs to the upper step
  EXPECT_EQ(image.pixel(25, 50), image.pixel(49, 50));
  d.steps = Display::Steps::EqualCounts;
  d.count = 5;
  const auto edges = overview(d).stretch.edges;
  ASSERT_EQ(edges.size(), 6u);
  for (size_t i = 1; i < 5; ++i) EXPECT_NEAR(edges[i], 20.0 * static_cast<double>(i), 1);
}

TEST_F(DisplayedPicture, ARangeLitUpAndClassesHidden) {
  Display lit;
  lit.lit = true;
  lit.range = Display::Range::ByHand;
  lit.low.fill(10), lit.high.fill(19);
  const QImage image = paint(lit);
  int n = 0;
  for (int x = 0; x < kSide; ++x) n += qAlpha(image.pixel(x, 50)) > 0;
  EXPECT_EQ(n, 10);

  testing::writeCodes(folder_ / "m.tif", metricGrid(2, 1), {1, 2});
  Picture classes;
  classes.kind = Picture::Kind::Classes;
  classes.file = folder_ / "m.tif";
  classes.key = "m";
  classes.legend.add({1, "one", colourFrom("#102030"), "", {}});
  classes.legend.add({2, "two", colourFrom("#405060"), "", {}});
  Display d;
  d.hidden = {1};
  const Extent e = metricGrid(2, 1).extent();
  const QImage map =
      painter_.paint(displayed(classes, d), {}, {e.left, e.top, 10, 2, 1}, metricGrid(2, 1).crs);
  EXPECT_EQ(qAlpha(map.pixel(0, 0)), 0);
  EXPECT_EQ(map.pixelColor(1, 0), QColor("#405060"));
}

TEST(Display, ThereAndBackAndWhatIsDamagedIsLeftAtItsDefault) {
  Display d;
  d.range = Display::Range::ByHand;
  d.low = {1, 2, 3}, d.high = {4, 5, 6};
  d.steps = Display::Steps::EqualCounts;
  d.count = 7;
  d.opacity = 0.25;
  d.hidden = {3, 9};
  EXPECT_EQ(displayFrom(toJson(d)), d);
  EXPECT_TRUE(displayFrom(Json::object()).plain());
  EXPECT_TRUE(displayFrom({{"range", "wide"}}).plain());
  EXPECT_TRUE(displayFrom({{"range", 2}}).plain());  // by hand without values
  EXPECT_EQ(displayFrom({{"count", 500}}).count, kMostSteps);
  EXPECT_EQ(displayFrom({{"opacity", -3}}).opacity, 0);
}

}  // namespace
}  // namespace zp
