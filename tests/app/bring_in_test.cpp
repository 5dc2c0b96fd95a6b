// What comes in: deliveries with guessed bands, class maps and quantities, and the archive with an
// outage, worked by mouse and keys.
#include <numeric>

#include "base/text.h"
#include "legend/class_map.h"
#include "scene/catalogue.h"
#include "support/rasters.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class BringInWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    d().stage(0);
    fs::create_directory(folder_ / "in");
  }
  /// Files of one band under names that a ground station might give.
  void deliver() {
    const fs::path from = HAVEN "/archive/finch-2024-07-11/finch-2024-07-11-";
    const std::pair<const char*, const char*> names[] = {
        {"1-blue", "B02"}, {"2-green", "B03"}, {"3-red", "B04"}, {"5-nir", "B08"}};
    for (const char* date : {"20310601", "20310615"})
      for (const auto& [ours, theirs] : names)
        fs::copy(from.string() + ours + ".tif",
                 folder_ / "in" / (std::string("haven_") + date + "_" + theirs + "_10m.tif"));
  }
  void bringFolder() {
    whenAskedForAFile(folder_ / "in");
    d().click("bringFolder");
    d().until([&] { return !w().bench().jobs().busy(); }, "the files to be looked at");
  }
  QListWidget* incoming() { return d().find<QListWidget>("incomingList"); }
};

TEST_F(BringInWindow, RolesAreConfirmedBeforeTwoDatesComeIn) {
  deliver();
  const size_t n = s().scenes.size();
  bringFolder();
  ASSERT_EQ(incoming()->count(), 2);
  EXPECT_EQ(d().find<QPushButton>("primary")->text(), "Bring in 2 scenes");
  EXPECT_EQ(d().find<QComboBox>("incomingRole-4")->currentText(), "nir");
  EXPECT_EQ(d().find<QLineEdit>("incomingDate")->text(), "2031-06-01");
  look("incoming");
  EXPECT_EQ(s().scenes.size(), n);  // nothing has come in yet
  // A guess that is wrong is put right; the other date stays out.
  choose("incomingRole-1", "coastal");
  d().press("incomingName", "June");
  incoming()->item(1)->setCheckState(Qt::Unchecked);
  EXPECT_EQ(d().find<QPushButton>("primary")->text(), "Bring in 1 scene");
  d().press("incomingDate", "2031-13-01");
  d().click("primary");
  EXPECT_TRUE(said().contains("year-month-day"));
  d().press("incomingDate", "2031-06-01");
  d().click("primary");
  d().settle();
  ASSERT_EQ(s().scenes.size(), n + 1);
  const Scene& june = s().scenes.back().scene;
  EXPECT_EQ(june.name, "June");
  EXPECT_EQ(june.roles(), (std::vector<std::string>{"coastal", "green", "red", "nir"}));
  EXPECT_EQ(w().view().front().of, s().scenes.back().id);
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().scenes.size(), n);
  key(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
  EXPECT_EQ(s().scenes.size(), n + 1);
}

TEST_F(BringInWindow, WhatWasSaidOfFilesHoldsWhenTheyAreOfferedAgain) {
  deliver();
  bringFolder();
  choose("incomingRole-1", "coastal");
  d().press("incomingName", "June");
  incoming()->item(1)->setCheckState(Qt::Unchecked);
  d().click("backToScenes");
  bringFolder();
  EXPECT_EQ(d().find<QComboBox>("incomingRole-1")->currentText(), "coastal");
  EXPECT_EQ(d().find<QLineEdit>("incomingName")->text(), "June");
  EXPECT_EQ(incoming()->item(1)->checkState(), Qt::Unchecked);
  // A file that is another one since is looked at anew.
  d().click("backToScenes");
  const fs::path changed = folder_ / "in/haven_20310601_B02_10m.tif";
  fs::last_write_time(changed, fs::last_write_time(changed) + std::chrono::seconds(2));
  bringFolder();
  EXPECT_EQ(d().find<QComboBox>("incomingRole-1")->currentText(), "blue");
  EXPECT_EQ(incoming()->item(1)->checkState(), Qt::Checked);
}

