// The Sampling and Accuracy desks and the matrix sheet, worked by mouse and keys.
#include "accuracy/maps_at_points.h"
#include "accuracy_fixture.h"
#include "base/text.h"
#include "desks/class_key.h"
#include "outline/layer.h"
#include "sampling/readings.h"
#include "support/rasters.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class SamplingDeskWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    d().stage(4);
  }
  QString planned() { return d().find<QLabel>("planned")->text(); }
  void planRandom(const QString& count) {
    d().click("planRandom");
    d().press("planAll", count);
    d().until([&] { return planned().startsWith(count + " points"); }, "the plan");
  }
};

TEST_F(SamplingDeskWindow, StratifiedNeedsAMapAndSaysSo) {
  EXPECT_FALSE(d().find("primary")->isEnabled());
  bool says = false;
  for (auto* l : w().findChildren<QLabel*>())
    says = says || (l->isVisible() && l->text().contains("need a class map"));
  EXPECT_TRUE(says);
}

TEST_F(SamplingDeskWindow, RandomPointsRepeatBySeedAndStayInside) {
  planRandom("60");
  auto* inside = d().find<QComboBox>("planInside");
  inside->setFocus();
  QTest::keyClick(inside, Qt::Key_Down);
  d().until([&] { return planned().startsWith("60 points"); }, "the plan inside");
  d().make("primary", "the points");
  const Layer first = readLayer(s().products.back().file.string());
  ASSERT_EQ(first.shapes.size(), 60u);
  d().make("primary", "the same points again");
  const Layer again = readLayer(s().products.back().file.string());
  const auto a = placesOf(first), b = placesOf(again);
  for (size_t i = 0; i < a.size(); ++i) EXPECT_EQ(a[i], b[i]);
  d().press("planSeed", "2");
  d().until([&] { return planned().startsWith("60 points"); }, "another plan");
  d().make("primary", "other points");
  EXPECT_NE(placesOf(readLayer(s().products.back().file.string()))[0], a[0]);
  std::string layer;
  for (const auto& o : s().outlines)
    if (q(o.id) == inside->currentData().toString()) layer = o.layer;
  const Layer area = readLayer(layer, first.crs);
  for (const auto& p : a) {
    bool in = false;
    for (const auto& shape : area.shapes)
      for (const auto& ring : shape.rings) {
        QPolygonF polygon;
        for (const auto& c : ring) polygon << QPointF(c.x, c.y);
        in = in || polygon.containsPoint(QPointF(p.x, p.y), Qt::OddEvenFill);
      }
    EXPECT_TRUE(in) << p.x << " " << p.y;
  }
}

TEST_F(SamplingDeskWindow, TooLargeASpacingIsSaidBeforeAnythingIsMade) {
  planRandom("200");
  d().press("planApart", "5000");
  auto* warning = w().findChild<QLabel*>("planWarning");
  d().until([&] { return warning->isVisible(); }, "the warning");
  EXPECT_TRUE(warning->text().contains("of 200 fit")) << warning->text().toStdString();
  EXPECT_FALSE(planned().startsWith("200"));
  EXPECT_EQ(d().products(), 0u);
  d().press("planApart", "50");
  d().until([&] { return planned().startsWith("200 points"); }, "the plan");
  EXPECT_FALSE(warning->isVisible());
  EXPECT_TRUE(d().find("primary")->isEnabled());
}

