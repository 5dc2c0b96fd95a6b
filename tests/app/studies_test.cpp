// Studies from the window: new, recent, open, copy, export; damaged ones; looks; layout.
#include <QSignalSpy>
#include <atomic>
#include <thread>

#include "base/text.h"
#include "text_fits.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class Studies : public RealWindow {
 protected:
  void menu(const QString& entry) {
    whenMenuOpens(entry);
    QTest::mouseClick(w().trail().studyButton(), Qt::LeftButton);
  }
};

TEST_F(Studies, ACopyIsAStudyOfItsOwn) {
  whenAskedForAFile(folder_ / "copy");
  menu("Save a copy…");
  ASSERT_TRUE(fs::exists(folder_ / "copy/study.json"));
  EXPECT_TRUE(w().notice().contains("A copy is in")) << w().notice().toStdString();
  EXPECT_EQ(s().folder(), folder_ / "study");
  fs::rename(folder_ / "study", folder_ / "moved");  // the copy leans on nothing of the first
  MainWindow other;
  other.show();
  ASSERT_TRUE(other.bench().open(q((folder_ / "copy").string())));
  Driver driver(other);
  driver.settle();
  EXPECT_FALSE(other.view().front().none());
  EXPECT_TRUE(other.bench().study().notice.empty());
}

TEST_F(Studies, WhatIsMissingOrNoRasterMakesNoStudy) {
  qputenv("HOME", (folder_ / "home").c_str());
  fs::create_directories(folder_ / "home");
  std::ofstream(folder_ / "tea.tif") << "no raster";
  MainWindow other;
  other.show();
  Driver driver(other);
  other.openOrBringIn({q((folder_ / "nothing").string())});
  EXPECT_TRUE(other.notice().contains("does not exist")) << other.notice().toStdString();
  other.openOrBringIn({q((folder_ / "tea.tif").string())});
  driver.until([&] { return other.notice().contains("not a raster"); }, "what is wrong");
  EXPECT_FALSE(other.bench().hasStudy());
  EXPECT_TRUE(fs::is_empty(folder_ / "home"));
  // A raster makes one.
  other.openOrBringIn({q(s().scenes[0].scene.bands[0].file.string())});
  driver.until([&] { return other.bench().hasStudy(); }, "the study");
  EXPECT_FALSE(fs::is_empty(folder_ / "home"));
}

TEST_F(Studies, AFileManagerOpensAStudyByItsFile) {
  w().bench().close();
  w().openOrBringIn({study() + "/study.json"});
  ASSERT_TRUE(w().bench().hasStudy());
  EXPECT_EQ(s().folder(), folder_ / "study");
  fs::create_directories(folder_ / "other");
  std::ofstream(folder_ / "other/study.json") << "{\"format\": \"of somebody else\"}";
  w().openOrBringIn({q((folder_ / "other/study.json").string())});
  EXPECT_TRUE(said().contains("is not a study of Zany Patch")) << said().toStdString();
}

TEST_F(Studies, ANewStudyStartsEmptyAndIsAmongTheRecent) {
  whenAskedForAFile(folder_ / "second");
  menu("New study…");
  ASSERT_EQ(s().folder(), folder_ / "second");
  EXPECT_TRUE(s().scenes.empty());
  EXPECT_EQ(w().trail().stations()[0].figure, "none yet");
  EXPECT_TRUE(w().view().front().none());
  EXPECT_EQ(Workbench::recent()[0], q((folder_ / "second").string()));
  EXPECT_EQ(Workbench::recent()[1], study());
  for (int i = 0; i < 6; ++i) d().stage(i);  // every desk says what is missing and none stumbles
  EXPECT_FALSE(w().bench().create(study(), "Again"));  // a folder with something in it
  EXPECT_EQ(s().folder(), folder_ / "second");
  EXPECT_TRUE(said().contains("not empty")) << said().toStdString();
}

TEST_F(Studies, ThePictureInViewGoesOut) {
  const QSize size = w().view().size() * w().view().devicePixelRatio();
  whenAskedForAFile(folder_ / "view.png");
  menu("Export the picture in view…");
  const QImage image(q((folder_ / "view.png").string()));
  EXPECT_EQ(image.size(), size);
  EXPECT_TRUE(d().find<QToolButton>("curtain")->isVisible());
  whenAskedForAFile("/proc/view.png");
  menu("Export the picture in view…");
  EXPECT_TRUE(w().notice().contains("could not be written")) << w().notice().toStdString();
}

