// Curves through a season.
#include "sampling/season_curve.h"

#include <gtest/gtest.h>

#include <cmath>

#include "base/day.h"

namespace zp {
namespace {

double day(const char* date) {
  return static_cast<double>(*dayOf(date));
}
const double kNone = std::numeric_limits<double>::quiet_NaN();

TEST(SeasonCurves, MeanAndSpreadOfEachGroupAndDate) {
  const SeasonRows rows{{day("2031-05-01"), day("2031-05-01"), day("2031-05-13"), day("2031-05-13"),
                         day("2031-05-01"), kNone, day("2031-05-25")},
                        {1, 3, 5, kNone, 7, 9, kNone},
                        {"a", "a", "a", "a", "b", "a", "b"}};
  const auto curves = seasonCurves(rows, Along::Date);
  ASSERT_EQ(curves.size(), 2u);
  EXPECT_EQ(curves[0].group, "a");
  ASSERT_EQ(curves[0].points.size(), 3u);
  EXPECT_EQ(curves[0].points[0].n, 2u);
  EXPECT_EQ(curves[0].points[0].mean, 2);
  EXPECT_NEAR(curves[0].points[0].low, 2 - std::sqrt(2), 1e-15);
  EXPECT_NEAR(curves[0].points[0].high, 2 + std::sqrt(2), 1e-15);
  EXPECT_EQ(curves[0].points[1].mean, 5);
  EXPECT_EQ(curves[0].points[1].low, 5);
  // A date that others have is a gap.
  EXPECT_EQ(curves[0].points[2].n, 0u);
  EXPECT_TRUE(std::isnan(curves[0].points[2].mean));
  EXPECT_EQ(curves[1].points[1].n, 0u);
}

TEST(SeasonCurves, DecibelsAreAveragedAsPower) {
  SeasonRows rows{{0, 0}, {-10, -20}, {"a", "a"}};
  EXPECT_EQ(seasonCurves(rows, Along::Date)[0].points[0].mean, -15);
  rows.decibels = true;
  const auto p = seasonCurves(rows, Along::Date)[0].points[0];
  EXPECT_NEAR(p.mean, 10 * std::log10((0.1 + 0.01) / 2), 1e-12);
  const double spread = std::sqrt(2) * 0.045;
  EXPECT_NEAR(p.high, 10 * std::log10(0.055 + spread), 1e-12);
  EXPECT_TRUE(std::isnan(p.low));  // below no power
}

TEST(SeasonCurves, YearsOverEachOther) {
  const SeasonRows rows{
      {day("2028-03-01"), day("2031-03-01"), day("2031-12-31"), day("2028-01-01")},
      {1, 2, 3, 4},
      {"a", "a", "a", "a"}};
  const auto curves = seasonCurves(rows, Along::DayOfYear);
  ASSERT_EQ(curves.size(), 2u);
  EXPECT_EQ(curves[0].year, 2028);
  EXPECT_EQ(curves[0].points[0].at, 1);
  EXPECT_EQ(curves[0].points[1].at, 61);  // a leap year
  EXPECT_EQ(curves[1].points[0].at, 60);
  EXPECT_EQ(curves[1].points[1].at, 365);
}

TEST(SeasonCurves, DaysSinceADateInStepsOfTheSeason) {
  const double d0 = day("2031-05-01");
  const SeasonRows rows{{d0, d0 + 12, d0 + 24, d0, d0 + 12, d0 + 36},
                        {1, 2, 3, 4, 5, 6},
                        {"a", "a", "a", "a", "a", "a"},
                        {d0 - 2, d0 - 2, d0 - 2, d0 + 13, d0 + 13, kNone}};
  EXPECT_EQ(usualStep(rows.dates), 12);
  const auto curves = seasonCurves(rows, Along::DaysSince);
  ASSERT_EQ(curves.size(), 1u);
  const auto& p = curves[0].points;  // -13 → -12, -1 → 0, 2 → 0, 14 → 12, 26 → 24
  ASSERT_EQ(p.size(), 4u);
  EXPECT_EQ(p[0].at, -12);
  EXPECT_EQ(p[0].mean, 4);
  EXPECT_EQ(p[1].at, 0);
  EXPECT_EQ(p[1].mean, 3);  // of 1 and 5
  EXPECT_EQ(p[3].at, 24);
  EXPECT_EQ(usualStep({kNone, 5}), 1);
  EXPECT_TRUE(seasonCurves({}, Along::Date).empty());
}

}  // namespace
}  // namespace zp
