// Plans of every kind, cells and zones on the Sampling desk, worked by mouse and keys.
#include "base/text.h"
#include "desks/sampling/sampling_desk.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class PlansWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    d().stage(4);
    d().click("planRandom");
    waitPlanned("200 points");
    EXPECT_EQ(d().find<QComboBox>("planOver")->currentText(), "Finch 18 Jul");  // the desk's
  }
  QString planned() { return d().find<QLabel>("planned")->text(); }
  QString warning() {
    auto* label = w().findChild<QLabel*>("planWarning");
    return label->isVisible() ? label->text() : QString();
  }
  void waitPlanned(const QString& begins) {
    d().until([&] { return planned().startsWith(begins) && canMake(begins); }, "the plan");
  }
  bool canMake(const QString& begins) {
    return d().find("primary")->text() == "Make " + begins && d().find("primary")->isEnabled();
  }
  Layer newest() { return readLayer(s().newest(ProductKind::Points)->file.string()); }
  const Json& facts() { return s().products.back().facts; }
  /// What the desk lays over the view.
  size_t zonesOnView() {
    for (auto* desk : w().findChildren<SamplingDesk*>()) return desk->shapes().size();
    return 0;
  }
};

TEST_F(PlansWindow, SystematicBySpacingAndByNumber) {
  d().click("planSystematic");
  d().press("planSpacing", "1000");
  d().until([&] { return planned().contains("nearest two are 1000 m"); }, "the lattice");
  d().make("primary", "the lattice");
  EXPECT_EQ(s().products.back().name, "Points every 1000 m");
  EXPECT_NEAR(facts()["nearest"].get<double>(), 1000, 1e-6);
  d().click("latticeNumber");
  d().press("planAcross", "6");
  d().press("planDown", "4");
  d().click("latticeStaggered");
  d().until([&] { return !planned().contains("Placing") && !planned().contains("1000 m"); },
            "the other lattice");
  d().make("primary", "the other lattice");
  EXPECT_EQ(s().products.back().step["form"], "staggered");
  EXPECT_LE(newest().shapes.size(), 24u);
  EXPECT_GT(newest().shapes.size(), 12u);
  look("plan-systematic");
}

TEST_F(PlansWindow, BlocksAreOnTheViewBeforeTheyAreMade) {
  d().click("planInBlocks");
  d().press("planBlocks", "5");
  d().press("planInBlock", "7");
  d().press("planBlockSize", "900");
  waitPlanned("35 points");
  EXPECT_TRUE(planned().contains("in 5 blocks")) << planned().toStdString();
  look("plan-blocks");
  d().make("primary", "the points in blocks");
  const auto layer = newest();
  ASSERT_EQ(layer.shapes.size(), 35u);
  std::map<std::string, int> each;
  for (const auto& row : layer.table.rows) ++each[row[layer.table.column("block")]];
  for (const auto& [block, n] : each) EXPECT_EQ(n % 7, 0) << block;
}

TEST_F(PlansWindow, ARectangleDrawnAndThePartInView) {
  choose("planInside", "a rectangle");
  EXPECT_EQ(said(), "Drag a rectangle across the view.");
  EXPECT_FALSE(d().find("primary")->isEnabled());
  drag(w().view(), {200, 150}, {420, 380});
  waitPlanned("200 points");
  const Place a = w().view().toMap({200, 150}), b = w().view().toMap({420, 380});
  look("plan-rectangle");
  d().make("primary", "points in the rectangle");
  for (const auto& p : placesOf(newest())) {
    EXPECT_TRUE(p.x > a.x - 20 && p.x < b.x + 20) << p.x;
    EXPECT_TRUE(p.y < a.y + 20 && p.y > b.y - 20) << p.y;
  }
  choose("planInside", "the part in view");
  waitPlanned("200 points");
  for (int i = 0; i < 6; ++i) QTest::keyClick(&w().view(), Qt::Key_Plus);
  const Extent seen = w().view().visible();
  d().until([&] { return !d().find<QLabel>("planned")->text().contains("Placing"); }, "the plan");
  QTest::qWait(200);  // the plan follows a view that has come to rest
  waitPlanned("200 points");
  d().make("primary", "points in view");
  for (const auto& p : placesOf(newest())) {
    EXPECT_TRUE(p.x >= seen.left && p.x <= seen.right);
    EXPECT_TRUE(p.y >= seen.bottom && p.y <= seen.top);
  }
}

