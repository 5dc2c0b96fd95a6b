#include <gtest/gtest.h>

#include <QCoreApplication>

#include "grid/gdal_start.h"

int main(int argc, char** argv) {
  const QCoreApplication app(argc, argv);
  zp::startGdal();
  ::testing::InitGoogleTest(&argc, argv);
  return RUN_ALL_TESTS();
}
