// Lines, correlations and summaries of groups against published examples and plain computations.
#include "sampling/relation.h"

#include <gtest/gtest.h>

#include <cmath>
#include <random>

#include "base/error.h"
#include "sampling/group_rows.h"

namespace zp {
namespace {

// NIST Statistical Reference Datasets, linear regression, "Norris": calibration of ozone monitors.
const std::vector<double> kNorrisY{0.1,   338.8, 118.1, 888.0, 9.2,   228.1, 668.5, 998.5, 449.1,
                                   778.9, 559.2, 0.3,   0.1,   778.1, 668.8, 339.3, 448.9, 10.8,
                                   557.7, 228.3, 998.0, 888.8, 119.6, 0.3,   0.6,   557.6, 339.3,
                                   888.0, 998.5, 778.9, 10.2,  117.6, 228.9, 668.4, 449.2, 0.2};
const std::vector<double> kNorrisX{0.2,   337.4, 118.2, 884.6, 10.1,  226.5, 666.3, 996.3, 448.6,
                                   777.0, 558.2, 0.4,   0.6,   775.5, 666.9, 338.0, 447.5, 11.6,
                                   556.0, 228.1, 995.8, 887.6, 120.2, 0.3,   0.3,   556.8, 339.1,
                                   887.2, 999.0, 779.0, 11.1,  118.3, 229.2, 669.1, 448.9, 0.5};
constexpr double kNan = std::numeric_limits<double>::quiet_NaN();

TEST(Relation, TheLineOfNorris) {
  const Line line = fitLine(kNorrisX, kNorrisY);
  EXPECT_EQ(line.n, 36u);
  EXPECT_NEAR(line.intercept, -0.262323073774029, 1e-11);
  EXPECT_NEAR(line.slope, 1.00211681802045, 1e-13);
  EXPECT_NEAR(line.interceptError, 0.232818234301152, 1e-11);
  EXPECT_NEAR(line.slopeError, 0.429796848199937e-3, 1e-14);
  EXPECT_NEAR(line.spread, 0.884796396144373, 1e-11);
  EXPECT_NEAR(line.rSquared, 0.999993745883712, 1e-13);
  EXPECT_NEAR(line.r * line.r, line.rSquared, 1e-13);
  EXPECT_NEAR(line.rmse, line.spread * std::sqrt(34.0 / 36), 1e-12);
  EXPECT_NEAR(line.at(0), line.intercept, 1e-15);
}

TEST(Relation, TheBandHoldsTheTrueLineAsOftenAsItSays) {
  std::mt19937 random(7);
  std::normal_distribution<double> noise(0, 2);
  int held = 0, rHeld = 0;
  const int trials = 2000;
  for (int t = 0; t < trials; ++t) {
    std::vector<double> x, y;
    for (int i = 0; i < 12; ++i) {
      x.push_back(i);
      y.push_back(3 - 0.5 * i + noise(random));
    }
    const Line line = fitLine(x, y);
    held += std::abs(line.at(10) - (3 - 0.5 * 10)) <= line.halfBand(10);
    rHeld += line.rLow < line.r && line.r < line.rHigh;
  }
  EXPECT_NEAR(held / double(trials), 0.95, 0.015);
  EXPECT_EQ(rHeld, trials);
}

TEST(Relation, StudentsTIsThatOfTheTables) {
  // Two-sided 95 %: 12.706 with 1 degree of freedom, 2.228 with 10 (Fisher and Yates 1963).
  EXPECT_NEAR(fitLine({0, 1, 2}, {0, 1, 3}).t, 12.706, 5e-4);
  std::vector<double> x, y;
  for (int i = 0; i < 12; ++i) x.push_back(i), y.push_back(i * i);
  EXPECT_NEAR(fitLine(x, y).t, 2.228, 5e-4);
}

TEST(Relation, PairsWithoutBothAreLeftOut) {
  auto x = kNorrisX, y = kNorrisY;
  x.insert(x.begin() + 3, {kNan, 5, kNan});
  y.insert(y.begin() + 3, {7, kNan, kNan});
  const Line line = fitLine(x, y);
  EXPECT_EQ(line.n, 36u);
  EXPECT_NEAR(line.slope, 1.00211681802045, 1e-13);
}

TEST(Relation, WhatHasNoLineIsSaid) {
  EXPECT_THROW(fitLine({}, {}), Error);
  EXPECT_THROW(fitLine({1, 2}, {1, 2}), Error);
  EXPECT_THROW(fitLine({4, 4, 4, 4}, {1, 2, 3, 4}), Error);
  const Line flat = fitLine({1, 2, 3, 4}, {5, 5, 5, 5});
  EXPECT_EQ(flat.slope, 0);
  EXPECT_TRUE(std::isnan(flat.r));
  EXPECT_TRUE(std::isnan(flat.rSquared));
  const Line exact = fitLine({1, 2, 3, 4}, {2, 4, 6, 8});
  EXPECT_EQ(exact.r, 1);
  EXPECT_EQ(exact.rLow, 1);
  EXPECT_NEAR(exact.halfBand(9), 0, 1e-12);
}

TEST(Relation, RanksWithEquals) {
  // Σd² = 194 of 10 pairs: 1 − 6 · 194 / (10 · 99) = −29/165.
  const std::vector<double> x{106, 100, 86, 101, 99, 103, 97, 113, 112, 110},
      y{7, 27, 2, 50, 28, 29, 20, 12, 6, 17};
  EXPECT_NEAR(rankCorrelation(x, y), -29.0 / 165, 1e-14);
  // By ranks counted one against all, equals half.
  std::mt19937 random(3);
  std::vector<double> a, b;
  for (int i = 0; i < 200; ++i) {
    a.push_back(static_cast<double>(random() % 17));
    b.push_back(static_cast<double>(random() % 5) + a.back() / 4);
  }
  const auto ranks = [](const std::vector<double>& v) {
    std::vector<double> r;
    for (const double one : v) {
      double rank = 0.5;
      for (const double other : v) rank += other < one ? 1 : other == one ? 0.5 : 0;
      r.push_back(rank);
    }
    return r;
  };
  EXPECT_NEAR(rankCorrelation(a, b), fitLine(ranks(a), ranks(b)).r, 1e-12);
  // Any rising curve is 1.
  std::vector<double> curve;
  for (const double v : x) curve.push_back(std::exp(v / 10));
  EXPECT_NEAR(rankCorrelation(x, curve), 1, 1e-14);
  EXPECT_TRUE(std::isnan(rankCorrelation({1, 2}, {1, 2})));
  EXPECT_TRUE(std::isnan(rankCorrelation({1, 2, 3}, {4, 4, 4})));
}

TEST(GroupRows, QuartilesAsInTheSource) {
  // Definition 7: of 1…4 the quartiles are 1.75, 2.5 and 3.25.
  const std::vector<double> four{1, 2, 3, 4};
  EXPECT_EQ(quantileOf(four, 0.25), 1.75);
  EXPECT_EQ(quantileOf(four, 0.5), 2.5);
  EXPECT_EQ(quantileOf(four, 0.75), 3.25);
  EXPECT_EQ(quantileOf(four, 1), 4);
  EXPECT_EQ(quantileOf({7}, 0.3), 7);
  EXPECT_TRUE(std::isnan(quantileOf({}, 0.5)));
}

TEST(GroupRows, ARowForEachCombination) {
  const Table t{{"cover", "bed", "vh"},
                {{"Reedbed", "10", "1"},
                 {"Reedbed", "2", "3"},
                 {"Meadow", "2", ""},
                 {"Reedbed", "10", "5"},
                 {"Reedbed", "10", ""},
                 {"", "2", "8"}}};
  const Table one = tableOf(groupRows(sheetOf(t), {"cover"}, {"vh"}));
  EXPECT_EQ(one.columns, (std::vector<std::string>{"cover", "rows", "vh count", "vh mean", "vh sd",
                                                   "vh q1", "vh median", "vh q3"}));
  ASSERT_EQ(one.rows.size(), 3u);
  EXPECT_EQ(one.rows[0], (std::vector<std::string>{"", "1", "1", "8", "", "8", "8", "8"}));
  EXPECT_EQ(one.rows[1], (std::vector<std::string>{"Meadow", "1", "0", "", "", "", "", ""}));
  EXPECT_EQ(one.rows[2], (std::vector<std::string>{"Reedbed", "4", "3", "3", "2", "2", "3", "4"}));
  const Table two = tableOf(groupRows(sheetOf(t), {"bed", "cover"}, {}));
  ASSERT_EQ(two.rows.size(), 4u);
  EXPECT_EQ(two.rows[3], (std::vector<std::string>{"10", "Reedbed", "3"}));  // after 2
  EXPECT_THROW(groupRows(sheetOf(t), {"cover"}, {"cover"}), Error);
  EXPECT_THROW(groupRows(sheetOf(t), {}, {"vh"}), Error);
  EXPECT_THROW(groupRows(sheetOf(t), {"covr"}, {}), Error);
}

}  // namespace
}  // namespace zp
