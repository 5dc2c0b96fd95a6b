// Sampling plans: equal chances, exact counts, spacings and edges, and what tops them up.
#include <cmath>
#include <set>

#include "base/error.h"
#include "base/random.h"
#include "sampling/plan.h"
#include "sampling/share_out.h"
#include "study/step.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

class Plans : public ::testing::Test {
 protected:
  static constexpr int kWide = 12, kHigh = 10;
  void SetUp() override {
    // Column 3 has no value; classes 1, 2, 3 in 2, 3 and 7 columns.
    for (int i = 0; i < kWide * kHigh; ++i) {
      const int column = i % kWide;
      values_.push_back(column == 3 ? -9999.0f : 1.0f);
      codes_.push_back(static_cast<uint16_t>(column < 2 ? 1 : column < 5 ? 2 : 3));
    }
    raster_ = writeFloats(folder_ / "v.tif", grid_, {values_}, {}, -9999);
    map_ = writeCodes(folder_ / "m.tif", grid_, codes_);
  }
  int pixelOf(Place p) const {
    const Place at = grid_.toPixel(p);
    return static_cast<int>(at.y) * kWide + static_cast<int>(at.x);
  }
  static std::vector<Place> placesOf(const PlannedPoints& points) {
    std::vector<Place> all;
    for (const auto& p : points.points) all.push_back(p.place);
    return all;
  }
  std::map<int, size_t> perClass(const PlannedPoints& points) const {
    std::map<int, size_t> n;
    for (const auto& p : points.points) ++n[codes_[static_cast<size_t>(pixelOf(p.place))]];
    return n;
  }
  /// How often each pixel is hit over many seeds, against all of them hit alike.
  void expectEqualChance(const std::function<PlannedPoints(uint64_t seed)>& place) {
    constexpr int kSeeds = 400;
    std::vector<double> hits(values_.size());
    double all = 0, chi = 0;
    for (uint64_t seed = 1; seed <= kSeeds; ++seed)
      for (const auto& p : place(seed).points) ++hits[static_cast<size_t>(pixelOf(p.place))], ++all;
    const double pixels = (kWide - 1) * kHigh, each = all / pixels;
    for (size_t i = 0; i < hits.size(); ++i) {
      if (i % kWide == 3)
        EXPECT_EQ(hits[i], 0);
      else
        chi += (hits[i] - each) * (hits[i] - each) / each;
    }
    // 99.9 % point of chi-square with 109 degrees of freedom.
    EXPECT_LT(chi, 159.4) << all << " points";
  }
  const Grid grid_ = metricGrid(kWide, kHigh);
  std::vector<float> values_;
  std::vector<uint16_t> codes_;
  Folder folder_;
  fs::path raster_, map_;
};

SamplingPlan systematic(double spacing, uint64_t seed = 1, bool staggered = false) {
  SamplingPlan plan{PlanKind::Systematic};
  plan.spacing = spacing;
  plan.seed = seed;
  plan.staggered = staggered;
  return plan;
}

SamplingPlan inBlocks(double size, size_t blocks, size_t count, uint64_t seed = 1) {
  SamplingPlan plan{PlanKind::Blocks, count};
  plan.blockSize = size;
  plan.blocks = blocks;
  plan.seed = seed;
  return plan;
}

TEST_F(Plans, EveryPixelHasTheSameChance) {
  for (const bool staggered : {false, true})
    expectEqualChance(
        [&](uint64_t seed) { return placePoints(raster_, systematic(33, seed, staggered)); });
  // Topped up, whatever the two seeds.
  const auto toppedUp = [&](SamplingPlan plan, uint64_t more, size_t count) {
    const auto first = placesOf(placePoints(raster_, plan));
    plan.seed = more;
    plan.count = count;
    return placePoints(raster_, plan, nullptr, Progress(), 0, first);
  };
  expectEqualChance([&](uint64_t seed) {
    return toppedUp({PlanKind::Random, 5, {}, seed}, seed, 9);
  });
  expectEqualChance([&](uint64_t seed) {
    return toppedUp({PlanKind::Random, 5, {}, seed}, seed + 9999, 9);
  });
  expectEqualChance([&](uint64_t seed) { return toppedUp(systematic(33, seed), seed, 0); });
}

