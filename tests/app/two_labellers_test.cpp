// Two labellers on the labelling desk, mixed places and the ways between points, by mouse and keys.
#include "accuracy_fixture.h"
#include "desks/accuracy/pixel_curves.h"
#include "desks/accuracy/validation_panel.h"
#include "sampling/readings.h"
#include "scene/band_axis.h"

namespace zp {
namespace {

using namespace testing;

class TwoLabellers : public AccuracyDeskWindow {
 protected:
  const Labelling& second() { return w().book().second()->labelling; }
  int firstSaid(int id) {
    for (const auto& p : labelling().points())
      if (p.id == id) return p.reference;
    return 0;
  }
  /// Everything is labelled by the first, and the second is at the desk.
  void handOver(const QString& share) {
    startLabelling();
    labelAll(99);
    leaveDesk();
    look("hand-over");
    d().click("askSecond");
    QTest::keyClicks(d().find<QLineEdit>("secondName"), "B. Labeller");
    choose("secondShare", share);
    d().click("startSecond");
    d().until([&] { return w().labelling().isVisible() && w().labelling().ready(); },
              "the labelling desk");
  }
  /// The second says what the first said, but at their first `slips` points the next class.
  void labelAsTheFirst(size_t slips) {
    for (size_t i = 0; i < second().points().size(); ++i) {
      const int said = firstSaid(second().current().id);
      const int code = i < slips ? said % 9 + 1 : said;
      QTest::keyClick(&w().labelling(), static_cast<char>('0' + code));
    }
  }
  QString told() { return d().find<QLabel>("secondTold")->text(); }
};

TEST_F(TwoLabellers, TheSecondSeesNeitherTheMapNorTheFirst) {
  handOver("all");
  EXPECT_EQ(second().points().size(), 36u);
  EXPECT_TRUE(d().find<QLabel>("labelOrder")->text().contains("B. Labeller"));
  for (int i = 0; i < 3; ++i) {
    for (const auto& c : s().legend.classes)
      EXPECT_FALSE(d().find<QPushButton>(QString("key-%1").arg(c.code))->isChecked());
    EXPECT_EQ(d().find<QPlainTextEdit>("labelNote")->toPlainText(), "");
    QTest::keyClick(&w().labelling(), Qt::Key_Space);
  }
  QTest::keyClick(&w().labelling(), Qt::Key_4);
  EXPECT_EQ(second().labelled(), 1u);
  EXPECT_EQ(labelling().labelled(), 36u);
  // On the desk and the view, too, the first's labels are gone until the second is done.
  leaveDesk();
  EXPECT_TRUE(told().contains("1 of 36"));
  auto* panel = w().findChild<ValidationPanel*>();
  EXPECT_TRUE(panel->points().empty());  // the map is in view
  const Picture scene = w().bench().pictureOf(q(s().scenes[0].id));
  w().view().setFront(scene);
  w().view().setBack(scene);
  EXPECT_EQ(panel->points().size(), 36u);
  for (const auto& p : panel->points()) EXPECT_EQ(p.colour, QColor(Qt::white));
  EXPECT_FALSE(w().findChild<QTableWidget*>("accuracyTable")->isVisible());
  // And it is all there the next day.
  reopen();
  d().stage(5);
  EXPECT_TRUE(told().contains("1 of 36"));
  d().click("goOnSecond");
  d().until([&] { return w().labelling().isVisible(); }, "the labelling desk");
  EXPECT_TRUE(d().find<QLabel>("labelOrder")->text().contains("B. Labeller"));
  EXPECT_EQ(second().labelled(), 1u);
}

TEST_F(TwoLabellers, TheyAgreeAndSettleWhereTheyDiffer) {
  handOver("half");
  ASSERT_EQ(second().points().size(), 18u);  // two of the four of each class
  labelAsTheFirst(3);
  look("second-labeller");
  d().click("closeLabelling");
  d().until([&] { return !w().labelling().isVisible(); }, "the desk");
  d().settle();
  EXPECT_TRUE(told().contains("83 %")) << told().toStdString();  // 15 of 18
  EXPECT_TRUE(told().contains("kappa"));
  look("agreement");
  const auto all = w().book().agreement()->disagreements;
  ASSERT_EQ(all.size(), 3u);
  d().click("settle");
  d().until([&] { return w().labelling().isVisible(); }, "the labelling desk");
  look("settling");
  for (size_t i = 0; i < 3; ++i) {
    const int id = labelling().current().id;
    const auto& d1 = *std::find_if(all.begin(), all.end(), [&](auto& d) { return d.id == id; });
    const auto* seen = s().legend.find(d1.second);
    ASSERT_NE(seen, nullptr);
    EXPECT_TRUE(d().find<QLabel>("labelOrder")->text().contains(q(seen->name)));
    // The second was right at the first of them.
    const int code = i == 0 ? d1.second : d1.first;
    QTest::keyClick(&w().labelling(), static_cast<char>('0' + code));
    EXPECT_EQ(firstSaid(id), code);
  }
  d().until([&] { return !w().labelling().isVisible(); }, "the desk");
  d().settle();
  EXPECT_TRUE(told().contains("All 3 differences are settled"));
  EXPECT_TRUE(told().contains("83 %"));  // what they said is not forgotten
  EXPECT_FALSE(w().findChild<QWidget*>("settle")->isVisible());
  EXPECT_TRUE(labelling().lateChanges().empty());  // nothing was closed
  d().click("primary");
  d().until([&] { return w().labelling().isVisible(); }, "the labelling desk");
  closeLabelling();
  EXPECT_NEAR(w().book().matrix()->overall().value, 35.0 / 36, 1e-12);
}

TEST_F(AccuracyDeskWindow, AMixedPlaceHasTwoClassesAndEitherMayCount) {
  startLabelling();
  auto& desk = w().labelling();
  const int mapped = labelling().current().mapped, id = labelling().current().id;
  const int other = mapped % 9 + 1;
  QTest::keyClick(&desk, Qt::Key_M);
  EXPECT_TRUE(d().find<QPushButton>("mixed")->isChecked());
  QTest::keyClick(&desk, Qt::Key_Escape);  // not mixed after all, and still at the desk
  EXPECT_TRUE(desk.isVisible());
  EXPECT_FALSE(d().find<QPushButton>("mixed")->isChecked());
  QTest::keyClick(&desk, Qt::Key_M);
  QTest::keyClick(&desk, static_cast<char>('0' + other));
  EXPECT_EQ(labelling().labelled(), 0u);  // its second class is to come
  EXPECT_TRUE(d().find<QLabel>("labelOrder")->text().startsWith("Mixed: mostly"));
  look("mixed");
  QTest::keyClick(&desk, static_cast<char>('0' + mapped));
  EXPECT_EQ(labelling().labelled(), 1u);
  EXPECT_EQ(labelling().points()[0].reference, other);
  EXPECT_EQ(labelling().points()[0].secondary, mapped);
  for (size_t i = 1; i < 36; ++i)
    QTest::keyClick(&desk, static_cast<char>('0' + labelling().current().mapped));
  closeLabelling();
  EXPECT_NEAR(w().book().matrix()->overall().value, 35.0 / 36, 1e-12);
  d().click("eitherClass");
  EXPECT_NEAR(w().book().matrix()->overall().value, 1, 1e-12);
  look("either");
  d().click("eitherClass");
  EXPECT_NEAR(w().book().matrix()->overall().value, 35.0 / 36, 1e-12);
  EXPECT_EQ(labelling().points()[0].id, id);
}

TEST_F(AccuracyDeskWindow, TheSeasonCurveIsOfWhatOneChooses) {
  startLabelling();
  choose("seasonOf", "Vegetation");
  d().until([&] { return w().labelling().ready(); }, "the curve");
  look("season");
  const auto all = seasonQuantities(s());
  const auto at = std::find_if(all.begin(), all.end(),
                               [](const auto& one) { return one.title.startsWith("Vegetation"); });
  ASSERT_NE(at, all.end());
  ASSERT_GE(at->scenes.size(), 2u);
  EXPECT_TRUE(std::is_sorted(at->scenes.begin(), at->scenes.end(),
                             [](auto& a, auto& b) { return a.date < b.date; }));
  const Place place = labelling().current().place;
  const PixelCurves curves = curvesAt(place, w().book().crs(), {}, *at);
  qsizetype i = 0;
  for (const auto& scene : at->scenes) {
    const auto read = [&](const char* role) {
      return readBandAt({place}, w().book().crs(), scene,
                        static_cast<size_t>(scene.bandOf(role)))[0];
    };
    const double nir = read("nir"), red = read("red");
    if (std::isnan(nir) || std::isnan(red)) continue;
    EXPECT_NEAR(curves.season[i++], (nir - red) / (nir + red), 1e-6);
  }
  EXPECT_EQ(i, curves.season.size());
  // Values stand by wavelength where all bands of both scenes have one, else by band.
  Scene before = at->scenes[0], after = at->scenes[1];
  const auto pair = [&] { return curvesAt(place, w().book().crs(), {before, after}, {}); };
  ASSERT_GT(before.bands[0].wavelength, 100);
  EXPECT_TRUE(pair().byWavelength);
  EXPECT_EQ(pair().reflectances[0].along[0], before.bands[0].wavelength);
  after.bands[0].wavelength = 0;
  EXPECT_FALSE(pair().byWavelength);
  for (const auto& one : pair().reflectances) {
    ASSERT_EQ(one.bands.size(), one.along.size());
    EXPECT_LE(one.along.back(), static_cast<double>(before.bands.size()));
  }
  EXPECT_EQ(pair().reflectances[0].bands[0], q(calledBand(before.bands[0])));
  leaveDesk();
  reopen();
  w().openLabelling();
  EXPECT_TRUE(d().find<QComboBox>("seasonOf")->currentText().startsWith("Vegetation"));
}

TEST_F(AccuracyDeskWindow, EnterGoesToTheNextPointWithoutALabel) {
  startLabelling();
  auto& desk = w().labelling();
  for (int i = 0; i < 5; ++i) QTest::keyClick(&desk, Qt::Key_1);
  for (int i = 0; i < 4; ++i) QTest::keyClick(&desk, Qt::Key_Backspace);
  EXPECT_EQ(labelling().position(), 1u);
  QTest::keyClick(&desk, Qt::Key_Return);
  EXPECT_EQ(labelling().position(), 5u);
  EXPECT_EQ(labelling().labelled(), 5u);
}

TEST_F(AccuracyDeskWindow, ALabelOfABlockIsOutlinedAsOneAndTheOrderFollowsItsSeed) {
  d().settle();
  choose("labelBlock", "of the 3");
  d().find<QSpinBox>("labelSeed")->setValue(7);
  startLabelling();
  EXPECT_EQ(w().book().block(), 3);
  EXPECT_EQ(s().newest(ProductKind::Labels)->step["seed"], 7);
  look("block");
  const auto order = [&] {
    std::vector<int> ids;
    for (const auto& p : labelling().points()) ids.push_back(p.id);
    return ids;
  };
  const auto seven = order();
  leaveDesk();
  runStep({{"do", "labels"},
           {"points", s().newest(ProductKind::Points)->id},
           {"map", s().newest(ProductKind::ClassMap)->id},
           {"seed", 8},
           {"name", "Others"}});
  EXPECT_NE(order(), seven);
  EXPECT_EQ(w().book().block(), 1);
}

}  // namespace
}  // namespace zp
