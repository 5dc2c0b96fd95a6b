// The Mapping desk, worked by mouse and keys on the demo study.
#include "desks/mapping/mapping_desk.h"

#include "charts/bar_list.h"
#include "legend/class_map.h"
#include "mapping/method.h"
#include "shell/facts.h"
#include "support/rasters.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class MappingDeskWindow : public MappingWindow {
 protected:
  const Product& map() { return s().products.back(); }
};

TEST_F(MappingDeskWindow, MinimumDistanceOverChosenBands) {
  d().click("more-method");
  d().settle();
  d().click("method-minimum-distance");
  d().click("openBands");
  d().settle();
  d().click("feature-1");
  d().settle();
  d().click("feature-2");
  d().settle();
  EXPECT_FALSE(d().find("feature-1")->isChecked());
  d().make("primary", "the map");
  EXPECT_EQ(map().step["method"], "minimum-distance");
  EXPECT_EQ(map().step["features"].size(), 6u);
  EXPECT_EQ(map().step["features"][0], "band(red)");
  // The table holds the areas of the map, in pixels, hectares and km².
  auto* table = d().find<QTableWidget>("areaTable");
  const auto areas = map().facts["classes"];
  ASSERT_EQ(table->rowCount(), static_cast<int>(areas.size()));
  for (int r = 0; r < table->rowCount(); ++r) {
    const auto i = static_cast<size_t>(r);
    EXPECT_EQ(table->item(r, 1)->text(), grouped(areas[i]["pixels"].get<size_t>()));
    EXPECT_EQ(table->item(r, 2)->text(), areaText(areas[i]["area_m2"].get<double>()));
  }
  const Legend legend = legendOf(RasterFile(map().file));
  EXPECT_EQ(legend.find(4)->name, "Reedbed");
  EXPECT_EQ(colourText(legend.find(4)->colour), "#ba9658");
}

TEST_F(MappingDeskWindow, AForestTellsWhatPartedTheClasses) {
  const auto seen = [&](const char* name) {
    const auto all = w().findChildren<QWidget*>(name);
    return std::any_of(all.begin(), all.end(), [](auto* part) { return part->isVisible(); });
  };
  EXPECT_FALSE(seen("importance"));
  d().click("method-random-forest");
  d().until([&] { return seen("trees"); }, "the parameters of the forest");
  // What is seldom set is folded away, and stays open once it was opened.
  EXPECT_FALSE(seen("depth"));
  d().click("moreSettings");
  d().until([&] { return seen("depth"); }, "the parameters that were folded away");
  d().click("more-method");
  d().settle();
  d().click("method-minimum-distance");
  d().until([&] { return !seen("trees"); }, "the parameters of the other method");
  d().click("method-random-forest");
  d().until([&] { return seen("depth") && seen("trees"); }, "the parameters as they were left");
  d().press("trees", "20");
  d().make("primary", "the map");
  EXPECT_EQ(map().step["settings"], (Json{{"trees", 20}}));
  auto* bars = d().find<BarList>("importance");
  ASSERT_EQ(bars->bars().size(), 5);
  EXPECT_GE(bars->bars()[0].value, bars->bars()[4].value);
  const double known = map().facts["training"]["out_of_bag"];
  EXPECT_GT(known, 0.8);
  EXPECT_EQ(d().find<QLabel>("outOfBag")->text(), decimal(known * 100, 1) + " %");
  d().click("allImportance");
  EXPECT_EQ(bars->bars().size(), 8);
  // Another method tells nothing of that.
  d().click("method-spectral-angle");
  d().make("primary", "the other map");
  d().settle();
  EXPECT_FALSE(seen("importance"));
}

