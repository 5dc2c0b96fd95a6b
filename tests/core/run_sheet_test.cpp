// The record of a study, and that it makes the same again.
#include "study/run_sheet.h"

#include "accuracy/labels_file.h"
#include "base/random.h"
#include "study/step.h"
#include "study/steps/step_kind.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

const Json kTwo = Json::array(
    {{{"name", "low"}, {"colour", "#112233"}}, {{"name", "high"}, {"colour", "#445566"}}});

Ring box(double x, double y, double w) {
  return {{500000 + x, 5000000 - y},
          {500000 + x + w, 5000000 - y},
          {500000 + x + w, 5000000 - y - w},
          {500000 + x, 5000000 - y - w}};
}

/// Two dates of two covers, an outline, training areas; every kind of reference among the steps.
class RunSheet : public ::testing::Test {
 protected:
  void SetUp() override {
    study_ = Study::create(folder_ / "study", "Small");
    const Grid g = metricGrid(80, 60);
    for (const char* date : {"2031-04-01", "2031-07-01"}) {
      std::vector<std::vector<float>> bands(3, std::vector<float>(g.pixels()));
      for (size_t i = 0; i < g.pixels(); ++i)
        for (size_t b = 0; b < 3; ++b)
          bands[b][i] =
              static_cast<float>((i % 80 < 40 ? 0.1 : 0.5) + 0.05 * unit(mix(i, b + date[6])));
      const fs::path file = study_.folder() / "scenes" / (std::string(date) + ".tif");
      fs::create_directories(file.parent_path());
      Scene s = openScene(writeFloats(file, g, bands, {"red", "nir", "green"}));
      s.name = date[6] == '4' ? "Spring" : "Summer";
      s.date = date;
      study_.addScene(s);
    }
    const fs::path areas =
        writeAreas(study_.folder() / "area.gpkg", {{1, "all", box(100, 100, 300)}});
    study_.addOutline({"", "Place", areas.string()});
    std::vector<TrainingArea> training(2);
    training[0] = {1, "left", "", {{box(20, 20, 120)}, {}}};
    training[1] = {2, "right", "", {{box(500, 100, 150)}, {}}};
    study_.setTraining(training, g.crs);
  }

  std::string add(const Json& step) {
    const auto id = study_.addProduct(runStep(study_, step, Progress()));
    study_.save();
    return id;
  }

  void makeEverything() {
    const auto green = add({{"do", "index"},
                            {"scene", "s1"},
                            {"formula", "ndiff(nir, red) + later.green"},
                            {"with", {{"later", "s2"}}},
                            {"inside", "o1"},
                            {"name", "Green"}});
    study_.product(green)->name = "Greenness";
    study_.product(green)->ramp = "ochre";
    const auto thrown = add({{"do", "composite"}, {"scenes", {"s1", "s2"}}, {"name", "Both"}});
    const std::string both = study_.scenes.back().id;
    study_.scenes.back().scene.bands[2].role = "swir16";
    const auto cut = add({{"do", "threshold"},
                          {"product", green},
                          {"at", {0.5}},
                          {"classes", kTwo},
                          {"name", "Cut"}});
    add({{"do", "index"}, {"scene", both}, {"formula", "swir16 - red"}, {"name", "Over both"}});
    add({{"do", "stack"},
         {"bands", {{{"scene", both}, {"band", 1}}, {{"scene", "s1"}, {"band", 0}}}},
         {"name", "Stacked"}});
    moveScene(study_.scenes.back().scene, {1, 2});
    const auto map = add({{"do", "map"},
                          {"scene", study_.scenes.back().id},
                          {"bands", {0, 1}},
                          {"method", "maximum-likelihood"},
                          {"priors", {{"1", 0.25}, {"2", 0.75}}},
                          {"name", "Cover"}});
    const auto points = add({{"do", "points"},
                             {"over", map},
                             {"plan", "stratified"},
                             {"count", 5},
                             {"seed", 4},
                             {"name", "Points"}});
    add({{"do", "readings"}, {"points", points}, {"from", {"s1", cut, both}}, {"name", "Read"}});
    add({{"do", "readings"},
         {"points", points},
         {"scene", "s1"},
         {"features", {"band(nir)", "formula(nir - red) of other"}},
         {"with", {{"other", "s2"}}},
         {"name", "Features read"}});
    const auto labels =
        add({{"do", "labels"}, {"points", points}, {"map", map}, {"seed", 1}, {"name", "Labels"}});
    LabelsFile file = readLabels(study_.product(labels)->file);
    file.labelling.label(2, "2031-08-01T10:00:00Z");
    file.labelling.setNote("by the path");
    writeLabels(study_.product(labels)->file, file);
    study_.toBin(thrown);
    study_.save();
  }

