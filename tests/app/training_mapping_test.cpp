// The Training and Mapping desks, worked by mouse and keys on the demo study.
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
  const auto set = studySignatures(s(), w().bench().currentScene()->scene, {});
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
  const auto set = studySignatures(s(), w().bench().currentScene()->scene, {});
  const Signature& water = set.classes[0];
  for (int b = 0; b < 8; ++b) {
    EXPECT_NEAR(bands->item(b, 1)->text().replace("−", "-").toDouble(), water.mean[b], 1e-4);
    EXPECT_NEAR(bands->item(b, 2)->text().toDouble(), water.sd()[b], 1e-4);
  }
}

TEST_F(TrainingDeskWindow, HealthAndTheMostAlikeAreTold) {
  importTraining();
  d().until([&] { return classes().item(0, 4)->text() != ""; }, "the health of the classes");
  const Samples samples = studySamples(s(), w().bench().currentScene()->scene, {});
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
  EXPECT_EQ(toJson(s().legend), before);
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

TEST_F(TrainingDeskWindow, OneClassAloneMakesNoMapAndSaysSo) {
  chooseClass(2);
  draw(w().view().rect().center(), 60);
  ASSERT_EQ(s().training.size(), 1u);
  d().stage(3);
  EXPECT_FALSE(d().find("primary")->isEnabled());
  EXPECT_TRUE(said().contains("at least two classes")) << said().toStdString();
}

class MappingDeskWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    d().stage(2);
    importTraining();
    d().stage(3);
  }
  const Product& map() { return s().products.back(); }
};

TEST_F(MappingDeskWindow, MinimumDistanceOverChosenBands) {
  d().click("more-method");
  d().settle();
  d().click("method-minimum-distance");
  d().click("openBands");
  d().settle();
  d().click("feature-1");
  d().settle();
  d().click("feature-2");
  d().settle();
  EXPECT_FALSE(d().find("feature-1")->isChecked());
  d().make("primary", "the map");
  EXPECT_EQ(map().step["method"], "minimum-distance");
  EXPECT_EQ(map().step["features"].size(), 6u);
  EXPECT_EQ(map().step["features"][0], "band(red)");
  // The table holds the areas of the map, in pixels, hectares and km².
  auto* table = d().find<QTableWidget>("areaTable");
  const auto areas = map().facts["classes"];
  ASSERT_EQ(table->rowCount(), static_cast<int>(areas.size()));
  for (int r = 0; r < table->rowCount(); ++r) {
    const auto i = static_cast<size_t>(r);
    EXPECT_EQ(table->item(r, 1)->text(), grouped(areas[i]["pixels"].get<size_t>()));
    EXPECT_EQ(table->item(r, 2)->text(), areaText(areas[i]["area_m2"].get<double>()));
  }
  const Legend legend = legendOf(RasterFile(map().file));
  EXPECT_EQ(legend.find(4)->name, "Reedbed");
  EXPECT_EQ(colourText(legend.find(4)->colour), "#ba9658");
}

TEST_F(MappingDeskWindow, AForestTellsWhatPartedTheClasses) {
  const auto seen = [&](const char* name) {
    const auto all = w().findChildren<QWidget*>(name);
    return std::any_of(all.begin(), all.end(), [](auto* part) { return part->isVisible(); });
  };
  EXPECT_FALSE(seen("importance"));
  d().click("method-random-forest");
  d().until([&] { return seen("trees"); }, "the parameters of the forest");
  // What is seldom set is folded away, and stays open once it was opened.
  EXPECT_FALSE(seen("depth"));
  d().click("moreSettings");
  d().until([&] { return seen("depth"); }, "the parameters that were folded away");
  d().click("more-method");
  d().settle();
  d().click("method-minimum-distance");
  d().until([&] { return !seen("trees"); }, "the parameters of the other method");
  d().click("method-random-forest");
  d().until([&] { return seen("depth") && seen("trees"); }, "the parameters as they were left");
  d().press("trees", "20");
  d().make("primary", "the map");
  EXPECT_EQ(map().step["settings"], (Json{{"trees", 20}}));
  auto* bars = d().find<BarList>("importance");
  ASSERT_EQ(bars->bars().size(), 5);
  EXPECT_GE(bars->bars()[0].value, bars->bars()[4].value);
  const double known = map().facts["training"]["out_of_bag"];
  EXPECT_GT(known, 0.8);
  EXPECT_EQ(d().find<QLabel>("outOfBag")->text(), decimal(known * 100, 1) + " %");
  d().click("allImportance");
  EXPECT_EQ(bars->bars().size(), 8);
  // Another method tells nothing of that.
  d().click("method-spectral-angle");
  d().make("primary", "the other map");
  d().settle();
  EXPECT_FALSE(seen("importance"));
}

