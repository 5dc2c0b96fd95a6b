#include <cmath>
#include <set>

#include "base/random.h"
#include "legend/class_map.h"
#include "sampling/plan.h"
#include "sampling/readings.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

/// A class map in stripes of 1, 2 and 3, with an empty border column.
fs::path stripes(const Folder& folder) {
  const Grid g = metricGrid(60, 40);
  Legend legend;
  for (int c = 1; c <= 3; ++c) legend.addMissing(c, "class " + std::to_string(c));
  std::vector<uint16_t> codes(g.pixels());
  for (size_t i = 0; i < codes.size(); ++i)
    codes[i] = static_cast<uint16_t>(i % 60 == 0 ? 0 : 1 + i / 60 % 3);
  RasterWriter writer(folder / "m.tif", classMapSpec(g, legend, "m"));
  writer.writeCodes(1, {0, 0, 60, 40}, codes);
  writer.finish();
  return folder / "m.tif";
}

TEST(Plan, StratifiedAtPixelCentresInTheirClass) {
  Folder folder;
  const auto map = stripes(folder);
  SamplingPlan plan{PlanKind::Stratified, 25, {}, 3};
  const auto placed = placePoints(map, plan);
  EXPECT_EQ(placed.points.size(), 75u);
  std::vector<Place> places;
  std::set<std::pair<double, double>> distinct;
  for (const auto& p : placed.points)
    places.push_back(p.place), distinct.insert({p.place.x, p.place.y});
  EXPECT_EQ(distinct.size(), 75u);
  const auto codes = readAt(places, placed.crs, {{map, 1, "m"}}).values[0];
  for (size_t i = 0; i < places.size(); ++i) {
    EXPECT_EQ(codes[i], placed.points[i].code);
    EXPECT_EQ(std::fmod(places[i].x - 500000, 10), 5);
  }
  // Not in class order: the classes are mixed from the start.
  std::set<int> first;
  for (size_t i = 0; i < 12; ++i) first.insert(placed.points[i].code);
  EXPECT_EQ(first.size(), 3u);
}

TEST(Plan, SeedDecidesAndSpacingHolds) {
  Folder folder;
  const auto map = stripes(folder);
  SamplingPlan plan{PlanKind::Random, 40, 35.0, 7};
  const auto a = placePoints(map, plan), b = placePoints(map, plan);
  ASSERT_EQ(a.points.size(), 40u);
  for (size_t i = 0; i < 40; ++i) EXPECT_EQ(a.points[i].place.x, b.points[i].place.x);
  for (size_t i = 0; i < 40; ++i)
    for (size_t j = 0; j < i; ++j)
      EXPECT_GE(std::hypot(a.points[i].place.x - a.points[j].place.x,
                           a.points[i].place.y - a.points[j].place.y),
                35);
  plan.seed = 8;
  EXPECT_NE(placePoints(map, plan).points[0].place.x, a.points[0].place.x);
}

TEST(Plan, EveryPixelIsEquallyLikely) {
  Folder folder;
  writeFloats(folder / "f.tif", metricGrid(4, 4), {std::vector<float>(16, 1)});
  std::vector<int> hits(16);
  constexpr int kRounds = 4000;
  for (int seed = 0; seed < kRounds; ++seed) {
    const auto placed =
        placePoints(folder / "f.tif", {PlanKind::Random, 4, {}, static_cast<uint64_t>(seed)});
    std::set<int> pixels;
    for (const auto& p : placed.points) {
      const int c = static_cast<int>((p.place.x - 500000) / 10),
                r = static_cast<int>((5000000 - p.place.y) / 10);
      pixels.insert(r * 4 + c);
    }
    EXPECT_EQ(pixels.size(), 4u);  // without replacement
    for (int p : pixels) ++hits[static_cast<size_t>(p)];
  }
  double chi = 0;
  for (int h : hits) chi += (h - kRounds / 4.0) * (h - kRounds / 4.0) / (kRounds / 4.0);
  EXPECT_LT(chi, 37.7);  // 99.9 % point of chi-square with 15 degrees of freedom
}

