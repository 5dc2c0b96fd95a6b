// zpatch join.
#include "zpatch_run.h"

namespace zp {
namespace {

using namespace zp::testing;

class ZpatchJoin : public ZpatchRun {
 protected:
  void SetUp() override {
    writeAreas(folder_ / "beds.gpkg",
               {{1, "left", {{500000, 5000000}, {500100, 5000000}, {500100, 4999900}}},
                {2, "right", {{500200, 5000000}, {500300, 5000000}, {500300, 4999900}}}});
    std::ofstream(folder_ / "records.csv")
        << "bed;cut;day\n1;2031;2031-05-01\n1;2029;2031-05-09\n5;2030;2031-05-01\n";
    std::ofstream(folder_ / "seen.csv") << "bed,date,vh\n1,2031-05-08,-14.5\n2,2031-05-08,-16\n";
  }
};

TEST_F(ZpatchJoin, ByKeyToATableAndToALayer) {
  ASSERT_EQ(run("join beds.gpkg records.csv --by code=bed --out t.csv --json"), 0) << err();
  EXPECT_EQ(json()["matched"], 1);
  EXPECT_EQ(json()["unmatched"], 1);
  EXPECT_EQ(json()["several"], 1);
  EXPECT_EQ(json()["unused"], 1);
  EXPECT_EQ(textOf(folder_ / "t.csv"),
            "code,name,bed,cut,day,matches\n1,left,1,2031,2031-05-01,2\n2,right,,,,0\n");
  ASSERT_EQ(run("join beds.gpkg records.csv --by code=bed --several all --out t.gpkg"), 0) << err();
  const Layer layer = readLayer((folder_ / "t.gpkg").string());
  ASSERT_EQ(layer.shapes.size(), 3u);
  EXPECT_EQ(layer.shapes[0].rings, layer.shapes[1].rings);
  EXPECT_EQ(layer.table.rows[1][layer.table.column("cut")], "2029");
}

TEST_F(ZpatchJoin, ByKeyAndDateAndByPlace) {
  ASSERT_EQ(run("join seen.csv records.csv --by bed --date date=day --days 3"), 0) << err();
  EXPECT_EQ(out(),
            "bed,date,vh,bed_2,cut,day,matches\n1,2031-05-08,-14.5,1,2029,2031-05-09,1\n"
            "2,2031-05-08,-16,,,,0\n");
  writeAreas(folder_ / "cells.gpkg",
             {{9, "cell", {{500050, 5000000}, {500250, 5000000}, {500250, 4999990}}}});
  ASSERT_EQ(run("join cells.gpkg beds.gpkg --nearest --json"), 0) << err();
  EXPECT_EQ(json()["matched"], 1);
  ASSERT_EQ(run("join cells.gpkg beds.gpkg --overlap 0 --json"), 0) << err();
  EXPECT_EQ(json()["columns"][4], "share");
  ASSERT_EQ(run("join cells.gpkg beds.gpkg --within --json"), 0) << err();
  EXPECT_EQ(json()["matched"], 0);
}

TEST_F(ZpatchJoin, ReadingsTellThePolygonAroundAndTheNearest) {
  std::ofstream(folder_ / "p.geojson")
      << R"({"type":"FeatureCollection","crs":{"type":"name","properties":{"name":"EPSG:32627"}},)"
      << R"("features":[{"type":"Feature","properties":{"id":1},"geometry":{"type":"Point",)"
      << R"("coordinates":[500090,4999995]}},{"type":"Feature","properties":{"id":2},)"
      << R"("geometry":{"type":"Point","coordinates":[500150,5000000]}}]})";
  ASSERT_EQ(run("readings p.geojson --attributes beds.gpkg --nearest beds.gpkg --json --out t.csv"),
            0)
      << err();
  EXPECT_EQ(textOf(folder_ / "t.csv"),
            "id,beds code,beds name,beds code_2,beds name_2,beds distance\n"
            "1,1,left,1,left,0\n2,,,1,left,50\n");
  EXPECT_EQ(json()["attributes"][0]["none"], 1);
  EXPECT_EQ(json()["attributes"][1]["several"], 1);
  EXPECT_EQ(run("readings p.geojson"), 2);
  EXPECT_EQ(run("readings p.geojson --attributes none.gpkg"), 1);
}

TEST_F(ZpatchJoin, WrongCalls) {
  EXPECT_EQ(run("join beds.gpkg records.csv"), 2);
  EXPECT_NE(err().find("--by, --within"), std::string::npos) << err();
  EXPECT_EQ(run("join beds.gpkg records.csv --by code=bed --within"), 2);
  EXPECT_EQ(run("join beds.gpkg records.csv --days 3"), 2);
  EXPECT_EQ(run("join beds.gpkg records.csv --by cod=bed"), 1);
  EXPECT_NE(err().find("Did you mean “code”?"), std::string::npos) << err();
  EXPECT_EQ(run("join beds.gpkg records.csv --within"), 1);
  EXPECT_EQ(run("join beds.gpkg beds.gpkg --by code --out beds.gpkg --replace"), 1);
  EXPECT_TRUE(fs::exists(folder_ / "beds.gpkg"));
}

}  // namespace
}  // namespace zp
