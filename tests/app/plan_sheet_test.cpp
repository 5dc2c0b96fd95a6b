// The sheet of the validation plan, worked by mouse and keys.
#include "outline/layer.h"
#include "support/rasters.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class PlanWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    makeMap();
    d().stage(5);
    d().click("primary");  // without points, it goes to the plan
    d().until([&] { return w().plan().isVisible() && w().plan().ready(); }, "the plan");
  }
  QSpinBox* points(int code) { return d().find<QSpinBox>(QString("planned-%1").arg(code)); }
  QString promise() { return d().find<QLabel>("planPromise")->text(); }
  int total() {
    int sum = 0;
    for (const auto& c : s().legend.classes) sum += points(c.code)->value();
    return sum;
  }
};

TEST_F(PlanWindow, WhatOneWantsAndGuessesGivesTheSplit) {
  d().settle();
  look("plan");
  EXPECT_FALSE(promise().contains("Wider"));
  const int balanced = total();
  EXPECT_TRUE(d().find<QPushButton>("planMake")->text().contains(QString::number(balanced)));
  // Surer is dearer.
  d().press("planOverall", "3");
  d().until([&] { return total() > balanced; }, "more points");
  const int surer = total();
  // Worse classes need more.
  const int before = points(1)->value();
  d().find<QDoubleSpinBox>("expect-1")->setValue(0.6);
  EXPECT_GT(points(1)->value(), before);
  d().click("splitEqual");
  for (const auto& c : s().legend.classes) EXPECT_EQ(points(c.code)->value(), points(1)->value());
  d().click("splitProportional");
  EXPECT_NE(points(7)->value(), points(5)->value());
  EXPECT_GT(surer, balanced);
}

TEST_F(PlanWindow, TooFewByHandIsSaidAndMended) {
  points(5)->setFocus();
  d().press("planned-5", "5");
  d().until([&] { return d().find<QPushButton>("splitByHand")->isChecked(); }, "by hand");
  EXPECT_TRUE(promise().contains("Wider than you want: Osier bed"));
  d().press("planned-4", "0");
  EXPECT_TRUE(promise().contains("nothing will be known"));
  EXPECT_EQ(d().find<QLabel>("margin-4")->text(), "–");
  d().click("planAdd");
  EXPECT_FALSE(promise().contains("Wider"));
  EXPECT_GT(points(4)->value(), 10);
  EXPECT_GT(points(5)->value(), 10);
}

TEST_F(PlanWindow, PlacesThePointsOutOfTrainingAndGoesOnToLabelling) {
  d().settle();
  const int planned = total();
  auto* make = d().find<QPushButton>("planMake");
  for (int i = 0; i < 2; ++i) QTest::mouseClick(make, Qt::LeftButton);  // twice makes them once
  d().until([&] { return w().labelling().isVisible() && !w().book().none(); },
            "the labelling desk");
  d().settle();
  const Product& made = *s().newest(ProductKind::Points);
  EXPECT_EQ(std::count_if(s().products.begin(), s().products.end(),
                          [](const Product& p) { return p.kind == ProductKind::Points; }),
            1);
  EXPECT_EQ(made.step["avoid"], "training");
  EXPECT_EQ(w().book().labelling().points().size(), static_cast<size_t>(planned));
  const Layer layer = readLayer(made.file.string());
  const auto areas = trainingIn(s(), layer.crs);
  const Grid grid = RasterFile(w().book().map()->file).grid();
  std::vector<Shape> shapes;
  for (const auto& a : areas) shapes.push_back(a.shape);
  const PointInside inside(shapes, grid);
  for (const auto& shape : layer.shapes) {
    const Place at = grid.toPixel(shape.points[0]);
    EXPECT_FALSE(inside.at(at.x, at.y));
  }
  // What is weighted by is the area of the map, whatever lies in training.
  double mapped = 0;
  for (const auto& [code, area] : w().book().mappedAreas()) mapped += area;
  EXPECT_NEAR(w().book().wholeArea(), mapped, 1e-6 * mapped);
}

TEST_F(PlanWindow, OneMayInsistOnTrainingAreasAndEscapeGoesBack) {
  d().click<QCheckBox>("planAvoid");
  d().settle();
  d().click("planMake");
  d().until([&] { return w().labelling().isVisible(); }, "the labelling desk");
  EXPECT_FALSE(s().newest(ProductKind::Points)->step.contains("avoid"));
  QTest::keyClick(&w().labelling(), Qt::Key_Escape);
  d().settle();
  d().click("planPoints");
  d().until([&] { return w().plan().isVisible(); }, "the plan again");
  QTest::keyClick(&w().plan(), Qt::Key_Escape);
  EXPECT_FALSE(w().plan().isVisible());
}

TEST_F(PlanWindow, TooManyForAClassIsSaid) {
  d().press("planned-5", "2000");
  d().find<QDoubleSpinBox>("planApart")->setValue(100000);
  d().until([&] { return w().findChild<QLabel*>("planSaid")->text().contains("Only"); },
            "what is wrong");
  EXPECT_FALSE(d().find<QPushButton>("planMake")->isEnabled());
  d().find<QDoubleSpinBox>("planApart")->setValue(0);
  d().press("planned-5", "20");
  d().until([&] { return d().find<QPushButton>("planMake")->isEnabled(); }, "places");
}

}  // namespace
}  // namespace zp
