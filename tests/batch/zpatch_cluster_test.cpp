// Clusters without training, and their names.
#include "legend/class_map.h"
#include "stripes.h"

namespace zp {
namespace {

using namespace zp::testing;

class ZpatchClusters : public ZpatchRun {
 protected:
  void SetUp() override {
    writeStripes(folder_ / "s.tif");
    Legend legend;
    legend.add({4, "Water", {10, 80, 160}, "", {}});
    legend.add({9, "Land", {90, 160, 60}, "", {}});
    writeLegend(folder_ / "legend.json", legend);
  }
  void write(const std::string& name, const std::string& text) {
    std::ofstream(folder_ / name) << text;
  }
};

TEST_F(ZpatchClusters, AreFoundAndNamed) {
  ASSERT_EQ(run("cluster s.tif --method k-means --clusters 3 --seed 5 --out c.tif --json"), 0)
      << err();
  const Json told = json();
  ASSERT_EQ(told["clusters"].size(), 3u);
  EXPECT_EQ(told["clusters"][0]["code"], 1);
  EXPECT_EQ(told["clusters"][0]["pixels"], 55 * 40);
  EXPECT_EQ(told["clusters"][1]["pixels"], 30 * 40);
  EXPECT_EQ(told["clusters"][2]["pixels"], 15 * 40);
  EXPECT_NEAR(told["clusters"][0]["mean"][0].get<double>(), 0.505, 0.001);
  EXPECT_NEAR(told["clusters"][2]["mean"][1].get<double>(), 0.605, 0.001);
  EXPECT_GT(told["within_sum_of_squares"], 0);
  EXPECT_GE(told["iterations"], 1);
  EXPECT_EQ(told["outputs"], Json({"c.tif"}));

  write("names.csv", "cluster,code\n1,9\n2,9\n3,4\n");
  ASSERT_EQ(run("name-clusters c.tif --table names.csv --legend legend.json --out m.tif --json"), 0)
      << err();
  const Json classes = json()["classes"];
  ASSERT_EQ(classes.size(), 2u);
  EXPECT_EQ(classes[0]["name"], "Water");
  EXPECT_EQ(classes[0]["pixels"], 15 * 40);
  EXPECT_EQ(classes[1]["pixels"], 85 * 40);
  EXPECT_EQ(legendOf(RasterFile(folder_ / "m.tif")).classes.size(), 2u);
}

TEST_F(ZpatchClusters, WhatIsLeftOutIsNoData) {
  ASSERT_EQ(run("cluster s.tif --method isodata --set split=0.3 --set merge=0.1 --clusters 3 "
                "--out c.tif --json"),
            0)
      << err();
  const size_t found = json()["clusters"].size();
  ASSERT_GE(found, 3u);
  write("names.csv", "cluster;code\n1;\n2;0\n3;4\n");
  ASSERT_EQ(run("name-clusters c.tif --table names.csv --legend legend.json --out m.tif --json"), 0)
      << err();
  ASSERT_EQ(json()["classes"].size(), 1u);
}

TEST_F(ZpatchClusters, FewerThanAskedForIsSaid) {
  writeFloats(folder_ / "flat.tif", metricGrid(4, 1), {{1, 1, 2, 2}});
  ASSERT_EQ(run("cluster flat.tif --method k-means --clusters 5 --out c.tif --json"), 0) << err();
  EXPECT_EQ(json()["clusters"].size(), 2u);
  EXPECT_EQ(json()["within_sum_of_squares"], 0);
  EXPECT_NE(json()["warnings"][0].get<std::string>().find("2 clusters instead of 5"),
            std::string::npos);
}

TEST_F(ZpatchClusters, WorksWithoutAReferenceSystem) {
  Grid g = metricGrid(4, 1);
  g.crs.clear();
  writeFloats(folder_ / "plain.tif", g, {{1, 1, 7, 2}});
  ASSERT_EQ(run("cluster plain.tif --method k-means --clusters 2 --out c.tif --json"), 0) << err();
  EXPECT_EQ(json()["clusters"][0]["pixels"], 3);
}

TEST_F(ZpatchClusters, WrongCallsAndInputsSaySo) {
  EXPECT_EQ(run("cluster s.tif --method k-mean --out c.tif"), 2);
  EXPECT_NE(err().find("k-means"), std::string::npos);
  EXPECT_EQ(run("cluster s.tif --method k-means --clusters 1 --out c.tif"), 2);
  EXPECT_EQ(run("cluster s.tif --method k-means --set trees=4 --out c.tif"), 2);
  EXPECT_EQ(run("cluster s.tif --method k-means --set split=4 --out c.tif"), 2);
  EXPECT_EQ(run("cluster s.tif --method k-means --out s.tif --replace"), 1);
  writeFloats(folder_ / "empty.tif", metricGrid(2, 1), {{-1, -1}}, {}, -1);
  EXPECT_EQ(run("cluster empty.tif --method k-means --out c.tif"), 1);
  EXPECT_NE(err().find("No pixel has a value"), std::string::npos) << err();
  ASSERT_EQ(run("cluster s.tif --method k-means --clusters 3 --out c.tif"), 0) << err();
  write("twice.csv", "cluster,code\n1,9\n1,4\n");
  EXPECT_EQ(run("name-clusters c.tif --table twice.csv --legend legend.json --out m.tif"), 1);
  EXPECT_NE(err().find("stands twice"), std::string::npos);
  write("unknown.csv", "cluster,code\n1,77\n");
  EXPECT_EQ(run("name-clusters c.tif --table unknown.csv --legend legend.json --out m.tif"), 1);
  EXPECT_NE(err().find("77"), std::string::npos) << err();
  write("none.csv", "cluster,code\n1,0\n");
  EXPECT_EQ(run("name-clusters c.tif --table none.csv --legend legend.json --out m.tif"), 1);
  EXPECT_EQ(folder_.names(), (std::vector<std::string>{
                                 "c.tif", "c.tif.aux.xml", "empty.tif", "err.log", "legend.json",
                                 "none.csv", "out.log", "s.tif", "twice.csv", "unknown.csv"}));
}

TEST_F(ZpatchClusters, AMapIsTidied) {
  writeCodes(folder_ / "m.tif", metricGrid(5, 3), {2, 2, 2, 2, 2, 1, 1, 7, 1, 1, 1, 1, 1, 1, 1},
             NumberType::Byte, 0);
  ASSERT_EQ(run("tidy m.tif --smallest-patch 2 --out t.tif --json"), 0) << err();
  EXPECT_EQ(json()["changed"], 1);
  EXPECT_EQ(json()["classes"][0]["pixels"], 10);
  ASSERT_EQ(run("tidy m.tif --majority 3 --out v.tif --json"), 0) << err();
  EXPECT_GE(json()["changed"].get<int>(), 1);
  EXPECT_EQ(run("tidy m.tif --out n.tif"), 2);
  EXPECT_EQ(run("tidy m.tif --majority 4 --out n.tif"), 2);
  EXPECT_EQ(run("tidy m.tif --majority 3 --smallest-patch 3 --out n.tif"), 2);
  EXPECT_EQ(run("tidy m.tif --majority 3 --out m.tif --replace"), 1);
  EXPECT_EQ(run("tidy s.tif --majority 3 --out n.tif"), 1);  // no class map
}

}  // namespace
}  // namespace zp
