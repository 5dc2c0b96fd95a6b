// Pixels of polygons and their shares, and statistics of zones, against each polygon by itself.
#include "sampling/zones.h"

#include <ogr_geometry.h>
#include <oneapi/tbb/global_control.h>

#include <numbers>
#include <numeric>

#include "base/nan.h"
#include "base/random.h"
#include "outline/coverage.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

/// A polygon around a place that meets no line from there twice.
Ring star(Place middle, double lowest, double highest, Random& random) {
  Ring ring;
  for (int i = 0; i < 11; ++i) {
    const double radius = lowest + (highest - lowest) * random.uniform(),
                 angle = 2 * std::numbers::pi * i / 11;
    ring.push_back({middle.x + radius * std::cos(angle), middle.y + radius * std::sin(angle)});
  }
  return ring;
}

std::unique_ptr<OGRLinearRing> ogrRing(const Ring& ring) {
  auto made = std::make_unique<OGRLinearRing>();
  for (const auto& p : ring) made->addPoint(p.x, p.y);
  made->closeRings();
  return made;
}

/// The first ring with the others as holes.
OGRPolygon ogrPolygon(const Shape& shape) {
  OGRPolygon polygon;
  for (const auto& ring : shape.rings) polygon.addRingDirectly(ogrRing(ring).release());
  return polygon;
}

OGRPolygon pixelSquare(const Grid& g, int column, int row) {
  return ogrPolygon({{{g.toMap(column, row), g.toMap(column + 1, row), g.toMap(column + 1, row + 1),
                       g.toMap(column, row + 1)}},
                     {}});
}

double shareByOgr(const OGRPolygon& polygon, const Grid& g, int column, int row) {
  const OGRPolygon square = pixelSquare(g, column, row);
  const std::unique_ptr<OGRGeometry> both(polygon.Intersection(&square));
  if (!both || both->IsEmpty()) return 0;
  double area = 0;
  if (const auto* collection = dynamic_cast<const OGRGeometryCollection*>(both.get()))
    area = collection->get_Area();
  else if (const auto* surface = dynamic_cast<const OGRSurface*>(both.get()))
    area = surface->get_Area();
  return area / square.get_Area();
}

std::vector<double> sharesOf(const Shape& shape, const Grid& g) {
  std::vector<double> shares(g.pixels(), 0);
  for (const auto& run : coverageOf(shape, g))
    for (int c = run.from; c < run.to; ++c) {
      double& share = shares[static_cast<size_t>(run.row) * static_cast<size_t>(g.width) +
                             static_cast<size_t>(c)];
      EXPECT_EQ(share, 0) << "told twice";
      share = static_cast<double>(run.share);
    }
  return shares;
}

/// Stars with holes, some beyond the grid.
std::vector<Shape> starsOver(const Grid& g, size_t count, uint64_t seed) {
  Random random(seed);
  std::vector<Shape> shapes;
  for (size_t i = 0; i < count; ++i) {
    const Place middle = g.toMap(random.uniform() * g.width, random.uniform() * g.height);
    shapes.push_back({{star(middle, 60, 90, random), star(middle, 10, 40, random)}, {}});
  }
  return shapes;
}

TEST(Coverage, IsTheAreaOfTheCutWithEveryPixel) {
  const Grid g = metricGrid(30, 24);
  for (const Shape& shape : starsOver(g, 8, 5)) {
    const auto shares = sharesOf(shape, g);
    const OGRPolygon polygon = ogrPolygon(shape);
    for (int row = 0; row < g.height; ++row)
      for (int c = 0; c < g.width; ++c)
        EXPECT_NEAR(shares[static_cast<size_t>(row * g.width + c)], shareByOgr(polygon, g, c, row),
                    1e-6)
            << c << ", " << row;
  }
}

