// Both programs that drive the window start it alike.
#include <gtest/gtest.h>
#include <oneapi/tbb/global_control.h>

#include <QTemporaryDir>

#include "grid/gdal_start.h"
#include "look/look.h"
#include "shell/application.h"

int main(int argc, char** argv) {
  QTemporaryDir settings;
  qputenv("XDG_CONFIG_HOME", settings.path().toUtf8());
  zp::Application app(argc, argv);
  QApplication::setOrganizationName("zany-patch-test");
#ifdef __SANITIZE_THREAD__
  // What oneTBB's threads hand to each other is not seen (tests/threads/suppressions); each piece
  // of work beside the window then keeps to one thread.
  const oneapi::tbb::global_control one(oneapi::tbb::global_control::max_allowed_parallelism, 1);
#endif
  zp::startGdal();
  zp::applyLook("dusk");
  ::testing::InitGoogleTest(&argc, argv);
  return RUN_ALL_TESTS();
}
