#include <QApplication>
#include <QCommandLineParser>
#include <QSettings>

#include "grid/gdal_start.h"
#include "look/look.h"
#include "shell/main_window.h"
#include "tour/tour.h"

int main(int argc, char** argv) {
  QApplication app(argc, argv);
  QApplication::setApplicationName("zany-patch");
  QApplication::setApplicationDisplayName("Zany Patch");
  QApplication::setOrganizationName("zany-patch");
  QApplication::setDesktopFileName("zany-patch");
  QLocale::setDefault(QLocale(QLocale::English, QLocale::UnitedKingdom));
  QCommandLineParser parser;
  parser.setApplicationDescription("Land-cover mapping from multispectral and radar scenes");
  parser.addHelpOption();
  parser.addPositionalArgument("PATH", "A study folder, or rasters to bring in", "[PATH…]");
  const QCommandLineOption look("look", "dusk or daylight", "NAME");
  const QCommandLineOption tour(
      "tour", "Go through the whole job on the demo study and save pictures to FOLDER", "FOLDER");
  const QCommandLineOption truth("truth", "The demo's hidden truth, for the tour's labels", "FILE");
  parser.addOptions({look, tour, truth});
  parser.process(app);

  zp::startGdal();
  zp::applyLook(parser.isSet(look) ? parser.value(look)
                                   : QSettings().value("look", "dusk").toString());
  zp::MainWindow window;
  window.show();
  const QStringList paths = parser.positionalArguments();
  if (paths.size() == 1 && QFileInfo(paths[0]).isDir() &&
      QFileInfo::exists(paths[0] + "/study.json")) {
    if (!window.bench().open(paths[0]) && parser.isSet(tour)) return 1;
  } else if (!paths.isEmpty()) {
    window.bench().bringIn(paths, false);
  }
  if (parser.isSet(tour)) return zp::runTour(window, parser.value(tour), parser.value(truth));
  return QApplication::exec();
}
