// What must not be lost, frozen or mixed up: files that vanish, work that overtakes other work, two
// studies in one window.
#include <thread>

#include "desks/accuracy/accuracy_desk.h"
#include "desks/mapping/mapping_desk.h"
#include "grid/raster_writer.h"
#include "grid/reduced_copy.h"
#include "shell/application.h"
#include "support/rasters.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class Robust : public RealWindow {
 protected:
  void makeIndex() {
    d().stage(1);
    d().click("index-vegetation");
    d().make("primary", "the index");
  }
  std::string lastProduct() { return s().products.back().id; }
};

TEST_F(Robust, EveryFileOfTheStudyVanishesWhileEachDeskIsOpen) {
  makeIndex();
  makeMap();
  makePoints("5");
  startLabelling();
  QTest::keyClick(&w().labelling(), Qt::Key_1);
  for (const char* folder : {"scenes", "outlines", "products", "bin"})
    fs::remove_all(s().folder() / folder);
  QTest::keyClick(&w().labelling(), Qt::Key_2);
  QTest::keyClick(&w().labelling(), Qt::Key_Space);
  QTest::keyClick(&w().labelling(), Qt::Key_Escape);
  for (const int stage : {0, 1, 2, 3, 4, 5}) {
    key(static_cast<Qt::Key>(Qt::Key_F1 + stage));
    EXPECT_EQ(w().stage(), stage);
    for (int i = 0; i < 3; ++i) QTest::mouseMove(&w().view(), QPoint(200 + 40 * i, 200));
    w().view().setCentre({410000.0 + stage * 100, 5720000}, 7 + stage);
    QTest::keyClick(&w().view(), Qt::Key_P);
    auto* probe = w().findChild<Probe*>("probe");
    d().until([&] { return !probe->waiting(); }, "the probe's answer");
    for (auto* b : w().findChildren<QPushButton*>("primary"))
      if (b->isVisible() && b->isEnabled()) QTest::mouseClick(b, Qt::LeftButton);
    d().until([&] { return !w().bench().jobs().busy(); }, "the job to end");
    w().bench().bringUpToDate(q(lastProduct()));
    d().until([&] { return !w().bench().jobs().busy(); }, "the job to end");
  }
  // The window goes on, and says something rather than nothing.
  d().stage(0);
  EXPECT_TRUE(w().isVisible());
  const QString all = said() + w().notice();
  EXPECT_FALSE(all.isEmpty());
  EXPECT_FALSE(all.contains("what():")) << all.toStdString();
  ASSERT_TRUE(w().bench().create(q((folder_ / "other").string()), "Other"));
}

TEST_F(Robust, WhatAHandlerThrowsIsOneSentence) {
  auto* application = qobject_cast<Application*>(qApp);
  ASSERT_NE(application, nullptr);
  d().stage(0);
  QTimer::singleShot(0, &w(), [] { throw Error("Something could not be read; try again."); });
  d().until([&] { return said().contains("could not be read"); }, "the sentence");
  QTimer::singleShot(0, &w(), [] { throw std::bad_alloc(); });
  d().until([&] { return said().contains("not enough memory"); }, "the sentence");
}

