// Segments, and maps and clusters of what another map leaves.
#include "legend/class_map.h"
#include "stripes.h"

namespace zp {
namespace {

using namespace zp::testing;

class ZpatchRest : public ZpatchRun {
 protected:
  /// Training in each stripe, and a map that has the first two only.
  void SetUp() override {
    const Grid g = writeStripes(folder_ / "s.tif");
    std::vector<uint16_t> known;
    for (size_t i = 0; i < g.pixels(); ++i) {
      const int stripe = stripeOf(i % 100);
      known.push_back(stripe == 0 ? 9 : stripe == 1 ? 5 : 0);
    }
    Legend legend;
    legend.add({5, "Field", {200, 160, 60}, "", {}});
    legend.add({9, "Harbour", {10, 80, 160}, "", {}});
    RasterWriter writer(folder_ / "k.tif", classMapSpec(g, legend, "classes"));
    writer.writeCodes(1, {0, 0, 100, 40}, known);
    writer.finish();
    const auto box = [&](double left, double right) {
      const Place a = g.toMap(left, 5), b = g.toMap(right, 30);
      return Ring{{a.x, a.y}, {b.x, a.y}, {b.x, b.y}, {a.x, b.y}};
    };
    writeAreas(folder_ / "t.gpkg",
               {{1, "Water", box(2, 12)}, {2, "Meadow", box(20, 40)}, {3, "Wood", box(50, 90)}});
  }
  std::vector<size_t> counts(const std::string& file) {
    std::vector<size_t> n(10);
    for (const auto code : readCodes(folder_ / file)) ++n.at(code);
    return n;
  }
  const std::string map_ =
      "map s.tif --training t.gpkg --code code --name name --method "
      "minimum-distance --out m.tif --json ";
};

TEST_F(ZpatchRest, ClassesOfAMapAreKeptAndTheRestIsMapped) {
  ASSERT_EQ(run(map_ + "--keep k.tif"), 0) << err();
  EXPECT_EQ(counts("m.tif"), (std::vector<size_t>{0, 0, 0, 55 * 40, 0, 30 * 40, 0, 0, 0, 15 * 40}));
  const Legend legend = legendOf(RasterFile(folder_ / "m.tif"));
  EXPECT_EQ(legend.find(9)->name, "Harbour");
  EXPECT_EQ(legend.find(3)->name, "Wood");
  ASSERT_EQ(run(map_ + "--keep k.tif --keep-classes 9 --replace"), 0) << err();
  EXPECT_EQ(counts("m.tif"), (std::vector<size_t>{0, 0, 30 * 40, 55 * 40, 0, 0, 0, 0, 0, 15 * 40}));
}

TEST_F(ZpatchRest, ClustersAreFoundInTheRestAlone) {
  ASSERT_EQ(run("cluster s.tif --method k-means --clusters 4 --keep k.tif --keep-classes 9 "
                "--out c.tif --json"),
            0)
      << err();
  size_t grouped = 0;
  const Json clusters = json()["clusters"];
  for (const auto& c : clusters) {
    grouped += c["pixels"].get<size_t>();
    EXPECT_GT(c["mean"][0].get<double>(), 0.25);  // none of them from the kept stripe
  }
  EXPECT_EQ(grouped, 85u * 40);
  EXPECT_EQ(counts("c.tif")[0], 15u * 40);
}

TEST_F(ZpatchRest, AMapBySegmentsHasOneClassInEach) {
  ASSERT_EQ(run("segments s.tif --pixels 30 --out g.tif --json"), 0) << err();
  const Json told = json();
  EXPECT_GT(told["segments"], 60);
  EXPECT_EQ(told["segmented"], 4000);
  EXPECT_EQ(told["bands"].size(), 6u);
  ASSERT_EQ(run("map g.tif --bands 1,3 --training t.gpkg --code code --name name "
                "--method minimum-distance --out m.tif"),
            0)
      << err();
  EXPECT_EQ(counts("m.tif"), (std::vector<size_t>{0, 15 * 40, 30 * 40, 55 * 40, 0, 0, 0, 0, 0, 0}));
}

TEST_F(ZpatchRest, WrongCallsAndInputsSaySo) {
  EXPECT_EQ(run("segments s.tif --pixels 4 --out g.tif"), 2);
  EXPECT_EQ(run("segments s.tif --compactness none --out g.tif"), 2);
  EXPECT_EQ(run("segments --out g.tif"), 2);
  EXPECT_EQ(run("segments s.tif --out s.tif --replace"), 1);
  EXPECT_EQ(run(map_ + "--keep-classes 9"), 2);
  EXPECT_EQ(run(map_ + "--keep s.tif"), 1);  // no class map
  EXPECT_FALSE(fs::exists(folder_ / "m.tif"));
  EXPECT_EQ(run(map_ + "--keep m.tif"), 1);  // is not there
  writeCodes(folder_ / "far.tif", metricGrid(100, 40).moved({1e5, 0}),
             std::vector<uint16_t>(100 * 40, 9));
  EXPECT_EQ(run(map_ + "--keep far.tif"), 1);
  EXPECT_NE(err().find("“far.tif” lies elsewhere"), std::string::npos) << err();
}

}  // namespace
}  // namespace zp
