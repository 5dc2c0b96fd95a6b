#include <cmath>

#include "accuracy/labelling.h"
#include "accuracy/stratified_estimate.h"
#include "base/random.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

std::vector<MapAndReference> pairsOf(const std::vector<std::vector<int>>& counts) {
  std::vector<MapAndReference> pairs;
  for (size_t i = 0; i < counts.size(); ++i)
    for (size_t j = 0; j < counts.size(); ++j)
      for (int n = 0; n < counts[i][j]; ++n)
        pairs.push_back({static_cast<int>(i) + 1, static_cast<int>(j) + 1});
  return pairs;
}

// The error matrix of Congalton (1991), A review of assessing the accuracy of classifications of
// remotely sensed data, Remote Sensing of Environment 37, table 1: rows classified, columns
// reference; overall 321/434 = 74 %; producer's 87, 75, 77, 66 %; user's 57, 79, 85, 79 %.
const std::vector<std::vector<int>> kCongalton{
    {65, 4, 22, 24}, {6, 81, 5, 8}, {0, 11, 85, 19}, {4, 7, 3, 90}};

TEST(ConfusionMatrix, APublishedMatrix) {
  const auto m = confusionMatrix(pairsOf(kCongalton));
  EXPECT_EQ(m.total(), 434u);
  EXPECT_EQ(m.right(), 321u);
  EXPECT_NEAR(m.overall().value, 0.74, 0.005);
  const double producers[] = {0.87, 0.79, 0.74, 0.64}, users[] = {0.57, 0.81, 0.74, 0.87};
  for (size_t i = 0; i < 4; ++i) {
    EXPECT_NEAR(m.producers(i).value, producers[i], 0.006) << i;
    EXPECT_NEAR(m.users(i).value, users[i], 0.006) << i;
  }
  // Kappa of that matrix: (434 · 321 − Σ) / (434² − Σ) with Σ = 115·75 + 100·103 + 115·115 +
  // 104·141.
  const double sum = 115.0 * 75 + 100.0 * 103 + 115.0 * 115 + 104.0 * 141;
  EXPECT_NEAR(m.kappa().value, (434.0 * 321 - sum) / (434.0 * 434 - sum), 1e-12);
  EXPECT_NEAR(m.kappa().value, 0.65, 0.005);
}

TEST(ConfusionMatrix, KappaIntervalAgreesWithResampling) {
  const auto all = pairsOf(kCongalton);
  Random random(77);
  double sum = 0, squares = 0;
  constexpr int kRounds = 2000;
  for (int round = 0; round < kRounds; ++round) {
    std::vector<MapAndReference> sample(all.size());
    for (auto& p : sample) p = all[random.below(all.size())];
    const double k = confusionMatrix(sample).kappa().value;
    sum += k, squares += k * k;
  }
  const double sd = std::sqrt(squares / kRounds - (sum / kRounds) * (sum / kRounds));
  const Estimate k = confusionMatrix(all).kappa();
  EXPECT_NEAR((k.high - k.low) / 2 / 1.96, sd, 0.06 * sd);
}

TEST(ConfusionMatrix, WilsonKnownAnswers) {
  // Newcombe (1998), Two-sided confidence intervals for the single proportion, Statistics in
  // Medicine 17, table I, method 3: 81/263 → 0.2553, 0.3662; 15/148 → 0.0624, 0.1605; 0/20 → 0,
  // 0.1611; 1/29 → 0.0061, 0.1718.
  const struct {
    size_t r, n;
    double low, high;
  } cases[] = {
      {81, 263, .2553, .3662}, {15, 148, .0624, .1605}, {0, 20, 0, .1611}, {1, 29, .0061, .1718}};
  for (const auto& c : cases) {
    const Estimate e = wilson(c.r, c.n);
    EXPECT_NEAR(e.low, c.low, 5e-5);
    EXPECT_NEAR(e.high, c.high, 5e-5);
  }
  EXPECT_TRUE(std::isnan(wilson(0, 0).value));
}