TEST(Coverage, WhichWayRingsRunDoesNotMatterAndAnIslandInAHoleCounts) {
  const Grid g = metricGrid(20, 20, 1);
  const auto square = [&](double from, double to, bool turned) {
    Ring ring{g.toMap(from, from), g.toMap(to, from), g.toMap(to, to), g.toMap(from, to)};
    if (turned) std::reverse(ring.begin(), ring.end());
    return ring;
  };
  for (int turned = 0; turned < 8; ++turned) {
    const Shape shape{
        {square(1.5, 18.5, turned & 1), square(4, 16, turned & 2), square(7.25, 12.75, turned & 4)},
        {}};
    const auto shares = sharesOf(shape, g);
    EXPECT_NEAR(std::accumulate(shares.begin(), shares.end(), 0.0), 17 * 17 - 12 * 12 + 5.5 * 5.5,
                1e-9);
    EXPECT_EQ(shares[5 * 20 + 5], 0);
    EXPECT_EQ(shares[10 * 20 + 10], 1);
    EXPECT_NEAR(shares[7 * 20 + 7], 0.75 * 0.75, 1e-6);
  }
}

TEST(Coverage, NeighboursShareAPixelWithoutGapOrOverlap) {
  const Grid g = metricGrid(12, 9);
  const Place inner = g.toMap(5.3, 4.2);
  const Ring corners{g.toMap(-3, -3), g.toMap(15, -3), g.toMap(15, 12), g.toMap(-3, 12)};
  std::vector<double> sum(g.pixels(), 0);
  for (size_t i = 0; i < 4; ++i) {
    const auto shares = sharesOf({{{inner, corners[i], corners[(i + 1) % 4]}}, {}}, g);
    for (size_t p = 0; p < sum.size(); ++p) sum[p] += shares[p];
  }
  for (double s : sum) EXPECT_NEAR(s, 1, 1e-6);
}

TEST(Coverage, OddShapes) {
  const Grid g = metricGrid(10, 10, 1);
  EXPECT_TRUE(coverageOf({}, g).empty());
  EXPECT_TRUE(coverageOf({{{g.toMap(2, 2), g.toMap(5, 5)}}, {}}, g).empty());  // no area
  EXPECT_TRUE(coverageOf({{{g.toMap(20, 2), g.toMap(25, 5), g.toMap(20, 5)}}, {}}, g).empty());
  EXPECT_TRUE(coverageOf({{{{NAN, NAN}, g.toMap(5, 5), g.toMap(2, 5)}}, {}}, g).empty());
  // A ring that crosses itself: both of its halves.
  const auto bow =
      sharesOf({{{g.toMap(1, 1), g.toMap(9, 9), g.toMap(9, 1), g.toMap(1, 9)}}, {}}, g);
  EXPECT_NEAR(std::accumulate(bow.begin(), bow.end(), 0.0), 32, 1e-6);
}

class Zones : public ::testing::Test {
 protected:
  void SetUp() override {
    Random random(8);
    for (auto& v : values_)
      v = random.uniform() < 0.1 ? kNan : static_cast<float>(0.1 + random.uniform());
    writeFloats(folder_ / "f.tif", grid_, {values_}, {}, -9999);
    for (auto& code : codes_) code = static_cast<uint16_t>(random.uniform() * 4);  // 0: no data
    writeCodes(folder_ / "m.tif", grid_, codes_, NumberType::Byte, 0);
    polygons_.crs = grid_.crs;
    polygons_.shapes = starsOver(grid_, 40, 21);
    polygons_.table.columns = {"id"};
    for (size_t i = 0; i < polygons_.shapes.size(); ++i)
      polygons_.table.rows.push_back({std::to_string(i)});
  }
  ZoneQuestion ask(const std::vector<std::string>& ids, Inclusion inclusion = Inclusion::Centres) {
    ZoneQuestion question;
    for (const auto& id : ids) question.statistics.push_back(zoneStatistic(id));
    question.inclusion = inclusion;
    return question;
  }
  ZoneSummary of(const std::string& file, const ZoneQuestion& question) {
    return summarise(polygons_, {readingSource((folder_ / file).string())}, question)[0];
  }
  /// The values of a zone with their shares, pixel by pixel with a library of geometry.
  std::vector<std::pair<double, double>> byHand(size_t zone, Inclusion inclusion,
                                                const std::vector<float>& of) {
    std::vector<std::pair<double, double>> found;
    const OGRPolygon polygon = ogrPolygon(polygons_.shapes[zone]);
    for (int row = 0; row < grid_.height; ++row)
      for (int c = 0; c < grid_.width; ++c) {
        const float v = of[static_cast<size_t>(row * grid_.width + c)];
        if (std::isnan(v)) continue;
        const Place p = grid_.centre(c, row);
        const OGRPoint centre(p.x, p.y);
        const double share = inclusion == Inclusion::Area ? shareByOgr(polygon, grid_, c, row)
                             : polygon.Contains(&centre)  ? 1
                                                          : 0;
        if (share > 1e-9) found.emplace_back(static_cast<double>(v), share);
      }
    return found;
  }
  Folder folder_;
  const Grid grid_ = metricGrid(37, 29);
  std::vector<float> values_ = std::vector<float>(grid_.pixels());
  std::vector<uint16_t> codes_ = std::vector<uint16_t>(grid_.pixels());
  Layer polygons_;
};

