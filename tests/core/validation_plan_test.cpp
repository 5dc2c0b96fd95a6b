#include "accuracy/validation_plan.h"

#include <cmath>
#include <numeric>

#include "accuracy/share_intervals.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

// Olofsson et al. (2014), section 5.1: deforestation, gain, stable forest, stable non-forest.
const std::vector<PlannedClass> kPublished{{0.02, 0.7}, {0.015, 0.6}, {0.32, 0.9}, {0.645, 0.95}};

size_t sum(const std::vector<size_t>& points) {
  return std::accumulate(points.begin(), points.end(), size_t{0});
}

TEST(ValidationPlan, APublishedTotal) {
  // A standard error of 0.01 asks for 641 points.
  EXPECT_EQ(pointsFor(kPublished, 0.01 * kNormal975), 641u);
}

TEST(ValidationPlan, MarginsOfAPublishedSplit) {
  // The points drawn there; eq. 5 with the expected accuracies, as a plain sum.
  const std::vector<size_t> points{75, 75, 165, 325};
  double variance = 0;
  for (size_t i = 0; i < 4; ++i)
    variance += std::pow(kPublished[i].share, 2) * kPublished[i].accuracy *
                (1 - kPublished[i].accuracy) / static_cast<double>(points[i] - 1);
  const PlanMargins m = marginsOf(kPublished, points);
  EXPECT_NEAR(m.overall, 1.96 * std::sqrt(variance), 1e-5);
  // With as many right as is expected, a class's margin is half of its interval.
  const Estimate e = wilson(45, 75);
  EXPECT_NEAR(m.users[1], (e.high - e.low) / 2, 1e-12);
  EXPECT_GT(m.area[1], m.area[3]);
}

TEST(ValidationPlan, SplitsSumAndKeepTheirLeast) {
  const PlanWish wish{0.02, 0.1, 50};
  for (const size_t total : {250u, 641u, 2000u}) {
    const auto proportional = splitPoints(kPublished, total, PlanSplit::Proportional, wish);
    EXPECT_EQ(sum(proportional), total);
    for (const size_t n : proportional) EXPECT_GE(n, 50u);
    const auto equal = splitPoints(kPublished, total, PlanSplit::Equal, wish);
    EXPECT_EQ(equal, std::vector<size_t>(4, (total + 3) / 4));
    const auto balanced = splitPoints(kPublished, total, PlanSplit::Balanced, wish);
    EXPECT_GE(sum(balanced), total);
    const PlanMargins m = marginsOf(kPublished, balanced);
    for (const double margin : m.users) EXPECT_LE(margin, 0.1);
  }
  // In proportion, where the least is no matter.
  EXPECT_EQ(splitPoints(kPublished, 1000, PlanSplit::Proportional, {0.02, 0.1, 1}),
            (std::vector<size_t>{20, 15, 320, 645}));
}

TEST(ValidationPlan, TheAdvisedTotalKeepsEveryMarginAndOneLessDoesNot) {
  const PlanWish wish{0.03, 0.12, 20};
  for (const auto split : {PlanSplit::Equal, PlanSplit::Proportional, PlanSplit::Balanced}) {
    const size_t total = totalFor(kPublished, split, wish);
    const auto points = splitPoints(kPublished, total, split, wish);
    EXPECT_EQ(sum(points), total);
    EXPECT_LE(marginsOf(kPublished, points).overall, 0.03);
    const auto fewer = splitPoints(kPublished, total - 4, split, wish);
    EXPECT_TRUE(sum(fewer) == total || marginsOf(kPublished, fewer).overall > 0.03);
  }
  EXPECT_NE(sentenceOf([] {
              totalFor(kPublished, PlanSplit::Equal, {0.0001, 0.1, 20});
            }).find("wider"),
            std::string::npos);
}

TEST(ValidationPlan, MorePointsNeverWidenAMargin) {
  for (const double accuracy : {0.5, 0.9, 0.99}) {
    double before = 1;
    for (size_t n = 2; n < 400; n += 7) {
      const double now = marginsOf({{1, accuracy}}, {n}).users[0];
      EXPECT_LT(now, before);
      before = now;
    }
    const size_t needed = pointsForClass(accuracy, 0.08);
    EXPECT_LE(marginsOf({{1, accuracy}}, {needed}).users[0], 0.08);
    EXPECT_GT(marginsOf({{1, accuracy}}, {needed - 1}).users[0], 0.08);
  }
}

TEST(ValidationPlan, WhatIsNoShareIsSaid) {
  for (const double bad : {0.0, 1.0, -1.0, std::nan("")}) {
    EXPECT_NE(sentenceOf([&] { pointsFor(kPublished, bad); }).find("between 0 and 1"),
              std::string::npos);
    EXPECT_NE(sentenceOf([&] {
                pointsFor({{1, bad}}, 0.05);
              }).find("between 0 and 1"),
              std::string::npos);
  }
  const PlanMargins m = marginsOf({{0.5, 0.9}, {0.5, 0.9}}, {1, 30});
  EXPECT_TRUE(std::isnan(m.overall));
  EXPECT_TRUE(std::isnan(m.users[0]));
  EXPECT_FALSE(std::isnan(m.users[1]));
  EXPECT_TRUE(std::isnan(m.area[1]));
}

}  // namespace
}  // namespace zp
