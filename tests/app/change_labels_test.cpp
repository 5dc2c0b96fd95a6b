// A map of change at the accuracy desk: two keys a point, both dates in view, the area of each
// change.
#include "study/change_behind.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class ChangeDesk : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    d().stage(2);
    importTraining();
    for (const auto& [scene, name] : {std::pair{"s1", "Cover 2024"}, {"s3", "Cover 2031"}})
      runStep({{"do", "map"},
               {"scene", scene},
               {"bands", {0, 1, 2, 3}},
               {"method", "minimum-distance"},
               {"name", name}});
    runStep({{"do", "change"}, {"from", id(0)}, {"to", id(1)}, {"name", "Change 2024 to 2031"}});
    runStep({{"do", "points"},
             {"over", id(2)},
             {"plan", "stratified"},
             {"count", 1},
             {"seed", 3},
             {"name", "Points of change"}});
    runStep({{"do", "tidy"}, {"map", id(1)}, {"majority", 3}, {"name", "Cover, tidied"}});
    d().stage(5);
    // Not the newest map, but that which the points were drawn over.
    EXPECT_TRUE(d().find<QComboBox>("accuracyMap")->currentText().startsWith("Change"));
    startLabelling();
  }
  std::string id(size_t product) { return s().products[product].id; }
  LabelBook& book() { return w().book(); }
  Labelling& labels() { return book().worked(); }
  void press(int code) { QTest::keyClick(&w().labelling(), static_cast<char>('0' + code)); }
  void press(ClassPair pair) { press(pair.first), press(pair.second); }
  ClassPair pairMapped(const ValidationPoint& p) {
    return *changeClassesOf(s(), *s().product(id(2)))->pairOf(p.mapped);
  }
  QString told() { return d().find<QLabel>("labelOrder")->text(); }
  bool pressed(int code) { return d().find<QPushButton>(QString("key-%1").arg(code))->isChecked(); }
  QString className(int code) { return q(s().legend.find(code)->name); }
  /// A change that the map has nowhere.
  ClassPair missing() {
    const auto change = *changeClassesOf(s(), *s().product(id(2)));
    for (int from = 1; from <= 9; ++from)
      for (int to = 1; to <= 9; ++to)
        if (from != to && change.codeOf({from, to}) == 0) return {from, to};
    return {};
  }
  void labelRest() {
    while (labels().labelled() < labels().points().size()) press(pairMapped(labels().current()));
  }
  void close() {
    d().click("closeLabelling");
    d().until([&] { return w().matrix().isVisible(); }, "the matrix");
  }
};

TEST_F(ChangeDesk, APointIsTwoKeysAndBothDatesAreInView) {
  auto& desk = w().labelling();
  look("change-desk");
  EXPECT_EQ(w().findChild<MapView*>("pane0")->front().of, "s1");
  EXPECT_EQ(w().findChild<MapView*>("pane1")->front().of, "s3");
  EXPECT_FALSE(w().findChild<QPushButton*>("mixed")->isVisible());
  EXPECT_TRUE(told().startsWith("Point 1 of"));
  press(4);
  EXPECT_EQ(labels().labelled(), 0u);
  EXPECT_TRUE(pressed(4));
  EXPECT_TRUE(told().startsWith("It was " + className(4))) << told().toStdString();
  look("change-half");
  QTest::keyClick(&desk, Qt::Key_Escape);  // it was not, and the desk is there still
  EXPECT_TRUE(desk.isVisible());
  EXPECT_FALSE(pressed(4));
  press(4);
  QTest::keyClick(&desk, Qt::Key_Space);  // skipped: nothing of it is left at the next point
  EXPECT_FALSE(pressed(4));
  EXPECT_EQ(labels().position(), 1u);
  QTest::keyClick(&desk, Qt::Key_M);  // a change is not mixed
  press({4, 3});
  EXPECT_EQ(labels().labelled(), 1u);
  const ValidationPoint& p = labels().points()[1];
  EXPECT_EQ(std::pair(p.earlier, p.later), std::pair(4, 3));
  EXPECT_EQ(book().className(p.reference), className(4) + " → " + className(3));
  QTest::keyClick(&desk, Qt::Key_Backspace);
  EXPECT_TRUE(pressed(4) && pressed(3));
  EXPECT_TRUE(told().contains(className(4) + " → " + className(3)));
  d().click("key-5");  // and by mouse
  d().click("key-5");
  EXPECT_EQ(book().className(labels().points()[1].reference), className(5) + ", as before");
  QTest::keyClick(&desk, Qt::Key_Escape);
  reopen();
  EXPECT_EQ(book().className(book().labelling().points()[1].reference),
            className(5) + ", as before");
}

