// Both programs that drive the window start it alike.
#include <gtest/gtest.h>

#include <QTemporaryDir>

#include "grid/gdal_start.h"
#include "look/look.h"
#include "shell/application.h"

int main(int argc, char** argv) {
  QTemporaryDir settings;
  qputenv("XDG_CONFIG_HOME", settings.path().toUtf8());
  zp::Application app(argc, argv);
  QApplication::setOrganizationName("zany-patch-test");
  zp::startGdal();
  zp::applyLook("dusk");
  ::testing::InitGoogleTest(&argc, argv);
  return RUN_ALL_TESTS();
}
