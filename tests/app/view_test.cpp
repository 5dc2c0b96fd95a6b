// The view in full: two pictures together, how a picture is displayed, what is pinned, outlines,
// the map to hand over, and find; worked by mouse and keys.
#include "support/rasters.h"
#include "view/furniture.h"
#include "view/map_sheet.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class ViewWindow : public RealWindow {
 protected:
  MapView& v() { return w().view(); }
  std::string radar() {
    for (const auto& one : s().scenes)
      if (one.scene.isRadar()) return one.id;
    return "";
  }
  std::string optical(const std::string& name) {
    for (const auto& one : s().scenes)
      if (one.scene.name == name) return one.id;
    return "";
  }
  /// A scene in front and another behind.
  void showTwo() {
    d().stage(0);
    auto* front = d().find<Card>("card-" + q(optical("Finch 18 Jul")));
    auto* back = d().find<Card>("card-" + q(optical("Finch 11 Jul 2024")));
    QTest::mouseClick(front, Qt::LeftButton);
    QTest::mouseClick(back, Qt::LeftButton, Qt::ShiftModifier);
    d().settle();
    ASSERT_EQ(v().front().of, optical("Finch 18 Jul"));
    ASSERT_EQ(v().back().of, optical("Finch 11 Jul 2024"));
  }
  void tool(const char* name) { QTest::mouseClick(d().find<QToolButton>(name), Qt::LeftButton); }
  QImage shot() {
    d().settle();
    return v().grab().toImage();
  }
  void makeWater() {
    d().stage(1);
    d().click("index-water");
    d().make("primary", "the index");
    d().until([&] { return d().find<ThresholdChart>("thresholdChart")->cuts().size() == 1; },
              "the histogram");
  }
};

TEST_F(ViewWindow, LinesAreDrawnOpenAndLevelOnesToo) {
  d().settle();
  const auto at = [&](double x, double y) { return v().toMap(QPointF(x, y)); };
  ViewShape level, bent;
  level.shape.lines = {{at(100, 200), at(300, 200)}};
  bent.shape.lines = {{at(100, 300), at(300, 300), at(300, 400)}};
  for (auto* shape : {&level, &bent}) {
    shape->colour = QColor(255, 0, 255);
    shape->width = 3;
    shape->filled = true;  // there is nothing to fill
  }
  v().setShapes({level, bent});
  const QImage image = shot();
  const auto drawn = [&](int x, int y) {
    const QColor c = image.pixelColor(x, y);
    return c.red() > 200 && c.green() < 60 && c.blue() > 200;
  };
  EXPECT_TRUE(drawn(200, 200));
  EXPECT_TRUE(drawn(200, 300));
  EXPECT_TRUE(drawn(300, 350));
  EXPECT_FALSE(drawn(200, 350));  // no way back to its start, and no area
}

TEST_F(ViewWindow, SideBySideIsTheSamePlaceAtTheSameScale) {
  showTwo();
  Picture same = v().front();
  v().setBack(same);
  tool("side");
  EXPECT_EQ(v().mode(), MapView::Mode::SideBySide);
  const QImage both = shot();
  const int half = v().width() / 2;
  size_t different = 0, looked = 0;
  for (int y = 150; y < v().height() - 150; y += 7)
    for (int x = 20; x < half - 20; x += 7, ++looked)
      if (both.pixel(x, y) != both.pixel(x + v().width() - half, y)) ++different;
  EXPECT_LT(different, looked / 20) << looked;
  // The pointer means the same place on both sides, and zooming keeps it there.
  const QPointF left(200, 200), right(200 + v().width() - half, 200);
  EXPECT_NEAR(v().toMap(left).x, v().toMap(right).x, v().unitsPerPixel());
  const Place under = v().toMap(left);
  QWheelEvent e(left, v().mapToGlobal(left), {}, QPoint(0, 120), Qt::NoButton, Qt::NoModifier,
                Qt::NoScrollPhase, false);
  QCoreApplication::sendEvent(&v(), &e);
  EXPECT_NEAR(v().toMap(left).x, under.x, 1e-6);
  EXPECT_NEAR(v().visible().right - v().visible().left, half * v().unitsPerPixel(), 0.01);
  reopen();
  EXPECT_EQ(v().mode(), MapView::Mode::SideBySide);
  tool("side");
  EXPECT_EQ(v().mode(), MapView::Mode::Front);
}