TEST_F(MappingDeskWindow, AMapIsCutToTheStudyArea) {
  d().click("mapChoices");
  d().settle();
  d().click<QCheckBox>("mapInside");
  d().make("primary", "the map");
  const Product& map = s().products.back();
  EXPECT_TRUE(map.step.contains("inside"));
  size_t pixels = 0;
  for (const auto& c : map.facts["classes"]) pixels += c["pixels"].get<size_t>();
  EXPECT_GT(pixels, 200000u);
  EXPECT_LT(pixels, 800000u);
  uint16_t corner = 9;
  RasterFile(map.file).readCodes(1, {0, 0, 1, 1}, &corner);
  EXPECT_EQ(corner, 0);
}

TEST_F(MappingDeskWindow, RejectLeavesPixelsWithoutAClass) {
  d().make("primary", "the map");
  const auto sum = [](const Json& facts) {
    size_t n = 0;
    for (const auto& c : facts["classes"]) n += c["pixels"].get<size_t>();
    return n;
  };
  const size_t all = sum(map().facts);
  d().click("moreSettings");
  d().settle();
  d().press("reject", "2.5");
  d().make("primary", "the stricter map");
  EXPECT_EQ(map().step["settings"]["reject"], 2.5);
  EXPECT_LT(sum(map().facts), all);
  d().press("reject", "-1");
  d().click("primary");
  EXPECT_TRUE(said().contains("has to be a number above 0")) << said().toStdString();
  EXPECT_EQ(d().products(), 2u);
}

TEST_F(MappingDeskWindow, PriorsOfOnesOwnChangeTheMap) {
  d().make("primary", "the map");
  const Json equal = map().facts["classes"];
  auto* priors = d().find<QComboBox>("priors");
  priors->setFocus();
  QTest::keyClick(priors, Qt::Key_End);
  auto* table = d().find<QTableWidget>("priorsTable");
  table->item(0, 1)->setText("none");
  d().click("primary");
  EXPECT_TRUE(said().contains("The share of Open water")) << said().toStdString();
  table->item(0, 1)->setText("0.001");
  d().make("primary", "the map with priors");
  EXPECT_EQ(map().step["settings"]["priors"]["1"], 0.001);
  EXPECT_LE(map().facts["classes"][0]["pixels"].get<size_t>(), equal[0]["pixels"].get<size_t>());
}

TEST_F(MappingDeskWindow, WithoutBandsThereIsNoMap) {
  d().click("sceneFeatures");
  d().settle();
  EXPECT_FALSE(d().find("primary")->isEnabled());
  EXPECT_TRUE(said().contains("at least one band or feature"));
  d().click("openBands");
  d().settle();
  d().click("feature-5");
  EXPECT_TRUE(d().find("primary")->isEnabled());
}

TEST_F(MappingDeskWindow, FeaturesOfAnyKindAndSceneAreAdded) {
  d().click("sceneFeatures");
  d().settle();
  d().click("addFeature");
  auto* kind = d().find<QComboBox>("featureKind");
  auto* of = d().find<QComboBox>("featureOf");
  kind->setCurrentIndex(kind->findData("index"));
  d().settle();
  auto* index = d().find<QComboBox>("index");
  index->setCurrentIndex(index->findData("vegetation"));
  d().click("featureAdd");
  d().settle();
  EXPECT_TRUE(said().isEmpty()) << said().toStdString();
  d().click("addFeature");
  kind->setCurrentIndex(kind->findData("brightness"));
  ASSERT_GT(of->count(), 1);
  of->setCurrentIndex(1);
  d().click("featureAdd");
  d().settle();
  EXPECT_EQ(d().find("added-1")->text(), "NDVI");
  EXPECT_TRUE(d().find("added-2")->text().startsWith("brightness of "))
      << of->itemText(1).toStdString();
  // The same again is not added twice.
  d().click("addFeature");
  d().settle();
  d().click("featureAdd");
  d().settle();
  EXPECT_TRUE(said().contains("among them already")) << said().toStdString();
  d().click("featureNotNow");
  d().make("primary", "a map of two features");
  const Json& step = map().step;
  ASSERT_EQ(step["features"].size(), 2u);
  EXPECT_EQ(step["features"][0], "index(vegetation)");
  ASSERT_EQ(step["with"].size(), 1u);
  const std::string name = step["with"].begin().key();
  EXPECT_EQ(step["features"][1], "brightness of " + name);
  bool recorded = false;
  for (const auto& i : map().inputs) recorded = recorded || i.id == step["with"][name];
  const QString facts = QTextDocumentFragment::fromHtml(factsOf(s(), q(map().id))).toPlainText();
  EXPECT_TRUE(facts.contains("NDVI") && facts.contains("Brightness")) << facts.toStdString();
  EXPECT_FALSE(facts.contains("index(")) << facts.toStdString();
  EXPECT_TRUE(recorded);  // the other scene is an input: the map goes out of date with it
  // Set aside, a feature stays at hand.
  d().click("added-2");
  d().make("primary", "a map of one feature");
  EXPECT_EQ(map().step["features"].size(), 1u);
  EXPECT_FALSE(map().step.contains("with"));
}

