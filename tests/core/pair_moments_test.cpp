#include "base/pair_moments.h"

#include <gtest/gtest.h>

#include <cmath>

namespace zp {
namespace {

TEST(PairMoments, AreThoseOfATextbookExample) {
  // Anscombe (1973), first set: means 9 and 7.5, least squares y = 3 + 0.5 x, r = 0.816.
  const double x[] = {10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5},
               y[] = {8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68};
  PairMoments m;
  for (int i = 0; i < 11; ++i) m.add(x[i], y[i]);
  EXPECT_EQ(m.count(), 11);
  EXPECT_NEAR(m.meanX(), 9, 1e-12);
  EXPECT_NEAR(m.meanY(), 7.500909, 1e-6);
  EXPECT_NEAR(m.varianceX(), 10, 1e-12);
  EXPECT_NEAR(m.covariance() / m.varianceX(), 0.500091, 1e-6);
  EXPECT_NEAR(m.covariance() / std::sqrt(m.varianceX() * m.varianceY()), 0.816421, 1e-6);
}

TEST(PairMoments, KeepTheirDigitsFarFromZero) {
  // Plain sums of squares would lose a spread of a thousandth beside a million.
  PairMoments near, far;
  for (int i = 0; i < 1000; ++i) {
    const double x = 1e-3 * (i % 7), y = -2e-3 * (i % 7) + 1e-4 * (i % 3);
    near.add(x, y);
    far.add(1e6 + x, 1e6 + y);
  }
  EXPECT_NEAR(far.varianceX() / near.varianceX(), 1, 1e-6);
  EXPECT_NEAR(far.varianceY() / near.varianceY(), 1, 1e-6);
  EXPECT_NEAR(far.covariance() / near.covariance(), 1, 1e-6);
}

TEST(PairMoments, OfNothingAreNothing) {
  const PairMoments m;
  EXPECT_EQ(m.count(), 0);
  EXPECT_TRUE(std::isnan(m.meanX()));
  EXPECT_TRUE(std::isnan(m.varianceY()));
  EXPECT_TRUE(std::isnan(m.covariance()));
}

}  // namespace
}  // namespace zp