  /// A copy of the study with its scenes, outlines and training areas alone.
  Study bare() {
    study_.saveCopy(folder_ / "copy");
    Study copy = Study::open(folder_ / "copy");
    std::erase_if(copy.scenes, [](const StudyScene& s) { return !s.product.empty(); });
    copy.products.clear();
    copy.bin.clear();
    fs::remove_all(copy.folder() / "products");
    fs::remove_all(copy.folder() / "bin");
    return copy;
  }

  Folder folder_;
  Study study_;
};

/// Which of the study's layers a column is of is told by their ids, which are others in a copy.
Json factsWithoutIds(const Product& p) {
  Json facts = p.facts;
  facts.erase("sources");
  return facts;
}

TEST_F(RunSheet, OfAStudyMakesTheSameBytesAgain) {
  makeEverything();
  std::vector<Sentence> warnings;
  const Json sheet = recordOf(study_, warnings);
  writeJson(folder_ / "sheet.json", sheet);
  Study copy = bare();
  std::vector<std::string> made;
  runSheet(copy, readRunSheet(folder_ / "sheet.json"), Progress(),
           [&](const Product& p) { made.push_back(p.name); });
  EXPECT_EQ(made.size(), 10u);
  ASSERT_EQ(copy.products.size(), study_.products.size());
  ASSERT_EQ(copy.bin.size(), 1u);  // what was thrown away is made again, used and thrown away
  EXPECT_EQ(copy.bin[0].name, "Both");
  for (size_t i = 0; i < copy.products.size(); ++i) {
    const Product &was = study_.products[i], &is = copy.products[i];
    EXPECT_EQ(is.name, was.name);
    EXPECT_EQ(is.ramp, was.ramp);
    EXPECT_EQ(is.date, was.date);
    EXPECT_EQ(is.file.filename(), was.file.filename());
    EXPECT_TRUE(textOf(is.file) == textOf(was.file)) << was.name;
    EXPECT_EQ(factsWithoutIds(is), factsWithoutIds(was)) << was.name;
  }
  EXPECT_EQ(copy.scenes.back().scene.shift, (Place{1, 2}));
  EXPECT_TRUE(warnings.size() >= 1);  // the composite is gone, so what came of it is out of date
  EXPECT_FALSE(sheet.dump().find(study_.folder().string()) != std::string::npos);
}

TEST_F(RunSheet, CallsThingsByTheirNames) {
  add({{"do", "index"}, {"scene", "s2"}, {"formula", "nir"}, {"inside", "o1"}, {"name", "N"}});
  std::vector<Sentence> warnings;
  Json sheet = recordOf(study_, warnings);
  EXPECT_TRUE(warnings.empty());
  EXPECT_EQ(sheet["steps"][0]["scene"], "Summer");
  EXPECT_EQ(sheet["steps"][0]["inside"], "Place");
  // Two of one name are told apart by their ids.
  study_.scenes[1].scene.name = "Spring";
  sheet = recordOf(study_, warnings);
  EXPECT_EQ(sheet["steps"][0]["scene"], "s2");
  const Json other = {
      {"steps", {{{"do", "index"}, {"scene", "Spring"}, {"formula", "nir"}, {"name", "M"}}}}};
  EXPECT_NE(sentenceOf([&] {
              runSheet(study_, other, Progress(), [](const Product&) {});
            }).find("several things are called “Spring”"),
            std::string::npos);
}

