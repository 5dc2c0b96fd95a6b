// How far a map can be believed, and what is done about training that is not good, in the window.
#include "area_samples.h"
#include "desks/mapping/mapping_desk.h"
#include "mapping/held_out.h"
#include "study/map_step.h"
#include "training/health.h"
#include "training/outliers.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class PreviewWindow : public MappingWindow {
 protected:
  const Picture& front() { return w().view().front(); }
  const LearnedMap* map() { return front().learned.get(); }
  void untilPreview(const LearnedMap* before, const char* what) {
    d().until([&] { return map() != nullptr && map() != before && w().view().complete(); }, what);
  }
  /// How many pixels of the view are without a class, as a share.
  double emptyShare() {
    const QImage seen = w().view().grab().toImage();
    size_t empty = 0, all = 0;
    for (int y = 200; y < seen.height() - 100; y += 3)
      for (int x = 250; x < seen.width() - 250; x += 3)
        ++all, empty += seen.pixelColor(x, y) == tokens().around ? 1 : 0;
    return static_cast<double>(empty) / static_cast<double>(all);
  }
  Json step(const std::string& method) {
    return {{"do", "map"}, {"scene", w().bench().currentScene()->id}, {"method", method}};
  }
};

TEST_F(PreviewWindow, FollowsMethodParametersAndFeatures) {
  untilPreview(nullptr, "the first preview");
  EXPECT_EQ(front().of, "preview");
  EXPECT_EQ(w().view().back().of, w().bench().currentScene()->id);  // judged against the image
  EXPECT_EQ(map()->features.size(), 8u);
  const LearnedMap* before = map();
  d().click("method-random-forest");
  untilPreview(before, "the preview of the forest");
  EXPECT_TRUE(front().title.contains("forest")) << front().title.toStdString();
  before = map();
  d().press("trees", "20");
  untilPreview(before, "the preview of fewer trees");
  before = map();
  d().click("openBands");
  d().settle();
  d().click("feature-1");
  untilPreview(before, "the preview of fewer bands");
  EXPECT_EQ(map()->features.size(), 7u);
  // What is seen is what is made.
  const auto learned = map()->classifier;
  d().make("primary", "the map");
  EXPECT_EQ(front().of, s().products.back().id);
  const Model same = trainOn(samplesOfStep(s(), s().products.back().step),
                             planOfStep(s().products.back().step), s().legend);
  EXPECT_EQ(same.classifier->toJson(), learned->toJson());
  // It is left with the desk.
  d().press("trees", "21");
  d().until([&] { return front().of == "preview"; }, "a preview over the map");
  d().stage(0);
  EXPECT_NE(front().of, "preview");
}

TEST_F(PreviewWindow, NewTrainingIsLearnedAtOnceAndALateAnswerIsNeverShown) {
  untilPreview(nullptr, "the first preview");
  const LearnedMap* before = map();
  auto areas = s().training;
  areas.resize(areas.size() - 5);
  w().bench().setTraining(areas, s().trainingCrs, "Fewer");
  untilPreview(before, "the preview of the new training");
  // A slow answer that is overtaken: the forest's never arrives.
  d().click("method-random-forest");
  d().until([&] { return w().findChild<QPushButton*>("stopPreview")->isVisible(); },
            "the forest to begin");
  d().click("method-maximum-likelihood");
  std::vector<QString> seen;
  d().until(
      [&] {
        seen.push_back(front().title);
        return w().findChild<QPushButton*>("stopPreview")->isHidden();
      },
      "the newest preview");
  d().settle();
  for (const auto& title : seen) EXPECT_FALSE(title.contains("forest")) << title.toStdString();
}

TEST_F(PreviewWindow, ScenesThatGoMeanwhileTakeItWithThem) {
  untilPreview(nullptr, "the first preview");
  const LearnedMap* before = map();
  const size_t scenes = s().scenes.size();
  d().click("method-random-forest");
  while (!s().scenes.empty()) w().bench().removeScene(q(s().scenes.back().id));
  d().settle();
  EXPECT_TRUE(map() == nullptr || map() == before);  // the forest is not shown
  for (size_t i = 0; i < scenes; ++i) key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().scenes.size(), scenes);
}

TEST_F(PreviewWindow, CanBeStoppedAndTurnedOff) {
  untilPreview(nullptr, "the first preview");
  const LearnedMap* before = map();
  d().click("method-random-forest");
  d().until([&] { return w().findChild<QPushButton*>("stopPreview")->isVisible(); }, "the forest");
  d().click("stopPreview");
  EXPECT_EQ(map(), before);
  d().click<QCheckBox>("mapPreview");
  d().press("trees", "7");
  d().settle();
  EXPECT_EQ(map(), before);
  reopen();
  d().stage(3);
  EXPECT_FALSE(d().find<QCheckBox>("mapPreview")->isChecked());  // it is remembered
  d().click<QCheckBox>("mapPreview");
  d().until([&] { return map() != nullptr; }, "a preview asked for by hand");
}

