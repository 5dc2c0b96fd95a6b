// The Training desk, worked by mouse and keys on the demo study.
#include "area_samples.h"
#include "charts/bar_list.h"
#include "desks/mapping/mapping_desk.h"
#include "legend/class_map.h"
#include "mapping/method.h"
#include "outline/layer.h"
#include "shell/facts.h"
#include "support/rasters.h"
#include "training/health.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class TrainingDeskWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    d().stage(2);
  }
  QTableWidget& classes() { return *d().find<QTableWidget>("classTable"); }
  void chooseClass(int row) {
    QTest::mouseClick(classes().viewport(), Qt::LeftButton, {},
                      classes().visualItemRect(classes().item(row, 0)).center());
  }
  void draw(const QPoint& at, int size) {
    d().click("drawArea");
    for (const QPoint& p : {at, at + QPoint(size, 0), at + QPoint(size, size)})
      QTest::mouseClick(&w().view(), Qt::LeftButton, {}, p);
    QTest::keyClick(&w().view(), Qt::Key_Return);
  }
};

TEST_F(TrainingDeskWindow, AreasAreImportedThroughTheDesk) {
  whenAskedForAFile(s().folder() / "outlines/outlines.gpkg");
  d().click("importTraining");
  EXPECT_EQ(d().find<QComboBox>("importLayer")->currentText(), "training");
  EXPECT_EQ(d().find<QComboBox>("importCode")->currentText(), "code");
  EXPECT_EQ(d().find<QComboBox>("importName")->currentText(), "class");
  d().click("importGo");
  const size_t n = s().training.size();
  EXPECT_GT(n, 9u);
  d().until([&] { return classes().item(3, 2)->text() != "–"; }, "the signatures");
  EXPECT_EQ(w().trail().stations()[2].figure, "9 classes");
  // The pixels of the table are those of the signatures themselves.
  const auto set = signaturesOf(areaSamples(s(), w().bench().currentScene()->scene));
  for (int r = 0; r < classes().rowCount(); ++r)
    for (const auto& c : set.classes)
      if (c.code == classes().item(r, 0)->data(Qt::UserRole).toInt()) {
        EXPECT_EQ(classes().item(r, 2)->text(), grouped(c.pixels));
      }
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_TRUE(s().training.empty());
}

TEST_F(TrainingDeskWindow, TheBandTableShowsMeanAndSpreadOfTheChosenClass) {
  importTraining();
  d().until([&] { return classes().item(0, 2)->text() != "–"; }, "the signatures");
  chooseClass(0);
  auto* bands = d().find<QTableWidget>("bandStatistics");
  ASSERT_EQ(bands->rowCount(), 8);
  const auto set = signaturesOf(areaSamples(s(), w().bench().currentScene()->scene));
  const Signature& water = set.classes[0];
  for (int b = 0; b < 8; ++b) {
    EXPECT_NEAR(bands->item(b, 1)->text().replace("−", "-").toDouble(), water.mean[b], 1e-4);
    EXPECT_NEAR(bands->item(b, 2)->text().toDouble(), water.sd()[b], 1e-4);
  }
}

TEST_F(TrainingDeskWindow, HealthAndTheMostAlikeAreTold) {
  importTraining();
  d().until([&] { return classes().item(0, 4)->text() != ""; }, "the health of the classes");
  const Samples samples = areaSamples(s(), w().bench().currentScene()->scene);
  const SignatureSet set = signaturesOf(samples);
  const auto health = healthOf(samples, set);
  int mixed = 0;
  for (int r = 0; r < classes().rowCount(); ++r)
    for (const auto& h : health)
      if (h.code == classes().item(r, 0)->data(Qt::UserRole).toInt()) {
        EXPECT_EQ(classes().item(r, 4)->text(), wordOf(h.word));
        EXPECT_EQ(classes().item(r, 3)->data(Qt::UserRole).toList().size(), 24);
        if (h.word != Health::Mixed) continue;
        ++mixed;
        chooseClass(r);
        EXPECT_EQ(d().find<QLabel>("healthReason")->text(), q(h.reason.text()));
      }
  // The careless area is in one of them; most classes are all right.
  EXPECT_GE(mixed, 1);
  EXPECT_LE(mixed, 4);
  EXPECT_EQ(classes().horizontalHeaderItem(3)->text(), "nir");
  auto* pairs = w().findChild<QTableWidget*>("pairTable");
  const auto worst = confusablePairs(set);
  EXPECT_EQ(pairs->rowCount(), 5);
  EXPECT_EQ(pairs->item(0, 1)->text().toDouble(),
            std::round(worst[0].jeffriesMatusita * 100) / 100);
  EXPECT_EQ(pairs->item(0, 2)->text(), q(worst[0].feature));
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_FALSE(pairs->isVisible());
}

