// The real window on a real X server, worked by its pointer and keys: whatever opens lets go again.
// Off-screen, nothing ever grabs the pointer, so this is not seen there.
#include <QProcess>

#include "app/window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class OnX : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    w().resize(1280, 800);
    d().until([&] { return w().isActiveWindow(); }, "the window to be active");
    d().settle();
  }

  static void xdo(const QStringList& arguments) {
    ASSERT_EQ(QProcess::execute("xdotool", arguments), 0) << arguments.join(' ').toStdString();
  }
  static void moveTo(QPoint global) {
    xdo({"mousemove", QString::number(global.x()), QString::number(global.y())});
  }
  static QPoint middleOf(const QWidget* widget) {
    return widget->mapToGlobal(widget->rect().center());
  }
  static void click(QPoint at, int button = 1) {
    moveTo(at);
    xdo({"click", QString::number(button)});
  }
  static void click(const QWidget* widget, int button = 1) {
    // Where it stands once layouts have come to rest.
    QPoint at;
    int still = 0;
    EXPECT_TRUE(QTest::qWaitFor([&] {
      still = std::exchange(at, middleOf(widget)) == middleOf(widget) ? still + 1 : 0;
      return still > 5;
    }));
    click(at, button);
  }
  static void press(const QString& key) { xdo({"key", key}); }
  static void type(const QString& text) { xdo({"type", "--delay", "5", text}); }
  /// By a hand of its own, for what is dragged keeps the window until it is let go.
  void drag(QPoint from, QPoint to) {
    QStringList steps{"mousemove", QString::number(from.x()), QString::number(from.y()),
                      "mousedown", "1"};
    for (int i = 1; i <= 8; ++i) {
      const QPoint at = from + (to - from) * i / 8;
      steps << "sleep"
            << "0.05"
            << "mousemove" << QString::number(at.x()) << QString::number(at.y());
    }
    steps << "sleep"
          << "0.1"
          << "mouseup"
          << "1";
    QProcess hand;
    hand.start("xdotool", steps);
    EXPECT_TRUE(inTime([&] { return hand.state() == QProcess::NotRunning; }));
  }
  bool inTime(const std::function<bool()>& condition) { return QTest::qWaitFor(condition, 15000); }

  /// Opens something that keeps whoever opened it until it is closed, and works it meanwhile.
  /// False when it does not open, or does not let go.
  bool whileOpen(const std::function<void()>& open, const std::function<QWidget*()>& what,
                 const std::function<void(QWidget*)>& work) {
    bool worked = false;
    QTimer timer;
    QObject::connect(&timer, &QTimer::timeout, [&] {
      QWidget* shown = what();
      // Keys go to what the window manager has made active, which is later than shown.
      if (worked || shown == nullptr || (shown->isModal() && !shown->isActiveWindow())) return;
      worked = true;
      timer.stop();
      work(shown);
    });
    timer.start(30);
    open();
    return inTime([&] { return worked && what() == nullptr; });
  }
  static void choose(QWidget* shown, const QString& entry) {
    auto* menu = qobject_cast<QMenu*>(shown);
    ASSERT_NE(menu, nullptr);
    for (auto* action : menu->actions())
      if (action->text() == entry) click(menu->mapToGlobal(menu->actionGeometry(action).center()));
  }
  static QWidget* popup() { return QApplication::activePopupWidget(); }
  static QWidget* dialog() { return QApplication::activeModalWidget(); }

  /// The window takes clicks and keys as before.
  void expectAlive() {
    EXPECT_TRUE(inTime([] { return QApplication::activePopupWidget() == nullptr; }));
    for (const int stage : {1, 0}) {
      click(w().trail().mapToGlobal(w().trail().stationRect(stage).center()));
      EXPECT_TRUE(inTime([&] { return w().stage() == stage; })) << "no click gets through";
    }
    press("F2");
    EXPECT_TRUE(inTime([&] { return w().stage() == 1; })) << "no key gets through";
    press("F1");
    EXPECT_TRUE(inTime([&] { return w().stage() == 0; }));
    d().settle();
  }
  QWidget* firstCard() { return d().find<QWidget>("card-" + q(s().scenes.back().id)); }
  QLabel* facts() { return w().findChild<QLabel*>("factSheet"); }
};