TEST_F(PlansWindow, PointsPutDownByHandAreKeptAndTakenBack) {
  d().click("planByHand");
  d().until([&] { return said().contains("Click in the view"); }, "what to do");
  auto& view = w().view();
  for (const QPoint at : {QPoint(200, 200), QPoint(300, 220), QPoint(400, 300)})
    QTest::mouseClick(&view, Qt::LeftButton, {}, at);
  waitPlanned("3 points");
  EXPECT_TRUE(warning().contains("no random sample")) << warning().toStdString();
  QTest::mouseClick(&view, Qt::LeftButton, {}, {302, 222});  // on the second: it goes
  waitPlanned("2 points");
  w().bench().undo().undo();
  waitPlanned("3 points");
  look("plan-by-hand");
  d().click("handPut");  // clicks look at profiles again
  QTest::mouseClick(&view, Qt::LeftButton, {}, {500, 400});
  EXPECT_TRUE(planned().startsWith("3 points"));
  reopen();  // nothing put down is lost
  d().stage(4);
  d().click("planByHand");
  waitPlanned("3 points");
  d().click("handLast");
  waitPlanned("2 points");
  d().make("primary", "the points by hand");
  EXPECT_EQ(s().products.back().name, "2 points by hand");
  EXPECT_EQ(newest().shapes.size(), 2u);
  EXPECT_TRUE(facts().contains("points"));
}

TEST_F(PlansWindow, APlanIsToppedUpAndKeepsItsPoints) {
  d().press("planAll", "40");
  waitPlanned("40 points");
  d().make("primary", "the points");
  const auto before = placesOf(newest());
  d().press("planSeed", "77");
  d().click("planMore");
  choose("planTopUp", "40 random points");
  EXPECT_EQ(d().find<QSpinBox>("planSeed")->value(), 1);
  d().press("planAll", "65");
  waitPlanned("65 points");
  look("plan-top-up");
  d().make("primary", "more points");
  const auto after = placesOf(newest());
  ASSERT_EQ(after.size(), 65u);
  for (size_t i = 0; i < before.size(); ++i) EXPECT_EQ(before[i], after[i]);
  // Another plan than that of the points is refused.
  d().press("planEdge", "50");
  d().until([&] { return said().contains("another plan"); }, "the sentence");
}

TEST_F(PlansWindow, AnotherSystemAndADistanceFromTheEdge) {
  d().click("planMore");
  d().press("planEdge", "500");
  d().find<QComboBox>("planSystem")->setEditText("EPSG:4326");
  waitPlanned("200 points");
  d().make("primary", "the points");
  const Layer layer = newest();
  EXPECT_TRUE(crsIsGeographic(layer.crs));
  d().find<QComboBox>("planSystem")->setEditText("no such system");
  d().click("primary");
  d().until([&] { return !said().isEmpty(); }, "the sentence");
  EXPECT_EQ(s().newest(ProductKind::Points)->revision, 1);
}

TEST_F(PlansWindow, CellsAreLaidMadeAndSummarised) {
  d().stage(1);
  d().click("index-vegetation");
  d().make("primary", "the index");
  d().stage(4);
  d().click("pageCells");
  auto laid = [&] { return d().find<QLabel>("cellsLaid")->text(); };
  d().press("cellsSize", "700");
  d().until([&] { return laid().contains("cells of 700 m"); }, "the cells");
  d().click("cellHexagons");
  d().until([&] { return laid().contains("cells of 700 m"); }, "hexagons");
  look("cells");
  d().make("primary", "the cells");
  EXPECT_EQ(s().products.back().kind, ProductKind::Cells);
  const auto n = s().products.back().facts["cells"].get<size_t>();
  d().click("cellsToReadings");
  EXPECT_TRUE(d().find<QComboBox>("readPlaces")->currentText().startsWith("Cells of 700"));
  EXPECT_EQ(d().find("primary")->text(), "Summarise layers");
  d().click("stat-median");
  d().click("stat-share");
  d().make("primary", "the summary");
  const Table t = readTable(s().products.back().file.string());
  EXPECT_EQ(t.columns, (std::vector<std::string>{"id", "mean", "median", "count"}));
  EXPECT_EQ(t.rows.size(), n);
  // Its card leads back to it.
  d().stage(0);
  for (auto* card : w().findChildren<QWidget*>())
    if (card->objectName() == "card-" + q(s().newest(ProductKind::Cells)->id))
      QTest::mouseClick(card, Qt::LeftButton);
  d().until([&] { return w().findChild<QComboBox*>("readPlaces")->isVisible(); }, "the desk");
}

