// What holds of every panel and of every kind of product: words on the button, what is missing
// above it, faces on the shelf.
#include "desks/desk.h"
#include "shell/product_face.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class PanelsWindow : public RealWindow {
 protected:
  QString need() {
    for (auto* l : w().findChildren<QLabel*>("deskNeed"))
      if (l->isVisible()) return l->text();
    return {};
  }
  QPushButton* primary() { return d().find("primary"); }
  /// Those of the pages of a stage that are offered.
  QList<QPushButton*> chips() {
    QList<QPushButton*> all;
    for (auto* panel : w().findChildren<Panel*>())
      for (auto* chip : w().findChildren<QPushButton*>(panel->property("openedBy").toString()))
        if (chip->isVisible() && panel->property("openedBy").isValid()) all << chip;
    return all;
  }
  /// Something else of the study changes while one writes there, and one writes on.
  void expectKept(QWidget* place, const std::string& where) {
    const auto text = [](QWidget* at) {
      const auto* line = qobject_cast<QLineEdit*>(at);
      return line != nullptr ? line->text() : qobject_cast<QPlainTextEdit*>(at)->toPlainText();
    };
    const QPointer<QWidget> field(place);
    const std::string what =
        where + ": " + (field->objectName() + " in " + field->parent()->objectName()).toStdString();
    field->setFocus();
    const QString before = text(field);
    QTest::keyClicks(field, "7");
    const QString written = text(field);
    if (written == before) return;  // a number that takes no digit more
    Q_EMIT w().bench().changed();
    ASSERT_FALSE(field.isNull()) << what << " is gone";
    EXPECT_EQ(text(field).toStdString(), written.toStdString()) << what;
    EXPECT_TRUE(field->hasFocus()) << what;
    QTest::keyClick(field, Qt::Key_Backspace);
    ++kept_;
  }
  void expectAllKept(const std::string& where) {
    QList<QPointer<QWidget>> places;
    for (auto* one : w().findChildren<QLineEdit*>())
      if (one->isVisible() && one->isEnabled() && !one->isReadOnly()) places << one;
    for (auto* one : w().findChildren<QPlainTextEdit*>())
      if (one->isVisible() && one->isEnabled() && !one->isReadOnly()) places << one;
    for (const auto& place : places)
      if (!place.isNull() && place->isVisible()) expectKept(place, where);
    for (auto* table : w().findChildren<QTableWidget*>()) {
      if (!table->isVisible() || table->editTriggers() == QAbstractItemView::NoEditTriggers)
        continue;
      for (int c = 0; c < table->columnCount() && table->rowCount() > 0; ++c) {
        auto* item = table->item(0, c);
        if (item == nullptr || (item->flags() & Qt::ItemIsEditable) == 0) continue;
        table->editItem(item);
        auto* editor = qobject_cast<QLineEdit*>(QApplication::focusWidget());
        if (editor == nullptr || !table->isAncestorOf(editor)) continue;
        expectKept(editor, where + " " + table->objectName().toStdString());
        if (auto* now = QApplication::focusWidget(); table->isAncestorOf(now))
          QTest::keyClick(now, Qt::Key_Escape);
      }
    }
  }
  int kept_ = 0;
  /// The button can be pressed, or it is said why not.
  void expectAllSaid(const std::string& where) {
    EXPECT_FALSE(primary()->text().isEmpty()) << where;
    EXPECT_EQ(primary()->isEnabled(), need().isEmpty()) << where << ": " << need().toStdString();
  }
};

TEST_F(PanelsWindow, EachPageIsShownByItsChipAndTellsWhatItLacks) {
  const std::vector<std::pair<int, std::vector<const char*>>> pages{
      {0, {"page-look", "page-bands", "page-mask", "page-make", "page-area"}},
      {1, {"mode-index", "mode-rules", "mode-dates"}}};
  for (const auto& [stage, chips] : pages) {
    d().stage(stage);
    for (const char* name : chips) {
      d().click(name);
      d().settle();
      for (const char* other : chips)
        EXPECT_EQ(d().find(other)->isChecked(), other == name) << name << " and " << other;
      int seen = 0;
      for (auto* panel : w().findChildren<Panel*>())
        if (panel->isVisible() && panel->property("openedBy").isValid()) {
          EXPECT_EQ(panel->property("openedBy").toString(), name);
          ++seen;
        }
      EXPECT_EQ(seen, 1) << name;
      expectAllSaid(name);
    }
  }
}

TEST_F(PanelsWindow, WhatIsMissingGoesOnceItIsThere) {
  d().stage(1);
  d().click("mode-rules");
  EXPECT_EQ(need(), "Write a rule first.");
  EXPECT_FALSE(primary()->isEnabled());
  auto* rule = d().find<QPlainTextEdit>("rule-1");
  rule->setPlainText("nir >");
  EXPECT_TRUE(need().contains("wrong"));
  rule->setPlainText("nir > 0.2");
  EXPECT_EQ(need(), "");
  d().press("ruleName-1", "");
  EXPECT_TRUE(need().contains("without a name"));
  d().press("ruleName-1", "Green");
  d().make("primary", "the map by rules");
  EXPECT_EQ(s().products.back().facts["classes"].size(), 2u);

  d().stage(0);
  d().click("page-make");
  auto* ticks = d().find<QListWidget>("makeTicks");
  for (int i = 0; i < ticks->count(); ++i) ticks->item(i)->setCheckState(Qt::Unchecked);
  EXPECT_EQ(need(), "Tick two scenes or more.");
  EXPECT_FALSE(primary()->isEnabled());
  ticks->item(0)->setCheckState(Qt::Checked);
  EXPECT_FALSE(primary()->isEnabled());
  ticks->item(1)->setCheckState(Qt::Checked);
  EXPECT_EQ(need(), "");
  EXPECT_TRUE(primary()->isEnabled());
}

