#include "accuracy/crossing.h"

#include <gtest/gtest.h>

#include <cmath>

namespace zp {
namespace {

TEST(Crossing, IsWhereAFunctionIsZero) {
  const auto f = [](double x) { return std::cos(x) - x; };
  EXPECT_NEAR(crossing(f, 0, 1), 0.7390851332151607, 1e-11);  // of Dottie
  EXPECT_NEAR(crossing([&](double x) { return -f(x); }, 0, 1), 0.7390851332151607, 1e-11);
  // Steep at one end, flat at the other.
  EXPECT_NEAR(crossing([](double x) { return std::pow(x, 0.01) - 0.5; }, 0, 1), std::pow(0.5, 100),
              1e-11);
  int asked = 0;
  crossing([&](double x) { return ++asked, x * x * x - 0.2; }, 0, 1);
  EXPECT_LT(asked, 25);
}

TEST(Crossing, AtAnEndOrWithoutOneIsAnEnd) {
  EXPECT_EQ(crossing([](double x) { return x; }, 0, 1), 0);
  EXPECT_EQ(crossing([](double x) { return x - 1; }, 0, 1), 1);
  EXPECT_EQ(crossing([](double) { return 3.0; }, 0, 1), 1);
  EXPECT_TRUE(std::isnan(crossing([](double) { return std::nan(""); }, 0, 1)));
}

}  // namespace
}  // namespace zp
