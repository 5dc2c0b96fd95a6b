#include "accuracy/comparison.h"

#include <cmath>

#include "accuracy/confusion_matrix.h"
#include "base/random.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

TEST(McNemarTest, APublishedExample) {
  // Agresti (2002), Categorical data analysis, section 10.1: 150 and 86 changed their mind; 17.36.
  const McNemar t = mcNemar(150, 86);
  EXPECT_NEAR(t.statistic, 17.36, 0.005);
  EXPECT_FALSE(t.exact);
  EXPECT_NEAR(t.p, std::erfc(std::sqrt(t.statistic / 2)), 1e-12);
}

TEST(McNemarTest, ExactForFew) {
  // By hand: of 6 pairs, 1 or fewer one way: 2 (1 + 6) / 64.
  EXPECT_NEAR(mcNemar(1, 5).p, 14.0 / 64, 1e-12);
  EXPECT_NEAR(mcNemar(5, 1).p, 14.0 / 64, 1e-12);
  EXPECT_TRUE(mcNemar(12, 12).exact);
  EXPECT_EQ(mcNemar(12, 12).p, 1);
  EXPECT_FALSE(mcNemar(12, 13).exact);
  EXPECT_EQ(mcNemar(0, 0).p, 1);
  EXPECT_TRUE(std::isnan(mcNemar(0, 0).statistic));
}

TEST(DifferenceTest, APublishedExample) {
  // Newcombe (1998), Interval estimation for the difference between independent proportions,
  // Statistics in Medicine 17, table II, method 10: 56/70 less 48/80 → 0.0524 … 0.3339.
  const auto t = differenceTest(wilson(48, 80), wilson(56, 70));
  EXPECT_NEAR(t.difference.value, 0.2, 1e-12);
  EXPECT_NEAR(t.difference.low, 0.0524, 5e-5);
  EXPECT_NEAR(t.difference.high, 0.3339, 5e-5);
  EXPECT_NEAR(t.z, 0.2 / std::sqrt(0.8 * 0.2 / 70 + 0.6 * 0.4 / 80), 1e-12);
  EXPECT_LT(t.p, 0.01);
  EXPECT_EQ(differenceTest(wilson(9, 9), wilson(7, 7)).p, 1);
  // That all of few points are right is no certainty: by the other's error alone z would be 2.2.
  const auto few = differenceTest(wilson(14, 20), wilson(4, 4));
  EXPECT_GT(few.p, 0.05);
  EXPECT_LT(differenceTest(wilson(10, 20), wilson(80, 80)).p, 0.001);
  Estimate single = wilson(4, 5);
  single.error = std::nan("");
  EXPECT_TRUE(std::isnan(differenceTest(single, wilson(7, 9)).p));
}

TEST(Compare, CountsByHand) {
  const std::vector<ComparedPoint> points{{0, 1, 1, 1}, {0, 1, 2, 1}, {0, 1, 2, 2}, {0, 1, 2, 2},
                                          {0, 2, 1, 3}, {0, 0, 1, 1}, {0, 1, 1, 0}};
  const Comparison c = compare(points);
  EXPECT_EQ(c.both, 1u);
  EXPECT_EQ(c.neither, 1u);
  EXPECT_EQ(c.all.onlyFirst, 1u);
  EXPECT_EQ(c.all.onlySecond, 2u);
  EXPECT_NEAR(c.difference.value, 1.0 / 5, 1e-12);
  EXPECT_EQ(c.byClass.at(2).onlySecond, 2u);
  EXPECT_EQ(c.byClass.at(1).onlyFirst, 1u);
  EXPECT_EQ(c.byClass.count(3), 1u);
  EXPECT_FALSE(c.weighted);
  EXPECT_NE(sentenceOf([] {
              compare({{0, 1, 1, 0}});
            }).find("label some points"),
            std::string::npos);
}

TEST(Compare, WeightedByStrata) {
  // The second is better in a small stratum alone.
  const std::vector<ComparedPoint> points{{1, 2, 1, 1}, {1, 2, 1, 1}, {2, 2, 2, 2}, {2, 2, 2, 2}};
  EXPECT_NEAR(compare(points).difference.value, 0.5, 1e-12);
  const auto c = compare(points, {{1, 1}, {2, 9}});
  EXPECT_NEAR(c.difference.value, 0.1, 1e-12);
  EXPECT_TRUE(c.weighted);
  EXPECT_NE(sentenceOf([&] {
              compare(points, {{1, 1}, {2, 9}, {3, 1}});
            }).find("Class 3"),
            std::string::npos);
}

// Two strata of unequal size; the second map is better by 0.06 in one and worse by 0.02 in the
// other.
TEST(Compare, TheIntervalKeepsItsWord) {
  const std::map<int, double> sizes{{1, 0.8}, {2, 0.2}};
  const double only[2][2] = {{0.04, 0.10}, {0.06, 0.04}};  // first, second
  const double truth = 0.8 * 0.06 - 0.2 * 0.02;
  for (const size_t each : {5u, 20u, 100u}) {
    Random random(each);
    int held = 0;
    constexpr int kRounds = 1500;
    for (int round = 0; round < kRounds; ++round) {
      std::vector<ComparedPoint> points;
      for (int s = 0; s < 2; ++s)
        for (size_t n = 0; n < each; ++n) {
          const double u = random.uniform();
          points.push_back({s + 1, u < only[s][0] ? 1 : 2, u > 1 - only[s][1] ? 1 : 2, 1});
        }
      const auto d = compare(points, sizes).difference;
      held += d.low <= truth && truth <= d.high ? 1 : 0;
    }
    EXPECT_GT(held, (0.93 - 0.013) * kRounds) << each;
  }
}

}  // namespace
}  // namespace zp