TEST_F(SamplingDeskWindow, ReadingsAreTheValuesUnderThePoints) {
  d().stage(1);
  d().click("index-vegetation");
  d().make("primary", "the index");
  const auto index = s().products.back().file;
  d().stage(4);
  planRandom("25");
  d().make("primary", "the points");
  d().click("pageReadings");
  d().make("primary", "the readings");
  const Layer points = readLayer(s().newest(ProductKind::Points)->file.string());
  const auto expected = readAt(placesOf(points), points.crs, {{index, 1, "v"}}).values[0];
  const Table table = readTable(s().products.back().file.string());
  ASSERT_EQ(table.rows.size(), 25u);
  const size_t column = table.column("Vegetation");
  for (size_t i = 0; i < 25; ++i) {
    if (std::isnan(expected[i]))
      EXPECT_TRUE(table.rows[i][column].empty());
    else
      EXPECT_NEAR(*parseNumber(table.rows[i][column]), expected[i], 1e-6);
  }
  // The table opens by itself, with the columns as they are and where each comes from.
  d().until([&] { return d().window().table().isVisible() && d().window().table().ready(); },
            "the table");
  auto& rows = d().window().table().rows();
  EXPECT_EQ(rows.model()->rowCount(), 25);
  EXPECT_GT(rows.visibleRegion().boundingRect().height(), 100);
  EXPECT_EQ(rows.model()
                ->headerData(static_cast<int>(column), Qt::Horizontal, SheetModel::kNote)
                .toString()
                .section(" · ", 0, 0),
            "index");
  // Out as CSV with another separator and decimal sign, coordinates with it.
  d().click("sideOut");
  for (const char* choice : {"csvSeparator", "csvDecimal"}) {
    auto* box = d().find<QComboBox>(choice);
    box->setFocus();
    QTest::keyClick(box, Qt::Key_Down);
  }
  whenAskedForAFile(folder_ / "out.csv");
  d().click("csvGo");
  ASSERT_TRUE(fs::exists(folder_ / "out.csv"));
  const Table out = readTable((folder_ / "out.csv").string());
  EXPECT_EQ(out.columns, table.columns);
  EXPECT_EQ(out.rows, table.rows);
  std::ifstream file(folder_ / "out.csv");
  std::string head;
  std::getline(file, head);
  EXPECT_EQ(head.substr(0, 6), "id;x;y");
  std::getline(file, head);
  EXPECT_EQ(head.find('.'), std::string::npos) << head;  // its decimal sign is a comma
  EXPECT_NE(head.find(','), std::string::npos) << head;
}

TEST_F(SamplingDeskWindow, NoTickedLayerIsSaid) {
  planRandom("5");
  d().make("primary", "the points");
  d().click("pageReadings");
  auto* layers = d().find<QListWidget>("readLayers");
  for (int i = 0; i < layers->count(); ++i) layers->item(i)->setCheckState(Qt::Unchecked);
  EXPECT_FALSE(d().find("primary")->isEnabled());
  EXPECT_TRUE(said().contains("Tick at least one layer"));
}

TEST_F(AccuracyDeskWindow, OneSlipIsOneCellAndItsPointIsARing) {
  startLabelling();
  labelAll(5);
  EXPECT_EQ(labelling().labelled(), 36u);
  const auto slip = labelling().points()[5];
  closeLabelling();
  const auto m = *w().book().matrix();
  EXPECT_EQ(m.total(), 36u);
  size_t wrong = 0;
  for (size_t i = 0; i < m.codes.size(); ++i)
    for (size_t j = 0; j < m.codes.size(); ++j)
      if (i != j) wrong += m.counts[i][j];
  EXPECT_EQ(wrong, 1u);
  EXPECT_NEAR(m.overall().value, 35.0 / 36, 1e-12);
  // The sheet starts at the worst cell; its points alone are shown on the view.
  const QString sentence = d().find<QLabel>("matrixSentence")->text();
  EXPECT_TRUE(sentence.contains("1 point")) << sentence.toStdString();
  EXPECT_TRUE(sentence.contains("commission error"));
  d().click("showPoints");
  EXPECT_EQ(w().book().cell, std::pair(slip.mapped, slip.reference));
  d().settle();
  d().click("allPoints");
  EXPECT_FALSE(w().book().cell.has_value());
}

TEST_F(AccuracyDeskWindow, TheMatrixGoesOutAsTheSheetShowsIt) {
  startLabelling();
  labelAll(0);
  closeLabelling();
  whenAskedForAFile(folder_ / "matrix.csv");
  d().click("matrixCsv");
  ASSERT_TRUE(fs::exists(folder_ / "matrix.csv"));
  const Table table = readTable((folder_ / "matrix.csv").string());
  const Judged& judged = *w().book().judged();
  const auto& m = judged.matrix;
  ASSERT_TRUE(judged.weighted.has_value());
  double sum = 0;
  for (size_t i = 0; i < m.codes.size(); ++i)
    for (size_t j = 0; j < m.codes.size(); ++j) {
      const double share = std::stod(table.rows[i][j + 1]);
      EXPECT_NEAR(share, judged.weighted->shares[i][j], 1e-9);
      sum += share;
    }
  EXPECT_NEAR(sum, 1, 1e-9);
  // Counts are a switch away, turned with the sheet.
  d().click("showCounts");
  d().click("matrixTurned");
  EXPECT_TRUE(d().find<QLabel>("matrixAbout")->text().contains("Columns: what the map says"));
  whenAskedForAFile(folder_ / "counts.csv");
  d().click("matrixCsv");
  const Table counts = readTable((folder_ / "counts.csv").string());
  EXPECT_EQ(counts.columns[0], "rows: reference, columns: map");
  for (size_t i = 0; i < m.codes.size(); ++i)
    for (size_t j = 0; j < m.codes.size(); ++j)
      EXPECT_EQ(counts.rows[j][i + 1], std::to_string(m.counts[i][j]));
  w().matrix().writeCsv(q((folder_ / "no/matrix.csv").string()));
  EXPECT_TRUE(d().find<QLabel>("matrixSaid")->text().contains("does not exist"));
  key(Qt::Key_Escape);
  EXPECT_FALSE(w().matrix().isVisible());
}

