// Signatures of ten million pixels against a direct computation in two passes.
#include <gtest/gtest.h>

#include <cmath>

#include "base/random.h"
#include "training/signature.h"

namespace zp {
namespace {

/// Values far from zero with a small spread, where sums of squares would lose their digits.
Samples many(size_t pixels) {
  Samples s;
  s.features = {"red", "nir"};
  s.subclasses = {""};
  s.classes = {{3, "Meadow", pixels}};
  s.codes.assign(pixels, 3);
  s.areas.assign(pixels, 0);
  s.values.reserve(2 * pixels);
  Random random(11);
  for (size_t i = 0; i < pixels; ++i) {
    const double u = random.uniform(), v = random.uniform();
    s.values.push_back(static_cast<float>(8000 + 20 * u));
    s.values.push_back(static_cast<float>(0.4 + 0.01 * v + 0.002 * u));
  }
  return s;
}

TEST(SignaturePrecision, TenMillionPixelsToNineDigits) {
  const Samples s = many(10'000'000);
  const Signature c = signaturesOf(s).classes.at(0);
  const auto n = static_cast<double>(s.size());
  double mean[2] = {0, 0}, products[2][2] = {};
  for (size_t i = 0; i < s.size(); ++i)
    for (size_t f = 0; f < 2; ++f) mean[f] += static_cast<double>(s.sample(i)[f]);
  for (double& m : mean) m /= n;
  for (size_t i = 0; i < s.size(); ++i)
    for (size_t f = 0; f < 2; ++f)
      for (size_t g = 0; g < 2; ++g)
        products[f][g] += (static_cast<double>(s.sample(i)[f]) - mean[f]) *
                          (static_cast<double>(s.sample(i)[g]) - mean[g]);
  for (Eigen::Index f = 0; f < 2; ++f) {
    EXPECT_NEAR(c.mean[f] / mean[f], 1, 1e-9);
    for (Eigen::Index g = 0; g < 2; ++g)
      EXPECT_NEAR(c.covariance(f, g) / (products[f][g] / (n - 1)), 1, 1e-9) << f << g;
  }
  EXPECT_EQ(c.pixels, s.size());
}

}  // namespace
}  // namespace zp
