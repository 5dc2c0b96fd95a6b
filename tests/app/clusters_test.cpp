// Clusters without training and the naming board, worked by mouse and keys on the demo study.
#include "desks/mapping/cluster_list.h"
#include "legend/class_map.h"
#include "shell/facts.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class ClustersWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    d().stage(3);
    d().click("clusteredMap");
  }
  const Product& clusters() { return *s().newest(ProductKind::Clusters); }
  ClusterList& list() { return *d().find<ClusterList>("clusterList"); }
  ClusterNaming naming() { return namingOf(clusters(), s().legend); }
  void makeClusters(const QString& count) {
    d().press("clusters", count);
    d().make("primary", "the clusters");
  }
  void openBoard() {
    d().click("nameClusters");
    d().until(
        [&] {
          auto* leaveOut = w().findChild<QPushButton*>("name-0");
          return leaveOut != nullptr && leaveOut->isVisible() && w().naming().ready();
        },
        "the naming board");
  }
  void type(Qt::Key k, Qt::KeyboardModifiers m = {}) { QTest::keyClick(&list(), k, m); }
  QPoint lineOf(int row) { return list().visualItemRect(list().item(row)).center(); }
};

TEST_F(ClustersWindow, AreFoundWithoutTrainingAndNamedToTheEnd) {
  ASSERT_TRUE(s().training.empty());
  EXPECT_FALSE(w().findChild<QPushButton*>("nameClusters")->isVisible());
  makeClusters("6");
  EXPECT_EQ(clusters().facts["clusters"].size(), 6u);
  EXPECT_EQ(w().view().front().of, clusters().id);
  EXPECT_EQ(w().trail().stations()[3].figure, "0 of 6 named");
  openBoard();
  ASSERT_EQ(list().count(), 6);
  EXPECT_FALSE(d().find("makeNamed")->isEnabled());
  // By key the first three, one after the other: the next without a name comes by itself.
  for (const Qt::Key k : {Qt::Key_1, Qt::Key_4, Qt::Key_0}) type(k);
  const int first = s().legend.classes[0].code, fourth = s().legend.classes[3].code;
  EXPECT_EQ(naming(), (ClusterNaming{{1, first}, {2, fourth}, {3, 0}}));
  EXPECT_EQ(list().chosen(), 4);
  EXPECT_TRUE(d().find<QLabel>("namingLeft")->text().startsWith("3 clusters"));
  // By mouse, in another order, two to one class.
  QTest::mouseClick(list().viewport(), Qt::LeftButton, {}, lineOf(5));
  d().click("name-" + QString::number(first));
  EXPECT_EQ(naming().at(6), first);
  EXPECT_EQ(w().trail().stations()[3].figure, "4 of 6 named");
  type(Qt::Key_2);
  type(Qt::Key_2);
  EXPECT_EQ(naming().size(), 6u);
  EXPECT_EQ(d().find<QLabel>("namingLeft")->text(), "Every cluster is named or left out.");
  d().make("makeNamed", "the map");
  const Product map = s().products.back();
  EXPECT_EQ(map.kind, ProductKind::ClassMap);
  size_t pixels = 0;
  for (const auto& c : map.facts["classes"]) pixels += c["pixels"].get<size_t>();
  const Json found = clusters().facts["clusters"];
  size_t all = 0;
  for (const auto& c : found) all += c["pixels"].get<size_t>();
  EXPECT_EQ(pixels, all - found[2]["pixels"].get<size_t>());  // what was left out has no class
  EXPECT_EQ(map.facts["classes"].size(), 3u);
  // And what was only a step on the way goes with one click; the map stays what it is.
  d().click("clustersToBin");
  EXPECT_EQ(s().newest(ProductKind::Clusters), nullptr);
  EXPECT_FALSE(s().outOfDate(map));
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(naming().size(), 6u);
}

TEST_F(ClustersWindow, WhatIsSaidIsKeptAndTakenBack) {
  makeClusters("4");
  openBoard();
  type(Qt::Key_3);
  type(Qt::Key_5);
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(naming().size(), 1u);
  EXPECT_EQ(list().rows()[1].is, std::nullopt);
  list().choose(1);
  type(Qt::Key_Backspace);
  EXPECT_TRUE(naming().empty());
  list().choose(2);
  type(Qt::Key_7);
  type(Qt::Key_Escape);
  EXPECT_TRUE(d().find("nameClusters")->isVisible());
  reopen();
  EXPECT_EQ(naming(), (ClusterNaming{{2, s().legend.classes[6].code}}));
  // Taken back once the product is gone, nothing breaks.
  d().stage(3);
  d().click("clusteredMap");
  openBoard();
  w().bench().toBin(q(clusters().id));
  EXPECT_EQ(s().newest(ProductKind::Clusters), nullptr);
  EXPECT_TRUE(d().find("clusteredMap")->isVisible());  // the board is left
}

