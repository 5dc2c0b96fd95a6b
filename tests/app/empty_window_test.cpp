// A window without a study, and a study without a scene.
#include "desks/scenes/time_line.h"
#include "grid/crs.h"
#include "shell/probe.h"
#include "view/furniture.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

TEST(EmptyWindow, FilesStartAStudyOfTheirOwn) {
  QTemporaryDir home;
  qputenv("HOME", home.path().toUtf8());
  MainWindow window;
  Driver d(window);
  window.show();
  EXPECT_FALSE(window.bench().hasStudy());
  window.bench().bringIn({HAVEN "/archive/kite-2031-06-04/kite-2031-06-04.tif"});
  ASSERT_TRUE(window.bench().hasStudy());
  d.settle();
  EXPECT_EQ(window.bench().study().scenes.size(), 1u);
  EXPECT_FALSE(window.view().front().none());
}

// Its places and lengths are those of its own system, before there is a scene in the study.
TEST(EmptyWindow, TheFirstSceneIsLookedAtInItsOwnSystemAndGoesAgain) {
  QTemporaryDir home;
  qputenv("HOME", home.path().toUtf8());
  MainWindow window;
  Driver d(window);
  window.show();
  window.openOrBringIn({HAVEN "/truth/cover.tif"});
  d.until([&] { return window.view().front().of == "preview"; }, "the look");
  ASSERT_TRUE(window.bench().study().scenes.empty());
  EXPECT_EQ(window.view().crs(), gridOf(window.view().front()).crs);
  EXPECT_GT(metresPerUnit(window.view().crs(), window.view().centre()), 0);
  auto* probe = d.find<Probe>("probe");
  QTest::mouseMove(&window.view(), window.view().rect().center());
  d.until([&] { return probe->text().contains(" N"); }, "its place");
  d.click("backToScenes");
  EXPECT_TRUE(window.view().front().none());
}

TEST(EmptyWindow, AMapAloneIsShownInItsOwnSystem) {
  QTemporaryDir home;
  qputenv("HOME", home.path().toUtf8());
  MainWindow window;
  Driver d(window);
  window.show();
  window.openOrBringIn({HAVEN "/truth/cover.tif"});
  d.until([&] { return window.view().front().of == "preview"; }, "the look");
  ASSERT_EQ(d.find<QComboBox>("incomingAs")->currentText(), "a class map");
  d.until([&] { return d.find<QTableWidget>("incomingMatch")->rowCount() == 9; }, "its classes");
  const auto& study = window.bench().study();
  d.click("primary");
  d.until([&] { return study.products.size() == 1; }, "the map");
  d.until([&] { return window.view().front().of == study.products[0].id; }, "its picture");
  const QString folder = q(study.folder().string());
  for (const bool again : {false, true}) {
    EXPECT_EQ(window.view().crs(), RasterFile(study.products[0].file).grid().crs) << again;
    EXPECT_EQ(window.view().front().of, study.products[0].id) << again;
    if (again) break;
    window.bench().close();
    EXPECT_EQ(window.windowTitle(), "Zany Patch");
    ASSERT_TRUE(window.bench().open(folder));
  }
}

TEST(SceneRows, AreCalledByTheFirstWordOfAFilesNameWithoutItsDate) {
  QTemporaryDir home;
  qputenv("HOME", home.path().toUtf8());
  const fs::path file = fs::path(home.path().toStdString()) / "2031-09-14_tern_b.tif";
  fs::copy_file(HAVEN "/archive/kite-2031-06-04/kite-2031-06-04.tif", file);
  MainWindow window;
  Driver d(window);
  window.show();
  window.bench().bringIn({q(file.string())});
  d.settle();
  ASSERT_EQ(window.bench().study().scenes.front().scene.sensor, "");
  EXPECT_EQ(d.find<TimeLine>("timeLine")->rows(), QStringList("Tern"));
}

}  // namespace
}  // namespace zp