TEST_F(ViewWindow, TheLoupeShowsTheBackPicture) {
  showTwo();
  const QImage front = shot();
  key(Qt::Key_L);
  ASSERT_EQ(v().mode(), MapView::Mode::Loupe);
  const QPoint at(400, 260);
  QTest::mouseMove(&v(), at);
  const QImage glass = shot();
  size_t inside = 0, outside = 0;
  for (int k = -80; k <= 80; ++k) {
    inside += glass.pixel(at.x() + k, at.y()) != front.pixel(at.x() + k, at.y()) ? 1 : 0;
    outside += glass.pixel(at.x() + k, at.y() - 150) != front.pixel(at.x() + k, at.y() - 150);
  }
  EXPECT_GT(inside, 120u);
  EXPECT_EQ(outside, 0u);
  look("loupe");
}

TEST_F(ViewWindow, AStretchByHandIsDraggedKeptAndUndoneByReset) {
  showTwo();
  tool("display");
  auto* chart = d().find<ThresholdChart>("stretchChart");
  d().until([&] { return chart->cuts().size() == 2; }, "the histogram");
  const double before = chart->cuts()[1];
  const QPoint from = chart->cutPosition(1) - QPoint(0, 20), to = from - QPoint(50, 0);
  QTest::mousePress(chart, Qt::LeftButton, {}, from);
  QMouseEvent move(QEvent::MouseMove, QPointF(to), chart->mapToGlobal(QPointF(to)), Qt::NoButton,
                   Qt::LeftButton, Qt::NoModifier);
  QCoreApplication::sendEvent(chart, &move);
  QTest::mouseRelease(chart, Qt::LeftButton, {}, to);
  d().settle();
  EXPECT_EQ(v().front().display.range, Display::Range::ByHand);
  EXPECT_LT(v().front().display.high[0], before);
  EXPECT_TRUE(d().find<QPushButton>("range-hand")->isChecked());
  look("display");
  const float high = v().front().display.high[0];
  reopen();
  EXPECT_EQ(v().front().display.high[0], high);
  tool("display");
  d().click("displayReset");
  d().settle();
  EXPECT_TRUE(v().front().display.plain());
  d().click("range-full");
  d().settle();
  EXPECT_EQ(v().front().display.range, Display::Range::Full);
  // Where there is no study area, one is told so.
  choose("displayFrom", "what is seen");
  d().settle();
  EXPECT_EQ(v().front().display.from, Display::From::Visible);
  ASSERT_EQ(v().front().display.part.size(), 1u);
}

TEST_F(ViewWindow, AnIndexIsShownInSteps) {
  makeWater();
  key(Qt::Key_D);
  choose("displaySteps", "equal counts");
  d().find<QSpinBox>("displayCount")->setValue(4);
  d().settle();
  EXPECT_EQ(v().front().display.count, 4);
  const QImage image = shot();
  std::map<QRgb, int> colours;
  for (int y = 120; y < v().height() - 120; ++y)
    for (int x = 260; x < v().width() - 340; ++x) ++colours[image.pixel(x, y)];
  std::erase_if(colours, [](const auto& c) { return c.second < 500; });
  EXPECT_EQ(colours.size(), 4u);
  look("steps");
}

TEST_F(ViewWindow, AClassIsHiddenAndTheMapLetsThePictureThrough) {
  makeWater();
  d().make("primary", "the class map");
  d().settle();
  ASSERT_EQ(v().front().kind, Picture::Kind::Classes);
  const QColor low = toQt(v().front().legend.classes[0].colour);
  const auto share = [&](const QImage& image) {
    int n = 0, all = 0;
    for (int y = 150; y < v().height() - 150; y += 3)
      for (int x = 150; x < v().width() - 20; x += 3, ++all) n += image.pixelColor(x, y) == low;
    return static_cast<double>(n) / all;
  };
  EXPECT_GT(share(shot()), 0.3);
  // The key: 46 below the upper edge, its first row.
  QTest::mouseClick(&v(), Qt::RightButton, {}, QPoint(40, 62));
  EXPECT_EQ(v().front().display.hidden, std::set<int>{1});
  EXPECT_LT(share(shot()), 0.001);
  tool("display");
  d().click("displayAll");
  EXPECT_TRUE(v().front().display.hidden.empty());
  v().setBack(w().bench().pictureOf(q(optical("Finch 18 Jul"))));
  d().find<QSlider>("displayOpacity")->setValue(50);
  EXPECT_LT(share(shot()), 0.001);  // mixed with what is behind
  EXPECT_EQ(v().front().display.opacity, 0.5);
  look("opacity");
}

