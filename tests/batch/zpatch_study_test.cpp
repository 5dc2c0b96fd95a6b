// Calls that work in a study: its record, and run sheets.
#include "study/run_sheet.h"
#include "study/step.h"
#include "study/steps/step_kind.h"
#include "zpatch_run.h"

namespace zp {
namespace {

using namespace zp::testing;

class ZpatchStudy : public ZpatchRun {
 protected:
  void SetUp() override {
    Study study = Study::create(folder_ / "study", "Small");
    const Grid g = metricGrid(20, 20);
    std::vector<float> rising(g.pixels());
    for (size_t i = 0; i < rising.size(); ++i) rising[i] = static_cast<float>(i % 20) / 20;
    Scene s =
        openScene(writeFloats(folder_ / "study/spring.tif", g,
                              {rising, std::vector<float>(g.pixels(), 0.4f)}, {"red", "nir"}));
    s.name = "Spring";
    study.addScene(s);
    study.save();
  }
  void write(const std::string& name, const Json& steps) {
    writeJson(folder_ / name,
              {{"format", "zany-patch-run-sheet"}, {"version", 1}, {"steps", steps}});
  }
  static Json index(const std::string& name, const std::string& formula) {
    return {{"do", "index"}, {"scene", "Spring"}, {"formula", formula}, {"name", name}};
  }
};

TEST_F(ZpatchStudy, ASheetIsRunAndItsRecordRunsInAnother) {
  const Json seven = {{"as", "seven"}, {"do", "points"}, {"over", "Spring"}, {"plan", "random"},
                      {"count", 7},    {"seed", 3},      {"name", "Seven"}};
  Json first = index("Difference", "nir - red");
  first["as"] = "first";
  write("sheet.json",
        {first,
         seven,
         {{"do", "readings"}, {"points", "seven"}, {"from", {"first"}}, {"name", "Read"}}});
  fs::copy(folder_ / "study", folder_ / "other", fs::copy_options::recursive);
  ASSERT_EQ(run("run sheet.json --study study --json"), 0) << err();
  const Json done = json();
  ASSERT_EQ(done["steps"].size(), 3u);
  EXPECT_EQ(done["steps"][0]["name"], "Difference");
  EXPECT_GT(done["steps"][0]["seconds"].get<double>(), 0);
  EXPECT_EQ(done["outputs"].size(), 3u);
  ASSERT_EQ(run("record --study study --out record.json --json"), 0) << err();
  EXPECT_EQ(json()["steps"], (Json{"Difference", "Seven", "Read"}));
  EXPECT_TRUE(json()["warnings"].empty());
  EXPECT_EQ(run("record --study study --out record.json"), 1);  // it is there already
  ASSERT_EQ(run("run record.json --study other --json"), 0) << err();
  for (const char* file : {"difference.tif", "seven.gpkg", "read.csv"})
    EXPECT_TRUE(textOf(folder_ / "study/products" / file) ==
                textOf(folder_ / "other/products" / file))
        << file;
  Study other = Study::open(folder_ / "other");
  EXPECT_EQ(other.products.size(), 3u);
  EXPECT_FALSE(other.outOfDate(other.products.back()));
}

/// The values of a raster's first band.
std::vector<float> valuesOf(const fs::path& file) {
  const RasterFile raster(file);
  const Grid& g = raster.grid();
  std::vector<float> values(g.pixels());
  raster.read(1, {0, 0, g.width, g.height}, values.data());
  for (float& v : values)
    if (std::isnan(v)) v = -1;
  return values;
}

// A call on files and the step of a study are the same work.
TEST_F(ZpatchStudy, ACallMakesWhatTheStepMakes) {
  Json slope = index("Slope", "red * 2");
  slope["as"] = "slope";
  write("sheet.json", {slope,
                       {{"as", "steps"},
                        {"do", "threshold"},
                        {"product", "slope"},
                        {"at", {0.5, 1.2}},
                        {"classes",
                         {{{"name", "low"}, {"colour", "#102030"}},
                          {{"name", "middle"}, {"colour", "#405060"}},
                          {{"name", "high"}, {"colour", "#708090"}}}},
                        {"name", "Steps"}},
                       {{"do", "points"},
                        {"over", "steps"},
                        {"plan", "stratified"},
                        {"count", 4},
                        {"seed", 9},
                        {"fields", "class"},
                        {"name", "Four each"}}});
  ASSERT_EQ(run("run sheet.json --study study"), 0) << err();
  ASSERT_EQ(run("index study/spring.tif --formula 'red * 2' --out slope.tif --json"), 0) << err();
  EXPECT_EQ(json()["valid"], 400);
  ASSERT_EQ(run("threshold slope.tif --at 0.5,1.2 --names low,middle,high --out steps.tif --json"),
            0)
      << err();
  EXPECT_EQ(json()["classes"].size(), 3u);
  ASSERT_EQ(run("points --plan stratified --over steps.tif --per-class 4 --seed 9 --with-class "
                "--out four.geojson --json"),
            0)
      << err();
  EXPECT_EQ(json()["points"], 12);
  EXPECT_EQ(json()["per_class"][2], (Json{{"code", 3}, {"name", "high"}, {"points", 4}}));
  for (const char* file : {"slope.tif", "steps.tif"})
    EXPECT_EQ(valuesOf(folder_ / file), valuesOf(folder_ / "study/products" / file)) << file;
  const Layer ours = readLayer((folder_ / "four.geojson").string()),
              studys = readLayer((folder_ / "study/products/four-each.gpkg").string());
  EXPECT_EQ(ours.table.rows, studys.table.rows);
  // On files nothing is added for quick looking.
  EXPECT_FALSE(fs::exists(folder_ / "slope.tif.ovr"));
}

TEST_F(ZpatchStudy, AMapIsMadeByAMethodOrByAModel) {
  {
    Study study = Study::open(folder_ / "study");
    const Grid& g = study.scenes[0].scene.grid;
    std::vector<TrainingArea> areas;
    for (int i = 0; i < 2; ++i) {
      const Place a = g.toMap(i * 12, 0), b = g.toMap(i * 12 + 6, 20);
      Shape shape;
      shape.rings = {{a, {b.x, a.y}, b, {a.x, b.y}, a}};
      areas.push_back({i + 1, i == 0 ? "dark" : "bright", "", shape});
    }
    study.setTraining(areas, g.crs);
    study.save();
    writeLayer(folder_ / "areas.gpkg", folder_ / "areas.gpkg", toLayer(areas, g.crs),
               {FieldType::Integer, FieldType::Text, FieldType::Text});
  }
  const Json step = {{"do", "map"}, {"scene", "Spring"}, {"name", "Cover"}};
  Json by = step, both = step;
  by["method"] = "minimum-distance";
  both["method"] = "minimum-distance", both["model"] = "model.json";
  for (const Json& wrong : {step, both}) {
    write("sheet.json", Json::array({wrong}));
    EXPECT_EQ(run("run sheet.json --study study"), 1);
    EXPECT_NE(err().find("by a method, or by a model"), std::string::npos) << err();
  }
  write("sheet.json", Json::array({by}));
  ASSERT_EQ(run("run sheet.json --study study"), 0) << err();
  // The same areas in a file, the model kept, and used again in the study.
  ASSERT_EQ(run("map study/spring.tif --training areas.gpkg --code code --name class --method "
                "minimum-distance --out cover.tif --model-out model.json"),
            0)
      << err();
  Json again = step;
  again["model"] = (folder_ / "model.json").string();
  again["name"] = "Cover again";
  write("sheet.json", Json::array({again}));
  ASSERT_EQ(run("run sheet.json --study study"), 0) << err();
  const auto cover = valuesOf(folder_ / "study/products/cover.tif");
  EXPECT_EQ(std::count(cover.begin(), cover.end(), -1.0f), 0);
  EXPECT_EQ(valuesOf(folder_ / "cover.tif"), cover);
  EXPECT_EQ(valuesOf(folder_ / "study/products/cover-again.tif"), cover);
}

TEST_F(ZpatchStudy, WhatWasMadeBeforeAFailureIsInTheStudy) {
  write("sheet.json", {index("First", "nir"), index("Second", "nowhere")});
  EXPECT_EQ(run("run sheet.json --study study"), 1);
  EXPECT_NE(err().find("Step 2 (“Second”)"), std::string::npos) << err();
  const Study study = Study::open(folder_ / "study");
  ASSERT_EQ(study.products.size(), 1u);
  EXPECT_EQ(Folder::namesIn(folder_ / "study/products"), std::vector<std::string>{"first.tif"});
}

TEST_F(ZpatchStudy, WrongCallsAndSheetsAreSaid) {
  EXPECT_EQ(run("run"), 2);
  EXPECT_EQ(run("run sheet.json"), 2);
  EXPECT_EQ(run("record --study study"), 2);
  EXPECT_EQ(run("run missing.json --study study"), 1);
  write("sheet.json", Json::array({index("First", "nir")}));
  EXPECT_EQ(run("run sheet.json --study nowhere"), 1);
  {
    const Study open = Study::open(folder_ / "study");
    EXPECT_EQ(run("run sheet.json --study study"), 1);
    EXPECT_NE(err().find("is open already"), std::string::npos) << err();
  }
  writeJson(folder_ / "legend.json", {{"format", "zany-patch-legend"}, {"version", 1}});
  EXPECT_EQ(run("run legend.json --study study"), 1);
  Json wrong = index("First", "nir");
  wrong["sceen"] = "Spring";
  write("wrong.json", Json::array({wrong}));
  EXPECT_EQ(run("run wrong.json --study study"), 1);
  EXPECT_NE(err().find("knows no “sceen”"), std::string::npos) << err();
  EXPECT_TRUE(Study::open(folder_ / "study").products.empty());
}

TEST_F(ZpatchStudy, EveryKindOfStepIsListed) {
  ASSERT_EQ(run("run --list --json"), 0) << err();
  const Json kinds = json()["kinds"];
  ASSERT_EQ(kinds.size(), stepKinds().size());
  EXPECT_EQ(kinds[0]["do"], "index");
  EXPECT_EQ(kinds[0]["fields"][1]["field"], "formula");
  ASSERT_EQ(run("run --list"), 0);
  const std::string text = textOf(folder_ / "out.log");
  for (const auto* k : stepKinds()) EXPECT_NE(text.find(k->makes), std::string::npos) << k->id;
}

}  // namespace
}  // namespace zp
