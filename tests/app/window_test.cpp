// The real window, driven by mouse and keys without a screen, on the demo study.
#include "base/own_entries.h"
#include "grid/crs.h"
#include "grid/place_text.h"
#include "legend/class_map.h"
#include "sampling/readings.h"
#include "shell/application.h"
#include "support/rasters.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

TEST_F(RealWindow, FromTheDemoStudyToAMatrixAndBackAfterReopening) {
  EXPECT_EQ(w().trail().stations()[0].figure, QString("%1 scenes").arg(s().scenes.size()));
  d().stage(1);
  d().click("index-water");
  d().make("primary", "the index");
  d().until([&] { return d().find<ThresholdChart>("thresholdChart")->cuts().size() == 1; },
            "the histogram");
  d().make("primary", "the class map");
  EXPECT_EQ(s().products.back().kind, ProductKind::ClassMap);
  makeMap();
  EXPECT_EQ(w().view().front().of, s().products.back().id);
  EXPECT_EQ(w().trail().stations()[3].state, Trail::State::Filled);
  d().stage(4);
  d().press("planCount", "5");
  d().until([&] { return d().find<QLabel>("planned")->text().startsWith("45 points on the view"); },
            "the plan");
  d().make("primary", "the points");
  d().click("pageReadings");
  d().make("primary", "the readings");
  d().until([&] { return w().table().isVisible() && w().table().ready(); }, "the table");
  EXPECT_EQ(d().find<QLabel>("tableCount")->text(), "45 rows");
  startLabelling();

  // A perfect labeller: the hidden truth, which only tests may see.
  auto& book = w().book();
  const std::string truth = HAVEN "/truth/cover.tif";
  for (size_t i = 0; i < 45; ++i) {
    const auto code = static_cast<int>(
        readAt({book.labelling().current().place}, book.crs(), {{truth, 1, "t"}}).values[0][0]);
    QTest::keyClick(&w().labelling(), static_cast<char>('0' + code));
  }
  EXPECT_EQ(book.labelling().labelled(), 45u);
  d().click("closeLabelling");
  d().until([&] { return w().matrix().isVisible(); }, "the matrix");
  const auto m = book.matrix();
  ASSERT_TRUE(m);
  EXPECT_EQ(m->total(), 45u);
  EXPECT_GT(m->overall().value, 0.6);
  // What the map is right in, over its pixels, lies inside the interval that 45 points state.
  const Grid grid = RasterFile(book.map()->file).grid();
  std::vector<Place> all;
  for (int y = 1; y < grid.height; y += 3)
    for (int x = 1; x < grid.width; x += 3) all.push_back(grid.centre(x, y));
  const Readings both = readAt(all, grid.crs, {{truth, 1, "t"}, {book.map()->file, 1, "m"}});
  size_t right = 0, known = 0;
  for (size_t i = 0; i < all.size(); ++i) {
    if (std::isnan(both.values[0][i]) || std::isnan(both.values[1][i])) continue;
    ++known;
    right += both.values[0][i] == both.values[1][i] ? 1 : 0;
  }
  const double share = static_cast<double>(right) / static_cast<double>(known);
  const Estimate overall = *book.overall();
  EXPECT_LE(overall.low, share);
  EXPECT_GE(overall.high, share);
  EXPECT_LT(overall.high - overall.low, 0.5);
  w().matrix().writeCsv(q((folder_ / "m.csv").string()));
  EXPECT_TRUE(fs::exists(folder_ / "m.csv"));
  const QString figure = w().trail().stations()[5].figure;
  EXPECT_TRUE(figure.contains("±")) << figure.toStdString();

  d().click("showPoints");
  EXPECT_EQ(w().stage(), 5);
  const size_t products = s().products.size();
  reopen();
  EXPECT_EQ(w().stage(), 5);
  EXPECT_EQ(s().products.size(), products);
  EXPECT_EQ(w().trail().stations()[5].figure, figure);
  EXPECT_EQ(w().book().labelling().labelled(), 45u);
}