TEST_F(RunSheet, RunsTwiceInOneStudy) {
  const Json sheet = {{"steps",
                       {{{"as", "green"},
                         {"do", "index"},
                         {"scene", "Spring"},
                         {"formula", "nir - red"},
                         {"name", "G"}},
                        {{"do", "threshold"},
                         {"product", "green"},
                         {"at", {0.0}},
                         {"classes", kTwo},
                         {"name", "C"}}}}};
  for (int i = 0; i < 2; ++i) runSheet(study_, sheet, Progress(), [](const Product&) {});
  ASSERT_EQ(study_.products.size(), 4u);
  EXPECT_EQ(study_.products[3].inputs[0].id, study_.products[2].id);
  EXPECT_EQ(study_.products[1].inputs[0].id, study_.products[0].id);
}

TEST_F(RunSheet, NothingIsRunWhenALaterStepCannotBe) {
  const Json good = {{"do", "index"}, {"scene", "s1"}, {"formula", "nir"}, {"name", "N"}};
  const auto refused = [&](Json bad, const std::string& why) {
    const Json sheet = {{"format", "zany-patch-run-sheet"}, {"version", 1}, {"steps", {good, bad}}};
    writeJson(folder_ / "bad.json", sheet);
    const auto sentence = sentenceOf([&] {
      runSheet(study_, readRunSheet(folder_ / "bad.json"), Progress(), [](const Product&) {});
    });
    EXPECT_NE(sentence.find(why), std::string::npos) << sentence;
    EXPECT_EQ(sentence.rfind("Step 2", 0), 0u) << sentence;
    EXPECT_TRUE(study_.products.empty());
  };
  Json bad = good;
  bad["scene"] = "Sumer";
  refused(bad, "“Summer”");
  bad = good;
  bad.erase("formula");
  refused(bad, "needs a text under “formula”");
  bad = good;
  bad["fromula"] = "nir";
  refused(bad, "knows no “fromula”");
  bad = good;
  bad["do"] = "indx";
  refused(bad, "index");
  bad = good;
  bad["scene"] = 7;
  refused(bad, "needs a scene");
  bad = {{"do", "points"}, {"over", "s1"}, {"plan", "often"},
         {"count", 5},     {"seed", 1},    {"name", "P"}};
  refused(bad, "random, stratified");
  bad["plan"] = "random";
  bad["count"] = -5;
  refused(bad, "not below 0");
  refused("no object", "does not say what to do");
  bad = good;
  bad["name"] = " ";
  refused(bad, "give it a name");
  bad = {{"do", "rules"}, {"scene", "s1"}, {"rules", {kTwo[0]}}, {"name", "R"}};
  refused(bad, "each with when");
  bad = {{"do", "map"}, {"scene", "s1"}, {"bands", {0.5}}, {"method", "m"}, {"name", "M"}};
  refused(bad, "whole numbers");
  bad["bands"] = {-1};
  refused(bad, "whole numbers");
  bad = {{"do", "threshold"},
         {"product", "s1"},
         {"at", {1}},
         {"name", "T"},
         {"classes", {{{"name", "no colour"}}}}};
  refused(bad, "with a name and a colour");
}

TEST_F(RunSheet, WhatWasMadeBeforeAFailureStays) {
  const Json sheet = {
      {"steps",
       {{{"do", "index"}, {"scene", "s1"}, {"formula", "nir"}, {"name", "N"}},
        {{"do", "index"}, {"scene", "s1"}, {"formula", "nope"}, {"name", "Second"}}}}};
  const auto sentence =
      sentenceOf([&] { runSheet(study_, sheet, Progress(), [](const Product&) {}); });
  EXPECT_EQ(sentence.rfind("Step 2 (“Second”)", 0), 0u) << sentence;
  EXPECT_EQ(study_.products.size(), 1u);
}

