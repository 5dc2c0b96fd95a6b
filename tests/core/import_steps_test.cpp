// What a study brings in from elsewhere: class maps of rasters and polygons, quantities; and a
// season as a stack.
#include <cmath>

#include "index/import_classes.h"
#include "outline/scanline.h"
#include "study/step.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

class ImportSteps : public ::testing::Test {
 protected:
  void SetUp() override {
    study_ = Study::create(folder_ / "study", "Sample");
    study_->legend.add({4, "reedbed", {186, 150, 88}, "", {}});
    study_->legend.add({1, "open water", {58, 110, 165}, "", {}});
  }
  const Product& run(const Json& step) {
    const std::string id = study_->addProduct(runStep(*study_, step, Progress()));
    return *study_->product(id);
  }
  std::string addScene(const std::string& date, float vv) {
    const Grid g = metricGrid(6, 5);
    Scene s = openScene(writeFloats(folder_ / ("r" + date + ".tif"), g,
                                    {std::vector<float>(30, vv), std::vector<float>(30, vv / 5)},
                                    {"vv", "vh"}));
    s.name = "Heron " + date, s.date = date, s.state = ValueState::BackscatterPower;
    return study_->addScene(s);
  }
  Folder folder_;
  std::optional<Study> study_;
};

TEST_F(ImportSteps, AClassMapOfARaster) {
  testing::writeCodes(folder_ / "theirs.tif", metricGrid(3, 2), {11, 12, 13, 11, 0, 12});
  const Product& map = run({{"do", "import-classes"},
                            {"name", "Theirs"},
                            {"file", (folder_ / "theirs.tif").string()},
                            {"date", "2030-06-01"},
                            {"match", {{"11", 4}, {"12", 1}}}});
  EXPECT_EQ(map.kind, ProductKind::ClassMap);
  EXPECT_EQ(map.date, "2030-06-01");
  EXPECT_EQ(readCodes(map.file), (std::vector<uint16_t>{4, 1, 0, 4, 0, 1}));
  EXPECT_EQ(map.facts["classes"].size(), 2u);
  const auto before = Folder::namesIn(study_->folder() / "products");
  EXPECT_NE(sentenceOf([&] {
              run({{"do", "import-classes"},
                   {"name", "Theirs"},
                   {"file", (folder_ / "theirs.tif").string()},
                   {"match", {{"11", 9}}}});
            }).find("no class 9"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              run({{"do", "import-classes"},
                   {"name", "Gone"},
                   {"file", (folder_ / "gone.tif").string()},
                   {"match", {{"11", 4}}}});
            }).find("does not exist"),
            std::string::npos);
  EXPECT_EQ(Folder::namesIn(study_->folder() / "products"), before);
}

TEST_F(ImportSteps, AClassMapOfPolygonsLiesOnTheScenesPixels) {
  const std::string scene = addScene("2031-04-27", 0.1f);
  const Extent e = metricGrid(6, 5).extent();
  const auto left =
      Ring{{e.left, e.bottom}, {e.left + 30, e.bottom}, {e.left + 30, e.top}, {e.left, e.top}};
  writeAreas(folder_ / "a.gpkg", {{7, "reeds", left}});
  const auto layers = layersOf(folder_ / "a.gpkg");
  const Layer layer = readLayer((folder_ / "a.gpkg").string() + ":" + layers[0].first);
  const std::string field = layer.table.columns[1];
  const Product& map = run({{"do", "import-classes"},
                            {"name", "Reeds"},
                            {"file", (folder_ / "a.gpkg").string() + ":" + layers[0].first},
                            {"field", field},
                            {"scene", scene},
                            {"match", {{layer.table.rows[0][1], 4}}}});
  const auto codes = readCodes(map.file);
  ASSERT_EQ(codes.size(), 30u);
  for (size_t i = 0; i < codes.size(); ++i) EXPECT_EQ(codes[i], i % 6 < 3 ? 4 : 0) << i;
}

