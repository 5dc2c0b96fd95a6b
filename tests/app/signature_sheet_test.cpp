// The sheet of signatures, sets of areas, and what is told of areas that are imported.
#include "area_samples.h"
#include "charts/feature_scatter.h"
#include "charts/histogram_stack.h"
#include "charts/tinted_grid.h"
#include "desks/mapping/mapping_desk.h"
#include "desks/training/area_table.h"
#include "support/rasters.h"
#include "training/area_fit.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class SignatureWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    d().stage(2);
    importTraining();
  }
  void openSheet() {
    auto* classes = d().find<QTableWidget>("classTable");
    d().until([&] { return classes->item(3, 2)->text() != "–"; }, "the signatures");
    d().click("openSignatures");
    d().settle();
  }
  QTableWidget& classes() { return *d().find<QTableWidget>("sheetClasses"); }
  AreaTable& areas() { return *d().find<AreaTable>("sheetAreas"); }
  void clickCell(QTableWidget& table, int row, int column = 0) {
    table.scrollToItem(table.item(row, column));
    QTest::mouseClick(table.viewport(), Qt::LeftButton, {},
                      table.visualItemRect(table.item(row, column)).center());
  }
  void chooseClass(int code) {
    for (int r = 0; r < classes().rowCount(); ++r)
      if (classes().item(r, 0)->data(Qt::UserRole).toInt() == code) clickCell(classes(), r);
  }
  void keepAs(const QString& name) {
    d().press("setName", name);
    d().click("keepSet");
  }
  void dropHalfOfClassOne() {
    auto fewer = s().training;
    size_t seen = 0;
    std::erase_if(fewer, [&](const TrainingArea& a) { return a.code == 1 && seen++ % 2 == 0; });
    w().bench().setTraining(fewer, s().trainingCrs, "fewer");
  }
  Samples samples() { return areaSamples(s(), w().bench().currentScene()->scene); }
};

TEST_F(SignatureWindow, TellsEveryClassAndComesBack) {
  openSheet();
  EXPECT_EQ(classes().rowCount(), 9);
  const Samples all = samples();
  const SignatureSet set = signaturesOf(all);
  const Signature& c = set.classes[4];
  chooseClass(c.code);
  auto* stack = d().find<HistogramStack>("histogramStack");
  ASSERT_EQ(stack->rows().size(), 8u);
  EXPECT_EQ(stack->rows()[3].shape, shapeOf(all, c, 3, 24));
  auto* grid = d().find<TintedGrid>("tintedGrid");
  for (int b = 0; b < 8; ++b) EXPECT_NEAR(grid->values()(b, b), 1, 1e-12);
  EXPECT_NEAR(grid->values()(0, 4), c.covariance(0, 4) / (c.sd()[0] * c.sd()[4]), 1e-12);
  d().click("showCovariance");
  EXPECT_EQ(grid->values(), c.covariance);
  EXPECT_TRUE(d().find<QLabel>("evidenceSaid")->text().contains("variances"));
  d().click("showFigures");
  EXPECT_NEAR(d().find<QTableWidget>("sheetFigures")->item(2, 1)->text().toDouble(), c.mean[2],
              1e-4);
  look("signature-sheet");
  QTest::keyClick(&w().signatures(), Qt::Key_Escape);
  EXPECT_FALSE(w().signatures().isVisible());
  EXPECT_EQ(w().stage(), 2);
}

TEST_F(SignatureWindow, AnAreaIsSeenAgainstItsClassAndInTheView) {
  openSheet();
  const auto fits = fitOfAreas(samples());
  const auto odd = *std::max_element(fits.begin(), fits.end(), [](auto& a, auto& b) {
    return (std::isnan(a.apart) ? 0 : a.apart) < (std::isnan(b.apart) ? 0 : b.apart);
  });
  chooseClass(odd.code);
  // The odd one comes first, and says how far it is.
  EXPECT_EQ(areas().item(0, 0)->data(Qt::UserRole).toULongLong(), odd.area);
  EXPECT_EQ(areas().item(0, 1)->text(), grouped(odd.pixels));
  EXPECT_EQ(areas().item(0, 2)->text(), decimal(odd.apart, 1));
  auto* view = d().find<MapView>("sheetView");
  const double before = view->unitsPerPixel();
  clickCell(areas(), 0);
  d().settle();
  EXPECT_LT(view->unitsPerPixel(), before);
  EXPECT_FALSE(d().find<HistogramStack>("histogramStack")->rows()[0].over.empty());
  look("signature-area");
}