TEST_F(Plans, InBlocksEveryPixelHasTheSameChance) {
  // A block must have room for its points: pixels far smaller than the ones that are counted.
  const int fine = 8;
  const Grid g = metricGrid(kWide * fine, kHigh * fine, 10.0 / fine);
  std::vector<float> values(g.pixels());
  for (size_t i = 0; i < values.size(); ++i)
    values[i] = static_cast<int>(i) % g.width / fine == 3 ? -9999.0f : 1.0f;
  writeFloats(folder_ / "fine.tif", g, {values}, {}, -9999);
  int none = 0;
  for (const bool toppedUp : {false, true})
    expectEqualChance([&](uint64_t seed) {
      try {
        auto plan = inBlocks(34, 3, 2, seed);
        const auto first = placePoints(folder_ / "fine.tif", plan);
        if (!toppedUp) return first;
        plan.count = 3;
        return placePoints(folder_ / "fine.tif", plan, nullptr, Progress(), 0, placesOf(first));
      } catch (const Error&) {
        ++none;
        return PlannedPoints();
      }
    });
  EXPECT_LT(none, 20);
}

TEST_F(Plans, SystematicPointsStandOnALattice) {
  const auto placed = placePoints(map_, systematic(15, 7));
  ASSERT_NEAR(static_cast<double>(placed.points.size()), 120 * 100 / 225.0, 14);
  for (const auto& p : placed.points)
    for (const double off :
         {p.place.x - placed.points[0].place.x, p.place.y - placed.points[0].place.y})
      EXPECT_NEAR(off / 15, std::round(off / 15), 1e-6);
  // Staggered: rows in turn are half a spacing aside.
  const auto staggered = placePoints(map_, systematic(20, 7, true));
  EXPECT_NEAR(spreadOf(staggered.points, grid_).nearest, 20, 1e-6);
  std::set<long> halves;
  for (const auto& p : staggered.points) {
    const double rows = (p.place.y - staggered.points[0].place.y) / 20,
                 columns = (p.place.x - staggered.points[0].place.x) / 20;
    EXPECT_NEAR(2 * columns, std::round(2 * columns), 1e-6);
    EXPECT_EQ(std::lround(2 * columns) % 2 != 0, std::lround(rows) % 2 != 0);
    halves.insert(std::lround(2 * columns) % 2);
  }
  EXPECT_GT(halves.size(), 1u);
}

TEST_F(Plans, SystematicByTheNumberAlongEachSide) {
  SamplingPlan plan{PlanKind::Systematic};
  plan.across = 6, plan.down = 5;
  for (uint64_t seed = 1; seed < 20; ++seed) {
    plan.seed = seed;
    EXPECT_EQ(placePoints(map_, plan).points.size(), 30u);
  }
  // Of the polygon's extent where there is one; what lies outside of it is left out.
  Layer triangle;
  triangle.shapes = {{{{{500020, 4999980}, {500080, 4999980}, {500020, 4999920}}}, {}}};
  plan.across = plan.down = 60;
  const auto placed = placePoints(map_, plan, &triangle);
  EXPECT_NEAR(static_cast<double>(placed.points.size()), 1800, 62);
  for (const auto& p : placed.points) EXPECT_LT(p.place.x - 500020, p.place.y - 4999920 + 1e-6);
}

TEST_F(Plans, SystematicPointsAreToppedUpToHalfTheirSpacing) {
  for (const bool staggered : {false, true}) {
    const auto plan = systematic(20, 5, staggered);
    std::vector<Place> places;
    std::vector<size_t> counts;
    for (int round = 0; round < 4; ++round) {
      const auto placed = placePoints(map_, plan, nullptr, Progress(), 0, places);
      const auto now = placesOf(placed);
      ASSERT_TRUE(std::equal(places.begin(), places.end(), now.begin()));  // ids stay
      places = now;
      counts.push_back(places.size());
      EXPECT_NEAR(spreadOf(placed.points, grid_).nearest,
                  round == 0   ? 20
                  : round == 1 ? (staggered ? 10 : 20 / std::sqrt(2))
                               : 10,
                  1e-6);
    }
    for (size_t round = 1; round < 4; ++round)
      EXPECT_NEAR(static_cast<double>(counts[round]), static_cast<double>(counts[0] * (round + 1)),
                  14);
    EXPECT_NE(sentenceOf([&] {
                placePoints(map_, plan, nullptr, Progress(), 0, places);
              }).find("three times"),
              std::string::npos);
    places.resize(counts[0]);
    EXPECT_NE(sentenceOf([&] {
                placePoints(map_, systematic(20, 6, staggered), nullptr, Progress(), 0, places);
              }).find("none that this plan placed"),
              std::string::npos);
  }
}

