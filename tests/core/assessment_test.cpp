#include "accuracy/assessment.h"

#include <cmath>

#include "accuracy/class_groups.h"
#include "accuracy/matrix_table.h"
#include "accuracy/strata.h"
#include "base/random.h"
#include "support/matrices.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

double half(const Estimate& e) {
  return kNormal975 * e.error;
}

TEST(ShareIntervals, ExactLimitsKnownAnswers) {
  // Newcombe (1998), Two-sided confidence intervals for the single proportion, Statistics in
  // Medicine 17, table I, method 5 (Clopper and Pearson).
  const struct {
    double r, n, low, high;
  } cases[] = {
      {81, 263, .2527, .3676}, {15, 148, .0578, .1617}, {0, 20, 0, .1684}, {1, 29, .0009, .1776}};
  for (const auto& c : cases) {
    const Limits l = exactLimits(c.r, c.n);
    EXPECT_NEAR(l.low, c.low, 5e-5);
    EXPECT_NEAR(l.high, c.high, 5e-5);
    const Limits other = exactLimits(c.n - c.r, c.n);
    EXPECT_NEAR(other.low, 1 - l.high, 1e-12);
    EXPECT_NEAR(other.high, 1 - l.low, 1e-12);
  }
  EXPECT_EQ(exactLimits(0, 0).high, 1);
}

TEST(Assessment, APublishedStratifiedExample) {
  // Olofsson et al. (2014), Good practices for estimating area and assessing accuracy of land
  // change, Remote Sensing of Environment 148, section 5: deforestation, forest gain, stable
  // forest, stable non-forest; mapped 200 000, 150 000, 3 200 000, 6 450 000 pixels of 30 m.
  const auto pairs = pairsOf({{66, 0, 5, 4}, {0, 55, 8, 12}, {1, 0, 153, 11}, {2, 1, 9, 313}});
  const auto m = confusionMatrix(pairs);
  const std::map<int, double> pixels{{1, 200000}, {2, 150000}, {3, 3200000}, {4, 6450000}};
  const auto a = assessByStrata(m, drawnPerClass(pairs), pixels);
  EXPECT_TRUE(a.weighted);
  EXPECT_NEAR(a.overall.value, 0.95, 0.005);
  EXPECT_NEAR(half(a.overall), 0.02, 0.005);
  const double users[] = {0.88, 0.73, 0.93, 0.96}, usersHalf[] = {0.07, 0.10, 0.04, 0.02};
  const double producers[] = {0.75, 0.85, 0.93, 0.96};
  for (size_t i = 0; i < 4; ++i) {
    EXPECT_NEAR(a.users[i].value, users[i], 0.005) << i;
    EXPECT_NEAR(half(a.users[i]), usersHalf[i], 0.005) << i;
    EXPECT_NEAR(a.producers[i].value, producers[i], 0.005) << i;
  }
  EXPECT_NEAR(half(a.producers[0]), 0.21, 0.005);
  EXPECT_NEAR(half(a.producers[2]), 0.03, 0.005);
  const double ha = 0.09 * 1e7;
  EXPECT_NEAR(a.area[0].value * ha, 21158, 1);
  EXPECT_NEAR(half(a.area[0]) * ha, 6158, 1);
  EXPECT_NEAR(a.area[1].value * ha, 11686, 1);
  EXPECT_NEAR(half(a.area[1]) * ha, 3756, 1);
  EXPECT_NEAR(a.area[2].value * ha, 285770, 1);
  EXPECT_NEAR(half(a.area[2]) * ha, 15510, 1);
  EXPECT_NEAR(a.area[3].value * ha, 581386, 1);
  EXPECT_NEAR(half(a.area[3]) * ha, 16282, 1);
  // With so many points the exact limits are near the usual ones.
  EXPECT_NEAR((a.overall.high - a.overall.low) / 2, half(a.overall), 0.1 * half(a.overall));
}