TEST_F(SignatureWindow, ANoteAndAFlagAreKeptAndTakenBack) {
  openSheet();
  const int revision = s().trainingRevision;
  clickCell(areas(), 0);
  const size_t area = *areas().chosen();
  const QRect box = areas().visualItemRect(areas().item(0, 3));
  QTest::mouseClick(areas().viewport(), Qt::LeftButton, {},
                    QPoint(box.left() + 10, box.center().y()));
  d().until([&] { return s().training[area].lookAgain; }, "the flag");
  areas().setCurrentCell(0, 4);
  areas().editItem(areas().item(0, 4));
  auto* edit = areas().findChild<QLineEdit*>();
  ASSERT_NE(edit, nullptr);
  QTest::keyClicks(edit, "too near the edge");
  QTest::keyClick(edit, Qt::Key_Return);
  d().until([&] { return s().training[area].note == "too near the edge"; }, "the note");
  EXPECT_EQ(s().trainingRevision, revision);  // no map is out of date for it
  const auto kept = trainingAreasFrom(readJson(s().folder() / "study.json")["training"]["areas"]);
  EXPECT_EQ(kept[area].note, "too near the edge");
  EXPECT_TRUE(kept[area].lookAgain);
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().training[area].note, "");
  EXPECT_TRUE(s().training[area].lookAgain);
}

TEST_F(SignatureWindow, DotsThatAreBrushedAreSeenInTheView) {
  openSheet();
  auto* scatter = d().find<FeatureScatter>("featureScatter");
  auto* said = d().find<QLabel>("brushedSaid");
  const QString before = said->text();
  const QPoint from =
                   scatter->pointOf(scatter->xAxis->range().lower, scatter->yAxis->range().upper),
               to = scatter->pointOf(scatter->xAxis->range().upper, scatter->yAxis->range().lower);
  const auto drag = [&](QPoint a, QPoint b) {
    QTest::mousePress(scatter, Qt::LeftButton, {}, a);
    QTest::mouseMove(scatter, (a + b) / 2);
    QTest::mouseMove(scatter, b);
    QTest::mouseRelease(scatter, Qt::LeftButton, {}, b);
  };
  drag(from + QPoint(1, 1), to - QPoint(1, 1));
  ASSERT_NE(said->text(), before);
  EXPECT_TRUE(said->text().startsWith(grouped(samples().size()) + " pixels"))
      << said->text().toStdString();
  EXPECT_TRUE(scatter->anyChosen());
  look("signature-brush");
  drag((from + to) / 2, (from + to) / 2 + QPoint(1, 0));
  EXPECT_EQ(said->text(), before);
  EXPECT_FALSE(scatter->anyChosen());
}

