#include "tour/tour.h"

#include <fmt/format.h>

#include <QtTest/QTest>

#include "base/random.h"
#include "desks/class_key.h"
#include "sampling/readings.h"
#include "shell/main_window.h"
#include "tour/driver.h"

namespace zp {
namespace {

void shot(Driver& driver, const QDir& folder, const QString& name) {
  driver.settle();
  const QString file = folder.filePath(name + ".png");
  if (!driver.window().grab().save(file))
    throw std::runtime_error("the picture could not be written: " + file.toStdString());
  fmt::print("  {}\n", file.toStdString());
}

/// Points at a place of the view, so that the probe tells of it.
void pointAt(Driver& driver, double across, double down) {
  auto& view = driver.window().view();
  auto* probe = driver.find<Probe>("probe");
  QTest::mouseMove(&view, QPoint(static_cast<int>(across * view.width()),
                                 static_cast<int>(down * view.height())));
  const auto told = [&] { return probe->text().contains(view.front().title); };
  driver.until(told, "the probe");
}

/// Points of which one in `slips` gets any class; 0: none.
int labelFor(const ValidationPoint& p, const std::string& crs, const std::string& truth,
             const Legend& legend, uint64_t slips) {
  const double v = readAt({p.place}, crs, {{truth, 1, "truth"}}).values[0][0];
  const uint64_t r = mix(static_cast<uint64_t>(p.id), 5);
  const int code = std::isnan(v) ? legend.classes.front().code : static_cast<int>(v);
  if (slips == 0 || r % slips != 0) return code;
  return legend.classes[(r >> 8) % legend.classes.size()].code;
}

/// Every point of the desk, by its keys, for somebody who looks at each until the next has been
/// read ahead. Tells after what time the next point was there.
void labelAll(Driver& t, const QString& truth, uint64_t slips, const std::function<void()>& third) {
  auto& w = t.window();
  const auto& book = w.book();
  const auto& classes = w.bench().study().legend.classes;
  const size_t n = book.worked().points().size();
  std::vector<double> pictures, all;
  QElapsedTimer clock;
  const auto elapsed = [&] { return static_cast<double>(clock.nsecsElapsed()) / 1e6; };
  for (size_t i = 0; i < n; ++i) {
    const int code = labelFor(book.worked().current(), book.crs(), truth.toStdString(),
                              w.bench().study().legend, slips);
    size_t k = 0;
    while (k + 1 < classes.size() && classes[k].code != code) ++k;
    clock.start();
    QTest::keyClick(&w.labelling(), keyOfClass(k)[0].toLatin1());
    t.until([&] { return w.labelling().painted(); }, "the next point");
    pictures.push_back(elapsed());
    t.until([&] { return w.labelling().ready(); }, "its curves");
    all.push_back(elapsed());
    t.until([&] { return w.labelling().readAhead(); }, "the point after it");
    if (i == n / 3) third();
  }
  for (auto [what, times] : {std::pair{"its pictures", &pictures}, {"with its curves", &all}}) {
    std::sort(times->begin(), times->end());
    fmt::print("Next point to label, {}: {:.0f} ms in the middle, 95 of 100 within {:.0f} ms\n",
               what, (*times)[n / 2], (*times)[n * 95 / 100]);
  }
}

/// A labeller without slips, and one with some for a fifth of the points.
void labelByTwo(Driver& t, const QDir& folder, const QString& truth) {
  auto& w = t.window();
  labelAll(t, truth, 0, [&] { shot(t, folder, "7-labelling"); });
  t.click("pauseLabelling");
  t.settle();
  t.click("askSecond");
  QTest::keyClicks(t.find<QLineEdit>("secondName"), "B. Labeller");
  t.find<QComboBox>("secondShare")->setCurrentIndex(2);
  t.click("startSecond");
  t.until([&] { return w.labelling().isVisible() && w.labelling().ready(); }, "the second's desk");
  labelAll(t, truth, 9, [] {});
  t.click("closeLabelling");
  t.settle();
  const auto agreement = w.book().agreement();
  fmt::print("Two labellers agree at {} of {} points\n", agreement->matrix.right(),
             agreement->matrix.total());
  const size_t open = agreement->open();
  if (open > 0) t.click("settle");
  t.settle();
  for (size_t i = 0; i < open; ++i) {
    const int code = w.book().labelling().current().reference;  // the first made no slips
    QTest::mouseClick(t.find<QPushButton>(QString("key-%1").arg(code)), Qt::LeftButton);
  }
  t.until([&] { return !w.labelling().isVisible(); }, "all settled");
  t.settle();
  t.click("primary");
  t.until([&] { return w.labelling().isVisible(); }, "the desk again");
}

/// A map without training: clusters, and what they are.
void nameClusters(Driver& t, const QDir& folder) {
  auto& w = t.window();
  t.click("clusteredMap");
  t.settle();
  t.make("primary", "the clusters");
  t.click("nameClusters");
  t.until([&] { return w.naming().isVisible() && w.naming().ready(); }, "the naming board");
  t.settle();
  t.click("takeNearest");
  auto* list = t.find<ClusterList>("clusterList");
  list->choose(3);
  shot(t, folder, "17-naming-board");
  for (const auto& row : list->rows())
    if (!row.is) {
      list->choose(row.code);
      QTest::keyClick(list, Qt::Key_0);
    }
  t.make("makeNamed", "the map of named clusters");
}

/// One date by maximum likelihood, then two and the radar season by a forest and support vectors.
void makeMaps(Driver& t, const QDir& folder) {
  auto& w = t.window();
  t.click("trainedMap");
  t.settle();
  t.click("method-maximum-likelihood");
  t.make("primary", "the map");
  const QString first = q(w.bench().study().products.back().id);
  const auto& scenes = w.bench().study().scenes;
  const std::string year = w.bench().currentScene()->scene.date.substr(0, 4);
  for (const auto& s : scenes)
    if (s.id != w.bench().currentScene()->id && !s.scene.isRadar() &&
        s.scene.sensor == w.bench().currentScene()->scene.sensor &&
        s.scene.date.substr(0, 4) == year)
      t.click("group-scene-" + q(s.id));
  t.click("group-radar");
  t.settle();
  t.click("method-support-vectors");
  t.make("primary", "the map by support vectors");
  t.click("method-random-forest");
  QTest::mouseClick(t.find<QToolButton>("curtain"), Qt::LeftButton);
  t.until([&] { return w.findChild<QLabel*>("unlikeShare")->isVisible(); }, "what is a guess");
  t.click<QCheckBox>("hatchGuess");
  pointAt(t, 0.7, 0.4);
  QTest::mouseClick(t.find<QToolButton>("curtain"), Qt::LeftButton);
  t.make("primary", "the map by a forest");
  QTest::mouseClick(t.find<QToolButton>("curtain"), Qt::LeftButton);
  Q_EMIT w.findChild<MappingDesk*>()->behindAsked(first);
  pointAt(t, 0.7, 0.4);
  shot(t, folder, "4-mapping");
  QTest::mouseClick(t.find<QToolButton>("curtain"), Qt::LeftButton);
}

/// Longer than a function may be: the job from its start to its end, in its order.
void wholeJob(Driver& t, const QDir& folder, const QString& truth) {
  auto& w = t.window();
  t.stage(0);
  t.click("composite-natural");
  shot(t, folder, "1-scenes");
  t.click("composite-vegetation");

  t.stage(1);
  t.click("index-vegetation");
  t.until([&] { return w.view().front().of == "preview"; }, "the preview");
  t.make("primary", "the index");
  t.until([&] { return t.find<ThresholdChart>("thresholdChart")->cuts().size() == 1; },
          "the histogram");
  t.click("addCut");
  QTest::mouseClick(t.find<QToolButton>("curtain"), Qt::LeftButton);
  pointAt(t, 0.62, 0.45);
  shot(t, folder, "2-indices");
  t.make("primary", "the class map");

  t.stage(2);
  if (w.bench().study().training.empty())
    w.training().areas().importFrom(
        q((w.bench().study().folder() / "outlines" / "outlines.gpkg").string()) + ":training",
        "code", "class", "subclass");
  QTest::mouseClick(t.find<QToolButton>("curtain"), Qt::LeftButton);
  Q_EMIT w.training().productAsked(q(w.bench().currentScene()->id));
  auto* classes = t.find<QTableWidget>("classTable");
  t.until([&] { return classes->item(3, 2)->text() != "–"; }, "the signatures");
  QTest::mouseClick(classes->viewport(), Qt::LeftButton, {},
                    classes->visualItemRect(classes->item(6, 0)).center());
  shot(t, folder, "3-training");
  t.click("openSignatures");
  auto* closer = t.find<QTableWidget>("sheetClasses");
  closer->selectRow(closer->rowCount() - 1);
  t.find<QTableWidget>("sheetAreas")->selectRow(0);
  shot(t, folder, "19-signatures");
  t.click("leaveSignatures");

  t.stage(3);
  nameClusters(t, folder);
  makeMaps(t, folder);

  t.stage(4);
  t.until([&] { return t.find<QLabel>("planned")->text().contains("on the view"); }, "the plan");
  t.make("primary", "the points");
  shot(t, folder, "5-sampling");
  t.click("pageReadings");
  t.make("primary", "the readings");

  t.stage(5);
  t.click("planPoints");
  t.until([&] { return w.plan().isVisible() && w.plan().ready(); }, "the validation plan");
  shot(t, folder, "6-validation-plan");
  t.click("planBack");
  t.click("primary");
  t.until([&] { return w.labelling().isVisible() && !w.book().none(); }, "the labelling desk");
  t.settle();
  labelByTwo(t, folder, truth);
  t.click("closeLabelling");
  t.until([&] { return w.matrix().isVisible(); }, "the matrix");
  shot(t, folder, "8-matrix");
  w.matrix().writeCsv(folder.filePath("confusion-matrix.csv"));
  t.click("report");
  w.matrix().report().write(folder.absolutePath());
  t.until([&] { return w.findChild<QWidget*>("openReport")->isVisible(); }, "the report");
  t.click("compareMaps");
  t.until([&] { return w.comparison().isVisible() && w.comparison().ready(); }, "the comparison");
  shot(t, folder, "18-comparison");
  t.click("comparisonBack");
  t.click("showPoints");
  shot(t, folder, "9-points");
}

}  // namespace

int runTour(MainWindow& window, const QString& folder, const QString& truth) {
  try {
    if (!QDir().mkpath(folder)) throw std::runtime_error("the folder cannot be made");
    if (!window.bench().hasStudy()) throw std::runtime_error("no study is open");
    Driver driver(window);
    driver.settle();
    wholeJob(driver, QDir(folder), truth);
    fmt::print("Overall accuracy: {}\n", window.trail().stations()[5].figure.toStdString());
    return 0;
  } catch (const std::exception& e) {
    fmt::print(stderr, "The tour stopped: {}\n", e.what());
    return 1;
  }
}

}  // namespace zp
