// The window in a made-up language whose every word is longer and ends in ö: what still is English
// was missed, and what is cut has no room for a longer language. On the way each control is asked
// for its name and role, and each text for its contrast, in one look in the one language and in the
// other in the other.
#include "base/text.h"
#include "contrast.h"
#include "controls.h"
#include "index/formula.h"
#include "shell/facts.h"
#include "shell/text_size.h"
#include "shown_texts.h"
#include "study/study_scope.h"
#include "text_fits.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

QSet<QString> wordsIn(const QString& text) {
  static const QRegularExpression word("#[0-9a-f]{6}|[\\p{L}\\p{M}]+");
  QSet<QString> all;
  auto found = word.globalMatch(text);
  while (found.hasNext()) all << found.next().captured();
  return all;
}

bool isPlain(const QString& word) {
  return std::all_of(word.begin(), word.end(), [](QChar c) { return c.unicode() < 128; });
}

/// Made up: what is not in it was missed. Of a real one only the room that its words have is looked
/// at.
struct Language {
  const char *name, *id, *folder, *look;
  bool madeUp;
};
const Language kMadeUp{"MadeUp", "pl", MADE_UP, "daylight", true},
    kGerman{"German", "de", LANGUAGES, "dusk", false};

class LanguageWindow : public RealWindow {
 protected:
  virtual const Language& spoken() const { return kMadeUp; }
  void SetUp() override {
    speak({spoken().id}, {spoken().folder});
    ASSERT_NE(txt("Scenes"), "Scenes");
    applyLook(spoken().look);
    RealWindow::SetUp();
    w().resize(1280, 800);
  }
  void TearDown() override {
    RealWindow::TearDown();
    applyLook("dusk");
    speak({"en"}, {});
  }

  /// A second labeller, one difference, and it is settled.
  void labelTwice() {
    QTest::keyClick(&w().labelling(), Qt::Key_Escape);
    d().settle();
    d().click("askElsewhere");
    d().click("askSecond");
    lookAround("a second labeller is asked for");
    QTest::keyClicks(d().find<QLineEdit>("secondName"), "Heron");
    d().find<QComboBox>("secondShare")->setCurrentIndex(3);
    d().click("startSecond");
    d().settle();
    lookAround("the second labeller");
    const size_t n = w().book().worked().points().size();
    for (size_t i = 0; i < n; ++i)
      QTest::keyClick(&w().labelling(), i == 0 ? Qt::Key_2 : Qt::Key_1);
    d().click("closeLabelling");
    d().settle();
    lookAround("the agreement");
    d().click("settle");
    d().settle();
    lookAround("settling");
    QTest::keyClick(&w().labelling(), Qt::Key_1);
    d().settle();
    d().click("primary");
    d().settle();
  }

  /// Names that people gave, roles, formulas and units are the same in every language.
  QSet<QString> names() {
    QString all =
        "Zany Patch km ha nm dB KiB MiB px UTC EPSG UTM zone WGS Ctrl Shift Alt Esc tif gpkg csv "
        "and "
        "or "
        "not when then else gree id VH VV Finch Kite Heron demo archive catalog json study "
        "Mar Aug Oct Nov English Deutsch ";
    all += HAVEN " ";
    all += QSettings().value("recent").toStringList().join(" ");
    const auto add = [&](const std::string& text) { all += " " + q(text); };
    for (const auto& r : knownRoles()) add(r);
    for (const auto& f : formulaFunctions()) add(f.first);
    for (const auto& e : indexBook()) add(e.abbreviation);
    if (!w().bench().hasStudy()) return wordsIn(all);
    const Study& study = s();
    add(study.name);
    add(q(study.folder().string()).toStdString());
    for (const auto& one : study.scenes) {
      add(one.scene.name);
      for (const auto& b : one.scene.bands) add(b.name), add(b.file.string());
    }
    for (const auto& [name, id] : formulaNames(study)) add(name);
    for (const auto& p : study.products) add(p.name), add(p.file.string());
    for (const auto& c : study.legend.classes) add(c.name), add(c.description);
    for (const auto& a : study.training) add(a.subclass);
    for (const auto& o : study.outlines) add(o.name), add(o.layer);
    for (int month = 1; month <= 12; ++month)
      all += " " + languageOfWords().monthName(month, QLocale::ShortFormat);
    return wordsIn(all);
  }