TEST_F(SignatureWindow, FeaturesOfTheMapAreSeenAsItsBandsAre) {
  d().stage(3);
  d().click("group-radar");
  d().settle();
  d().stage(2);
  openSheet();
  auto* over = d().find<QComboBox>("signaturesOver");
  ASSERT_EQ(over->count(), 2);
  const auto* bands = d().find<QComboBox>("scatterX");
  EXPECT_EQ(bands->count(), 8);
  choose("signaturesOver", over->itemText(1));
  auto* stack = d().find<HistogramStack>("histogramStack");
  d().until([&] { return stack->rows().size() > 8; }, "the features of the map");
  d().settle();
  const auto features = static_cast<int>(stack->rows().size());
  EXPECT_TRUE(over->currentText().startsWith(QString::number(features)));
  EXPECT_EQ(bands->count(), features);
  const Json step = w().mapping().features();
  const SignatureSet set = signaturesOf(samplesOfStep(s(), step));
  ASSERT_EQ(set.bands.size(), static_cast<size_t>(features));
  const Signature& c = set.classes[2];
  chooseClass(c.code);
  d().click("showCovariance");
  EXPECT_EQ(d().find<TintedGrid>("tintedGrid")->values(), c.covariance);
  // Of no scale in common, they are drawn in spreads.
  const auto* curves = d().find<SignatureChart>("sheetCurves");
  EXPECT_LT(curves->yAxis->range().upper, 12);
  EXPECT_GT(curves->yAxis->range().lower, -12);
  look("signature-features");
  // A band of radar against one of the picture, brushed to the view.
  choose("scatterY", bands->itemText(features - 1));
  auto* scatter = d().find<FeatureScatter>("featureScatter");
  EXPECT_LT(scatter->yAxis->range().upper, 10);
  EXPECT_LT(scatter->yAxis->range().lower, -5);
  choose("signaturesOver", over->itemText(0));
  EXPECT_EQ(bands->count(), 8);
}

TEST_F(SignatureWindow, FeaturesThatCannotBeReadAreSaidAndTriedAgain) {
  d().stage(3);
  d().click("group-radar");
  d().settle();
  d().stage(2);
  openSheet();
  const auto radar = std::find_if(s().scenes.begin(), s().scenes.end(),
                                  [](const auto& scene) { return scene.scene.isRadar(); });
  ASSERT_NE(radar, s().scenes.end());
  const fs::path there = radar->scene.bands[0].file.parent_path(), away = folder_ / "away";
  ASSERT_TRUE(fs::exists(there));
  fs::rename(there, away);
  const auto over = [&] { return d().find<QComboBox>("signaturesOver"); };
  choose("signaturesOver", over()->itemText(1));
  auto* trouble = w().findChild<QLabel*>("signaturesTrouble");
  auto* about = w().findChild<QLabel*>("signaturesAbout");
  d().until([&] { return trouble->isVisible(); }, "what is wrong");
  EXPECT_EQ(about->text(), "");
  choose("signaturesOver", over()->itemText(0));
  EXPECT_FALSE(trouble->isVisible());
  EXPECT_TRUE(about->text().contains("classes"));
  fs::rename(away, there);
  choose("signaturesOver", over()->itemText(1));
  d().until([&] { return about->text().contains("classes"); }, "the features of the map");
  EXPECT_FALSE(trouble->isVisible());
}

TEST_F(SignatureWindow, ASetIsKeptComparedAndTakenUpAgain) {
  const size_t all = s().training.size();
  d().click("trainingSets");
  keepAs("first");
  ASSERT_EQ(s().trainingSets.size(), 1u);
  dropHalfOfClassOne();
  openSheet();
  chooseClass(1);
  choose("compareSignatures", "the set first");
  auto* told = w().findChild<QLabel*>("comparedSaid");
  d().until([&] { return told->text().contains("first"); }, "the comparison");
  look("signature-compared");
  key(Qt::Key_Escape);
  const Json sets = readJson(s().folder() / "study.json")["training"]["sets"];
  EXPECT_EQ(trainingAreasFrom(sets[0]["areas"]).size(), all);
  d().click("takeSet");
  EXPECT_EQ(s().training.size(), all);
  d().click("addSet");
  EXPECT_EQ(s().training.size(), 2 * all);
  d().click("dropSet");
  EXPECT_TRUE(s().trainingSets.empty());
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().trainingSets.size(), 1u);
}

TEST_F(SignatureWindow, ASetKeptAgainIsComparedAnew) {
  d().click("trainingSets");
  keepAs("first");
  dropHalfOfClassOne();
  openSheet();
  chooseClass(1);
  choose("compareSignatures", "the set first");
  auto* told = w().findChild<QLabel*>("comparedSaid");
  const auto apart = [told] { return !told->text().contains("distance 0.00 of"); };
  d().until([&] { return told->text().contains("first") && apart(); }, "other areas");
  key(Qt::Key_Escape);
  keepAs("first");
  openSheet();
  d().until([&] { return told->text().contains("first") && !apart(); }, "the areas of now");
}

