// What desks, find and sheets tell: the scene one works on, classes that look like what they are,
// facts in words, keys, and nothing over anything.
#include "desks/accuracy/accuracy_desk.h"
#include "legend/class_map.h"
#include "shell/facts.h"
#include "text_fits.h"
#include "view/ramp.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class DeskWindow : public RealWindow {
 protected:
  std::string sceneNamed(const std::string& name) {
    for (const auto& one : s().scenes)
      if (one.scene.name == name) return one.id;
    throw std::runtime_error("there is no " + name);
  }
  QWidget* card(const std::string& id) { return d().find<QWidget>("card-" + q(id)); }
  QListWidget* found(const QString& text) {
    auto* field = w().trail().find();
    field->setFocus();
    field->setText(text);
    return w().findChild<QListWidget*>("findList");
  }
  /// Any of what was found, for find may know more than one of a name.
  bool finds(const QString& text, const QString& wanted) {
    auto* list = found(text);
    for (int i = 0; i < list->count(); ++i)
      if (list->item(i)->text().contains(wanted)) return true;
    return false;
  }
};

TEST_F(DeskWindow, ACardMakesItsSceneTheDesksSceneAndTheDeskNamesIt) {
  for (const int stage : {1, 2, 4}) {
    if (stage == 2) importTraining();
    d().stage(stage);
    const std::string may = sceneNamed("Finch 2 May"), july = sceneNamed("Finch 18 Jul");
    QTest::mouseClick(card(may), Qt::LeftButton);
    EXPECT_EQ(w().bench().currentScene()->id, may);
    auto* selector = d().find<QComboBox>("deskScene");
    EXPECT_TRUE(selector->currentText().startsWith("Finch 2 May"));
    EXPECT_EQ(w().view().front().of, may);
    const int at = selector->findData(q(july));
    selector->setCurrentIndex(at);
    Q_EMIT selector->activated(at);
    EXPECT_EQ(w().bench().currentScene()->id, july);
  }
}

TEST_F(DeskWindow, AnIndexThatTheNewSceneCannotDoGivesWayToOneItCan) {
  d().stage(1);
  d().click("index-water");
  QTest::mouseClick(card(sceneNamed("Heron 20 Jul")), Qt::LeftButton);
  EXPECT_TRUE(d().find("primary")->isEnabled());
  const auto* cannot = d().find<QLabel>("cannotHere");
  EXPECT_TRUE(cannot->text().startsWith("Not with this scene"));
  EXPECT_LT(cannot->height(), 30);  // one line
}

TEST_F(DeskWindow, ClassesOfAThresholdLookAndAreCalledAsTheIndexReads) {
  d().stage(1);
  d().click("index-water");
  d().make("primary", "the index");
  d().until([&] { return d().find<QTableWidget>("thresholdTable")->rowCount() == 2; }, "the parts");
  d().make("primary", "the class map");
  const Legend legend = legendOf(RasterFile(s().products.back().file));
  EXPECT_EQ(legend.classes[0].name, "The rest");
  EXPECT_EQ(legend.classes[1].name, "Open water");
  const auto& ends = ramp("water");
  EXPECT_EQ(toQt(legend.classes[0].colour).rgb(), ends[24]);
  EXPECT_EQ(toQt(legend.classes[1].colour).rgb(), ends[255 - 24]);
  EXPECT_GT(legend.classes[1].colour.b, legend.classes[1].colour.r);  // water is blue
}