  /// A name of a card, a long choice or something found that has no room; its hint has the whole.
  bool isShortened(const QString& text) {
    if (!text.contains(QChar(u'…'))) return false;
    QStringList whole;
    if (w().bench().hasStudy())
      for (const auto& p : s().products) whole << q(p.name);
    for (const auto* c : w().findChildren<QComboBox*>())
      if (dynamic_cast<const LongChoice*>(c) != nullptr) whole << c->currentText();
    for (const auto* list : w().findChildren<QListWidget*>("findList"))
      for (int i = 0; i < list->count(); ++i) whole << list->item(i)->toolTip();
    const QString head = text.section(QChar(u'…'), 0, 0), tail = text.section(QChar(u'…'), 1);
    return std::any_of(whole.begin(), whole.end(), [&](const QString& name) {
      return name.startsWith(head) && name.endsWith(tail);
    });
  }

  void expectTranslated(const QStringList& texts, const char* where) {
    if (!spoken().madeUp) return;
    const QSet<QString> kept = names();
    QSet<QString> missed;
    for (const auto& text : texts)
      for (const auto& word : isShortened(text) ? QSet<QString>() : wordsIn(text))
        if (word.size() > 1 && word[0] != '#' && isPlain(word) && !kept.contains(word))
          missed << word + "  in  " + text;
    for (const auto& one : missed) ADD_FAILURE() << where << ": " << one.toStdString();
  }

  /// A word that is cut short no longer ends as its language does.
  void expectWhole(const QStringList& texts, const char* where) {
    if (!spoken().madeUp) return;
    static const QRegularExpression cut("[\\p{L}]*…");
    for (const auto& text : texts) {
      const QString last = cut.match(text).captured();
      if (last.size() < 2 || isPlain(last.chopped(1)) || isShortened(text)) continue;
      EXPECT_EQ(last[last.size() - 2], QChar(u'ö')) << where << ": " << text.toStdString();
    }
  }

  /// Names and roles of all controls, and texts that stand out from what they are on.
  void expectForEverybody(const QList<Drawing>& drawings, const char* where) {
    expectSpoken(&w(), where);
    for (const auto& drawing : drawings)
      for (const auto& faint : faintTexts(drawing.svg, drawing.seen)) {
        // What is scrolled out of sight lies under the button below, in a drawing.
        // What is chosen in a field is drawn once more over itself.
        const auto* over = w().childAt(faint.at);
        const auto* button = qobject_cast<const QAbstractButton*>(over);
        const auto* field = qobject_cast<const QLineEdit*>(over);
        if ((button != nullptr && !button->text().contains(faint.text)) ||
            (field != nullptr && field->hasSelectedText()))
          continue;
        ADD_FAILURE() << where << ", " << spoken().look << ": “" << faint.text.toStdString()
                      << "” in " << faint.colour.name().toStdString() << " on "
                      << faint.ground.name().toStdString() << " has a contrast of "
                      << faint.contrast;
      }
  }

  void lookAround(const char* where) {
    d().settle();
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    const auto drawings = drawingsOf(&w());
    const QStringList painted = textsIn(drawings);
    expectForEverybody(drawings, where);
    expectTranslated(painted + toldTexts(&w()), where);
    expectWhole(painted, where);
    for (auto* c : w().findChildren<QWidget*>())
      if (c->isVisible()) {
        EXPECT_EQ(cutText(*c).toStdString(), "") << where << ": " << c->metaObject()->className()
                                                 << " " << c->objectName().toStdString();
      }
    expectNothingOverlaps(&w());
    for (auto* area : w().findChildren<QScrollArea*>())
      if (area->isVisible() && qobject_cast<Desk*>(area->parentWidget()) != nullptr) {
        EXPECT_EQ(area->horizontalScrollBar()->maximum(), 0) << where;
      }
    // The desk has the one scroll bar; that of the archive is its list's.
    for (auto* view : w().findChildren<QAbstractItemView*>()) {
      if (!view->isVisible() || view->objectName() == "archiveList") continue;
      for (QWidget* up = view->parentWidget(); up != nullptr; up = up->parentWidget())
        if (qobject_cast<Desk*>(up) != nullptr) {
          EXPECT_EQ(view->verticalScrollBar()->maximum(), 0)
              << where << ": " << view->objectName().toStdString();
        }
    }
    look(QString("%1-%2").arg(spoken().name, where));
  }
  void expectMenu(const QMenu& menu, const char* where) {
    QStringList texts;
    for (const auto* action : menu.findChildren<QAction*>()) texts << action->text();
    for (const auto* action : menu.actions()) texts << action->text();
    expectTranslated(texts, where);
  }
  void makePlaces() {
    d().stage(4);
    d().press("planCount", "4");
    d().until([&] { return d().find<QLabel>("planned")->text().contains("4"); }, "the plan");
    d().settle();
    d().make("primary", "the points");
  }
};