TEST_F(PreviewWindow, PixelsForWhichTooLittleSpeaksAreLeftOut) {
  untilPreview(nullptr, "the first preview");
  d().settle();
  w().view().setMode(MapView::Mode::Front);
  const double none = emptyShare();
  d().click("mapChoices");
  d().settle();
  auto* heldOutShare = w().findChild<QLabel*>("heldOutShare");
  d().until([&] { return heldOutShare->text().contains("%"); }, "the held-out check");
  const LearnedMap* before = map();
  auto* least = d().find<QSlider>("mapLeast");
  least->setFocus();
  QTest::keyClick(least, Qt::Key_End);
  d().until([&] { return map() != before; }, "the stricter preview");
  EXPECT_TRUE(heldOutShare->text().contains("%"));  // what was learned is the same
  untilPreview(before, "all of the stricter preview");
  d().settle();
  EXPECT_GT(emptyShare(), none + 0.005);
  d().make("primary", "the map");
  EXPECT_EQ(s().products.back().step["least"], 0.95);
}

TEST_F(PreviewWindow, TellsHowItDoesOnAreasItHasNotSeen) {
  d().until([&] { return w().findChild<QLabel*>("heldOutShare")->text().contains("%"); },
            "the held-out check");
  const Json asked = step("maximum-likelihood");
  const HeldOut told = heldOut(samplesOfStep(s(), asked), planOfStep(asked), s().legend);
  EXPECT_EQ(d().find<QLabel>("heldOutShare")->text(), decimal(told.total.share() * 100, 0) + " %");
  ASSERT_FALSE(told.areas.empty());
  d().settle();
  const auto& area = s().training[told.areas[0].area];
  auto* go = d().find("doubtfulArea-1");
  EXPECT_TRUE(go->text().contains(q(s().legend.find(area.code)->name)));
  QTest::mouseClick(go, Qt::LeftButton);
  const Extent e = area.shape.extent();
  const Place middle{(e.left + e.right) / 2, (e.bottom + e.top) / 2};
  EXPECT_NEAR(w().view().centre().x, middle.x, 1);
  EXPECT_NEAR(w().view().centre().y, middle.y, 1);
  EXPECT_LT(w().view().visible().right - w().view().visible().left, 3000);
}

TEST_F(PreviewWindow, PlacesToLookAtNextBecomeTraining) {
  d().until([&] { return w().findChild<QPushButton*>("nextPlaces")->isVisible(); },
            "where it is a guess");
  EXPECT_TRUE(d().find<QLabel>("unlikeShare")->text().contains("%"));
  EXPECT_TRUE(w().findChild<MappingDesk*>()->points().empty());
  d().click("nextPlaces");
  d().settle();
  auto* places = d().find<QTableWidget>("placeTable");
  ASSERT_GE(places->rowCount(), 2);
  EXPECT_EQ(w().findChild<MappingDesk*>()->points().size(),
            static_cast<size_t>(places->rowCount()));
  // Held against a method of another kind, each place has its two classes.
  d().click("placesByOther");
  for (int r = 0; r < places->rowCount(); ++r)
    EXPECT_NE(places->item(r, 0)->text(), places->item(r, 2)->text());
  EXPECT_EQ(places->horizontalHeaderItem(2)->text(), "or");
  d().click("placesBySure");
  d().settle();
  d().click("placeIs-6");
  EXPECT_TRUE(said().contains("Choose a place")) << said().toStdString();
  QTest::mouseClick(places->viewport(), Qt::LeftButton, {},
                    places->visualItemRect(places->item(1, 0)).center());
  const Place there = w().view().centre();
  EXPECT_NEAR(there.x, w().findChild<MappingDesk*>()->points()[1].place.x, 10);
  const size_t before = s().training.size();
  const LearnedMap* shown = map();
  QTest::keyClick(places, Qt::Key_6);
  ASSERT_EQ(s().training.size(), before + 1);
  EXPECT_EQ(s().training.back().code, 6);
  const Extent e = s().training.back().shape.extent();
  EXPECT_NEAR((e.left + e.right) / 2, there.x, 10);
  untilPreview(shown, "the preview of the new training");
  // What is a guess is hatched on demand.
  d().until([&] { return w().findChild<QCheckBox*>("hatchGuess")->isVisible(); }, "the guess");
  EXPECT_EQ(map()->unlikeness, nullptr);
  d().click<QCheckBox>("hatchGuess");
  ASSERT_NE(map()->unlikeness, nullptr);
  d().settle();
}

TEST_F(PreviewWindow, SubclassesApartAreAChoiceWhereThereAreAny) {
  d().click("mapChoices");
  d().settle();
  auto* how = d().find<QComboBox>("mapSubclasses");
  how->setFocus();
  QTest::keyClick(how, Qt::Key_End);
  d().make("primary", "the map");
  EXPECT_EQ(s().products.back().step["subclasses"], "kept");
  EXPECT_GT(s().products.back().facts["legend"]["classes"].size(), s().legend.classes.size());
}