TEST_F(MappingDeskWindow, AMapIsCutToTheStudyArea) {
  d().click("mapChoices");
  d().settle();
  d().click<QCheckBox>("mapInside");
  d().make("primary", "the map");
  const Product& map = s().products.back();
  EXPECT_TRUE(map.step.contains("inside"));
  size_t pixels = 0;
  for (const auto& c : map.facts["classes"]) pixels += c["pixels"].get<size_t>();
  EXPECT_GT(pixels, 200000u);
  EXPECT_LT(pixels, 800000u);
  uint16_t corner = 9;
  RasterFile(map.file).readCodes(1, {0, 0, 1, 1}, &corner);
  EXPECT_EQ(corner, 0);
}

TEST_F(MappingDeskWindow, RejectLeavesPixelsWithoutAClass) {
  d().make("primary", "the map");
  const auto sum = [](const Json& facts) {
    size_t n = 0;
    for (const auto& c : facts["classes"]) n += c["pixels"].get<size_t>();
    return n;
  };
  const size_t all = sum(map().facts);
  d().click("moreSettings");
  d().settle();
  d().press("reject", "2.5");
  d().make("primary", "the stricter map");
  EXPECT_EQ(map().step["settings"]["reject"], 2.5);
  EXPECT_LT(sum(map().facts), all);
  d().press("reject", "-1");
  d().click("primary");
  EXPECT_TRUE(said().contains("has to be a number above 0")) << said().toStdString();
  EXPECT_EQ(d().products(), 2u);
}

TEST_F(MappingDeskWindow, PriorsOfOnesOwnChangeTheMap) {
  d().make("primary", "the map");
  const Json equal = map().facts["classes"];
  auto* priors = d().find<QComboBox>("priors");
  priors->setFocus();
  QTest::keyClick(priors, Qt::Key_End);
  auto* table = d().find<QTableWidget>("priorsTable");
  table->item(0, 1)->setText("none");
  d().click("primary");
  EXPECT_TRUE(said().contains("The share of Open water")) << said().toStdString();
  table->item(0, 1)->setText("0.001");
  d().make("primary", "the map with priors");
  EXPECT_EQ(map().step["settings"]["priors"]["1"], 0.001);
  EXPECT_LE(map().facts["classes"][0]["pixels"].get<size_t>(), equal[0]["pixels"].get<size_t>());
}

TEST_F(MappingDeskWindow, WithoutBandsThereIsNoMap) {
  d().click("sceneFeatures");
  d().settle();
  EXPECT_FALSE(d().find("primary")->isEnabled());
  EXPECT_TRUE(said().contains("at least one band or feature"));
  d().click("openBands");
  d().settle();
  d().click("feature-5");
  EXPECT_TRUE(d().find("primary")->isEnabled());
}