TEST_F(BringInWindow, AFileThatCannotBeReadStaysOutAndTheRestComesIn) {
  deliver();
  fs::resize_file(folder_ / "in/haven_20310601_B04_10m.tif", 5000);
  const size_t n = s().scenes.size();
  bringFolder();
  ASSERT_EQ(incoming()->count(), 3);
  int broken = -1;
  for (int i = 0; i < 3; ++i)
    if (incoming()->item(i)->text().contains("cannot be read")) broken = i;
  ASSERT_GE(broken, 0);
  EXPECT_EQ(incoming()->item(broken)->checkState(), Qt::Unchecked);
  incoming()->setCurrentRow(broken);
  EXPECT_TRUE(d().find<QLabel>("incomingNote")->text().contains("B04"));
  look("incoming-broken");
  EXPECT_EQ(d().find<QPushButton>("primary")->text(), "Bring in 2 scenes");
  // Ticked all the same, the reason is said and nothing comes in.
  incoming()->item(broken)->setCheckState(Qt::Checked);
  d().click("primary");
  EXPECT_TRUE(said().contains("B04")) << said().toStdString();
  EXPECT_EQ(s().scenes.size(), n);
  incoming()->item(broken)->setCheckState(Qt::Unchecked);
  d().click("primary");
  d().settle();
  ASSERT_EQ(s().scenes.size(), n + 2);
  EXPECT_EQ(s().scenes[n].scene.roles(), (std::vector<std::string>{"blue", "green", "nir"}));
}

TEST_F(BringInWindow, FilesThatCannotBeOneSceneAreTakenApart) {
  Grid here = metricGrid(6, 5), there = metricGrid(4, 3);
  here.crs.clear(), there.crs.clear();
  writeFloats(folder_ / "in/moor_20310601_red.tif", here, {std::vector<float>(30, 0.1f)});
  writeFloats(folder_ / "in/moor_20310601_nir.tif", there, {std::vector<float>(12, 0.4f)});
  bringFolder();
  ASSERT_EQ(incoming()->count(), 1);
  EXPECT_TRUE(incoming()->item(0)->text().contains("cannot be one scene"));
  d().click("incomingApart");
  EXPECT_EQ(incoming()->count(), 2);
  const size_t n = s().scenes.size();
  d().click("primary");
  d().settle();
  EXPECT_EQ(s().scenes.size(), n + 2);
}

TEST_F(BringInWindow, WhatWasTakenForOneSceneIsTakenApartAndJoined) {
  deliver();
  bringFolder();
  d().click("incomingApart");
  EXPECT_EQ(incoming()->count(), 5);
  incoming()->setCurrentRow(1);
  d().click("incomingJoin");
  ASSERT_EQ(incoming()->count(), 4);
  EXPECT_EQ(d().find<QTableWidget>("incomingBands")->rowCount(), 2);
  d().click("backToScenes");
  EXPECT_TRUE(d().find<TimeLine>("timeLine")->isVisible());
}

TEST_F(BringInWindow, RadarThatDoesNotTellPowerFromDecibelsIsAsked) {
  Grid g = metricGrid(8, 6);
  writeFloats(folder_ / "in/r.tif", g,
              {std::vector<float>(48, 3000.0f), std::vector<float>(48, 2000.0f)}, {"vv", "vh"});
  bringFolder();
  EXPECT_TRUE(d().find<QLabel>("incomingNote")->text().contains("power or decibels"));
  const size_t n = s().scenes.size();
  d().click("primary");
  EXPECT_TRUE(said().contains("power or decibels"));
  EXPECT_EQ(s().scenes.size(), n);
  choose("incomingState", "backscatter, decibels");
  d().click("primary");
  d().settle();
  ASSERT_EQ(s().scenes.size(), n + 1);
  EXPECT_EQ(s().scenes.back().scene.state, ValueState::BackscatterDecibels);
}