TEST_F(ImportSteps, AQuantityKeepsItsUnitPeriodAndGaps) {
  writeFloats(folder_ / "rain.tif", metricGrid(3, 1, 50), {{2, -9999, 5}}, {}, -9999);
  const Product& rain = run({{"do", "import-quantity"},
                             {"name", "Rain"},
                             {"file", (folder_ / "rain.tif").string()},
                             {"unit", "mm"},
                             {"from", "2031-06-01"},
                             {"to", "2031-06-30"}});
  EXPECT_EQ(rain.kind, ProductKind::Quantity);
  EXPECT_EQ(rain.date, "2031-06-30");
  EXPECT_EQ(rain.facts["valid"], 2);
  EXPECT_EQ(rain.facts["mean"], 3.5);
  EXPECT_EQ(rain.facts["period"], Json({"2031-06-01", "2031-06-30"}));
  const RasterFile file(rain.file);
  EXPECT_EQ(file.facts(1).unit, "mm");
  EXPECT_EQ(file.metadata().at("period_from"), "2031-06-01");
  const auto values = readFloats(rain.file);
  EXPECT_EQ(values[0], 2);
  EXPECT_TRUE(std::isnan(values[1]));
  // It can be made again from its source.
  const Product again = runStep(*study_, rain.step, Progress(), &rain);
  EXPECT_EQ(again.revision, rain.revision + 1);
}

TEST_F(ImportSteps, ASeasonIsAStackOfDates) {
  const std::string april = addScene("2031-04-27", 0.1f), june = addScene("2031-06-08", 0.3f);
  const Json bands = Json::array({{{"scene", april}, {"band", 0}, {"dated", true}},
                                  {{"scene", june}, {"band", 0}, {"dated", true}}});
  run({{"do", "stack"}, {"name", "Season of vv"}, {"bands", bands}, {"type", "float32"}});
  const Scene& stack = study_->scenes.back().scene;
  ASSERT_EQ(stack.bands.size(), 2u);
  EXPECT_EQ(stack.bands[1].name, "vv on 2031-06-08");
  EXPECT_TRUE(stack.roles().empty());
  EXPECT_TRUE(stack.isRadar());
  EXPECT_FLOAT_EQ(readFloats(stack.bands[1].file, 2)[0], 0.3f);
}

TEST(BroughtTo, AnExtentHoldsWhatItHeldBefore) {
  const std::string utm = crsFrom("EPSG:32627"), degrees = crsFrom("EPSG:4326");
  const Extent square{480000, 5700000, 560000, 5760000};
  const auto there = broughtTo(square, utm, degrees);
  ASSERT_TRUE(there);
  const CrsChange change(utm, degrees);
  for (double x = square.left; x <= square.right; x += 7000)
    for (double y = square.bottom; y <= square.top; y += 7000) {
      Place p{x, y};
      ASSERT_TRUE(change.apply(p));
      EXPECT_TRUE(p.x >= there->left - 1e-4 && p.x <= there->right + 1e-4);
      EXPECT_TRUE(p.y >= there->bottom - 1e-4 && p.y <= there->top + 1e-4);
    }
  EXPECT_EQ(broughtTo(square, utm, utm)->left, square.left);
}

TEST(BringOnto, TheWindowThatHoldsPolygons) {
  const Grid g = metricGrid(50, 40);
  const Extent e = g.extent();
  std::vector<Shape> shapes{
      {{{{e.left + 101, e.top - 99}, {e.left + 199, e.top - 99}, {e.left + 199, e.top - 203}}},
       {}}};
  Window w = bringOnto(g, g.crs, shapes);
  EXPECT_EQ(w.x, 10);
  EXPECT_EQ(w.y, 9);
  EXPECT_EQ(w.width, 10);
  EXPECT_EQ(w.height, 12);
  // In degrees, and beyond the grid on all sides.
  std::vector<Shape> outside{
      {{{{e.left - 900, e.top + 90}, {e.left - 800, e.top + 90}, {e.left - 800, e.top + 190}}},
       {}}};
  w = bringOnto(g, g.crs, outside);
  EXPECT_EQ(w.pixels(), 1u);
  const CrsChange toDegrees(g.crs, crsFrom("EPSG:4326"));
  for (auto& p : shapes[0].rings[0]) toDegrees.apply(p);
  w = bringOnto(g, crsFrom("EPSG:4326"), shapes);
  EXPECT_EQ(w.x, 10);
  EXPECT_EQ(w.width, 10);
}

TEST(ClassMatch, ByNameThenByCodeAndNoCodeBeyondThem) {
  Legend ours;
  ours.add({1, "open water", {}, "", {}});
  ours.add({4, "reedbed", {}, "", {}});
  const auto match = suggestMatch(
      {{"7", " Reedbed"}, {"1", "lake"}, {"4294967297", "far"}, {"0", "none"}, {"x", "x"}}, ours);
  EXPECT_EQ(match, (CodeMatch{{"7", 4}, {"1", 1}}));
}

}  // namespace
}  // namespace zp
