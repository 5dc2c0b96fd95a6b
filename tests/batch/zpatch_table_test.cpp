// zpatch table.
#include "zpatch_run.h"

namespace zp {
namespace {

using namespace zp::testing;

class ZpatchTable : public ZpatchRun {
 protected:
  void SetUp() override {
    std::ofstream(folder_ / "t.csv") << "cell,cover,share of water,temperature\n"
                                        "1,Reedbed,0.1,24\n2,Meadow,0.5,21\n"
                                        "10,Reedbed,,22\n3,Reedbed,0.9,18.5\n";
    writeAreas(folder_ / "beds.gpkg",
               {{1, "left", {{500000, 5000000}, {500100, 5000000}, {500100, 4999900}}},
                {2, "right", {{500200, 5000000}, {500300, 5000000}, {500300, 4999900}}}});
  }
};

TEST_F(ZpatchTable, AddsChoosesOrders) {
  ASSERT_EQ(
      run("table t.csv --add 'percent={share of water} * 100' --rename cell=id --where "
          "'cover = \"Reedbed\" and percent <> \"\"' --drop 'share of water' --sort id --down"),
      0)
      << err();
  EXPECT_EQ(out(), "id,cover,temperature,percent\n3,Reedbed,18.5,90\n1,Reedbed,24,10\n");
  ASSERT_EQ(run("table t.csv --by cover --of temperature --out g.csv --json"), 0) << err();
  EXPECT_EQ(textOf(folder_ / "g.csv"),
            "cover,rows,temperature count,temperature mean,temperature sd,temperature q1,"
            "temperature median,temperature q3\nMeadow,1,1,21,,21,21,21\n"
            "Reedbed,3,3,21.5,2.7838821814150108,20.25,22,23\n");
  EXPECT_EQ(json()["rows"], 2);
}

TEST_F(ZpatchTable, TheLine) {
  ASSERT_EQ(run("table t.csv --line 'share of water,temperature' --json"), 0) << err();
  const Json line = json()["line"];
  EXPECT_EQ(line["n"], 3);
  EXPECT_NEAR(line["slope"].get<double>(), -6.875, 1e-12);  // by hand: −2.2 / 0.32
  EXPECT_NEAR(line["intercept"].get<double>(), 24.6041666666667, 1e-10);
  EXPECT_NEAR(line["rank_correlation"].get<double>(), -1, 1e-14);
  EXPECT_TRUE(line["r_interval"][0].is_null());  // of three there is none
  EXPECT_EQ(run("table t.csv --line cover,temperature --json"), 1);
  EXPECT_EQ(run("table t.csv --where 'cell = 1' --line 'share of water,temperature' --json"), 1);
  EXPECT_NE(err().find("3 places"), std::string::npos) << err();
}

TEST_F(ZpatchTable, ALayerKeepsItsPlaces) {
  ASSERT_EQ(run("table beds.gpkg --where 'code = 2' --add 'twice=code * 2' --out b.gpkg"), 0)
      << err();
  const Layer layer = readLayer((folder_ / "b.gpkg").string());
  ASSERT_EQ(layer.shapes.size(), 1u);
  EXPECT_EQ(layer.shapes[0].rings, readLayer((folder_ / "beds.gpkg").string()).shapes[1].rings);
  EXPECT_EQ(layer.table.rows[0][layer.table.column("twice")], "4");
  // A shapefile is several files, which come and are replaced together.
  for (const char* more : {"", " --replace --where 'code = 1'"}) {
    ASSERT_EQ(run("table beds.gpkg --out s.shp" + std::string(more)), 0) << err();
    const Layer shape = readLayer((folder_ / "s.shp").string());
    EXPECT_EQ(shape.shapes.size(), *more == '\0' ? 2u : 1u);
    EXPECT_EQ(shape.table.rows[0][shape.table.column("name")], "left");
  }
  for (const auto& entry : fs::directory_iterator(folder_.path()))
    EXPECT_NE(entry.path().filename().string()[0], '.') << entry.path();
  EXPECT_EQ(run("table beds.gpkg --by name --out g.gpkg"), 1);
  EXPECT_EQ(run("table t.csv --out t.gpkg"), 1);
  EXPECT_NE(err().find("no places"), std::string::npos) << err();
  EXPECT_FALSE(fs::exists(folder_ / "t.gpkg"));
}

TEST_F(ZpatchTable, CsvAsOthersWriteIt) {
  std::ofstream(folder_ / "s.csv") << "a;b\n1,5;x\n2,5;y\n";
  ASSERT_EQ(run("table s.csv --add 'c=a * 2'"), 0) << err();
  EXPECT_EQ(out(), "a,b,c\n1.5,x,3\n2.5,y,5\n");
  std::ofstream(folder_ / "head.csv") << "a\n";
  ASSERT_EQ(run("table head.csv --where 'a > 1' --sort a"), 0) << err();
  EXPECT_EQ(out(), "a\n");
  std::ofstream(folder_ / "broken.csv") << "a,b\n1,2\n1,2,3\n";
  EXPECT_EQ(run("table broken.csv"), 1);
  EXPECT_NE(err().find("“broken.csv”: Line 3 has 3 cells"), std::string::npos) << err();
}

TEST_F(ZpatchTable, CoordinatesMakePoints) {
  std::ofstream(folder_ / "gps.csv") << "id;lon;lat;class\n1;-15,5;45,25;Fen\n2;;;Reed\n"
                                        "3;-15,25;45,5;Fen\n";
  ASSERT_EQ(run("table gps.csv --x lon --y lat --system EPSG:4326 --where 'id > 1' --out p.gpkg "
                "--json"),
            0)
      << err();
  EXPECT_EQ(json()["without_place"], 1);
  const Layer points = readLayer((folder_ / "p.gpkg").string());
  EXPECT_EQ(crsName(points.crs), "EPSG:4326");
  ASSERT_EQ(points.shapes.size(), 1u);
  EXPECT_EQ(points.shapes[0].points[0], (Place{-15.25, 45.5}));
  EXPECT_EQ(points.table.rows[0][points.table.column("class")], "Fen");
  EXPECT_EQ(run("table gps.csv --x lon --y lat --out p.gpkg"), 2);
  EXPECT_EQ(run("table gps.csv --x lon --system EPSG:4326 --out p.gpkg"), 2);
  EXPECT_EQ(run("table gps.csv --x lon --y wide --system EPSG:4326"), 1);
  EXPECT_EQ(run("table gps.csv --x lon --y lat --system EPSG:9999999"), 1);
}

TEST_F(ZpatchTable, WrongCalls) {
  EXPECT_EQ(run("table t.csv --add percent"), 2);
  EXPECT_EQ(run("table t.csv --down"), 2);
  EXPECT_EQ(run("table t.csv --of temperature"), 2);
  EXPECT_EQ(run("table t.csv --line temperature"), 2);
  EXPECT_EQ(run("table t.csv --where 'temperatur > 1'"), 1);
  EXPECT_NE(err().find("Did you mean “temperature”? (at character 1"), std::string::npos) << err();
  EXPECT_EQ(run("table t.csv --add 'cover=1'"), 1);
  EXPECT_EQ(run("table none.csv"), 1);
  EXPECT_EQ(run("table t.csv --sort cell --out t.csv --replace"), 1);
  EXPECT_TRUE(fs::exists(folder_ / "t.csv"));
}

}  // namespace
}  // namespace zp
