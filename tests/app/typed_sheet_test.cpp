// A matrix from elsewhere, and where the errors are, by mouse and keys.
#include "accuracy_fixture.h"

namespace zp {
namespace {

using namespace testing;

TEST_F(RealWindow, AMatrixFromElsewhereIsAssessedAsItIsTyped) {
  w().openTyped();
  auto* text = d().find<QPlainTextEdit>("typedText");
  auto* measures = w().findChild<QLabel*>("typedMeasures");
  EXPECT_FALSE(measures->isVisible());
  // Congalton 1991, table 1: 321 of 434.
  text->setFocus();
  QTest::keyClicks(text, "65 4 22 24");
  EXPECT_FALSE(measures->isVisible());
  EXPECT_TRUE(d().find<QLabel>("typedTold")->text().contains("as many of both"));
  QGuiApplication::clipboard()->setText("\n6 81 5 8\n0 11 85 19\n4 7 3 90\n");
  text->moveCursor(QTextCursor::End);
  QTest::keyClick(text, Qt::Key_V, Qt::ControlModifier);
  ASSERT_TRUE(measures->isVisible());
  EXPECT_TRUE(measures->text().contains("74.0 %")) << measures->text().toStdString();
  EXPECT_TRUE(measures->text().contains("0.654")) << measures->text().toStdString();
  look("typed");
  d().click("typedTurned");
  EXPECT_TRUE(measures->text().contains("74.0 %"));
  // With areas, as Olofsson et al. 2014 have it.
  text->setPlainText(
      ",deforestation,gain,forest,non-forest,area\ndeforestation,66,0,5,4,200000\n"
      "gain,0,55,8,12,150000\nforest,1,0,153,11,3200000\nnon-forest,2,1,9,313,6450000\n");
  d().click("typedTurned");
  EXPECT_TRUE(measures->text().contains("weighted by area"));
  look("typed-areas");
  text->setPlainText("words alone");
  EXPECT_FALSE(measures->isVisible());
  EXPECT_TRUE(w().findChild<QLabel*>("typedTold")->isVisible());
  d().click("typedBack");
  EXPECT_EQ(w().stage(), 5);
}

TEST_F(AccuracyDeskWindow, ErrorsAreSeenByWhereTheyLie) {
  startLabelling();
  labelAll(5);
  closeLabelling();
  d().click("sideErrors");
  auto* bars = d().find<ShareBars>("shareBars");
  d().until([&] { return bars->groups().size() == 4; }, "the groups");
  size_t points = 0, right = 0;
  for (const auto& g : bars->groups()) points += g.ids.size(), right += g.right;
  EXPECT_EQ(points, 36u);
  EXPECT_EQ(right, 35u);
  look("errors");
  // The group with the slip, and its points alone.
  int slip = 0;
  while (bars->groups()[static_cast<size_t>(slip)].right ==
         bars->groups()[static_cast<size_t>(slip)].ids.size())
    ++slip;
  QTest::mouseClick(bars, Qt::LeftButton, {}, {40, slip * 34 + 10});
  ASSERT_EQ(bars->chosen(), slip);
  const auto ids = bars->groups()[static_cast<size_t>(slip)].ids;
  d().click("lookAtGroup");
  d().until([&] { return w().labelling().isVisible(); }, "the labelling desk");
  EXPECT_EQ(*w().book().chosen, ids);
  EXPECT_EQ(ids.count(labelling().current().id), 1u);
  leaveDesk();
}

TEST_F(AccuracyDeskWindow, ErrorsAreSeenByRegion) {
  startLabelling();
  labelAll(5);
  closeLabelling();
  // Two halves, parted beside the point in the middle.
  std::vector<double> xs;
  for (const auto& p : labelling().points()) xs.push_back(p.place.x);
  std::sort(xs.begin(), xs.end());
  const double parting = (xs[17] + xs[18]) / 2, far = 1e5, y = labelling().points()[0].place.y;
  const auto half = [&](double from, double to) {
    const Ring ring{{from, y - far}, {to, y - far}, {to, y + far}, {from, y + far}};
    return Shape{{ring}, {}};
  };
  Layer halves{"halves", w().book().crs(), {{"half"}, {{"west"}, {"east"}}}, {}};
  halves.shapes = {half(parting - far, parting), half(parting, parting + far)};
  const fs::path file = folder_ / "halves.gpkg";
  writeLayer(file, file, halves, {FieldType::Text});
  w().bench().addOutline(q(file.string()), "Halves");
  d().settle();
  w().openMatrix();
  d().click("sideErrors");
  choose("errorsBy", "by region, of “Halves”");
  auto* bars = d().find<ShareBars>("shareBars");
  d().until([&] { return bars->groups().size() == 2; }, "the halves");
  look("errors-by-region");
  for (const auto& g : bars->groups()) {
    std::set<int> ids;
    size_t right = 0;
    for (const auto& p : labelling().points())
      if ((p.place.x < parting) == (g.name == "west")) {
        ids.insert(p.id);
        right += p.reference == p.mapped ? 1 : 0;
      }
    EXPECT_EQ(g.ids, ids) << g.name;
    EXPECT_EQ(g.right, right) << g.name;
  }
  EXPECT_FALSE(d().find<QLabel>("errorsTold")->text().isEmpty());
}

}  // namespace
}  // namespace zp
