// Cells and zones as steps of a study.
#include <cmath>

#include "base/text.h"
#include "study/run_sheet.h"
#include "study/step.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

class ZoneSteps : public ::testing::Test {
 protected:
  void SetUp() override {
    may_ = addRadar("Heron May", "2031-05-01", 0.01f, 0.03f);
    june_ = addRadar("Heron June", "2031-06-01", 0.02f, 0.2f);
    Product map;
    map.name = "Cover";
    map.kind = ProductKind::ClassMap;
    std::vector<uint16_t> codes(grid_.pixels());
    for (size_t i = 0; i < codes.size(); ++i) codes[i] = i % 20 < 10 ? 4 : 7;
    map.file = writeCodes(folder_ / "map.tif", grid_, codes);
    map.facts = {{"classes", Json::array()}};
    map_ = study_.addProduct(map);
    writeAreas(folder_ / "beds.gpkg", {{7, "left", box(2, 6)}, {8, "both", box(8, 12)}});
    StudyOutline beds;
    beds.name = "Beds";
    beds.layer = (folder_ / "beds.gpkg").string();
    beds_ = study_.addOutline(beds);
  }
  std::string addRadar(const std::string& name, const std::string& date, float left, float right) {
    std::vector<float> values(grid_.pixels());
    for (size_t i = 0; i < values.size(); ++i) values[i] = i % 20 < 10 ? left : right;
    Scene s = openScene(writeFloats(folder_ / (name + ".tif"), grid_, {values}, {"vh"}));
    s.name = name;
    s.date = date;
    s.state = ValueState::BackscatterPower;
    setRoles(s, {{"vh", 1}});
    return study_.addScene(s);
  }
  Ring box(double left, double right) {
    return {grid_.toMap(left, left), grid_.toMap(right, left), grid_.toMap(right, right),
            grid_.toMap(left, right)};
  }
  Json zones(Json more) {
    Json j{{"do", "zones"}, {"name", "Zones"}, {"statistics", {"mean", "count"}}};
    j.update(more);
    return j;
  }
  std::string run(const Json& step) { return study_.addProduct(runStep(study_, step, Progress())); }
  Table tableOf(const std::string& id) { return readTable(study_.product(id)->file.string()); }
  std::string said(const Json& step) {
    return sentenceOf([&] { run(step); });
  }
  const Grid grid_ = metricGrid(20, 16);
  Folder folder_;
  Study study_ = Study::create(folder_ / "study", "Sample");
  std::string may_, june_, map_, beds_;
};

TEST_F(ZoneSteps, ASeasonOfRadarByZoneAndDate) {
  const auto id =
      run(zones({{"outline", beds_}, {"from", {may_, june_}}, {"rows", "zones-and-dates"}}));
  const Table t = tableOf(id);
  EXPECT_EQ(t.columns,
            (std::vector<std::string>{"code", "name", "date", "layer", "mean", "count"}));
  ASSERT_EQ(t.rows.size(), 4u);
  EXPECT_EQ(t.rows[1][2], "2031-05-01");
  EXPECT_EQ(t.rows[1][3], "vh dB");
  // Half of it 0.01, half 0.03: averaged as power.
  EXPECT_NEAR(*parseNumber(t.rows[1][4]), 10 * std::log10(0.02), 1e-6);
  EXPECT_NEAR(*parseNumber(t.rows[3][4]), 10 * std::log10(0.11), 1e-6);
  EXPECT_EQ(study_.product(id)->inputs.size(), 3u);
  // A column a date.
  const Table wide = tableOf(run(zones({{"outline", beds_}, {"from", {may_, june_}}})));
  EXPECT_EQ(wide.columns[2], "Heron May vh dB_mean");
  EXPECT_EQ(wide.columns[4], "Heron June vh dB_mean");
  EXPECT_EQ(wide.rows[1][4], t.rows[3][4]);
}

TEST_F(ZoneSteps, EveryLayerIsAskedWhatItCanTell) {
  const auto id = run(zones(
      {{"outline", beds_}, {"from", {map_, may_}}, {"statistics", {"mean", "majority", "share"}}}));
  const Table t = tableOf(id);
  EXPECT_EQ(t.columns, (std::vector<std::string>{"code", "name", "Cover_majority", "Cover_share_4",
                                                 "Cover_share_7", "Heron May vh dB_mean"}));
  EXPECT_EQ(t.rows[1][3], "0.5");
  EXPECT_NE(said(zones({{"outline", beds_}, {"from", {map_}}, {"statistics", {"mean"}}}))
                .find("“Cover” holds classes"),
            std::string::npos);
  EXPECT_NE(said(zones({{"outline", beds_}, {"from", {may_}}, {"statistics", {"share"}}}))
                .find("holds no classes"),
            std::string::npos);
}

