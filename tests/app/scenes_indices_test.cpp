// The Scenes and Indices desks, worked by mouse and keys on the demo study.
#include "legend/class_map.h"
#include "outline/layer.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class ScenesDeskWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    d().stage(0);
    d().click("page-bands");
  }
  const StudyScene& scene() { return *w().bench().currentScene(); }
  void enter(const QString& field, const QString& text) {
    d().press(field, text);
    QTest::keyClick(d().find<QLineEdit>(field), Qt::Key_Return);
  }
  /// Types into a cell of the band table, as a user does after a double-click.
  void enterCell(int row, int column, const QString& text) {
    auto* table = d().find<QTableWidget>("bandTable");
    table->setCurrentCell(row, column);
    table->editItem(table->item(row, column));
    auto* field = table->viewport()->findChild<QLineEdit*>();
    ASSERT_NE(field, nullptr);
    field->selectAll();
    QTest::keyClicks(field, text);
    QTest::keyClick(field, Qt::Key_Return);
    // The editor hands over what was typed on its way out, and the desk takes it up after that.
    d().until([&] { return table->viewport()->findChild<QLineEdit*>() == nullptr; }, "the cell");
    QCoreApplication::processEvents();
  }
};

TEST_F(ScenesDeskWindow, NameAndDateAreChangedAndTakenBack) {
  const std::string name = scene().scene.name, date = scene().scene.date;
  enter("sceneName", "High summer");
  EXPECT_EQ(scene().scene.name, "High summer");
  enter("sceneDate", "2031-07-19");
  EXPECT_EQ(scene().scene.date, "2031-07-19");
  enter("sceneDate", "2031-02-30");
  EXPECT_TRUE(said().contains("The date is not one")) << said().toStdString();
  EXPECT_EQ(scene().scene.date, "2031-07-19");
  enter("sceneName", "  ");
  EXPECT_EQ(scene().scene.name, "High summer");
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(scene().scene.date, date);
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(scene().scene.name, name);
  key(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
  reopen();
  EXPECT_EQ(scene().scene.name, "High summer");
}

TEST_F(ScenesDeskWindow, ScaleAndOffsetGoToAllBandsThatSharedThem) {
  ASSERT_NEAR(scene().scene.bands[0].conversion.scale, 0.0001, 1e-12);
  enterCell(2, 3, "0.0002");
  for (const auto& b : scene().scene.bands) EXPECT_EQ(b.conversion.scale, 0.0002);
  enterCell(2, 4, "-0.1");
  for (const auto& b : scene().scene.bands) EXPECT_EQ(b.conversion.offset, -0.1);
  enterCell(0, 3, "0");
  EXPECT_TRUE(said().contains("other than 0")) << said().toStdString();
  enterCell(0, 4, "much");
  EXPECT_TRUE(said().contains("not a number")) << said().toStdString();
  EXPECT_EQ(d().find<QTableWidget>("bandTable")->item(0, 4)->text(), "-0.1");
  // The values of an index follow: (nir − red) / (nir + red) with twice the scale and an offset.
  d().stage(1);
  d().click("index-by-hand");
  d().press("formula", "nir");
  d().make("primary", "the index");
  const double high = s().products.back().facts["max"];
  d().stage(0);
  key(Qt::Key_Z, Qt::ControlModifier);
  key(Qt::Key_Z, Qt::ControlModifier);
  for (const auto& b : scene().scene.bands) EXPECT_NEAR(b.conversion.scale, 0.0001, 1e-12);
  EXPECT_TRUE(s().outOfDate(s().products.back()));
  w().bench().bringUpToDate(q(s().products.back().id));
  d().settle();
  EXPECT_NEAR(s().products.back().facts["max"].get<double>() * 2 - 0.1, high, 1e-5);
}

TEST_F(ScenesDeskWindow, APresetThatDoesNotFitSaysWhy) {
  const auto before = toJson(scene().scene, {});
  auto* preset = d().find<QComboBox>("preset");
  const int heron = preset->findText("Heron", Qt::MatchStartsWith);
  ASSERT_GT(heron, 0);
  preset->setCurrentIndex(heron);
  Q_EMIT preset->activated(heron);
  EXPECT_TRUE(said().contains("8")) << said().toStdString();
  EXPECT_EQ(toJson(scene().scene, {}), before);
}

TEST_F(ScenesDeskWindow, ThePresetsThatFitStandFirstAndOnesOwnIsKept) {
  auto* preset = d().find<QComboBox>("preset");
  const std::string before = scene().scene.sensor;
  EXPECT_TRUE(preset->itemText(1).startsWith("Finch"));
  EXPECT_TRUE(preset->itemData(preset->count() - 1, Qt::ToolTipRole).toString().contains("bands"));
  w().bench().changeScene(q(scene().id), "No preset", [](Scene& one) { one.sensor.clear(); });
  whenOpen<QInputDialog>([](QInputDialog& dialog) {
    dialog.setTextValue("Own eight bands");
    dialog.accept();
  });
  d().click("keepPreset");
  EXPECT_EQ(scene().scene.sensor, "own-own-eight-bands");
  EXPECT_EQ(preset->currentText(), "Own eight bands");
  d().click("forgetPreset");
  EXPECT_EQ(preset->findText("Own eight bands"), -1);
  EXPECT_EQ(preset->currentIndex(), 0);
}

TEST_F(ScenesDeskWindow, TheStateOfTheValuesIsKept) {
  auto* state = d().find<QComboBox>("valueState");
  state->setFocus();
  const std::string first = state->itemData(0).toString().toStdString();
  ASSERT_NE(idOf(scene().scene.state), first);
  QTest::keyClick(state, Qt::Key_Home);
  EXPECT_EQ(idOf(scene().scene.state), first);
  reopen();
  EXPECT_EQ(idOf(scene().scene.state), first);
}

TEST_F(ScenesDeskWindow, ASceneIsTakenOutFromItsCardAndBroughtBack) {
  const std::string id = s().scenes[1].id;
  const size_t n = s().scenes.size();
  auto* card = d().find<Card>("card-" + q(id));
  whenMenuOpens("Take out of the study");
  QContextMenuEvent menu(QContextMenuEvent::Mouse, card->rect().center(),
                         card->mapToGlobal(card->rect().center()));
  QCoreApplication::sendEvent(card, &menu);
  EXPECT_EQ(s().scenes.size(), n - 1);
  EXPECT_EQ(s().scene(id), nullptr);
  key(Qt::Key_Z, Qt::ControlModifier);
  ASSERT_EQ(s().scenes.size(), n);
  EXPECT_EQ(s().scenes[1].id, id);
}

TEST_F(ScenesDeskWindow, FilesComeInByDialogAndByDrop) {
  const size_t n = s().scenes.size();
  whenAskedForAFile(HAVEN "/archive/kite-2031-06-04/kite-2031-06-04.tif");
  d().click("bringFiles");
  d().settle();
  ASSERT_EQ(s().scenes.size(), n + 1);
  EXPECT_EQ(w().view().front().of, s().scenes.back().id);
  QMimeData files;
  files.setUrls({QUrl::fromLocalFile(HAVEN "/archive/finch-2024-07-11")});
  QDragEnterEvent enter(QPoint(300, 300), Qt::CopyAction, &files, Qt::LeftButton, Qt::NoModifier);
  QCoreApplication::sendEvent(&w(), &enter);
  EXPECT_TRUE(enter.isAccepted());
  QDropEvent drop(QPointF(300, 300), Qt::CopyAction, &files, Qt::LeftButton, Qt::NoModifier);
  QCoreApplication::sendEvent(&w(), &drop);
  d().settle();
  // A folder of one-band files is shown before it comes in.
  EXPECT_EQ(d().find<QListWidget>("incomingList")->count(), 1);
  d().click("primary");
  d().settle();
  ASSERT_EQ(s().scenes.size(), n + 2);
  EXPECT_EQ(s().scenes.back().scene.date, "2024-07-11");
}

TEST_F(ScenesDeskWindow, AnOutlineIsHiddenAndShown) {
  d().click("page-area");
  auto* list = d().find<QListWidget>("outlineList");
  const bool before = s().outlines[0].shown;
  list->setCurrentRow(0);
  list->setFocus();
  QTest::keyClick(list, Qt::Key_Space);
  EXPECT_NE(s().outlines[0].shown, before);
  reopen();
  EXPECT_NE(s().outlines[0].shown, before);
}

class IndicesDeskWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    d().stage(1);
  }
  void makeIndex(const QString& chip) {
    d().click(chip);
    d().make("primary", "the index");
    d().until([&] { return d().find<ThresholdChart>("thresholdChart")->cuts().size() == 1; },
              "the histogram");
  }
};

