#include <QElapsedTimer>
#include <QSettings>

#include "grid/gdal_start.h"
#include "look/look.h"
#include "shell/application.h"
#include "shell/command_line.h"
#include "shell/main_window.h"
#include "tour/measure.h"
#include "tour/tour.h"
#include "walk/walk.h"

int main(int argc, char** argv) {
  QElapsedTimer started;
  started.start();
  zp::CommandLine line;
  if (const auto status = line.answer(argc, argv)) return *status;
  const zp::Application app(argc, argv);
  QApplication::setApplicationName("zany-patch");
  QApplication::setApplicationVersion(ZP_VERSION);
  QApplication::setApplicationDisplayName("Zany Patch");
  QApplication::setOrganizationName("zany-patch");
  QApplication::setDesktopFileName("zany-patch");
  zp::startGdal();
  QString wanted =
      line.has("look") ? line.value("look") : QSettings().value("look", "dusk").toString();
  QStringList paths = line.paths();
  QByteArray geometry;
  int result = 0;
  do {
    const QString language = QSettings().value("language").toString();
    zp::speak(language.isEmpty() ? QLocale::system().uiLanguages() : QStringList{language},
              zp::languageFolders());
    zp::applyLook(wanted);
    zp::MainWindow window;
    if (!geometry.isEmpty()) window.restoreGeometry(geometry);
    window.show();
    window.openOrBringIn(paths);
    if (line.has("walk")) window.walk().offer();
    if (line.has("tour")) return zp::runTour(window, line.value("tour"), line.value("truth"));
    if (line.has("measure")) return zp::runMeasure(window, line.value("measure"), started);
    const QString kept = QSettings().value("look", "dusk").toString();
    result = QApplication::exec();
    geometry = window.saveGeometry();
    paths.clear();
    if (window.bench().hasStudy())
      paths << QString::fromStdString(window.bench().study().folder().string());
    window.close();
    // One that was named stays until another is chosen.
    if (const QString look = QSettings().value("look", "dusk").toString(); look != kept)
      wanted = look;
  } while (result == zp::kAnotherLook);
  return result;
}
