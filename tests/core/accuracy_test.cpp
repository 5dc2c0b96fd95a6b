#include <cmath>

#include "accuracy/labels_file.h"
#include "base/random.h"
#include "support/matrices.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

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
  l.close("2031-07-31T00:00:00Z");
  l.close("later");  // once
  EXPECT_EQ(l.closedAt(), "2031-07-31T00:00:00Z");
  EXPECT_TRUE(l.lateChanges().empty());
  l.goTo(0);
  l.label(1, "2031-08-01T00:00:00Z");
  ASSERT_EQ(l.lateChanges().size(), 1u);
  EXPECT_EQ(l.lateChanges()[0].from, 2);
  const Labelling back = labellingFrom(toJson(l));
  EXPECT_EQ(toJson(back), toJson(l));
  EXPECT_EQ(back.points()[0].note, "reed or marsh");
}

TEST(Labelling, LateChangesSayWhoAndWhyAndCanBeGoneBackOver) {
  Labelling l(tenPoints(), 3);
  for (int i = 0; i < 10; ++i) l.label(1, "now");
  l.close("then");
  l.goTo(4);
  l.change(2, "t1", "A", "on the edge");
  l.change(2, "t2", "A", "again");  // nothing changes, nothing is recorded
  l.goTo(4);
  l.change(3, "t3", "B", "sharper picture");
  l.goTo(7);
  l.change(2, "t4", "B", "misread");
  ASSERT_EQ(l.lateChanges().size(), 3u);
  EXPECT_EQ(l.lateChanges()[1].who, "B");
  EXPECT_EQ(l.lateChanges()[0].why, "on the edge");
  const auto codes = [&](size_t change) {
    const auto drawn = l.drawnBefore(change);
    return std::pair(drawn[4].reference, drawn[7].reference);
  };
  EXPECT_EQ(codes(0), std::pair(1, 1));
  EXPECT_EQ(codes(1), std::pair(2, 1));
  EXPECT_EQ(codes(2), std::pair(3, 1));
  EXPECT_EQ(codes(3), std::pair(3, 2));
  EXPECT_EQ(toJson(labellingFrom(toJson(l))), toJson(l));
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