TEST_F(IndicesDeskWindow, TheFeaturedIndicesAreMadeInsideTheirRange) {
  size_t made = 0;
  for (const auto& e : indexBook()) {
    if (!e.featured) continue;
    d().click("index-" + q(e.id));
    d().make("primary", e.id.c_str());
    const Json& facts = s().products.back().facts;
    EXPECT_GE(facts["min"].get<double>(), e.low) << e.id;
    EXPECT_LE(facts["max"].get<double>(), e.high) << e.id;
    EXPECT_EQ(s().products.back().ramp, e.ramp);
    ++made;
  }
  EXPECT_GE(made, 6u);
  EXPECT_EQ(w().trail().stations()[1].figure,
            q(s().products.back().name) + QString(" +%1").arg(made - 1));
}

TEST_F(IndicesDeskWindow, TheBookIsSearchedByUseBandAndAuthor) {
  d().click("index-more");
  auto* list = d().find<QListWidget>("bookList");
  const auto titles = [&] {
    QStringList all;
    for (int i = 0; i < list->count(); ++i) all << list->item(i)->text();
    return all;
  };
  EXPECT_EQ(static_cast<size_t>(list->count()), indexBook().size());
  // Those the scene can do stand first; the others say what is missing.
  bool past = false;
  for (int i = 0; i < list->count(); ++i) {
    const bool can = list->item(i)->flags() & Qt::ItemIsEnabled;
    EXPECT_FALSE(past && can) << titles()[i].toStdString();
    past = past || !can;
    EXPECT_EQ(titles()[i].contains(": no "), !can) << titles()[i].toStdString();
  }
  d().press("bookSearch", "huete 1988");
  EXPECT_EQ(titles(), QStringList("Vegetation, soil-adjusted (SAVI)"));
  d().press("bookSearch", "evi2");
  EXPECT_EQ(titles(), QStringList("Vegetation, enhanced without blue (EVI2)"));
  d().press("bookSearch", "radar forest");
  EXPECT_EQ(titles(), QStringList("Radar forest degradation (RFDI): no hh and hv"));
  QTest::keyClick(d().find<QLineEdit>("bookSearch"), Qt::Key_Return);  // which it cannot do
  EXPECT_TRUE(list->isVisible());
  d().press("bookSearch", "xyzzy");
  EXPECT_TRUE(titles()[0].startsWith("No index"));
  d().press("bookSearch", "char soil");
  QTest::keyClick(d().find<QLineEdit>("bookSearch"), Qt::Key_Return);
  EXPECT_FALSE(list->isVisible());
  d().settle();
  EXPECT_TRUE(d().find("index-burn-char")->isChecked());
  EXPECT_EQ(d().find<FormulaEdit>("formula")->formula(), "nir / swir22");
  d().make("primary", "the index");
  EXPECT_EQ(s().products.back().name, "Char in soil");
  reopen();
  d().stage(1);
  EXPECT_TRUE(d().find("index-burn-char")->isChecked());  // as one left it
}

