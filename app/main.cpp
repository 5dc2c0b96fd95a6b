#include <QCommandLineParser>
#include <QElapsedTimer>
#include <QSettings>

#include "grid/gdal_start.h"
#include "look/look.h"
#include "shell/application.h"
#include "shell/main_window.h"
#include "tour/measure.h"
#include "tour/tour.h"

int main(int argc, char** argv) {
  QElapsedTimer started;
  started.start();
  zp::Application app(argc, argv);
  QApplication::setApplicationName("zany-patch");
  QApplication::setApplicationDisplayName("Zany Patch");
  QApplication::setOrganizationName("zany-patch");
  QApplication::setDesktopFileName("zany-patch");
  QLocale::setDefault(QLocale(QLocale::English, QLocale::UnitedKingdom));
  const QString here = QApplication::applicationDirPath();
  zp::speak(QLocale::system().uiLanguages(),
            {here + "/translations", here + "/../share/zany-patch/translations"});
  QCommandLineParser parser;
  parser.setApplicationDescription("Land-cover mapping from multispectral and radar scenes");
  parser.addHelpOption();
  parser.addPositionalArgument("PATH", "A study folder, or rasters to bring in", "[PATH…]");
  const QCommandLineOption look("look", "dusk or daylight", "NAME");
  const QCommandLineOption tour(
      "tour", "Go through the whole job on the demo study and save pictures to FOLDER", "FOLDER");
  const QCommandLineOption truth("truth", "The demo's hidden truth, for the tour's labels", "FILE");
  QCommandLineOption measure("measure", "Print how fast the window is; works in FOLDER", "FOLDER");
  measure.setFlags(QCommandLineOption::HiddenFromHelp);
  parser.addOptions({look, tour, truth, measure});
  parser.process(app);

  zp::startGdal();
  QString wanted =
      parser.isSet(look) ? parser.value(look) : QSettings().value("look", "dusk").toString();
  QStringList paths = parser.positionalArguments();
  QByteArray geometry;
  int result = 0;
  do {
    zp::applyLook(wanted);
    zp::MainWindow window;
    if (!geometry.isEmpty()) window.restoreGeometry(geometry);
    window.show();
    window.openOrBringIn(paths);
    if (parser.isSet(tour)) return zp::runTour(window, parser.value(tour), parser.value(truth));
    if (parser.isSet(measure)) return zp::runMeasure(window, parser.value(measure), started);
    result = QApplication::exec();
    geometry = window.saveGeometry();
    paths.clear();
    if (window.bench().hasStudy())
      paths << QString::fromStdString(window.bench().study().folder().string());
    window.close();
    wanted = QSettings().value("look", "dusk").toString();
  } while (result == zp::kAnotherLook);
  return result;
}