TEST_F(Robust, ALabelGivenWhileTheLabelsAreBroughtUpToDateStays) {
  makeMap();
  makePoints("5");
  startLabelling();
  const std::string labels = s().newest(ProductKind::Labels)->id,
                    map = s().newest(ProductKind::ClassMap)->id;
  w().book().labelling().label(1, now());
  w().book().changed();
  // The map changes: all open water becomes reed.
  auto areas = s().training;
  std::erase_if(areas, [](const TrainingArea& a) { return a.code == 1; });
  w().bench().setTraining(areas, s().trainingCrs, "Less water");
  w().bench().bringUpToDate(q(map));
  d().until([&] { return !w().bench().jobs().busy(); }, "the map");
  ASSERT_TRUE(s().outOfDate(*s().product(labels)));
  const fs::path before = s().product(labels)->file;
  w().bench().bringUpToDate(q(labels));
  // While the job runs, and before the window hears of its end, another label is given.
  const auto folder = s().folder() / "products";
  for (int i = 0; i < 2000; ++i) {
    size_t files = 0;
    for (const auto& e : fs::directory_iterator(folder))
      files += e.path().extension() == ".json" && e.path().filename().string()[0] != '.' ? 1 : 0;
    if (files > 1) break;
    std::this_thread::sleep_for(std::chrono::milliseconds(5));
  }
  const auto given = w().book().labelling().points()[1].id;
  w().book().labelling().label(2, now());
  w().book().changed();
  d().until([&] { return !w().bench().jobs().busy(); }, "the labels");
  EXPECT_FALSE(s().outOfDate(*s().product(labels)));
  EXPECT_EQ(w().book().labelling().labelled(), 2u);
  const auto kept = readLabels(s().product(labels)->file).labelling;
  EXPECT_EQ(kept.labelled(), 2u);
  bool found = false;
  for (const auto& p : kept.points()) {
    found = found || (p.id == given && p.reference == 2);
    EXPECT_NE(p.mapped, 1) << "the old map's class";
  }
  EXPECT_TRUE(found);
  EXPECT_NE(s().product(labels)->file, before);
  EXPECT_FALSE(fs::exists(before));
}

TEST_F(Robust, AnotherStudyWithAsManyClassesHasItsOwnPriors) {
  makeMap();
  const fs::path other = folder_ / "other";
  w().bench().saveCopy(q(other.string()));
  // In the copy the classes are other ones.
  Json json = readJson(other / "study.json");
  for (auto& c : json["legend"]["classes"]) {
    c["name"] = "Renamed " + c["name"].get<std::string>();
    c["code"] = c["code"].get<int>() + 20;
  }
  for (auto& a : json["training"]["areas"]) a["code"] = a["code"].get<int>() + 20;
  writeJson(other / "study.json", json);
  d().stage(3);
  choose("priors", "shares");
  auto* table = d().find<QTableWidget>("priorsTable");
  table->item(0, 1)->setText("77");
  ASSERT_TRUE(w().bench().open(q(other.string())));
  d().stage(3);
  d().settle();
  choose("priors", "shares");
  table = d().find<QTableWidget>("priorsTable");
  EXPECT_TRUE(table->item(0, 0)->text().startsWith("Renamed "));
  EXPECT_EQ(table->item(0, 0)->data(Qt::UserRole).toInt(), 21);
  EXPECT_NE(table->item(0, 1)->text(), "77");
}

TEST_F(Robust, WhatTwoProductsShareIsMadeAgainOnce) {
  makeIndex();
  const std::string index = lastProduct();
  const auto run = [&](const Json& step) {
    w().bench().run(step, "Make");
    d().until([&] { return !w().bench().jobs().busy(); }, "the product");
    return lastProduct();
  };
  const Json classes = Json::array(
      {{{"name", "low"}, {"colour", "#112233"}}, {{"name", "high"}, {"colour", "#445566"}}});
  const auto cut = [&](double at) {
    return run({{"do", "threshold"},
                {"product", index},
                {"at", {at}},
                {"classes", classes},
                {"name", "Cut"}});
  };
  const std::string a = cut(0.1), b = cut(0.5);
  const std::string change =
      run({{"do", "change"}, {"from", a}, {"to", b}, {"code", 2}, {"name", "Change"}});
  w().bench().changeScene(q(s().product(index)->step["scene"].get<std::string>()), "Offset",
                          [](Scene& one) { one.bands[0].conversion.offset = 0.01; });
  const int revision = s().product(index)->revision;
  w().bench().bringUpToDate(q(change));
  w().bench().bringUpToDate(q(change));  // a second click before the first is done
  d().until([&] { return !w().bench().jobs().busy(); }, "all of it");
  EXPECT_EQ(s().product(index)->revision, revision + 1);
  EXPECT_EQ(s().product(a)->revision, 2);
  EXPECT_EQ(s().product(b)->revision, 2);
  EXPECT_EQ(s().product(change)->revision, 2);
  EXPECT_FALSE(s().outOfDate(*s().product(change)));
}