TEST_F(IndicesDeskWindow, AFormulaIsKeptInTheBookAndTakenOut) {
  d().click("index-by-hand");
  d().press("formula", "ndiff(rededge, green)");
  whenOpen<QInputDialog>([](QInputDialog& dialog) {
    dialog.setTextValue("Reed, cut");
    dialog.accept();
  });
  d().click("keepIndex");
  d().settle();
  EXPECT_TRUE(d().find("index-own-reed-cut")->isChecked());
  EXPECT_EQ(d().find("primary")->text(), "Make reed, cut");
  reopen();
  d().stage(1);
  d().click("index-own-reed-cut");
  EXPECT_EQ(d().find<FormulaEdit>("formula")->formula(), "ndiff(rededge, green)");
  d().click("dropIndex");
  EXPECT_EQ(w().findChild<QPushButton*>("index-own-reed-cut"), nullptr);
}

TEST_F(IndicesDeskWindow, TwoIndicesOfOneFormulaKeepTheirNames) {
  d().click("index-more");
  d().press("bookSearch", "hall riggs");
  QTest::keyClick(d().find<QLineEdit>("bookSearch"), Qt::Key_Return);
  d().settle();
  EXPECT_TRUE(d().find("index-snow")->isChecked());
  EXPECT_FALSE(d().find("index-water-swir")->isChecked());
  EXPECT_EQ(d().find("primary")->text(), "Make snow");
}