TEST_F(DeskWindow, FactsAreWords) {
  d().stage(1);
  d().click("index-water");
  d().make("primary", "the index");
  const std::string index = s().products.back().id;
  d().until([&] { return d().find<QTableWidget>("thresholdTable")->rowCount() == 2; }, "the parts");
  d().make("primary", "the class map");
  const std::string map = s().products.back().id;
  w().bench().run({{"do", "change"}, {"from", map}, {"to", map}, {"code", 2}, {"name", "Change"}},
                  "Change");
  d().until([&] { return !w().bench().jobs().busy(); }, "the change");
  makePoints("4");
  for (const auto& p : s().products) {
    QTextDocument text;
    text.setHtml(factsOf(s(), q(p.id)));
    const QString plain = text.toPlainText();
    EXPECT_TRUE(plain.startsWith(q(p.name)));
    static const QRegularExpression innards(R"([\[\]{}"]|\b[spo]\d+\b|study_area|_)");
    EXPECT_FALSE(innards.match(plain.section("File", 0, 0)).hasMatch()) << plain.toStdString();
  }
  QTest::mouseDClick(card(index), Qt::LeftButton);
  auto* sheet = d().find<QLabel>("factSheet");
  EXPECT_TRUE(sheet->text().contains("Finch 18 Jul"));
  EXPECT_EQ(QApplication::activePopupWidget(), nullptr);
  EXPECT_EQ(sheet->window(), &w());
}

TEST_F(DeskWindow, FactsKeepTheHyphensOfNamesFormulasAndDates) {
  Study study = s();
  Product p;
  p.name = "Made by hand";
  p.kind = ProductKind::ClassMap;
  p.step = {{"do", "rules"},
            {"date", "2031-07-18"},
            {"how", "gram-schmidt"},
            {"rules", {{{"name", "Sea-grass"}, {"when", "nir - red > 0.1"}}}}};
  QTextDocument text;
  text.setHtml(factsOf(study, q(study.addProduct(p))));
  const QString plain = text.toPlainText();
  for (const char* wanted : {"18 Jul 2031", "Gram–Schmidt", "Sea-grass where nir - red > 0.1"})
    EXPECT_TRUE(plain.contains(wanted)) << wanted << " in " << plain.toStdString();
}

TEST_F(DeskWindow, FindKnowsWhatHasAButtonAMenuEntryOrAMode) {
  for (const auto& [text, wanted] : std::initializer_list<std::pair<const char*, const char*>>{
           {"daylight", "Look: daylight"},
           {"set aside", "Set aside"},
           {"by rules", "By rules"},
           {"between dates", "Between dates"},
           {"import", "Import"},
           {"draw area", "Draw area"},
           {"random", "Random"},
           {"catalogue", "STAC catalogue"},
           {"export", "Export the picture in view"},
           {"copy", "Save a copy"},
           {"keys", "Keys"},
           {"preset", "Sensor preset"},
           {"priors", "Priors"},
           {"seed", "Seed"},
           {"quit", "Quit"},
           {"side by side", "Side by side"}})
    EXPECT_TRUE(finds(text, wanted)) << text;
  auto* list = found("by rules");
  for (int i = 0; i < list->count(); ++i)
    if (list->item(i)->text().startsWith("By rules")) list->setCurrentRow(i);
  QTest::keyClick(w().trail().find(), Qt::Key_Return);
  EXPECT_EQ(w().stage(), 1);
  EXPECT_TRUE(d().find("mode-rules")->isChecked());
  list = found("draw one");
  QTest::keyClick(w().trail().find(), Qt::Key_Return);
  EXPECT_EQ(w().stage(), 0);
  EXPECT_TRUE(d().find("drawStudyArea")->isChecked());
}

TEST_F(DeskWindow, AQuestionMarkShowsTheKeysOfWhereOneIs) {
  d().stage(1);
  w().view().setFocus();
  QTest::keyClick(&w().view(), Qt::Key_Question, Qt::ShiftModifier);
  QLabel* shown = nullptr;
  for (auto* l : w().findChildren<QLabel*>("factSheet"))
    if (l->isVisible()) shown = l;
  ASSERT_NE(shown, nullptr);
  EXPECT_TRUE(shown->text().contains("threshold"));
  EXPECT_TRUE(shown->text().contains("curtain"));
  key(Qt::Key_Escape);
  EXPECT_FALSE(shown->isVisible());
}

