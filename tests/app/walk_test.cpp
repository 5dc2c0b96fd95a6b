// The first page, the demo made from it, and the walk through the job.
#include "walk/walk.h"

#include "walk/hint_card.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace zp::testing;

class WalkWindow : public RealWindow {
 protected:
  HintCard* card() { return w().findChild<HintCard*>("hintCard"); }
  void menu(const QString& entry) {
    whenMenuOpens(entry);
    QTest::mouseClick(w().trail().studyButton(), Qt::LeftButton);
    d().settle();
  }
  Walk& walk() { return w().walk(); }
  QRect placeOf(QWidget* at) { return {at->mapTo(w().centralWidget(), QPoint()), at->size()}; }
  /// The card points at this control now, and lies not over it.
  void expectAt(const QString& name, const char* words) {
    d().until(
        [&] {
          auto* at = w().findChild<QWidget*>(name);
          for (auto* other : w().findChildren<QWidget*>(name))
            if (other->isVisible()) at = other;
          return card()->isVisible() && at->isVisible() && card()->pointedAt() == placeOf(at);
        },
        qPrintable("the hint at " + name + ", not " + card()->text()));
    EXPECT_TRUE(card()->text().contains(words)) << card()->text().toStdString();
    EXPECT_FALSE(card()->geometry().intersects(card()->pointedAt())) << name.toStdString();
    EXPECT_TRUE(w().centralWidget()->rect().contains(card()->geometry()));
  }
  void expectAtStation(int stage) {
    const QRect at = w().trail().stationRect(stage);
    const QRect place(w().trail().mapTo(w().centralWidget(), at.topLeft()), at.size());
    d().until([&] { return card()->isVisible() && card()->pointedAt() == place; }, "the strip");
  }
  void until(size_t step) {
    d().until([&] { return walk().at() == step; }, "the next step");
  }
  void goTo(int stage) {
    expectAtStation(stage);
    d().stage(stage);
    d().settle();
  }
};

TEST_F(WalkWindow, TheWholeJobIsDoneWithTheRealControls) {
  EXPECT_FALSE(walk().on());
  EXPECT_FALSE(card()->isVisible());
  menu("Walk through the job");
  expectAt("composite-vegetation", "near infrared");
  look("walk-1");
  d().click("composite-vegetation");
  until(1);

  goTo(1);
  expectAt("primary", "preview");
  d().click("index-water");
  expectAt("index-vegetation", "Choose this one");
  d().click("index-vegetation");
  expectAt("primary", "preview");
  look("walk-2");
  d().make("primary", "the index");
  until(2);
  expectAt("primary", "histogram");
  look("walk-3");
  d().make("primary", "the class map");
  until(3);

  goTo(2);
  expectAt("importTraining", "outlines.gpkg");
  look("walk-4");
  whenAskedForAFile(folder_ / "study/outlines/outlines.gpkg");
  d().click("importTraining");
  d().settle();
  if (auto* layer = w().findChild<QComboBox*>("importLayer"); layer->isVisible())
    choose("importLayer", "training");
  d().settle();
  expectAt("importGo", "Take the areas over");
  d().click("importGo");
  until(4);

  goTo(3);
  d().settle();
  expectAt("primary", "held out");
  d().click("method-random-forest");
  expectAt("method-maximum-likelihood", "Maximum likelihood");
  d().click("method-maximum-likelihood");
  expectAt("primary", "held out");
  look("walk-5");
  d().make("primary", "the map");
  until(5);

  goTo(4);
  expectAt("primary", "Make them");
  d().make("primary", "the points");
  expectAt("pageReadings", "Go on");
  d().click("pageReadings");
  expectAt("primary", "one row each");
  look("walk-6");
  d().make("primary", "the readings");
  until(6);

  goTo(5);
  expectAt("primary", "Start");
  look("walk-7");
  d().click("primary");
  d().until([&] { return w().labelling().isVisible() && !w().book().none(); }, "the desk");
  expectAt("key-9", "Press its class");
  look("walk-7b");
  for (int i = 0; i < 10; ++i) {
    d().until([&] { return w().labelling().painted(); }, "the point");
    QTest::keyClick(&w().labelling(), Qt::Key_1);
  }
  until(7);
  expectAt("closeLabelling", "Close");
  look("walk-8");
  d().click("closeLabelling");
  d().settle();
  if (!w().matrix().isVisible()) {
    expectAt("primary", "matrix");
    d().click("primary");
  }
  until(8);
  d().until([&] { return card()->isVisible() && card()->text().contains("Every map"); }, "the end");
  look("walk-end");
  QTest::mouseClick(card()->findChild<QPushButton*>("walkLeave"), Qt::LeftButton);
  EXPECT_FALSE(card()->isVisible());
  EXPECT_FALSE(walk().on());
}