TEST_F(IndicesDeskWindow, ARadarSceneIsOfferedRadarIndices) {
  for (const auto& one : s().scenes)
    if (one.scene.isRadar()) w().bench().setCurrentScene(q(one.id));
  d().stage(1);
  d().click("index-radar-ratio");
  d().make("primary", "the ratio");
  EXPECT_GT(s().products.back().facts["mean"].get<double>(), 0);
  EXPECT_LT(s().products.back().facts["mean"].get<double>(), 1);
}

TEST_F(IndicesDeskWindow, TheRampIsChosenSeenAndKept) {
  makeIndex("index-vegetation");
  const QImage before = w().view().grab().toImage();
  auto* ramps = d().find<QComboBox>("ramp");
  EXPECT_EQ(ramps->currentData().toString(), q(s().products.back().ramp));
  ramps->setFocus();
  QTest::keyClick(ramps, Qt::Key_Home);
  d().settle();
  EXPECT_EQ(s().products.back().ramp, "grey");
  EXPECT_NE(w().view().grab().toImage(), before);
  w().bench().bringUpToDate(q(s().products.back().id));
  d().settle();
  EXPECT_EQ(s().products.back().ramp, "grey");  // one's own choice outlives the step
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().products.back().ramp, "green");
}

TEST_F(IndicesDeskWindow, ClassesAreNamedInTheTable) {
  makeIndex("index-water");
  d().click("addCut");
  auto* table = d().find<QTableWidget>("thresholdTable");
  ASSERT_EQ(table->rowCount(), 3);
  table->editItem(table->item(2, 0));
  auto* field = table->viewport()->findChild<QLineEdit*>();
  ASSERT_NE(field, nullptr);
  field->selectAll();
  QTest::keyClicks(field, "Deep water");
  QTest::keyClick(field, Qt::Key_Return);
  EXPECT_EQ(d().find("primary")->text(), "Make map of 3 classes");
  d().make("primary", "the class map");
  const Legend legend = legendOf(RasterFile(s().products.back().file));
  ASSERT_EQ(legend.classes.size(), 3u);
  EXPECT_EQ(legend.classes[2].name, "Deep water");
  EXPECT_EQ(legend.classes[0].name, "The rest");
  // The areas of the table and of the map agree.
  double all = 0;
  for (const auto& c : s().products.back().facts["classes"]) all += c["area_m2"].get<double>();
  EXPECT_NEAR(all, 1200 * 900 * 100.0, 1200 * 900 * 5.0);
}

TEST_F(IndicesDeskWindow, ASuggestedThresholdPartsWaterFromLand) {
  makeIndex("index-water");
  auto* chart = d().find<ThresholdChart>("thresholdChart");
  const double suggested = chart->cuts()[0];
  QTest::keyClick(chart, Qt::Key_Right, Qt::ShiftModifier);
  EXPECT_NE(chart->cuts()[0], suggested);
  d().click("suggestCut");
  EXPECT_EQ(chart->cuts()[0], suggested);
}