TEST_F(BringInWindow, AClassMapMadeElsewhereIsMatchedWithTheLegend) {
  const Grid g = RasterFile(s().scenes[0].scene.bands[0].file).grid();
  std::vector<uint16_t> codes(g.pixels());
  for (size_t i = 0; i < codes.size(); ++i) codes[i] = static_cast<uint16_t>(11 + i % 3);
  Legend theirs;
  for (const auto& [code, name] : {std::pair{11, "reedbed"}, {12, "open water"}, {13, "gorse"}}) {
    LegendClass c;
    c.code = code, c.name = name, c.colour = {10, 200, 30};
    theirs.add(c);
  }
  RasterWriter writer(folder_ / "in/theirs.tif", classMapSpec(g, theirs, "theirs"));
  writer.writeCodes(1, {0, 0, g.width, g.height}, codes);
  writer.finish();
  bringFolder();
  EXPECT_EQ(d().find<QComboBox>("incomingAs")->currentText(), "a class map");
  d().until([&] { return d().find<QTableWidget>("incomingMatch")->rowCount() == 3; },
            "their classes");
  // By name: the legend's reedbed is 4, its open water 1. Gorse is new.
  EXPECT_EQ(d().find<QComboBox>("ours-11")->currentData().toInt(), 4);
  EXPECT_EQ(d().find<QComboBox>("ours-12")->currentData().toInt(), 1);
  EXPECT_EQ(d().find<QComboBox>("ours-13")->currentText(), "a new class");
  look("incoming-classes");
  // In view it has the colours it will have, and no pixel of what is left out.
  const auto shown = [&](int code) { return w().view().front().legend.find(code); };
  ASSERT_NE(shown(11), nullptr);
  EXPECT_EQ(shown(11)->colour, s().legend.find(4)->colour);
  ASSERT_NE(shown(13), nullptr);
  EXPECT_EQ(shown(13)->colour, (Colour{10, 200, 30}));
  choose("ours-12", "leave out");
  EXPECT_EQ(shown(12), nullptr);
  choose("ours-12", "1  ");
  ASSERT_NE(shown(12), nullptr);
  EXPECT_EQ(shown(12)->name, s().legend.find(1)->name);
  const size_t n = d().products();
  d().click("primary");
  d().until([&] { return d().products() == n + 1; }, "the map");
  const Product& map = s().products.back();
  EXPECT_EQ(map.kind, ProductKind::ClassMap);
  ASSERT_NE(s().legend.find(13), nullptr);
  EXPECT_EQ(s().legend.find(13)->name, "gorse");
  EXPECT_EQ(s().legend.find(13)->colour.g, 200);
  std::vector<uint16_t> ours(3);
  RasterFile(map.file).readCodes(1, {0, 0, 3, 1}, ours.data());
  EXPECT_EQ(ours, (std::vector<uint16_t>{4, 1, 13}));
}

TEST_F(BringInWindow, WhatCanBeNoClassMapIsStillTakenForSomethingElse) {
  const Grid g = metricGrid(50, 40);
  std::vector<uint16_t> codes(g.pixels());
  std::iota(codes.begin(), codes.end(), uint16_t{1});
  writeCodes(folder_ / "in/measured.tif", g, codes, NumberType::UInt16);
  writeCodes(folder_ / "in/nothing.tif", g, std::vector<uint16_t>(g.pixels(), 0));
  bringFolder();
  ASSERT_EQ(incoming()->count(), 2);
  const char* why[] = {"2000 different values", "holds no classes"};
  for (int i = 0; i < 2; ++i) {
    incoming()->setCurrentRow(i);
    choose("incomingAs", "a class map");
    auto* note = w().findChild<QLabel*>("incomingNote");
    d().until([&] { return note->isVisible() && note->text().contains(why[i]); }, why[i]);
    EXPECT_FALSE(w().findChild<QTableWidget*>("incomingMatch")->isVisible());
    d().click("primary");
    EXPECT_TRUE(said().contains(why[i])) << said().toStdString();
    choose("incomingAs", "a scene");
    EXPECT_FALSE(note->isVisible());
  }
  const size_t n = s().scenes.size();
  d().click("primary");
  d().settle();
  EXPECT_EQ(s().scenes.size(), n + 2);
}

// A class that theirs was to become may be gone from the legend when they come in.
TEST_F(BringInWindow, WhatAClassThatIsGoneWasToTakeBecomesANewOne) {
  const auto bring = [&] {
    whenAskedForAFile(HAVEN "/truth/cover.tif");
    d().click("bringFiles");
    d().settle();
    d().until([&] { return d().find<QTableWidget>("incomingMatch")->rowCount() == 9; },
              "their classes");
  };
  bring();
  ASSERT_EQ(d().find<QComboBox>("ours-4")->currentData().toInt(), 4);
  d().click("backToScenes");
  Legend without = s().legend;
  const std::string name = without.find(4)->name;
  std::erase_if(without.classes, [](const auto& c) { return c.code == 4; });
  w().bench().setLegend(without, "remove");
  bring();
  EXPECT_EQ(d().find<QComboBox>("ours-4")->currentText(), "a new class");
  d().make("primary", "the map");
  ASSERT_NE(s().legend.find(4), nullptr);
  EXPECT_EQ(lowered(s().legend.find(4)->name), lowered(name));
}