TEST(Assessment, KappaOfPublishedMatrices) {
  // Fleiss (1981), Statistical methods for rates and proportions, table 13.1 (100 patients, two
  // diagnoses): 0.68, standard error 0.087, from figures rounded on the way.
  auto a = assessCounts(confusionMatrix(pairsOf({{75, 1, 4}, {5, 4, 1}, {0, 0, 10}})));
  EXPECT_NEAR(a.kappa.value, 0.68, 0.005);
  EXPECT_NEAR(a.kappa.error, 0.087, 0.001);
  // Congalton's matrix: 0.65. Textbooks print a variance of 0.00077778 for it, which is had with
  // the margins of the last sum exchanged; as Fleiss, Cohen and Everitt (1969) have it, and as
  // resampling has it, it is 0.00076995.
  a = assessCounts(confusionMatrix(pairsOf(kCongalton)));
  EXPECT_NEAR(a.kappa.value, 0.65, 0.005);
  EXPECT_NEAR(a.kappa.error * a.kappa.error, 0.00076995, 5e-9);
}

// One stratum that is the whole area is a random sample: both ways must say the same.
TEST(Assessment, OneStratumIsARandomSample) {
  const auto pairs = pairsOf(kCongalton);
  std::vector<DrawnPoint> points;
  for (const auto& p : pairs) points.push_back({7, p.mapped, p.reference});
  const auto m = confusionMatrix(pairs);
  const auto counts = assessCounts(m), strata = assessByStrata(m, points, {{7, 1.0}});
  EXPECT_NEAR(strata.kappa.value, counts.kappa.value, 1e-12);
  EXPECT_NEAR(strata.kappa.error, counts.kappa.error * std::sqrt(434.0 / 433), 1e-9);
  EXPECT_NEAR(strata.quantity, counts.quantity, 1e-12);
  EXPECT_NEAR(strata.allocation, counts.allocation, 1e-12);
  for (size_t i = 0; i < 4; ++i) {
    EXPECT_NEAR(strata.users[i].value, counts.users[i].value, 1e-12);
    EXPECT_NEAR(strata.producers[i].value, counts.producers[i].value, 1e-12);
    EXPECT_NEAR(strata.f1[i].value, counts.f1[i].value, 1e-12);
    EXPECT_NEAR(strata.area[i].error, counts.area[i].error * std::sqrt(434.0 / 433), 1e-9);
    const double u = counts.users[i].value, p = counts.producers[i].value;
    EXPECT_NEAR(counts.f1[i].value, 2 * u * p / (u + p), 1e-12);
    EXPECT_LT(counts.f1[i].low, counts.f1[i].value);
    EXPECT_GT(counts.f1[i].high, counts.f1[i].value);
  }
}