TEST_F(RealWindow, CompositesByMeaningAndByFreeChoice) {
  d().stage(0);
  d().click("composite-vegetation");
  d().settle();
  EXPECT_EQ(w().view().front().detail, "vegetation false colour");
  const auto* scene = w().bench().currentScene();
  EXPECT_EQ(w().view().front().bands[0], static_cast<size_t>(scene->scene.bandOf("nir")));
  const QImage before = w().view().grab().toImage();
  choose("channel-1", "swir22");
  d().settle();
  EXPECT_NE(w().view().grab().toImage(), before);
  // Another scene of the time line is shown as it was last, and its picture says how.
  auto* line = d().find<TimeLine>("timeLine");
  QString first;
  for (const auto& one : s().scenes)
    if (one.scene.date.substr(0, 4) == "2024") first = q(one.id);
  QTest::mouseClick(line, Qt::LeftButton, {}, line->markOf(first));
  d().settle();
  EXPECT_EQ(line->chosen(), first);
  EXPECT_TRUE(w().view().front().title.contains("2024"));
  EXPECT_EQ(d().find<QPushButton>("composite-natural")->isChecked(),
            w().view().front().detail == "natural colour");
  EXPECT_EQ(w().view().front().detail, "natural colour");
}

TEST_F(RealWindow, ARoleIsChangedAndTheIndexFollows) {
  d().stage(0);
  d().click("page-bands");
  auto* role = d().find<QComboBox>("role-5");
  EXPECT_EQ(role->currentText(), "nir");
  role->setFocus();
  QTest::keyClick(role, Qt::Key_Home);  // no role
  EXPECT_EQ(w().bench().currentScene()->scene.bandOf("nir"), -1);
  d().stage(1);
  // What the scene cannot do is one line, and says why.
  EXPECT_TRUE(d().find<QLabel>("cannotHere")->text().startsWith("Not with this scene: "));
  EXPECT_TRUE(d().find<QLabel>("cannotHere")->toolTip().contains("Vegetation (no nir)"));
}

TEST_F(RealWindow, AFormulaErrorIsShownInItsPlace) {
  d().stage(1);
  d().click("index-by-hand");
  d().press("formula", "nir / redd");
  EXPECT_TRUE(d().find<QLabel>("formulaError")->text().contains("Did you mean “red”?"));
  EXPECT_TRUE(d().find<QLabel>("formulaError")->text().contains("character 7"));
  EXPECT_FALSE(d().find("primary")->isEnabled());
  d().press("formula", "nir / red");
  d().until(
      [&] {
        return w().view().front().of == "preview" &&
               d().find<QLabel>("formulaRange")->text().startsWith("From");
      },
      "the preview");
  EXPECT_TRUE(d().find("primary")->isEnabled());
  d().make("primary", "the index");
  EXPECT_EQ(s().products.back().step["formula"], "nir / red");
}

TEST_F(RealWindow, AThresholdIsDraggedAndItsAreasFollow) {
  d().stage(1);
  d().click("index-vegetation");
  d().make("primary", "the index");
  auto* chart = d().find<ThresholdChart>("thresholdChart");
  d().until([&] { return chart->cuts().size() == 1; }, "the histogram");
  auto* table = d().find<QTableWidget>("thresholdTable");
  const QString before = table->item(0, 2)->text();
  const double cut = chart->cuts()[0];
  const QPoint from = chart->cutPosition(0) - QPoint(0, 20);
  QTest::mousePress(chart, Qt::LeftButton, {}, from);
  QTest::mouseMove(chart, from + QPoint(30, 0));
  QMouseEvent move(QEvent::MouseMove, QPointF(from + QPoint(30, 0)),
                   chart->mapToGlobal(QPointF(from + QPoint(30, 0))), Qt::NoButton, Qt::LeftButton,
                   Qt::NoModifier);
  QCoreApplication::sendEvent(chart, &move);
  QTest::mouseRelease(chart, Qt::LeftButton, {}, from + QPoint(30, 0));
  EXPECT_GT(chart->cuts()[0], cut);
  EXPECT_NE(table->item(0, 2)->text(), before);
  QTest::keyClick(chart, Qt::Key_Left);
  d().make("primary", "the class map");
  EXPECT_EQ(s().products.back().step["at"][0].get<double>(), chart->cuts()[0]);
  EXPECT_EQ(legendOf(RasterFile(s().products.back().file)).classes[0].name, "The rest");
}

