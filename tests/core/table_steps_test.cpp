// Tables and joins as steps of a study, and the places their rows keep.
#include "study/run_sheet.h"
#include "study/step.h"
#include "study/table_places.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;
using Cells = std::vector<std::string>;

class TableSteps : public ::testing::Test {
 protected:
  void SetUp() override {
    Scene s = openScene(writeFloats(folder_ / "a.tif", grid_, {ramp()}, {"nir"}));
    s.name = "Finch";
    s.date = "2031-07-18";
    scene_ = study_.addScene(s);
    points_ = addPoints({{1.5, 1.5}, {12.5, 1.5}, {1.6, 1.6}});
    writeAreas(folder_ / "beds.gpkg", {{7, "left", box(0, 6)}, {8, "right", box(10, 16)}});
    StudyOutline beds;
    beds.name = "Beds";
    beds.layer = (folder_ / "beds.gpkg").string();
    beds_ = study_.addOutline(beds);
    readings_ =
        run({{"do", "readings"}, {"points", points_}, {"from", {scene_}}, {"name", "Readings"}});
  }
  std::vector<float> ramp() {
    std::vector<float> values(grid_.pixels());
    for (size_t i = 0; i < values.size(); ++i) values[i] = static_cast<float>(i);
    return values;
  }
  std::string addPoints(const std::vector<std::pair<double, double>>& at) {
    Json places = Json::array();
    for (const auto& [column, row] : at)
      places.push_back({grid_.toMap(column, row).x, grid_.toMap(column, row).y});
    return run({{"do", "points"},
                {"plan", "by-hand"},
                {"over", scene_},
                {"places", places},
                {"name", "Points"}});
  }
  Ring box(double left, double right) {
    return {grid_.toMap(left, 0), grid_.toMap(right, 0), grid_.toMap(right, 6),
            grid_.toMap(left, 6)};
  }
  std::string run(const Json& step) { return study_.addProduct(runStep(study_, step, Progress())); }
  const Product& product(const std::string& id) { return *study_.product(id); }
  Table tableOf(const std::string& id) { return readTable(product(id).file.string()); }
  std::vector<size_t> placesOf(const std::string& id) {
    const auto places = placesOfRows(product(id), tableOf(id));
    return places ? places->rows : std::vector<size_t>{99};
  }
  std::string table(const Json& edits) {
    return run({{"do", "table"}, {"table", readings_}, {"edits", edits}, {"name", "T"}});
  }
  std::string join(Json more) {
    Json step{{"do", "join-tables"}, {"name", "J"}};
    step.update(more);
    return run(step);
  }
  const Grid grid_ = metricGrid(20, 16);
  Folder folder_;
  Study study_ = Study::create(folder_ / "study", "Sample");
  std::string scene_, points_, beds_, readings_;
};

TEST_F(TableSteps, EditsMakeATableThatKnowsItsPlaces) {
  EXPECT_EQ(placesOf(readings_), (std::vector<size_t>{0, 1, 2}));
  const auto id = table({{{"add", "twice"}, {"formula", "{Finch nir} * 2"}},
                         {{"sort", "Finch nir"}, {"down", true}},
                         {{"keep", "twice > 0"}}});
  const Table t = tableOf(id);
  EXPECT_EQ(t.columns, (Cells{"id", "x", "y", "Finch nir", "twice", "place"}));
  ASSERT_EQ(t.rows.size(), 3u);
  EXPECT_EQ(t.rows[0][3], "32");
  EXPECT_EQ(t.rows[0][4], "64");
  EXPECT_EQ(placesOf(id), (std::vector<size_t>{1, 0, 2}));
  EXPECT_EQ(product(id).facts["sources"]["Finch nir"]["of"], scene_);
  EXPECT_EQ(product(id).facts["distinct_pixels"]["Finch nir"]["pixels"], 2);
  EXPECT_EQ(product(id).inputs[0].id, readings_);
  // A renamed column keeps what is known of it; a table with fewer rows does not keep the counts.
  const auto renamed = table({{{"rename", "Finch nir"}, {"to", "nir"}}, {{"keep", "id = 2"}}});
  EXPECT_EQ(product(renamed).facts["sources"]["nir"]["of"], scene_);
  EXPECT_FALSE(product(renamed).facts.contains("distinct_pixels"));
  EXPECT_EQ(placesOf(renamed), (std::vector<size_t>{1}));
  // A table of a table.
  const auto again =
      run({{"do", "table"}, {"table", id}, {"edits", {{{"keep", "id < 3"}}}}, {"name", "Again"}});
  EXPECT_EQ(placesOf(again), (std::vector<size_t>{1, 0}));
}