// Pontius and Millones (2011), Death to kappa, eq. 2–8, written out: quantity is half the sum of
// |row − column|, allocation the sum of the smaller of the two errors of each class.
TEST(Assessment, AgainstAPlainSecondImplementation) {
  Random random(11);
  for (int round = 0; round < 200; ++round) {
    const size_t k = 2 + random.below(5);
    std::vector<std::vector<int>> counts(k, std::vector<int>(k));
    std::map<int, double> sizes;
    for (size_t i = 0; i < k; ++i) {
      for (auto& c : counts[i]) c = static_cast<int>(random.below(4)) * (random.below(2) ? 1 : 0);
      counts[i][i] += 2;
      sizes[static_cast<int>(i) + 1] = 1 + static_cast<double>(random.below(1000));
    }
    double whole = 0;
    for (const auto& [code, size] : sizes) whole += size;
    const auto pairs = pairsOf(counts);
    const auto a = assessByStrata(confusionMatrix(pairs), drawnPerClass(pairs), sizes);
    std::vector<std::vector<double>> p(k, std::vector<double>(k));
    std::vector<double> row(k), column(k), n(k);
    for (size_t i = 0; i < k; ++i) {
      for (const int c : counts[i]) n[i] += c;
      for (size_t j = 0; j < k; ++j) {
        p[i][j] = sizes[static_cast<int>(i) + 1] / whole * counts[i][j] / n[i];
        row[i] += p[i][j], column[j] += p[i][j];
      }
    }
    double overall = 0, chance = 0, quantity = 0, allocation = 0;
    for (size_t i = 0; i < k; ++i) {
      overall += p[i][i], chance += row[i] * column[i];
      quantity += std::abs(row[i] - column[i]) / 2;
      allocation += std::min(row[i] - p[i][i], column[i] - p[i][i]);
    }
    EXPECT_NEAR(a.overall.value, overall, 1e-12);
    EXPECT_NEAR(a.kappa.value, (overall - chance) / (1 - chance), 1e-9);
    EXPECT_NEAR(a.quantity, quantity, 1e-12);
    EXPECT_NEAR(a.allocation, allocation, 1e-12);
    for (size_t j = 0; j < k; ++j) {
      EXPECT_NEAR(a.users[j].value, counts[j][j] / n[j], 1e-12);
      EXPECT_NEAR(a.producers[j].value, p[j][j] / column[j], 1e-12);
      EXPECT_NEAR(a.f1[j].value, 2 * p[j][j] / (row[j] + column[j]), 1e-12);
      double variance = 0;  // Olofsson et al. 2014, eq. 10
      for (size_t i = 0; i < k; ++i) {
        const double share = counts[i][j] / n[i], w = row[i];
        variance += w * w * share * (1 - share) / (n[i] - 1);
      }
      EXPECT_NEAR(a.area[j].error, std::sqrt(variance), 1e-12);
    }
    for (const auto* list : {&a.users, &a.producers, &a.f1, &a.area})
      for (const auto& e : *list) {
        EXPECT_LE(e.low, e.value + 1e-12);
        EXPECT_GE(e.high, e.value - 1e-12);
        EXPECT_GE(e.low, 0);
        EXPECT_LE(e.high, 1);
      }
  }
}

/// A map of five classes of very unequal area, and what is there: nearly right, and with a class
/// without an error.
struct Land {
  std::vector<double> weight{0.02, 0.05, 0.13, 0.3, 0.5};
  std::vector<std::vector<double>> is{{0.7, 0.2, 0.1, 0, 0},
                                      {0.05, 0.9, 0.05, 0, 0},
                                      {0, 0.02, 0.9, 0.04, 0.04},
                                      {0, 0, 0.03, 0.95, 0.02},
                                      {0, 0, 0.01, 0, 0.99}};
  double mean(const Strata::Quantity& q) const {
    double sum = 0;
    for (size_t i = 0; i < 5; ++i)
      for (size_t j = 0; j < 5; ++j) sum += weight[i] * is[i][j] * q(i, j);
    return sum;
  }
  std::vector<MapAndReference> draw(size_t each, Random& random) const {
    std::vector<MapAndReference> pairs;
    for (size_t i = 0; i < 5; ++i)
      for (size_t n = 0; n < each; ++n) {
        double u = unit(random.next());
        size_t j = 0;
        while (j < 4 && u >= is[i][j]) u -= is[i][j++];
        pairs.push_back({static_cast<int>(i) + 1, static_cast<int>(j) + 1});
      }
    return pairs;
  }
};

/// How often an interval holds the truth.
struct Held {
  int rounds = 0, held = 0;
  void take(const Estimate& e, double truth) {
    if (std::isnan(e.value)) return;
    ++rounds;
    held += e.low <= truth + 1e-9 && truth <= e.high + 1e-9 ? 1 : 0;
  }
  double share() const { return static_cast<double>(held) / rounds; }
};

class Coverage : public ::testing::TestWithParam<size_t> {};