TEST_F(PlansWindow, CompartmentsThroughTheRadarSeason) {
  d().click("pageReadings");
  choose("readPlaces", "zones of Compartments");
  d().until([&] { return !d().find("primary")->text().isEmpty() && zonesOnView() > 50; },
            "the compartments on the view");
  auto* layers = d().find<QListWidget>("readLayers");
  int dates = 0;
  for (int i = 0; i < layers->count(); ++i)
    if (layers->item(i)->text().startsWith("Heron")) {
      layers->item(i)->setCheckState(Qt::Checked);
      ++dates;
    }
  choose("zoneRows", "a row a place and date");
  d().make("primary", "the season");
  const Table t = readTable(s().products.back().file.string());
  const size_t zones = s().products.back().facts["zones"];
  EXPECT_EQ(t.rows.size(), zones * static_cast<size_t>(dates) * 2);  // VV and VH
  const auto mean = parseNumber(t.rows[0][t.column("mean")]);
  ASSERT_TRUE(mean.has_value());
  EXPECT_TRUE(*mean < -3 && *mean > -30) << *mean;  // decibels
  EXPECT_EQ(t.rows[0][t.column("date")].substr(0, 5), "2031-");
  (void)t.column("last_cut");
  look("zones-season");
  // Statistics that no chosen layer can tell are said.
  d().click("leaveTable");
  for (const char* off : {"stat-mean", "stat-count"}) d().click(off);
  d().click("primary");
  d().until([&] { return said().contains("no classes"); }, "the sentence");
}

TEST_F(PlansWindow, ReadingsOfTheMeanAroundAndOfSharedPixels) {
  d().click("planSystematic");
  d().press("planSpacing", "600");
  d().until([&] { return planned().contains("600 m"); }, "the lattice");
  d().make("primary", "the lattice");
  d().click("pageReadings");
  auto* layers = d().find<QListWidget>("readLayers");
  for (int i = 0; i < layers->count(); ++i)
    layers->item(i)->setCheckState(layers->item(i)->text().startsWith("Kite") ? Qt::Checked
                                                                              : Qt::Unchecked);
  choose("readHow", "the mean around it");
  d().find<QSpinBox>("readWindow")->setValue(5);
  d().make("primary", "the readings");
  const Json& step = s().products.back().step;
  EXPECT_EQ(step["how"], "mean");
  EXPECT_EQ(step["window"], 5);
  EXPECT_TRUE(facts()["distinct_pixels"].is_object());
}

/// Labels all points of a map that were made, and opens the matrix.
class UnchosenPoints : public PlansWindow {
 protected:
  void labelAll() {
    startLabelling();
    const size_t n = w().book().labelling().points().size();
    for (size_t i = 0; i < n; ++i) QTest::keyClick(&w().labelling(), Qt::Key_1);
    d().click("closeLabelling");
    d().until([&] { return w().matrix().isVisible(); }, "the matrix");
  }
  void expectNoInterval(const QString& because) {
    EXPECT_FALSE(d().find<QLabel>("overall")->text().contains("±"));
    EXPECT_FALSE(d().find<QLabel>("kappa")->text().contains("interval"));
    bool told = false;
    for (auto* l : w().matrix().findChildren<QLabel*>())
      told = told || (l->isVisible() && l->text().contains(because));
    EXPECT_TRUE(told) << because.toStdString();
    EXPECT_FALSE(w().trail().stations()[5].figure.contains("±"));
    w().matrix().writeCsv(q((folder_ / "m.csv").string()));
    const Table csv = readTable((folder_ / "m.csv").string());
    for (const auto& row : csv.rows) EXPECT_EQ(row[csv.column("low (95 %)")], "");
  }
};