TEST_F(BringInWindow, PolygonsBecomeAClassMapOnTheScenesPixels) {
  whenAskedForAFile(HAVEN "/outlines/outlines.gpkg");
  d().click("bringFiles");
  d().settle();
  for (int i = 0; i < incoming()->count(); ++i) {
    const bool training = incoming()->item(i)->text().startsWith("training");
    incoming()->item(i)->setCheckState(training ? Qt::Checked : Qt::Unchecked);
    if (training) incoming()->setCurrentRow(i);
  }
  choose("incomingAs", "a class map");
  // Too early, it is said that they are being read, and no longer when they were.
  auto* field = d().find<QComboBox>("incomingField");
  field->setCurrentText("class");
  Q_EMIT field->activated(field->currentIndex());
  d().find<QPushButton>("primary")->click();
  EXPECT_TRUE(said().contains("being read"));
  d().until([&] { return d().find<QTableWidget>("incomingMatch")->rowCount() > 3; }, "the classes");
  EXPECT_EQ(said(), "");
  const size_t n = d().products();
  d().click("primary");
  d().until([&] { return d().products() == n + 1; }, "the map");
  EXPECT_EQ(s().products.back().kind, ProductKind::ClassMap);
  EXPECT_GT(s().products.back().facts["classes"].size(), 3u);
}

TEST_F(BringInWindow, AQuantityComesInWithUnitAndPeriod) {
  whenAskedForAFile(HAVEN "/outlines/surface-temperature.tif");
  d().click("bringFiles");
  d().settle();
  EXPECT_EQ(d().find<QComboBox>("incomingAs")->currentText(), "a quantity");
  EXPECT_EQ(d().find<QLineEdit>("incomingUnit")->text(), "°C");
  d().press("incomingFrom", "2031-07-01");
  d().press("incomingTo", "2031-07-31");
  const size_t n = d().products();
  d().click("primary");
  d().until([&] { return d().products() == n + 1; }, "the quantity");
  const Product& p = s().products.back();
  EXPECT_EQ(p.kind, ProductKind::Quantity);
  EXPECT_EQ(p.facts["unit"], "°C");
  EXPECT_EQ(p.date, "2031-07-31");
  // It can be used in a formula at once.
  d().stage(1);
  d().find<QPlainTextEdit>("formula")->setPlainText("nir + 0 * surface_temperature");
  d().settle();
  EXPECT_EQ(said(), "");
}

TEST_F(BringInWindow, ATableIsSeenAsItIsReadAndPointsBringTheirClasses) {
  makeMap();
  const Grid grid = RasterFile(s().products.back().file).grid();
  std::ofstream out(folder_ / "in/seen.csv");
  out << "nr;east;north;cover\n";
  const auto& classes = s().legend.classes;
  for (int i = 0; i < 20; ++i) {
    const Place at = grid.toMap(60.5 + 7 * i, 80.5);
    QString x = QString::number(at.x, 'f', 2);
    out << i + 1 << ';' << x.replace('.', ',').toStdString() << ';' << std::lround(at.y) << ';'
        << (i == 3 ? "" : classes[static_cast<size_t>(i) % classes.size()].name) << '\n';
  }
  out.close();
  w().openOrBringIn({q((folder_ / "in/seen.csv").string())});
  d().until([&] { return w().findChild<QTableWidget*>("incomingRows")->isVisible(); }, "its rows");
  EXPECT_EQ(d().find<QComboBox>("incomingAs")->currentText(), "points");
  EXPECT_EQ(d().find<QComboBox>("incomingSeparator")->currentText(), "semicolon");
  EXPECT_EQ(d().find<QComboBox>("incomingDecimal")->currentText(), "comma");
  EXPECT_EQ(d().find<QComboBox>("incomingX")->currentText(), "east");
  auto* rows = d().find<QTableWidget>("incomingRows");
  ASSERT_EQ(rows->rowCount(), 6);
  EXPECT_TRUE(rows->item(0, 1)->text().contains('.'));
  look("incoming-table");
  // Read otherwise, it shows at once; and back.
  choose("incomingSeparator", "tab");
  EXPECT_EQ(rows->columnCount(), 1);
  choose("incomingSeparator", "semicolon");
  choose("incomingX", "east");
  choose("incomingY", "north");
  d().press("incomingSystem", "EPSG:0");
  d().click("primary");
  d().until([&] { return !w().notice().isEmpty() || !said().isEmpty(); }, "what is wrong");
  EXPECT_EQ(s().newest(ProductKind::Points), nullptr);
  w().openOrBringIn({q((folder_ / "in/seen.csv").string())});
  d().until([&] { return w().findChild<QTableWidget*>("incomingRows")->isVisible(); }, "its rows");
  EXPECT_FALSE(d().find<QLineEdit>("incomingSystem")->text().isEmpty());  // the view's
  d().make("primary", "the points");
  ASSERT_EQ(s().products.back().kind, ProductKind::Points);
  EXPECT_EQ(s().products.back().facts["points"], 20);
  // They are labelled already.
  d().stage(5);
  choose("accuracyField", "stand in");
  choose("referenceField", "cover");
  d().make("primary", "the labels");
  EXPECT_EQ(s().products.back().facts["without_class"], 1);
  EXPECT_EQ(w().book().labelling().labelled(), 19u);
}

