#include <fstream>

#include "sampling/readings.h"
#include "study/step.h"
#include "support/small_study.h"

namespace zp {
namespace {

using namespace zp::testing;

/// A map of the scene and five points a class over it; their ids.
std::pair<std::string, std::string> addMapAndPoints(Study& study) {
  const std::string map = add(study, {{"do", "map"},
                                      {"scene", "s1"},
                                      {"bands", {0, 1, 2}},
                                      {"method", "minimum-distance"},
                                      {"name", "Cover"}});
  const std::string points = add(study, {{"do", "points"},
                                         {"over", map},
                                         {"plan", "stratified"},
                                         {"count", 5},
                                         {"seed", 4},
                                         {"name", "Points"}});
  return {map, points};
}

TEST(Study, TheWholeChainSavedAndOpenedAgain) {
  Folder folder;
  std::string index, map, points, table, labels;
  {
    Study study = makeStudy(folder);
    index = add(
        study,
        {{"do", "index"}, {"scene", "s1"}, {"formula", "ndiff(nir, red)"}, {"name", "Vegetation"}});
    const std::string cut = add(
        study,
        {{"do", "threshold"},
         {"product", index},
         {"at", {0.0}},
         {"classes",
          {{{"name", "low"}, {"colour", "#112233"}}, {{"name", "high"}, {"colour", "#445566"}}}},
         {"name", "Cut"}});
    map = add(study, {{"do", "map"},
                      {"scene", "s1"},
                      {"bands", {0, 1, 2}},
                      {"method", "maximum-likelihood"},
                      {"name", "Cover"}});
    EXPECT_EQ(study.product(map)->facts["classes"][0]["pixels"], 2400);
    points = add(study, {{"do", "points"},
                         {"over", map},
                         {"plan", "stratified"},
                         {"count", 10},
                         {"seed", 4},
                         {"name", "Points"}});
    table = add(study, {{"do", "readings"},
                        {"points", points},
                        {"from", {index, map, "s1"}},
                        {"name", "Readings"}});
    labels =
        add(study,
            {{"do", "labels"}, {"points", points}, {"map", map}, {"seed", 1}, {"name", "Labels"}});
    study.place["stage"] = 3;
    study.save();
  }
  Study back = Study::open(folder / "study");
  EXPECT_EQ(back.name, "Small");
  EXPECT_EQ(back.products.size(), 6u);
  EXPECT_EQ(back.place["stage"], 3);
  EXPECT_EQ(back.training.size(), 2u);
  EXPECT_EQ(back.scenes[0].scene.bandOf("nir"), 1);
  for (const auto& p : back.products) EXPECT_FALSE(back.outOfDate(p)) << p.name;
  const Table t = readTable(back.product(table)->file.string());
  EXPECT_EQ(t.columns[1], "x");
  EXPECT_EQ(t.rows.size(), 20u);
  const Labelling l = labellingFrom(readJson(back.product(labels)->file));
  EXPECT_EQ(l.points().size(), 20u);
  for (const auto& p : l.points()) EXPECT_TRUE(p.mapped == 1 || p.mapped == 2);
}

TEST(Study, AChangeUpstreamIsNoticedAndMended) {
  Folder folder;
  Study study = makeStudy(folder);
  const auto [map, points] = addMapAndPoints(study);
  auto areas = study.training;
  areas[1].code = 3;
  study.setTraining(areas, study.trainingCrs);
  EXPECT_TRUE(study.outOfDate(*study.product(map)));
  EXPECT_TRUE(study.outOfDate(*study.product(points)));  // through the map
  const Product before = *study.product(map);
  *study.product(map) = runStep(study, before.step, Progress(), &before);
  EXPECT_FALSE(study.outOfDate(*study.product(map)));
  EXPECT_EQ(study.product(map)->file, before.file);
  EXPECT_EQ(study.product(map)->facts["classes"][2]["code"], 3);
  EXPECT_TRUE(study.outOfDate(*study.product(points)));
}

TEST(Study, HowFarAMapCanBeBelievedIsMadeFromItAndFollowsIt) {
  Folder folder;
  Study study = makeStudy(folder);
  const std::string map = add(study, {{"do", "map"},
                                      {"scene", "s1"},
                                      {"bands", {0, 1, 2}},
                                      {"method", "minimum-distance"},
                                      {"least", 0.4},
                                      {"name", "Cover"}});
  const std::string sure =
      add(study, {{"do", "confidence"}, {"map", map}, {"name", "Confidence of Cover"}});
  const std::string unlike =
      add(study, {{"do", "unlikeness"}, {"map", map}, {"name", "Unlikeness of Cover"}});
  const auto& facts = study.product(unlike)->facts;
  size_t pixels = 0;
  for (const auto& c : study.product(map)->facts["classes"]) pixels += c["pixels"].get<size_t>();
  EXPECT_EQ(facts["guess"]["pixels"], pixels);
  EXPECT_GT(facts["limit"], 0);
  EXPECT_GE(study.product(sure)->facts["min"], 0.4);
  EXPECT_LE(study.product(sure)->facts["max"], 1);
  EXPECT_EQ(study.product(sure)->facts["valid"], pixels);
  auto areas = study.training;
  areas[1].code = 3;
  study.setTraining(areas, study.trainingCrs);
  EXPECT_TRUE(study.outOfDate(*study.product(sure)));
  EXPECT_TRUE(study.outOfDate(*study.product(unlike)));
  const std::string index = add(
      study, {{"do", "index"}, {"scene", "s1"}, {"formula", "nir - red"}, {"name", "Difference"}});
  EXPECT_NE(sentenceOf([&] {
              add(study, {{"do", "confidence"}, {"map", index}, {"name", "x"}});
            }).find("no trained map"),
            std::string::npos);
}

TEST(Study, SameStepSameBytes) {
  Folder folder;
  Study study = makeStudy(folder);
  const Json step = {{"do", "map"},
                     {"scene", "s1"},
                     {"bands", {0, 2}},
                     {"method", "maximum-likelihood"},
                     {"name", "Cover"}};
  const Product a = runStep(study, step, Progress()), b = runStep(study, step, Progress());
  EXPECT_NE(a.file, b.file);
  EXPECT_EQ(textOf(a.file), textOf(b.file));
}

TEST(Study, TheBinAndBack) {
  Folder folder;
  Study study = makeStudy(folder);
  const auto id = add(study, {{"do", "index"}, {"scene", "s1"}, {"formula", "nir"}, {"name", "N"}});
  const Product gone = *study.product(id);
  const std::string bytes = textOf(gone.file);
  study.toBin(id);
  EXPECT_EQ(study.product(id), nullptr);
  EXPECT_FALSE(fs::exists(gone.file));
  const auto next =
      add(study, {{"do", "index"}, {"scene", "s1"}, {"formula", "red"}, {"name", "R"}});
  EXPECT_NE(next, id);  // ids are never used twice
  study.save();
  study = Study();
  study = Study::open(folder / "study");
  ASSERT_EQ(study.bin.size(), 1u);  // it waits there, also for another day
  EXPECT_EQ(study.bin[0].name, "N");
  study.fromBin(id);
  EXPECT_TRUE(study.bin.empty());
  EXPECT_EQ(textOf(study.product(id)->file), bytes);
  EXPECT_EQ(study.products[0].id, id);  // where it stood
}

TEST(Study, WhatComesBackFromTheBinReplacesNothing) {
  Folder folder;
  Study study = makeStudy(folder);
  const Json step = {{"do", "index"}, {"scene", "s1"}, {"formula", "nir"}, {"name", "Same"}};
  const auto first = add(study, step);
  const std::string bytes = textOf(study.product(first)->file);
  study.toBin(first);
  Json other = step;
  other["formula"] = "red - nir";
  const auto second = add(study, other);
  const std::string otherBytes = textOf(study.product(second)->file);
  study.fromBin(first);
  EXPECT_NE(study.product(first)->file, study.product(second)->file);
  EXPECT_EQ(textOf(study.product(first)->file), bytes);
  EXPECT_EQ(textOf(study.product(second)->file), otherBytes);
  study.toBin(first);
  study.toBin(second);
  study.emptyBin();
  EXPECT_TRUE(study.bin.empty());
  EXPECT_TRUE(fs::is_empty(folder / "study/bin"));
  study.fromBin(first);  // nothing is there any more
  EXPECT_EQ(study.product(first), nullptr);
}

TEST(Study, ADamagedFileFallsBackToTheLastGoodOne) {
  Folder folder;
  {
    Study study = makeStudy(folder);
    study.save();
    study.name = "Later";
    study.save();
  }
  std::ofstream(folder / "study/study.json") << "{\"format\": \"zany-pa";
  const Study back = Study::open(folder / "study");
  EXPECT_EQ(back.name, "Small");
  EXPECT_NE(back.notice.text().find("last good version"), std::string::npos);
}

TEST(Study, RefusesWhatItCannotOpen) {
  Folder folder;
  EXPECT_NE(sentenceOf([&] { Study::open(folder.path()); }).find("is not a study"),
            std::string::npos);
  const Study held = makeStudy(folder);
  held.save();
  EXPECT_NE(sentenceOf([&] { Study::open(folder / "study"); }).find("open already"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { Study::create(folder / "study", "x"); }).find("not empty"),
            std::string::npos);
}

TEST(Study, MissingFilesAreNamedAndTheRestIsUsable) {
  Folder folder;
  {
    Study study = makeStudy(folder);
    add(study, {{"do", "index"}, {"scene", "s1"}, {"formula", "nir"}, {"name", "Kept"}});
    const auto id =
        add(study, {{"do", "index"}, {"scene", "s1"}, {"formula", "red"}, {"name", "Lost"}});
    study.save();
    fs::remove(study.product(id)->file);
  }
  const Study back = Study::open(folder / "study");
  EXPECT_EQ(back.products.size(), 1u);
  EXPECT_NE(back.notice.text().find("Lost"), std::string::npos);
}

TEST(Study, FilesNamedFromTheWorkingFolderStayInsideTheStudy) {
  Folder folder;
  const auto before = fs::current_path();
  fs::current_path(folder.path());
  {
    Study study = Study::create("study", "Relative");
    fs::create_directory("study/scenes");
    writeFloats("study/scenes/s.tif", metricGrid(2, 1), {{1, 2}}, {"nir"});
    writeAreas("study/o.gpkg",
               {{1, "a", {{500000, 5000000}, {500010, 5000000}, {500010, 4999990}}}});
    study.addScene(openScene(fs::path("study/scenes/s.tif")));
    study.addOutline({"", "Outline", "study/o.gpkg:areas", {}, true, false});
    study.save();
    study.saveCopy("copy");
  }
  fs::current_path(before);
  fs::remove_all(folder / "study");
  const Study copy = Study::open(folder / "copy");
  EXPECT_TRUE(copy.notice.empty()) << copy.notice.text();
  ASSERT_EQ(copy.scenes.size(), 1u);
  EXPECT_EQ(copy.scenes[0].scene.bands[0].file, folder / "copy/scenes/s.tif");
  EXPECT_EQ(readLayer(copy.outlines[0].layer).shapes.size(), 1u);
}

TEST(Study, CopiesCanBeOpenedOnTheirOwn) {
  Folder folder;
  Study study = makeStudy(folder);
  add(study, {{"do", "index"}, {"scene", "s1"}, {"formula", "nir"}, {"name", "N"}});
  study.save();
  study.saveCopy(folder / "copy");
  const Study copy = Study::open(folder / "copy");
  EXPECT_EQ(copy.products[0].file.parent_path(), folder / "copy/products");
  EXPECT_NE(sentenceOf([&] { study.saveCopy(folder / "copy"); }).find("exists already"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { study.saveCopy(study.folder() / "copy"); }).find("within the study"),
            std::string::npos);
}

TEST(Study, ACopyHasWhatCouldNotBeSavedAndCanBeWrittenTo) {
  Folder folder;
  Study study = makeStudy(folder);
  add(study, {{"do", "index"}, {"scene", "s1"}, {"formula", "nir"}, {"name", "N"}});
  study.save();
  const auto writing = fs::perms::owner_write | fs::perms::group_write | fs::perms::others_write;
  for (const auto& entry : fs::recursive_directory_iterator(study.folder()))
    fs::permissions(entry.path(), writing, fs::perm_options::remove);
  study.products[0].name = "Only in memory";
  study.saveCopy(folder / "copy");
  for (const auto& entry : fs::recursive_directory_iterator(folder / "copy"))
    EXPECT_NE(entry.status().permissions() & fs::perms::owner_write, fs::perms::none)
        << entry.path();
  EXPECT_EQ(Study::open(folder / "copy").products[0].name, "Only in memory");
}

TEST(Step, FailsWithoutATrace) {
  Folder folder;
  Study study = makeStudy(folder);
  const auto count = [&] {
    return std::distance(fs::directory_iterator(folder / "study/products"),
                         fs::directory_iterator());
  };
  fs::create_directories(folder / "study/products");
  EXPECT_THROW(
      runStep(study, {{"do", "index"}, {"scene", "s1"}, {"formula", "nope"}, {"name", "x"}},
              Progress()),
      Error);
  EXPECT_THROW(runStep(study,
                       {{"do", "map"},
                        {"scene", "s9"},
                        {"bands", {0}},
                        {"method", "maximum-likelihood"},
                        {"name", "x"}},
                       Progress()),
               Error);
  auto few = study.training;
  few[0].shape.rings = {
      {{500000, 5000000}, {500015, 5000000}, {500015, 4999985}, {500000, 4999985}}};
  study.setTraining(few, study.trainingCrs);
  const std::string s = sentenceOf([&] {
    runStep(study,
            {{"do", "map"},
             {"scene", "s1"},
             {"bands", {0, 1, 2}},
             {"method", "maximum-likelihood"},
             {"name", "x"}},
            Progress());
  });
  EXPECT_NE(s.find("“left” has 1 training pixel, too few"), std::string::npos) << s;
  const Progress cancelled;
  cancelled.cancel();
  EXPECT_THROW(runStep(study, {{"do", "index"}, {"scene", "s1"}, {"formula", "nir"}, {"name", "x"}},
                       cancelled),
               Cancelled);
  EXPECT_EQ(count(), 0);
}

TEST(Study, LabelledPointsStayWhatTheyAreWhenTheMapChanges) {
  Folder folder;
  Study study = makeStudy(folder);
  const auto [map, points] = addMapAndPoints(study);
  const auto labels = add(
      study, {{"do", "labels"}, {"points", points}, {"map", map}, {"seed", 2}, {"name", "Labels"}});
  LabelsFile file = readLabels(study.product(labels)->file);
  for (int i = 0; i < 4; ++i) file.labelling.label(file.labelling.current().mapped, "now");
  writeLabels(study.product(labels)->file, file);

  auto areas = study.training;
  areas[1].code = 3;
  study.setTraining(areas, study.trainingCrs);
  EXPECT_TRUE(study.outOfDate(*study.product(labels)));  // through the map
  const auto again = [&](const std::string& id) {
    const Product before = *study.product(id);
    *study.product(id) = runStep(study, before.step, Progress(), &before);
  };
  again(map);
  EXPECT_TRUE(study.outOfDate(*study.product(points)));
  again(labels);
  EXPECT_FALSE(study.outOfDate(*study.product(labels)));  // though the points are
  const Labelling l = readLabels(study.product(labels)->file).labelling;
  EXPECT_EQ(l.labelled(), 4u);
  for (size_t i = 0; i < l.points().size(); ++i) {
    EXPECT_EQ(l.points()[i].id, file.labelling.points()[i].id);
    EXPECT_EQ(l.points()[i].reference, file.labelling.points()[i].reference);
    EXPECT_TRUE(l.points()[i].mapped == 1 || l.points()[i].mapped == 3);
  }
  // Points drawn anew are others: the labels are not thrown away for them.
  study.product(points)->step["seed"] = 5;
  again(points);
  const std::string before = textOf(study.product(labels)->file);
  EXPECT_TRUE(study.outOfDate(*study.product(labels)));
  EXPECT_NE(sentenceOf([&] { again(labels); }).find("start a new labelling"), std::string::npos);
  EXPECT_EQ(textOf(study.product(labels)->file), before);
}

TEST(Study, OneOfANewerVersionIsNeverOpenedAsTheOldOneBesideIt) {
  Folder folder;
  {
    Study study = makeStudy(folder);
    study.save();
    study.name = "Newer";
    study.save();
  }
  const fs::path file = folder / "study/study.json";
  ASSERT_TRUE(fs::exists(folder / "study/study.json.last"));
  const std::string good = textOf(file);
  std::string newer = good;
  newer.replace(newer.find("\"version\": 1"), 12, "\"version\": 7");
  std::ofstream(file) << newer;
  EXPECT_NE(sentenceOf([&] { Study::open(folder / "study"); }).find("newer Zany Patch"),
            std::string::npos);
  // Whole but with a kind of product that this version does not know.
  std::string other = good;
  other.replace(other.find("\"products\": []"), 14,
                R"("products": [{"id": "p1", "name": "X", "kind": "dream", "file": "x"}])");
  std::ofstream(file) << other;
  EXPECT_NE(sentenceOf([&] { Study::open(folder / "study"); }).find("“dream” is no kind"),
            std::string::npos);
  EXPECT_EQ(textOf(file), other);  // left as it was
  EXPECT_FALSE(fs::exists(folder / "study/study.json.damaged"));
  // Cut short, the version before is opened.
  std::ofstream(file) << good.substr(0, good.size() / 2);
  const Study back = Study::open(folder / "study");
  EXPECT_NE(back.notice.text().find("damaged"), std::string::npos);
  EXPECT_TRUE(fs::exists(folder / "study/study.json.damaged"));
}

TEST(Study, OpensWhatAnInterruptedReplacementLeftAsAllNew) {
  Folder folder;
  makeStudy(folder).save();
  const fs::path sub = folder / "study/products";
  fs::create_directory(sub);
  std::ofstream(sub / "m.tif") << "old";
  std::ofstream(sub / ".zpatch-4000000-1-0-m.tif") << "new";
  std::ofstream(sub / ".zpatch-4000000-1-1-m.tif.zpatch-note")
      << R"({"moves": [{"folder": "", "from": ".zpatch-4000000-1-0-m.tif", "to": "m.tif"}],
            "pointers": []})";
  Study::open(folder / "study");
  EXPECT_EQ(textOf(sub / "m.tif"), "new");
  EXPECT_EQ(Folder::namesIn(sub).size(), 1u);
}

}  // namespace
}  // namespace zp
