#include "tour/measure_many.h"

#include "base/outputs.h"
#include "base/random.h"
#include "grid/raster_writer.h"
#include "legend/class_map.h"
#include "tour/driver.h"
#include "tour/frames.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

constexpr int kScenes = 200, kProducts = 500, kSide = 400;

Grid gridOfAll() {
  Grid grid;
  grid.width = grid.height = kSide;
  grid.transform = {400000, 10, 0, 6000000, 0, -10};
  grid.georeferenced = true;
  grid.crs = crsFrom("EPSG:32627");
  return grid;
}

fs::path writeScene(const fs::path& file, uint64_t seed) {
  RasterSpec spec;
  spec.grid = gridOfAll();
  spec.type = NumberType::UInt16;
  for (const char* role : {"green", "red", "nir"}) {
    spec.bands.emplace_back();
    spec.bands.back().name = role;
    spec.bands.back().scale = 0.0001;
  }
  RasterWriter writer(file, spec);
  std::vector<uint16_t> values(spec.grid.pixels());
  for (uint64_t b = 0; b < 3; ++b) {
    for (size_t i = 0; i < values.size(); ++i)
      values[i] =
          static_cast<uint16_t>(500 + mix(mix(i % kSide / 20, i / kSide / 20), b + seed) % 4000);
    writer.writeCodes(static_cast<int>(b) + 1, {0, 0, kSide, kSide}, values);
  }
  writer.finish();
  return file;
}

/// Products by the steps that make them: indices, and class maps of them.
void addProducts(Study& study) {
  for (int i = 0; i < kProducts; i += 2) {
    const auto& scene = study.scenes[static_cast<size_t>(i / 2 % kScenes)];
    const std::string of = fmt::format("{}, {}", scene.scene.name, i / 2 / kScenes + 1);
    const std::string index = study.addProduct(runStep(study,
                                                       {{"do", "index"},
                                                        {"scene", scene.id},
                                                        {"formula", "ndiff(nir, red)"},
                                                        {"name", "Index " + of}},
                                                       Progress()));
    study.addProduct(runStep(
        study,
        {{"do", "threshold"},
         {"product", index},
         {"at", {0.2}},
         {"classes",
          {{{"name", "Low"}, {"colour", "#b09a70"}}, {{"name", "High"}, {"colour", "#1e6b3a"}}}},
         {"name", "Map " + of}},
        Progress()));
  }
}

void makeStudy(const fs::path& folder) {
  fmt::print("A study of {} scenes and {} products is made in {}…\n", kScenes, kProducts,
             folder.string());
  fs::remove_all(folder);
  const fs::path part = folder.string() + ".part";
  fs::remove_all(part);
  {
    Study study = Study::create(part, "Many");
    fs::create_directories(part / "scenes");
    for (int i = 0; i < kScenes; ++i) {
      const QDate date = QDate(2024, 1, 4).addDays(11 * i);
      const std::string day = date.toString(Qt::ISODate).toStdString();
      Scene scene =
          openScene(writeScene(part / "scenes" / (day + ".tif"), static_cast<uint64_t>(i)));
      scene.name = "Scene " + day;
      scene.date = day;
      study.addScene(std::move(scene));
    }
    addProducts(study);
    study.save();
  }
  fs::rename(part, folder);
}

void wheel(QWidget& at, int by) {
  const QPointF middle = at.rect().center();
  QWheelEvent e(middle, at.mapToGlobal(middle), {}, QPoint(0, by), Qt::NoButton, Qt::NoModifier,
                Qt::NoScrollPhase, false);
  QCoreApplication::sendEvent(&at, &e);
}

}  // namespace

void measureMany(Driver& driver, const QDir& folder) {
  auto& w = driver.window();
  const fs::path study = folder.filePath("many").toStdString();
  if (!fs::exists(study / "study.json")) makeStudy(study);
  w.bench().close();
  driver.settle();
  QElapsedTimer clock;
  const auto elapsed = [&] { return static_cast<double>(clock.nsecsElapsed()) / 1e6; };
  clock.start();
  if (!w.bench().open(q(study.string())))
    throw std::runtime_error("the study of many is not opened");
  driver.until([&] { return w.view().anything(); }, "the first picture");
  QCoreApplication::processEvents();
  report("A study of 200 scenes and 500 products is open", elapsed(), "ms", 2000);
  driver.settle();
  auto* shelf = w.findChild<Shelf*>();
  auto* area = shelf->findChild<QScrollArea*>();
  const auto scrolled =
      frames(*shelf, 150, [&](int i) { wheel(*area->viewport(), i % 50 < 40 ? -360 : 360); });
  report("  scrolling its shelf, 95th percentile of a frame", highest(scrolled, 0.95), "ms", 33);
  driver.stage(0);
  driver.settle();
  auto* line = driver.find<QWidget>("timeLine");
  const auto chosen = frames(
      *line, 60, [&](int i) { QTest::keyClick(line, i % 30 < 20 ? Qt::Key_Left : Qt::Key_Right); });
  report("  from scene to scene on its time line, in the middle", highest(chosen, 0.5), "ms", 100);
  report("  from scene to scene on its time line, 95th percentile", highest(chosen, 0.95), "ms",
         100);
  driver.settle();
  std::vector<double> stages;
  for (const int stage : {1, 2, 3, 4, 5, 0}) {
    clock.start();
    driver.stage(stage);
    QCoreApplication::processEvents();
    stages.push_back(elapsed());
    driver.settle();
  }
  report("  going to a stage of it, the slowest", highest(stages, 1), "ms", 200);
  clock.start();
  const Product& last = w.bench().study().products.back();
  w.bench().renameProduct(q(last.id), q(last.name) + "'");
  QCoreApplication::processEvents();
  report("  a change of it, saved and shown", elapsed(), "ms", 200);
  w.bench().close();
}

}  // namespace zp