TEST_F(Plans, InDegreesSystematicPointsStandForTheSameArea) {
  Grid g = metricGrid(200, 500);
  g.transform = {10, 0.05, 0, 75, 0, -0.05};
  g.crs = crsFrom("EPSG:4326");
  writeFloats(folder_ / "d.tif", g, {std::vector<float>(g.pixels(), 1)});
  const auto placed = placePoints(folder_ / "d.tif", systematic(0.2));
  const auto sine = [](double degrees) { return std::sin(degrees * std::acos(-1.0) / 180); };
  double north = 0;
  for (const auto& p : placed.points) north += p.place.y > 62.5 ? 1 : 0;
  EXPECT_NEAR(north / static_cast<double>(placed.points.size()),
              (sine(75) - sine(62.5)) / (sine(75) - sine(50)), 0.01);
  EXPECT_NEAR(static_cast<double>(placed.points.size()), 10 / 0.2 * 25 / 0.2, 70);
}

TEST_F(Plans, BlocksAreDrawnAndPointsInThem) {
  for (uint64_t seed = 1; seed < 30; ++seed) {
    const auto placed = placePoints(map_, inBlocks(50, 3, 2, seed));
    ASSERT_EQ(placed.points.size(), 6u);
    std::map<size_t, size_t> inEach;
    for (const auto& p : placed.points) {
      ++inEach[p.block];
      ASSERT_LE(p.block, placed.blocks.size());
      const Ring& ring = placed.blocks[p.block - 1];
      const Place centre{std::floor(p.place.x / 10) * 10 + 5, std::floor(p.place.y / 10) * 10 + 5};
      EXPECT_TRUE(centre.x > ring[0].x && centre.x < ring[2].x && centre.y < ring[0].y &&
                  centre.y > ring[2].y);
    }
    EXPECT_EQ(inEach.size(), placed.blocks.size());
    for (const auto& [block, n] : inEach) EXPECT_EQ(n % 2, 0u);
  }
  EXPECT_NE(sentenceOf([&] { placePoints(map_, inBlocks(60, 99, 1)); }).find("There are only"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { placePoints(map_, inBlocks(5, 1, 1)); }).find("smaller than a pixel"),
            std::string::npos);
  // Where blocks have no room, all that was asked for is told.
  auto crowded = inBlocks(34, 3, 40);
  crowded.takeFewer = true;
  EXPECT_EQ(placePoints(map_, crowded).tooFew, (std::map<int, size_t>{{0, 120}}));
  const auto layer = toLayer(placePoints(map_, inBlocks(34, 3, 4)), false);
  EXPECT_EQ(layer.table.columns, (std::vector<std::string>{"id", "block"}));
}

TEST_F(Plans, PointsAreSharedOutAmongClasses) {
  SamplingPlan plan{PlanKind::Stratified, 29};
  plan.split = Split::Proportional;
  // 29 / 12 a column: 4.83, 7.25, 16.92.
  EXPECT_EQ(perClass(placePoints(map_, plan)), (std::map<int, size_t>{{1, 5}, {2, 7}, {3, 17}}));
  plan.leftOut = {3};
  plan.count = 10;
  EXPECT_EQ(perClass(placePoints(map_, plan)), (std::map<int, size_t>{{1, 4}, {2, 6}}));
  plan.leftOut = {};
  plan.split = Split::Given;
  plan.given = {{1, 3}, {3, 11}};
  EXPECT_EQ(perClass(placePoints(map_, plan)), (std::map<int, size_t>{{1, 3}, {3, 11}}));
  // A class that is too small for its share, or not there, is said, and what there is is taken.
  plan.given = {{1, 21}, {3, 11}, {9, 2}};
  EXPECT_NE(
      sentenceOf([&] { placePoints(map_, plan); }).find("Only 20 points fit in “class 1”, not 21"),
      std::string::npos);
  plan.takeFewer = true;
  const auto placed = placePoints(map_, plan);
  EXPECT_EQ(perClass(placed), (std::map<int, size_t>{{1, 20}, {3, 11}}));
  EXPECT_EQ(placed.tooFew, (std::map<int, size_t>{{1, 21}, {9, 2}}));
  EXPECT_EQ(shareOut(7, {{1, 1}, {2, 1}, {3, 1}}), (std::map<int, size_t>{{1, 3}, {2, 2}, {3, 2}}));
}

