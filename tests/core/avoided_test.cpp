// Points kept out of polygons, by every plan.
#include "base/random.h"
#include "outline/point_inside.h"
#include "sampling/plan.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

class Avoided : public ::testing::Test {
 protected:
  void SetUp() override {
    std::vector<uint16_t> codes(grid_.pixels());
    for (size_t i = 0; i < codes.size(); ++i) codes[i] = i % 60 < 20 ? 1 : 2;
    writeCodes(map_, grid_, codes);
    // Two that overlap: what lies in both is kept out of too.
    avoid_ = {rectangle(5, 5, 30, 25), rectangle(20, 15, 45, 35)};
  }
  /// By corners in pixels.
  Shape rectangle(double left, double top, double right, double bottom) const {
    return {{{grid_.toMap(left, top), grid_.toMap(right, top), grid_.toMap(right, bottom),
              grid_.toMap(left, bottom)}},
            {}};
  }
  bool inside(Place p) const {
    const Place at = grid_.toPixel(p);
    return PointInside(avoid_, grid_).at(at.x, at.y);
  }
  const Grid grid_ = metricGrid(60, 40);
  Folder folder_;
  const std::filesystem::path map_ = folder_ / "map.tif";
  std::vector<Shape> avoid_;
};

TEST_F(Avoided, NoPointOfAnyPlanLiesThere) {
  for (const auto kind :
       {PlanKind::Random, PlanKind::Stratified, PlanKind::Systematic, PlanKind::Blocks}) {
    SamplingPlan plan{kind, 150};
    plan.spacing = 2.2 * grid_.pixelWidth();
    plan.blockSize = 10 * grid_.pixelWidth();
    plan.blocks = 6;
    plan.count = kind == PlanKind::Blocks ? 20 : 150;
    plan.takeFewer = true;
    size_t within = 0;
    for (const auto& p : placePoints(map_, plan).points) within += inside(p.place) ? 1 : 0;
    EXPECT_GT(within, 0u);
    plan.avoid = avoid_;
    const auto planned = placePoints(map_, plan);
    EXPECT_GT(planned.points.size(), 50u);
    for (const auto& p : planned.points) EXPECT_FALSE(inside(p.place)) << static_cast<int>(kind);
  }
}

TEST_F(Avoided, TheAreasOfStrataAreThoseOfTheMap) {
  SamplingPlan plan{PlanKind::Stratified, 30};
  const auto whole = placePoints(map_, plan).strata;
  const double pixel = grid_.pixelWidth() * grid_.pixelHeight();
  EXPECT_NEAR(whole.at(1), 800 * pixel, 1e-6);
  EXPECT_NEAR(whole.at(2), 1600 * pixel, 1e-6);
  plan.avoid = avoid_;
  EXPECT_EQ(placePoints(map_, plan).strata, whole);
}

TEST_F(Avoided, AClassThatLiesThereAloneIsSaid) {
  SamplingPlan plan{PlanKind::Stratified, 5};
  plan.avoid = {rectangle(-1, -1, 20, 41)};
  EXPECT_NE(sentenceOf([&] { placePoints(map_, plan); }).find("Only 0 points fit in “class 1”"),
            std::string::npos);
}

}  // namespace
}  // namespace zp