TEST(ConfusionMatrix, EmptySidesAreCountedAndClassesAreTheUnion) {
  const auto m = confusionMatrix({{2, 10}, {2, 2}, {0, 2}, {10, 0}, {2, 2}});
  EXPECT_EQ(m.codes, (std::vector<int>{2, 10}));
  EXPECT_EQ(m.skipped, 2u);
  EXPECT_EQ(m.counts[0][1], 1u);
  EXPECT_TRUE(std::isnan(m.users(1).value));  // nothing is mapped as 10
  EXPECT_EQ(m.producers(1).value, 0);
  EXPECT_NE(sentenceOf([] {
              confusionMatrix({{0, 1}});
            }).find("label some points first"),
            std::string::npos);
  EXPECT_TRUE(std::isnan(confusionMatrix({{1, 1}, {1, 1}}).kappa().value));
}

TEST(ConfusionMatrix, FromATable) {
  Table t{{"m", "r"}, {{"1", "2"}, {"", "2"}, {"2", " 2 "}, {"3.0", "1"}}};
  const auto m = confusionMatrix(pairsFrom(t, "m", "r"));
  EXPECT_EQ(m.total(), 3u);
  EXPECT_EQ(m.skipped, 1u);
  t.rows.push_back({"wood", "2"});
  EXPECT_NE(sentenceOf([&] { pairsFrom(t, "m", "r"); }).find("row 5, column “m”"),
            std::string::npos);
}

TEST(ConfusionMatrix, CsvSaysWhatRowsAndColumnsAre) {
  const Table t = toTable(confusionMatrix(pairsOf(kCongalton)));
  EXPECT_EQ(t.columns[0], "rows: map, columns: reference");
  for (const auto& row : t.rows) EXPECT_EQ(row.size(), t.columns.size());
  EXPECT_EQ(t.rows[0][1], "65");
  EXPECT_EQ(t.rows[0][5], "115");
}

TEST(StratifiedEstimate, APublishedExample) {
  // Olofsson et al. (2014), Good practices for estimating area and assessing accuracy of land
  // change, Remote Sensing of Environment 148, section 5: deforestation, forest gain, stable
  // forest, stable non-forest; mapped 200 000, 150 000, 3 200 000, 6 450 000 pixels of 30 m.
  const auto m =
      confusionMatrix(pairsOf({{66, 0, 5, 4}, {0, 55, 8, 12}, {1, 0, 153, 11}, {2, 1, 9, 313}}));
  const double ha = 0.09;
  const auto e = stratifiedEstimate(
      m, {{1, 200000 * ha}, {2, 150000 * ha}, {3, 3200000 * ha}, {4, 6450000 * ha}});
  EXPECT_NEAR(e.overall.value, 0.95, 0.005);
  EXPECT_NEAR((e.overall.high - e.overall.low) / 2, 0.02, 0.005);
  EXPECT_NEAR(e.area[0].value, 21158, 30);
  EXPECT_NEAR((e.area[0].high - e.area[0].low) / 2, 6158, 60);
  EXPECT_NEAR(e.area[1].value, 11686, 30);
  EXPECT_NEAR((e.area[1].high - e.area[1].low) / 2, 3756, 60);
  EXPECT_NEAR(e.area[2].value, 285770, 150);
  EXPECT_NEAR(e.users[0].value, 0.88, 0.005);
  EXPECT_NEAR(e.producers[0].value, 0.75, 0.005);
  EXPECT_NEAR((e.producers[0].high - e.producers[0].low) / 2, 0.21, 0.01);
  EXPECT_NEAR(e.producers[1].value, 0.85, 0.005);
  EXPECT_NE(sentenceOf([&] {
              stratifiedEstimate(m, {{1, 1.0}, {2, 1.0}, {3, 1.0}, {4, 1.0}, {5, 1.0}});
            }).find("Class 5"),
            std::string::npos);
}

std::vector<ValidationPoint> tenPoints() {
  std::vector<ValidationPoint> points;
  for (int i = 1; i <= 10; ++i) {
    ValidationPoint p;
    p.id = i;
    p.mapped = 1 + i % 2;
    points.push_back(p);
  }
  return points;
}