TEST_F(Zones, AreWhatEachPolygonGivesByItself) {
  for (const Inclusion inclusion : {Inclusion::Centres, Inclusion::Area}) {
    const auto told = of("f.tif", ask({"count", "sum", "mean", "sd", "min", "max"}, inclusion));
    ASSERT_EQ(told.columns.size(), 6u);
    for (size_t z = 0; z < polygons_.shapes.size(); ++z) {
      const auto values = byHand(z, inclusion, values_);
      ASSERT_GE(values.size(), 2u);
      double w = 0, ww = 0, sum = 0, squares = 0, low = 1e9, high = -1e9;
      for (const auto& [v, s] : values)
        w += s, ww += s * s, sum += s * v, low = std::min(low, v), high = std::max(high, v);
      for (const auto& [v, s] : values) squares += s * (v - sum / w) * (v - sum / w);
      EXPECT_EQ(told.values[0][z], static_cast<double>(values.size()));
      EXPECT_NEAR(told.values[1][z], sum, 1e-5);
      EXPECT_NEAR(told.values[2][z], sum / w, 1e-6);
      EXPECT_NEAR(told.values[3][z], std::sqrt(squares / (w - ww / w)), 1e-6);
      EXPECT_EQ(told.values[4][z], low);
      EXPECT_EQ(told.values[5][z], high);
    }
  }
}

TEST_F(Zones, PercentilesLieBetweenTheValuesInOrder) {
  const auto told = of("f.tif", ask({"median", "p0", "p10", "p100"}));
  for (size_t z = 0; z < polygons_.shapes.size(); ++z) {
    auto values = byHand(z, Inclusion::Centres, values_);
    std::sort(values.begin(), values.end());
    const auto at = [&](double share) {  // Hyndman and Fan, type 7
      const double h = share * static_cast<double>(values.size() - 1);
      const auto i = static_cast<size_t>(h);
      const double next = values[std::min(i + 1, values.size() - 1)].first;
      return values[i].first + (h - std::floor(h)) * (next - values[i].first);
    };
    EXPECT_NEAR(told.values[0][z], at(0.5), 1e-12);
    EXPECT_NEAR(told.values[1][z], at(0), 1e-12);
    EXPECT_NEAR(told.values[2][z], at(0.1), 1e-12);
    EXPECT_NEAR(told.values[3][z], at(1), 1e-12);
  }
}

TEST(ZoneTallies, EqualSharesChangeNothingAndAHeavyValueDrawsTheMedian) {
  const std::vector<double> values{4, 1, 3, 2, 9, 7};
  const auto statistics = std::vector{zoneStatistic("p30"), zoneStatistic("median"),
                                      zoneStatistic("mean"), zoneStatistic("sd")};
  const auto whole = ZoneTally::keepFor(statistics, false);
  const auto parts = ZoneTally::keepFor(statistics, true);
  ZoneTally one, half, heavy;
  one.add(values.data(), values.size(), 1, whole);
  half.add(values.data(), values.size(), 0.5, parts);
  for (double v : values) heavy.add(&v, 1, v == 9 ? 1 : 0.01, parts);
  // What has hardly a share changes nothing.
  ZoneTally hardly;
  hardly.add(values.data(), values.size(), 1, parts);
  const double far = 1000;
  hardly.add(&far, 1, 1e-12, parts);
  for (auto* tally : {&one, &half, &heavy, &hardly}) tally->close();
  for (const auto& s : statistics) EXPECT_NEAR(hardly.tell(s), one.tell(s), 1e-4) << s.id;
  EXPECT_DOUBLE_EQ(one.tell(statistics[1]), 3.5);
  for (const auto& s : statistics) EXPECT_NEAR(half.tell(s), one.tell(s), 1e-12);
  EXPECT_NEAR(one.tell(statistics[3]), std::sqrt(142. / 15), 1e-12);
  EXPECT_GT(heavy.tell(statistics[1]), 8.9);
}

