#include "tour/measure.h"

#include <fmt/format.h>

#include <QtTest/QTest>
#include <atomic>
#include <thread>

#include "base/outputs.h"
#include "base/random.h"
#include "grid/raster_writer.h"
#include "tour/driver.h"
#include "tour/frames.h"
#include "tour/measure_many.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

constexpr int kWidth = 12000, kHeight = 10000;

/// Fields of 80 pixels with some noise, in three bands, with overviews.
void makeScene(const fs::path& file) {
  RasterSpec spec;
  spec.grid.width = kWidth, spec.grid.height = kHeight;
  spec.grid.transform = {400000, 10, 0, 6000000, 0, -10};
  spec.grid.georeferenced = true;
  spec.grid.crs = crsFrom("EPSG:32627");
  spec.type = NumberType::UInt16;
  for (const char* role : {"green", "red", "nir"}) {
    spec.bands.emplace_back();
    spec.bands.back().name = role;
    spec.bands.back().scale = 0.0001;
  }
  Outputs outputs(true);
  const fs::path temporary = outputs.add(file);
  RasterWriter writer(temporary, spec);
  std::vector<uint16_t> values;
  for (int y = 0; y < kHeight; y += 256) {
    const Window w{0, y, kWidth, std::min(256, kHeight - y)};
    values.resize(w.pixels());
    for (uint64_t b = 0; b < 3; ++b) {
      for (size_t i = 0; i < values.size(); ++i) {
        const auto x = i % kWidth, row = static_cast<size_t>(y) + i / kWidth;
        const uint64_t field = mix(mix(x / 80, row / 80), b) % 3000;
        values[i] = static_cast<uint16_t>(600 + field + mix(i + row, b) % 150);
      }
      writer.writeCodes(static_cast<int>(b) + 1, w, values);
    }
  }
  writer.finish();
  addOverviews(temporary, false);
  outputs.commit();
}

void send(MapView& view, QEvent::Type type, QPointF at, Qt::MouseButtons held) {
  QMouseEvent e(type, at, view.mapToGlobal(at),
                type == QEvent::MouseMove ? Qt::NoButton : Qt::LeftButton, held, Qt::NoModifier);
  QCoreApplication::sendEvent(&view, &e);
}

std::vector<double> panned(MapView& view) {
  const QPointF from(600, 300);
  send(view, QEvent::MouseButtonPress, from, Qt::LeftButton);
  auto times = frames(view, 150, [&](int i) {
    send(view, QEvent::MouseMove, from - QPointF(6.0 * i * (i % 300 < 150 ? 1 : -1), 2.0 * i),
         Qt::LeftButton);
  });
  send(view, QEvent::MouseButtonRelease, from, Qt::NoButton);
  return times;
}

std::vector<double> zoomed(MapView& view) {
  return frames(view, 80, [&](int i) {
    const QPointF at(400, 240);
    QWheelEvent e(at, view.mapToGlobal(at), {}, QPoint(0, i < 40 ? 120 : -120), Qt::NoButton,
                  Qt::NoModifier, Qt::NoScrollPhase, false);
    QCoreApplication::sendEvent(&view, &e);
  });
}

/// From a key in the formula to its whole picture on the visible part.
std::vector<double> previews(Driver& driver) {
  driver.stage(1);
  driver.settle();
  auto& view = driver.window().view();
  std::vector<double> times;
  QElapsedTimer clock;
  auto* edit = driver.find<QPlainTextEdit>("formula");
  for (int i = 1; i <= 9; ++i) {
    const QString before = view.front().key;
    clock.start();
    edit->setPlainText(QString("(nir - red) / (nir + red + 0.%1)").arg(i));
    driver.until([&] { return view.front().key != before && view.anything(); }, "the preview");
    driver.until([&] { return view.complete(); }, "all of the preview");
    times.push_back(static_cast<double>(clock.nsecsElapsed()) / 1e6);
  }
  return times;
}