TEST_F(MappingDeskWindow, WhatIsBeingTypedStaysWhenTheStudyChangesMeanwhile) {
  d().click("moreSettings");
  d().settle();
  auto* reject = d().find<QLineEdit>("reject");
  d().press("reject", "-");
  d().click("addFeature");
  auto* kind = d().find<QComboBox>("featureKind");
  kind->setCurrentIndex(kind->findData("formula"));
  d().settle();
  d().press("formula", "nir /");
  w().findChild<MappingDesk*>()->refresh();  // as when a job ends
  d().settle();
  EXPECT_EQ(d().find<QLineEdit>("reject"), reject);
  EXPECT_EQ(reject->text(), "-");
  EXPECT_EQ(d().find<QLineEdit>("formula")->text(), "nir /");
}

TEST_F(MappingDeskWindow, EveryMethodExplainsItselfInPlace) {
  d().click("more-method");
  d().settle();
  auto* opener = d().find<QToolButton>("explain-method");
  for (const auto* m : methods()) {
    d().click("method-" + q(m->id));
    const auto shown = [&](const std::string& text) {
      for (auto* l : w().findChildren<QLabel*>())
        if (l->isVisible() && l->text().contains(q(text))) return true;
      return false;
    };
    EXPECT_FALSE(shown(m->assumes));
    QTest::mouseClick(opener, Qt::LeftButton);
    EXPECT_TRUE(shown(m->assumes)) << m->id;
    for (const auto& p : m->parameters) EXPECT_TRUE(shown(p.about)) << m->id << " " << p.id;
    QTest::mouseClick(opener, Qt::LeftButton);
    EXPECT_FALSE(shown(m->assumes));
  }
}

TEST_F(MappingDeskWindow, OneClassAloneIsShownFromTheKey) {
  d().make("primary", "the map");
  d().settle();
  const QImage all = w().view().grab().toImage();
  Q_EMIT w().view().onlyClassAsked(4);
  d().settle();
  EXPECT_EQ(w().view().front().onlyClass, 4);
  EXPECT_NE(w().view().grab().toImage(), all);
  Q_EMIT w().view().onlyClassAsked(4);
  d().settle();
  EXPECT_EQ(w().view().front().onlyClass, 0);
  EXPECT_EQ(w().view().grab().toImage(), all);
}

