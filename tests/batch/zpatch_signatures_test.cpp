// A map by signatures that were saved before.
#include "legend/class_map.h"
#include "stripes.h"

namespace zp {
namespace {

using namespace zp::testing;

class ZpatchBySignatures : public ZpatchRun {
 protected:
  void SetUp() override {
    const Grid g = writeStripes(folder_ / "s.tif");
    const auto box = [&](double left, double right) {
      const Place a = g.toMap(left, 5), b = g.toMap(right, 30);
      return Ring{{a.x, a.y}, {b.x, a.y}, {b.x, b.y}, {a.x, b.y}};
    };
    writeAreas(folder_ / "t.gpkg",
               {{1, "Water", box(2, 12)}, {2, "Meadow", box(20, 40)}, {3, "Wood", box(50, 90)}});
  }
  const std::string training_ = "--training t.gpkg --code code --name name ";
};

TEST_F(ZpatchBySignatures, TheMapIsThatOfTheTraining) {
  for (const std::string& lines : {std::string(), std::string("--bands 2,1 ")}) {
    ASSERT_EQ(run("signatures s.tif " + training_ + lines + "--replace --out g.json"), 0) << err();
    for (const char* method : {"maximum-likelihood", "spectral-angle"}) {
      ASSERT_EQ(run("map s.tif " + training_ + lines + "--method " + method +
                    " --replace --out a.tif --json"),
                0)
          << err();
      const Json direct = json();
      ASSERT_EQ(run(std::string("map s.tif --signatures g.json --method ") + method +
                    " --replace --out b.tif --model-out m.json --json"),
                0)
          << err();
      EXPECT_EQ(readCodes(folder_ / "b.tif"), readCodes(folder_ / "a.tif"));
      EXPECT_EQ(json()["features"], direct["features"]);
      EXPECT_EQ(json()["training_pixels"], direct["training_pixels"]);
      EXPECT_EQ(legendOf(RasterFile(folder_ / "b.tif")).find(3)->name, "Wood");
      ASSERT_EQ(run("map s.tif --model m.json --replace --out c.tif"), 0) << err();
      EXPECT_EQ(readCodes(folder_ / "c.tif"), readCodes(folder_ / "a.tif"));
    }
  }
}

TEST_F(ZpatchBySignatures, WhatCannotBeIsSaid) {
  ASSERT_EQ(run("signatures s.tif " + training_ + "--out g.json"), 0) << err();
  EXPECT_EQ(run("map s.tif --signatures g.json --out b.tif"), 2);  // no method
  EXPECT_EQ(
      run("map s.tif --signatures g.json " + training_ + "--method minimum-distance --out b.tif"),
      2);
  EXPECT_EQ(run("map s.tif --signatures g.json --method random-forest --out b.tif"), 1);
  EXPECT_NE(err().find("training pixels"), std::string::npos) << err();
  EXPECT_EQ(run("map s.tif --signatures s.tif --method minimum-distance --out b.tif"), 1);
  EXPECT_EQ(run("map s.tif --signatures g.json --method minimum-distance --out g.json --replace"),
            1);
  EXPECT_EQ(run("map s.tif --bands 1 --signatures g.json --method minimum-distance --out b.tif"),
            1);
  EXPECT_FALSE(fs::exists(folder_ / "b.tif"));
}

}  // namespace
}  // namespace zp
