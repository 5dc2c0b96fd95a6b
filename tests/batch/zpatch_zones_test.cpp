// zpatch zones and cells.
#include "base/text.h"
#include "zpatch_run.h"

namespace zp {
namespace {

using namespace zp::testing;

class ZpatchZones : public ZpatchRun {
 protected:
  void SetUp() override {
    std::vector<float> may(grid_.pixels()), june(grid_.pixels());
    std::vector<uint16_t> codes(grid_.pixels());
    for (size_t i = 0; i < grid_.pixels(); ++i) {
      const bool left = i % 20 < 10;
      may[i] = left ? 1.0f : 3.0f;
      june[i] = left ? 100.0f : 1.0f;
      codes[i] = left ? 1 : 2;
    }
    writeFloats(folder_ / "may.tif", grid_, {may});
    writeFloats(folder_ / "june.tif", grid_, {june});
    writeCodes(folder_ / "map.tif", grid_, codes);
    writeAreas(folder_ / "zones.gpkg",
               {{7, "left", box(2, 6)}, {8, "both", box(8, 12)}, {9, "tiny", box(3.1, 3.2)}});
  }
  Ring box(double left, double right) {
    return {grid_.toMap(left, left), grid_.toMap(right, left), grid_.toMap(right, right),
            grid_.toMap(left, right)};
  }
  const Grid grid_ = metricGrid(20, 16);
};

TEST_F(ZpatchZones, OneColumnARasterAndStatistic) {
  ASSERT_EQ(run("zones zones.gpkg --from may.tif june.tif --stats mean,count --out z.csv --json"),
            0)
      << err();
  EXPECT_EQ(json()["rows"], 3);
  EXPECT_EQ(json()["without_pixels"][0]["layer"], "may");
  EXPECT_EQ(json()["without_pixels"][1]["zones"], 1);
  EXPECT_EQ(textOf(folder_ / "z.csv"),
            "code,name,may_mean,may_count,june_mean,june_count\n"
            "7,left,1,16,100,16\n8,both,2,16,50.5,16\n9,tiny,,0,,0\n");
  EXPECT_EQ(run("zones zones.gpkg --from may.tif --out z.csv"), 1);  // it is there
}

TEST_F(ZpatchZones, OneRowAPlaceAndDate) {
  ASSERT_EQ(run("zones zones.gpkg --from may.tif june.tif --stats mean --long --out z.csv"), 0)
      << err();
  EXPECT_EQ(textOf(folder_ / "z.csv"),
            "code,name,layer,mean\n7,left,may,1\n8,both,may,2\n9,tiny,may,\n"
            "7,left,june,100\n8,both,june,50.5\n9,tiny,june,\n");
}

TEST_F(ZpatchZones, SharesPowerAndArea) {
  ASSERT_EQ(run("zones zones.gpkg --from map.tif --stats majority,share"), 0) << err();
  EXPECT_EQ(out(),
            "code,name,majority,share_1,share_2\n7,left,1,1,0\n8,both,1,0.5,0.5\n9,tiny,,,\n");
  ASSERT_EQ(run("zones zones.gpkg --from june.tif --stats mean --decibels --json"), 0) << err();
  EXPECT_NEAR(*parseNumber(json()["values"][1][2].get<std::string>()), 10 * std::log10(50.5),
              1e-12);
  ASSERT_EQ(run("zones zones.gpkg --from may.tif --stats mean,count --by-area --json"), 0) << err();
  EXPECT_EQ(json()["values"][2][3], "1");  // the tiny one has a part of a pixel
}

TEST_F(ZpatchZones, FeaturesBesideRasters) {
  ASSERT_EQ(run("zones zones.gpkg --from may.tif --scene may=may.tif --scene june=june.tif "
                "--features 'band(1)' 'band(1) of june' --stats mean --json"),
            0)
      << err();
  const auto values = json()["values"];
  ASSERT_EQ(json()["columns"].size(), 5u);
  for (const auto& row : values) EXPECT_EQ(row[2], row[3]);
  EXPECT_EQ(values[0][4], "100");
}

TEST_F(ZpatchZones, CellsAreLaidAndSummarised) {
  ASSERT_EQ(run("cells --over may.tif --size 40 --out c.gpkg --json"), 0) << err();
  EXPECT_EQ(json()["cells"], 20);
  ASSERT_EQ(run("zones c.gpkg --from may.tif --stats mean,count --out c.csv"), 0) << err();
  EXPECT_EQ(textOf(folder_ / "c.csv").substr(0, 43),
            "id,mean,count\n1,1,16\n2,1,16\n3,2,16\n4,3,16\n5");
  ASSERT_EQ(
      run("cells --over may.tif --hexagons --count 50 --inside zones.gpkg --out h.gpkg --json"), 0)
      << err();
  EXPECT_GE(json()["cells"], 40);
  ASSERT_EQ(run("cells --over may.tif --pixels --centres --out p.gpkg --json"), 0) << err();
  EXPECT_EQ(json()["cells"], 320);
  ASSERT_EQ(run("readings p.gpkg --from june.tif --json"), 0) << err();
  EXPECT_EQ(json()["values"][0][1], "100");
  EXPECT_EQ(run("cells --over may.tif --out x.gpkg"), 2);
  EXPECT_EQ(run("cells --over may.tif --size 40 --count 3 --out x.gpkg"), 2);
  EXPECT_EQ(run("cells --over may.tif --size 0 --out x.gpkg"), 2);
  EXPECT_EQ(run("cells --over may.tif --size 0.01 --out x.gpkg"), 1);
  EXPECT_FALSE(fs::exists(folder_ / "x.gpkg"));
}

TEST_F(ZpatchZones, WrongCalls) {
  EXPECT_EQ(run("zones zones.gpkg --from may.tif --stats meen"), 2);
  EXPECT_NE(err().find("“mean”"), std::string::npos);
  EXPECT_EQ(run("zones zones.gpkg --from may.tif --stats share"), 1);
  EXPECT_EQ(run("zones zones.gpkg --from june.tif --stats sum --decibels"), 1);
  EXPECT_EQ(run("zones zones.gpkg --from may.tif:4"), 1);
  EXPECT_EQ(run("zones nothing.gpkg --from may.tif"), 1);
  EXPECT_EQ(run("zones zones.gpkg"), 2);
  EXPECT_EQ(run("zones zones.gpkg --from may.tif --out zones.gpkg --replace"), 1);
}

}  // namespace
}  // namespace zp
