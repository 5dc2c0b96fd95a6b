#include "accuracy/second_labeller.h"

#include <cmath>
#include <set>

#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

/// 40 points in class 1, 8 in class 2, 1 in class 3, all labelled as they are mapped.
Labelling firstLabels() {
  std::vector<ValidationPoint> points;
  const auto add = [&](int code, int n) {
    for (int i = 0; i < n; ++i) {
      ValidationPoint p;
      p.id = static_cast<int>(points.size()) + 1;
      p.place = {static_cast<double>(p.id), 0};
      p.mapped = p.stratum = code;
      points.push_back(p);
    }
  };
  add(1, 40);
  add(2, 8);
  add(3, 1);
  Labelling l(points, 1);
  for (size_t i = 0; i < points.size(); ++i) {
    l.toggleUnsure();
    l.setNote("mine");
    l.label(l.current().mapped, "now");
  }
  return l;
}

size_t at(const Labelling& l, int id) {
  size_t i = 0;
  while (l.points().at(i).id != id) ++i;
  return i;
}

TEST(SecondLabeller, GetsAShareOfEveryStratumAndNothingOfTheFirst) {
  const Labelling first = firstLabels();
  const Labelling quarter = pointsForSecond(first, 0.25, 4);
  std::map<int, int> byStratum;
  for (const auto& p : quarter.points()) {
    const auto& mine = first.points()[at(first, p.id)];
    ++byStratum[mine.stratum];
    EXPECT_EQ(p.place, mine.place);
    EXPECT_EQ(p.mapped, 0);
    EXPECT_EQ(p.reference, 0);
    EXPECT_EQ(p.stratum, 0);  // it would tell the class of the map
    EXPECT_FALSE(p.unsure);
    EXPECT_EQ(p.note, "");
  }
  EXPECT_EQ(byStratum, (std::map<int, int>{{1, 10}, {2, 2}, {3, 1}}));
  const auto order = [](const Labelling& l) {
    std::vector<int> ids;
    for (const auto& p : l.points()) ids.push_back(p.id);
    return ids;
  };
  EXPECT_EQ(order(pointsForSecond(first, 0.25, 4)), order(quarter));
  EXPECT_NE(order(pointsForSecond(first, 0.25, 5)), order(quarter));
  const auto all = order(pointsForSecond(first, 1, 4));
  EXPECT_EQ(std::set<int>(all.begin(), all.end()).size(), 49u);
  EXPECT_NE(all, order(first));
  for (const double share : {0.0, -0.1, 1.5, std::nan("")})
    EXPECT_NE(sentenceOf([&] { pointsForSecond(first, share, 1); }).find("share"),
              std::string::npos);
}

/// As the first, but for the points named here.
SecondLabels secondLabels(const Labelling& first, const std::map<int, int>& others) {
  SecondLabels second{"B", pointsForSecond(first, 1, 2)};
  for (size_t i = 0; i < first.points().size(); ++i) {
    const int id = second.labelling.current().id;
    const auto other = others.find(id);
    second.labelling.label(
        other != others.end() ? other->second : first.points()[at(first, id)].reference, "now");
  }
  return second;
}

TEST(SecondLabeller, AgreementIsOfWhatBothSaidBeforeTheySettled) {
  Labelling first = firstLabels();
  SecondLabels second = secondLabels(first, {{3, 2}, {45, 1}, {49, 2}});
  const Agreement before = agreementOf(first, second);
  // 46 of 49 the same. Margins: 40, 8, 1 and 40, 9, 0.
  const double chance = (40.0 * 40 + 8 * 9) / (49.0 * 49), same = 46.0 / 49;
  EXPECT_NEAR(before.share.value, same, 1e-12);
  EXPECT_NEAR(before.kappa.value, (same - chance) / (1 - chance), 1e-12);
  ASSERT_EQ(before.disagreements.size(), 3u);
  EXPECT_EQ(before.open(), 3u);

  settle(first, second, 3, 2, "t1", "A and B", "edge");
  settle(first, second, 45, 3, "t2", "A and B", "neither");
  settle(first, second, 45, 2, "t3", "A and B", "after all");
  EXPECT_EQ(first.points()[at(first, 3)].reference, 2);
  EXPECT_EQ(first.points()[at(first, 45)].reference, 2);
  EXPECT_TRUE(first.lateChanges().empty());  // it was not closed
  const Agreement after = agreementOf(first, second);
  EXPECT_EQ(after.matrix.counts, before.matrix.counts);
  EXPECT_EQ(after.open(), 1u);
  for (const auto& d : after.disagreements) {
    EXPECT_EQ(d.settled, d.id == 49 ? 0 : 2);
    EXPECT_EQ(d.first, d.id == 3 ? 1 : d.id == 45 ? 2 : 3);
  }
  EXPECT_NE(sentenceOf([&] { settle(first, second, 99, 1, "", "", ""); }).find("99"),
            std::string::npos);
}