TEST_F(ChangeDesk, TheMatrixIsOfChangesAndEachHasItsArea) {
  const ClassPair seen = missing();
  ASSERT_NE(seen.first, 0);
  const int first = labels().current().id;
  press(seen);
  labelRest();
  close();
  look("change-matrix");
  const ConfusionMatrix m = *book().matrix();
  const std::string name = (className(seen.first) + " → " + className(seen.second)).toStdString();
  const auto at = std::find(m.names.begin(), m.names.end(), name);
  ASSERT_NE(at, m.names.end()) << name;
  EXPECT_EQ(m.total() - m.right(), 1u);
  auto* areas = d().find<QTableWidget>("estimatedAreas");
  const int row = static_cast<int>(at - m.names.begin());
  EXPECT_EQ(areas->item(row, 0)->text(), q(name));
  EXPECT_EQ(areas->item(row, 2)->text(), "–");  // on the map nowhere
  EXPECT_TRUE(areas->item(row, 3)->text().contains("±"));
  const double lost = book().ungrouped()->weighted->area[m.codes.size() - 1].value;
  EXPECT_GT(lost, 0);
  d().click("changedOrNot");
  const ConfusionMatrix two = *book().matrix();
  EXPECT_EQ(two.names, (std::vector<std::string>{"Changed", "As before"}));
  look("changed-or-not");
  d().click("changedOrNot");
  EXPECT_EQ(book().judged()->matrix.codes, m.codes);
  // After the closing another label takes two keys as well, and is asked about.
  d().click("matrixBack");
  book().chosen = std::set<int>{first == 1 ? 2 : 1};
  book().setTask(LabelBook::Task::Label);
  Q_EMIT w().matrix().labellingAsked();
  d().until([&] { return w().labelling().isVisible(); }, "the labelling desk");
  press(seen);
  d().settle();
  QTest::keyClicks(d().find<QLineEdit>("lateWhy"), "seen again");
  d().find<QLineEdit>("lateWho")->setText("A. Labeller");
  d().click("lateRecord");
  ASSERT_EQ(labels().lateChanges().size(), 1u);
  EXPECT_EQ(book().className(labels().lateChanges()[0].to), q(name));
  EXPECT_EQ(labels().current().earlier, seen.first);
}

TEST_F(ChangeDesk, APlanAsksOfNoChangeMorePointsThanItHasPixels) {
  QTest::keyClick(&w().labelling(), Qt::Key_Escape);
  d().until([&] { return !w().labelling().isVisible(); }, "the accuracy desk");
  d().settle();
  w().openPlan(q(id(2)));
  d().until([&] { return w().plan().isVisible() && w().plan().ready(); }, "the plan");
  const Json classes = s().product(id(2))->facts["classes"];
  size_t few = 0;
  for (const auto& c : classes) {
    const auto* points = w().findChild<QSpinBox*>(QString("planned-%1").arg(c["code"].get<int>()));
    ASSERT_NE(points, nullptr);
    EXPECT_LE(points->value(), c["pixels"].get<int>());
    few += points->value() == c["pixels"].get<int>() ? 1 : 0;
  }
  EXPECT_GT(few, 0u);
}

TEST_F(ChangeDesk, TwoLabellersSettleWhatChanged) {
  labelRest();
  QTest::keyClick(&w().labelling(), Qt::Key_Escape);
  d().until([&] { return !w().labelling().isVisible(); }, "the accuracy desk");
  d().settle();
  d().click("askSecond");
  QTest::keyClicks(d().find<QLineEdit>("secondName"), "B");
  d().click("startSecond");
  d().until([&] { return w().labelling().isVisible(); }, "the labelling desk");
  const ClassPair seen = missing();
  const int point = labels().current().id;
  press(seen);
  while (labels().labelled() < labels().points().size()) {
    const int at = labels().current().id;
    for (const auto& p : book().labelling().points())
      if (p.id == at) {
        press({p.earlier, p.later});
        break;
      }
  }
  d().click("closeLabelling");
  d().until([&] { return !w().labelling().isVisible(); }, "the accuracy desk");
  d().settle();
  ASSERT_EQ(book().agreement()->open(), 1u);
  d().click("settle");
  d().until([&] { return w().labelling().isVisible(); }, "the labelling desk");
  EXPECT_TRUE(told().contains(className(seen.first) + " → " + className(seen.second)));
  press(seen.first);
  EXPECT_TRUE(told().startsWith("It was"));
  press(seen.second);
  d().until([&] { return !w().labelling().isVisible(); }, "the accuracy desk");
  for (const auto& p : book().labelling().points())
    if (p.id == point) {
      EXPECT_EQ(std::pair(p.earlier, p.later), std::pair(seen.first, seen.second));
      EXPECT_EQ(book().legend().find(p.reference)->name,
                (className(seen.first) + " → " + className(seen.second)).toStdString());
    }
}

}  // namespace
}  // namespace zp