TEST_F(ClustersWindow, PointingLightsACluster) {
  makeClusters("5");
  openBoard();
  auto* view = d().find<MapView>("namingView");
  const QString first = view->veil().key;
  QTest::mouseMove(list().viewport(), lineOf(3));
  d().until([&] { return view->veil().onlyClass == 4; }, "the pointed cluster");
  EXPECT_NE(view->veil().key, first);
  EXPECT_TRUE(view->front().title.startsWith("Cluster 4"));
  EXPECT_EQ(list().chosen(), 1);
  // Held, the map so far.
  type(Qt::Key_8);
  QTest::keyPress(&list(), Qt::Key_QuoteLeft);
  EXPECT_EQ(view->veil().onlyClass, 0);
  EXPECT_EQ(view->veil().legend.find(1)->colour, s().legend.classes[7].colour);
  QTest::keyRelease(&list(), Qt::Key_QuoteLeft);
  EXPECT_NE(view->veil().onlyClass, 0);
}

TEST_F(ClustersWindow, AClickOnAPixelTakesItsCluster) {
  makeClusters("5");
  openBoard();
  auto* view = d().find<MapView>("namingView");
  const RasterFile file(clusters().file);
  const Grid& g = file.grid();
  std::set<int> taken;
  for (const auto& [across, down] :
       {std::pair{0.2, 0.3}, {0.5, 0.5}, {0.8, 0.2}, {0.3, 0.8}, {0.05, 0.6}}) {
    const Place place =
        g.centre(static_cast<int>(g.width * across), static_cast<int>(g.height * down));
    const QPoint at = view->toScreen(place).toPoint();
    QTest::mouseClick(view, Qt::LeftButton, {}, at);
    const Place pixel = g.toPixel(view->toMap(QPointF(at)));
    uint16_t code = 0;
    file.readCodes(1, {static_cast<int>(pixel.x), static_cast<int>(pixel.y), 1, 1}, &code);
    EXPECT_EQ(list().chosen(), code);
    taken.insert(code);
  }
  EXPECT_GT(taken.size(), 1u);
}

TEST_F(ClustersWindow, TheNearestSignatureIsSuggested) {
  w().goTo(2);
  importTraining();
  d().stage(3);
  d().click("clusteredMap");
  makeClusters("12");
  openBoard();
  const auto set = signaturesFor(s(), clusters());
  size_t near = 0;
  for (const auto& row : list().rows()) {
    EXPECT_FALSE(row.nearestName.isEmpty());
    EXPECT_GE(row.nearest.size(), 8);
    near += row.distance <= 2 ? 1 : 0;
  }
  ASSERT_GT(near, 5u);
  type(Qt::Key_9);
  d().click("takeNearest");
  const auto named = naming();
  EXPECT_EQ(named.at(1), s().legend.classes[8].code);  // what was said before stays
  EXPECT_GE(named.size(), near);
  for (const auto& row : list().rows())
    if (row.code != 1 && row.distance <= 2) {
      EXPECT_EQ(row.name, row.nearestName);
    }
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(naming().size(), 1u);
}

TEST_F(ClustersWindow, HowManyIsShownForTheFeaturesChosen) {
  auto* said = w().findChild<QLabel*>("howManySaid");
  EXPECT_FALSE(said->isVisible());
  d().click("howMany");
  d().until([&] { return said->text().contains("part best"); }, "the trials");
  const QString before = said->text();
  EXPECT_TRUE(before.contains("More clusters are not more accuracy"));
  auto* chart = w().findChild<QCustomPlot*>("numberChart");
  ASSERT_EQ(chart->graphCount(), 2);
  const auto* within = chart->graph(0);
  ASSERT_EQ(within->dataCount(), 19);
  for (int i = 1; i < within->dataCount(); ++i)
    EXPECT_LT(within->dataMainValue(i), within->dataMainValue(i - 1) * 1.1);
  const double of8 = within->dataMainValue(0);
  d().click("openBands");
  d().settle();
  for (const auto* role :
       {"feature-1", "feature-2", "feature-3", "feature-4", "feature-5", "feature-6"}) {
    d().click(role);
    d().settle();
  }
  d().until([&] { return said->text().contains("part best"); }, "the trials of two bands");
  EXPECT_NE(chart->graph(0)->dataMainValue(0), of8);
  d().click("howMany");
  EXPECT_FALSE(said->isVisible());
}

TEST_F(ClustersWindow, IsodataTakesItsOwnFigures) {
  d().click("cluster-isodata");
  d().settle();
  d().press("split", "0.3");
  d().press("merge", "0.2");
  makeClusters("8");
  EXPECT_EQ(clusters().step["method"], "isodata");
  EXPECT_EQ(clusters().step["settings"]["split"], 0.3);
  EXPECT_EQ(clusters().step["settings"]["merge"], 0.2);
  EXPECT_TRUE(factsOf(s(), q(clusters().id)).contains("Passes"));
  d().press("split", "-1");
  d().click("primary");
  EXPECT_TRUE(said().contains("Split above")) << said().toStdString();
}