TEST(Plan, TooFewPlacesAndNoPlaceAtAll) {
  Folder folder;
  const auto map = stripes(folder);
  EXPECT_NE(sentenceOf([&] {
              placePoints(map, {PlanKind::Stratified, 1000, {}, 1});
            }).find("points fit in “class 1”, not 1000"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              placePoints(map, {PlanKind::Random, 50, 400.0, 1});
            }).find("not 50"),
            std::string::npos);
  writeFloats(folder / "e.tif", metricGrid(2, 1), {{-9999, -9999}}, {}, -9999);
  EXPECT_NE(sentenceOf([&] {
              placePoints(folder / "e.tif", {PlanKind::Random, 1, {}, 1});
            }).find("no valid pixels"),
            std::string::npos);
  Grid g = metricGrid(2, 1);
  g.crs.clear();
  writeFloats(folder / "n.tif", g, {{1, 1}});
  EXPECT_NE(sentenceOf([&] {
              placePoints(folder / "n.tif", {PlanKind::Random, 1, {}, 1});
            }).find("no reference system"),
            std::string::npos);
}

TEST(Plan, InsideAnOutline) {
  Folder folder;
  const auto map = stripes(folder);
  writeAreas(
      folder / "a.gpkg",
      {{1, "a", {{500100, 4999900}, {500300, 4999900}, {500300, 4999700}, {500100, 4999700}}}});
  const Layer inside = readLayer((folder / "a.gpkg").string());
  for (const auto& p : placePoints(map, {PlanKind::Random, 100, {}, 1}, &inside).points) {
    EXPECT_GE(p.place.x, 500100);
    EXPECT_LT(p.place.x, 500300);
    EXPECT_GT(p.place.y, 4999700);
    EXPECT_LE(p.place.y, 4999900);
  }
}

/// Points of a triangle whose edges run across the pixels.
const Ring kTriangle{{500113, 4999987}, {500537, 4999777}, {500089, 4999633}};

double sideOf(Place p, Place a, Place b) {
  return (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);
}

TEST(Plan, RandomPointsLieInThePolygonItself) {
  Folder folder;
  writeFloats(folder / "f.tif", metricGrid(60, 40), {std::vector<float>(2400, 1)});
  writeAreas(folder / "a.gpkg", {{1, "a", kTriangle}});
  const Layer inside = readLayer((folder / "a.gpkg").string());
  size_t edge = 0, all = 0;
  for (uint64_t seed = 0; seed < 40; ++seed)
    for (const auto& p :
         placePoints(folder / "f.tif", {PlanKind::Random, 100, {}, seed}, &inside).points) {
      const double d[] = {sideOf(p.place, kTriangle[0], kTriangle[1]),
                          sideOf(p.place, kTriangle[1], kTriangle[2]),
                          sideOf(p.place, kTriangle[2], kTriangle[0])};
      EXPECT_TRUE((d[0] <= 0 && d[1] <= 0 && d[2] <= 0) || (d[0] >= 0 && d[1] >= 0 && d[2] >= 0))
          << p.place.x << " " << p.place.y;
      ++all;
      // Nearer to the first edge than 5 m, a strip of known area.
      if (std::abs(d[0]) / std::hypot(424, 210) < 5) ++edge;
    }
  // Shares of the triangle's area: the strip is a trapezium, a triangle less its smaller likeness.
  const double area = std::abs(sideOf(kTriangle[2], kTriangle[0], kTriangle[1])) / 2,
               height = 2 * area / std::hypot(424, 210);
  const double share = 1 - (1 - 5 / height) * (1 - 5 / height);
  const double sd = std::sqrt(share * (1 - share) / static_cast<double>(all));
  EXPECT_NEAR(static_cast<double>(edge) / static_cast<double>(all), share, 4 * sd);
}