TEST_F(RunSheet, WhatHasTheRightShapeAndCannotBeDoneIsASentenceToo) {
  const auto refused = [&](Json step, const std::string& why) {
    step["name"] = "X";
    const Json sheet = {{"steps", Json::array({step})}};
    const auto sentence =
        sentenceOf([&] { runSheet(study_, sheet, Progress(), [](const Product&) {}); });
    EXPECT_NE(sentence.find(why), std::string::npos) << step << " " << sentence;
    EXPECT_EQ(sentence.find("json.exception"), std::string::npos) << sentence;
  };
  refused(
      {{"do", "map"}, {"scene", "s1"}, {"bands", Json::array()}, {"method", "minimum-distance"}},
      "No feature is chosen");
  refused({{"do", "sharpen"}, {"scene", "s1"}, {"sharp", "s2"}, {"bands", {77}}}, "no band 78");
  refused({{"do", "series"},
           {"scenes", Json::array()},
           {"formula", "nir"},
           {"at", {1}},
           {"classes", kTwo}},
          "No scene is chosen");
  refused({{"do", "points"},
           {"over", "s1"},
           {"plan", "random"},
           {"count", 1},
           {"seed", 1},
           {"apart", -5}},
          "smallest spacing");
  refused({{"do", "import-classes"},
           {"file", "area.gpkg:area"},
           {"field", "code"},
           {"match", {{"1", 1}}}},
          "Polygons need a scene");
  refused({{"do", "composite"}, {"scenes", {"s1", "s2"}}, {"scene_as", {{"name", "x"}}}},
          "is not complete");
  ASSERT_EQ(study_.products.size(), 1u);  // the composite is there, as its file says
  const auto points = add({{"do", "points"},
                           {"over", "s1"},
                           {"plan", "random"},
                           {"count", 3},
                           {"seed", 1},
                           {"apart", nullptr},
                           {"name", "Three"}});
  refused({{"do", "readings"}, {"points", points}, {"from", Json::array()}}, "Nothing is chosen");
  refused({{"do", "readings"}, {"points", points}}, "Nothing is chosen");
  refused({{"do", "readings"}, {"points", points}, {"features", {"band(nir)"}}}, "names no scene");
  add({{"do", "index"}, {"scene", "s1"}, {"formula", "nir"}, {"name", "Same"}});
  add({{"do", "index"}, {"scene", "s1"}, {"formula", "nir"}, {"name", "Same"}});
  refused({{"do", "threshold"}, {"product", "Same"}, {"at", {1}}, {"classes", kTwo}},
          "several things are called “Same”");
  add({{"do", "stack"},
       {"bands", {{{"scene", "s1"}, {"band", 0}}}},
       {"scale", nullptr},
       {"name", "St"}});
}

TEST_F(RunSheet, SaysWhatCannotBeRecorded) {
  add({{"do", "index"}, {"scene", "s2"}, {"formula", "nir"}, {"name", "N"}});
  study_.scenes.pop_back();
  std::vector<Sentence> warnings;
  EXPECT_NE(sentenceOf([&] { recordOf(study_, warnings); }).find("“N” was made from something"),
            std::string::npos);
}

TEST(StepKinds, EachSaysWhatItMakesAndTakes) {
  for (const auto* kind : stepKinds()) {
    EXPECT_EQ(&stepKind(kind->id), kind);
    EXPECT_GT(kind->makes.size(), 10u) << kind->id;
    for (const auto& f : kind->fields) {
      EXPECT_FALSE(f.about.empty()) << kind->id << " " << f.id;
      EXPECT_FALSE(wordOf(f.holds).empty());
    }
  }
  EXPECT_FALSE(textsAreTexts(Json{{"do", "index"}, {"scene", 5}}));
  EXPECT_FALSE(textsAreTexts(Json{{"do", "index"}, {"with", {{"a", 5}}}}));
  EXPECT_TRUE(textsAreTexts(Json{{"do", "index"}, {"scene", "s1"}}));
  EXPECT_FALSE(textsAreTexts(Json{{"do", "of another version"}, {"formula", 5}}));
  EXPECT_TRUE(textsAreTexts(Json{{"do", "of another version"}, {"depth", 5}}));
}

TEST_F(RunSheet, AStepThatCannotBeRunKeepsNoStudyShut) {
  const auto id = add({{"do", "index"}, {"scene", "s2"}, {"formula", "nir"}, {"name", "N"}});
  study_.product(id)->step = {
      {"do", "composite"}, {"scenes", 7}, {"how", "by another version"}, {"name", "N"}};
  study_.save();
  study_.saveCopy(folder_ / "other");
  const Study back = Study::open(folder_ / "other");
  ASSERT_EQ(back.products.size(), 1u);
  const auto why = "The step “composite” needs a list of scenes";
  std::vector<Sentence> warnings;
  EXPECT_NE(sentenceOf([&] { recordOf(back, warnings); }).find(why), std::string::npos);
  EXPECT_NE(sentenceOf([&] { runStep(back, back.products[0].step, Progress()); }).find(why),
            std::string::npos);
}

}  // namespace
}  // namespace zp