TEST_F(Plans, OnlyOneClassARectangleAndBoth) {
  SamplingPlan plan{PlanKind::Random, 60};
  plan.only = 3;
  EXPECT_EQ(perClass(placePoints(map_, plan)), (std::map<int, size_t>{{3, 60}}));
  plan.within = Extent{500050, 4999935, 500080, 4999990};
  plan.count = 6;
  Layer inside;
  inside.shapes = {{{{{500062, 4999000}, {500062, 5001000}, {501000, 5000000}}}, {}}};
  for (const auto& p : placePoints(map_, plan, &inside).points) {
    EXPECT_TRUE(p.place.x > 500062 && p.place.x < 500080);
    EXPECT_TRUE(p.place.y > 4999935 && p.place.y < 4999990);
  }
  plan.within = Extent{400000, 1, 400001, 2};
  EXPECT_NE(sentenceOf([&] { placePoints(map_, plan); }).find("no valid pixels"),
            std::string::npos);
}

/// From a place, or from anywhere in its pixel, to the nearest pixel that is no ground.
TEST_F(Plans, PointsKeepAwayFromTheEdge) {
  const auto far = [&](Place p, double most) {
    // Corners of pixels without ground, and of the grid, as rectangles.
    double nearest = std::min({p.x - 500000, 500120 - p.x, 5000000 - p.y, p.y - 4999900});
    nearest = std::min(nearest, std::max({500030 - p.x, p.x - 500040, 0.0}));
    return nearest >= most - 1e-6;
  };
  for (const double edge : {3.0, 8.0, 15.0, 22.0}) {
    // Stratified: the centres of all pixels that are far enough, and no others.
    std::vector<float> ones = values_;
    SamplingPlan all{PlanKind::Stratified, 1000};
    all.edge = edge;
    all.takeFewer = true;
    std::vector<uint16_t> one(codes_.size(), 1);
    for (size_t i = 0; i < one.size(); ++i)
      if (i % kWide == 3) one[i] = 0;
    writeCodes(folder_ / "one.tif", grid_, one);
    std::set<int> want, got;
    for (int i = 0; i < kWide * kHigh; ++i)
      if (one[static_cast<size_t>(i)] == 1 && far(grid_.centre(i % kWide, i / kWide), edge))
        want.insert(i);
    for (const auto& p : placePoints(folder_ / "one.tif", all).points) got.insert(pixelOf(p.place));
    EXPECT_EQ(got, want) << edge;
    SamplingPlan anywhere{PlanKind::Random, 4};
    anywhere.edge = edge;
    for (uint64_t seed = 1; seed < 40; ++seed) {
      anywhere.seed = seed;
      for (const auto& p : placePoints(raster_, anywhere).points)
        EXPECT_TRUE(far(p.place, edge)) << p.place.x << " " << p.place.y << " " << edge;
    }
  }
  // From the edge of a polygon, to the last metre; two that touch are one.
  Layer inside;
  inside.shapes = {
      {{{{500050, 4999910}, {500050, 4999990}, {500080, 4999990}, {500080, 4999910}}}, {}},
      {{{{500080, 4999910}, {500080, 4999990}, {500110, 4999990}, {500110, 4999910}}}, {}}};
  SamplingPlan plan{PlanKind::Random, 20};
  plan.edge = 7;
  double left = 1e9, middle = 1e9;
  for (uint64_t seed = 1; seed < 60; ++seed) {
    plan.seed = seed;
    for (const auto& p : placePoints(raster_, plan, &inside).points) {
      left = std::min(left, p.place.x - 500050);
      middle = std::min(middle, std::abs(p.place.x - 500080));
    }
  }
  EXPECT_GE(left, 7 - 1e-6);
  EXPECT_LT(left, 8.5);
  EXPECT_LT(middle, 1);
  plan.edge = 31;
  EXPECT_NE(sentenceOf([&] { placePoints(raster_, plan, &inside); }).find("Nothing is left"),
            std::string::npos);
}