TEST_F(BringInWindow, WhatLiesElsewhereOffersToGoThere) {
  Grid far = metricGrid(30, 20);
  far.crs = RasterFile(s().scenes[0].scene.bands[0].file).grid().crs;
  RasterSpec spec{far, NumberType::Float32, {}, {}, {}};
  spec.bands.resize(1);
  spec.bands[0].unit = "mm";
  RasterWriter writer(folder_ / "in/rain.tif", spec);
  std::vector<float> values(far.pixels(), 3);
  writer.write(1, {0, 0, far.width, far.height}, values);
  writer.finish();
  bringFolder();
  const size_t n = d().products();
  d().click("primary");
  d().until([&] { return d().products() == n + 1; }, "the quantity");
  EXPECT_TRUE(w().notice().contains("lies outside"));
  auto* notice = d().find<QLabel>("notice");
  QPoint link(-1, -1);
  for (int x = 0; x < notice->width() && link.x() < 0; x += 3)
    for (int y = 4; y < notice->height() && link.x() < 0; y += 6) {
      QTest::mouseMove(notice, {x, y});
      if (notice->cursor().shape() == Qt::PointingHandCursor) link = {x + 3, y};
    }
  ASSERT_GE(link.x(), 0) << "nothing to click on in " << notice->text().toStdString();
  QTest::mouseClick(notice, Qt::LeftButton, {}, link);
  d().settle();
  EXPECT_TRUE(w().view().visible().overlaps(far.extent()));
  EXPECT_EQ(w().view().front().of, s().products.back().id);
}

class ArchiveWindow : public BringInWindow {
 protected:
  void openArchive() {
    w().bench().setPlace("archive", HAVEN "/archive/catalog.json");
    d().click("bringArchive");
    d().until([&] { return list()->count() > 0; }, "the archive's answer");
  }
  QListWidget* list() { return d().find<QListWidget>("archiveList"); }
  QString archiveSaid() { return d().find<QLabel>("archiveSaid")->text(); }
  /// Asks and waits for a number of scenes.
  void until(int n) {
    d().until([&] { return list()->count() == n && archiveSaid().contains("scene"); },
              "the answer");
  }
  void enter(const QString& field, const QString& text) {
    d().press(field, text);
    QTest::keyClick(d().find<QLineEdit>(field), Qt::Key_Return);
  }
  void pick(const QString& title) {
    for (int i = 0; i < list()->count(); ++i)
      if (list()->item(i)->text().startsWith(title)) {
        list()->scrollToItem(list()->item(i));
        QTest::mouseClick(list()->viewport(), Qt::LeftButton, {},
                          list()->visualItemRect(list()->item(i)).center());
        return;
      }
    ADD_FAILURE() << "the archive has no " << title.toStdString();
  }
};

TEST_F(ArchiveWindow, ItsListHasTheOneScrollBar) {
  w().resize(1280, 760);
  openArchive();
  d().settle();
  EXPECT_GT(list()->verticalScrollBar()->maximum(), 0);
  for (auto* area : w().findChildren<QScrollArea*>()) {
    if (!area->isVisible() || !area->isAncestorOf(list())) continue;
    EXPECT_TRUE(QTest::qWaitFor([&] { return area->verticalScrollBar()->maximum() == 0; }));
  }
  look("archive");
}