/// From a key in a parameter of maximum likelihood to the whole map of the visible part.
std::vector<double> mapPreviews(Driver& driver) {
  driver.stage(3);
  driver.settle();
  auto& view = driver.window().view();
  driver.click("moreSettings");
  driver.settle();
  auto* reject = driver.find<QLineEdit>("reject");
  std::vector<double> times;
  QElapsedTimer clock;
  for (int i = 0; i < 10; ++i) {
    const QString before = view.front().key;
    clock.start();
    reject->setText(QString::number(4 + i));
    driver.until([&] { return view.front().key != before && view.anything(); }, "the map tried");
    driver.until([&] { return view.complete(); }, "all of the map tried");
    if (i > 0) times.push_back(static_cast<double>(clock.nsecsElapsed()) / 1e6);  // samples drawn
  }
  return times;
}

/// From a move of the pointer over the view to the answer of the probe.
std::vector<double> probed(Driver& driver) {
  auto& view = driver.window().view();
  auto* probe = driver.window().findChild<Probe*>("probe");
  std::vector<double> times;
  QElapsedTimer clock;
  for (int i = 0; i < 100; ++i) {
    bool answered = false;
    const auto one =
        QObject::connect(probe, &Probe::answered, probe, [&answered] { answered = true; });
    const QPointF at(20 + (i * 131) % (view.width() - 40), 20 + (i * 71) % (view.height() - 40));
    clock.start();
    send(view, QEvent::MouseMove, at, Qt::NoButton);
    driver.until([&] { return answered; }, "the probe");
    times.push_back(static_cast<double>(clock.nsecsElapsed()) / 1e6);
    QObject::disconnect(one);
  }
  return times;
}

/// The longest time that a thread which only sleeps a millisecond is away: what the machine itself
/// holds threads back, as a yardstick.
class Sleeper {
 public:
  /// In ms, so far.
  double longest() const { return longest_; }

 private:
  std::atomic<double> longest_ = 0;
  std::jthread thread_{[this](const std::stop_token& stop) {
    QElapsedTimer clock;
    while (!stop.stop_requested()) {
      clock.start();
      std::this_thread::sleep_for(std::chrono::milliseconds(1));
      longest_ = std::max(longest_.load(), static_cast<double>(clock.nsecsElapsed()) / 1e6);
    }
  }};
};

struct Hold {
  double window = 0, sleeper = 0;  // ms
};

/// The longest time between two beats of the window's thread while a job runs.
Hold longestHold(Driver& driver) {
  QElapsedTimer clock;
  double longest = 0;
  const Sleeper sleeper;
  QTimer beat;
  QObject::connect(&beat, &QTimer::timeout, [&] {
    longest = std::max(longest, static_cast<double>(clock.nsecsElapsed()) / 1e6);
    clock.start();
  });
  auto& bench = driver.window().bench();
  bench.run({{"do", "index"},
             {"scene", bench.currentScene()->id},
             {"formula", "ndiff(nir, red)"},
             {"name", "Measured"}},
            "Measured");
  clock.start();
  beat.start(0);
  driver.until([&] { return !bench.jobs().busy(); }, "the index");
  beat.stop();
  return {longest, sleeper.longest()};
}

void measureBig(Driver& driver, const QDir& folder) {
  auto& w = driver.window();
  const fs::path file = folder.filePath("scene.tif").toStdString();
  if (!fs::exists(file)) {
    fmt::print("A scene of {} million pixels is made in {}…\n", kWidth / 1000 * kHeight / 1000,
               file.string());
    makeScene(file);
  }
  const QString study = folder.filePath("study");
  QDir(study).removeRecursively();
  if (!w.bench().create(study, "Measured")) throw std::runtime_error("no study could be made");
  auto& view = w.view();
  QElapsedTimer clock;
  clock.start();
  w.bench().bringIn({q(file.string())});
  driver.until([&] { return view.anything(); }, "the first picture");
  report("First picture of 120 Mpx", static_cast<double>(clock.elapsed()), "ms", 1000);
  driver.settle();
  report("  all of it, at full sharpness", static_cast<double>(clock.elapsed()), "ms", 5000);
  view.setCentre(view.centre(), 40);
  driver.settle();
  const auto pan = panned(view);
  report("Panning, 95th percentile of a frame", highest(pan, 0.95), "ms", 33);
  view.setCentre(view.centre(), 40);
  driver.settle();
  report("Zooming, 95th percentile of a frame", highest(zoomed(view), 0.95), "ms", 33);
  driver.settle();
  report("The probe's answer, 95th percentile", highest(probed(driver), 0.95), "ms", 50);
  const auto typed = previews(driver);
  report("A formula's picture on the visible part, median of nine", highest(typed, 0.5), "ms", 150);
  report("  the slowest of them", highest(typed, 1), "ms", 150);
  const Hold hold = longestHold(driver);
  report("Longest hold of the window while an index is made", hold.window, "ms", 100);
  report("  of a thread that only sleeps, meanwhile", hold.sleeper, "ms", 100);
}