TEST_F(AccuracyDeskWindow, NothingTellsOfTheMapBeforeTheLabellingIsClosed) {
  startLabelling();
  labelAll(5);
  leaveDesk();
  EXPECT_FALSE(w().findChild<QTableWidget*>("accuracyTable")->isVisible());
  EXPECT_FALSE(w().trail().stations()[5].figure.contains("%"));
  w().openMatrix();  // by whatever way
  EXPECT_FALSE(w().matrix().isVisible());
}

TEST_F(AccuracyDeskWindow, ACellsPointsAreLookedAtOneByOne) {
  startLabelling();
  labelAll(5);
  closeLabelling();
  auto* view = d().find<MatrixView>("matrixView");
  const Judged& judged = *w().book().judged();
  // A whole row, by its name: what the map calls so.
  QTest::mouseClick(view, Qt::LeftButton, {}, view->rowNameRect(2).center());
  EXPECT_EQ(view->chosen(), qMakePair(2, MatrixView::kWhole));
  EXPECT_TRUE(d().find<QLabel>("matrixSentence")->text().contains("user's accuracy"));
  d().click("lookAtEach");
  d().until([&] { return w().labelling().isVisible(); }, "the labelling desk");
  const int code = judged.matrix.codes[2];
  EXPECT_TRUE(d().find<QLabel>("labelOrder")->text().startsWith("Point 1 of 4"));
  std::set<int> seen;
  for (int i = 0; i < 4; ++i) {
    EXPECT_EQ(labelling().current().mapped, code);
    EXPECT_TRUE(d().find<QLabel>("labelOrder")->text().contains("of 4"));
    seen.insert(labelling().current().id);
    QTest::keyClick(&w().labelling(), Qt::Key_Space);
  }
  EXPECT_EQ(seen.size(), 4u);  // each of them once, and round again
  EXPECT_EQ(seen.count(labelling().current().id), 1u);
  QTest::keyClick(&w().labelling(), Qt::Key_Backspace);
  EXPECT_EQ(labelling().current().mapped, code);
  // A column, and the way back.
  d().click("closeLabelling");
  QTest::mouseClick(view, Qt::LeftButton, {}, view->columnNameRect(4).center());
  EXPECT_EQ(view->chosen(), qMakePair(MatrixView::kWhole, 4));
  EXPECT_TRUE(d().find<QLabel>("matrixSentence")->text().contains("producer's accuracy"));
  d().click("whyConfused");
  d().until([&] { return w().signatures().isVisible(); }, "the signatures");
}

TEST_F(AccuracyDeskWindow, ConfusedClassesCountAsOneAndApartAgain) {
  startLabelling();
  labelAll(5);
  closeLabelling();
  const double before = w().book().judged()->first().overall.value;
  ASSERT_LT(before, 1);
  d().click("countAsOne");  // of the worst cell, the only one
  const Judged& merged = *w().book().judged();
  EXPECT_EQ(merged.matrix.codes.size(), 8u);
  EXPECT_EQ(merged.first().overall.value, 1);
  EXPECT_TRUE(d().find<QLabel>("matrixGrouped")->text().contains("instead of"));
  EXPECT_EQ(w().book().overall()->value, before);  // what stands on the trail
  d().click("takeApart");
  EXPECT_EQ(w().book().judged()->first().overall.value, before);
  EXPECT_FALSE(w().findChild<QLabel*>("matrixGrouped")->isVisible());
}