TEST_P(Coverage, IntervalsKeepTheirWord) {
  const Land land;
  Random random(29);
  std::map<int, double> sizes;
  for (size_t i = 0; i < 5; ++i) sizes[static_cast<int>(i) + 1] = land.weight[i];
  const auto right = [](size_t i, size_t j) { return i == j; };
  const double agree = land.mean(right);
  std::vector<double> row(land.weight), column(5), own(5);
  double chance = 0;
  for (size_t c = 0; c < 5; ++c) {
    column[c] = land.mean([c](size_t, size_t j) { return j == c; });
    own[c] = land.weight[c] * land.is[c][c];
    chance += row[c] * column[c];
  }
  Held overall, kappa;
  std::array<Held, 5> users, producers, f1, area;
  constexpr int kRounds = 1500;
  for (int round = 0; round < kRounds; ++round) {
    const auto pairs = land.draw(GetParam(), random);
    const auto m = confusionMatrix(pairs);
    const auto a = assessByStrata(m, drawnPerClass(pairs), sizes);
    overall.take(a.overall, agree);
    kappa.take(a.kappa, (agree - chance) / (1 - chance));
    for (size_t c = 0; c < m.codes.size(); ++c) {
      users[c].take(a.users[c], own[c] / row[c]);
      producers[c].take(a.producers[c], own[c] / column[c]);
      f1[c].take(a.f1[c], 2 * own[c] / (row[c] + column[c]));
      area[c].take(a.area[c], column[c]);
    }
  }
  // 0.93, less what so few rounds may miss by chance (two standard deviations: 0.013).
  const double least = 0.93 - 0.013;
  EXPECT_GT(overall.share(), least);
  EXPECT_GT(kappa.share(), least);
  for (size_t c = 0; c < 5; ++c) {
    EXPECT_GT(users[c].share(), least) << c;
    EXPECT_GT(producers[c].share(), least) << c;
    EXPECT_GT(f1[c].share(), least) << c;
    EXPECT_GT(area[c].share(), least) << c;
  }
  if (std::getenv("ZP_TELL") != nullptr) {
    fmt::print("{}: overall {:.3f} kappa {:.3f}\n", GetParam(), overall.share(), kappa.share());
    for (const auto& [name, list] :
         {std::pair{"users", &users}, {"producers", &producers}, {"f1", &f1}, {"area", &area}}) {
      fmt::print("  {}:", name);
      for (const auto& h : *list) fmt::print(" {:.3f}", h.share());
      fmt::print("\n");
    }
  }
}

INSTANTIATE_TEST_SUITE_P(PointsAClass, Coverage, ::testing::Values(5, 10, 30));

TEST(Assessment, WhatIsNotDefinedHasNoInterval) {
  // Class 3 is in the reference only, class 2 on the map only: no user's accuracy of the one, no
  // producer's of the other.
  const std::vector<MapAndReference> pairs{{1, 1}, {1, 1}, {1, 3}, {2, 1}, {2, 1}};
  const auto m = confusionMatrix(pairs);
  for (const auto& a :
       {assessByStrata(m, drawnPerClass(pairs), {{1, 100}, {2, 50}}), assessCounts(m)}) {
    for (const Estimate& none : {a.users[2], a.producers[1]}) {
      EXPECT_TRUE(std::isnan(none.value));
      EXPECT_TRUE(std::isnan(none.low));
      EXPECT_TRUE(std::isnan(none.high));
    }
    EXPECT_FALSE(std::isnan(a.users[0].low));
    EXPECT_EQ(a.f1[2].value, 0);
    const Json j = toJson(a);
    EXPECT_EQ(j["users_interval"][2], Json::array({nullptr, nullptr}));
  }
}