TEST(ZoneTallies, ManyEqualValuesArePutTogetherAndCountAsMany) {
  const auto statistics =
      std::vector{zoneStatistic("p0"), zoneStatistic("p25"), zoneStatistic("median"),
                  zoneStatistic("p99.9"), zoneStatistic("p100")};
  Random random(3);
  std::vector<double> values(400'000);
  for (auto& v : values) v = static_cast<double>(random.below(1000) * random.below(1000)) * 1e-4;
  ZoneTally whole, halves;
  for (size_t from = 0; from < values.size(); from += 1000) {
    whole.add(values.data() + from, 1000, 1, ZoneTally::keepFor(statistics, false));
    halves.add(values.data() + from, 1000, 0.5, ZoneTally::keepFor(statistics, true));
  }
  whole.close();
  halves.close();
  std::sort(values.begin(), values.end());
  for (const auto& s : statistics) {
    const double h = s.percent / 100 * static_cast<double>(values.size() - 1);
    const auto i = static_cast<size_t>(h);
    const double expected =
        std::lerp(values[i], values[std::min(i + 1, values.size() - 1)], h - std::floor(h));
    EXPECT_EQ(whole.tell(s), expected) << s.id;
    EXPECT_NEAR(halves.tell(s), expected, 1e-9) << s.id;
  }
}

TEST(ZoneTallies, LargeNumbersLoseNothing) {
  const auto statistics = std::vector{zoneStatistic("mean"), zoneStatistic("sd")};
  const std::vector<double> values{1e9 + 1, 1e9 + 2, 1e9 + 3};
  ZoneTally tally;
  tally.add(values.data(), values.size(), 1, ZoneTally::keepFor(statistics, false));
  EXPECT_DOUBLE_EQ(tally.tell(statistics[0]), 1e9 + 2);
  EXPECT_DOUBLE_EQ(tally.tell(statistics[1]), 1);
}

TEST_F(Zones, SharesAndMajorityOfClasses) {
  std::vector<float> classes;
  for (auto code : codes_) classes.push_back(code == 0 ? kNan : static_cast<float>(code));
  for (const Inclusion inclusion : {Inclusion::Centres, Inclusion::Area}) {
    const auto told = of("m.tif", ask({"majority", "share"}, inclusion));
    EXPECT_EQ(told.columns,
              (std::vector<std::string>{"majority", "share_1", "share_2", "share_3"}));
    for (size_t z = 0; z < polygons_.shapes.size(); ++z) {
      std::map<double, double> weights;
      double all = 0;
      for (const auto& [v, s] : byHand(z, inclusion, classes)) weights[v] += s, all += s;
      for (int code = 1; code <= 3; ++code)
        EXPECT_NEAR(told.values[static_cast<size_t>(code)][z], weights[code] / all, 1e-6);
      EXPECT_NEAR(weights[told.values[0][z]], std::max({weights[1], weights[2], weights[3]}), 1e-5);
    }
  }
}

TEST(ZoneTallies, ATieOfClassesGoesToTheLowest) {
  const auto statistics = std::vector{zoneStatistic("majority")};
  const std::vector<double> values{7, 3, 3, 7, 5};
  ZoneTally tally;
  tally.add(values.data(), values.size(), 1, ZoneTally::keepFor(statistics, false));
  EXPECT_EQ(tally.tell(statistics[0]), 3);
  EXPECT_DOUBLE_EQ(tally.share(5), 0.2);
  EXPECT_EQ(tally.share(6), 0);
}

TEST_F(Zones, TinyAndFarPolygonsAreEmptyAndSaid) {
  const auto box = [&](double column, double row, double size) {
    return Shape{{{grid_.toMap(column, row), grid_.toMap(column + size, row),
                   grid_.toMap(column + size, row + size), grid_.toMap(column, row + size)}},
                 {}};
  };
  polygons_.shapes = {box(5.1, 5.1, 0.2), box(500, 5, 3), box(8, 8, 4), {}};
  const auto centres = of("f.tif", ask({"count", "mean", "median"}));
  EXPECT_EQ(centres.withoutPixels, 3u);
  for (size_t z : {0u, 1u, 3u}) {
    EXPECT_EQ(centres.values[0][z], 0);
    EXPECT_TRUE(std::isnan(centres.values[1][z]));
    EXPECT_TRUE(std::isnan(centres.values[2][z]));
  }
  EXPECT_GT(centres.values[0][2], 5);
  values_[static_cast<size_t>(5 * grid_.width + 5)] = 0.5f;
  writeFloats(folder_ / "f.tif", grid_, {values_}, {}, -9999);
  const auto byArea = of("f.tif", ask({"count", "mean", "sd"}, Inclusion::Area));
  EXPECT_EQ(byArea.withoutPixels, 2u);
  EXPECT_EQ(byArea.values[0][0], 1);
  EXPECT_DOUBLE_EQ(byArea.values[1][0], 0.5);
  EXPECT_TRUE(std::isnan(byArea.values[2][0]));  // one pixel has no spread
}

TEST_F(Zones, EachRasterInItsOwnGridAndSystem) {
  // The same values at half the pixel size: the same means by area.
  Grid fine = metricGrid(74, 58, 5);
  std::vector<float> values(fine.pixels());
  for (int row = 0; row < fine.height; ++row)
    for (int c = 0; c < fine.width; ++c)
      values[static_cast<size_t>(row * fine.width + c)] =
          values_[static_cast<size_t>(row / 2 * grid_.width + c / 2)];
  writeFloats(folder_ / "fine.tif", fine, {values, values}, {}, -9999);
  const auto question = ask({"mean", "sum"}, Inclusion::Area);
  const auto all = summarise(
      polygons_,
      {readingSource((folder_ / "f.tif").string()), readingSource((folder_ / "fine.tif").string())},
      question);
  ASSERT_EQ(all.size(), 3u);
  for (size_t z = 0; z < polygons_.shapes.size(); ++z) {
    EXPECT_NEAR(all[1].values[0][z], all[0].values[0][z], 1e-6);
    EXPECT_NEAR(all[2].values[1][z], 4 * all[0].values[1][z], 1e-4);
  }
  const Readings columns = wide(all);
  EXPECT_EQ(columns.columns,
            (std::vector<std::string>{"f_mean", "f_sum", "fine_b1_mean", "fine_b1_sum",
                                      "fine_b2_mean", "fine_b2_sum"}));
  const Table rows = longTable(polygons_.table, all);
  EXPECT_EQ(rows.columns, (std::vector<std::string>{"id", "layer", "mean", "sum"}));
  EXPECT_EQ(rows.rows.size(), 3 * polygons_.shapes.size());
  // Polygons in degrees lie on the same pixels.
  const auto plain = of("f.tif", ask({"count", "mean"}));
  const std::string degrees = crsFrom("EPSG:4326");
  const CrsChange change(polygons_.crs, degrees);
  for (auto& shape : polygons_.shapes)
    for (auto& ring : shape.rings)
      for (auto& p : ring) ASSERT_TRUE(change.apply(p));
  polygons_.crs = degrees;
  EXPECT_EQ(of("f.tif", ask({"count", "mean"})).values, plain.values);
}

TEST_F(Zones, APolygonOfTheWholeWorldHoldsEveryPixel) {
  polygons_.crs = crsFrom("EPSG:4326");
  polygons_.shapes = {{{{{-180, -90}, {180, -90}, {180, 90}, {-180, 90}}}, {}}};
  for (const Inclusion inclusion : {Inclusion::Centres, Inclusion::Area}) {
    const auto told = of("m.tif", ask({"count", "sum"}, inclusion));
    EXPECT_EQ(told.withoutPixels, 0u);
    size_t count = 0, sum = 0;
    for (auto code : codes_) count += code > 0 ? 1 : 0, sum += code;
    EXPECT_EQ(told.values[0][0], static_cast<double>(count));
    EXPECT_NEAR(told.values[1][0], static_cast<double>(sum), 1e-6);
  }
}

TEST_F(Zones, PowerIsAveragedAsPowerAndToldInDecibels) {
  ZoneQuestion question = ask({"mean", "median", "max", "count"});
  const auto power = of("f.tif", question);
  question.decibels = true;
  const auto decibels = of("f.tif", question);
  for (size_t z = 0; z < polygons_.shapes.size(); ++z) {
    for (size_t s : {0u, 1u, 2u})
      EXPECT_NEAR(decibels.values[s][z], 10 * std::log10(power.values[s][z]), 1e-12);
    EXPECT_EQ(decibels.values[3][z], power.values[3][z]);
  }
  question = ask({"sum"});
  question.decibels = true;
  EXPECT_EQ(sentenceOf([&] { of("f.tif", question); }),
            "“sum” means nothing in decibels; ask for it without them.");
}

TEST_F(Zones, FeaturesAreSummarisedAsRastersAreAndRadarAsPower) {
  std::vector<float> other(grid_.pixels());
  for (size_t i = 0; i < other.size(); ++i) other[i] = 0.2f + 0.001f * static_cast<float>(i % 97);
  writeFloats(folder_ / "s.tif", grid_, {values_, other}, {"red", "nir"}, -9999);
  Scene scene = openScene(folder_ / "s.tif");
  scene.state = ValueState::BackscatterPower;
  const Scope scope({{"", scene}});
  const auto question = ask({"mean", "median", "count"});
  const auto told =
      summarise(polygons_, scope, {"band(red)", "formula(red + nir)", "decibels(red)"}, question);
  ASSERT_EQ(told.size(), 3u);
  EXPECT_EQ(told[0].layer, "red");
  EXPECT_EQ(told[0].values, of("f.tif", question).values);
  for (size_t z = 0; z < polygons_.shapes.size(); ++z) {
    double sum = 0;
    for (const auto& [v, share] : byHand(z, Inclusion::Centres, values_)) sum += v;
    const double mean = sum / told[0].values[2][z];
    EXPECT_NEAR(told[0].values[0][z], mean, 1e-6);
    EXPECT_GT(told[1].values[0][z], mean + 0.2);
    EXPECT_NEAR(told[2].values[0][z], 10 * std::log10(mean), 1e-4);
    EXPECT_EQ(told[2].values[2][z], told[0].values[2][z]);
  }
  EXPECT_NE(sentenceOf([&] {
              summarise(polygons_, scope, {"band(red)"}, ask({"share"}));
            }).find("features do not have"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              summarise(polygons_, scope, {"decibels(red)"}, ask({"sum"}));
            }).find("decibels"),
            std::string::npos);
}

