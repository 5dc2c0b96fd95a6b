#include "tour/tour.h"

#include <fmt/format.h>

#include <QtTest/QTest>

#include "base/random.h"
#include "sampling/readings.h"
#include "shell/main_window.h"

namespace zp {
namespace {

struct Tourist {
  MainWindow& window;
  QDir folder;

  void until(const std::function<bool()>& condition, const char* what) {
    if (!QTest::qWaitFor(condition, 120000)) throw std::runtime_error(std::string("waited in vain for ") + what);
  }
  void settle() {
    until([this] { return window.settled(); }, "the window to settle");
    QTest::qWait(30);  // lets the last painted tiles reach the screen
    until([this] { return window.settled(); }, "the window to settle");
  }
  template <class W = QPushButton>
  W* find(const QString& name) {
    for (auto* w : window.findChildren<W*>(name))
      if (w->isVisible()) return w;
    throw std::runtime_error("there is no " + name.toStdString());
  }
  void click(const QString& name) { QTest::mouseClick(find<QPushButton>(name), Qt::LeftButton); }
  void stage(int i) {
    QTest::mouseClick(&window.trail(), Qt::LeftButton, {}, window.trail().stationRect(i).center());
    settle();
  }
  void shot(const QString& name) {
    settle();
    QCoreApplication::processEvents();
    const QString file = folder.filePath(name + ".png");
    if (!window.grab().save(file)) throw std::runtime_error("the picture could not be written: " + file.toStdString());
    fmt::print("  {}\n", file.toStdString());
  }
  size_t products() { return window.bench().study().products.size(); }
  void make(const QString& button, const char* what) {
    const size_t before = products();
    click(button);
    until([&] { return products() > before && !window.bench().jobs().busy(); }, what);
    settle();
  }
};

/// The class at a point, with a slip in one of fourteen.
int labelFor(const ValidationPoint& p, const std::string& crs, const std::string& truth, const Legend& legend) {
  const double v = readAt({p.place}, crs, {{truth, 1, "truth"}}).values[0][0];
  const uint64_t r = mix(static_cast<uint64_t>(p.id), 5);
  const int code = std::isnan(v) ? legend.classes.front().code : static_cast<int>(v);
  if (r % 14 != 0) return code;
  return legend.classes[(r >> 8) % legend.classes.size()].code;
}

void wholeJob(Tourist& t, const QString& truth) {
  auto& w = t.window;
  t.stage(0);
  t.click("composite-natural");
  t.shot("1-scenes");
  t.click("composite-vegetation");

  t.stage(1);
  t.click("index-vegetation");
  t.until([&] { return w.view().front().of == "preview"; }, "the preview");
  t.make("primary", "the index");
  t.until([&] { return t.find<ThresholdChart>("thresholdChart")->cuts().size() == 1; }, "the histogram");
  t.click("addCut");
  QTest::mouseClick(t.find<QToolButton>("curtain"), Qt::LeftButton);
  t.shot("2-indices");
  t.make("primary", "the class map");

  t.stage(2);
  if (w.bench().study().training.empty())
    w.training().importFrom(q((w.bench().study().folder() / "outlines" / "outlines.gpkg").string()) + ":training", "code", "class", "subclass");
  QTest::mouseClick(t.find<QToolButton>("curtain"), Qt::LeftButton);
  Q_EMIT w.training().productAsked(q(w.bench().currentScene()->id));
  auto* classes = t.find<QTableWidget>("classTable");
  t.until([&] { return classes->item(3, 2)->text() != "–"; }, "the signatures");
  QTest::mouseClick(classes->viewport(), Qt::LeftButton, {}, classes->visualItemRect(classes->item(3, 0)).center());
  t.shot("3-training");

  t.stage(3);
  t.click("method-maximum-likelihood");
  t.make("primary", "the map");
  t.shot("4-mapping");

  t.stage(4);
  t.until([&] { return t.find<QLabel>("planned")->text().contains("on the view"); }, "the plan");
  t.make("primary", "the points");
  t.make("readGo", "the readings");
  t.shot("5-sampling");

  t.stage(5);
  t.shot("6-accuracy");
  t.click("primary");
  t.until([&] { return w.labelling().isVisible() && !w.book().none(); }, "the labelling desk");
  t.settle();
  auto& book = w.book();
  const size_t n = book.labelling().points().size();
  for (size_t i = 0; i < n; ++i) {
    const auto& p = book.labelling().current();
    const int code = labelFor(p, book.crs(), truth.toStdString(), w.bench().study().legend);
    const auto& all = w.bench().study().legend.classes;
    for (size_t k = 0; k < all.size(); ++k)
      if (all[k].code == code) QTest::keyClick(&w.labelling(), LabellingSheet::keyOf(k)[0].toLatin1());
    if (i == n / 3) t.shot("7-labelling");
  }
  t.click("closeLabelling");
  t.until([&] { return w.matrix().isVisible(); }, "the matrix");
  t.shot("8-matrix");
  w.matrix().writeCsv(t.folder.filePath("confusion-matrix.csv"));
  t.click("showPoints");
  t.shot("9-points");
}

}  // namespace

int runTour(MainWindow& window, const QString& folder, const QString& truth) {
  try {
    if (!QDir().mkpath(folder)) throw std::runtime_error("the folder cannot be made");
    if (!window.bench().hasStudy()) throw std::runtime_error("no study is open");
    Tourist tourist{window, QDir(folder)};
    tourist.settle();
    wholeJob(tourist, truth);
    fmt::print("Overall accuracy: {}\n", window.trail().stations()[5].figure.toStdString());
    return 0;
  } catch (const std::exception& e) {
    fmt::print(stderr, "The tour stopped: {}\n", e.what());
    return 1;
  }
}

}  // namespace zp
