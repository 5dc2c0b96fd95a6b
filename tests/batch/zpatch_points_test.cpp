// zpatch points: every plan, what tops them up, and calls that are wrong.
#include "zpatch_run.h"

namespace zp {
namespace {

using namespace zp::testing;

class ZpatchPoints : public ZpatchRun {
 protected:
  void SetUp() override {
    std::vector<uint16_t> codes(grid_.pixels());
    for (size_t i = 0; i < codes.size(); ++i)
      codes[i] = static_cast<uint16_t>(i % 30 < 3 ? 1 : i % 30 < 12 ? 2 : 3);
    writeCodes(folder_ / "map.tif", grid_, codes);
  }
  /// Points of each class of a call's result.
  std::vector<int> perClass() {
    std::vector<int> n;
    const Json result = json();
    for (const auto& c : result["per_class"]) n.push_back(c["points"]);
    return n;
  }
  int points(const std::string& rest, const std::string& to = "p.gpkg") {
    return run("points --over map.tif --seed 4 --json --replace --out " + to + " " + rest);
  }
  const Grid grid_ = metricGrid(30, 20);
};

TEST_F(ZpatchPoints, StratifiedInEveryShare) {
  ASSERT_EQ(points("--plan stratified --per-class 7"), 0) << err();
  EXPECT_EQ(perClass(), (std::vector<int>{7, 7, 7}));
  ASSERT_EQ(points("--plan stratified --split proportional --count 50"), 0) << err();
  EXPECT_EQ(perClass(), (std::vector<int>{5, 15, 30}));
  ASSERT_EQ(points("--plan stratified --given 1=9 --given 3=2"), 0) << err();
  EXPECT_EQ(perClass(), (std::vector<int>{9, 2}));
  ASSERT_EQ(points("--plan stratified --per-class 7 --leave-out 1,3"), 0) << err();
  EXPECT_EQ(perClass(), (std::vector<int>{7}));
  EXPECT_EQ(points("--plan stratified --per-class 70"), 1);
  EXPECT_NE(err().find("Only 60 points fit in “class 1”"), std::string::npos) << err();
  ASSERT_EQ(points("--plan stratified --per-class 70 --fewer"), 0) << err();
  EXPECT_EQ(json()["per_class"][0]["asked"], 70);
}

TEST_F(ZpatchPoints, LatticesBlocksAndTheArea) {
  ASSERT_EQ(points("--plan systematic --across 6 --down 4 --staggered"), 0) << err();
  EXPECT_EQ(json()["points"], 24);
  ASSERT_EQ(points("--plan systematic --spacing 5"), 0) << err();
  EXPECT_EQ(json()["points"], 2400);
  EXPECT_EQ(json()["sharing_pixels"], 2400);
  EXPECT_NEAR(json()["nearest"].get<double>(), 5, 1e-6);
  ASSERT_EQ(points("--plan blocks --block-size 60 --blocks 3 --count 4"), 0) << err();
  EXPECT_EQ(json()["points"], 12);
  EXPECT_EQ(readLayer((folder_ / "p.gpkg").string()).table.columns[1], "block");
  ASSERT_EQ(points("--plan random --count 30 --class 2 --edge 15 --apart 5 "
                   "--within 500000 4999850 500300 5000000 --system EPSG:4326"),
            0)
      << err();
  const Layer layer = readLayer((folder_ / "p.gpkg").string(), grid_.crs);
  for (const auto& shape : layer.shapes) {
    EXPECT_TRUE(shape.points[0].x > 500045 - 1e-3 && shape.points[0].x < 500105 + 1e-3);
    EXPECT_TRUE(shape.points[0].y > 4999865 - 1e-3 && shape.points[0].y < 4999985 + 1e-3);
  }
}

TEST_F(ZpatchPoints, AreToppedUp) {
  ASSERT_EQ(points("--plan stratified --per-class 5", "few.gpkg"), 0) << err();
  ASSERT_EQ(points("--plan stratified --per-class 8 --top-up few.gpkg", "more.gpkg"), 0) << err();
  const Layer few = readLayer((folder_ / "few.gpkg").string()),
              more = readLayer((folder_ / "more.gpkg").string());
  ASSERT_EQ(more.shapes.size(), 24u);
  for (size_t i = 0; i < few.shapes.size(); ++i)
    EXPECT_EQ(few.shapes[i].points[0], more.shapes[i].points[0]);
  // Neither onto itself nor by a plan that cannot have placed them.
  EXPECT_EQ(points("--plan stratified --per-class 8 --top-up few.gpkg", "few.gpkg"), 1);
  EXPECT_EQ(points("--plan stratified --per-class 8 --leave-out 1 --top-up few.gpkg"), 1);
  EXPECT_NE(err().find("5 of the 15"), std::string::npos) << err();
  EXPECT_EQ(points("--plan stratified --per-class 8 --top-up map.tif"), 1);
}

TEST_F(ZpatchPoints, ReadingsBetweenPixelsAndAroundThem) {
  std::vector<float> rising(grid_.pixels());
  for (size_t i = 0; i < rising.size(); ++i) rising[i] = static_cast<float>(i % 30);
  writeFloats(folder_ / "r.tif", grid_, {rising});
  std::ofstream(folder_ / "p.csv") << "id,x,y\n1,500052,4999957\n2,500053,4999956\n";
  ASSERT_EQ(run("readings p.csv --from r.tif --how bilinear --json"), 0) << err();
  const Json between = json();
  EXPECT_NEAR(std::stod(between["values"][0][3].get<std::string>()), 4.7, 1e-5);
  EXPECT_EQ(between["distinct_pixels"][0]["pixels"], 1);
  ASSERT_EQ(run("readings p.csv --from r.tif --how mean --window 5 --json"), 0) << err();
  EXPECT_EQ(json()["values"][0][3], "5");
  EXPECT_EQ(run("readings p.csv --from r.tif --how mean --window 4"), 2);
  EXPECT_EQ(run("readings p.csv --from r.tif --how cubic"), 2);
}

TEST_F(ZpatchPoints, WrongCalls) {
  const std::pair<const char*, const char*> wrong[] = {
      {"--plan systematic", "--spacing, or --across and --down"},
      {"--plan systematic --across 4", "--down"},
      {"--plan systematic --spacing 4 --apart 2", "lattice"},
      {"--plan systematic --spacing 4 --per-class 2", "goes with --plan stratified"},
      {"--plan blocks --count 3", "--block-size"},
      {"--plan blocks --count 3 --block-size 50", "--blocks"},
      {"--plan random --count 3 --staggered", "goes with --plan systematic"},
      {"--plan stratified --given 1:4", "CODE=POINTS"},
      {"--plan stratified --given 1=99999999999", "CODE=POINTS"},
      {"--plan stratified --split proportional", "--count"},
      {"--plan stratified --split proportional --count 9 --given 1=4", "--given"},
      {"--plan stratified --per-class 2 --class 1", "--class"},
      {"--plan random --count 3 --within 1 2 3", "--within"},
      {"--plan random --count 20000000", "--count"}};
  for (const auto& [call, said] : wrong) {
    EXPECT_EQ(points(call), 2) << call;
    EXPECT_NE(err().find(said), std::string::npos) << call << ": " << err();
  }
  EXPECT_EQ(points("--plan random --count 3 --within 5 2 3 4"), 1);
  EXPECT_EQ(points("--plan random --count 3 --system Mars"), 1);
  EXPECT_FALSE(fs::exists(folder_ / "p.gpkg"));
}

}  // namespace
}  // namespace zp