TEST_F(TrainingDeskWindow, AFileWithoutAreasIsSaidInPlace) {
  std::ofstream(folder_ / "notes.gpkg") << "not a layer";
  whenAskedForAFile(folder_ / "notes.gpkg");
  d().click("importTraining");
  EXPECT_TRUE(said().contains("notes.gpkg")) << said().toStdString();
  // Areas far from the scene are refused as a whole.
  writeAreas(folder_ / "far.gpkg", {{1, "Open water", {{0, 0}, {10, 0}, {10, 10}}}});
  w().training().areas().importFrom(q((folder_ / "far.gpkg").string()) + ":areas", "code", "name",
                                    "");
  EXPECT_TRUE(said().contains("lie on it")) << said().toStdString();
  EXPECT_TRUE(s().training.empty());
}

TEST_F(TrainingDeskWindow, TheColourOfANewClassFollowsItsNameUntilOneIsChosen) {
  w().bench().setLegend({}, "None");
  d().click("drawArea");
  EXPECT_TRUE(said().contains("make a new one"));
  d().click("newClass");
  EXPECT_EQ(said(), "");
  d().press("className", "Forest");
  EXPECT_EQ(d().find<QPushButton>("classColour")->text(), "#009e73");
  d().press("className", "Open water");
  d().click("classKeep");
  EXPECT_EQ(s().legend.classes[0].colour, (Colour{0, 114, 178}));
  // What is there already keeps its colour when it is called otherwise.
  chooseClass(0);
  d().click("editClass");
  d().press("className", "Forest");
  d().click("classKeep");
  EXPECT_EQ(s().legend.classes[0].name, "Forest");
  EXPECT_EQ(s().legend.classes[0].colour, (Colour{0, 114, 178}));
}

TEST_F(TrainingDeskWindow, ANewClassIsNamedDrawnAndRemovedWithItsAreas) {
  const size_t n = s().legend.classes.size();
  d().click("newClass");
  EXPECT_EQ(QApplication::activeModalWidget(), nullptr);  // it folds out on the desk
  d().press("className", "Sand bank");
  QTest::keyClick(d().find<QLineEdit>("className"), Qt::Key_Return);
  ASSERT_EQ(s().legend.classes.size(), n + 1);
  const LegendClass made = s().legend.classes.back();
  EXPECT_EQ(made.name, "Sand bank");
  chooseClass(static_cast<int>(n));
  draw(w().view().rect().center(), 40);
  ASSERT_EQ(s().training.size(), 1u);
  EXPECT_EQ(s().training[0].code, made.code);
  d().click("removeClass");
  EXPECT_EQ(s().legend.classes.size(), n);
  EXPECT_TRUE(s().training.empty());
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().legend.find(made.code)->name, "Sand bank");
  EXPECT_EQ(s().training.size(), 1u);
}