void madeBy(Driver& driver, const Json& step) {
  auto& bench = driver.window().bench();
  const size_t before = bench.study().products.size();
  bench.run(step, "Measured");
  driver.until([&] { return bench.study().products.size() > before; }, "a step");
  driver.until([&] { return !bench.jobs().busy(); }, "its end");
}

/// The scene read at 100 000 points, in a sheet.
void measureTable(Driver& driver) {
  auto& w = driver.window();
  auto& bench = w.bench();
  madeBy(driver, {{"do", "points"},
                  {"plan", "random"},
                  {"over", bench.currentScene()->id},
                  {"count", 100'000},
                  {"seed", 1},
                  {"name", "Points"}});
  madeBy(driver, {{"do", "readings"},
                  {"points", bench.study().products.back().id},
                  {"from", {bench.currentScene()->id, bench.study().products[0].id}},
                  {"name", "Readings"}});
  QElapsedTimer clock;
  const auto ready = [&](const char* what, double most, const std::function<void()>& act) {
    clock.start();
    act();
    driver.until([&] { return w.table().isVisible() && w.table().ready(); }, what);
    report(what, static_cast<double>(clock.elapsed()), "ms", most);
  };
  ready("A table of 100 000 rows is open, with its chart", 1000,
        [&] { w.openTable(q(bench.study().products.back().id)); });
  auto& rows = w.table().rows();
  auto* area = rows.viewport();
  const auto scrolled = frames(*area, 150, [&](int i) {
    const QPointF at(200, 60);
    QWheelEvent e(at, area->mapToGlobal(at), {}, QPoint(0, i % 50 < 40 ? -360 : 360), Qt::NoButton,
                  Qt::NoModifier, Qt::NoScrollPhase, false);
    QCoreApplication::sendEvent(area, &e);
  });
  report("  scrolling it, 95th percentile of a frame", highest(scrolled, 0.95), "ms", 33);
  auto* bar = rows.verticalScrollBar();
  const auto dragged = frames(*area, 100, [&](int i) { bar->setValue(bar->maximum() / 100 * i); });
  report("  dragging its scroll bar, 95th percentile", highest(dragged, 0.95), "ms", 33);
  ready("  its rows in another order", 500,
        [&] { w.table().book().sortBy(w.table().book().whole().names().back(), false); });
  clock.start();
  rows.selectAll();
  QCoreApplication::processEvents();
  report("  all of them chosen", static_cast<double>(clock.elapsed()), "ms", 500);
}

}  // namespace

int runMeasure(MainWindow& window, const QString& folder, const QElapsedTimer& started) {
  try {
    Driver driver(window);
    if (window.bench().hasStudy()) {
      driver.until([&] { return window.view().anything(); }, "the first picture");
      report("Usable after its start, on the study named", static_cast<double>(started.elapsed()),
             "ms", 1000);
      if (!window.bench().study().training.empty()) {
        const auto tried = mapPreviews(driver);
        report("A trained map on the visible part, median of nine", highest(tried, 0.5), "ms", 300);
        report("  the slowest of them", highest(tried, 1), "ms", 300);
      }
    }
    if (!QDir().mkpath(folder)) throw std::runtime_error("the folder cannot be made");
    measureMany(driver, QDir(folder));
    measureBig(driver, QDir(folder));
    measureTable(driver);
    return 0;
  } catch (const std::exception& e) {
    fmt::print(stderr, "Measuring stopped: {}\n", e.what());
    return 1;
  }
}

}  // namespace zp