TEST_F(MappingDeskWindow, FeaturesOfAnyKindAndSceneAreAdded) {
  d().click("sceneFeatures");
  d().settle();
  d().click("addFeature");
  auto* kind = d().find<QComboBox>("featureKind");
  auto* of = d().find<QComboBox>("featureOf");
  kind->setCurrentIndex(kind->findData("index"));
  d().settle();
  auto* index = d().find<QComboBox>("index");
  index->setCurrentIndex(index->findData("vegetation"));
  d().click("featureAdd");
  d().settle();
  EXPECT_TRUE(said().isEmpty()) << said().toStdString();
  d().click("addFeature");
  kind->setCurrentIndex(kind->findData("brightness"));
  ASSERT_GT(of->count(), 1);
  of->setCurrentIndex(1);
  d().click("featureAdd");
  d().settle();
  EXPECT_EQ(d().find("added-1")->text(), "NDVI");
  EXPECT_TRUE(d().find("added-2")->text().startsWith("brightness of "))
      << of->itemText(1).toStdString();
  // The same again is not added twice.
  d().click("addFeature");
  d().settle();
  d().click("featureAdd");
  d().settle();
  EXPECT_TRUE(said().contains("among them already")) << said().toStdString();
  d().click("featureNotNow");
  d().make("primary", "a map of two features");
  const Json& step = map().step;
  ASSERT_EQ(step["features"].size(), 2u);
  EXPECT_EQ(step["features"][0], "index(vegetation)");
  ASSERT_EQ(step["with"].size(), 1u);
  const std::string name = step["with"].begin().key();
  EXPECT_EQ(step["features"][1], "brightness of " + name);
  bool recorded = false;
  for (const auto& i : map().inputs) recorded = recorded || i.id == step["with"][name];
  const QString facts = QTextDocumentFragment::fromHtml(factsOf(s(), q(map().id))).toPlainText();
  EXPECT_TRUE(facts.contains("NDVI") && facts.contains("Brightness")) << facts.toStdString();
  EXPECT_FALSE(facts.contains("index(")) << facts.toStdString();
  EXPECT_TRUE(recorded);  // the other scene is an input: the map goes out of date with it
  // Set aside, a feature stays at hand.
  d().click("added-2");
  d().make("primary", "a map of one feature");
  EXPECT_EQ(map().step["features"].size(), 1u);
  EXPECT_FALSE(map().step.contains("with"));
}

TEST_F(MappingDeskWindow, WhatIsBeingTypedStaysWhenTheStudyChangesMeanwhile) {
  d().click("moreSettings");
  d().settle();
  auto* reject = d().find<QLineEdit>("reject");
  d().press("reject", "-");
  d().click("addFeature");
  auto* kind = d().find<QComboBox>("featureKind");
  kind->setCurrentIndex(kind->findData("formula"));
  d().settle();
  d().press("formula", "nir /");
  w().findChild<MappingDesk*>()->refresh();  // as when a job ends
  d().settle();
  EXPECT_EQ(d().find<QLineEdit>("reject"), reject);
  EXPECT_EQ(reject->text(), "-");
  EXPECT_EQ(d().find<QLineEdit>("formula")->text(), "nir /");
}

TEST_F(MappingDeskWindow, EveryMethodExplainsItselfInPlace) {
  d().click("more-method");
  d().settle();
  auto* opener = d().find<QToolButton>("explain-method");
  for (const auto* m : methods()) {
    d().click("method-" + q(m->id));
    const auto shown = [&](const std::string& text) {
      for (auto* l : w().findChildren<QLabel*>())
        if (l->isVisible() && l->text().contains(q(text))) return true;
      return false;
    };
    EXPECT_FALSE(shown(m->assumes));
    QTest::mouseClick(opener, Qt::LeftButton);
    EXPECT_TRUE(shown(m->assumes)) << m->id;
    for (const auto& p : m->parameters) EXPECT_TRUE(shown(p.about)) << m->id << " " << p.id;
    QTest::mouseClick(opener, Qt::LeftButton);
    EXPECT_FALSE(shown(m->assumes));
  }
}

TEST_F(MappingDeskWindow, OneClassAloneIsShownFromTheKey) {
  d().make("primary", "the map");
  d().settle();
  const QImage all = w().view().grab().toImage();
  Q_EMIT w().view().onlyClassAsked(4);
  d().settle();
  EXPECT_EQ(w().view().front().onlyClass, 4);
  EXPECT_NE(w().view().grab().toImage(), all);
  Q_EMIT w().view().onlyClassAsked(4);
  d().settle();
  EXPECT_EQ(w().view().front().onlyClass, 0);
  EXPECT_EQ(w().view().grab().toImage(), all);
}

