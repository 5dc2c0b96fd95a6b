// Tables from elsewhere, with and without coordinates, and points that bring their classes along.
#include "accuracy/labels_file.h"
#include "grid/crs.h"
#include "outline/points_from_table.h"
#include "study/step.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;
using Cells = std::vector<std::string>;

class ImportTable : public ::testing::Test {
 protected:
  std::string write(const std::string& text) {
    std::ofstream(folder_ / "seen.csv", std::ios::binary) << text;
    return (folder_ / "seen.csv").string();
  }
  Json step(Json more = Json::object()) {
    Json j{{"do", "import-table"}, {"file", (folder_ / "seen.csv").string()}, {"name", "Seen"}};
    j.update(more);
    return j;
  }
  std::string run(const Json& step) { return study_.addProduct(runStep(study_, step, Progress())); }
  const Product& product(const std::string& id) { return *study_.product(id); }
  const Grid grid_ = metricGrid(20, 16);
  Folder folder_;
  Study study_ = Study::create(folder_ / "study", "Sample");
};

TEST_F(ImportTable, ATable) {
  write("bed;water;seen\n1;12,5;2031-05-01\n2;;2031-05-02\n");
  const auto id = run(step());
  EXPECT_EQ(product(id).kind, ProductKind::Table);
  const Table t = readTable(product(id).file.string());
  EXPECT_EQ(t.columns, (Cells{"bed", "water", "seen"}));
  EXPECT_EQ(t.rows[0], (Cells{"1", "12.5", "2031-05-01"}));
  EXPECT_EQ(product(id).facts["rows"], 2);
  // As somebody says it is.
  write("a,b;c\n1,2;3\n");
  const auto other = run(step({{"separator", "semicolon"}, {"decimal", "comma"}}));
  EXPECT_EQ(readTable(product(other).file.string()).rows[0], (Cells{"1.2", "3"}));
  EXPECT_THROW(run(step({{"separator", "bar"}})), Error);
  write("a,b\n1\n");
  EXPECT_NE(sentenceOf([&] { run(step()); }).find("Line 2"), std::string::npos);
  EXPECT_EQ(study_.products.size(), 2u);
}

TEST_F(ImportTable, PointsInTheirSystem) {
  write("id,lat,lon,kind\n1,45.1,-21.5,reed\n2,,-21.4,reed\n3,45.2,-21.3,water\n");
  const auto id = run(step({{"x", "lon"}, {"y", "lat"}, {"system", "EPSG:4326"}}));
  EXPECT_EQ(product(id).kind, ProductKind::Points);
  EXPECT_EQ(product(id).facts["points"], 2);
  EXPECT_EQ(product(id).facts["without_place"], 1);
  const Layer layer = readLayer(product(id).file.string());
  EXPECT_EQ(placesOf(layer)[1], (Place{-21.3, 45.2}));
  EXPECT_TRUE(crsIsGeographic(layer.crs));
  EXPECT_EQ(layer.table.rows[1][layer.table.column("kind")], "water");
}

TEST_F(ImportTable, CoordinatesThatAreNone) {
  const auto said = [&](const std::string& text, const Coordinates& at) {
    write(text);
    return sentenceOf([&] { run(step({{"x", at.x}, {"y", at.y}, {"system", at.system}})); });
  };
  const std::string text = "x,y\n500000,abc\n";
  EXPECT_NE(said(text, {"x", "y", "EPSG:32627"}).find("“abc” in row 1"), std::string::npos);
  EXPECT_NE(said("x,y\n21,145\n", {"x", "y", "EPSG:4326"}).find("exchanged"), std::string::npos);
  EXPECT_NE(said("x,y\n,\n", {"x", "y", "EPSG:32627"}).find("No row"), std::string::npos);
  EXPECT_NE(said("x,y\n1,2\n", {"x", "x", "EPSG:32627"}).find("name two"), std::string::npos);
  EXPECT_NE(said("x,y\n1,2\n", {"x", "z", "EPSG:32627"}).find("“z”"), std::string::npos);
  EXPECT_FALSE(said("x,y\n1,2\n", {"x", "y", "here"}).empty());
  EXPECT_THROW(run(step({{"x", "x"}})), Error);
  EXPECT_TRUE(study_.products.empty());
}

TEST_F(ImportTable, PointsFromElsewhereAreLabelledByTheirColumn) {
  study_.legend.add({4, "Reedbed", {}, {}, {}});
  study_.legend.add({7, "Open water", {}, {}, {}});
  Product map;
  map.name = "Cover";
  map.kind = ProductKind::ClassMap;
  map.file = writeCodes(folder_ / "map.tif", grid_, std::vector<uint16_t>(grid_.pixels(), 4));
  map.facts = {{"classes", Json::array()}};
  const auto mapId = study_.addProduct(map);
  std::string text = "id,x,y,seen\n";
  const char* seen[] = {"Reedbed", "open water", "7", "lake", "unknown", ""};
  for (int i = 0; i < 6; ++i) {
    const Place p = grid_.toMap(i + 0.5, 2.5);
    text += std::to_string(i + 1) + "," + std::to_string(p.x) + "," + std::to_string(p.y) + "," +
            seen[i] + "\n";
  }
  write(text);
  const auto points = run(step({{"x", "x"}, {"y", "y"}, {"system", crsName(grid_.crs)}}));
  Json labels{{"do", "labels"}, {"points", points}, {"map", mapId},          {"seed", 3},
              {"name", "L"},    {"field", "seen"},  {"match", {{"lake", 7}}}};
  const auto id = run(labels);
  EXPECT_EQ(product(id).facts["without_class"], 2);
  const Labelling labelling = readLabels(product(id).file).labelling;
  EXPECT_EQ(labelling.labelled(), 4u);
  EXPECT_FALSE(labelling.closed());  // two are still to be labelled
  const int expected[] = {4, 7, 7, 7, 0, 0};
  for (const auto& p : labelling.points()) EXPECT_EQ(p.reference, expected[p.id - 1]) << p.id;
  labels["field"] = "x";
  EXPECT_NE(sentenceOf([&] { run(labels); }).find("is a class of the legend"), std::string::npos);
}

}  // namespace
}  // namespace zp