class EveryLanguage : public LanguageWindow, public ::testing::WithParamInterface<Language> {
  const Language& spoken() const override { return GetParam(); }
};
INSTANTIATE_TEST_SUITE_P(Window, EveryLanguage, ::testing::Values(kMadeUp, kGerman),
                         [](const auto& of) { return of.param.name; });

TEST_F(LanguageWindow, HasAFormForEachNumber) {
  EXPECT_EQ(txt("%n scenes", "%n scene", 1), "1 scênêsöö¹");
  EXPECT_EQ(txt("%n scenes", "%n scene", 3), "3 scênêsöö²");
  EXPECT_EQ(txt("%n scenes", "%n scene", 5), "5 scênêsöö³");
  speak({"en-GB"}, {MADE_UP});
  EXPECT_EQ(txt("%n scenes", "%n scene", 1), "1 scene");
  EXPECT_EQ(txt("%n scenes", "%n scene", 0), "0 scenes");
  EXPECT_EQ(txt("%n scenes", "%n scene", qint64{1} << 40), "1099511627776 scenes");
}

TEST_F(LanguageWindow, SaysWhatWentWrong) {
  try {
    parseFormula("nir +", {"nir"});
    FAIL();
  } catch (const std::exception& e) {
    EXPECT_TRUE(sentenceOf(e).startsWith("Thêö fôrmûlâöö")) << sentenceOf(e).toStdString();
  }
  d().stage(1);
  d().find<QPlainTextEdit>("formula")->setPlainText("nir + gree");
  d().until([&] { return d().find<QLabel>("formulaError")->text().contains("green"); },
            "the error");
  lookAround("a wrong formula");
}

TEST_F(LanguageWindow, GermanWritesNumbersAndDatesAsItDoes) {
  speak({"de-AT", "en"}, {LANGUAGES});
  EXPECT_EQ(txt("Scenes"), "Szenen");
  EXPECT_EQ(txt("%n scenes", "%n scene", 1), "1 Szene");
  EXPECT_EQ(decimal(-1234.56, 1), QString("−1 234,6"));
  EXPECT_EQ(compact(0.25), "0,250");
  EXPECT_EQ(niceDate("2031-07-18"), "18. Juli 2031");
  EXPECT_EQ(fieldNumber(0.0001), "0,0001");
  EXPECT_EQ(typedNumber("0,5"), 0.5);
  EXPECT_EQ(typedNumber(" −0.5"), -0.5);
  EXPECT_FALSE(typedNumber("1,2,3"));
  QDoubleSpinBox box;
  box.setDecimals(2);
  box.setRange(0, 10000);
  box.setValue(1234.5);
  EXPECT_EQ(box.text(), "1234,50");
  speak({"en"}, {LANGUAGES});
  EXPECT_EQ(niceDate("2031-07-18"), "18 Jul 2031");
  EXPECT_EQ(decimal(0.5, 1), "0.5");
  EXPECT_FALSE(typedNumber("0,5"));
}

TEST_F(LanguageWindow, LanguageLookAndTextSizeAreChosenInTheStudyMenu) {
  auto* study = w().findChild<StudyMenu*>("studyMenuList");
  QObject::disconnect(study, &StudyMenu::dressAsked, nullptr, nullptr);  // builds the window anew
  QStringList asked;
  QObject::connect(study, &StudyMenu::dressAsked, [&](const QString& setting, const QVariant& to) {
    asked << setting + "=" + to.toString();
  });
  QStringList names, tooLarge;
  whenOpen<QMenu>([&](QMenu& menu) {
    for (auto* a : menu.actions())
      for (auto* one : a->menu() != nullptr ? a->menu()->actions() : QList<QAction*>()) {
        names << one->text();
        if (one->text().contains("1650")) tooLarge << (one->isEnabled() ? "offered" : "told");
        if (one->text() == "Deutsch" || one->text() == "English" || one->text().startsWith("100"))
          one->trigger();
      }
    menu.close();
  });
  QTest::mouseClick(w().trail().studyButton(), Qt::LeftButton);
  EXPECT_EQ(asked, QStringList({"size=100", "language=en", "language=de"}))
      << names.join(", ").toStdString();
  // The screen of the tests is smaller than what the window needs at 150 %.
  EXPECT_EQ(tooLarge, QStringList("told")) << names.join(", ").toStdString();
}