TEST_F(Studies, ClosingLeavesAWayBackIn) {
  menu("Close the study");
  EXPECT_FALSE(w().bench().hasStudy());
  EXPECT_EQ(w().trail().current(), -1);  // no stage is where one is
  EXPECT_TRUE(d().find("newStudy")->isEnabled());
  for (auto k : {Qt::Key_F1, Qt::Key_F4, Qt::Key_X, Qt::Key_C, Qt::Key_0}) key(k);
  EXPECT_FALSE(w().bench().hasStudy());
  ASSERT_TRUE(w().bench().open(study()));
  d().settle();
  EXPECT_EQ(s().name, "Ondrey Haven");
  EXPECT_GE(w().trail().current(), 0);
}

TEST_F(Studies, NothingOfOneStudyShowsInTheNext) {
  makeMap();
  d().stage(2);
  auto* classes = d().find<QTableWidget>("classTable");
  d().until([&] { return classes->item(0, 2)->text() != "–"; }, "the signatures");
  // A study with the same ids, whose first training area is gone.
  fs::copy(folder_ / "study", folder_ / "twin", fs::copy_options::recursive);
  ASSERT_TRUE(w().bench().open(q((folder_ / "twin").string())));
  auto areas = s().training;
  std::erase_if(areas, [](const TrainingArea& a) { return a.code == 1; });
  w().bench().setTraining(areas, s().trainingCrs, "No water");
  d().stage(2);
  d().until([&] { return classes->item(1, 2)->text() != "–"; }, "the signatures of the twin");
  EXPECT_EQ(classes->item(0, 2)->text(), "–");
  ASSERT_TRUE(w().bench().open(study()));
  d().stage(2);
  d().until([&] { return classes->item(0, 2)->text() != "–"; }, "the first study's signatures");
}

TEST_F(Studies, AJobOfAClosedStudyDoesNothingToTheNext) {
  fs::copy(HAVEN "/pristine", folder_ / "second", fs::copy_options::recursive);
  bool done = false;
  std::atomic<bool> go = false;
  w().bench().background(
      "Late work",
      [&](const Progress&) {
        while (!go) std::this_thread::yield();  // takes no notice of being cancelled
      },
      [&] { done = true; });
  ASSERT_TRUE(w().bench().open(q((folder_ / "second").string())));
  go = true;
  d().until([&] { return !w().bench().jobs().busy(); }, "the end of the job");
  EXPECT_FALSE(done);
  EXPECT_EQ(d().products(), 0u);
}

TEST_F(Studies, AnotherNoDataValueIsSeenAtOnce) {
  d().stage(0);
  const QImage before = w().view().grab().toImage();
  const QString values = w().view().front().key;
  w().bench().changeScene(q(w().bench().currentScene()->id), "No data", [](Scene& one) {
    for (auto& b : one.bands) b.conversion.nodata = 300;
  });
  d().settle();
  const QImage after = w().view().grab().toImage();
  EXPECT_NE(before, after);
  key(Qt::Key_Z, Qt::ControlModifier);
  d().settle();
  EXPECT_EQ(w().view().front().key, values);
}

TEST_F(Studies, AStudyOpenElsewhereIsRefused) {
  MainWindow other;
  other.show();
  EXPECT_FALSE(other.bench().open(study()));
  EXPECT_TRUE(other.notice().contains("open")) << other.notice().toStdString();
  EXPECT_FALSE(other.bench().hasStudy());
}

TEST_F(Studies, ADamagedStudyFallsBackToItsLastGoodState) {
  d().stage(1);
  d().click("index-water");
  d().make("primary", "the index");
  w().bench().renameProduct(q(s().products.back().id), "Water");
  driver_.reset();
  window_->close();
  window_.reset();
  const auto file = folder_ / "study/study.json";
  fs::resize_file(file, fs::file_size(file) / 2);
  window_ = std::make_unique<MainWindow>();
  driver_ = std::make_unique<Driver>(*window_);
  window_->show();
  ASSERT_TRUE(window_->bench().open(study()));
  d().settle();
  EXPECT_EQ(d().products(), 1u);
  EXPECT_TRUE(said().contains("damaged") || w().notice().contains("damaged"))
      << said().toStdString() << w().notice().toStdString();
}