TEST_F(AccuracyDeskWindow, TwoMapsAreComparedAtTheSamePoints) {
  startLabelling();
  labelAll(5);
  closeLabelling();
  const std::string first = w().book().map()->id;
  d().stage(3);
  d().click("trainedMap");
  d().settle();
  d().click("method-random-forest");
  d().make("primary", "the second map");
  const std::string second = s().newest(ProductKind::ClassMap)->id;
  d().stage(5);
  d().click("primary");
  d().until([&] { return w().matrix().isVisible(); }, "the matrix");
  d().click("compareMaps");
  d().until([&] { return w().comparison().isVisible() && w().comparison().ready(); }, "both maps");
  d().settle();
  look("comparison");
  // What is labelled as the first map has it is nearly right there, and less so on the second.
  auto* box = d().find<QComboBox>("compareSecond");
  EXPECT_EQ(box->currentData().toString(), q(first));
  d().find<QComboBox>("compareFirst")->setCurrentIndex(box->findData(q(second)));
  Q_EMIT d().find<QComboBox>("compareFirst")->activated(0);
  const QString verdict = d().find<QLabel>("verdict")->text();
  EXPECT_TRUE(verdict.contains("Cover, maximum likelihood</b> is better")) << verdict.toStdString();
  const auto classes = classesAt(labelling().points(), w().book().crs(),
                                 {s().product(second)->file, s().product(first)->file});
  size_t onlyFirst = 0, onlySecond = 0;
  for (size_t i = 0; i < labelling().points().size(); ++i) {
    const int truth = labelling().points()[i].reference;
    EXPECT_EQ(classes[1][i], labelling().points()[i].mapped);
    onlyFirst += classes[0][i] == truth && classes[1][i] != truth ? 1 : 0;
    onlySecond += classes[0][i] != truth && classes[1][i] == truth ? 1 : 0;
  }
  ASSERT_GT(onlySecond, 0u);
  EXPECT_TRUE(d().find<QLabel>("verdictTest")
                  ->text()
                  .startsWith(QString("%1 points are right in the second only, %2")
                                  .arg(onlySecond)
                                  .arg(onlyFirst)));
  EXPECT_EQ(d().find<QTableWidget>("allMaps")->rowCount(), 2);
  d().click("showUnlike");
  ASSERT_TRUE(w().book().chosen.has_value());
  EXPECT_EQ(w().book().chosen->size(), onlyFirst + onlySecond);
  d().settle();
  EXPECT_EQ(w().view().front().of, first);
  EXPECT_EQ(w().view().back().of, second);
  d().click("allPoints");
  EXPECT_FALSE(w().book().anyChosen());
}

TEST_F(AccuracyDeskWindow, ALabelAfterClosingIsRecorded) {
  startLabelling();
  labelAll(99);
  closeLabelling();
  EXPECT_TRUE(labelling().lateChanges().empty());
  // Another label of a point that is looked at: not without saying who and why.
  auto* view = d().find<MatrixView>("matrixView");
  view->choose(3, 3);
  d().click("lookAtEach");
  d().until([&] { return w().labelling().isVisible(); }, "the labelling desk");
  const int before = labelling().current().reference, id = labelling().current().id;
  const int after = before % 9 + 1;
  QTest::keyClick(&w().labelling(), static_cast<char>('0' + after));
  EXPECT_EQ(labelling().current().reference, before);
  QTest::keyClick(d().find<QLineEdit>("lateWhy"), Qt::Key_Return);
  EXPECT_TRUE(labelling().lateChanges().empty());
  QTest::keyClick(d().find<QLineEdit>("lateWhy"), Qt::Key_Escape);
  EXPECT_FALSE(w().findChild<QLineEdit*>("lateWhy")->isVisible());
  QTest::keyClick(&w().labelling(), static_cast<char>('0' + after));
  look("late-change");
  QTest::keyClicks(d().find<QLineEdit>("lateWhy"), "4 is written here, no label");
  d().find<QLineEdit>("lateWho")->clear();
  QTest::keyClicks(d().find<QLineEdit>("lateWho"), "B. Labeller");
  QTest::keyClick(d().find<QLineEdit>("lateWho"), Qt::Key_Return);
  EXPECT_EQ(labelling().current().reference, after);
  EXPECT_EQ(labelling().current().id, id);  // the point stays
  d().click("closeLabelling");
  const QString told = d().find<QLabel>("lateChanges")->text();
  EXPECT_TRUE(told.contains("B. Labeller")) << told.toStdString();
  EXPECT_TRUE(told.contains("100.0 % before"));
  reopen();
  ASSERT_EQ(labelling().lateChanges().size(), 1u);
  EXPECT_EQ(labelling().lateChanges()[0].from, before);
  EXPECT_EQ(labelling().lateChanges()[0].why, "4 is written here, no label");
  EXPECT_FALSE(labelling().closedAt().empty());
}