TEST_F(IndicesDeskWindow, PolygonsOfAClassGoOut) {
  makeIndex("index-water");
  d().make("primary", "the class map");
  const fs::path target = folder_ / "water.gpkg";
  d().click("polygons");
  EXPECT_EQ(QApplication::activePopupWidget(), nullptr);
  EXPECT_TRUE(d().find("primary")->isVisible());
  d().click("polygonsOf-1");
  whenAskedForAFile(target);
  d().click("writePolygons");
  d().settle();
  ASSERT_TRUE(fs::exists(target));
  EXPECT_FALSE(d().find("polygons")->isChecked());
  const Layer layer = readLayer(target.string());
  ASSERT_GT(layer.shapes.size(), 0u);
  const auto column = layer.table.column("class");
  for (const auto& row : layer.table.rows) EXPECT_EQ(row[column], "Open water");
}

TEST_F(IndicesDeskWindow, AFormulaOfEverythingIsTaken) {
  d().click("index-by-hand");
  d().press("formula",
            "when nir > red and not (swir16 >= 0.3) then ndiff(nir, red) else "
            "max(sqrt(abs(blue - green)), -0.5 ^ 2)");
  d().until([&] { return d().find<QLabel>("formulaRange")->text().startsWith("From"); },
            "the preview");
  d().make("primary", "the index");
  EXPECT_GT(s().products.back().facts["valid"].get<size_t>(), 0u);
}

TEST_F(IndicesDeskWindow, FormulasThatMakeNoSenseChangeNothing) {
  d().click("index-by-hand");
  for (const char* text : {"", "nir /", "(nir", "nir red", "nir & red", "when nir then red",
                           "ndiff(nir)", "1e", "nir.red"}) {
    d().press("formula", text);
    EXPECT_FALSE(d().find("primary")->isEnabled()) << text;
    EXPECT_FALSE(d().find<QLabel>("formulaError")->text().isEmpty()) << text;
    QTest::keyClick(d().find<FormulaEdit>("formula"), Qt::Key_Return);
  }
  EXPECT_EQ(d().products(), 0u);
}

TEST_F(IndicesDeskWindow, AProductInTheBinLeavesTheView) {
  makeIndex("index-burn");
  const std::string made = s().products.back().id;
  EXPECT_EQ(w().view().front().of, made);
  w().bench().toBin(q(made));
  d().settle();
  EXPECT_NE(w().view().front().of, made);
  EXPECT_FALSE(w().view().front().none());
}

TEST_F(IndicesDeskWindow, APreviewStaysOnItsDesk) {
  const std::string before = w().bench().currentScene()->id;
  d().click("index-burn");
  d().until([&] { return w().view().front().of == "preview"; }, "the preview");
  d().stage(2);
  EXPECT_EQ(w().view().front().of, before);
  d().stage(1);
  d().until([&] { return w().view().front().of == "preview"; }, "the preview again");
}

TEST_F(IndicesDeskWindow, TheCardOfAProductRenamesAndCopiesIt) {
  makeIndex("index-vegetation");
  const Product made = s().products.back();
  const auto openMenu = [&] {
    auto* card = d().find<Card>("card-" + q(made.id));
    QContextMenuEvent menu(QContextMenuEvent::Mouse, card->rect().center(),
                           card->mapToGlobal(card->rect().center()));
    QCoreApplication::sendEvent(card, &menu);
  };
  whenMenuOpens("Rename…");
  whenOpen<QInputDialog>([](QInputDialog& dialog) {
    dialog.setTextValue("Green in July");
    dialog.accept();
  });
  openMenu();
  EXPECT_EQ(s().products.back().name, "Green in July");
  whenMenuOpens("Save a copy as…");
  whenAskedForAFile(folder_ / "copy.tif");
  openMenu();
  d().settle();
  EXPECT_EQ(fs::file_size(folder_ / "copy.tif"), fs::file_size(made.file));
  // Over itself it is refused, and the product stays.
  w().bench().copyProduct(q(made.id), q(made.file.string()));
  d().settle();
  EXPECT_TRUE(said().contains("is an input too")) << said().toStdString();
  EXPECT_EQ(fs::file_size(folder_ / "copy.tif"), fs::file_size(made.file));
}

}  // namespace
}  // namespace zp
