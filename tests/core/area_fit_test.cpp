// Areas against their class, and the outline of a class in two features, against direct
// computations.
#include "training/area_fit.h"

#include <gtest/gtest.h>

#include <cmath>

#include "base/random.h"
#include "support/signatures.h"
#include "training/ellipse.h"
#include "training/health.h"

namespace zp {
namespace {

/// Two classes of three areas each, in two features; area 2 of the first lies apart.
Samples threeAreas() {
  Samples s;
  s.features = {"red", "nir"};
  Random random(8);
  for (int i = 0; i < 600; ++i) {
    const size_t area = static_cast<size_t>(i % 6);
    const bool second = area >= 3;
    const double base = 1000 + (second ? 5.0 : 0.0) + (area == 2 ? 0.5 : 0.0);
    s.values.push_back(static_cast<float>(base + 0.2 * random.uniform()));
    s.values.push_back(static_cast<float>(0.3 + 0.1 * random.uniform()));
    s.codes.push_back(second ? 7 : 4);
    s.areas.push_back(area);
  }
  s.subclasses.assign(6, "");
  s.classes = {{4, "Reed", 300}, {7, "Field", 300}};
  return s;
}

double columnMean(const Samples& s, size_t feature, auto wanted) {
  double sum = 0, n = 0;
  for (size_t i = 0; i < s.size(); ++i)
    if (wanted(i)) sum += static_cast<double>(s.sample(i)[feature]), n += 1;
  return sum / n;
}

TEST(FitOfAreas, IsTheDistanceFromTheOthersInTheirSpreads) {
  const Samples s = threeAreas();
  const auto all = fitOfAreas(s);
  ASSERT_EQ(all.size(), 6u);
  for (const auto& fit : all) {
    double sum = 0;
    for (size_t f = 0; f < 2; ++f) {
      const auto own = [&](size_t i) { return s.areas[i] == fit.area; };
      const auto others = [&](size_t i) { return s.codes[i] == fit.code && !own(i); };
      const double mine = columnMean(s, f, own), mean = columnMean(s, f, others);
      double squares = 0, n = 0;
      for (size_t i = 0; i < s.size(); ++i)
        if (others(i)) squares += std::pow(static_cast<double>(s.sample(i)[f]) - mean, 2), n += 1;
      sum += std::pow(mine - mean, 2) / (squares / (n - 1));
      EXPECT_NEAR(fit.mean[static_cast<Eigen::Index>(f)], mine, 1e-6);
    }
    EXPECT_NEAR(fit.apart, std::sqrt(sum / 2), 1e-6 * fit.apart);
    EXPECT_EQ(fit.pixels, 100u);
  }
  EXPECT_EQ(all[0].code, 4);
  EXPECT_EQ(all[0].area, 2u);  // the odd one first
  EXPECT_GT(all[0].apart, 2 * all[1].apart);
}

TEST(FitOfAreas, TheOnlyAreaOfAClassHasNone) {
  Samples s = threeAreas();
  for (auto& area : s.areas) area = area < 3 ? 0 : area;
  const auto all = fitOfAreas(s);
  ASSERT_EQ(all.size(), 4u);
  EXPECT_TRUE(std::isnan(all[0].apart));
  // Features that do not vary say nothing, rather than everything.
  for (size_t i = 0; i < s.values.size(); ++i) s.values[i] = 2;
  for (const auto& fit : fitOfAreas(s)) EXPECT_TRUE(std::isnan(fit.apart));
}

TEST(Ellipse, EveryPlaceIsAsFarInMahalanobisDistance) {
  const SignatureSet set = signaturesOf(threeAreas());
  const Signature& c = set.classes[0];
  const Eigen::Matrix2d inverse = c.covariance.topLeftCorner<2, 2>().inverse();
  const Ring ring = ellipseOf(c, 0, 1, 2.5);
  ASSERT_EQ(ring.size(), 73u);
  for (const Place& p : ring) {
    const Eigen::Vector2d d(p.x - c.mean[0], p.y - c.mean[1]);
    EXPECT_NEAR(std::sqrt(d.dot(inverse * d)), 2.5, 1e-6);
  }
}

TEST(Ellipse, AClassWithoutSpreadHasNone) {
  Samples s = threeAreas();
  std::fill(s.values.begin(), s.values.end(), 2.0f);
  EXPECT_TRUE(ellipseOf(signaturesOf(s).classes[0], 0, 1).empty());
}

TEST(ShapeOf, OfAnAreaCountsItsSamplesAlone) {
  const Samples s = threeAreas();
  const Signature c = signaturesOf(s).classes[0];
  const auto all = shapeOf(s, c, 0, 24), odd = shapeOf(s, c, 0, 24, 2);
  // The odd area lies above the middle, the others below it.
  double above = 0, below = 0;
  for (size_t b = 0; b < 24; ++b) (b < 12 ? below : above) += odd[b];
  EXPECT_EQ(below, 0);
  EXPECT_GT(above, 1);
  EXPECT_NE(all, odd);
}

}  // namespace
}  // namespace zp
