#pragma once
#include <gtest/gtest.h>

#include <filesystem>
#include <fstream>

#include "grid/gdal_start.h"
#include "look/look.h"
#include "tour/driver.h"

namespace zp::testing {

namespace fs = std::filesystem;

/// Waits for a dialog or menu of a kind, which blocks whoever opened it, and answers it.
template <class W, class F>
void whenOpen(F answer) {
  auto* timer = new QTimer(qApp);
  QObject::connect(timer, &QTimer::timeout, timer, [timer, answer] {
    for (QWidget* shown : {QApplication::activeModalWidget(), QApplication::activePopupWidget()})
      if (auto* w = qobject_cast<W*>(shown)) {
        timer->stop();
        timer->deleteLater();
        return answer(*w);
      }
  });
  timer->start(5);
}

/// Types a path into the file dialog that is about to open.
inline void whenAskedForAFile(const fs::path& path) {
  whenOpen<QFileDialog>([path](QFileDialog& dialog) {
    auto* name = dialog.findChild<QLineEdit*>("fileNameEdit");
    name->setFocus();
    name->setText(QString::fromStdString(path.string()));
    QTest::keyClick(name, Qt::Key_Return);
    if (dialog.isVisible()) QTest::keyClick(name, Qt::Key_Return);  // the first closed a completer
  });
}

/// Chooses an entry of the menu that is about to open.
inline void whenMenuOpens(const QString& entry) {
  whenOpen<QMenu>([entry](QMenu& menu) {
    for (auto* action : menu.actions())
      if (action->text() == entry) {
        QTest::mouseClick(&menu, Qt::LeftButton, {}, menu.actionGeometry(action).center());
        return;
      }
    ADD_FAILURE() << "the menu has no " << entry.toStdString();
    menu.close();
  });
}

/// A window on a copy of the demo study.
class RealWindow : public ::testing::Test {
 protected:
  void SetUp() override {
    std::string pattern = (fs::temp_directory_path() / "zp-window-XXXXXX").string();
    folder_ = mkdtemp(pattern.data());
    fs::copy(HAVEN "/pristine", folder_ / "study", fs::copy_options::recursive);
    open();
  }
  void TearDown() override {
    driver_.reset();
    window_.reset();
    fs::remove_all(folder_);
  }
  void open() {
    window_ = std::make_unique<MainWindow>();
    driver_ = std::make_unique<Driver>(*window_);
    window_->show();
    ASSERT_TRUE(window_->bench().open(study()));
    driver_->settle();
  }
  void reopen() {
    driver_.reset();
    window_->close();
    window_.reset();
    open();
  }
  QString study() const { return q((folder_ / "study").string()); }
  Driver& d() { return *driver_; }
  MainWindow& w() { return *window_; }
  const Study& s() { return window_->bench().study(); }
  /// What the desk says: what went wrong, else what is missing, else nothing.
  QString said() {
    for (const char* name : {"deskNotice", "deskNeed"})
      for (auto* l : window_->findChildren<QLabel*>(name))
        if (l->isVisible()) return l->text();
    return {};
  }
  /// A step, as a run sheet has it, done in the window's study.
  void runStep(const Json& step) {
    const size_t before = s().products.size();
    w().bench().run(step, "A step");
    d().until([&] { return s().products.size() > before; }, "a product");
    d().settle();
  }
  /// With the left button held, from one place in a widget to another.
  static void drag(QWidget& in, QPoint from, QPoint to) {
    QTest::mousePress(&in, Qt::LeftButton, {}, from);
    QTest::mouseMove(&in, (from + to) / 2);
    QTest::mouseMove(&in, to);
    QTest::mouseRelease(&in, Qt::LeftButton, {}, to);
  }
  void importTraining() {
    w().training().areas().importFrom(
        q((s().folder() / "outlines/outlines.gpkg").string()) + ":training", "code", "class",
        "subclass");
  }
  void makeMap() {
    d().stage(2);
    importTraining();
    d().stage(3);
    d().make("primary", "the map");
  }
  void makePoints(const QString& perClass) {
    d().stage(4);
    d().press("planCount", perClass);
    d().until([&] { return d().find<QLabel>("planned")->text().contains(", " + perClass + " in"); },
              "the plan");
    d().make("primary", "the points");
  }
  /// Opens the labelling desk on the map and points that were made.
  void startLabelling() {
    d().stage(5);
    d().click("primary");
    d().until([&] { return s().newest(ProductKind::Labels) != nullptr && w().labelling().ready(); },
              "the labelling desk");
  }
  void key(Qt::Key k, Qt::KeyboardModifiers m = {}) {
    w().activateWindow();  // after a dialog, which a window system would do by itself
    d().until([&] { return w().isActiveWindow(); }, "the window to be active");
    QTest::keyClick(&w(), k, m);
  }
  /// Leaves a picture of the window for a person to look at, where ZP_LOOK names a folder.
  void look(const QString& name) {
    const QString folder = qEnvironmentVariable("ZP_LOOK");
    if (folder.isEmpty()) return;
    w().resize(1280, 800);
    d().settle();
    QTest::qWait(100);  // for a person's eye, not for a test: layouts come to rest
    w().grab().save(folder + "/" + name + ".png");
  }
  void choose(const QString& box, const QString& text) {
    auto* combo = d().find<QComboBox>(box);
    const int at = combo->findText(text, Qt::MatchStartsWith);
    ASSERT_GE(at, 0) << box.toStdString() << " has no " << text.toStdString();
    combo->setFocus();
    combo->setCurrentIndex(at);
    Q_EMIT combo->activated(at);
  }
  QPoint onView(Place p) { return w().view().toScreen(p).toPoint(); }

  fs::path folder_;
  std::unique_ptr<MainWindow> window_;
  std::unique_ptr<Driver> driver_;
};

/// On the mapping desk, with the training areas of the demo.
class MappingWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    d().stage(2);
    importTraining();
    d().stage(3);
  }
};

}  // namespace zp::testing