TEST_F(TableSteps, ASummaryHasNoPlaces) {
  const auto id =
      table({{{"add", "side"}, {"formula", "when {Finch nir} > 25 then \"b\" else \"a\""}},
             {{"group", {"side"}}, {"of", {"Finch nir"}}}});
  EXPECT_EQ(tableOf(id).rows.size(), 2u);
  EXPECT_EQ(placesOf(id), (std::vector<size_t>{99}));
}

TEST_F(TableSteps, AFormulaThatIsWrongLeavesNothing) {
  const size_t before = study_.products.size();
  EXPECT_THROW(table({{{"keep", "none > 1"}}}), Error);
  EXPECT_THROW(table({{{"turn", "id"}}}), Error);
  EXPECT_THROW(table("keep"), Error);
  EXPECT_THROW(run({{"do", "table"}, {"table", points_}, {"edits", Json::array()}, {"name", "T"}}),
               Error);
  EXPECT_EQ(study_.products.size(), before);
}

TEST_F(TableSteps, JoinsByPlaceAndByKey) {
  const auto byPlace = join({{"one", readings_}, {"other", beds_}, {"place", "within"}});
  EXPECT_EQ(tableOf(byPlace).columns,
            (Cells{"id", "x", "y", "Finch nir", "code", "name", "matches"}));
  EXPECT_EQ(tableOf(byPlace).rows[1][5], "right");
  EXPECT_EQ(product(byPlace).facts["matched"], 3);
  EXPECT_EQ(product(byPlace).facts["sources"]["Finch nir"]["of"], scene_);
  EXPECT_EQ(placesOf(byPlace), (std::vector<size_t>{0, 1, 2}));
  // A row for each of several: the places go along.
  const auto all = join({{"one", beds_}, {"other", readings_}, {"place", "nearest"}});
  EXPECT_EQ(placesOf(all), (std::vector<size_t>{0, 1}));
  const auto keyed = table({{{"add", "code"}, {"formula", "when id = 2 then 8 else 7"}}});
  const auto several =
      join({{"one", beds_}, {"other", keyed}, {"by", {"code"}}, {"several", "all"}});
  EXPECT_EQ(product(several).facts["several"], 1);
  EXPECT_EQ(placesOf(several), (std::vector<size_t>{0, 0, 1}));
  EXPECT_EQ(study_.product(several)->inputs.size(), 2u);
  // Recorded, it is run again elsewhere.
  std::vector<Sentence> warnings;
  const Json steps = recordOf(study_, warnings)["steps"];
  EXPECT_EQ(steps.back()["do"], "join-tables");
  EXPECT_EQ(steps.back()["one"], "Beds");
}

TEST_F(TableSteps, JoinsThatCannotBe) {
  EXPECT_THROW(join({{"one", readings_}, {"other", beds_}}), Error);
  EXPECT_THROW(join({{"one", readings_}, {"other", beds_}, {"by", {"id"}}, {"place", "within"}}),
               Error);
  EXPECT_THROW(
      join({{"one", readings_}, {"other", beds_}, {"by", {"id", "x"}}, {"other_by", {"code"}}}),
      Error);
  EXPECT_THROW(join({{"one", readings_}, {"other", scene_}, {"by", {"id"}}}), Error);
  const auto summary = table({{{"group", {"id"}}, {"of", Json::array()}}});
  EXPECT_NE(sentenceOf([&] {
              join({{"one", summary}, {"other", beds_}, {"place", "within"}});
            }).find("need places"),
            std::string::npos);
}