TEST_F(ArchiveWindow, ASearchNarrowsWhatIsFound) {
  openArchive();
  EXPECT_EQ(list()->count(), 17);
  choose("archiveSensor", "finch");
  until(4);
  enter("archiveFrom", "2031-01-01");
  until(3);
  d().find<QSpinBox>("archiveCloud")->setValue(1);
  until(2);
  EXPECT_FALSE(list()->item(0)->icon().isNull());
  EXPECT_TRUE(list()->item(0)->text().contains("in the study"));
  choose("archivePlace", "in the study area");
  until(2);
  enter("archiveFrom", "soon");
  d().until([&] { return said().contains("year-month-day"); }, "what is wrong with the date");
}

TEST_F(ArchiveWindow, AFetchThatBreaksOffIsGoneOnWith) {
  openArchive();
  choose("archiveService", "breaks off");
  d().until([&] { return !w().findChild<QPushButton*>("archiveStop")->isVisible(); }, "the answer");
  until(17);
  pick("Finch 9 Oct");
  EXPECT_TRUE(d().find<QPushButton>("primary")->text().startsWith("Fetch 1 scene ("));
  const size_t n = s().scenes.size();
  d().click("primary");
  d().until([&] { return said().contains("broke off"); }, "the outage");
  EXPECT_EQ(s().scenes.size(), n);
  EXPECT_TRUE(list()->selectedItems().value(0)->text().contains("of it are here"));
  look("archive-outage");
  choose("archiveService", "answers at once");
  d().until([&] { return said().isEmpty(); }, "the question");
  until(17);
  EXPECT_EQ(list()->selectedItems().size(), 1);  // what was chosen stays chosen
  d().click("primary");
  d().until([&] { return s().scenes.size() == n + 1; }, "the scene");
  const Scene& autumn = s().scenes.back().scene;
  EXPECT_EQ(autumn.name, "Finch 9 Oct");
  EXPECT_EQ(autumn.quality.flags.size(), 2u);
  EXPECT_EQ(autumn.bands[0].file.parent_path(), s().folder() / "scenes/finch-2031-10-09");
  d().settle();
  // It needs no fetching any more, unless it is taken back; its files are here then.
  const auto state = [&] {
    for (int i = 0; i < list()->count(); ++i)
      if (list()->item(i)->text().startsWith("Finch 9 Oct")) return list()->item(i)->text();
    return QString();
  };
  EXPECT_TRUE(state().contains("in the study")) << state().toStdString();
  EXPECT_TRUE(list()->selectedItems().isEmpty());
  pick("Finch 9 Oct");
  EXPECT_FALSE(d().find<QPushButton>("primary")->isEnabled());
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().scenes.size(), n);
  EXPECT_TRUE(state().contains("fetched")) << state().toStdString();
  key(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
  EXPECT_TRUE(state().contains("in the study"));
  reopen();
  EXPECT_EQ(s().scenes.size(), n + 1);
}

TEST_F(ArchiveWindow, AnArchiveThatIsSlowOrDownIsSaid) {
  openArchive();
  choose("archiveService", "is down");
  d().until([&] { return archiveSaid().contains("does not answer"); }, "the outage");
  choose("archiveService", "is slow");
  d().until([&] { return w().findChild<QPushButton*>("archiveStop")->isVisible(); }, "the waiting");
  d().click("archiveStop");
  EXPECT_TRUE(archiveSaid().contains("stopped waiting"));
  // A catalogue that is none.
  std::ofstream(folder_ / "tea.json") << "{\"type\": \"Tea\"}";
  whenAskedForAFile(folder_ / "tea.json");
  d().click("archiveOther");
  d().until([&] { return archiveSaid().contains("neither a STAC catalogue"); }, "what is wrong");
}

TEST_F(ArchiveWindow, ACatalogueIsWrittenAndSearchedAgain) {
  fs::create_directory(folder_ / "list");
  w().bench().writeCatalogueOf(q((folder_ / "list").string()));
  EXPECT_TRUE(w().notice().contains("catalog.json"));
  EXPECT_EQ(readCatalogue(folder_ / "list/catalog.json").size(), s().scenes.size());
  // Brought in like a file, it opens as an archive; its scenes can be used where they are.
  whenAskedForAFile(folder_ / "list/catalog.json");
  d().click("bringFiles");
  d().until([&] { return w().findChild<QListWidget*>("archiveList")->isVisible(); }, "the archive");
  until(static_cast<int>(s().scenes.size()));
  const size_t n = s().scenes.size();
  list()->item(0)->setSelected(true);
  d().click("archiveInPlace");
  EXPECT_EQ(s().scenes.size(), n + 1);
}

}  // namespace
}  // namespace zp