TEST_F(ViewWindow, ProfilesArePinnedUpToSix) {
  d().stage(0);
  auto& card = w().viewTools().profiles();
  for (int i = 0; i < 7; ++i)
    QTest::mouseClick(&v(), Qt::LeftButton, {}, QPoint(120 + 70 * i, 240));
  ASSERT_EQ(card.pins().size(), kMostPins);
  EXPECT_NEAR(card.pins()[0].x, v().toMap(QPointF(190, 240)).x, v().unitsPerPixel());
  d().until([&] { return card.valuesOf(5) == 8; }, "the profiles");
  look("pins");
  reopen();
  ASSERT_EQ(w().viewTools().profiles().pins().size(), kMostPins);
  // A click on a pin's head takes it away.
  const QPoint head = onView(w().viewTools().profiles().pins()[2]) - QPoint(0, 20);
  QTest::mouseClick(&v(), Qt::LeftButton, {}, head);
  EXPECT_EQ(w().viewTools().profiles().pins().size(), kMostPins - 1);
  d().click("unpinAll");
  EXPECT_TRUE(w().viewTools().profiles().pins().empty());
  EXPECT_FALSE(w().viewTools().profiles().isVisible());
}

TEST_F(ViewWindow, AnOutlineIsStyledAndLabelled) {
  d().stage(0);
  d().click("page-area");
  auto* list = d().find<QListWidget>("outlineList");
  list->setCurrentRow(1);
  d().find<QDoubleSpinBox>("outlineWidth")->setValue(3);
  d().click<QCheckBox>("outlineFilled");
  auto* label = d().find<QComboBox>("outlineLabel");
  ASSERT_GT(label->count(), 2);
  choose("outlineLabel", label->itemText(1));
  EXPECT_EQ(s().outlines[1].width, 3);
  EXPECT_TRUE(s().outlines[1].filled);
  EXPECT_EQ(q(s().outlines[1].label), label->itemText(1));
  list->setFocus();
  list->item(1)->setCheckState(Qt::Checked);
  look("outlines");
  reopen();
  EXPECT_EQ(s().outlines[1].width, 3);
  EXPECT_TRUE(s().outlines[1].filled);
}

TEST_F(ViewWindow, AStyleIsTakenBack) {
  d().stage(0);
  d().click("page-area");
  d().find<QListWidget>("outlineList")->setCurrentRow(0);
  d().find<QDoubleSpinBox>("outlineWidth")->setValue(4);
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().outlines[0].width, 1.5);
}

TEST_F(ViewWindow, AMapToHandOverIsWritten) {
  makeWater();
  d().make("primary", "the class map");
  tool("sheet");
  d().press("sheetTitle", "Water of Ondrey Haven");
  d().press("sheetCredit", "Made up for a test");
  look("sheet-panel");
  const fs::path png = folder_ / "map.png";
  whenAskedForAFile(png);
  d().click("sheetWrite");
  d().until([&] { return w().notice().contains("map.png"); }, "the map");
  const QImage image(q(png.string()));
  EXPECT_EQ(image.width(), 2338);
  EXPECT_EQ(image.height(), 1653);
  const QColor high = toQt(v().front().legend.classes[1].colour);
  int found = 0;
  for (int y = 0; y < image.height(); y += 4)
    for (int x = 0; x < image.width(); x += 4) found += image.pixelColor(x, y) == high;
  EXPECT_GT(found, 3000);
  const QString folder = qEnvironmentVariable("ZP_LOOK");
  if (!folder.isEmpty())
    image.scaledToWidth(1280, Qt::SmoothTransformation).save(folder + "/map.png");
  // The credit is remembered.
  tool("sheet");
  EXPECT_EQ(d().find<QLineEdit>("sheetCredit")->text(), "Made up for a test");
  const fs::path pdf = folder_ / "map.pdf";
  whenAskedForAFile(pdf);
  d().click("sheetWrite");
  d().until([&] { return w().notice().contains("map.pdf"); }, "the map");
  EXPECT_EQ(textOf(pdf).substr(0, 5), "%PDF-");
}

