// Masks, made scenes, rules and dates, worked by mouse and keys on the demo study.
#include "legend/class_map.h"
#include "outline/layer.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class MakingWindow : public RealWindow {
 protected:
  /// The cloudy autumn date, from the archive, as its item describes it.
  void fetchAutumn() {
    d().stage(0);
    w().bench().bringIn({HAVEN "/archive/finch-2031-10-09/finch-2031-10-09.json"});
    d().settle();
  }
  const StudyScene& scene() { return *w().bench().currentScene(); }
  std::string sceneNamed(const std::string& name) {
    for (const auto& one : s().scenes)
      if (one.scene.name.find(name) != std::string::npos) return one.id;
    return "";
  }
  void type(const QString& field, const QString& text) { d().press(field, text); }
};

TEST_F(MakingWindow, TheCloudIsMasked) {
  fetchAutumn();
  ASSERT_EQ(scene().scene.quality.flags.size(), 2u);
  d().click("page-mask");
  d().settle();
  d().click("flag-cloud");
  d().click("flag-cloud shadow");
  d().find<QSpinBox>("maskWiden")->setValue(3);
  d().until([&] { return d().find<QLabel>("maskShare")->text().contains("flagged"); }, "the share");
  d().until([&] { return d().find<QPushButton>("maskSet")->isEnabled(); }, "the mask to look at");
  EXPECT_TRUE(d().find<QLabel>("maskShare")->text().contains("around"));
  EXPECT_FALSE(w().view().veil().none());
  look("mask");
  d().click("maskSet");
  d().until([&] { return !scene().scene.mask.empty(); }, "the mask");
  // Masked is never counted: the index has fewer values than pixels.
  d().stage(1);
  d().make("primary", "the index");
  EXPECT_GT(s().products.back().facts["empty"].get<size_t>(), 1000u);
  // Taken back and forth, and there on another day.
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_TRUE(scene().scene.mask.empty());
  EXPECT_TRUE(s().outOfDate(s().products.back()));
  key(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
  EXPECT_FALSE(s().outOfDate(s().products.back()));
  const std::string id = scene().id;
  reopen();
  EXPECT_EQ(s().scene(id)->scene.maskRecipe.widen, 3);
  EXPECT_EQ(s().scene(id)->scene.maskRecipe.bits, (std::vector<int>{0, 1}));
}

TEST_F(MakingWindow, WhatIsDrawnAndGrownIsSetAside) {
  d().stage(0);
  d().click("page-mask");
  d().settle();
  d().click("maskDraw");
  const QRect view = w().view().rect();
  EXPECT_EQ(w().view().tool(), MapView::Tool::DrawArea);
  for (const auto& p : {QPoint(200, 150), QPoint(300, 150), QPoint(300, 260)})
    QTest::mouseClick(&w().view(), Qt::LeftButton, {}, p);
  QTest::keyClick(&w().view(), Qt::Key_Return);
  d().until([&] { return d().find<QLabel>("maskShare")->text().contains("drawn"); }, "the drawn");
  d().click("maskGrow");
  QTest::mouseClick(&w().view(), Qt::LeftButton, {}, view.center());
  d().until([&] { return d().find<QPushButton>("maskSet")->isEnabled(); }, "the grown");
  d().settle();
  d().click("maskSet");
  d().until([&] { return !scene().scene.mask.empty(); }, "the mask");
  EXPECT_EQ(scene().scene.maskRecipe.drawn.size(), 1u);
  EXPECT_EQ(scene().scene.maskRecipe.grown.size(), 1u);
  d().click("maskNone");
  EXPECT_TRUE(scene().scene.mask.empty());
}

TEST_F(MakingWindow, TheShiftOfTheAutumnSceneIsFoundAndCorrected) {
  fetchAutumn();
  d().click("page-make");
  d().settle();
  choose("makeWhat", "Where it lies");
  choose("makeOther", "Finch 18 Jul");
  d().click("primary");
  d().until([&] { return d().find<QLabel>("makeResult")->text().contains("It lies"); },
            "the shift");
  look("shift");
  // The demo put it 6.3 m east and 3.6 m south of where it is; a pixel is 10 m.
  d().click("correctShift");
  EXPECT_NEAR(scene().scene.shift.x, -6.3, 1.0);
  EXPECT_NEAR(scene().scene.shift.y, 3.6, 1.0);
  EXPECT_TRUE(d().find<QLabel>("sceneFacts")->text().contains("corrected"));
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(scene().scene.shift, Place{});
}

TEST_F(MakingWindow, AMedianOfTheDatesIsASceneToWorkWith) {
  d().stage(0);
  d().click("page-make");
  d().settle();
  choose("makeWhat", "One scene out of several");
  look("making");
  d().make("primary", "the composite");
  EXPECT_EQ(s().products.back().kind, ProductKind::Scene);
  EXPECT_EQ(scene().product, s().products.back().id);
  EXPECT_EQ(w().view().front().of, scene().id);
  d().stage(1);
  d().make("primary", "an index of it");
  EXPECT_EQ(s().products.back().step["scene"], scene().id);
  const auto all = s().scenes.size();
  reopen();
  EXPECT_EQ(s().scenes.size(), all);
}

TEST_F(MakingWindow, SpeckleIsFiltered) {
  d().stage(0);
  for (const auto& one : s().scenes)
    if (one.scene.isRadar()) {
      w().bench().setCurrentScene(q(one.id));
      break;
    }
  d().settle();
  d().click("page-make");
  d().settle();
  choose("makeWhat", "Speckle filtered");
  auto* result = w().findChild<QLabel*>("makeResult");
  d().until([&] { return result->text().contains("looks"); }, "the looks");
  const double looks = d().find<QDoubleSpinBox>("makeNumber")->value();
  EXPECT_NEAR(looks, 5, 2);
  d().make("primary", "the filtered scene");
  EXPECT_TRUE(scene().scene.isRadar());
  EXPECT_EQ(scene().scene.state, ValueState::BackscatterPower);
}

TEST_F(MakingWindow, RulesOverSeveralIndicesGiveClasses) {
  d().stage(1);
  d().make("primary", "the index");  // "vegetation"
  d().click("mode-rules");
  type("rule-1", "ndiff(green, swir16) > 0.1 and nir < 0.2");
  type("ruleName-1", "Water");
  d().click("addRule");
  d().settle();
  type("rule-2", "vegetaton > 0.5");
  EXPECT_FALSE(d().find<QPushButton>("primary")->isEnabled());
  type("rule-2", "vegetation > 0.5");
  type("ruleName-2", "Green");
  look("rules");
  d().make("primary", "the classes");
  const Product& map = s().products.back();
  EXPECT_EQ(map.kind, ProductKind::ClassMap);
  ASSERT_EQ(map.facts["classes"].size(), 3u);
  EXPECT_EQ(map.facts["classes"][0]["name"], "Water");
  for (const auto& c : map.facts["classes"]) EXPECT_GT(c["pixels"].get<size_t>(), 1000u) << c;
  EXPECT_EQ(map.step["with"].size(), 1u);
}

TEST_F(MakingWindow, WhatChangedBetweenTwoDates) {
  // Two maps by the same rule, before and after the breach.
  d().stage(1);
  for (const char* date : {"2024", "18 Jul"}) {
    w().bench().setCurrentScene(q(sceneNamed(date)));
    d().settle();
    d().click("mode-rules");
    type("rule-1", "ndiff(green, swir16) > 0.1");
    type("ruleName-1", "Wet");
    d().make("primary", "the classes");
  }
  d().click("mode-dates");
  choose("datesWhat", "From one map");
  d().make("primary", "the change");
  const Json change = s().products.back().facts["change"];
  EXPECT_EQ(change["classes"].size(), 2u);
  auto* table = d().find<QTableWidget>("datesTable");
  EXPECT_EQ(table->rowCount(), 2);
  EXPECT_GT(table->item(1, 1)->text().replace(" ", "").toDouble(), 1);  // Other → Wet, hectares
  look("change");
  choose("datesWhat", "How often");
  d().make("primary", "the history");
  EXPECT_EQ(s().products.back().facts["max"], 2.0);
  choose("datesWhen", "at which date first");
  d().make("primary", "the first dates");
  EXPECT_EQ(s().products.back().kind, ProductKind::ClassMap);
  EXPECT_EQ(s().products.back().facts["classes"].size(), 2u);  // a class a date
  choose("datesWhat", "Difference");
  choose("datesFrom", "Finch 11 Jul");
  choose("datesTo", "Finch 18 Jul");
  d().make("primary", "the difference");
  EXPECT_EQ(s().products.back().kind, ProductKind::Index);
  look("difference");
}

TEST_F(MakingWindow, TheSameThresholdOverManyDates) {
  d().stage(1);
  d().make("primary", "the index");
  d().until([&] { return d().find<QTableWidget>("thresholdTable")->rowCount() == 2; }, "the parts");
  d().click("mode-dates");
  choose("datesWhat", "Areas over many dates");
  d().make("primary", "the series");
  EXPECT_EQ(s().products.back().kind, ProductKind::Areas);
  EXPECT_GE(d().find<QTableWidget>("datesTable")->rowCount(), 3);
  look("series");
  // Radar beside reflectance is warned about.
  EXPECT_FALSE(w().findChild<QLabel*>("datesWarning")->isVisible());
  auto* ticks = d().find<QListWidget>("datesTicks");
  for (int i = 0; i < ticks->count(); ++i)
    if (ticks->item(i)->text().startsWith("Heron")) ticks->item(i)->setCheckState(Qt::Checked);
  EXPECT_TRUE(d().find<QLabel>("datesWarning")->text().contains("cannot be compared"));
}

TEST_F(MakingWindow, AnIndexIsCutToTheStudyArea) {
  d().stage(1);
  d().click<QCheckBox>("insideStudyArea");
  d().make("primary", "the index");
  EXPECT_TRUE(s().products.back().step.contains("inside"));
  EXPECT_GT(s().products.back().facts["empty"].get<size_t>(), 1000u);
  const auto n = s().products.size();
  d().click<QCheckBox>("insideStudyArea");  // the whole scene is another product
  EXPECT_TRUE(d().find<QPushButton>("primary")->text().startsWith("Make vegetation"));
  EXPECT_EQ(s().products.size(), n);
}

TEST_F(MakingWindow, AFileThatGoesAwayIsSaidAndNothingFalls) {
  d().stage(1);
  d().make("primary", "the index");
  const fs::path file = s().products.back().file;
  fs::remove(file);
  d().click("index-by-hand");
  type("formula", "vegetation * 2");
  d().settle();
  EXPECT_TRUE(d().find<QLabel>("formulaWarning")->text().contains("does not exist"));
  d().stage(0);
  d().stage(1);
  EXPECT_EQ(d().find<QLabel>("formulaWarning")->isVisible(), true);
}

TEST_F(MakingWindow, TheStudyAreaIsDrawnAndTakenBack) {
  d().stage(0);
  d().click("page-area");
  d().settle();
  const auto n = s().outlines.size();
  d().click("drawStudyArea");
  for (const auto& p : {QPoint(300, 200), QPoint(500, 200), QPoint(500, 400)})
    QTest::mouseClick(&w().view(), Qt::LeftButton, {}, p);
  QTest::keyClick(&w().view(), Qt::Key_Return);
  ASSERT_EQ(s().outlines.size(), n + 1);
  EXPECT_TRUE(s().outlines.back().studyArea);
  EXPECT_EQ(
      std::count_if(s().outlines.begin(), s().outlines.end(), [](auto& o) { return o.studyArea; }),
      1);
  look("area");
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().outlines.size(), n);
  key(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
  d().find<QListWidget>("outlineList")->setCurrentRow(0);
  d().click("useStudyArea");
  EXPECT_TRUE(s().outlines[0].studyArea);
  reopen();
  EXPECT_EQ(s().outlines.size(), n + 1);
}

TEST_F(MakingWindow, AFormulaNamesOtherScenesAndSaysWhatIsMixed) {
  d().stage(1);
  d().click("index-by-hand");
  type("formula", "finch_18_jul.nir - finch_2_may.nir");
  d().settle();
  d().make("primary", "the difference");
  EXPECT_EQ(s().products.back().step["with"].size(), 2u);
  for (const auto& one : s().scenes)
    if (one.scene.isRadar()) {
      type("formula", "nir + heron_8_jun.vv");
      break;
    }
  d().until([&] { return d().find<QLabel>("formulaWarning")->isVisible(); }, "the warning");
  EXPECT_TRUE(d().find<QLabel>("formulaWarning")->text().contains("mixes"));
  type("formula", "spread_in(nir, 4)");
  EXPECT_TRUE(d().find<QLabel>("formulaError")->text().contains("odd whole number"));
  look("formula");
}

TEST_F(MakingWindow, ASeasonBecomesATimeStack) {
  d().stage(0);
  w().bench().setCurrentScene(q(sceneNamed("Heron")));
  d().settle();
  d().click("page-make");
  d().settle();
  choose("makeWhat", "A season of one band");
  choose("makeHow", "vv");
  d().make("primary", "the stack");
  ASSERT_EQ(s().products.back().kind, ProductKind::Scene);
  const Scene& stack = scene().scene;
  ASSERT_EQ(stack.bands.size(), 4u);
  EXPECT_EQ(stack.bands[0].name, "vv on 2031-04-27");
  EXPECT_EQ(stack.bands[3].name, "vv on 2031-09-24");
  EXPECT_EQ(stack.state, ValueState::BackscatterPower);
  EXPECT_TRUE(stack.roles().empty());  // none of them is the vv
}

TEST_F(MakingWindow, ResultsLieOnThePrescribedGrid) {
  d().stage(0);
  d().click("page-area");
  d().click<QCheckBox>("deliveryOn");
  EXPECT_FALSE(d().find<QLineEdit>("deliverySystem")->text().isEmpty());
  type("deliveryPixel", "0");
  d().click("deliverySet");
  EXPECT_TRUE(said().contains("above 0"));
  type("deliveryPixel", "25");
  type("deliverySystem", "EPSG:999999");
  d().click("deliverySet");
  EXPECT_FALSE(said().isEmpty());
  type("deliverySystem", "EPSG:32627");
  d().click("deliverySet");
  EXPECT_EQ(said(), "");
  ASSERT_TRUE(s().delivery);
  look("delivery");
  d().stage(1);
  d().make("primary", "the index");
  const Grid g = RasterFile(s().products.back().file).grid();
  EXPECT_EQ(g.pixelWidth(), 25);
  EXPECT_NEAR(g.width, 1200 * 10 / 25, 1);
  reopen();
  EXPECT_EQ(s().delivery->pixel, 25);
  d().stage(0);
  d().click("page-area");
  d().click<QCheckBox>("deliveryOn");
  EXPECT_FALSE(s().delivery);
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_TRUE(s().delivery);
}

TEST_F(MakingWindow, SmallPolygonsAreLeftOut) {
  d().stage(1);
  d().click("index-water");
  d().make("primary", "the index");
  d().until([&] { return d().find<QTableWidget>("thresholdTable")->rowCount() == 2; }, "the parts");
  d().make("primary", "the class map");
  const fs::path target = folder_ / "water.gpkg";
  d().click("polygons");
  d().find<QDoubleSpinBox>("polygonsSmallest")->setValue(2);
  d().find<QSpinBox>("polygonsSmoothing")->setValue(2);
  whenAskedForAFile(target);
  d().click("writePolygons");
  d().settle();
  const Layer layer = readLayer(target.string());
  ASSERT_GT(layer.shapes.size(), 1u);
  const auto area = layer.table.column("area_m2");
  for (const auto& row : layer.table.rows) EXPECT_GE(std::stod(row[area]), 0.9 * 20000);
}

}  // namespace
}  // namespace zp