TEST_F(TableSteps, ReadingsWithARowAPointAndDate) {
  Scene later = openScene(writeFloats(folder_ / "b.tif", grid_, {ramp()}, {"nir"}));
  later.name = "Finch later";
  later.date = "2031-09-01T10:00:00Z";
  later.bands[0].name = study_.scene(scene_)->scene.bands[0].name;
  const auto second = study_.addScene(later);
  const auto id = run({{"do", "readings"},
                       {"points", points_},
                       {"from", {scene_, second}},
                       {"attributes", {beds_}},
                       {"rows", "points-and-dates"},
                       {"name", "Long"}});
  const Table t = tableOf(id);
  ASSERT_EQ(t.rows.size(), 6u);
  EXPECT_EQ(t.columns, (Cells{"id", "x", "y", "Beds code", "Beds name", "date", "layer", "value"}));
  const std::string band = later.bands[0].name;
  EXPECT_EQ(Cells(t.rows[1].begin() + 3, t.rows[1].end()),
            (Cells{"8", "right", "2031-07-18", band, "32"}));
  EXPECT_EQ(Cells(t.rows[4].begin() + 3, t.rows[4].end()),
            (Cells{"8", "right", "2031-09-01", band, "32"}));
  EXPECT_EQ(placesOf(id), (std::vector<size_t>{0, 1, 2, 0, 1, 2}));
  // Two of the points share a pixel, at both dates.
  EXPECT_EQ(product(id).facts["distinct_pixels"]["value"], (Json{{"values", 6}, {"pixels", 4}}));
}

TEST_F(TableSteps, PointsReadTheColumnsOfPolygonsAndOfTheNearest) {
  const auto points = addPoints({{1.5, 1.5}, {7.5, 1.5}, {12.5, 1.5}, {8, 3}});
  const auto id = run({{"do", "readings"},
                       {"points", points},
                       {"from", {scene_}},
                       {"attributes", {beds_}},
                       {"nearest", {beds_, points_}},
                       {"name", "Read"}});
  const Table t = tableOf(id);
  const auto column = [&](const std::string& name) {
    Cells cells;
    for (const auto& row : t.rows) cells.push_back(row[t.column(name)]);
    return cells;
  };
  EXPECT_EQ(column("Beds name"), (Cells{"left", "", "right", ""}));
  EXPECT_EQ(column("Beds name_2"), (Cells{"left", "left", "right", "left"}));
  EXPECT_EQ(column("Beds distance"), (Cells{"0", "15", "0", "20"}));
  EXPECT_EQ(column("Points distance")[0], "0");
  const Json& facts = product(id).facts;
  EXPECT_EQ(facts["sources"]["Beds distance"]["unit"], "m");
  EXPECT_EQ(facts["attributes"][0], (Json{{"layer", "Beds"}, {"none", 2}, {"several", 0}}));
  EXPECT_EQ(facts["attributes"][1], (Json{{"layer", "Beds"}, {"none", 0}, {"several", 1}}));
  EXPECT_EQ(placesOf(id), (std::vector<size_t>{0, 1, 2, 3}));
  // Without any raster too, and out of date once the outline is.
  const auto alone =
      run({{"do", "readings"}, {"points", points}, {"attributes", {beds_}}, {"name", "Alone"}});
  EXPECT_EQ(tableOf(alone).columns.back(), "Beds name");
  EXPECT_EQ(product(alone).inputs.size(), 2u);
  const auto wrong = [&](const char* field, const std::string& of) {
    return sentenceOf([&] {
      run({{"do", "readings"}, {"points", points}, {field, {of}}, {"name", "W"}});
    });
  };
  EXPECT_NE(wrong("attributes", points_).find("no polygons"), std::string::npos);
  EXPECT_NE(wrong("nearest", readings_).find("no places of its own"), std::string::npos);
  EXPECT_NE(wrong("attributes", "o77").find("gone"), std::string::npos);
}

}  // namespace
}  // namespace zp