TEST(SecondLabeller, SettlingAfterTheClosingIsALateChange) {
  Labelling first = firstLabels();
  SecondLabels second = secondLabels(first, {{3, 2}, {4, 2}});
  first.close("then");
  settle(first, second, 3, 2, "t1", "A and B", "edge");
  settle(first, second, 4, 1, "t2", "A and B", "the first was right");  // changes nothing
  ASSERT_EQ(first.lateChanges().size(), 1u);
  EXPECT_EQ(first.lateChanges()[0].who, "A and B");
  EXPECT_EQ(first.lateChanges()[0].from, 1);
  EXPECT_EQ(agreementOf(first, second).open(), 0u);
}

TEST(SecondLabeller, OnlyPointsThatBothLabelledCount) {
  Labelling first = firstLabels();
  SecondLabels second{"B", pointsForSecond(first, 0.5, 2)};
  EXPECT_NE(sentenceOf([&] { agreementOf(first, second); }).find("both labelled"),
            std::string::npos);
  second.labelling.label(9, "now");
  const Agreement one = agreementOf(first, second);
  EXPECT_EQ(one.matrix.total(), 1u);
  EXPECT_EQ(one.share.value, 0);
  EXPECT_TRUE(std::isnan(one.kappa.value) || one.kappa.value <= 0);
}

TEST(SecondLabeller, IsKeptWithTheLabels) {
  Folder folder;
  Labelling first = firstLabels();
  SecondLabels second = secondLabels(first, {{3, 2}});
  settle(first, second, 3, 2, "t1", "A and B", "edge");
  second.labelling.close("then");
  LabelsFile file{first, "EPSG:32627"};
  file.labeller = "A";
  file.second = second;
  writeLabels(folder / "l.json", file);
  const LabelsFile back = readLabels(folder / "l.json");
  EXPECT_EQ(back.labeller, "A");
  ASSERT_TRUE(back.second);
  EXPECT_EQ(back.second->labeller, "B");
  EXPECT_TRUE(back.second->labelling.closed());
  EXPECT_EQ(agreementOf(back.labelling, *back.second).disagreements[0].settled, 2);
  EXPECT_EQ(toJson(back.second->labelling), toJson(second.labelling));
}

TEST(MixedPlaces, KeepTwoClassesAndEitherMayCount) {
  Labelling l = firstLabels();
  l.goTo(at(l, 3));
  l.label({2, 1}, "now");  // mapped 1
  l.goTo(at(l, 4));
  l.label({2, 3}, "now");
  l.goTo(at(l, 5));
  l.label({1, 1}, "now");
  EXPECT_EQ(l.points()[at(l, 5)].secondary, 0);  // one class is not mixed
  const auto of = [&](const std::vector<DrawnPoint>& points, int id) {
    return points[at(l, id)].reference;
  };
  EXPECT_EQ(of(l.drawn(), 3), 2);
  EXPECT_EQ(of(l.drawnEither(), 3), 1);
  EXPECT_EQ(of(l.drawnEither(), 4), 2);
  l = labellingFrom(toJson(l));
  EXPECT_EQ(l.points()[at(l, 3)].secondary, 1);
  l.recode({{1, 7}});
  EXPECT_EQ(l.points()[at(l, 3)].secondary, 7);
  l.goTo(at(l, 3));
  l.label(7, "now");  // one class after all
  EXPECT_EQ(l.points()[at(l, 3)].secondary, 0);
}

}  // namespace
}  // namespace zp
