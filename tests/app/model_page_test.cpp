// What was learned is saved, and used again: on another scene, in another study, from signatures.
#include "desks/mapping/mapping_desk.h"
#include "mapping/model.h"
#include "support/rasters.h"
#include "window_fixture.h"

namespace zp {
namespace {

using namespace testing;

class ModelWindow : public MappingWindow {
 protected:
  void saveModel() {
    d().click("mapChoices");
    whenAskedForAFile(folder_ / "cover.json");
    d().click("saveModel");
    d().until([&] { return fs::exists(folder_ / "cover.json"); }, "the model");
  }
  void openModel(const fs::path& file) {
    d().click("modelPage");
    whenAskedForAFile(file);
    d().click("openModel");
    d().settle();
  }
};

TEST_F(ModelWindow, AModelMapsAsItsTrainingDid) {
  d().click("method-random-forest");
  d().make("primary", "the map");
  const auto direct = readCodes(s().products.back().file);
  saveModel();
  EXPECT_EQ(readModel(folder_ / "cover.json").features.front(), "band(blue)");
  openModel(folder_ / "cover.json");
  EXPECT_TRUE(d().find<QLabel>("modelSaid")->text().startsWith("Random forest: 9 classes"))
      << d().find<QLabel>("modelSaid")->text().toStdString();
  EXPECT_FALSE(w().findChild<QPushButton*>("by-maximum-likelihood")->isVisible());
  auto* needs = d().find<QTableWidget>("modelFeatures");
  ASSERT_EQ(needs->rowCount(), 8);
  EXPECT_EQ(needs->item(0, 1)->text(), "there");
  look("model-page");
  d().make("primary", "the map by the model");
  const Product& made = s().products.back();
  EXPECT_EQ(readCodes(made.file), direct);
  // The study has it now: it can be made again when the file is gone.
  fs::remove(folder_ / "cover.json");
  EXPECT_TRUE(fs::exists(s().absolute(made.step.at("model"))));
  EXPECT_FALSE(fs::path(made.step.at("model").get<std::string>()).is_absolute());
  // It does not go out of date by what is drawn here.
  w().bench().removeClass(1);
  EXPECT_FALSE(s().outOfDate(s().products.back()));
}

TEST_F(ModelWindow, WhatTheSceneLacksIsToldBeforeItIsPressed) {
  saveModel();
  openModel(folder_ / "cover.json");
  const auto radar = std::find_if(s().scenes.begin(), s().scenes.end(),
                                  [](const StudyScene& one) { return one.scene.isRadar(); });
  w().bench().setCurrentScene(q(radar->id));
  d().settle();
  EXPECT_TRUE(said().contains("lacks band(blue)")) << said().toStdString();
  EXPECT_FALSE(d().find("primary")->isEnabled());
  EXPECT_EQ(d().find<QTableWidget>("modelFeatures")->item(3, 1)->text(), "missing");
  look("model-lacking");
}

TEST_F(ModelWindow, SignaturesAreLearnedFromByAMethodOfChoice) {
  d().make("primary", "the map");
  const auto direct = readCodes(s().products.back().file);
  SignatureSet set = signaturesOf(samplesOfStep(s(), w().mapping().features()));
  set.lines = featuresOfStep(s(), w().mapping().features()).lines;
  writeJson(folder_ / "signatures.json", toJson(set));
  // Without any training of one's own.
  w().bench().setTraining({}, s().trainingCrs, "none");
  openModel(folder_ / "signatures.json");
  EXPECT_TRUE(d().find<QLabel>("modelSaid")->text().startsWith("Signatures: 9 classes"));
  d().click("by-maximum-likelihood");
  d().make("primary", "the map by signatures");
  EXPECT_EQ(readCodes(s().products.back().file), direct);
  look("model-signatures");
  // Remembered with the study.
  reopen();
  d().stage(3);
  d().click("modelPage");
  EXPECT_EQ(d().find<QLabel>("modelName")->text(), "signatures.json");
}

TEST_F(ModelWindow, AFileThatIsNoneIsASentence) {
  std::ofstream(folder_ / "bad.json") << R"({"format": "zany-patch-model", "version": 2})";
  openModel(folder_ / "bad.json");
  EXPECT_TRUE(said().contains("not complete")) << said().toStdString();
  std::ofstream(folder_ / "text.json") << "no json";
  openModel(folder_ / "text.json");
  EXPECT_TRUE(said().contains("text.json")) << said().toStdString();
  EXPECT_FALSE(d().find("primary")->isEnabled());
  // One that is whole but asks for what is no feature is not taken, nor stumbled over later.
  SignatureSet set = signaturesOf(samplesOfStep(s(), w().mapping().features()));
  set.lines.assign(set.bands.size(), "nonsense(");
  writeJson(folder_ / "nonsense.json", toJson(set));
  openModel(folder_ / "nonsense.json");
  EXPECT_TRUE(said().contains("nonsense(")) << said().toStdString();
  EXPECT_FALSE(d().find("primary")->isEnabled());
  w().mapping().refresh();
  EXPECT_FALSE(d().find("primary")->isEnabled());
}

}  // namespace
}  // namespace zp