TEST_F(Plans, ToppingUpKeepsThePointsAndTheirNumbers) {
  SamplingPlan plan{PlanKind::Stratified, 6, {}, 4};
  const auto first = placePoints(map_, plan);
  plan.count = 14;
  const auto more = placePoints(map_, plan, nullptr, Progress(), 0, placesOf(first)),
             whole = placePoints(map_, plan);
  ASSERT_EQ(more.points.size(), 42u);
  for (size_t i = 0; i < 18; ++i) {
    EXPECT_EQ(more.points[i].place, first.points[i].place);
    EXPECT_EQ(more.points[i].code, first.points[i].code);
  }
  // The same seed gives the points of the larger plan.
  std::set<int> a, b;
  for (const auto& p : more.points) a.insert(pixelOf(p.place));
  for (const auto& p : whole.points) b.insert(pixelOf(p.place));
  EXPECT_EQ(a, b);
  // With a spacing, old and new points keep it.
  SamplingPlan apart{PlanKind::Random, 6, 17.0, 4};
  const auto few = placePoints(raster_, apart);
  apart.count = 12;
  apart.seed = 99;
  const auto many = placePoints(raster_, apart, nullptr, Progress(), 0, placesOf(few));
  EXPECT_EQ(many.points.size(), 12u);
  EXPECT_GE(spreadOf(many.points, grid_).nearest, 17);
  // Points that another plan placed, and no more than there are.
  plan.count = 3;
  EXPECT_NE(sentenceOf([&] {
              placePoints(map_, plan, nullptr, Progress(), 0, placesOf(first));
            }).find("already"),
            std::string::npos);
  plan.count = 14;
  plan.leftOut = {3};
  EXPECT_NE(sentenceOf([&] {
              placePoints(map_, plan, nullptr, Progress(), 0, placesOf(first));
            }).find("6 of the 18"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              placePoints(raster_, {PlanKind::Random, 9}, nullptr, Progress(), 0, {{1, 2}});
            }).find("1 of the 1"),
            std::string::npos);
}

TEST_F(Plans, SpreadAgreesWithEveryPair) {
  Random random(5);
  for (int round = 0; round < 50; ++round) {
    std::vector<SamplePoint> points(2 + random.below(60));
    for (auto& p : points)
      p.place = grid_.toMap(random.between(0, kWide), std::floor(random.between(0, kHigh)) + 0.5);
    double nearest = INFINITY;
    size_t sharing = 0;
    for (size_t i = 0; i < points.size(); ++i) {
      bool shares = false;
      for (size_t j = 0; j < points.size(); ++j) {
        if (i == j) continue;
        nearest = std::min(nearest, std::hypot(points[i].place.x - points[j].place.x,
                                               points[i].place.y - points[j].place.y));
        shares = shares || pixelOf(points[i].place) == pixelOf(points[j].place);
      }
      sharing += shares ? 1 : 0;
    }
    const Spread spread = spreadOf(points, grid_);
    EXPECT_EQ(spread.nearest, nearest);
    EXPECT_EQ(spread.sharing, sharing);
  }
  EXPECT_TRUE(std::isnan(spreadOf({{}}, grid_).nearest));
}

TEST_F(Plans, AskedForNothingOrTooMuch) {
  const auto said = [&](const SamplingPlan& plan) {
    return sentenceOf([&] { placePoints(map_, plan); });
  };
  EXPECT_NE(said({PlanKind::Systematic}).find("how far"), std::string::npos);
  EXPECT_NE(said(systematic(1e-9)).find("more than 10000000"), std::string::npos);
  EXPECT_NE(said(inBlocks(30, 0, 1)).find("at least one block"), std::string::npos);
  EXPECT_NE(said({PlanKind::Random, 100'000'000}).find("ask for fewer"), std::string::npos);
  SamplingPlan wide = systematic(1e9);
  size_t none = 0;
  for (wide.seed = 1; wide.seed < 5; ++wide.seed)
    none += said(wide).find("so wide a lattice") != std::string::npos ? 1 : 0;
  EXPECT_EQ(none, 4u);
  SamplingPlan edge{PlanKind::Random, 1};
  edge.edge = 1e7;
  EXPECT_NE(said(edge).find("more than 1000 pixels"), std::string::npos);
}