TEST_F(ZoneSteps, CellsAreLaidAndSummarised) {
  const auto cells = run({{"do", "cells"},
                          {"over", may_},
                          {"form", "squares"},
                          {"size", 80.0},
                          {"name", "Cells of 80 m"}});
  EXPECT_EQ(study_.product(cells)->kind, ProductKind::Cells);
  EXPECT_EQ(study_.product(cells)->facts["cells"], 6);
  const Table t = tableOf(run(zones(
      {{"cells", cells}, {"from", {map_}}, {"statistics", {"share"}}, {"pixels", "by-area"}})));
  ASSERT_EQ(t.rows.size(), 6u);
  EXPECT_EQ(t.rows[1][1], "0.25");  // columns 8 to 16, of which 8 and 9 are 4
  // Cells that are smaller than the pixels behind them share those.
  const auto small = run({{"do", "cells"},
                          {"over", may_},
                          {"form", "squares"},
                          {"size", 4.0},
                          {"name", "Cells of 4 m"}});
  const auto shared = run(zones({{"cells", small}, {"from", {may_}}, {"pixels", "by-area"}}));
  const Json& behind = study_.product(shared)->facts["distinct_pixels"]["mean"];
  EXPECT_EQ(behind["values"], 2000);
  EXPECT_EQ(behind["pixels"], grid_.pixels());
  const auto centres = run({{"do", "cells"},
                            {"over", map_},
                            {"form", "hexagons"},
                            {"count", 9},
                            {"inside", beds_},
                            {"what", "centres"},
                            {"name", "Centres"}});
  EXPECT_EQ(study_.product(centres)->kind, ProductKind::Points);
  EXPECT_EQ(study_.product(centres)->facts["points"],
            readLayer(study_.product(centres)->file.string()).shapes.size());
  const auto pixels = run({{"do", "cells"}, {"over", june_}, {"form", "pixels"}, {"name", "P"}});
  EXPECT_EQ(study_.product(pixels)->facts["cells"], grid_.pixels());
}

TEST_F(ZoneSteps, TheRecordRunsAgain) {
  study_.products.clear();  // the map is no step's
  const auto cells = run(
      {{"do", "cells"}, {"over", may_}, {"form", "squares"}, {"size", 80.0}, {"name", "Cells"}});
  const auto id = run(zones({{"cells", cells}, {"from", {june_}}}));
  const auto beds = run(zones({{"outline", beds_}, {"from", {june_}}, {"name", "Beds by June"}}));
  std::vector<Sentence> warnings;
  const Json record = recordOf(study_, warnings);
  EXPECT_EQ(record["steps"].size(), 3u);
  runSheet(study_, record, Progress(), [](const Product&) {});
  EXPECT_EQ(textOf(study_.products.back().file), textOf(study_.product(beds)->file));
  EXPECT_EQ(tableOf(study_.products[study_.products.size() - 2].id).rows, tableOf(id).rows);
}

TEST_F(ZoneSteps, WhatCannotBeAsked) {
  EXPECT_NE(said(zones({{"from", {may_}}})).find("in which outline or in which cells"),
            std::string::npos);
  EXPECT_NE(said(zones({{"outline", beds_}})).find("Nothing is chosen"), std::string::npos);
  EXPECT_NE(said(zones({{"outline", "o99"}, {"from", {may_}}})).find("is gone"), std::string::npos);
  EXPECT_NE(said(zones({{"outline", beds_}, {"from", {may_}}, {"statistics", {"meen"}}}))
                .find("Did you mean “mean”"),
            std::string::npos);
  EXPECT_NE(said({{"do", "cells"}, {"over", may_}, {"form", "squares"}, {"name", "C"}})
                .find("how large the cells are"),
            std::string::npos);
  EXPECT_NE(
      said({{"do", "cells"}, {"over", may_}, {"form", "squares"}, {"size", -4}, {"name", "C"}})
          .find("more than 0"),
      std::string::npos);
}

}  // namespace
}  // namespace zp
