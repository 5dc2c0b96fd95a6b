// Maximum likelihood against a direct evaluation, its two kernels, confidence and priors.
#include "mapping/methods/maximum_likelihood.h"

#include <Eigen/Dense>
#include <cmath>

#include "base/nan.h"
#include "base/random.h"
#include "mapping/distance_kernel.h"
#include "support/rasters.h"
#include "support/signatures.h"

namespace zp {
namespace {

using namespace zp::testing;

/// Written straight from the textbook, in double precision.
class LikelihoodByHand {
 public:
  LikelihoodByHand(const SignatureSet& set, const std::vector<double>& priors) : set_(set) {
    for (size_t c = 0; c < priors.size(); ++c) {
      const auto& covariance = set.classes[c].covariance;
      inverses_.push_back(covariance.inverse());
      offsets_.push_back(std::log(priors[c]) - 0.5 * std::log(covariance.determinant()));
    }
  }
  int operator()(const std::vector<double>& x) const {
    double best = -1e300;
    int code = 0;
    for (size_t c = 0; c < offsets_.size(); ++c) {
      const double* mean = set_.classes[c].mean.data();
      const double* inverse = inverses_[c].data();
      double distance = 0;
      for (size_t i = 0; i < x.size(); ++i)
        for (size_t j = 0; j < x.size(); ++j)
          distance += (x[i] - mean[i]) * inverse[i * x.size() + j] * (x[j] - mean[j]);
      const double g = offsets_[c] - 0.5 * distance;
      if (g > best) best = g, code = set_.classes[c].code;
    }
    return code;
  }