TEST_F(MappingDeskWindow, TwoMapsAreCombinedAndComparedWhereTheyDisagree) {
  d().make("primary", "the first map");
  const std::string first = map().id;
  d().click("more-method");
  d().settle();
  d().click("method-minimum-distance");
  d().make("primary", "the second map");
  const std::string second = map().id;
  d().click("combinePage");
  d().settle();
  EXPECT_EQ(d().find<QComboBox>("combineFirst")->currentData().toString(), q(second));
  EXPECT_EQ(d().find<QComboBox>("combineSecond")->currentData().toString(), q(first));
  auto* keep = d().find<QListWidget>("combineKeep");
  ASSERT_EQ(keep->count(), 9);
  for (int i = 0; i < 9; ++i) keep->item(i)->setCheckState(i == 0 ? Qt::Checked : Qt::Unchecked);
  d().make("primary", "the combined map");
  EXPECT_EQ(map().step["keep"], Json({1}));
  std::vector<uint16_t> a(1), b(1), c(1);
  const Grid grid = RasterFile(map().file).grid();
  for (int y = 5; y < grid.height; y += 97)
    for (int x = 5; x < grid.width; x += 89) {
      RasterFile(s().product(second)->file).readCodes(1, {x, y, 1, 1}, a.data());
      RasterFile(s().product(first)->file).readCodes(1, {x, y, 1, 1}, b.data());
      RasterFile(map().file).readCodes(1, {x, y, 1, 1}, c.data());
      EXPECT_EQ(c[0], a[0] == 1 ? 1 : b[0]) << x << " " << y;
    }
  d().make("disagreement", "the disagreement");
  const Json told = map().facts["disagreement"];
  EXPECT_GT(told["different"], 0);
  EXPECT_TRUE(d().find<QLabel>("combineSaid")->text().contains("% of the pixels"));
}

TEST_F(MappingDeskWindow, AMapIsPutRightByHandAndTheCorrectionsAreKeptApart) {
  d().make("primary", "the map");
  const std::string plain = map().id;
  d().click("touchUpPage");
  d().settle();
  EXPECT_FALSE(d().find("primary")->isEnabled());
  auto* becomes = d().find<QComboBox>("touchUpBecomes");
  becomes->setCurrentIndex(becomes->findData(9));
  const auto drawAt = [&](const QPoint& at) {
    if (!d().find("touchUpDraw")->isChecked()) d().click("touchUpDraw");
    for (const QPoint& p : {at, at + QPoint(60, 0), at + QPoint(60, 60)})
      QTest::mouseClick(&w().view(), Qt::LeftButton, {}, p);
    QTest::keyClick(&w().view(), Qt::Key_Return);
  };
  w().findChild<MappingDesk*>()->productAsked(q(w().bench().currentScene()->id));
  drawAt({300, 200});
  EXPECT_EQ(w().view().front().of, plain);  // what is drawn on is seen
  drawAt({400, 380});
  auto* list = d().find<QTableWidget>("touchUpList");
  ASSERT_EQ(list->rowCount(), 2);
  EXPECT_EQ(w().findChild<MappingDesk*>()->shapes().size(), 2u);
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(list->rowCount(), 1);
  key(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
  EXPECT_EQ(list->rowCount(), 2);
  list->selectRow(1);
  d().settle();
  d().click("touchUpOut");
  ASSERT_EQ(list->rowCount(), 1);
  d().make("primary", "the map touched up");
  EXPECT_EQ(map().step["corrections"].size(), 1u);
  EXPECT_GT(map().facts["changed"], 50);
  const Place at = w().view().toMap({340, 215});
  const Grid grid = RasterFile(map().file).grid();
  const Place pixel = grid.toPixel(at);
  uint16_t code = 0;
  RasterFile(map().file)
      .readCodes(1, {static_cast<int>(pixel.x), static_cast<int>(pixel.y), 1, 1}, &code);
  EXPECT_EQ(code, 9);
  // The map itself is as it was, and what was drawn is there when one comes back.
  EXPECT_NE(s().product(plain), nullptr);
  reopen();
  d().stage(3);
  d().click("touchUpPage");
  d().settle();
  EXPECT_EQ(d().find<QTableWidget>("touchUpList")->rowCount(), 1);
}

TEST_F(MappingDeskWindow, ACancelledMapLeavesNothing) {
  const auto files = [&] {
    size_t n = 0;
    for (const auto& e : fs::recursive_directory_iterator(s().folder())) n += e.is_regular_file();
    return n;
  };
  const size_t before = files();
  d().click("primary");
  w().bench().jobs().cancel();
  d().until([&] { return !w().bench().jobs().busy(); }, "the end");
  EXPECT_EQ(d().products(), 0u);
  EXPECT_EQ(files(), before);
}

}  // namespace
}  // namespace zp