TEST_F(DeskWindow, BeforeLabellingTheAccuracyDeskShowsWhatIsKnown) {
  d().stage(5);
  bool tells = false;
  for (auto* l : w().findChildren<QLabel*>())
    tells = tells || (l->isVisible() && l->text().contains("confusion matrix"));
  EXPECT_TRUE(tells);
  makeMap();
  makePoints("6");
  d().stage(5);
  auto* table = d().find<QTableWidget>("knownTable");
  d().until([&] { return table->rowCount() > 0 && table->item(0, 2)->text() != "…"; },
            "the counts");
  for (int r = 0; r < table->rowCount(); ++r) EXPECT_EQ(table->item(r, 2)->text(), "6");
  startLabelling();
  w().goTo(5);
  EXPECT_FALSE(table->isVisible());
}

TEST_F(DeskWindow, NothingLiesOverAnythingInTheMatrixSheetWithItsLongestSentences) {
  makeMap();
  makePoints("4");
  startLabelling();
  for (size_t i = 0; i < w().book().labelling().points().size(); ++i)
    w().book().labelling().label(1 + static_cast<int>(i % 9), now());
  w().book().labelling().close(now());
  w().book().changed();
  w().openMatrix();
  for (const QSize size : {QSize(1280, 800), QSize(1100, 700)}) {
    w().resize(size);
    QCoreApplication::processEvents();
    EXPECT_TRUE(w().matrix().isVisible());
    expectNothingOverlaps(&w().matrix());
    look("matrix-four-a-class");
  }
}

TEST_F(DeskWindow, NothingLiesOverAnythingOnAnyDesk) {
  makeMap();
  makePoints("4");
  for (const QSize size : {QSize(1280, 800), QSize(1100, 700)}) {
    w().resize(size);
    for (int stage = 0; stage < 6; ++stage) {
      d().stage(stage);
      QCoreApplication::processEvents();
      for (auto* desk : w().findChildren<Desk*>())
        if (desk->isVisible()) {
          desk->say(
              "This is a sentence that is as long as the longest that a desk ever says in its "
              "place, with a name such as “Finch 18 Jul, vegetation, inside the study area” "
              "in it and a remedy at its end; choose another one.");
          d().settle();  // what is counted in the background changes the layout once more
          expectNothingOverlaps(desk);
        }
    }
  }
}

TEST_F(DeskWindow, WhatComesInIsSeenWithTheRolesAsSetSoFar) {
  const Scene whole = s().scene(sceneNamed("Finch 18 Jul"))->scene;
  // Three bands, of which one is called what it is not.
  const fs::path in = folder_ / "in";
  fs::create_directory(in);
  const Grid g = [] {
    Grid one;
    one.width = 60, one.height = 40;
    one.georeferenced = true;
    return one;
  }();
  for (const char* name : {"x-red.tif", "x-green.tif", "x-swir22.tif"}) {
    RasterSpec spec;
    spec.grid = g;
    spec.grid.crs = whole.grid.crs;
    spec.grid.transform = whole.grid.transform;
    spec.bands.resize(1);
    RasterWriter writer(in / name, spec);
    std::vector<float> v(g.pixels(), 0.2f);
    v[7] = 0.9f;
    writer.write(1, {0, 0, 60, 40}, v);
    writer.finish();
  }
  const std::string before = w().view().front().of;
  w().openOrBringIn({q(in.string())});
  d().until([&] { return w().view().front().of == "preview"; }, "the look");
  EXPECT_TRUE(w().view().front().detail.contains("not in the study yet"));
  const QString key = w().view().front().key;
  int other = 0;
  auto* bands = d().find<QTableWidget>("incomingBands");
  for (int r = 0; r < bands->rowCount(); ++r)
    if (bands->item(r, 0)->text().contains("swir22")) other = r + 1;
  ASSERT_GT(other, 0);
  choose(QString("incomingRole-%1").arg(other), "blue");
  d().until([&] { return w().view().front().key != key; }, "the other picture");
  EXPECT_TRUE(w().view().front().detail.startsWith("natural colour"));
  d().click("backToScenes");
  EXPECT_EQ(w().view().front().of, before);
}

}  // namespace
}  // namespace zp