TEST_F(OnX, ADoubleClickOnACardShowsItsFactsAndLetsGo) {
  const QPoint at = middleOf(firstCard());
  moveTo(at);
  xdo({"click", "--repeat", "2", "--delay", "60", "1"});
  ASSERT_TRUE(inTime([&] { return facts()->isVisible(); }));
  EXPECT_EQ(QApplication::activePopupWidget(), nullptr);
  expectAlive();
  EXPECT_TRUE(facts()->isVisible());  // a panel stays until one closes it
  moveTo(at);
  xdo({"click", "--repeat", "2", "--delay", "60", "1"});
  EXPECT_TRUE(inTime([&] { return facts()->isVisible(); }));
  press("Escape");
  EXPECT_TRUE(inTime([&] { return !facts()->isVisible(); }));
  expectAlive();
}

TEST_F(OnX, TheMenuOfACardOpensAndLetsGo) {
  const auto open = [&] { click(firstCard(), 3); };
  EXPECT_TRUE(whileOpen(open, popup, [](QWidget*) { press("Escape"); }));
  expectAlive();
  EXPECT_TRUE(whileOpen(open, popup, [](QWidget* shown) { choose(shown, "Facts"); }));
  EXPECT_TRUE(inTime([&] { return facts()->isVisible(); }));
  expectAlive();
  // Beside the menu, a click closes it.
  EXPECT_TRUE(
      whileOpen(open, popup, [&](QWidget*) { click(w().view().mapToGlobal(QPoint(300, 200))); }));
  expectAlive();
}

TEST_F(OnX, TheStudyMenuOpensAndLetsGo) {
  EXPECT_TRUE(whileOpen([&] { click(w().trail().studyButton()); }, popup,
                        [](QWidget*) { press("Escape"); }));
  expectAlive();
}

TEST_F(OnX, AComboIsChosenFromAndLetsGo) {
  press("F2");
  ASSERT_TRUE(inTime([&] { return w().stage() == 1; }));
  d().settle();
  auto* ramp = d().find<QComboBox>("ramp");
  const int before = ramp->currentIndex();
  EXPECT_TRUE(whileOpen([&] { click(ramp); }, popup,
                        [](QWidget*) {
                          press("Down");
                          press("Return");
                        }));
  EXPECT_NE(ramp->currentIndex(), before);
  EXPECT_TRUE(whileOpen([&] { click(ramp); }, popup, [](QWidget*) { press("Escape"); }));
  expectAlive();
}

TEST_F(OnX, ACardIsDraggedOntoTheViewAndThePictureIsPanned) {
  const auto& card = *firstCard();
  drag(middleOf(&card), w().view().mapToGlobal(QPoint(120, 200)));
  EXPECT_TRUE(inTime([&] { return w().view().back().of == s().scenes.back().id; }));
  expectAlive();
  w().viewTools().setMode(MapView::Mode::Front);
  const Place before = w().view().centre();
  const QPoint at = w().view().mapToGlobal(QPoint(300, 250));
  drag(at, at + QPoint(90, 40));
  EXPECT_TRUE(inTime([&] { return w().view().centre().x < before.x; }));
  expectAlive();
}

TEST_F(OnX, FindIsTypedIntoAndWhatItExplainsLetsGo) {
  press("ctrl+k");
  ASSERT_TRUE(inTime([&] { return w().trail().find()->hasFocus(); }));
  type("full covariance");
  auto* list = w().findChild<QListWidget*>("findList");
  ASSERT_TRUE(inTime([&] { return list->isVisible() && list->count() > 0; }));
  press("Return");
  EXPECT_TRUE(inTime([&] { return facts()->isVisible(); }));
  expectAlive();
  press("ctrl+k");
  type("xyz");
  ASSERT_TRUE(inTime([&] { return list->isVisible(); }));
  press("Escape");
  EXPECT_TRUE(inTime([&] { return !list->isVisible(); }));
  expectAlive();
}