TEST_F(TrainingDeskWindow, AClassIsRenumberedWithItsAreasAndAClashIsRefusedInPlace) {
  importTraining();
  const auto areasOf = [&](int code) {
    return std::count_if(s().training.begin(), s().training.end(),
                         [&](const TrainingArea& a) { return a.code == code; });
  };
  const auto water = areasOf(1), flat = areasOf(2);
  chooseClass(0);
  d().click("editClass");
  d().settle();
  d().press("classCode", "2");
  d().click("classKeep");
  EXPECT_TRUE(d().find<QLabel>("classError")->text().contains("Tidal flat has the code 2"));
  EXPECT_EQ(areasOf(2), flat);
  d().press("classCode", "70000");
  d().click("classKeep");
  EXPECT_TRUE(d().find<QLabel>("classError")->text().contains("65535"));
  d().press("classCode", "31");
  d().press("className", "Deep water");
  d().click("classKeep");
  EXPECT_EQ(areasOf(31), water);
  EXPECT_EQ(areasOf(1), 0);
  EXPECT_EQ(s().legend.find(31)->name, "Deep water");
  EXPECT_EQ(s().legend.find(1), nullptr);
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(areasOf(1), water);
}

TEST_F(TrainingDeskWindow, AClassIsMergedIntoAnother) {
  importTraining();
  const size_t areas = s().training.size(), classes_ = s().legend.classes.size();
  chooseClass(1);
  d().click("editClass");
  d().settle();
  auto* into = d().find<QComboBox>("mergeInto");
  into->setCurrentIndex(into->findData(3));
  Q_EMIT into->activated(into->currentIndex());
  EXPECT_EQ(s().legend.classes.size(), classes_ - 1);
  EXPECT_EQ(s().training.size(), areas);
  bool named = false;
  for (const auto& a : s().training) {
    EXPECT_NE(a.code, 2);
    named = named || (a.code == 3 && a.subclass == "mud");
  }
  EXPECT_TRUE(named);
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().legend.classes.size(), classes_);
}

TEST_F(TrainingDeskWindow, TheLegendIsSavedAndLoaded) {
  const Json before = toJson(s().legend);
  chooseClass(0);
  d().click("editClass");
  d().settle();
  whenAskedForAFile(folder_ / "legend.csv");
  d().click("saveLegend");
  importTraining();
  std::ofstream(folder_ / "other.csv") << "code,name\n4,Reeds\n77,Quarry\n";
  whenAskedForAFile(folder_ / "other.csv");
  d().click("loadLegend");
  EXPECT_EQ(s().legend.find(77)->name, "Quarry");
  EXPECT_EQ(s().legend.find(4)->name, "Reeds");
  EXPECT_NE(s().legend.find(1), nullptr);  // it has training areas
  std::ofstream(folder_ / "bad.csv") << "code,name\n4,Reeds\n4,Quarry\n";
  chooseClass(0);
  d().click("editClass");
  d().settle();
  whenAskedForAFile(folder_ / "bad.csv");
  d().click("loadLegend");
  EXPECT_TRUE(said().contains("4")) << said().toStdString();
  whenAskedForAFile(folder_ / "legend.csv");
  d().click("loadLegend");
  // With the subclasses that the areas have beside those of the file.
  EXPECT_EQ(toJson(s().legend), toJson(legendOf(s().training, legendFrom(before))));
}

TEST_F(TrainingDeskWindow, DrawingIsLeftWithEscapeAndNeedsThreeCorners) {
  chooseClass(0);
  d().click("drawArea");
  QTest::mouseClick(&w().view(), Qt::LeftButton, {}, QPoint(300, 200));
  QTest::mouseClick(&w().view(), Qt::LeftButton, {}, QPoint(340, 200));
  QTest::keyClick(&w().view(), Qt::Key_Return);
  EXPECT_TRUE(s().training.empty());
  QTest::keyClick(&w().view(), Qt::Key_Escape);
  QTest::keyClick(&w().view(), Qt::Key_Escape);
  EXPECT_EQ(w().view().tool(), MapView::Tool::Look);
  EXPECT_FALSE(d().find("drawArea")->isChecked());
  EXPECT_TRUE(s().training.empty());
}

