// A full disk, stood in for by a limit on the size of the files a process may write.
#include <sys/wait.h>

#include "base/random.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

class FullDisk : public ::testing::Test {
 protected:
  /// Runs zpatch with files of at most `kib` KiB.
  int run(int kib, const std::string& arguments) {
    const std::string limited =
        "ulimit -f " + std::to_string(kib) + "; trap '' XFSZ; exec " ZPATCH " " + arguments;
    const std::string call = "cd '" + folder_.path().string() + "' && timeout 120 bash -c \"" +
                             limited + "\" > '" + (logs_ / "out").string() + "' 2> '" +
                             (logs_ / "err").string() + "'";
    const int status = std::system(call.c_str());
    return WIFEXITED(status) ? WEXITSTATUS(status) : -1;
  }
  std::string err() { return textOf(logs_ / "err"); }

  void SetUp() override {
    const Grid g = metricGrid(900, 900);
    std::vector<float> noise(g.pixels());
    for (size_t i = 0; i < noise.size(); ++i) noise[i] = static_cast<float>(unit(mix(i)));
    writeFloats(folder_ / "s.tif", g, {noise}, {"nir"});
  }

  Folder folder_, logs_;
};

TEST_F(FullDisk, ARasterThatDoesNotFitIsOneSentenceAndLeavesNothing) {
  const auto before = folder_.names();
  EXPECT_EQ(run(300, "index s.tif --formula 'nir * 3.7' --out o.tif"), 1) << err();
  EXPECT_NE(err().find("free some space"), std::string::npos) << err();
  EXPECT_EQ(folder_.names(), before);
}

TEST_F(FullDisk, WhatWasThereBeforeStays) {
  ASSERT_EQ(run(100000, "index s.tif --formula nir --out o.tif"), 0) << err();
  const std::string old = textOf(folder_ / "o.tif");
  EXPECT_EQ(run(300, "index s.tif --formula 'nir * 3.7' --out o.tif --replace"), 1);
  EXPECT_EQ(textOf(folder_ / "o.tif"), old);
}

TEST_F(FullDisk, PointsAndTablesToo) {
  const auto before = folder_.names();
  EXPECT_EQ(run(60, "points --plan random --over s.tif --count 40000 --seed 1 --out p.gpkg"), 1)
      << err();
  EXPECT_EQ(folder_.names(), before);
  ASSERT_EQ(run(100000, "points --plan random --over s.tif --count 40000 --seed 1 --out p.csv"), 0)
      << err();
  EXPECT_EQ(run(60, "readings p.csv --from s.tif --out r.csv"), 1) << err();
  EXPECT_FALSE(fs::exists(folder_ / "r.csv"));
}

/// GDAL by itself says nothing of texts that do not fit.
TEST_F(FullDisk, LayersInEveryFormatToo) {
  {
    std::ofstream big(folder_ / "big.csv");
    big << "id,x,y,name\n";
    for (int i = 0; i < 20'000; ++i)
      big << i << ',' << 500'000 + i << ',' << 5'000'000 + i << ",name " << i << '\n';
  }
  for (const char* out : {"t.csv", "t.gpkg", "t.geojson", "t.shp", "t.kml"}) {
    const std::string call =
        std::string("table big.csv --x x --y y --system EPSG:32627 --replace --out ") + out;
    ASSERT_EQ(run(100000, call + " --where 'id < 10'"), 0) << err();
    const auto before = folder_.names();
    const std::string old = textOf(folder_ / out);
    EXPECT_EQ(run(60, call), 1) << out;
    EXPECT_NE(err().find("free some space"), std::string::npos) << out << ": " << err();
    EXPECT_EQ(err().find(".zpatch-"), std::string::npos) << err();
    EXPECT_EQ(folder_.names(), before) << out;
    EXPECT_EQ(textOf(folder_ / out), old) << out;
  }
}

}  // namespace
}  // namespace zp