TEST(Assessment, OneClassAllRightAllWrong) {
  const std::vector<MapAndReference> one{{4, 4}, {4, 4}, {4, 4}};
  auto m = confusionMatrix(one);
  for (const auto& a : {assessByStrata(m, drawnPerClass(one), {{4, 9}}), assessCounts(m)}) {
    EXPECT_EQ(a.overall.value, 1);
    EXPECT_LT(a.overall.low, 0.5);
    EXPECT_TRUE(std::isnan(a.kappa.value));
    EXPECT_EQ(strengthOf(a.kappa.value), "");
    EXPECT_EQ(a.quantity + a.allocation, 0);
  }
  const std::vector<MapAndReference> wrong{{1, 2}, {1, 2}, {2, 1}, {2, 1}};
  m = confusionMatrix(wrong);
  for (const auto& a :
       {assessByStrata(m, drawnPerClass(wrong), {{1, 3}, {2, 1}}), assessCounts(m)}) {
    EXPECT_EQ(a.overall.value, 0);
    EXPECT_LT(a.kappa.value, 0);
    EXPECT_GE(a.kappa.low, -1);
    EXPECT_EQ(a.users[0].value, 0);
    EXPECT_GT(a.users[0].high, 0.3);
    EXPECT_NEAR(a.quantity + a.allocation, 1, 1e-12);
  }
}

TEST(Assessment, KappaOfAPerfectMatrixHasAnInterval) {
  // Ten points, all right: a kappa of 1 is likely, but so would be one well below.
  const auto a = assessCounts(confusionMatrix(pairsOf({{5, 0}, {0, 5}})));
  EXPECT_EQ(a.kappa.value, 1);
  EXPECT_EQ(a.kappa.high, 1);
  EXPECT_LT(a.kappa.low, 0.6);
}

TEST(Assessment, AStratumOfOnePointHasAnIntervalButNoError) {
  const std::vector<MapAndReference> pairs{{1, 1}, {1, 1}, {2, 2}};
  const auto a = assessByStrata(confusionMatrix(pairs), drawnPerClass(pairs), {{1, 1}, {2, 1}});
  EXPECT_TRUE(std::isnan(a.overall.error));
  EXPECT_LT(a.overall.low, 0.6);
  EXPECT_EQ(a.overall.high, 1);
}

TEST(Assessment, StrataWithoutPointsAndPointsWithoutStrataAreSaid) {
  const std::vector<MapAndReference> pairs{{1, 1}, {1, 2}, {2, 2}, {2, 2}};
  const auto m = confusionMatrix(pairs);
  const auto with = [&](const std::map<int, double>& sizes) {
    return sentenceOf([&] { assessByStrata(m, drawnPerClass(pairs), sizes); });
  };
  EXPECT_NE(with({{1, 1}, {2, 1}, {5, 1}}).find("Class 5"), std::string::npos);
  Legend legend;
  legend.addMissing(5, "Reed");
  EXPECT_EQ(sentenceOf([&] {
              assessByStrata(m, drawnPerClass(pairs), {{1, 1}, {2, 1}, {5, 1}}, legend);
            }).find("“Reed” is on the map"),
            0u);
  EXPECT_NE(with({{1, 1}}).find("drawn in class 2"), std::string::npos);
  EXPECT_NE(with({}).find("not known"), std::string::npos);
}

// Strata of another map than the one that is judged (Stehman 2014): two strata, the judged map puts
// half of the first elsewhere.
TEST(Assessment, StrataOfAnotherMap) {
  const std::vector<DrawnPoint> points{{1, 1, 1}, {1, 2, 1}, {2, 2, 2}, {2, 2, 2}};
  std::vector<MapAndReference> pairs;
  for (const auto& p : points) pairs.push_back({p.mapped, p.reference});
  const auto a = assessByStrata(confusionMatrix(pairs), points, {{1, 3}, {2, 1}});
  EXPECT_NEAR(a.shares[0][0], 0.375, 1e-12);
  EXPECT_NEAR(a.shares[1][0], 0.375, 1e-12);
  EXPECT_NEAR(a.overall.value, 0.625, 1e-12);
  EXPECT_NEAR(a.users[1].value, 0.25 / 0.625, 1e-12);
  EXPECT_NEAR(a.producers[0].value, 0.5, 1e-12);
  EXPECT_LT(a.users[1].low, 0.2);
}