TEST(StratifiedEstimate, WhatIsNotDefinedHasNoInterval) {
  // Class 3 is in the reference only, class 2 on the map only: no user's accuracy of the one, no
  // producer's of the other.
  const auto m = confusionMatrix({{1, 1}, {1, 1}, {1, 3}, {2, 1}, {2, 1}});
  const auto e = stratifiedEstimate(m, {{1, 100}, {2, 50}});
  for (const Estimate& none : {e.users[2], e.producers[1]}) {
    EXPECT_TRUE(std::isnan(none.value));
    EXPECT_TRUE(std::isnan(none.low));
    EXPECT_TRUE(std::isnan(none.high));
  }
  EXPECT_FALSE(std::isnan(e.users[0].low));
  const Json j = toJson(e);
  EXPECT_EQ(j["users_interval"][2], Json::array({nullptr, nullptr}));
}

TEST(Labelling, ShuffledLabelledSkippedAndClosed) {
  Labelling l(tenPoints(), 3);
  std::vector<int> order;
  for (const auto& p : l.points()) order.push_back(p.id);
  EXPECT_FALSE(std::is_sorted(order.begin(), order.end()));
  l.skip();
  EXPECT_EQ(l.position(), 1u);
  for (int i = 0; i < 9; ++i) l.label(1, "now");
  EXPECT_EQ(l.position(), 0u);  // the skipped one comes again
  l.toggleUnsure();
  l.setNote("reed or marsh");
  l.label(2, "now");
  EXPECT_EQ(l.labelled(), 10u);
  EXPECT_EQ(l.unsure(), 1u);
  l.close();
  EXPECT_TRUE(l.lateChanges().empty());
  l.goTo(0);
  l.label(1, "2031-08-01T00:00:00Z");
  ASSERT_EQ(l.lateChanges().size(), 1u);
  EXPECT_EQ(l.lateChanges()[0].from, 2);
  const Labelling back = labellingFrom(toJson(l));
  EXPECT_EQ(toJson(back), toJson(l));
  EXPECT_EQ(back.points()[0].note, "reed or marsh");
}

TEST(Labelling, BackAndCorrect) {
  Labelling l(tenPoints(), 1);
  const int first = l.current().id;
  l.label(1, "now");
  l.back();
  EXPECT_EQ(l.current().id, first);
  l.label(2, "now");
  EXPECT_EQ(l.labelled(), 1u);
  EXPECT_EQ(l.points()[0].reference, 2);
}

TEST(Labelling, KeepsItsLabelsWhenTheMapChanges) {
  Labelling l(tenPoints(), 5);
  for (int i = 0; i < 4; ++i) l.label(2, "now");
  l.setNote("look again");
  auto now = tenPoints();
  for (auto& p : now) p.mapped = 3;
  const Labelling changed = l.onChangedMap(now);
  EXPECT_EQ(changed.labelled(), 4u);
  EXPECT_EQ(changed.position(), l.position());
  EXPECT_EQ(changed.current().note, "look again");
  for (size_t i = 0; i < 10; ++i) {
    EXPECT_EQ(changed.points()[i].id, l.points()[i].id);
    EXPECT_EQ(changed.points()[i].mapped, 3);
    EXPECT_EQ(changed.points()[i].reference, l.points()[i].reference);
  }
}

TEST(Labelling, RefusesOtherPoints) {
  const Labelling l(tenPoints(), 5);
  auto fewer = tenPoints(), moved = tenPoints(), renamed = tenPoints();
  fewer.pop_back();
  moved[3].place.x += 10;
  renamed[3].id = 99;
  for (const auto& now : {fewer, moved, renamed})
    EXPECT_NE(sentenceOf([&] { l.onChangedMap(now); }).find("start a new labelling"),
              std::string::npos);
}

TEST(Labelling, ADamagedFileIsOneSentence) {
  Folder folder;
  std::ofstream(folder / "l.json") << R"({"format": "zany-patch-labels", "version": 1})";
  EXPECT_NE(sentenceOf([&] { readLabels(folder / "l.json"); }).find("not complete"),
            std::string::npos);
  std::ofstream(folder / "l.json")
      << R"({"format": "zany-patch-labels", "version": 1, "points": [{"id": "one"}]})";
  EXPECT_NE(sentenceOf([&] { readLabels(folder / "l.json"); }).find("not complete"),
            std::string::npos);
}

}  // namespace
}  // namespace zp