Grid degreeGrid(double top, int rows) {
  Grid g = metricGrid(200, rows);
  g.transform = {10, 0.05, 0, top, 0, -0.05};
  g.crs = crsFrom("EPSG:4326");
  return g;
}

TEST(Plan, InDegreesEverySquareMetreIsEquallyLikely) {
  Folder folder;
  const Grid g = degreeGrid(75, 500);  // 75° to 50° N
  writeFloats(folder / "f.tif", g, {std::vector<float>(g.pixels(), 1)});
  std::vector<uint16_t> codes(g.pixels(), 1);
  writeCodes(folder / "m.tif", g, codes);
  for (const bool stratified : {false, true}) {
    double north = 0, all = 0;
    for (uint64_t seed = 1; seed <= 20; ++seed) {
      SamplingPlan plan{stratified ? PlanKind::Stratified : PlanKind::Random, 500, {}, seed};
      for (const auto& p : placePoints(folder / (stratified ? "m.tif" : "f.tif"), plan).points) {
        all += 1;
        north += p.place.y > 62.5 ? 1 : 0;
      }
    }
    // On the sphere, which is near enough: areas go with the difference of sines.
    const auto sine = [](double degrees) { return std::sin(degrees * std::acos(-1.0) / 180); };
    const double share = (sine(75) - sine(62.5)) / (sine(75) - sine(50));
    EXPECT_NEAR(north / all, share, 4 * std::sqrt(share * (1 - share) / all) + 0.003);
  }
}

TEST(Plan, OverASceneItsMaskItsShiftAndItsNoDataCount) {
  Folder folder;
  const Grid g = metricGrid(10, 4);
  std::vector<float> v(40, 5);
  for (size_t i = 0; i < 40; ++i)
    if (i % 10 < 2) v[i] = 7;  // no data of the scene, not of the file
  writeFloats(folder / "s.tif", g, {v});
  std::vector<uint16_t> mask(40, 0);
  for (size_t i = 0; i < 40; ++i)
    if (i % 10 > 7) mask[i] = 1;
  writeCodes(folder / "mask.tif", g, mask);
  SceneOptions options;
  options.nodata = 7;
  Scene s = openScene(folder / "s.tif", options);
  s.mask = folder / "mask.tif";
  moveScene(s, {1000, 0});
  const auto placed = placePoints(s, {PlanKind::Random, 24, {}, 1});  // all that there are
  for (const auto& p : placed.points) {
    EXPECT_GE(p.place.x, 501020);
    EXPECT_LT(p.place.x, 501080);
  }
  EXPECT_NE(sentenceOf([&] {
              placePoints(s, {PlanKind::Random, 25, {}, 1});
            }).find("Only 24"),
            std::string::npos);
}

TEST(Readings, ASceneBandHasItsOwnConversionInEveryNumberType) {
  Folder folder;
  for (const auto type : {NumberType::Float64, NumberType::Int32, NumberType::UInt32,
                          NumberType::Float32, NumberType::UInt16}) {
    const Grid g = metricGrid(3, 2);
    RasterSpec spec;
    spec.grid = g;
    spec.type = type;
    spec.bands.resize(1);
    const fs::path file = folder / ("t" + std::to_string(static_cast<int>(type)) + ".tif");
    RasterWriter writer(file, spec);
    std::vector<float> values{10, 20, 30, 40, 50, 60};
    writer.write(1, {0, 0, 3, 2}, values);
    writer.finish();
    Scene s = openScene(file);
    s.bands[0].conversion = {20.0, 0.5, 3.0};
    const std::vector<Place> two{g.centre(0, 0), g.centre(1, 0)};
    OpenRasters open;
    for (const auto& read : {readBandAt(two, g.crs, s, 0),
                             std::vector<double>{readBandAt(two[0], g.crs, s, 0, open),
                                                 readBandAt(two[1], g.crs, s, 0, open)}}) {
      EXPECT_EQ(read[0], 8) << static_cast<int>(type);
      EXPECT_TRUE(std::isnan(read[1])) << static_cast<int>(type);
    }
  }
}

