#include "mapping/methods/mahalanobis.h"

#include <Eigen/Dense>
#include <cmath>

#include "support/rasters.h"
#include "support/signatures.h"

namespace zp {
namespace {

using namespace zp::testing;

/// Classes of different sizes, so that they weigh differently in a pooled covariance.
SignatureSet sized(size_t features, size_t classes, uint64_t seed) {
  SignatureSet set = randomSignatures(features, classes, seed);
  for (size_t c = 0; c < classes; ++c) set.classes[c].pixels = 50 + 100 * c;
  return set;
}

/// Straight from the definition, in double precision.
int nearestByHand(const SignatureSet& set, const Eigen::VectorXd& x, bool pooled) {
  Eigen::MatrixXd all = Eigen::MatrixXd::Zero(x.size(), x.size());
  double n = 0;
  for (const auto& c : set.classes) {
    all += c.covariance * (static_cast<double>(c.pixels) - 1);
    n += static_cast<double>(c.pixels) - 1;
  }
  all /= n;
  double best = 1e300;
  int code = 0;
  for (const auto& c : set.classes) {
    const Eigen::VectorXd d = x - c.mean;
    const double squared = d.dot((pooled ? all : c.covariance).inverse() * d);
    if (squared < best) best = squared, code = c.code;
  }
  return code;
}

TEST(Mahalanobis, AgreesWithADirectDoubleEvaluation) {
  for (const bool pooled : {false, true})
    for (const size_t features : {1u, 3u, 6u, 9u}) {
      const SignatureSet set = sized(features, 6, 70 + features);
      const Mahalanobis method(set, {{"covariance", pooled ? "pooled" : "own"}});
      Random random(features);
      constexpr size_t n = 10007;
      std::vector<std::vector<float>> x(features, std::vector<float>(n));
      std::vector<const float*> values;
      for (auto& f : x) {
        for (auto& v : f) v = static_cast<float>(0.2 + 0.1 * bellOf(random));
        values.push_back(f.data());
      }
      std::vector<uint16_t> codes(n);
      method.classify(values, n, codes.data());
      size_t differ = 0;
      for (size_t i = 0; i < n; ++i) {
        Eigen::VectorXd v(static_cast<Eigen::Index>(features));
        for (size_t f = 0; f < features; ++f) v[static_cast<Eigen::Index>(f)] = x[f][i];
        differ += codes[i] != nearestByHand(set, v, pooled) ? 1 : 0;
      }
      EXPECT_LE(differ, 1u) << features << (pooled ? " pooled" : " own");
    }
}

TEST(Mahalanobis, RejectIsThatDistance) {
  SignatureSet set = sized(1, 2, 1);
  set.classes[0].mean << 0, set.classes[1].mean << 100;
  set.classes[0].covariance << 4, set.classes[1].covariance << 4;
  const std::vector<float> x{0, 5.9f, 6.1f, 93.9f, 94.1f, NAN};
  std::vector<uint16_t> codes(x.size());
  Mahalanobis(set, {{"reject", 3}}).classify({x.data()}, x.size(), codes.data());
  EXPECT_EQ(codes, (std::vector<uint16_t>{1, 1, 0, 0, 4, 0}));
}

TEST(Mahalanobis, OneCovarianceForAllNeedsFewPixelsAClass) {
  SignatureSet set = sized(5, 3, 4);
  set.classes[1].pixels = 2;
  EXPECT_NE(sentenceOf([&] { Mahalanobis{set}; }).find("“c1” has 2 training pixels"),
            std::string::npos);
  EXPECT_NO_THROW(Mahalanobis(set, {{"covariance", "pooled"}}));
}

}  // namespace
}  // namespace zp