TEST_F(TrainingDeskWindow, CornersAreMovedAddedAndTakenAway) {
  chooseClass(0);
  draw({300, 260}, 80);
  ASSERT_EQ(s().training.size(), 1u);
  d().click("drawArea");  // off again
  d().settle();
  MapView& view = w().view();
  const auto corner = [&](size_t i) {
    return view.toScreen(s().training[0].shape.rings[0][i]).toPoint();
  };
  const auto dragFrom = [&](const QPoint& from, const QPoint& to) {
    QTest::mousePress(&view, Qt::LeftButton, {}, from);
    QTest::mouseMove(&view, (from + to) / 2);
    QTest::mouseMove(&view, to);
    QTest::mouseRelease(&view, Qt::LeftButton, {}, to);
  };
  const Place before = s().training[0].shape.rings[0][1];
  const QPoint to = corner(1) + QPoint(30, -20);
  dragFrom(corner(1), to);
  const Ring moved = s().training[0].shape.rings[0];
  ASSERT_EQ(moved.size(), 3u);
  EXPECT_NE(moved[1].x, before.x);
  EXPECT_LT((view.toScreen(moved[1]) - QPointF(to)).manhattanLength(), 3);
  // The middle of an edge becomes a corner.
  const QPoint middle = (corner(0) + corner(2)) / 2;
  dragFrom(middle, middle + QPoint(-25, 10));
  ASSERT_EQ(s().training[0].shape.rings[0].size(), 4u);
  // Delete over a corner takes it away; elsewhere the whole area.
  QTest::mouseMove(&view, corner(1));
  QTest::keyClick(&view, Qt::Key_Delete);
  EXPECT_EQ(s().training[0].shape.rings[0].size(), 3u);
  QTest::mouseMove(&view, corner(1));
  QTest::keyClick(&view, Qt::Key_Delete);
  ASSERT_EQ(s().training.size(), 1u);  // three corners are the least
  QTest::mouseMove(&view, QPoint(40, 300));
  QTest::keyClick(&view, Qt::Key_Delete);
  EXPECT_TRUE(s().training.empty());
  for (int i = 0; i < 4; ++i) key(Qt::Key_Z, Qt::ControlModifier);
  ASSERT_EQ(s().training.size(), 1u);
  EXPECT_EQ(s().training[0].shape.rings[0][1].x, before.x);
}

TEST_F(TrainingDeskWindow, AnAreaGrowsFromAPixel) {
  chooseClass(0);
  d().click("growArea");
  d().settle();
  EXPECT_FALSE(d().find("growKeep")->isEnabled());
  const QPoint water(200, 330);
  QTest::mouseClick(&w().view(), Qt::LeftButton, {}, water);
  d().until([&] { return d().find("growKeep")->isEnabled(); }, "the region");
  EXPECT_TRUE(s().training.empty());  // only looked at
  ASSERT_EQ(w().training().shapes().size(), 1u);
  const auto said = [&] { return d().find<QLabel>("growSaid")->text(); };
  const QString before = said();
  auto* tolerance = d().find<QSlider>("growTolerance");
  tolerance->setFocus();
  QTest::keyClick(tolerance, Qt::Key_Home);
  d().until([&] { return said() != before; }, "a smaller region");
  d().click("growKeep");
  ASSERT_EQ(s().training.size(), 1u);
  EXPECT_EQ(s().training[0].code, s().legend.classes[0].code);
  const auto pixels = labelPixels(s().training, w().bench().currentScene()->scene.grid).pixels;
  EXPECT_GT(pixels, 0u);
  QTest::keyClick(&w().view(), Qt::Key_Escape);
  d().settle();
  EXPECT_FALSE(d().find("growArea")->isChecked());
}

TEST_F(TrainingDeskWindow, AreasAreExportedAndReadBackTheSame) {
  importTraining();
  d().settle();
  whenAskedForAFile(folder_ / "mine.geojson");
  d().click("trainingSets");
  d().click("exportTraining");
  const auto back = readTrainingAreas((folder_ / "mine.geojson").string(),
                                      {"code", "class", "subclass"}, s().trainingCrs);
  ASSERT_EQ(back.size(), s().training.size());
  const Grid& grid = w().bench().currentScene()->scene.grid;
  EXPECT_EQ(labelPixels(back, grid).pixels, labelPixels(s().training, grid).pixels);
  EXPECT_EQ(back[3].subclass, s().training[3].subclass);
}

