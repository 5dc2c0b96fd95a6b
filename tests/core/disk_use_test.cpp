// What a study takes on the disk.
#include "study/disk_use.h"

#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

TEST(DiskUse, CountsTheFilesAndThoseOfTheBin) {
  const Folder folder;
  fs::create_directories(folder / "bin");
  fs::create_directories(folder / "products/deep");
  std::ofstream(folder / "study.json") << std::string(10, 'x');
  std::ofstream(folder / "products/deep/a") << std::string(200, 'x');
  std::ofstream(folder / "bin/b") << std::string(3000, 'x');
  std::ofstream(folder / "binary") << std::string(5, 'x');
  const DiskUse use = diskUseOf(folder.path());
  EXPECT_EQ(use.all, 3215u);
  EXPECT_EQ(use.bin, 3000u);
  EXPECT_TRUE(use.whole);
  EXPECT_FALSE(diskUseOf(folder.path(), 3).whole);
  EXPECT_EQ(diskUseOf(folder / "nowhere").all, 0u);
}

}  // namespace
}  // namespace zp