TEST(TextSize, IsOverWhatTheEnvironmentAsksFor) {
  EXPECT_EQ(textSize(), 100);
  QSettings().setValue("size", 150);
  EXPECT_EQ(textSize(), 150);
  const QByteArray before = qgetenv("QT_SCALE_FACTOR");
  const double asked = before.isEmpty() ? 1 : before.toDouble();
  useTextSize();
  EXPECT_DOUBLE_EQ(qgetenv("QT_SCALE_FACTOR").toDouble(), asked * 1.5);
  QSettings().setValue("size", "of a giant");
  EXPECT_EQ(textSize(), 100);
  useTextSize();
  EXPECT_EQ(qgetenv("QT_SCALE_FACTOR"), before);
  QSettings().remove("size");
}

TEST_P(EveryLanguage, NoWordOfTheDesksIsMissedOrCut) {
  for (int stage = 0; stage < 6; ++stage) {
    d().stage(stage);
    lookAround(("stage " + std::to_string(stage + 1) + " at first").c_str());
  }
  d().stage(0);
  for (const char* page : {"page-look", "page-bands", "page-mask", "page-make", "page-area"}) {
    d().click(page);
    lookAround(page);
  }
  d().click("page-make");
  auto* what = d().find<QComboBox>("makeWhat");
  for (int i = 0; i < what->count(); ++i) {
    what->setCurrentIndex(i);
    Q_EMIT what->activated(i);
    lookAround(("making " + what->currentData().toString().toStdString()).c_str());
  }
}

TEST_P(EveryLanguage, NoWordOnTheWayToTheMatrixIsMissedOrCut) {
  d().stage(1);
  d().click("index-vegetation");
  d().make("primary", "the index");
  lookAround("an index");
  d().click("index-more");
  lookAround("the book");
  d().click("index-more");
  d().make("primary", "the class map");
  for (const char* mode : {"mode-rules", "mode-dates"}) {
    d().click(mode);
    lookAround(mode);
  }
  auto* what = d().find<QComboBox>("datesWhat");
  for (int i = 0; i < what->count(); ++i) {
    what->setCurrentIndex(i);
    Q_EMIT what->activated(i);
    lookAround(("comparing " + std::to_string(i)).c_str());
  }
  d().stage(2);
  importTraining();
  lookAround("training");
  d().click("editClass");
  lookAround("a class");
  d().click("trainingSets");
  lookAround("the sets of areas");
  d().click("openSignatures");
  lookAround("the signatures");
  for (const char* evidence : {"showCovariance", "showFigures"}) {
    d().click(evidence);
    lookAround(evidence);
  }
  d().click("leaveSignatures");
  d().stage(3);
  d().click<QToolButton>("explain-method");
  d().make("primary", "the map");
  lookAround("a map");
  for (const char* page : {"segmentsPage", "touchUpPage", "combinePage"}) {
    d().click(page);
    lookAround(page);
  }
  d().click("trainedMap");
  makePlaces();
  for (const char* plan : {"planSystematic", "planInBlocks", "planByHand", "planRandom"}) {
    d().click(plan);
    if (QString(plan) == "planSystematic") d().click("planMore");
    lookAround(plan);
  }
  d().click("planStratified");
  d().click("splitGiven");
  lookAround("points by number");
  for (const char* form : {"cellHexagons", "cellPixels"}) {
    d().click("pageCells");
    d().click(form);
    lookAround(form);
  }
  d().click("pageReadings");
  auto* places = d().find<QComboBox>("readPlaces");
  places->setCurrentIndex(places->count() - 1);
  Q_EMIT places->activated(places->count() - 1);
  lookAround("zones");
  places->setCurrentIndex(0);
  Q_EMIT places->activated(0);
  d().make("primary", "the readings");
  lookAround("readings");
  for (const char* chart : {"chartValues", "chartBoxes", "chartCurves", "chartShares"}) {
    d().click(chart);
    lookAround(chart);
  }
  d().click("sideColumn");
  for (const char* change : {"columnAdd", "columnChange", "columnRename", "columnPaste"}) {
    d().click(change);
    lookAround(change);
  }
  for (const char* side : {"sideSummary", "sideJoin", "sideOut"}) {
    d().click(side);
    lookAround(side);
  }
  d().click("leaveTable");
  d().stage(5);
  lookAround("before labelling");
  d().click("planPoints");
  d().settle();
  d().press("planned-5", "1");
  lookAround("the validation plan");
  d().click("planBack");
  startLabelling();
  lookAround("labelling");
  const size_t n = w().book().labelling().points().size();
  for (size_t i = 0; i < n; ++i) QTest::keyClick(&w().labelling(), Qt::Key_1);
  lookAround("labelled");
  labelTwice();
  d().click("closeLabelling");
  d().until([&] { return w().matrix().isVisible(); }, "the matrix");
  lookAround("the matrix");
  d().click("sideErrors");
  d().settle();
  lookAround("where the errors are");
  d().click("report");
  lookAround("the report");
  w().openTyped();
  d().find<QPlainTextEdit>("typedText")->setPlainText(",Heron,Finch\nHeron,3,1\nFinch,0,4");
  lookAround("a matrix from elsewhere");
  w().openMatrix();
  d().click("compareMaps");
  d().settle();
  lookAround("the comparison");
  d().click("comparisonBack");
  d().click("matrixBack");
  lookAround("after the labelling");
  QStringList facts;
  for (const auto& p : s().products)
    facts << QTextDocumentFragment::fromHtml(factsOf(s(), q(p.id))).toPlainText();
  for (const auto& one : s().scenes)
    facts << QTextDocumentFragment::fromHtml(factsOf(s(), q(one.id))).toPlainText();
  expectTranslated(facts, "facts");
}