TEST_F(AccuracyDeskWindow, LabelsOutliveAChangedMap) {
  startLabelling();
  labelAll(99);
  closeLabelling();
  key(Qt::Key_Escape);
  EXPECT_NEAR(w().book().matrix()->overall().value, 1, 1e-12);
  auto areas = s().training;
  std::erase_if(areas, [](const TrainingArea& a) { return a.code == 4; });
  w().bench().setTraining(areas, s().trainingCrs, "Without reed");
  const Product* labels = s().newest(ProductKind::Labels);
  EXPECT_TRUE(s().outOfDate(*labels));
  EXPECT_EQ(w().trail().stations()[5].state, Trail::State::Half);
  const fs::path points = s().newest(ProductKind::Points)->file;
  const std::string before = textOf(points);
  w().bench().bringUpToDate(q(labels->id));  // the map first, then the labels, never the points
  d().settle();
  EXPECT_FALSE(s().outOfDate(*s().newest(ProductKind::Labels)));
  EXPECT_FALSE(s().outOfDate(*w().book().map()));
  EXPECT_EQ(textOf(points), before);
  EXPECT_EQ(labelling().labelled(), 36u);
  EXPECT_TRUE(labelling().closed());
  const auto m = *w().book().matrix();
  EXPECT_LT(m.overall().value, 1);  // reed is mapped as something else now
  // The points keep the strata they were drawn in, which weight the changed map too.
  const Judged& judged = *w().book().judged();
  ASSERT_TRUE(judged.weighted.has_value()) << judged.whyNotWeighted.text();
  EXPECT_LT(judged.weighted->overall.value, 1);
  EXPECT_NE(judged.weighted->overall.value, judged.counts.overall.value);
}

TEST_F(AccuracyDeskWindow, AnotherLabellingOfTheSamePointsStartsEmptyAndKeepsTheFirst) {
  startLabelling();
  labelAll(99);
  closeLabelling();
  key(Qt::Key_Escape);
  const fs::path first = s().newest(ProductKind::Labels)->file;
  d().click("freshLabels");
  d().click("primary");
  d().until([&] { return w().labelling().isVisible() && labelling().labelled() == 0; },
            "the new labelling");
  EXPECT_NE(s().newest(ProductKind::Labels)->file, first);
  EXPECT_EQ(readLabels(first).labelling.labelled(), 36u);
  const auto& products = s().products;
  EXPECT_EQ(products.back().name, products[products.size() - 2].name + " 2");
}

TEST_F(AccuracyDeskWindow, PointsInTrainingAreasAreToldOf) {
  auto* warning = w().findChild<QLabel*>("inTraining");
  const auto& ring = s().training[0].shape.rings[0];
  Place middle;
  for (const auto& p : ring) {
    middle.x += p.x / static_cast<double>(ring.size());
    middle.y += p.y / static_cast<double>(ring.size());
  }
  ASSERT_EQ(pointsInTraining(s(), {middle, {0, 0}}, s().trainingCrs), 1u);
  runStep({{"do", "points"},
           {"over", s().newest(ProductKind::ClassMap)->id},
           {"plan", "by-hand"},
           {"places", {{middle.x, middle.y}}},
           {"name", "By hand"}});
  d().stage(5);
  choose("accuracyPoints", "By hand");
  Q_EMIT d().find<QComboBox>("accuracyPoints")->activated(0);
  d().until([&] { return warning->isVisible(); }, "the warning");
  EXPECT_TRUE(warning->text().startsWith("1 of these points lies in a training area"));
}

TEST_F(AccuracyDeskWindow, LabelsOfOtherPointsAreCompared) {
  startLabelling();
  labelAll(5);
  closeLabelling();
  const Estimate first = *w().book().overall();
  makePoints("6");
  const std::string map = s().newest(ProductKind::ClassMap)->id;
  runStep({{"do", "labels"},
           {"points", s().newest(ProductKind::Points)->id},
           {"map", map},
           {"reference", map},
           {"seed", 1},
           {"name", "Others"}});
  w().openMatrix();
  EXPECT_EQ(w().book().overall()->value, 1);
  d().click("compareMaps");
  d().settle();
  const QString told = d().find<QLabel>("otherLabelsTold")->text();
  EXPECT_TRUE(told.contains(decimal(100 * (1 - first.value), 1) + " points")) << told.toStdString();
  look("other-labels");
}

TEST_F(AccuracyDeskWindow, EveryKeyIsShownOnItsClass) {
  startLabelling();
  d().settle();
  const auto& classes = s().legend.classes;
  for (size_t i = 0; i < classes.size(); ++i) {
    bool shown = false;
    for (auto* b : w().labelling().findChildren<QPushButton*>())
      shown = shown || (b->isVisible() && b->accessibleName().toLower() ==
                                              keyOfClass(i) + ", " + q(classes[i].name).toLower());
    EXPECT_TRUE(shown) << classes[i].name;
  }
}

}  // namespace
}  // namespace zp
