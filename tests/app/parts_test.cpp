// The parts of the window by themselves: trail, charts, matrix, formula field.
#include "look/parts.h"

#include <gtest/gtest.h>

#include <QSignalSpy>
#include <QtTest/QTest>

#include "charts/chart.h"
#include "desks/accuracy/matrix_view.h"
#include "desks/indices/formula_edit.h"
#include "desks/panel.h"
#include "shell/second_click.h"
#include "shell/trail.h"

namespace zp {
namespace {

std::vector<Trail::Station> stations() {
  std::vector<Trail::Station> out(6);
  for (int i = 0; i < 6; ++i) out[static_cast<size_t>(i)].name = QString("Stage %1").arg(i);
  return out;
}

TEST(TrailWidget, IsWorkedByMouseAndKeys) {
  Trail trail;
  trail.resize(1280, 64);
  trail.setStations(stations());
  trail.setCurrent(2);
  QSignalSpy chosen(&trail, &Trail::chosen);
  QTest::mouseClick(&trail, Qt::LeftButton, {}, trail.stationRect(4).center());
  QTest::keyClick(&trail, Qt::Key_Left);
  QTest::keyClick(&trail, Qt::Key_Right);
  ASSERT_EQ(chosen.size(), 3);
  EXPECT_EQ(chosen[0][0].toInt(), 4);
  EXPECT_EQ(chosen[1][0].toInt(), 1);
  EXPECT_EQ(chosen[2][0].toInt(), 3);
  for (int i = 0; i + 1 < 6; ++i)
    EXPECT_LE(trail.stationRect(i).right(), trail.stationRect(i + 1).left() + 1);
}

TEST(TrailWidget, EveryStateLooksDifferent) {
  QList<QImage> seen;
  for (auto state : {Trail::State::Hollow, Trail::State::Filled, Trail::State::Half,
                     Trail::State::Busy, Trail::State::Notch}) {
    Trail trail;
    trail.resize(1280, 64);
    auto st = stations();
    st[3].state = state;
    st[3].share = 0.4;
    trail.setStations(st);
    const QImage image = trail.grab().toImage();
    for (const auto& other : seen) EXPECT_NE(image, other);
    seen << image;
  }
}

TEST(SceneNames, ADayInTheNameIsNotSaidTwice) {
  const auto named = [](const char* name, const char* date) {
    Scene scene;
    scene.name = name;
    scene.date = date;
    return nameWithDate(scene).toStdString();
  };
  EXPECT_EQ(named("Heron 24 Sep", "2031-09-24"), "Heron 24 Sep  2031");
  EXPECT_EQ(named("Heron 24 Sept", "2031-09-24T10:00:00Z"), "Heron 24 Sept  2031");
  EXPECT_EQ(named("Heron 24 Sep 2031", "2031-09-24"), "Heron 24 Sep 2031");
  EXPECT_EQ(named("Finch 18 Jul", "2031-07-18"), "Finch 18 Jul  2031");
  EXPECT_EQ(named("Finch", "2031-07-18"), "Finch  18 Jul 2031");
  EXPECT_EQ(named("Finch", ""), "Finch");
  EXPECT_EQ(named("Tern_2031-09-14", "2031-09-14"), "Tern_2031-09-14");
  EXPECT_EQ(named("Tern_2031-09-14", "2031-09-15"), "Tern_2031-09-14  15 Sept 2031");
}

Histogram flatHistogram() {
  Histogram h;
  h.low = 0, h.high = 10;
  h.bins.assign(1000, 5);
  return h;
}

TEST(ThresholdChartWidget, CutsStayInOrderAndInside) {
  ThresholdChart chart;
  chart.resize(360, 150);
  chart.setHistogram(flatHistogram());
  chart.setCuts({3, 6}, {Qt::red, Qt::green, Qt::blue});
  chart.replot();
  QSignalSpy dragged(&chart, &ThresholdChart::dragged);
  const QPoint first = chart.cutPosition(0) - QPoint(0, 30);
  const auto moveTo = [&](QPoint p) {
    QMouseEvent e(QEvent::MouseMove, QPointF(p), chart.mapToGlobal(QPointF(p)), Qt::NoButton,
                  Qt::LeftButton, Qt::NoModifier);
    QCoreApplication::sendEvent(&chart, &e);
  };
  QTest::mousePress(&chart, Qt::LeftButton, {}, first);
  moveTo(first + QPoint(300, 0));  // beyond the second
  EXPECT_LT(chart.cuts()[0], chart.cuts()[1]);
  moveTo(QPoint(-500, 50));
  EXPECT_GE(chart.cuts()[0], 0);
  QTest::mouseRelease(&chart, Qt::LeftButton, {}, first);
  EXPECT_GE(dragged.size(), 2);
  const double before = chart.cuts()[0];
  QTest::keyClick(&chart, Qt::Key_Right);
  EXPECT_GT(chart.cuts()[0], before);
  // A press far from any cut holds none.
  const auto cuts = chart.cuts();
  QTest::mousePress(&chart, Qt::LeftButton, {}, chart.cutPosition(1) + QPoint(60, -30));
  moveTo(chart.cutPosition(1) + QPoint(90, -30));
  EXPECT_EQ(chart.cuts(), cuts);
}

ConfusionMatrix smallMatrix() {
  std::vector<MapAndReference> pairs;
  for (int i = 0; i < 9; ++i) pairs.push_back({1, 1});
  for (int i = 0; i < 4; ++i) pairs.push_back({2, 1});
  for (int i = 0; i < 6; ++i) pairs.push_back({2, 2});
  Legend legend;
  legend.addMissing(1, "Open water");
  legend.addMissing(2, "Reedbed");
  return confusionMatrix(pairs, legend);
}

TEST(MatrixWidget, CellsAreChosenByMouseAndKeys) {
  MatrixView view;
  view.resize(700, 420);
  const auto m = smallMatrix();
  view.setMatrix(m, assessCounts(m), {});
  QSignalSpy chosen(&view, &MatrixView::cellChosen);
  QTest::mouseClick(&view, Qt::LeftButton, {}, view.cellRect(1, 0).center());
  ASSERT_EQ(chosen.size(), 1);
  EXPECT_EQ(view.chosen(), qMakePair(1, 0));
  QTest::keyClick(&view, Qt::Key_Right);
  EXPECT_EQ(view.chosen(), qMakePair(1, 1));
  QTest::keyClick(&view, Qt::Key_Down);  // stays inside
  EXPECT_EQ(view.chosen(), qMakePair(1, 1));
  QTest::keyClick(&view, Qt::Key_Up);
  EXPECT_EQ(view.chosen(), qMakePair(0, 1));
  EXPECT_FALSE(view.cellRect(0, 0).intersects(view.cellRect(0, 1)));
  const QImage counts = view.grab().toImage();
  view.setShow(MatrixView::Show::RowShares);
  EXPECT_NE(view.grab().toImage(), counts);
}

TEST(MatrixWidget, OfManyClassesShowsAsManyAsFitAndGoesWhereOneChooses) {
  MatrixView view;
  view.resize(900, 500);
  view.show();
  std::vector<MapAndReference> pairs;
  for (int i = 1; i <= 60; ++i) pairs.push_back({i, i});
  const auto m = confusionMatrix(pairs, {});
  view.setMatrix(m, assessCounts(m), {});
  const auto seen = [&](size_t map, size_t reference) {
    const QRect rest(0, 100, 640, 330);  // between names, heads and margins
    return rest.contains(view.cellRect(map, reference));
  };
  EXPECT_TRUE(seen(0, 0));
  EXPECT_FALSE(seen(59, 59));
  EXPECT_FALSE(seen(0, 59));
  view.choose(59, 59);
  EXPECT_TRUE(seen(59, 59));
  EXPECT_FALSE(seen(0, 0));
  QTest::keyClick(&view, Qt::Key_Left);
  QTest::mouseClick(&view, Qt::LeftButton, {}, view.cellRect(56, 57).center());
  EXPECT_EQ(view.chosen(), qMakePair(56, 57));
  // By the wheel, down and, with Shift, sideways.
  view.choose(0, 0);
  for (const auto modifiers : {Qt::NoModifier, Qt::ShiftModifier})
    for (int i = 0; i < 40; ++i) {
      const QPointF at = view.rect().center();
      QWheelEvent turn(at, view.mapToGlobal(at), {}, {0, -120}, {}, modifiers, Qt::NoScrollPhase,
                       false);
      QApplication::sendEvent(&view, &turn);
    }
  EXPECT_TRUE(seen(59, 59));
  QTest::mouseClick(&view, Qt::LeftButton, {}, view.columnNameRect(59).center());
  EXPECT_EQ(view.chosen(), qMakePair(MatrixView::kWhole, 59));
  // Fewer classes fit, and there is nothing to scroll.
  const auto few = smallMatrix();
  view.setMatrix(few, assessCounts(few), {});
  EXPECT_TRUE(seen(0, 0));
  for (const auto* bar : view.findChildren<QScrollBar*>()) EXPECT_FALSE(bar->isVisible());
}

TEST(SecondClick, OnWhatOpenedAPageDoesNothingThere) {
  QStackedWidget pages;
  SecondClick second(&pages);
  QObject::connect(&pages, &QStackedWidget::currentChanged, &second, &SecondClick::opened);
  QPushButton *open = new QPushButton("open"), *there = new QPushButton("there");
  pages.addWidget(open);
  pages.addWidget(there);
  QObject::connect(open, &QPushButton::clicked, [&] { pages.setCurrentIndex(1); });
  int clicks = 0;
  QObject::connect(there, &QPushButton::clicked, [&] { ++clicks; });
  pages.resize(300, 200);
  pages.show();
  const auto click = [&](QPoint at, unsigned long time) {
    for (const auto type : {QEvent::MouseButtonPress, QEvent::MouseButtonRelease}) {
      QMouseEvent e(type, at, at, pages.mapToGlobal(QPointF(at)), Qt::LeftButton, Qt::LeftButton,
                    {});
      e.setTimestamp(time);
      QApplication::sendEvent(pages.windowHandle(), &e);
    }
  };
  const auto interval = static_cast<unsigned long>(QApplication::doubleClickInterval());
  click({40, 40}, 1000);
  ASSERT_EQ(pages.currentIndex(), 1);
  click({41, 40}, 1100);
  EXPECT_EQ(clicks, 0);
  EXPECT_FALSE(there->hasFocus());
  click({200, 150}, 1200);  // elsewhere: somebody knows what they do
  EXPECT_EQ(clicks, 1);
  click({41, 40}, 1001 + interval);  // so long after, too
  EXPECT_EQ(clicks, 2);
}

TEST(FormulaField, MarksTheErrorAndAcceptsWithEnter) {
  FormulaEdit edit;
  edit.setKnown({"red", "nir"});
  QSignalSpy accepted(&edit, &FormulaEdit::accepted);
  QTest::keyClicks(&edit, "nir + rde");
  ASSERT_TRUE(edit.error());
  EXPECT_EQ(edit.error()->at, 6u);
  EXPECT_EQ(edit.error()->suggestion, "red");
  bool underlined = false;
  for (const auto& s : edit.extraSelections())
    underlined = underlined || (s.format.underlineStyle() == QTextCharFormat::WaveUnderline &&
                                s.cursor.selectedText() == "rde");
  EXPECT_TRUE(underlined);
  edit.setPlainText("nir + red");
  EXPECT_FALSE(edit.error());
  QTest::keyClick(&edit, Qt::Key_Return);
  EXPECT_EQ(accepted.size(), 1);
  EXPECT_EQ(edit.formula(), "nir + red");  // Enter writes no line
}

TEST(Flow, BreaksLinesWhenItMust) {
  QWidget box;
  auto* flow = new FlowLayout(6);
  box.setLayout(flow);
  for (int i = 0; i < 8; ++i) flow->addWidget(chip(QString("Chip number %1").arg(i)));
  box.resize(2000, 200);
  const int wide = flow->heightForWidth(2000), narrow = flow->heightForWidth(260);
  EXPECT_GT(narrow, wide * 2);
  box.show();
  box.resize(260, narrow);
  QCoreApplication::processEvents();
  for (int i = 0; i < flow->count(); ++i) EXPECT_LE(flow->itemAt(i)->geometry().right(), 260);
}

TEST(ParagraphWidget, OpensInPlace) {
  QWidget box;
  auto* layout = new QVBoxLayout(&box);
  auto* p = new Paragraph("<p>What it does</p>");
  layout->addWidget(p->opener());
  layout->addWidget(p);
  box.show();
  EXPECT_FALSE(p->isVisible());
  QTest::mouseClick(p->opener(), Qt::LeftButton);
  EXPECT_TRUE(p->isVisible());
  QTest::mouseClick(p->opener(), Qt::LeftButton);
  EXPECT_FALSE(p->isVisible());
}

TEST(SignatureChartWidget, DrawsALineAndABandOfEachClassAndTheChosenOneStronger) {
  SignatureSet set;
  set.bands = {"red", "nir"};
  Legend legend;
  for (int code : {1, 2, 3}) {
    Signature s;
    s.code = code;
    s.pixels = 10;
    s.mean = Eigen::Vector2d(0.1 * code, 0.2 * code);
    s.covariance = 0.0004 * Eigen::Matrix2d::Identity();
    s.min = s.max = s.mean;
    set.classes.push_back(s);
    legend.addMissing(code, "class " + std::to_string(code));
  }
  SignatureChart chart;
  chart.resize(360, 180);
  chart.show(set, {662, 803}, legend, 2, "nm");
  ASSERT_EQ(chart.graphCount(), 9);  // three lines, each with the two edges of its band
  EXPECT_GT(chart.graph(5)->pen().widthF(), chart.graph(2)->pen().widthF());
  EXPECT_GT(chart.graph(4)->brush().color().alpha(), chart.graph(1)->brush().color().alpha());
  EXPECT_GT(chart.yAxis->range().upper, 0.6);
  chart.show(set, {662, 803}, legend, 0, "nm");
  ASSERT_EQ(chart.graphCount(), 9);
  EXPECT_EQ(chart.graph(5)->pen().widthF(), chart.graph(2)->pen().widthF());
}

}  // namespace
}  // namespace zp