TEST_F(UnchosenPoints, ByHandGetNoInterval) {
  makeMap();
  d().stage(4);
  d().click("planByHand");
  for (int i = 0; i < 4; ++i)
    QTest::mouseClick(&w().view(), Qt::LeftButton, {}, QPoint(180 + 60 * i, 330));
  d().until([&] { return planned().startsWith("4 points"); }, "the plan");
  d().make("primary", "the points");
  labelAll();
  expectNoInterval("no random sample");
  look("matrix-by-hand");
}

TEST_F(UnchosenPoints, NeitherDoCentresOfCells) {
  makeMap();
  d().stage(4);
  d().click("pageCells");
  d().press("cellsSize", "3000");
  choose("cellsWhat", "points in their centres");
  d().until([&] { return d().find("primary")->text().contains(" points"); }, "the cells");
  d().make("primary", "the points");
  labelAll();
  expectNoInterval("no chance chose");
}

class StratifiedWindow : public PlansWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    makeMap();
    d().stage(4);
    d().until([&] { return planned().startsWith("270 points"); }, "the plan");
  }
  /// The numbers in the table are those of the classes that are ticked.
  bool plannedWithout() {
    int sum = 0;
    for (int r = 0; r < classes()->rowCount(); ++r) sum += classes()->item(r, 2)->text().toInt();
    return sum == 100;
  }
  QTableWidget* classes() { return d().find<QTableWidget>("planClasses"); }
};

TEST_F(StratifiedWindow, SharesByAreaClassesLeftOutAndNumbersGiven) {
  d().click("splitProportional");
  d().press("planCount", "100");
  waitPlanned("100 points");
  d().click("planChooseClasses");
  int sum = 0;
  for (int r = 0; r < classes()->rowCount(); ++r) sum += classes()->item(r, 2)->text().toInt();
  EXPECT_EQ(sum, 100);
  look("plan-by-area");
  classes()->item(0, 0)->setCheckState(Qt::Unchecked);
  d().until(
      [&] {
        return classes()->item(0, 2)->text() == "–" && planned().startsWith("100 points") &&
               plannedWithout();
      },
      "the plan without a class");
  d().make("primary", "the points");
  EXPECT_EQ(facts()["per_class"].size(), static_cast<size_t>(classes()->rowCount() - 1));
  // By number: typed into the table.
  d().click("splitGiven");
  auto* table = classes();
  QTest::mouseClick(table->viewport(), Qt::LeftButton, {},
                    table->visualItemRect(table->item(2, 2)).center());
  QTest::keyClick(table, Qt::Key_7);  // over what stands there
  auto* editor = table->viewport()->findChild<QLineEdit*>();
  ASSERT_NE(editor, nullptr);
  QTest::keyClick(editor, Qt::Key_Return);
  d().until([&] { return table->item(2, 2)->text() == "7"; }, "the number in the table");
  d().until([&] { return !planned().startsWith("100 points") && !planned().contains("Placing"); },
            "the plan by number");
  d().make("primary", "points by number");
  const int third = table->item(2, 0)->data(Qt::UserRole).toInt();
  EXPECT_EQ(s().products.back().step["given"][std::to_string(third)], 7);
  look("plan-by-number");
}

TEST_F(StratifiedWindow, OneClassAloneAndASmallSpacing) {
  d().click("planRandom");
  choose("planClass", "Open water");
  d().press("planApart", "3");
  waitPlanned("200 points");
  EXPECT_TRUE(warning().contains("than a pixel of 10 m")) << warning().toStdString();
  d().make("primary", "points in water");
  EXPECT_EQ(s().products.back().step["class"], 1);
  d().press("planApart", "1500");
  d().until([&] { return warning().contains("of 200 fit"); }, "the warning");
  EXPECT_TRUE(d().find("primary")->isEnabled());
}

}  // namespace
}  // namespace zp