TEST(ClassGroupsTest, MergedClassesAreOneAndStrataStay) {
  ClassGroups groups;
  groups.merge(5, 3);
  groups.merge(7, 5);
  EXPECT_EQ(groups.of(7), 3);
  EXPECT_EQ(groups.of(4), 4);
  EXPECT_EQ(groups.members(3), (std::vector<int>{3, 5, 7}));
  Legend legend;
  for (const auto& [code, name] : {std::pair{3, "Reed"}, {4, "Sand"}, {5, "Marsh"}})
    legend.addMissing(code, name);
  EXPECT_EQ(groups.legend(legend).find(3)->name, "Reed + Marsh + class 7");
  EXPECT_EQ(groups.legend(legend).find(4)->name, "Sand");
  const std::vector<DrawnPoint> points{{3, 3, 5}, {5, 5, 5}, {4, 4, 3}, {4, 0, 5}};
  const auto grouped = groups.grouped(points);
  std::vector<MapAndReference> pairs;
  for (const auto& p : grouped) pairs.push_back({p.mapped, p.reference});
  const auto m = confusionMatrix(pairs);
  EXPECT_EQ(m.codes, (std::vector<int>{3, 4}));
  EXPECT_EQ(m.skipped, 1u);
  const auto a = assessByStrata(m, grouped, {{3, 1}, {4, 1}, {5, 2}});
  EXPECT_NEAR(a.overall.value, 0.75, 1e-12);
  groups.clear();
  EXPECT_TRUE(groups.none());
}

TEST(Assessment, StrengthIsAConvention) {
  EXPECT_EQ(strengthOf(-0.1), "poor");
  EXPECT_EQ(strengthOf(0.2), "slight");
  EXPECT_EQ(strengthOf(0.41), "moderate");
  EXPECT_EQ(strengthOf(0.65), "substantial");
  EXPECT_EQ(strengthOf(0.9), "almost perfect");
}

TEST(MatrixTable, SaysWhatRowsAndColumnsAre) {
  const auto m = confusionMatrix(pairsOf(kCongalton));
  const Table t = toTable(m, assessCounts(m));
  EXPECT_EQ(t.columns[0], "rows: map, columns: reference");
  for (const auto& row : t.rows) EXPECT_EQ(row.size(), t.columns.size());
  EXPECT_EQ(t.rows[0][3], "22");
  EXPECT_EQ(t.rows[0][5], "115");
  EXPECT_EQ(t.rows[4][1], "75");
  const Table turned = toTable(m, assessCounts(m), {true, true});
  EXPECT_EQ(turned.columns[0], "rows: reference, columns: map");
  EXPECT_EQ(turned.rows[2][1], "22");
  EXPECT_EQ(turned.rows[0][5], "75");
  EXPECT_EQ(turned.columns[6], "producer's accuracy");
  EXPECT_EQ(turned.rows[0][6], t.rows[5][1]);  // of class 1, by either way
}

TEST(MatrixTable, WeightedCellsStandWithWeightedMargins) {
  const std::vector<MapAndReference> pairs{{1, 1}, {1, 2}, {2, 2}, {2, 2}};
  const auto m = confusionMatrix(pairs);
  const Table t = toTable(m, assessByStrata(m, drawnPerClass(pairs), {{1, 3}, {2, 1}}));
  EXPECT_EQ(t.columns[3], "share of the area");
  EXPECT_EQ(t.rows[0][1], "0.375");
  EXPECT_EQ(t.rows[0][3], "0.75");
  EXPECT_EQ(t.rows[2][2], "0.625");
  EXPECT_EQ(t.rows[2][3], "1");
}

}  // namespace
}  // namespace zp