TEST_F(WalkWindow, ItIsLeftAndTakenUpAgain) {
  walk().offer();
  expectAt("composite-vegetation", "");
  auto* skip = card()->findChild<QPushButton*>("walkSkip");
  for (int click = 0; click < 2; ++click) QTest::mouseClick(skip, Qt::LeftButton);
  until(1);
  expectAtStation(1);
  EXPECT_EQ(walk().at(), 1u);  // two clicks are one
  reopen();
  d().until([&] { return card()->isVisible(); }, "the walk goes on by itself");
  EXPECT_EQ(walk().at(), 1u);
  QTest::mouseClick(card()->findChild<QPushButton*>("walkLeave"), Qt::LeftButton);
  EXPECT_FALSE(card()->isVisible());
  reopen();
  EXPECT_FALSE(walk().on());
  walk().offer();  // it was begun once
  EXPECT_FALSE(walk().on());
  menu("Walk through the job");
  expectAtStation(1);
  EXPECT_EQ(walk().at(), 1u);
  // What was done meanwhile counts.
  walk().leave();
  runStep({{"do", "index"}, {"scene", "s3"}, {"formula", "ndiff(nir, red)"}, {"name", "Green"}});
  walk().begin();
  until(2);
  w().bench().close();
  EXPECT_FALSE(card()->isVisible());
}

TEST_F(WalkWindow, OtherControlsGoOnWorkingBesideIt) {
  walk().begin();
  expectAt("composite-vegetation", "");
  d().click("composite-natural");
  EXPECT_EQ(walk().at(), 0u);
  QTest::mouseClick(&w().view(), Qt::LeftButton, {}, QPoint(60, 60));
  d().stage(1);
  expectAtStation(0);
  d().stage(0);
  expectAt("composite-vegetation", "");
  auto* button = d().find("composite-vegetation");
  button->setFocus();
  QTest::keyClick(button, Qt::Key_Space);
  until(1);
}

TEST_F(WalkWindow, TheFirstPageOffersThreeWaysAndRecentStudies) {
  w().bench().close();
  d().settle();
  auto* page = d().find<QWidget>("startPage");
  EXPECT_EQ(page->size(), w().view().size());
  for (const char* way : {"startDemo", "startFiles", "newStudy", "openStudy"})
    EXPECT_TRUE(d().find(way)->isEnabled()) << way;
  look("start");
  auto* recent = d().find("recentStudy");
  EXPECT_TRUE(recent->text().startsWith("study")) << recent->text().toStdString();
  QTest::mouseClick(recent, Qt::LeftButton);
  d().settle();
  ASSERT_TRUE(w().bench().hasStudy());
  EXPECT_FALSE(page->isVisible());
  // One that is gone is not offered.
  w().bench().close();
  fs::rename(folder_ / "study", folder_ / "gone");
  w().bench().open(study());
  d().settle();
  for (auto* link : w().findChildren<QPushButton*>("recentStudy"))
    EXPECT_NE(link->toolTip(), study());
}

TEST_F(WalkWindow, TheDemoIsMadeOnceAndBegunAnewBesideTheOldOne) {
  w().bench().close();
  qputenv("HOME", (folder_ / "home").c_str());
  qputenv("XDG_DATA_HOME", (folder_ / "home/data").c_str());
  fs::create_directories(folder_ / "home");
  MainWindow other;
  other.show();
  Driver driver(other);
  driver.settle();
  driver.click("startDemo");
  driver.until([&] { return other.bench().jobs().share() > 0.1; }, "progress");
  EXPECT_FALSE(driver.find("startDemo")->isEnabled());
  driver.until([&] { return other.bench().hasStudy(); }, "the demo");
  EXPECT_TRUE(other.walk().on());
  EXPECT_EQ(other.bench().study().scenes.size(), 8u);
  EXPECT_FALSE(fs::exists(folder_ / "home/data/zany-patch/demo/truth"));
  EXPECT_TRUE(fs::exists(folder_ / "home/data/zany-patch/demo/archive/catalog.json"));
  const fs::path study = other.bench().study().folder();
  other.bench().close();
  driver.settle();
  EXPECT_EQ(driver.find("startDemo")->text(), "Go on with the demo");
  std::ofstream(study / "mine.txt") << "mine";
  driver.click("startDemoAnew");
  driver.until([&] { return other.bench().jobs().share() > 0.1; }, "progress");
  other.bench().jobs().cancel();
  driver.until([&] { return !other.bench().jobs().busy(); }, "the end");
  EXPECT_FALSE(fs::exists(study));
  EXPECT_EQ(driver.find("startDemo")->text(), "Make the demo");
  int kept = 0;
  for (const auto& e : fs::directory_iterator(study.parent_path()))
    kept += fs::exists(e.path() / "mine.txt");
  EXPECT_EQ(kept, 1);
}

}  // namespace
}  // namespace zp