TEST_F(Zones, TheSameOnAnyThreads) {
  const auto question = ask({"mean", "sd", "median", "sum"}, Inclusion::Area);
  const auto two = of("f.tif", question);
  const oneapi::tbb::global_control one(oneapi::tbb::global_control::max_allowed_parallelism, 1);
  EXPECT_EQ(of("f.tif", question).values, two.values);
}

TEST_F(Zones, WhatCannotBeIsSaid) {
  EXPECT_NE(sentenceOf([&] { of("f.tif", ask({"share"})); }).find("holds real numbers"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { zoneStatistic("meen"); }).find("“mean”"), std::string::npos);
  EXPECT_NE(sentenceOf([&] { zoneStatistic("p101"); }).find("percentiles"), std::string::npos);
  EXPECT_NE(sentenceOf([&] { of("f.tif:3", ask({"mean"})); }).find("no band 3"), std::string::npos);
  EXPECT_NE(sentenceOf([&] { of("f.tif", ask({})); }).find("statistics"), std::string::npos);
  polygons_.crs = "";
  EXPECT_NE(sentenceOf([&] { of("f.tif", ask({"mean"})); }).find("no reference system"),
            std::string::npos);
  polygons_.shapes = {{{}, {{1, 2}}}};
  EXPECT_NE(sentenceOf([&] { of("f.tif", ask({"mean"})); }).find("no polygons"), std::string::npos);
}

}  // namespace
}  // namespace zp