TEST_F(Studies, AMissingSceneIsNamedAndTheRestIsUsable) {
  driver_.reset();
  window_->close();
  window_.reset();
  const size_t scenes = 8;
  fs::rename(folder_ / "study/scenes/heron-2031-06-08", folder_ / "away");
  window_ = std::make_unique<MainWindow>();
  driver_ = std::make_unique<Driver>(*window_);
  window_->show();
  ASSERT_TRUE(window_->bench().open(study()));
  d().settle();
  EXPECT_TRUE(said().contains("Heron 8 Jun")) << said().toStdString();
  EXPECT_EQ(s().scenes.size(), scenes - 1);
  d().stage(1);
  d().click("index-vegetation");
  d().make("primary", "the index");
  // Back at its place it is there again, though the study was saved in between.
  fs::rename(folder_ / "away", folder_ / "study/scenes/heron-2031-06-08");
  reopen();
  EXPECT_EQ(s().scenes.size(), scenes);
  EXPECT_EQ(d().products(), 1u);
}

TEST_F(Studies, WhatIsNoStudyIsRefused) {
  std::ofstream(folder_ / "study.txt") << "x";
  EXPECT_FALSE(w().bench().open(q(folder_.string())));
  EXPECT_TRUE(said().contains("is not a study;")) << said().toStdString();
  EXPECT_EQ(s().folder(), folder_ / "study");
}

TEST_F(Studies, TheBinIsReachedFromTheMenuOnAnotherDay) {
  d().stage(1);
  d().click("index-water");
  d().make("primary", "the index");
  const Product made = s().products.back();
  w().bench().toBin(q(made.id));
  reopen();
  EXPECT_EQ(d().products(), 0u);
  const auto inBin = [&](const QString& entry) {
    whenOpen<QMenu>([entry](QMenu& menu) {
      for (auto* a : menu.actions())
        if (a->menu() != nullptr && a->text().startsWith("Bin (") && a->text().endsWith("MB)")) {
          for (auto* b : a->menu()->actions())
            if (b->text().startsWith(entry)) b->trigger();
          break;
        }
      menu.close();
    });
    QTest::mouseClick(w().trail().studyButton(), Qt::LeftButton);
  };
  QString told;
  whenOpen<QMenu>([&told](QMenu& menu) {
    for (auto* a : menu.actions())
      if (a->text().startsWith("On the disk")) told = a->text();
    menu.close();
  });
  QTest::mouseClick(w().trail().studyButton(), Qt::LeftButton);
  EXPECT_TRUE(told.contains(QRegularExpression("^On the disk: 1[0-9]{2} MB$")))
      << told.toStdString();
  inBin(q(made.name));
  ASSERT_EQ(d().products(), 1u);
  EXPECT_TRUE(fs::exists(s().products[0].file));
  w().bench().toBin(q(made.id));
  whenOpen<QMessageBox>([](QMessageBox& box) { box.button(QMessageBox::Discard)->click(); });
  inBin("Empty the bin");
  EXPECT_TRUE(s().bin.empty());
  key(Qt::Key_Z, Qt::ControlModifier);  // what was deleted for good does not come back
  EXPECT_EQ(d().products(), 0u);
}