TEST_P(EveryLanguage, NoWordOfThePanelsIsMissedOrCut) {
  d().stage(1);
  d().click("index-vegetation");
  d().make("primary", "the index");
  d().make("primary", "the class map");
  const QString map = q(s().newest(ProductKind::ClassMap)->id);
  expectTranslated({QTextDocumentFragment::fromHtml(factsOf(s(), map)).toPlainText()}, "facts");
  auto* card = d().find<QWidget>("card-" + map);
  QTest::mouseDClick(card, Qt::LeftButton);
  lookAround("the facts of a map");
  key(Qt::Key_Escape);
  key(Qt::Key_Question);
  lookAround("the keys");
  key(Qt::Key_Escape);
  key(Qt::Key_D);
  lookAround("how it is shown");
  key(Qt::Key_D);
  d().click<QToolButton>("sheet");
  lookAround("the map to hand over");
  d().click("polygons");
  lookAround("polygons");
  whenOpen<QMenu>([&](QMenu& menu) {
    expectMenu(menu, "the menu of a card");
    menu.close();
  });
  QContextMenuEvent asked(QContextMenuEvent::Mouse, card->rect().center(),
                          card->mapToGlobal(card->rect().center()));
  QApplication::sendEvent(card, &asked);
  whenOpen<QMenu>([&](QMenu& menu) {
    expectMenu(menu, "the menu of the study");
    menu.close();
  });
  QTest::mouseClick(w().trail().studyButton(), Qt::LeftButton);
  key(Qt::Key_K, Qt::ControlModifier);
  for (const char* part : {"a", "e", "o"}) {
    w().trail().find()->clear();
    QTest::keyClicks(w().trail().find(), part);
    lookAround("find");
  }
}

TEST_P(EveryLanguage, NoWordOfWhatComesInIsMissedOrCut) {
  d().stage(0);
  w().bench().setPlace("archive", HAVEN "/archive/catalog.json");
  d().click("bringArchive");
  auto* list = d().find<QListWidget>("archiveList");
  d().until([&] { return list->count() > 0; }, "the archive's answer");
  lookAround("the archive");
  list->item(0)->setSelected(true);
  lookAround("a scene of the archive");
  d().click("backToScenes");
  // Two dates in one folder, a file a band.
  fs::create_directories(folder_ / "in");
  const std::string from = s().scenes.front().scene.bands[0].file.string();
  for (const char* name : {"a_20310601_B02.tif", "b_20310615_B02.tif"})
    fs::copy(from, folder_ / "in" / name);
  whenAskedForAFile(folder_ / "in");
  d().click("bringFolder");
  d().until([&] { return !w().bench().jobs().busy(); }, "the files to be looked at");
  auto* as = d().find<QComboBox>("incomingAs");
  for (int i = 0; i < as->count(); ++i) {
    as->setCurrentIndex(i);
    Q_EMIT as->activated(i);
    lookAround(("bringing in " + std::to_string(i)).c_str());
  }
}

TEST_P(EveryLanguage, NoWordWithoutAStudyIsMissedOrCut) {
  driver_.reset();
  window_ = std::make_unique<MainWindow>();
  driver_ = std::make_unique<Driver>(*window_);
  w().resize(1280, 800);
  w().show();
  expectTranslated(paintedTexts(&w()) + toldTexts(&w()), "without a study");
}

}  // namespace
}  // namespace zp
