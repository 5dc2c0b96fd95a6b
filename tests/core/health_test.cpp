// What is thought of the training of a class.
#include "training/health.h"

#include <cmath>

#include "base/random.h"
#include "support/rasters.h"
#include "support/signatures.h"
#include "training/two_peaks.h"

namespace zp {
namespace {

using namespace zp::testing;

std::vector<double> bell(size_t n, double mean, double spread, uint64_t seed) {
  Random random(seed);
  std::vector<double> v;
  for (size_t i = 0; i < n; ++i) v.push_back(mean + spread * bellOf(random));
  return v;
}

std::vector<double> both(std::vector<double> a, const std::vector<double>& b) {
  a.insert(a.end(), b.begin(), b.end());
  return a;
}

TEST(TwoPeaks, AreFoundWhereThereAreTwo) {
  for (uint64_t seed = 1; seed <= 20; ++seed) {
    const auto p = twoPeaks(both(bell(700, 10, 1, seed), bell(300, 15, 1.5, seed + 100)));
    ASSERT_TRUE(p.found) << seed;
    EXPECT_NEAR(p.low, 10, 0.3);
    EXPECT_NEAR(p.high, 15, 0.5);
    EXPECT_NEAR(p.smaller, 0.3, 0.05);
    EXPECT_NEAR(p.apart, 5 / std::sqrt((1 + 2.25) / 2), 0.5);
  }
}

TEST(TwoPeaks, AreNotFoundWhereThereIsOne) {
  for (uint64_t seed = 1; seed <= 40; ++seed) {
    EXPECT_FALSE(twoPeaks(bell(1000, 3, 2, seed)).found) << seed;
    // Evenly spread, lopsided, and a few that stray: none of it is a second peak.
    Random random(seed);
    std::vector<double> even, lopsided;
    for (int i = 0; i < 800; ++i) {
      even.push_back(random.uniform());
      lopsided.push_back(std::exp(0.4 * bellOf(random)));
    }
    EXPECT_FALSE(twoPeaks(lopsided).found) << seed;
    EXPECT_FALSE(twoPeaks(both(bell(1000, 3, 1, seed), bell(30, 12, 1, seed))).found) << seed;
  }
  EXPECT_FALSE(twoPeaks(both(bell(500, 0, 1, 1), bell(500, 1.2, 1, 2))).found);
  EXPECT_FALSE(twoPeaks(std::vector<double>(500, 4)).found);
  EXPECT_FALSE(twoPeaks({1, 1, 1, 9, 9, 9}).found);
  EXPECT_FALSE(twoPeaks({}).found);
}

/// Classes by their pixels in two features.
class TrainingHealth : public ::testing::Test {
 protected:
  void add(int code, const std::vector<double>& a, const std::vector<double>& b) {
    for (size_t i = 0; i < a.size(); ++i) {
      s_.values.push_back(static_cast<float>(a[i]));
      s_.values.push_back(static_cast<float>(b[i]));
      s_.codes.push_back(code);
      s_.areas.push_back(0);
    }
    s_.classes.push_back({code, "c" + std::to_string(code), a.size()});
  }
  void SetUp() override {
    s_.features = {"red", "nir"};
    s_.subclasses = {""};
    add(1, bell(400, 0.1, 0.01, 1), bell(400, 0.4, 0.02, 2));
    add(2, bell(400, 0.2, 0.01, 3), both(bell(200, 0.2, 0.02, 4), bell(200, 0.45, 0.02, 5)));
    add(3, bell(12, 0.3, 0.01, 6), bell(12, 0.3, 0.02, 7));
    add(4, bell(400, 0.25, 0.06, 8), bell(400, 0.3, 0.12, 9));
    add(5, bell(400, 0.11, 0.01, 10), bell(400, 0.42, 0.02, 11));
    // One peak in each feature, and two across them.
    const auto along = bell(400, 0.3, 0.05, 12);
    std::vector<double> up, across;
    Random random(13);
    for (size_t i = 0; i < along.size(); ++i) {
      const double side = (i % 2 == 0 ? 0.035 : -0.035) + 0.002 * bellOf(random);
      up.push_back(along[i] + side);
      across.push_back(along[i] - side);
    }
    add(6, up, across);
  }
  Samples s_;
};

TEST_F(TrainingHealth, HasAWordAndAReason) {
  const auto health = healthOf(s_, signaturesOf(s_));
  ASSERT_EQ(health.size(), 6u);
  const Health wanted[] = {Health::Good, Health::Mixed, Health::Thin,
                           Health::Wide, Health::Good,  Health::Mixed};
  for (size_t i = 0; i < 6; ++i) {
    EXPECT_EQ(health[i].word, wanted[i]) << i << " " << health[i].reason.text();
    EXPECT_EQ(health[i].reason.empty(), wanted[i] == Health::Good);
  }
  EXPECT_EQ(health[1].peaks, std::vector<std::string>{"nir"});
  EXPECT_NE(health[1].reason.text().find("nir"), std::string::npos);
  EXPECT_NE(health[2].reason.text().find("12 pixels for 2 features"), std::string::npos);
  EXPECT_TRUE(health[5].peaks.empty());
}

TEST_F(TrainingHealth, SubclassesAreNoMixture) {
  s_.subclasses = {"", "dry", "wet"};
  size_t n = 0;
  for (size_t i = 0; i < s_.size(); ++i)
    if (s_.codes[i] == 2) s_.areas[i] = n++ < 200 ? 1 : 2;
  EXPECT_NE(healthOf(s_, signaturesOf(s_))[1].word, Health::Mixed);
}

TEST_F(TrainingHealth, TheMostAlikeComeFirst) {
  const auto pairs = confusablePairs(signaturesOf(s_));
  ASSERT_EQ(pairs.size(), 15u);
  EXPECT_EQ(pairs[0].a, 1);
  EXPECT_EQ(pairs[0].b, 5);
  for (size_t i = 1; i < pairs.size(); ++i)
    EXPECT_GE(pairs[i].jeffriesMatusita, pairs[i - 1].jeffriesMatusita);
  for (const auto& p : pairs)
    if (p.a == 1 && p.b == 2) {
      EXPECT_EQ(p.feature, "red");
    }
}

TEST_F(TrainingHealth, TheShapeOfAClassIsItsHistogram) {
  const auto set = signaturesOf(s_);
  const auto one = shapeOf(s_, set.classes[0], 1, 24), two = shapeOf(s_, set.classes[1], 1, 24);
  EXPECT_EQ(*std::max_element(one.begin(), one.end()), 1);
  EXPECT_GT(one[12], 0.4);
  EXPECT_LT(two[12], 0.1);  // between its peaks there is nothing
  Samples flat = s_;
  for (size_t i = 0; i < flat.size(); ++i) flat.values[2 * i] = 7;
  EXPECT_TRUE(shapeOf(flat, signaturesOf(flat).classes[0], 0, 24).empty());
  EXPECT_EQ(healthOf(flat, signaturesOf(flat)).size(), 6u);
}

}  // namespace
}  // namespace zp