 private:
  const SignatureSet& set_;
  std::vector<Eigen::MatrixXd> inverses_;
  std::vector<double> offsets_;
};

TEST(MaximumLikelihood, AgreesWithADirectDoubleEvaluation) {
  for (size_t bands : {1u, 2u, 3u, 5u, 8u, 13u, 16u, 17u, 24u}) {
    const SignatureSet set = randomSignatures(bands, 7, 40 + bands);
    Json settings = Json::object();
    std::vector<double> priors(7, 1.0 / 7);
    if (bands == 5) {
      const double shares[] = {0.3, 0.1, 0.05, 0.2, 0.15, 0.1, 0.1};
      for (size_t c = 0; c < 7; ++c)
        priors[c] = shares[c],
        settings["priors"][std::to_string(set.classes[c].code)] = shares[c] * 10;
    }
    const MaximumLikelihood method(set, settings);
    Random random(bands);
    constexpr size_t n = 20003;  // not a whole number of vectors
    std::vector<std::vector<float>> x(bands, std::vector<float>(n));
    for (auto& band : x)
      for (auto& v : band) v = static_cast<float>(0.2 + 0.06 * bellOf(random));
    std::vector<const float*> pointers;
    for (auto& band : x) pointers.push_back(band.data());
    std::vector<uint16_t> codes(n);
    method.classify(pointers, n, codes.data());
    const LikelihoodByHand byHand(set, priors);
    size_t differ = 0;
    for (size_t i = 0; i < n; ++i) {
      std::vector<double> v(bands);
      for (size_t b = 0; b < bands; ++b) v[b] = x[b][i];
      differ += codes[i] != byHand(v) ? 1 : 0;
    }
    EXPECT_LE(differ, 2u) << bands << " bands";  // 99.99 %
  }
}

TEST(MaximumLikelihood, BaselineAndV3Agree) {
  if (!__builtin_cpu_supports("avx2")) GTEST_SKIP() << "this machine has no AVX2";
  const SignatureSet set = randomSignatures(8, 8, 99);
  std::vector<float> means, whitening, offsets;
  for (const auto& s : set.classes) {
    const Eigen::MatrixXd inverse = Eigen::MatrixXd(s.covariance.llt().matrixL()).inverse();
    for (int b = 0; b < 8; ++b) means.push_back(static_cast<float>(s.mean[b]));
    for (int r = 0; r < 8; ++r)
      for (int c = 0; c <= r; ++c) whitening.push_back(static_cast<float>(inverse(r, c)));
    offsets.push_back(0);
  }
  const DistanceModel m{8, 8, means.data(), whitening.data(), offsets.data()};
  Random random(4);
  constexpr size_t n = 50000;
  std::vector<std::vector<float>> x(8, std::vector<float>(n));
  const float* bands[8];
  for (size_t b = 0; b < 8; ++b) {
    for (auto& v : x[b]) v = static_cast<float>(0.2 + 0.06 * bellOf(random));
    bands[b] = x[b].data();
  }
  std::vector<int16_t> a(n), b(n);
  std::vector<float> da(n), db(n);
  baseline::likelihood(m, bands, n, a.data(), da.data());
  v3::likelihood(m, bands, n, b.data(), db.data());
  size_t differ = 0;
  for (size_t i = 0; i < n; ++i) differ += a[i] != b[i] ? 1 : 0;
  EXPECT_LE(differ, n / 10000);
}

TEST(MaximumLikelihood, ATieGoesToTheFirstClassWhateverLiesBefore) {
  for (size_t bands : {1u, 4u, 8u, 17u}) {
    SignatureSet set;
    for (size_t b = 0; b < bands; ++b) set.bands.push_back("band");
    const auto n = static_cast<Eigen::Index>(bands);
    for (int c = 0; c < 3; ++c) {
      Signature s;
      s.code = c + 1;
      s.pixels = 1000;
      s.mean = Eigen::VectorXd::Constant(n, c - 1);
      s.covariance = Eigen::MatrixXd::Identity(n, n);
      set.classes.push_back(s);
    }
    // Sixteen pixels of each: of the last class, just between the first two, of none.
    std::vector<float> x;
    for (float v : {1.0f, -0.5f, kNan, 1.0f, -0.5f}) x.insert(x.end(), 16, v);
    const std::vector<const float*> pointers(bands, x.data());
    std::vector<uint16_t> codes(x.size()), expected;
    for (uint16_t code : {3, 1, 0, 3, 1}) expected.insert(expected.end(), 16, code);
    MaximumLikelihood(set).classify(pointers, x.size(), codes.data());
    EXPECT_EQ(codes, expected) << bands << " bands";
  }
}

TEST(MaximumLikelihood, ConfidenceIsBayesRuleOverAllClasses) {
  const size_t bands = 4, classes = 5;
  const SignatureSet set = randomSignatures(bands, classes, 21);
  Json settings = Json::object();
  std::vector<double> priors;
  for (size_t c = 0; c < classes; ++c) {
    priors.push_back(static_cast<double>(c + 1) / 15);
    settings["priors"][std::to_string(set.classes[c].code)] = priors[c];
  }
  Random random(8);
  constexpr size_t n = 4099;
  std::vector<std::vector<float>> x(bands, std::vector<float>(n));
  for (auto& band : x)
    for (auto& v : band) v = static_cast<float>(0.2 + 0.06 * bellOf(random));
  x[1][7] = std::nanf("");
  std::vector<const float*> pointers;
  for (auto& band : x) pointers.push_back(band.data());
  const MaximumLikelihood method(set, settings);
  std::vector<uint16_t> codes(n), alone(n);
  std::vector<float> confidence(n);
  classifySurely(method, pointers, n, codes.data(), confidence.data());
  method.classify(pointers, n, alone.data());
  EXPECT_EQ(codes, alone);  // asked with or without confidence, the map is the same
  for (size_t i = 0; i < n; ++i) {
    if (i == 7) {
      EXPECT_TRUE(std::isnan(confidence[i]));
      continue;
    }
    double sum = 0, own = 0;
    for (size_t c = 0; c < classes; ++c) {
      const Signature& s = set.classes[c];
      Eigen::VectorXd d(static_cast<Eigen::Index>(bands));
      for (size_t b = 0; b < bands; ++b) d[static_cast<Eigen::Index>(b)] = x[b][i];
      d -= s.mean;
      const double density = priors[c] / std::sqrt(s.covariance.determinant()) *
                             std::exp(-0.5 * d.dot(s.covariance.inverse() * d));
      sum += density;
      if (s.code == codes[i]) own = density;
    }
    if (sum > 1e-200) {
      EXPECT_NEAR(confidence[i], own / sum, 2e-3) << i;
    }
    EXPECT_GE(confidence[i], 1.0f / classes - 1e-5f);
    EXPECT_LE(confidence[i], 1.0f);
  }
}

TEST(MaximumLikelihood, RejectsAndLeavesEmptyPixelsEmpty) {
  SignatureSet set = randomSignatures(2, 2, 1);
  set.classes[0].mean << 0, 0;
  set.classes[1].mean << 10, 10;
  for (auto& c : set.classes) c.covariance = Eigen::MatrixXd::Identity(2, 2);
  const Json settings = {{"reject", 3}};
  const std::vector<float> a{0, 10, 2.9f, 3.1f, NAN, 5}, b{0, 10, 0, 0, 0, 5};
  std::vector<uint16_t> codes(6);
  MaximumLikelihood(set, settings).classify({a.data(), b.data()}, 6, codes.data());
  EXPECT_EQ(codes, (std::vector<uint16_t>{1, 4, 1, 0, 0, 0}));
  MaximumLikelihood(set).classify({a.data(), b.data()}, 6, codes.data());
  EXPECT_EQ(codes[3], 1);
  EXPECT_EQ(codes[4], 0);
  EXPECT_EQ(codes[5], 1);  // a tie goes to the first class
}

TEST(MaximumLikelihood, PriorsMoveTheBorderAndOnlyPixelsAtIt) {
  // Two classes of one band with the same spread: the border lies where the densities, weighted by
  // the priors, are equal: the middle plus variance / distance × ln(prior of the lower / upper).
  SignatureSet set;
  set.bands = {"nir"};
  for (const auto& [code, mean] : {std::pair{1, 2.0}, {2, 4.0}}) {
    Signature s;
    s.code = code;
    s.pixels = 100;
    s.mean = s.min = s.max = Eigen::VectorXd::Constant(1, mean);
    s.covariance = Eigen::MatrixXd::Constant(1, 1, 0.5);
    set.classes.push_back(s);
  }
  std::vector<float> ramp;
  for (int i = 0; i <= 600; ++i) ramp.push_back(0.01f * static_cast<float>(i));
  const auto classify = [&](const Json& settings) {
    std::vector<uint16_t> codes(ramp.size());
    MaximumLikelihood(set, settings).classify({ramp.data()}, ramp.size(), codes.data());
    return codes;
  };
  const Json nine = {{"priors", {{"1", 0.9}, {"2", 0.1}}}};
  const auto equal = classify(Json::object()), weighted = classify(nine);
  const double border = 3 + 0.5 / 2 * std::log(9.0);
  size_t moved = 0;
  for (size_t i = 0; i < ramp.size(); ++i) {
    const auto v = static_cast<double>(ramp[i]);
    EXPECT_TRUE(std::abs(v - 3) < 0.006 || equal[i] == (v < 3 ? 1 : 2)) << v;
    EXPECT_TRUE(std::abs(v - border) < 0.006 || weighted[i] == (v < border ? 1 : 2)) << v;
    if (equal[i] == weighted[i]) continue;
    ++moved;
    EXPECT_EQ(weighted[i], 1) << v;  // only towards the class that is likelier from the start
    EXPECT_GT(v, 2.99);
    EXPECT_LT(v, border + 0.01);
  }
  EXPECT_NEAR(static_cast<double>(moved), (border - 3) / 0.01, 2);
}

}  // namespace
}  // namespace zp