TEST_F(PanelsWindow, ASceneKeepsItsNameAndItsRolesOutliveThePreset) {
  d().stage(0);
  d().click("page-bands");
  const auto scene = [&] { return w().bench().currentScene()->scene; };
  const std::string name = scene().name;
  d().press("sceneName", "");
  d().find<QComboBox>("preset")->setFocus();
  EXPECT_EQ(scene().name, name);
  EXPECT_EQ(d().find<QLineEdit>("sceneName")->text().toStdString(), name);
  choose("preset", d().find<QComboBox>("preset")->itemText(1));
  ASSERT_FALSE(scene().sensor.empty());
  const auto roles = scene().roles();
  choose("preset", "none");
  EXPECT_EQ(scene().sensor, "");
  EXPECT_EQ(scene().roles(), roles);
}

/// Something else may end while one writes.
TEST_F(PanelsWindow, WhatOneIsWritingStaysWhenTheStudyChanges) {
  makeMap();
  makePoints("3");
  for (int stage = 0; stage < 6; ++stage) {
    d().stage(stage);
    const auto all = chips();
    if (all.isEmpty()) expectAllKept(std::to_string(stage));
    for (auto* chip : all) {
      chip->click();
      d().settle();
      expectAllKept(std::to_string(stage) + " " + chip->objectName().toStdString());
    }
  }
  EXPECT_GT(kept_, 25);
}

TEST_F(PanelsWindow, WhatAPageSaidGoesWithIt) {
  d().stage(0);
  d().click("page-bands");
  d().press("sceneDate", "2031-13-01");
  QTest::keyClick(d().find<QLineEdit>("sceneDate"), Qt::Key_Return);
  EXPECT_TRUE(said().contains("year-month-day"));
  d().click("page-look");
  EXPECT_EQ(said(), "");
}

TEST_F(PanelsWindow, AnotherStudyFindsThePagesAsTheyWereAtFirst) {
  d().stage(0);
  d().click("page-make");
  d().click("bringArchive");
  d().settle();
  EXPECT_TRUE(d().find("backToScenes")->isVisible());
  const QString other = q((folder_ / "other").string());
  ASSERT_TRUE(w().bench().saveCopy(other));
  ASSERT_TRUE(w().bench().open(other));
  d().stage(0);
  EXPECT_TRUE(d().find("page-look")->isChecked());
  EXPECT_FALSE(w().findChild<QPushButton*>("backToScenes")->isVisible());
}

TEST_F(PanelsWindow, BothWaysOfPressingRedoAreTaken) {
  d().stage(0);
  d().click("page-bands");
  const auto name = [&] { return w().bench().currentScene()->scene.name; };
  const std::string before = name();
  d().press("sceneName", "High summer");
  QTest::keyClick(d().find<QLineEdit>("sceneName"), Qt::Key_Return);
  ASSERT_EQ(name(), "High summer");
  for (const auto& redo : {QKeySequence("Ctrl+Shift+Z"), QKeySequence("Ctrl+Y")}) {
    if (!QKeySequence::keyBindings(QKeySequence::Redo).contains(redo)) continue;
    w().view().setFocus();
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(name(), before);
    QTest::keySequence(&w(), redo);
    EXPECT_EQ(name(), "High summer") << redo.toString().toStdString();
  }
}

TEST(ProductFaces, EveryKindHasOneAndIsGoneToAtAStage) {
  std::set<ProductKind> kinds;
  for (const auto& face : productFaces()) {
    EXPECT_TRUE(kinds.insert(face.kind).second) << idOf(face.kind);
    EXPECT_FALSE(icon(face.sign).isNull()) << face.sign;
    EXPECT_FALSE(txt(face.groups).isEmpty());
    EXPECT_FALSE(cardWord(face.kind).isEmpty());
    EXPECT_GE(face.stage, 0);
    EXPECT_LT(face.stage, 6);
  }
  for (int k = 0; k <= static_cast<int>(ProductKind::Cells); ++k)
    EXPECT_EQ(kinds.count(static_cast<ProductKind>(k)), 1u) << idOf(static_cast<ProductKind>(k));
}

TEST(ProductFaces, OfADamagedProductNothingIsMadeUp) {
  Study study;
  Product p;
  p.id = "p1";
  p.kind = ProductKind::ClassMap;
  p.file = "/nowhere/m.tif";
  p.facts = Json::object();
  study.products.push_back(p);
  const Picture map = pictureOf(study, "p1");
  EXPECT_EQ(map.kind, Picture::Kind::Classes);
  EXPECT_TRUE(map.legend.classes.empty());
  EXPECT_TRUE(pictureOf(study, "p2").none());
  study.products[0].kind = ProductKind::Index;
  study.products[0].facts = {{"min", nullptr}, {"max", 1}, {"mean", "x"}};
  EXPECT_TRUE(faceOf(ProductKind::Index).facts(study.products[0]).empty());
  study.products[0].kind = ProductKind::Table;
  EXPECT_TRUE(pictureOf(study, "p1").none());
}

}  // namespace
}  // namespace zp