TEST_F(ViewWindow, AMapThatCannotBeWrittenIsSaidAndLeavesNothing) {
  MapSheet sheet;
  sheet.front = v().front();
  sheet.extent = v().visible();
  sheet.crs = v().crs();
  EXPECT_NE(sentenceOf([&] {
              writeMapSheet(sheet, "A4 portrait", q((folder_ / "m.gif").string()));
            }).find("PNG or PDF"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { writeMapSheet(sheet, "A4 portrait", "/nowhere/m.png"); }), "");
  sheet.front.file = "/nowhere/gone.tif";
  sheet.front.kind = Picture::Kind::Index;
  sheet.front.key = "gone";
  EXPECT_NE(
      sentenceOf([&] { writeMapSheet(sheet, "A4 portrait", q((folder_ / "m.png").string())); }),
      "");
  EXPECT_FALSE(fs::exists(folder_ / "m.png"));
}

class FindWindow : public ViewWindow {
 protected:
  QListWidget* find(const QString& text) {
    key(Qt::Key_K, Qt::ControlModifier);
    auto* field = w().trail().find();
    field->setText(text);
    return d().find<QListWidget>("findList");
  }
};

TEST_F(FindWindow, APlaceIsReachedInAnyWriting) {
  const Place middle = v().centre();
  Place degrees = middle;
  CrsChange(v().crs(), crsFrom("EPSG:4326")).apply(degrees);
  const auto written = [&](double value, const char* plus, const char* minus) {
    const double size = std::abs(value);
    const int whole = static_cast<int>(size);
    return QString("%1°%2'%3")
        .arg(whole)
        .arg((size - whole) * 60, 0, 'f', 5)
        .arg(value < 0 ? minus : plus);
  };
  v().setCentre({middle.x + 3000, middle.y}, 10);
  auto* list = find(written(degrees.y, "N", "S") + " " + written(degrees.x, "E", "W"));
  ASSERT_GT(list->count(), 0);
  EXPECT_TRUE(list->item(0)->text().startsWith("Go to"));
  QTest::keyClick(w().trail().find(), Qt::Key_Return);
  EXPECT_NEAR(v().centre().x, middle.x, 1);
  EXPECT_NEAR(v().centre().y, middle.y, 1);
}

TEST_F(FindWindow, CommandsOutlinesAndHelpAreFound) {
  auto* list = find("side by");
  EXPECT_TRUE(list->item(0)->text().startsWith("Side by side"));
  QTest::keyClick(w().trail().find(), Qt::Key_Return);
  EXPECT_EQ(v().mode(), MapView::Mode::SideBySide);
  list = find("compartments");
  EXPECT_TRUE(list->item(0)->text().contains("outline"));
  QTest::keyClick(w().trail().find(), Qt::Key_Return);
  EXPECT_TRUE(s().outlines[1].shown);
  // A paragraph is found by what it says, and opens in place.
  list = find("full covariance");
  ASSERT_TRUE(list->item(0)->text().contains("help"));
  QTest::keyClick(w().trail().find(), Qt::Key_Return);
  EXPECT_TRUE(d().find<QLabel>("factSheet")->text().contains("covariance"));
  EXPECT_EQ(QApplication::activePopupWidget(), nullptr);  // a panel of the window, no popup
  key(Qt::Key_Escape);
  EXPECT_FALSE(w().findChild<QLabel*>("factSheet")->isVisible());
  EXPECT_EQ(find("zzzz")->item(0)->text(), "Nothing of that name");
}

TEST_F(FindWindow, AnyIndexOfTheBookIsReachedByItsAbbreviation) {
  auto* list = find("osavi");
  ASSERT_TRUE(list->item(0)->text().startsWith("Vegetation, soil-adjusted, optimised (OSAVI)"));
  QTest::keyClick(w().trail().find(), Qt::Key_Return);
  d().settle();
  EXPECT_EQ(w().stage(), 1);
  EXPECT_TRUE(d().find<QPushButton>("index-vegetation-soil-optimised")->isChecked());
  EXPECT_EQ(v().front().of, "preview");
  // One the scene cannot do: the book says what is missing.
  find("rfdi");
  QTest::keyClick(w().trail().find(), Qt::Key_Return);
  d().settle();
  EXPECT_EQ(d().find<QListWidget>("bookList")->item(0)->text(),
            "Radar forest degradation (RFDI): no hh and hv");
}

TEST(FindRank, NamesComeBeforeTexts) {
  const auto rank = [](const char* name, const char* text, const char* wanted) {
    return findRank({name, "kind", {}, text}, wanted);
  };
  EXPECT_LT(rank("reedbed", "", "reed"), rank("osier and reed", "", "reed"));
  EXPECT_LT(rank("osier and reed", "", "reed"), rank("bereeded", "", "reed"));
  EXPECT_LT(rank("bereeded", "", "reed"), rank("osier", "near the reed", "reed"));
  EXPECT_EQ(rank("osier", "", "reed"), -1);
  EXPECT_GE(rank("osier", "near the reed", "reed near"), 0);
}