TEST(Readings, AFileThatIsWrittenAnewIsOpenedAnew) {
  Folder folder;
  const Grid g = metricGrid(2, 1);
  writeFloats(folder / "a.tif", g, {{1, 2}});
  OpenRasters open;
  EXPECT_EQ(readAt(g.centre(1, 0), g.crs, folder / "a.tif", 1, open), 2);
  const auto later = fs::last_write_time(folder / "a.tif") + std::chrono::seconds(2);
  fs::remove(folder / "a.tif");
  writeFloats(folder / "a.tif", g, {{1, 9}});
  fs::last_write_time(folder / "a.tif", later);
  EXPECT_EQ(readAt(g.centre(1, 0), g.crs, folder / "a.tif", 1, open), 9);
  fs::remove(folder / "a.tif");
  EXPECT_THROW(readAt(g.centre(1, 0), g.crs, folder / "a.tif", 1, open), Error);
}

TEST(Readings, ManyPlacesAgreeWithTheWholeRaster) {
  Folder folder;
  const Grid g = metricGrid(700, 300);
  std::vector<float> v(g.pixels());
  for (size_t i = 0; i < v.size(); ++i) v[i] = static_cast<float>(i);
  v[5] = -9999;
  writeFloats(folder / "big.tif", g, {v}, {}, -9999);
  Random random(2);
  std::vector<Place> places;
  std::vector<double> want;
  for (int i = 0; i < 5000; ++i) {
    const double c = random.between(-20, 720), r = random.between(-20, 320);
    places.push_back(g.toMap(c, r));
    const bool inside = c >= 0 && r >= 0 && c < 700 && r < 300;
    want.push_back(inside ? v[static_cast<size_t>(r) * 700 + static_cast<size_t>(c)] : NAN);
  }
  places.push_back(g.centre(5, 0));
  want.push_back(NAN);
  const auto got = readAt(places, g.crs, {{folder / "big.tif", 0, ""}}).values[0];
  for (size_t i = 0; i < want.size(); ++i)
    EXPECT_TRUE(got[i] == want[i] || (std::isnan(got[i]) && std::isnan(want[i]))) << i;
}

TEST(Readings, ColumnsAndOtherSystems) {
  Folder folder;
  writeFloats(folder / "a.tif", metricGrid(2, 1), {{1, 2}, {3, 4}});
  fs::create_directory(folder / "other");
  writeFloats(folder / "other/a.tif", metricGrid(2, 1), {{5, 6}});
  const Place here{500015, 4999995};
  const auto r = readAt({here}, crsFrom("EPSG:32627"),
                        {readingSource((folder / "a.tif").string()),
                         readingSource((folder / "a.tif").string() + ":2"),
                         {folder / "other/a.tif", 0, ""},
                         {folder / "other/a.tif", 0, ""}});
  EXPECT_EQ(r.columns, (std::vector<std::string>{"a_b1", "a_b2", "a_b2_2", "a", "a_2"}));
  EXPECT_EQ(r.values[1][0], 4);
  EXPECT_EQ(r.values[3][0], 6);
  Place degrees = here;
  CrsChange(crsFrom("EPSG:32627"), crsFrom("EPSG:4326")).apply(degrees);
  EXPECT_EQ(readAt({degrees}, crsFrom("EPSG:4326"), {{folder / "a.tif", 1, "x"}}).values[0][0], 2);
  EXPECT_NE(sentenceOf([&] { readAt({}, "", {}); }).find("no points"), std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              readAt({here}, "", {{folder / "a.tif", 9, ""}});
            }).find("no band 9"),
            std::string::npos);
}

}  // namespace
}  // namespace zp