TEST_F(MappingDeskWindow, TwoMapsAreCombinedAndComparedWhereTheyDisagree) {
  d().make("primary", "the first map");
  const std::string first = map().id;
  d().click("more-method");
  d().settle();
  d().click("method-minimum-distance");
  d().make("primary", "the second map");
  const std::string second = map().id;
  d().click("combinePage");
  d().settle();
  EXPECT_EQ(d().find<QComboBox>("combineFirst")->currentData().toString(), q(second));
  EXPECT_EQ(d().find<QComboBox>("combineSecond")->currentData().toString(), q(first));
  auto* keep = d().find<QListWidget>("combineKeep");
  ASSERT_EQ(keep->count(), 9);
  for (int i = 0; i < 9; ++i) keep->item(i)->setCheckState(i == 0 ? Qt::Checked : Qt::Unchecked);
  d().make("primary", "the combined map");
  EXPECT_EQ(map().step["keep"], Json({1}));
  std::vector<uint16_t> a(1), b(1), c(1);
  const Grid grid = RasterFile(map().file).grid();
  for (int y = 5; y < grid.height; y += 97)
    for (int x = 5; x < grid.width; x += 89) {
      RasterFile(s().product(second)->file).readCodes(1, {x, y, 1, 1}, a.data());
      RasterFile(s().product(first)->file).readCodes(1, {x, y, 1, 1}, b.data());
      RasterFile(map().file).readCodes(1, {x, y, 1, 1}, c.data());
      EXPECT_EQ(c[0], a[0] == 1 ? 1 : b[0]) << x << " " << y;
    }
  d().make("disagreement", "the disagreement");
  const Json told = map().facts["disagreement"];
  EXPECT_GT(told["different"], 0);
  EXPECT_TRUE(d().find<QLabel>("combineSaid")->text().contains("% of the pixels"));
}

TEST_F(MappingDeskWindow, AMapIsPutRightByHandAndTheCorrectionsAreKeptApart) {
  d().make("primary", "the map");
  const std::string plain = map().id;
  d().click("touchUpPage");
  d().settle();
  EXPECT_FALSE(d().find("primary")->isEnabled());
  auto* becomes = d().find<QComboBox>("touchUpBecomes");
  becomes->setCurrentIndex(becomes->findData(9));
  const auto drawAt = [&](const QPoint& at) {
    if (!d().find("touchUpDraw")->isChecked()) d().click("touchUpDraw");
    for (const QPoint& p : {at, at + QPoint(60, 0), at + QPoint(60, 60)})
      QTest::mouseClick(&w().view(), Qt::LeftButton, {}, p);
    QTest::keyClick(&w().view(), Qt::Key_Return);
  };
  w().findChild<MappingDesk*>()->productAsked(q(w().bench().currentScene()->id));
  drawAt({300, 200});
  EXPECT_EQ(w().view().front().of, plain);  // what is drawn on is seen
  drawAt({400, 380});
  auto* list = d().find<QTableWidget>("touchUpList");
  ASSERT_EQ(list->rowCount(), 2);
  EXPECT_EQ(w().findChild<MappingDesk*>()->shapes().size(), 2u);
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(list->rowCount(), 1);
  key(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
  EXPECT_EQ(list->rowCount(), 2);
  list->selectRow(1);
  d().settle();
  d().click("touchUpOut");
  ASSERT_EQ(list->rowCount(), 1);
  d().make("primary", "the map touched up");
  EXPECT_EQ(map().step["corrections"].size(), 1u);
  EXPECT_GT(map().facts["changed"], 50);
  const Place at = w().view().toMap({340, 215});
  const Grid grid = RasterFile(map().file).grid();
  const Place pixel = grid.toPixel(at);
  uint16_t code = 0;
  RasterFile(map().file)
      .readCodes(1, {static_cast<int>(pixel.x), static_cast<int>(pixel.y), 1, 1}, &code);
  EXPECT_EQ(code, 9);
  // The map itself is as it was, and what was drawn is there when one comes back.
  EXPECT_NE(s().product(plain), nullptr);
  reopen();
  d().stage(3);
  d().click("touchUpPage");
  d().settle();
  EXPECT_EQ(d().find<QTableWidget>("touchUpList")->rowCount(), 1);
}

TEST_F(MappingDeskWindow, ACancelledMapLeavesNothing) {
  const auto files = [&] {
    size_t n = 0;
    for (const auto& e : fs::recursive_directory_iterator(s().folder())) n += e.is_regular_file();
    return n;
  };
  const size_t before = files();
  d().click("primary");
  w().bench().jobs().cancel();
  d().until([&] { return !w().bench().jobs().busy(); }, "the end");
  EXPECT_EQ(d().products(), 0u);
  EXPECT_EQ(files(), before);
}

}  // namespace
}  // namespace zp
