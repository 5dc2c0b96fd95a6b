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