TEST_F(TrainingDeskWindow, TheLegendIsOrderedByKeysAndButtonsAndToldOf) {
  importTraining();
  const int revision = s().trainingRevision;
  const auto order = [&] {
    std::vector<int> codes;
    for (int r = 0; r < classes().rowCount(); ++r)
      codes.push_back(classes().item(r, 0)->data(Qt::UserRole).toInt());
    return codes;
  };
  const auto before = order();
  chooseClass(0);
  QTest::keyClick(&classes(), Qt::Key_Down, Qt::AltModifier);
  auto moved = before;
  std::swap(moved[0], moved[1]);
  EXPECT_EQ(order(), moved);
  EXPECT_EQ(classes().currentRow(), 1);  // it goes along
  d().click("editClass");
  d().click("classDown");
  std::swap(moved[1], moved[2]);
  EXPECT_EQ(order(), moved);
  d().click("classUp");
  d().click("classUp");
  EXPECT_EQ(order(), before);
  EXPECT_FALSE(d().find("classUp")->isEnabled());
  d().press("legendName", "Cover of summer");
  d().press("legendAbout", "What stands in July");
  QTest::keyClick(d().find<QLineEdit>("legendAbout"), Qt::Key_Return);
  EXPECT_EQ(s().legend.name, "Cover of summer");
  EXPECT_EQ(s().legend.description, "What stands in July");
  look("legend-edit");
  EXPECT_EQ(s().trainingRevision, revision);  // no map is out of date for any of it
  const Json kept = readJson(s().folder() / "study.json")["legend"];
  EXPECT_EQ(kept["name"], "Cover of summer");
  for (int undo = 0; undo < 3; ++undo) w().bench().undo().undo();
  EXPECT_EQ(s().legend.name, "");
  EXPECT_NE(order(), before);
}

TEST_F(TrainingDeskWindow, AnAreaGetsASubclassAndAnotherClass) {
  importTraining();
  const QPoint centre = w().view().rect().center();
  chooseClass(3);
  draw(centre, 60);
  const size_t area = s().training.size() - 1;
  const int code = s().training[area].code;
  ASSERT_TRUE(d().find<QComboBox>("areaClass")->isVisible());
  d().press("areaSubclass", "young");
  QTest::keyClick(d().find<QComboBox>("areaSubclass"), Qt::Key_Return);
  EXPECT_EQ(s().training[area].subclass, "young");
  const auto& parts = s().legend.find(code)->subclasses;
  EXPECT_EQ(parts.back().name, "young");
  look("area-edit");
  const int other = s().legend.classes[5].code;
  choose("areaClass", q(s().legend.classes[5].name));
  EXPECT_EQ(s().training[area].code, other);
  EXPECT_EQ(s().training[area].subclass, "");
  EXPECT_EQ(classes().item(classes().currentRow(), 0)->data(Qt::UserRole).toInt(), other);
  w().bench().undo().undo();
  EXPECT_EQ(s().training[area].code, code);
  EXPECT_EQ(s().training[area].subclass, "young");
  w().bench().undo().undo();
  EXPECT_EQ(s().training[area].subclass, "");
  EXPECT_EQ(d().find<QComboBox>("areaSubclass")->currentText(), "");
  // Nothing is chosen: nothing is offered.
  d().click("removeArea");
  EXPECT_FALSE(w().findChild<QComboBox*>("areaClass")->isVisible());
}

TEST_F(TrainingDeskWindow, OneClassAloneMakesNoMapAndSaysSo) {
  chooseClass(2);
  draw(w().view().rect().center(), 60);
  ASSERT_EQ(s().training.size(), 1u);
  d().stage(3);
  EXPECT_FALSE(d().find("primary")->isEnabled());
  EXPECT_TRUE(said().contains("at least two classes")) << said().toStdString();
}

}  // namespace
}  // namespace zp