TEST_F(ClustersWindow, AMapIsTidiedAndComparedUnderTheCurtain) {
  d().click("tidyPage");
  d().settle();
  EXPECT_TRUE(said().contains("no class map")) << said().toStdString();
  d().click("trainedMap");
  makeMap();
  d().click("tidyPage");
  d().settle();
  const std::string before = s().products.back().id;
  const double patches = s().products.back().facts["classes"][0]["pixels"];
  d().press("smallest", "12");
  d().press("majority", "4");
  d().click("primary");
  EXPECT_TRUE(said().contains("odd number")) << said().toStdString();
  d().press("majority", "3");
  d().make("primary", "the tidied map");
  const Product tidied = s().products.back();
  EXPECT_EQ(tidied.step["map"], before);
  EXPECT_EQ(tidied.step["smallest"], 12);
  EXPECT_EQ(tidied.step["majority"], 3);
  EXPECT_GT(tidied.facts["changed"], 1000);
  EXPECT_NE(tidied.facts["classes"][0]["pixels"], patches);
  EXPECT_EQ(w().view().front().of, tidied.id);
  EXPECT_EQ(w().view().back().of, before);
  EXPECT_EQ(w().view().mode(), MapView::Mode::Curtain);
  EXPECT_TRUE(d().find<QLabel>("tidySaid")
                  ->text()
                  .contains(grouped(tidied.facts["changed"].get<size_t>())));
  // The next one starts from the map itself again, not from the tidied one.
  EXPECT_EQ(d().find<QComboBox>("tidyMap")->currentData().toString(), q(before));
  d().press("smallest", "");
  d().press("majority", "");
  d().click("primary");
  EXPECT_TRUE(said().contains("smallest patch")) << said().toStdString();
}

TEST_F(ClustersWindow, OtherScenesAndTheRadarSeasonAreFeatures) {
  w().goTo(2);
  importTraining();
  d().stage(3);
  d().click("trainedMap");
  d().settle();
  d().click("group-radar");
  d().click("group-scene-" + q(s().scenes[1].id));
  d().settle();
  d().make("primary", "the map");
  const Json step = s().products.back().step;
  size_t radar = 0, other = 0, scenes = 0;
  for (const auto& one : s().scenes) scenes += one.scene.isRadar() ? 1 : 0;
  for (const auto& line : step["features"]) {
    const auto text = line.get<std::string>();
    radar += text.rfind("neighbourhood(", 0) == 0 ? 1 : 0;
    other += text.rfind("band(", 0) == 0 && text.find(" of ") != std::string::npos ? 1 : 0;
  }
  EXPECT_EQ(radar, 2 * scenes);
  EXPECT_EQ(other, s().scenes[1].scene.bands.size());
  EXPECT_EQ(step["with"].size(), scenes + 1);
  EXPECT_EQ(step["features"].size(), 8 + radar + other);
  // Named together with their scene on the sheet of facts.
  const QString facts = factsOf(s(), q(s().products.back().id));
  EXPECT_TRUE(facts.contains(q(s().scenes[1].scene.name)));
  EXPECT_FALSE(facts.contains("band("));
}

TEST_F(ClustersWindow, ASeasonTakesTheDatesOfTheYear) {
  d().click("addFeature");
  auto* kind = d().find<QComboBox>("featureKind");
  kind->setCurrentIndex(kind->findData("season"));
  d().settle();
  d().press("value", "vh");
  auto* of = d().find<QComboBox>("of");
  of->setCurrentIndex(of->findData("spread"));
  d().click("featureAdd");
  d().settle();
  ASSERT_TRUE(said().isEmpty()) << said().toStdString();
  size_t radar = 0;
  for (const auto& one : s().scenes) radar += one.scene.isRadar() ? 1 : 0;
  EXPECT_EQ(d().find("added-1")->text(), QString("vh spread of %1 dates").arg(radar));
  makeClusters("4");
  EXPECT_EQ(clusters().step["with"].size(), radar);
  // What no date has is said.
  d().click("addFeature");
  d().settle();
  d().press("value", "swir99");
  d().click("featureAdd");
  EXPECT_TRUE(said().contains("two or more scenes")) << said().toStdString();
}

TEST_F(ClustersWindow, NamesDoNotGoToOtherClusters) {
  makeClusters("4");
  openBoard();
  type(Qt::Key_1);
  d().make("makeNamed", "the map");
  const QString map = q(s().products.back().id);
  // The scene is read in another way: the clusters are others when they are found again.
  w().bench().changeScene(q(clusters().step["scene"].get<std::string>()), "Change",
                          [](Scene& scene) { scene.bands[0].conversion.nodata = 700; });
  ASSERT_TRUE(s().outOfDate(*s().product(map.toStdString())));
  w().bench().bringUpToDate(map);
  d().until([&] { return said().contains("name them again"); }, "the sentence");
}

}  // namespace
}  // namespace zp
