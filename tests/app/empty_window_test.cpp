// A window without a study, and a study without a scene.
#include "desks/scenes/time_line.h"
#include "grid/crs.h"
#include "shell/probe.h"
#include "view/furniture.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

/// New studies are made in a home of its own.
class EmptyWindow : public ::testing::Test {
 protected:
  EmptyWindow() {
    qputenv("HOME", home_.path().toUtf8());
    window_.emplace();
    driver_.emplace(w());
    w().show();
  }
  MainWindow& w() { return *window_; }
  Driver& d() { return *driver_; }
  const Study& s() { return w().bench().study(); }
  /// The file is offered, and looked at before it comes in.
  void offer(const char* file) {
    w().openOrBringIn({file});
    d().until([&] { return w().view().front().of == "preview"; }, "the look");
  }

  void bringMap() {
    offer(HAVEN "/truth/cover.tif");
    ASSERT_EQ(d().find<QComboBox>("incomingAs")->currentText(), "a class map");
    d().until([&] { return d().find<QTableWidget>("incomingMatch")->rowCount() == 9; },
              "its classes");
    d().click("primary");
    d().until([&] { return s().products.size() == 1; }, "the map");
  }

  QTemporaryDir home_;
  std::optional<MainWindow> window_;
  std::optional<Driver> driver_;
};

TEST_F(EmptyWindow, FilesStartAStudyOfTheirOwn) {
  EXPECT_FALSE(w().bench().hasStudy());
  w().bench().bringIn({HAVEN "/archive/kite-2031-06-04/kite-2031-06-04.tif"});
  ASSERT_TRUE(w().bench().hasStudy());
  d().settle();
  EXPECT_EQ(s().scenes.size(), 1u);
  EXPECT_FALSE(w().view().front().none());
}

// Its places and lengths are those of its own system, before there is a scene in the study.
TEST_F(EmptyWindow, TheFirstSceneIsLookedAtInItsOwnSystemAndGoesAgain) {
  offer(HAVEN "/truth/cover.tif");
  ASSERT_TRUE(s().scenes.empty());
  EXPECT_EQ(w().view().crs(), gridOf(w().view().front()).crs);
  EXPECT_GT(metresPerUnit(w().view().crs(), w().view().centre()), 0);
  auto* probe = d().find<Probe>("probe");
  QTest::mouseMove(&w().view(), w().view().rect().center());
  d().until([&] { return probe->text().contains(" N"); }, "its place");
  d().click("backToScenes");
  EXPECT_TRUE(w().view().front().none());
}

TEST_F(EmptyWindow, AMapAloneIsShownInItsOwnSystem) {
  bringMap();
  d().until([&] { return w().view().front().of == s().products[0].id; }, "its picture");
  const QString folder = q(s().folder().string());
  for (const bool again : {false, true}) {
    EXPECT_EQ(w().view().crs(), RasterFile(s().products[0].file).grid().crs) << again;
    EXPECT_EQ(w().view().front().of, s().products[0].id) << again;
    if (again) break;
    w().bench().close();
    EXPECT_EQ(w().windowTitle(), "Zany Patch");
    ASSERT_TRUE(w().bench().open(folder));
  }
}

TEST_F(EmptyWindow, PointsArePlacedAndReadOverAMapAlone) {
  bringMap();
  d().stage(4);
  auto* make = d().find<QPushButton>("primary");
  d().until([&] { return make->text().contains(" points") && make->isEnabled(); }, "a plan");
  d().make("primary", "the points");
  ASSERT_NE(s().newest(ProductKind::Points), nullptr);
  d().click("pageReadings");
  d().make("primary", "the readings");
  const auto* readings = s().newest(ProductKind::Table);
  ASSERT_NE(readings, nullptr);
  const Table table = readTable(readings->file.string());
  const size_t column = table.column(s().products[0].name);
  ASSERT_FALSE(table.rows.empty());
  for (const auto& row : table.rows) EXPECT_FALSE(row[column].empty());
}

TEST_F(EmptyWindow, ARowOfTheTimeLineIsCalledByTheFirstWordOfAFileWithoutItsDate) {
  const fs::path file = fs::path(home_.path().toStdString()) / "2031-09-14_tern_b.tif";
  fs::copy_file(HAVEN "/archive/kite-2031-06-04/kite-2031-06-04.tif", file);
  w().bench().bringIn({q(file.string())});
  d().settle();
  ASSERT_EQ(s().scenes.front().scene.sensor, "");
  EXPECT_EQ(d().find<TimeLine>("timeLine")->rows(), QStringList("Tern"));
}

}  // namespace
}  // namespace zp