TEST_F(Studies, CardsAreDraggedOntoTheViewAndFilteredByKind) {
  const std::string other = s().scenes.front().id;
  QMimeData data;
  data.setData(kCardMime, QByteArray::fromStdString(other));
  const auto dropAt = [&](int x) {
    const QPoint at = w().view().mapTo(&w(), QPoint(x, 200));
    QDragEnterEvent enter(at, Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
    QCoreApplication::sendEvent(&w(), &enter);
    QDropEvent drop(QPointF(at), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
    QCoreApplication::sendEvent(&w(), &drop);
    d().settle();
  };
  dropAt(100);
  EXPECT_EQ(w().view().back().of, other);
  EXPECT_EQ(w().view().mode(), MapView::Mode::Curtain);
  const std::string second = s().scenes[1].id;
  data.setData(kCardMime, QByteArray::fromStdString(second));
  dropAt(w().view().width() - 100);
  EXPECT_EQ(w().view().front().of, second);
  EXPECT_EQ(w().view().back().of, other);

  d().stage(1);
  d().click("index-water");
  d().make("primary", "the index");
  const auto shown = [&] {
    int n = 0;
    for (auto* c : w().findChildren<Card*>()) n += c->isVisible() ? 1 : 0;
    return n;
  };
  EXPECT_EQ(shown(), 9);
  whenMenuOpens("Indices");
  QTest::mouseClick(d().find<QToolButton>("shelfFilter"), Qt::LeftButton);
  EXPECT_EQ(shown(), 1);
  whenMenuOpens("Everything");
  QTest::mouseClick(d().find<QToolButton>("shelfFilter"), Qt::LeftButton);
  EXPECT_EQ(shown(), 9);
}

TEST_F(Studies, TheProbeTellsWhatIsNotInView) {
  d().stage(1);
  d().click("index-vegetation");
  d().make("primary", "the index");
  makeMap();
  d().stage(0);
  QTest::mouseClick(d().find<Card>("card-" + q(s().scenes.front().id)), Qt::LeftButton);
  d().settle();
  auto* probe = d().find<Probe>("probe");
  Q_EMIT w().view().hovered(w().view().toMap(QPointF(300, 300)));
  d().until([&] { return probe->text().contains("Vegetation"); }, "the probe");
  const QString text = probe->text();
  EXPECT_TRUE(text.contains(q(s().newest(ProductKind::ClassMap)->name))) << text.toStdString();
  EXPECT_TRUE(text.contains("dB")) << text.toStdString();
}

TEST_F(Studies, StagesAndViewAreReachedByKeys) {
  for (int i = 0; i < 6; ++i) {
    key(static_cast<Qt::Key>(Qt::Key_F1 + i));
    EXPECT_EQ(w().stage(), i);
  }
  // Tab goes round through every control of a desk and comes to its primary action.
  key(Qt::Key_F2);
  d().settle();
  w().activateWindow();
  w().trail().find()->setFocus();
  bool reached = false;
  for (int i = 0; i < 80 && !reached; ++i) {
    QTest::keyClick(QApplication::focusWidget() ? QApplication::focusWidget() : &w(), Qt::Key_Tab);
    reached = QApplication::focusWidget() == d().find("primary");
  }
  EXPECT_TRUE(reached);
}

TEST_F(Studies, ControlsHaveNamesForThoseWhoDoNotSee) {
  for (int stage = 0; stage < 6; ++stage) {
    d().stage(stage);
    for (auto* c : w().findChildren<QWidget*>()) {
      if (!c->isVisible() || c->focusPolicy() == Qt::NoFocus) continue;
      QString name = c->accessibleName();
      if (auto* b = qobject_cast<QAbstractButton*>(c)) name += b->text();
      const bool needs = qobject_cast<QAbstractButton*>(c) || qobject_cast<QComboBox*>(c) ||
                         qobject_cast<QAbstractSpinBox*>(c);
      EXPECT_TRUE(!needs || !name.isEmpty())
          << stage << " " << c->metaObject()->className() << " " << c->objectName().toStdString();
    }
  }
}

/// A part that is shown before it stands in its place would be a window of its own.
TEST_F(Studies, ThereIsOneWindowOnEveryStage) {
  const auto expectOne = [&](const std::string& where) {
    for (const auto* one : QApplication::topLevelWidgets())
      EXPECT_TRUE(one == &w() || !one->isVisible())
          << where << ": " << one->metaObject()->className() << " "
          << one->objectName().toStdString();
  };
  expectOne("opened");
  for (int stage = 0; stage < 6; ++stage) {
    d().stage(stage);
    expectOne("stage " + std::to_string(stage + 1));
  }
  d().stage(2);
  importTraining();
  d().stage(3);
  d().make("primary", "the map");
  expectOne("a map");
  ASSERT_TRUE(w().bench().create(q((folder_ / "other").string()), "Other"));
  expectOne("another study");
}

TEST_F(Studies, NoTextIsCutAtAnySize) {
  makeMap();
  makePoints("3");
  d().click("pageReadings");
  d().make("primary", "the readings");
  d().stage(1);
  d().click("index-vegetation");
  d().make("primary", "the index");
  for (const QSize& size : {QSize(1100, 700), QSize(1280, 800), QSize(1920, 1080)}) {
    w().resize(size);
    for (int stage = 0; stage < 6; ++stage) {
      d().stage(stage);
      for (auto* c : w().findChildren<QWidget*>())
        if (c->isVisible()) {
          EXPECT_EQ(cutText(*c).toStdString(), "")
              << size.width() << " stage " << stage << " " << c->objectName().toStdString();
        }
      EXPECT_TRUE(w().rect().contains(d().find("primary")->geometry().translated(
          d().find("primary")->parentWidget()->mapTo(&w(), QPoint(0, 0)))))
          << size.width() << " stage " << stage;
    }
    if (size.width() == 1280) {
      EXPECT_GE(w().view().width(), 820);
      EXPECT_GE(w().view().height(), 480);
    }
  }
}

TEST_F(Studies, EveryDeskShowsItselfInBothLooks) {
  QList<QColor> grounds;
  for (const char* look : {"daylight", "dusk"}) {
    driver_.reset();
    window_->close();
    window_.reset();
    applyLook(look);
    open();
    for (int stage = 0; stage < 6; ++stage) {
      d().stage(stage);
      const QImage image = w().grab().toImage();
      // The panel's ground is that of the look, everywhere along the desk's left edge.
      EXPECT_EQ(image.pixelColor(image.width() - 4, 80), tokens().panel) << look << stage;
    }
    grounds << tokens().panel;
  }
  EXPECT_GT(grounds[0].lightness(), grounds[1].lightness() + 100);
}

TEST_F(Studies, AnotherLookIsAskedForFromTheMenu) {
  int result = -1;
  QTimer::singleShot(0, [&] { menu("Look: daylight"); });
  result = QApplication::exec();
  EXPECT_EQ(result, kAnotherLook);
  EXPECT_EQ(QSettings().value("look").toString(), "daylight");
  QSettings().remove("look");
}

TEST_F(Studies, FindGoesToClassesIndicesMethodsAndNothing) {
  const auto ask = [&](const char* text) {
    key(Qt::Key_K, Qt::ControlModifier);
    auto* find = w().trail().find();
    find->setFocus();
    find->clear();
    QTest::keyClicks(find, text);
    QTest::keyClick(find, Qt::Key_Return);
  };
  ask("reedbed");
  EXPECT_EQ(w().stage(), 2);
  ask("minimum");
  EXPECT_EQ(w().stage(), 3);
  ask("burn");
  EXPECT_EQ(w().stage(), 1);
  d().settle();
  EXPECT_TRUE(d().find("index-burn")->isChecked());
  ask("no such thing at all");
  EXPECT_EQ(w().stage(), 1);
  const std::string id = s().scenes[0].id;
  ask(s().scenes[0].scene.name.c_str());
  EXPECT_EQ(w().view().front().of, id);
}

TEST_F(Studies, TheCurtainIsDraggedAndSplitsTheView) {
  const std::string other = s().scenes.front().id;
  QTest::mouseClick(d().find<Card>("card-" + q(other)), Qt::LeftButton, Qt::ShiftModifier);
  key(Qt::Key_C);
  d().settle();
  auto& v = w().view();
  const QImage middle = v.grab().toImage();
  const QPoint edge(v.width() / 2, v.height() / 2);
  QTest::mousePress(&v, Qt::LeftButton, {}, edge);
  const QPoint to = edge - QPoint(200, 0);
  QMouseEvent move(QEvent::MouseMove, QPointF(to), v.mapToGlobal(QPointF(to)), Qt::NoButton,
                   Qt::LeftButton, Qt::NoModifier);
  QCoreApplication::sendEvent(&v, &move);
  QTest::mouseRelease(&v, Qt::LeftButton, {}, to);
  d().settle();
  const QImage moved = v.grab().toImage();
  // Far right stays as it was; between the old and the new place the other picture shows.
  const auto strip = [&](const QImage& i, int x) { return i.copy(x, 150, 40, 200); };
  EXPECT_EQ(strip(middle, v.width() - 160), strip(moved, v.width() - 160));
  EXPECT_NE(strip(middle, v.width() / 2 - 120), strip(moved, v.width() / 2 - 120));
  // And back by keys: two wide steps and five fine ones.
  for (int i = 0; i < 2; ++i) QTest::keyClick(&v, Qt::Key_Right, Qt::ControlModifier);
  for (int i = 0; i < 5; ++i)
    QTest::keyClick(&v, Qt::Key_Right, Qt::ControlModifier | Qt::ShiftModifier);
  d().settle();
  const QImage back = v.grab().toImage();
  EXPECT_EQ(strip(middle, v.width() / 2 - 120), strip(back, v.width() / 2 - 120));
  EXPECT_EQ(strip(middle, v.width() - 160), strip(back, v.width() - 160));
}

}  // namespace
}  // namespace zp
