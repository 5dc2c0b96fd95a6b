#include <QElapsedTimer>
#include <QSettings>

#include "grid/gdal_start.h"
#include "look/look.h"
#include "shell/application.h"
#include "shell/command_line.h"
#include "shell/main_window.h"
#include "shell/text_size.h"
#include "tour/measure.h"
#include "tour/tour.h"
#include "walk/walk.h"

namespace {

/// What goes from one window to the next, where it is built again in another look.
struct Kept {
  QStringList paths;
  QByteArray geometry;
  QString look;
};

/// A window until it is left: by closing it, or to be built again.
int runWindow(const zp::CommandLine& line, Kept& kept, const QElapsedTimer& started) {
  const QString language = QSettings().value("language").toString();
  zp::speak(language.isEmpty() ? QLocale::system().uiLanguages() : QStringList{language},
            zp::languageFolders());
  zp::applyLook(kept.look);
  zp::MainWindow window;
  if (!kept.geometry.isEmpty()) window.restoreGeometry(kept.geometry);
  window.show();
  window.openOrBringIn(kept.paths);
  if (line.has("walk")) window.walk().offer();
  if (line.has("tour")) return zp::runTour(window, line.value("tour"), line.value("truth"));
  if (line.has("measure")) return zp::runMeasure(window, line.value("measure"), started);
  const QString before = QSettings().value("look", "dusk").toString();
  const int result = QApplication::exec();
  kept.geometry = window.saveGeometry();
  kept.paths.clear();
  if (window.bench().hasStudy())
    kept.paths << QString::fromStdString(window.bench().study().folder().string());
  window.close();
  // One that was named stays until another is chosen.
  if (const QString look = QSettings().value("look", "dusk").toString(); look != before)
    kept.look = look;
  return result;
}

}  // namespace

int main(int argc, char** argv) {
  QElapsedTimer started;
  started.start();
  zp::CommandLine line;
  if (const auto status = line.answer(argc, argv)) return *status;
  QApplication::setApplicationName("zany-patch");
  QApplication::setApplicationVersion(ZP_VERSION);
  QApplication::setApplicationDisplayName("Zany Patch");
  QApplication::setOrganizationName("zany-patch");
  QApplication::setDesktopFileName("zany-patch");
  zp::startGdal();
  Kept kept{line.paths(),
            {},
            line.has("look") ? line.value("look") : QSettings().value("look", "dusk").toString()};
  int result = 0;
  do {
    zp::useTextSize();
    const int size = zp::textSize();
    const zp::Application app(argc, argv);
    do result = runWindow(line, kept, started);
    while (result == zp::kAnotherLook && zp::textSize() == size);
    if (zp::textSize() != size) kept.geometry.clear();
  } while (result == zp::kAnotherLook);
  return result;
}