TEST_F(OnX, TheKeysShowAndLetGo) {
  const auto keys = [&]() -> TextPanel* {
    for (auto* panel : w().findChildren<TextPanel*>())
      if (panel->isVisible() && panel->text().contains("find anything")) return panel;
    return nullptr;
  };
  click(firstCard());
  press("question");
  ASSERT_TRUE(inTime([&] { return keys() != nullptr; }));
  expectAlive();
  press("Escape");
  EXPECT_TRUE(inTime([&] { return keys() == nullptr; }));
  expectAlive();
}

TEST_F(OnX, PolygonsAreChosenInThePanelFromTheMenuOfAMap) {
  makeMap();
  PolygonsPanel* panel = nullptr;
  for (auto* one : w().findChildren<PolygonsPanel*>())
    if (qobject_cast<FloatingPanel*>(one->parentWidget()) != nullptr) panel = one;
  ASSERT_NE(panel, nullptr);
  auto* card = d().find<QWidget>("card-" + q(s().products.back().id));
  EXPECT_TRUE(whileOpen([&] { click(card, 3); }, popup,
                        [](QWidget* shown) { choose(shown, "Polygons…"); }));
  ASSERT_TRUE(inTime([&] { return panel->isVisible(); }));
  auto* one = panel->findChild<QPushButton*>("polygonsOf-1");
  ASSERT_NE(one, nullptr);
  click(one);
  EXPECT_TRUE(inTime([&] { return !one->isChecked(); }));
  EXPECT_TRUE(whileOpen([&] { click(panel->findChild<QPushButton*>("writePolygons")); }, dialog,
                        [](QWidget*) { press("Escape"); }));
  expectAlive();
  press("Escape");
  EXPECT_TRUE(inTime([&] { return !panel->isVisible(); }));
}

TEST_F(OnX, AClassIsNamedInTheDeskAndItsColourDialogLetsGo) {
  d().stage(2);
  importTraining();
  d().settle();
  const auto* table = d().find<QTableWidget>("classTable");
  EXPECT_TRUE(inTime([&] { return table->item(0, 2)->text() != "–"; }));  // the signatures
  click(d().find<QPushButton>("editClass"));
  auto* name = w().findChild<QLineEdit*>("className");
  ASSERT_TRUE(inTime([&] { return name->hasFocus(); }));
  d().settle();  // what folds out has moved the rest
  EXPECT_TRUE(whileOpen([&] { click(d().find<QPushButton>("classColour")); }, dialog,
                        [](QWidget*) { press("Escape"); }));
  click(name);
  press("ctrl+a");
  type("Brackish water");
  press("Return");
  EXPECT_TRUE(inTime([&] {
    return std::any_of(s().legend.classes.begin(), s().legend.classes.end(),
                       [](const LegendClass& c) { return c.name == "Brackish water"; });
  }));
  EXPECT_FALSE(name->isVisible());
  expectAlive();
}

TEST_F(OnX, DialogsOpenAndLetGo) {
  click(firstCard());  // the keys go to the window
  EXPECT_TRUE(whileOpen([] { press("ctrl+o"); }, dialog, [](QWidget*) { press("Escape"); }));
  expectAlive();
}

TEST_F(OnX, ThePointerOverThePictureIsAnsweredByTheProbe) {
  auto* probe = w().findChild<Probe*>("probe");
  moveTo(w().view().mapToGlobal(QPoint(250, 200)));
  moveTo(w().view().mapToGlobal(QPoint(400, 260)));
  EXPECT_TRUE(inTime([&] { return probe->text().contains(";"); })) << probe->text().toStdString();
  expectAlive();
}

}  // namespace
}  // namespace zp