/// A study with a class map, from a run of steps.
class PointSteps : public Plans {
 protected:
  void SetUp() override {
    Plans::SetUp();
    Product map;
    map.name = "Map";
    map.kind = ProductKind::ClassMap;
    map.file = map_;
    map.facts = {{"classes", Json::array()}};
    over_ = study_.addProduct(map);
  }
  Json step(const char* plan, Json more) {
    Json j{{"do", "points"}, {"over", over_}, {"plan", plan}, {"seed", 3}, {"name", "Points"}};
    j.update(more);
    return j;
  }
  std::string run(const Json& step) { return study_.addProduct(runStep(study_, step, Progress())); }
  Layer layerOf(const std::string& id) { return readLayer(study_.product(id)->file.string()); }
  Study study_ = Study::create(folder_ / "study", "Sample");
  std::string over_;
};

TEST_F(PointSteps, EveryPlanRunsAndTellsItsFacts) {
  const auto facts = [&](const char* plan, Json more) {
    return study_.product(run(step(plan, std::move(more))))->facts;
  };
  EXPECT_EQ(facts("random", {{"count", 7}})["points"], 7);
  EXPECT_EQ(facts("systematic", {{"across", 4}, {"down", 3}})["points"], 12);
  EXPECT_EQ(facts("blocks", {{"block_size", 34}, {"blocks", 3}, {"count", 2}})["points"], 6);
  const auto dense = facts("systematic", {{"spacing", 4}, {"form", "staggered"}});
  EXPECT_NEAR(dense["nearest"].get<double>(), 4, 1e-6);
  EXPECT_GT(dense["sharing_pixels"].get<int>(), 400);
  const auto given = facts(
      "stratified", {{"split", "given"}, {"given", {{"1", 30}, {"3", 5}}}, {"too_few", "take"}});
  EXPECT_EQ(given["per_class"][0]["points"], 20);
  EXPECT_EQ(given["per_class"][0]["asked"], 30);
  EXPECT_EQ(given["per_class"][1].count("asked"), 0u);
}

TEST_F(PointSteps, ByHandInAnotherSystem) {
  const Json places{{500015.0, 4999985.0}, {500075.0, 4999915.0}};
  const auto id = run(step("by-hand", {{"places", places}, {"system", "EPSG:4326"}}));
  const Layer layer = layerOf(id);
  EXPECT_TRUE(crsIsGeographic(layer.crs));
  const CrsChange back(layer.crs, grid_.crs);
  for (size_t i = 0; i < 2; ++i) {
    Place p = layer.shapes[i].points[0];
    EXPECT_NEAR(p.x, -21, 0.1);
    back.apply(p);
    EXPECT_NEAR(p.x, places[i][0].get<double>(), 1e-3);
    EXPECT_NEAR(p.y, places[i][1].get<double>(), 1e-3);
  }
  EXPECT_NE(sentenceOf([&] {
              run(step("by-hand", {{"places", Json::array()}}));
            }).find("No point"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              run(step("random", {{"count", 9}, {"tops_up", id}}));
            }).find("not placed by a plan"),
            std::string::npos);
}

TEST_F(PointSteps, AreToppedUpByTheirOwnPlanOnly) {
  const auto first = run(step("random", {{"count", 5}, {"apart", 8}, {"system", "EPSG:4326"}}));
  const auto more =
      run(step("random", {{"count", 9}, {"apart", 8}, {"tops_up", first}, {"seed", 8}}));
  EXPECT_EQ(layerOf(more).shapes.size(), 9u);
  EXPECT_EQ(study_.product(more)->inputs.size(), 2u);
  for (const Json& other : {Json{{"apart", 4}}, Json{{"apart", 8}, {"edge", 1}}, Json::object()}) {
    Json wrong = step("random", {{"count", 9}, {"tops_up", first}});
    wrong.update(other);
    EXPECT_NE(sentenceOf([&] { run(wrong); }).find("by another plan"), std::string::npos)
        << other.dump();
  }
  EXPECT_NE(sentenceOf([&] {
              run(step("random", {{"count", 9}, {"within", {1, 2, 3}}}));
            }).find("The rectangle is none"),
            std::string::npos);
}

}  // namespace
}  // namespace zp