TEST_F(SignatureWindow, SignaturesAreSavedAndComeBack) {
  openSheet();
  whenAskedForAFile(folder_ / "mine.json");
  d().click("saveSignatures");
  ASSERT_TRUE(fs::exists(folder_ / "mine.json"));
  EXPECT_EQ(signaturesFrom(readJson(folder_ / "mine.json")).classes.size(), 9u);
  whenAskedForAFile(folder_ / "mine.json");
  choose("compareSignatures", "a file");
  EXPECT_TRUE(w().findChild<QLabel*>("comparedSaid")->text().contains("mine.json"));
  // Of other bands, or none at all: said, and nothing is compared that cannot be.
  std::ofstream(folder_ / "other.json")
      << R"({"format": "zany-patch-signatures", "version": 1, "bands": ["red"], "classes": []})";
  whenAskedForAFile(folder_ / "other.json");
  choose("compareSignatures", "a file");
  EXPECT_TRUE(d().find<QLabel>("signaturesTrouble")->text().contains("other features"));
  EXPECT_TRUE(d().find<QLabel>("comparedSaid")->text().contains("mine.json"));
}

TEST_F(SignatureWindow, WithoutTrainingThereIsNoSheet) {
  openSheet();
  key(Qt::Key_Z, Qt::ControlModifier);
  d().settle();
  EXPECT_TRUE(s().training.empty());
  EXPECT_FALSE(w().signatures().isVisible());
}

class ImportedAreasWindow : public RealWindow {
 protected:
  void import(const std::vector<Area>& areas) {
    d().stage(2);
    writeAreas(folder_ / "mine.gpkg", areas);
    whenAskedForAFile(folder_ / "mine.gpkg");
    d().click("importTraining");
  }
  Ring square(double dx, double size = 200) {
    const Grid& g = w().bench().currentScene()->scene.grid;
    const Place p = g.toMap(g.width / 2, g.height / 2);
    return {{p.x + dx, p.y},
            {p.x + dx + size, p.y},
            {p.x + dx + size, p.y - size},
            {p.x + dx, p.y - size}};
  }
};

TEST_F(ImportedAreasWindow, ClassesTheLegendLacksAreNamed) {
  import({{1, "Open water", square(0)}, { 77, "Saltpan", square(400) }});
  const QString told = d().find<QLabel>("importFound")->text();
  EXPECT_TRUE(told.contains("2 areas")) << told.toStdString();
  EXPECT_TRUE(told.contains("1 class is in the legend")) << told.toStdString();
  EXPECT_TRUE(told.contains("77 Saltpan")) << told.toStdString();
  d().click("importGo");
  EXPECT_EQ(s().legend.find(77)->name, "Saltpan");
}

TEST_F(ImportedAreasWindow, WithoutACodeTheNameIsLookedUp) {
  const std::string known = s().legend.classes[2].name;
  import({{5, known, square(0)}, { 5, "Saltpan", square(400) }});
  choose("importCode", "no field");
  choose("importName", "name");
  d().click("importGo");
  ASSERT_EQ(s().training.size(), 2u);
  EXPECT_EQ(s().training[0].code, s().legend.classes[2].code);
  EXPECT_EQ(s().legend.find(s().training[1].code)->name, "Saltpan");
}

TEST_F(ImportedAreasWindow, WhatTwoClassesClaimIsShown) {
  import({{1, "Open water", square(0)}, { 2, "Mud", square(100) }});
  d().click("importGo");
  d().settle();
  size_t marked = 0;
  for (const auto& shape : w().training().shapes())
    if (shape.label == "two classes") {
      ++marked;
      const Extent e = shape.shape.extent();
      EXPECT_NEAR(e.right - e.left, 100, 11);
      EXPECT_NEAR(e.top - e.bottom, 200, 11);
    }
  EXPECT_EQ(marked, 1u);
  EXPECT_TRUE(said().contains("claimed by two classes")) << said().toStdString();
}

}  // namespace
}  // namespace zp