class RemedyWindow : public RealWindow {
 protected:
  void SetUp() override {
    RealWindow::SetUp();
    d().stage(2);
    importTraining();
    untilHealth();
  }
  QTableWidget& classes() { return *d().find<QTableWidget>("classTable"); }
  void untilHealth() {
    d().until([&] { return classes().item(0, 4) != nullptr && classes().item(0, 4)->text() != ""; },
              "the health of the classes");
  }
  int rowOf(const QString& health) {
    for (int r = 0; r < classes().rowCount(); ++r)
      if (classes().item(r, 4)->text() == health) return r;
    throw std::runtime_error("no class is " + health.toStdString());
  }
  int choose(const QString& health) {
    const int r = rowOf(health);
    QTest::mouseClick(classes().viewport(), Qt::LeftButton, {},
                      classes().visualItemRect(classes().item(r, 0)).center());
    d().settle();
    return classes().item(r, 0)->data(Qt::UserRole).toInt();
  }
};

TEST_F(RemedyWindow, AMixedClassIsSplitInTwoAndIsMixedNoMore) {
  const int code = choose("mixed");
  const auto before = s().training;
  d().click("openSplit");
  d().until([&] { return w().findChild<QLineEdit*>("splitFirst")->isVisible(); }, "the split");
  EXPECT_EQ(s().training.size(), before.size());  // only looked at
  EXPECT_GT(w().training().shapes().size(), before.size());
  d().click("leaveSplit");
  EXPECT_EQ(w().training().shapes().size(), before.size());
  d().click("openSplit");
  d().until([&] { return w().findChild<QLineEdit*>("splitFirst")->isVisible(); }, "the split");
  d().press("splitSecond", d().find<QLineEdit>("splitFirst")->text());
  d().click("acceptSplit");
  EXPECT_TRUE(said().contains("not the same")) << said().toStdString();
  d().press("splitFirst", "sunlit");
  d().press("splitSecond", "in shade");
  d().click("acceptSplit");
  std::set<std::string> subclasses;
  for (const auto& a : s().training)
    if (a.code == code) subclasses.insert(a.subclass);
  EXPECT_EQ(subclasses.count("sunlit"), 1u);
  EXPECT_EQ(subclasses.count("in shade"), 1u);
  untilHealth();
  const Samples samples = areaSamples(s(), w().bench().currentScene()->scene);
  for (const auto& h : healthOf(samples, signaturesOf(samples)))
    if (h.code == code) {
      EXPECT_TRUE(h.word != Health::Mixed || (h.subclass != "sunlit" && h.subclass != "in shade"));
    }
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(s().training.size(), before.size());
}

TEST_F(RemedyWindow, AnOpenSplitGoesWithItsScene) {
  choose("mixed");
  d().click("openSplit");
  d().until([&] { return w().findChild<QLineEdit*>("splitFirst")->isVisible(); }, "the split");
  while (!s().scenes.empty()) w().bench().removeScene(q(s().scenes.back().id));
  d().settle();
  EXPECT_TRUE(s().scenes.empty());
  EXPECT_FALSE(w().findChild<QLineEdit*>("splitFirst")->isVisible());
}

TEST_F(RemedyWindow, ThePartThatDoesNotBelongIsDropped) {
  const int code = choose("mixed");
  const auto pixels = [&] {
    for (const auto& c : areaSamples(s(), w().bench().currentScene()->scene).classes)
      if (c.code == code) return c.labelled;
    return size_t{0};
  };
  const size_t before = pixels();
  d().click("openSplit");
  d().until([&] { return w().findChild<QPushButton*>("dropPart")->isVisible(); }, "the split");
  d().click("dropPart");
  EXPECT_LT(pixels(), before);
  EXPECT_GE(pixels() * 2, before);
}

TEST_F(RemedyWindow, OutlyingPixelsAreListedAndDropped) {
  const Samples samples = areaSamples(s(), w().bench().currentScene()->scene);
  int code = 0;
  size_t many = 0;
  for (const auto& c : samples.classes)
    if (const size_t n = outliersOf(samples, c.code).size(); n > many) many = n, code = c.code;
  ASSERT_GT(many, 0u);
  for (int r = 0; r < classes().rowCount(); ++r)
    if (classes().item(r, 0)->data(Qt::UserRole).toInt() == code) classes().selectRow(r);
  d().settle();
  d().click("openOutliers");
  d().until([&] { return w().findChild<QPushButton*>("dropOutliers")->isVisible(); }, "the list");
  EXPECT_EQ(w().training().points().size(), many);
  EXPECT_GT(d().find<QTableWidget>("outlierTable")->rowCount(), 0);
  EXPECT_TRUE(d().find("dropOutliers")->text().contains(grouped(many)));
  d().click("dropOutliers");
  const Samples after = areaSamples(s(), w().bench().currentScene()->scene);
  EXPECT_EQ(after.size(), samples.size() - many);
  EXPECT_TRUE(w().training().points().empty());
}

}  // namespace
}  // namespace zp