TEST_F(Robust, ADrawnAreaThatWasTakenBackIsNotTakenForTheNext) {
  d().stage(0);
  const Ring ring{{408000, 5722000}, {409000, 5722000}, {409000, 5721000}, {408000, 5721000}};
  w().bench().drawStudyArea(ring);
  const std::string first = s().outlines.back().id;
  w().bench().run({{"do", "index"},
                   {"scene", w().bench().currentScene()->id},
                   {"formula", "nir"},
                   {"name", "Inside"},
                   {"inside", first}},
                  "Make");
  d().until([&] { return !w().bench().jobs().busy(); }, "the index");
  const std::string id = lastProduct();
  EXPECT_FALSE(s().outOfDate(*s().product(id)));
  w().bench().undo().undo();
  EXPECT_TRUE(s().outOfDate(*s().product(id)));
  w().bench().drawStudyArea(ring);
  EXPECT_NE(s().outlines.back().id, first);
  EXPECT_TRUE(s().outOfDate(*s().product(id)));
  // The same of the delivery grid, there and back.
  w().bench().run({{"do", "index"},
                   {"scene", w().bench().currentScene()->id},
                   {"formula", "red"},
                   {"name", "Red"}},
                  "Make");
  d().until([&] { return !w().bench().jobs().busy(); }, "the index");
  const std::string red = lastProduct();
  w().bench().setDelivery(DeliveryGrid{s().scenes[0].scene.grid.crs, {400000, 5700000}, 20});
  EXPECT_TRUE(s().outOfDate(*s().product(red)));
  w().bench().undo().undo();
  EXPECT_FALSE(s().outOfDate(*s().product(red)));
}

TEST_F(Robust, ALargeSceneWithoutOverviewsGetsCopiesOfItsOwn) {
  RasterSpec spec;
  spec.grid = metricGrid(5000, 4000);
  spec.type = NumberType::Byte;
  spec.bands.resize(1);
  const fs::path file = folder_ / "large.tif";
  {
    RasterWriter writer(file, spec);
    std::vector<uint16_t> row(5000 * 256, 7);
    for (int y = 0; y < 4000; y += 256)
      writer.writeCodes(1, {0, y, 5000, std::min(256, 4000 - y)}, row);
    writer.finish();
  }
  ASSERT_TRUE(needsReducedCopy(RasterFile(file)));
  w().bench().addScenes({openScene(file)});
  const std::string id = s().scenes.back().id;
  d().until([&] { return !s().scene(id)->scene.bands[0].reduced.empty(); }, "the copies");
  const fs::path reduced = s().scene(id)->scene.bands[0].reduced;
  EXPECT_TRUE(fs::exists(reduced));
  EXPECT_NE(reduced.string().find(s().folder().string()), std::string::npos);
  EXPECT_FALSE(fs::exists(file.string() + ".ovr"));  // nothing beside a person's own file
  RasterFile raster(file);
  ASSERT_TRUE(raster.lookFrom(reduced));
  std::vector<float> small(100 * 80);
  raster.read(1, {0, 0, 5000, 4000}, small.data(), 100, 80);
  for (const float v : small) EXPECT_EQ(v, 7);
  // Taken back and done again, the scene keeps them.
  w().bench().undo().undo();
  w().bench().undo().redo();
  EXPECT_EQ(s().scene(id)->scene.bands[0].reduced, reduced);
}

TEST_F(Robust, ASecondClickBeforeTheFirstIsDoneMakesNothingTwice) {
  d().stage(1);
  d().click("index-vegetation");
  d().settle();
  const size_t n = s().products.size();
  auto* primary = d().find<QPushButton>("primary");
  for (int i = 0; i < 3; ++i) QTest::mouseClick(primary, Qt::LeftButton);
  d().settle();
  EXPECT_EQ(s().products.size(), n + 1);
  // A double click is one, also where the first is done at once: the button then means the next.
  d().click("index-water");
  d().settle();
  QTest::mouseDClick(primary, Qt::LeftButton);
  d().settle();
  EXPECT_EQ(s().newest(ProductKind::ClassMap), nullptr);
  // Later it may be made again.
  const Json step = s().products.back().step;
  const size_t now = s().products.size();
  w().bench().run(step, "again");
  d().settle();
  EXPECT_EQ(s().products.size(), now + 1);
}

}  // namespace
}  // namespace zp