TEST(Furniture, NorthIsUpOnTheCentralMeridianAndTurnsAwayFromIt) {
  const std::string utm = crsFrom("EPSG:32630");  // central meridian 3 degrees west
  EXPECT_NEAR(northAngle(utm, {500000, 5600000}), 0, 1e-6);
  // Convergence is about (longitude − 3° W) × sin(latitude); true north leans back to the meridian.
  Place east{0, 50};
  CrsChange(crsFrom("EPSG:4326"), utm).apply(east);
  const double want = -3 * std::sin(50 * 3.14159265 / 180);
  EXPECT_NEAR(northAngle(utm, east), want, 0.02);
  EXPECT_EQ(northAngle(crsFrom("EPSG:4326"), {3, 50}), 0);
  EXPECT_EQ(northAngle("", {3, 50}), 0);
}

class IndexViewWindow : public ViewWindow {};

TEST_F(IndexViewWindow, ABrushedRangeLightsUpItsPixels) {
  makeWater();
  auto* chart = d().find<ThresholdChart>("thresholdChart");
  const QPoint a = chart->pointOf(chart->cuts()[0]) + QPoint(25, 0), b = a + QPoint(60, 0);
  QTest::mousePress(chart, Qt::LeftButton, {}, a);
  QMouseEvent move(QEvent::MouseMove, QPointF(b), chart->mapToGlobal(QPointF(b)), Qt::NoButton,
                   Qt::LeftButton, Qt::NoModifier);
  QCoreApplication::sendEvent(chart, &move);
  QTest::mouseRelease(chart, Qt::LeftButton, {}, b);
  ASSERT_FALSE(v().veil().none());
  EXPECT_TRUE(v().veil().display.lit);
  look("brush");
  const QImage lit = shot();
  QTest::mouseClick(chart, Qt::LeftButton, {}, b);
  EXPECT_TRUE(v().veil().none());
  EXPECT_NE(lit, shot());
}

TEST_F(IndexViewWindow, TheHistogramIsOfThePartThatIsSeen) {
  makeWater();
  auto* table = d().find<QTableWidget>("thresholdTable");
  const auto pixels = [&] {
    double n = 0;
    for (int r = 0; r < table->rowCount(); ++r)
      n += table->item(r, 2)->text().remove(' ').toDouble();
    return n;
  };
  EXPECT_NEAR(pixels(), 1200 * 900, 1);
  v().setCentre(v().centre(), 5);
  choose("histogramFrom", "what is seen");
  const Extent e = v().visible();
  const double want = (e.right - e.left) * (e.top - e.bottom) / 100;
  d().until([&] { return std::abs(pixels() - want) < 0.02 * want; }, "the histogram of the part");
  const double cut = d().find<ThresholdChart>("thresholdChart")->cuts()[0];
  // It follows the view, and the threshold stays.
  v().setCentre(v().centre(), 2);
  d().until([&] { return pixels() < 0.2 * want; }, "the histogram to follow");
  EXPECT_EQ(d().find<ThresholdChart>("thresholdChart")->cuts()[0], cut);
  choose("histogramFrom", "the study area");
  d().until([&] { return pixels() > want; }, "the histogram of the study area");
  EXPECT_LT(pixels(), 1200 * 900);
  choose("histogramFrom", "the whole");
  d().until([&] { return pixels() > 1200 * 900 - 1; }, "the histogram of the whole");
  // Water and land are two peaks; the valley lies between them.
  d().click("valleyCut");
  EXPECT_TRUE(said().isEmpty() || said().contains("one peak")) << said().toStdString();
}

TEST_F(ViewWindow, APlaceThatIsGoneToStaysWhenTheViewChangesItsSize) {
  auto& view = w().view();
  view.fit();
  EXPECT_TRUE(view.fitted());
  const Place middle = view.centre();
  view.zoomTo({middle.x - 300, middle.y - 200, middle.x + 100, middle.y + 200});
  const Place there = view.centre();
  const double scale = view.unitsPerPixel();
  w().resize(w().width() - 60, w().height() - 40);
  d().settle();
  EXPECT_EQ(view.unitsPerPixel(), scale);
  EXPECT_EQ(view.centre().x, there.x);
}

}  // namespace
}  // namespace zp
