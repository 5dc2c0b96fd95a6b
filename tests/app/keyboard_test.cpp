// The whole job without a mouse: Tab, Space, arrows and what one types.
#include "study/map_step.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class Keyboard : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    w().resize(1280, 800);
    w().activateWindow();
    d().until([&] { return w().isActiveWindow(); }, "the window to be active");
  }
  QWidget& here() {
    // After a dialog a window system gives the window its keys back by itself.
    if (QApplication::activeWindow() == nullptr) {
      w().activateWindow();
      d().until([&] { return w().isActiveWindow(); }, "the window to be active");
    }
    auto* at = QApplication::focusWidget();
    return at != nullptr ? *at : w();
  }
  void press(Qt::Key k, Qt::KeyboardModifiers held = {}) { QTest::keyClick(&here(), k, held); }
  void type(const QString& text) { QTest::keyClicks(&here(), text); }

  /// With Tab alone. Throws with the way it went.
  void tabTo(const QString& name) {
    d().settle();
    QStringList way;
    while (here().objectName() != name || !here().isVisible()) {
      way << QString(here().metaObject()->className()) + " " + here().objectName();
      if (way.size() > 250) break;
      const QWidget* from = &here();
      press(Qt::Key_Tab);
      if (&here() != from) continue;
      way << "(Tab does not leave it)";
      break;
    }
    if (here().objectName() != name)
      throw std::runtime_error((name + " is not reached by Tab: " + way.join(", ")).toStdString());
  }
  void push(const QString& name) {
    tabTo(name);
    if (!here().isEnabled()) throw std::runtime_error(name.toStdString() + " is not enabled");
    press(Qt::Key_Space);
  }
  void makeBy(const QString& name, const char* what) {
    const size_t before = s().products.size();
    push(name);
    d().until([&] { return s().products.size() > before && !w().bench().jobs().busy(); }, what);
    d().settle();
  }
  double thresholds() { return d().find<ThresholdChart>("thresholdChart")->cuts().at(0); }
  /// Under the cross in the middle of the view, which arrow keys move.
  void drawTriangle() {
    push("drawArea");
    tabTo("view");
    press(Qt::Key_Space);
    press(Qt::Key_Right);
    press(Qt::Key_Space);
    press(Qt::Key_Down, Qt::ShiftModifier);
    press(Qt::Key_Space);
    press(Qt::Key_Return);
  }
};

/// Down, then across: each part of the window before the next, and within a row from the left.
TEST_F(Keyboard, TabGoesThroughTheWindowAsItIsRead) {
  d().stage(1);
  d().find<QToolButton>("studyMenu")->setFocus();
  QStringList way;
  for (int i = 0; i < 200; ++i) {
    way << here().objectName();
    press(Qt::Key_Tab);
    if (here().objectName() == "studyMenu") break;
  }
  const auto before = [&](const char* one, const char* other) {
    EXPECT_TRUE(way.contains(one)) << one;
    EXPECT_TRUE(way.contains(other)) << other;
    EXPECT_LT(way.indexOf(one), way.indexOf(other))
        << one << ", " << other << " in " << way.join(", ").toStdString();
  };
  before("studyMenu", "find");
  before("find", "view");
  before("view", "deskScene");
  before("deskScene", "mode-index");
  before("mode-index", "mode-rules");
  before("mode-rules", "index-vegetation");
  before("index-vegetation", "formula");
  before("formula", "primary");
  before("primary", "card-s1");
  // And back the same way.
  QTest::keyClick(&here(), Qt::Key_Backtab);
  EXPECT_EQ(here().objectName(), way.back());
}

TEST_F(Keyboard, TheWholeJobFromANewStudyToTheReport) {
  const std::string demo = folder_ / "study";
  // A study, and a scene for it.
  whenAskedForAFile(folder_ / "mine");
  press(Qt::Key_N, Qt::ControlModifier);
  ASSERT_EQ(s().folder(), folder_ / "mine");
  press(Qt::Key_F1);
  whenAskedForAFile(demo + "/scenes/finch-2031-07-18");
  push("bringFolder");
  d().until([&] { return !w().bench().jobs().busy(); }, "the files to be looked at");
  push("primary");
  d().settle();
  ASSERT_EQ(s().scenes.size(), 1u) << said().toStdString();
  // An index, and classes of it at another threshold.
  press(Qt::Key_F2);
  push("index-vegetation");
  makeBy("primary", "the index");
  tabTo("thresholdChart");
  const double before = thresholds();
  press(Qt::Key_Right);
  EXPECT_GT(thresholds(), before);
  makeBy("primary", "the class map");
  // Training areas from a file, and one drawn.
  press(Qt::Key_F3);
  whenAskedForAFile(demo + "/outlines/outlines.gpkg");
  push("importTraining");
  push("importGo");
  d().settle();
  const size_t imported = s().training.size();
  ASSERT_GT(imported, 9u);
  tabTo("classTable");
  press(Qt::Key_Down);
  drawTriangle();
  EXPECT_EQ(s().training.size(), imported + 1);
  press(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().training.size(), imported);
  // A map, points on it, and what they read.
  press(Qt::Key_F4);
  makeBy("primary", "the map");
  press(Qt::Key_F5);
  tabTo("planCount");
  press(Qt::Key_A, Qt::ControlModifier);
  type("3");
  d().until([&] { return d().find<QLabel>("planned")->text().contains(", 3 in"); }, "the plan");
  makeBy("primary", "the points");
  push("pageReadings");
  makeBy("primary", "the readings");
  EXPECT_EQ(s().products.back().kind, ProductKind::Table);
  press(Qt::Key_Escape);
  // Labels, the matrix, the report.
  press(Qt::Key_F6);
  push("primary");
  d().until([&] { return w().labelling().isVisible() && w().labelling().ready(); },
            "the labelling desk");
  const size_t points = w().book().labelling().points().size();
  for (size_t i = 0; i < points; ++i) press(i % 4 == 0 ? Qt::Key_2 : Qt::Key_1);
  EXPECT_EQ(w().book().labelling().labelled(), points);
  push("closeLabelling");
  d().until([&] { return w().matrix().isVisible(); }, "the matrix");
  tabTo("matrixView");
  const auto chosen = d().find<MatrixView>("matrixView")->chosen();
  press(Qt::Key_Down);
  press(Qt::Key_Right);
  EXPECT_EQ(d().find<MatrixView>("matrixView")->chosen(),
            qMakePair(std::max(0, chosen.first) + 1, std::max(0, chosen.second) + 1));
  push("report");
  fs::create_directories(folder_ / "out");
  whenAskedForAFile(folder_ / "out");
  push("writeReport");
  d().until([&] { return !w().bench().jobs().busy(); }, "the report");
  EXPECT_TRUE(fs::exists(folder_ / "out/report.html")) << said().toStdString();
}

}  // namespace
}  // namespace zp