TEST_F(RealWindow, ItsKeysWorkAfterTheStudyMenuWasSeen) {
  whenOpen<QMenu>([](QMenu& menu) { menu.close(); });
  QTest::mouseClick(w().trail().studyButton(), Qt::LeftButton);
  for (const auto k : {Qt::Key_N, Qt::Key_O}) {
    bool asked = false;
    whenOpen<QFileDialog>([&](QFileDialog& dialog) {
      asked = true;
      dialog.reject();
    });
    key(k, Qt::ControlModifier);
    d().until([&] { return asked; }, "the dialog");
  }
  w().view().setFocus();
  key(Qt::Key_Question);
  d().until([&] { return d().find<QLabel>("factSheet")->isVisible(); }, "the keys");
}

TEST_F(RealWindow, AnAreaIsDrawnGetsAClassAndIsTakenBack) {
  d().stage(2);
  auto* classes = d().find<QTableWidget>("classTable");
  QTest::mouseClick(classes->viewport(), Qt::LeftButton, {},
                    classes->visualItemRect(classes->item(0, 0)).center());
  d().click("drawArea");
  const QPoint c = w().view().rect().center() - QPoint(160, 0);
  for (const QPoint& at : {c, c + QPoint(40, 0), c + QPoint(40, 30), c + QPoint(0, 30)})
    QTest::mouseClick(&w().view(), Qt::LeftButton, {}, at);
  QTest::keyClick(&w().view(), Qt::Key_Return);
  ASSERT_EQ(s().training.size(), 1u);
  EXPECT_EQ(s().training[0].code, 1);
  EXPECT_EQ(s().training[0].shape.rings[0].size(), 4u);
  d().until([&] { return classes->item(0, 2)->text() != "–"; }, "the signature");
  EXPECT_EQ(w().trail().stations()[2].state, Trail::State::Notch);  // one class alone makes no map
  QTest::keyClick(&w(), Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().training.size(), 0u);
  QTest::keyClick(&w(), Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
  ASSERT_EQ(s().training.size(), 1u);
  reopen();
  EXPECT_EQ(s().training.size(), 1u);
  d().stage(2);
  QTest::mouseClick(&w().view(), Qt::LeftButton, {}, c + QPoint(20, 15));
  d().click("removeArea");
  EXPECT_EQ(s().training.size(), 0u);
}

TEST_F(RealWindow, AChangeUpstreamMarksTheMapAndIsMended) {
  makeMap();
  const std::string map = s().products.back().id;
  auto areas = s().training;
  areas.pop_back();
  w().bench().setTraining(areas, s().trainingCrs, "Remove one");
  EXPECT_TRUE(s().outOfDate(*s().product(map)));
  EXPECT_EQ(w().trail().stations()[3].state, Trail::State::Half);
  QTest::keyClick(&w(), Qt::Key_Z, Qt::ControlModifier);
  EXPECT_FALSE(s().outOfDate(*s().product(map)));
  w().bench().undo().redo();
  w().bench().bringUpToDate(q(map));
  d().settle();
  EXPECT_FALSE(s().outOfDate(*s().product(map)));
}

TEST_F(RealWindow, TheLabellingDeskHidesTheMapAndObeysItsKeys) {
  makeMap();
  d().stage(4);
  d().press("planCount", "3");
  d().until([&] { return d().find<QLabel>("planned")->text().startsWith("27 points"); },
            "the plan");
  d().make("primary", "the points");
  d().stage(5);
  d().click("primary");
  d().until([&] { return w().labelling().isVisible(); }, "the labelling desk");
  d().settle();
  auto& sheet = w().labelling();
  auto& l = w().book().labelling();
  for (auto* view : sheet.findChildren<MapView*>())
    EXPECT_EQ(view->front().kind, Picture::Kind::Composite);
  EXPECT_TRUE(w().view().isHidden() || !w().view().isVisible());
  const int first = l.current().id;
  QTest::keyClick(&sheet, Qt::Key_Space);
  EXPECT_NE(l.current().id, first);
  QTest::keyClick(&sheet, '4');
  EXPECT_EQ(l.labelled(), 1u);
  QTest::keyClick(&sheet, Qt::Key_Backspace);
  EXPECT_EQ(l.current().reference, 4);
  QTest::keyClick(&sheet, Qt::Key_U);
  EXPECT_EQ(l.unsure(), 1u);
  QTest::keyClick(&sheet, '3');
  EXPECT_EQ(l.labelled(), 1u);
  QTest::keyClick(&sheet, Qt::Key_N);
  auto* note = d().find<QPlainTextEdit>("labelNote");
  note->setFocus();
  QTest::keyClicks(note, "on the edge");
  QTest::keyClick(note, Qt::Key_Escape);
  d().until([&] { return l.current().note == "on the edge" || !note->hasFocus(); }, "the note");
  const double scale = sheet.findChild<MapView*>("pane0")->unitsPerPixel();
  QTest::keyClick(&sheet, Qt::Key_Plus);
  EXPECT_LT(sheet.findChild<MapView*>("pane0")->unitsPerPixel(), scale);
  reopen();
  EXPECT_EQ(w().book().labelling().labelled(), 1u);
  EXPECT_EQ(w().book().labelling().unsure(), 1u);
}

TEST_F(RealWindow, PanZoomFitCurtainAndPeek) {
  auto& v = w().view();
  d().stage(0);
  const double scale = v.unitsPerPixel();
  const QPointF at(200, 150);
  const Place under = v.toMap(at);
  QWheelEvent wheel(at, v.mapToGlobal(at), {}, QPoint(0, 240), Qt::NoButton, Qt::NoModifier,
                    Qt::NoScrollPhase, false);
  QCoreApplication::sendEvent(&v, &wheel);
  EXPECT_LT(v.unitsPerPixel(), scale);
  EXPECT_NEAR(v.toMap(at).x, under.x, 1e-6);  // the place under the pointer stays
  const Place centre = v.centre();
  QTest::keyClick(&v, Qt::Key_Right);
  EXPECT_GT(v.centre().x, centre.x);
  QTest::keyClick(&v, Qt::Key_0);
  EXPECT_NEAR(v.unitsPerPixel(), scale, 1e-9);
  const std::string other = s().scenes.front().id;
  QTest::mouseClick(d().find<Card>("card-" + q(other)), Qt::LeftButton, Qt::ShiftModifier);
  EXPECT_EQ(v.back().of, other);
  const std::string front = v.front().of;
  QTest::keyClick(&v, Qt::Key_X);
  EXPECT_EQ(v.front().of, other);
  EXPECT_EQ(v.back().of, front);
  QTest::keyClick(&w(), Qt::Key_C);
  EXPECT_EQ(v.mode(), MapView::Mode::Curtain);
  d().settle();
  const QImage curtain = v.grab().toImage();
  QTest::keyPress(&v, Qt::Key_QuoteLeft);
  d().settle();
  EXPECT_NE(v.grab().toImage(), curtain);
  QTest::keyRelease(&v, Qt::Key_QuoteLeft);
}

TEST_F(RealWindow, TheProbeReadsWhatIsUnderThePointer) {
  d().stage(0);
  auto* probe = d().find<Probe>("probe");
  const Place p = w().view().toMap(QPointF(w().view().width() / 2.0, w().view().height() / 2.0));
  QTest::mouseMove(&w().view(), onView(p));
  Q_EMIT w().view().hovered(p);
  d().until([&] { return probe->text().contains(w().view().front().title); }, "the probe");
  // The place in degrees is the place.
  const QStringList parts = probe->text().split("; ");
  auto found = placesIn(parts[1].toStdString());
  ASSERT_FALSE(found.empty()) << parts[1].toStdString();
  ASSERT_TRUE(CrsChange(crsFrom("EPSG:4326"), w().view().crs()).apply(found[0].place));
  EXPECT_NEAR(found[0].place.x, p.x, 1.5);
  EXPECT_NEAR(found[0].place.y, p.y, 1.5);
  // Another picture comes under a pointer that stays: what is said is of that one.
  const std::string other = s().scenes.front().id;
  const QString before = w().view().front().title;
  QTest::mouseClick(d().find<Card>("card-" + q(other)), Qt::LeftButton);
  ASSERT_NE(w().view().front().title, before);
  d().until([&] { return probe->text().contains(w().view().front().title); }, "the new values");
}

/// One's own presets are read once a program, so this needs one of its own, as ctest gives it.
class DamagedPresets : public RealWindow {
 protected:
  void SetUp() override {
    setenv("ZPATCH_OWN", own_.path().c_str(), 1);
    std::ofstream(own_ / "sensors.json") << "{\n  \"format\": oops";
    RealWindow::SetUp();
  }
  Folder own_;
};

TEST_F(DamagedPresets, AreSaidOnceTheStudyIsThere) {
  if (ownTroubles().empty()) GTEST_SKIP() << "the presets were read before in this program";
  EXPECT_TRUE(w().notice().contains("line 2")) << w().notice().toStdString();
  EXPECT_TRUE(w().notice().contains("sensors.json")) << w().notice().toStdString();
  EXPECT_EQ(s().scenes.size(), 8u);
}

TEST_F(RealWindow, BadInputIsSaidInPlaceAndChangesNothing) {
  d().stage(0);
  const size_t scenes = s().scenes.size();
  std::ofstream(folder_ / "no.tif") << "not a raster";
  w().bench().bringIn({q((folder_ / "no.tif").string())});
  EXPECT_TRUE(said().contains("is not a raster")) << said().toStdString();
  const fs::path whole = s().scenes.back().scene.bands[0].file;
  fs::copy_file(whole, folder_ / "cut.tif");
  fs::resize_file(folder_ / "cut.tif", fs::file_size(folder_ / "cut.tif") / 3);
  w().bench().bringIn({q((folder_ / "cut.tif").string())});
  EXPECT_TRUE(said().contains("damaged") || said().contains("is not a raster"))
      << said().toStdString();
  EXPECT_EQ(s().scenes.size(), scenes);
  d().stage(0);
  d().click("page-bands");
  d().press("nodata", "zero");
  QTest::keyClick(d().find<QLineEdit>("nodata"), Qt::Key_Return);
  EXPECT_TRUE(said().contains("not a number"));
  d().stage(3);  // no training yet: the desk says where it is made
  bool offered = false;
  for (auto* b : w().findChildren<QPushButton*>())
    offered = offered || (b->isVisible() && b->text() == "Go to training");
  EXPECT_TRUE(offered);
  d().stage(2);
  w().training().areas().importFrom(
      q((s().folder() / "outlines/outlines.gpkg").string()) + ":training", "class", "", "");
  EXPECT_TRUE(said().contains("is not a class code")) << said().toStdString();
  EXPECT_TRUE(s().training.empty());
}

TEST_F(RealWindow, AClassWithTooFewPixelsIsNamed) {
  d().stage(2);
  importTraining();
  auto areas = s().training;
  std::erase_if(areas, [](const TrainingArea& a) { return a.code == 5; });
  TrainingArea tiny;
  tiny.code = 5;
  tiny.className = "Osier bed";
  tiny.shape.rings = {{{410000, 5720000}, {410021, 5720000}, {410021, 5719979}, {410000, 5719979}}};
  areas.push_back(tiny);
  w().bench().setTraining(areas, s().trainingCrs, "Tiny");
  d().stage(3);
  d().click("primary");
  d().until([&] { return !w().bench().jobs().busy() && said().contains("too few"); },
            "the sentence");
  EXPECT_TRUE(said().contains("Osier bed"));
  EXPECT_EQ(d().products(), 0u);
}

TEST_F(RealWindow, AFolderAndAFileAreBroughtInAndAnEmptyEdgeIsSetAside) {
  d().stage(0);
  w().bench().bringIn({HAVEN "/archive/finch-2024-07-11"});
  EXPECT_EQ(s().scenes.back().scene.bands.size(), 8u);
  EXPECT_EQ(s().scenes.back().scene.bandOf("nir"), 4);
  w().bench().bringIn({HAVEN "/archive/finch-2031-05-02/finch-2031-05-02.tif"});
  d().stage(0);
  d().click("page-mask");
  d().click<QCheckBox>("maskEdge");
  d().until([&] { return d().find<QLabel>("maskShare")->text().contains("edge"); }, "the share");
  EXPECT_FALSE(w().view().veil().none());  // seen before it is set
  EXPECT_TRUE(s().scenes.back().scene.mask.empty());
  d().click("maskSet");
  d().until([&] { return !s().scenes.back().scene.mask.empty(); }, "the empty edge");
  EXPECT_TRUE(w().view().veil().none());
  reopen();
  EXPECT_FALSE(s().scenes.back().scene.mask.empty());
}

TEST_F(RealWindow, AJobShowsProgressAndCanBeCancelled) {
  d().stage(0);
  bool finished = false;
  w().bench().background(
      "Long work",
      [](const Progress& p) {
        for (double share = 0;; share = std::min(0.99, share + 1e-6)) p.at(share);
      },
      [&] { finished = true; });
  d().until([&] { return d().find<QLabel>("jobText")->text().startsWith("Long work"); },
            "the job line");
  d().until([&] { return w().trail().stations()[0].state == Trail::State::Busy; }, "the busy mark");
  d().click("cancelJob");
  d().until([&] { return !w().bench().jobs().busy(); }, "the end");
  EXPECT_FALSE(finished);
  EXPECT_TRUE(w().notice().contains("cancelled"));
}

TEST_F(RealWindow, AProductGoesToTheBinAndComesBack) {
  d().stage(1);
  d().click("index-burn");
  d().make("primary", "the index");
  const Product made = s().products.back();
  w().bench().toBin(q(made.id));
  EXPECT_EQ(d().products(), 0u);
  EXPECT_FALSE(fs::exists(made.file));
  QTest::keyClick(&w(), Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(d().products(), 1u);
  EXPECT_TRUE(fs::exists(made.file));
}

TEST_F(RealWindow, FindReachesStagesProductsAndPlaces) {
  QTest::keyClick(&w(), Qt::Key_K, Qt::ControlModifier);
  auto* find = w().trail().find();
  find->setFocus();
  QTest::keyClicks(find, "sampl");
  QTest::keyClick(find, Qt::Key_Return);
  EXPECT_EQ(w().stage(), 4);
  find->setFocus();
  QTest::keyClicks(find, "410000 5720000");
  QTest::keyClick(find, Qt::Key_Return);
  EXPECT_NEAR(w().view().centre().x, 410000, 1e-6);
  EXPECT_NEAR(w().view().centre().y, 5720000, 1e-6);
}

TEST(Looks, ContrastHolds) {
  const auto luminance = [](const QColor& c) {
    const auto part = [](double v) {
      return v <= 0.03928 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4);
    };
    return 0.2126 * part(c.redF()) + 0.7152 * part(c.greenF()) + 0.0722 * part(c.blueF());
  };
  const auto contrast = [&](const QColor& a, const QColor& b) {
    const double x = luminance(a), y = luminance(b);
    return (std::max(x, y) + 0.05) / (std::min(x, y) + 0.05);
  };
  for (const char* look : {"daylight", "dusk"}) {
    applyLook(look);
    const Tokens& t = tokens();
    for (const QColor& ground : {t.panel, t.sunken, t.raised}) {
      EXPECT_GE(contrast(t.text, ground), 4.5) << look;
      EXPECT_GE(contrast(t.second, ground), 4.5) << look;
      EXPECT_GE(contrast(t.warning, ground), 4.5) << look;
    }
    EXPECT_GE(contrast(t.accent, t.panel), 4.5) << look;
    EXPECT_GE(contrast(t.onAccent, t.accentFilled), 4.5) << look;
    EXPECT_GE(contrast(t.text, t.chosen), 4.5) << look;
  }
}

}  // namespace
}  // namespace zp
