// The examples of docs/formats are read by our readers and written again as they were.
#include "accuracy/labels_file.h"
#include "base/error.h"
#include "base/outputs.h"
#include "base/random.h"
#include "legend/legend.h"
#include "mapping/model.h"
#include "study/run_sheet.h"
#include "study/steps/step_kind.h"
#include "study/study.h"
#include "support/rasters.h"
#include "training/signature.h"

namespace zp {
namespace {

using namespace testing;

const fs::path kFormats = FORMATS;

/// Every key of the example with its value; the writer may add more.
void expectKept(const Json& example, const Json& written, const std::string& where = "") {
  if (example.is_object()) {
    for (const auto& [key, value] : example.items()) {
      ASSERT_TRUE(written.contains(key)) << where + "/" + key;
      expectKept(value, written[key], where + "/" + key);
    }
  } else if (example.is_array()) {
    ASSERT_EQ(example.size(), written.size()) << where;
    for (size_t i = 0; i < example.size(); ++i)
      expectKept(example[i], written[i], where + "/" + std::to_string(i));
  } else if (example.is_number_float()) {
    EXPECT_NEAR(example.get<double>(), written.get<double>(), 1e-12) << where;
  } else {
    EXPECT_EQ(example, written) << where;
  }
}

TEST(Formats, Legend) {
  const Json example = readJson(kFormats / "legend.json");
  expectKept(example, toJson(readLegend(kFormats / "legend.json")));
}

TEST(Formats, Signatures) {
  const Json example = readJson(kFormats / "signatures.json");
  expectKept(example, toJson(signaturesFrom(example)));
}

TEST(Formats, RunSheet) {
  EXPECT_EQ(readRunSheet(kFormats / "run-sheet.json")["steps"].size(), 4u);
  const Json schema = readJson(kFormats / "run-sheet.schema.json");
  Json known = Json::array();
  for (const auto* kind : stepKinds()) known.push_back(kind->id);
  EXPECT_EQ(schema["properties"]["steps"]["items"]["properties"]["do"]["enum"], known);
}

TEST(Formats, Model) {
  const Json example = readJson(kFormats / "model.json");
  const Model model = readModel(kFormats / "model.json");
  EXPECT_EQ(model.plan.settings["priors"]["4"], 0.6);
  EXPECT_EQ(model.features, (std::vector<std::string>{"band(red)", "band(nir)"}));
  // The separability of an example so far apart is 2 to the last digits.
  expectKept(example, toJson(model));
}

/// As models were written before methods had parameters and features had lines.
Json versionOne() {
  Json json = readJson(kFormats / "model.json");
  return {{"format", "zany-patch-model"},
          {"version", 1},
          {"method", json["method"]},
          {"priors", json["settings"]["priors"]},
          {"reject", json["settings"]["reject"]},
          {"legend", json["legend"]},
          {"signatures", json["learned"]}};
}

TEST(Formats, ModelsOfVersionOneAreReadAsBefore) {
  Folder folder;
  writeJson(folder / "m.json", versionOne());
  const Model old = readModel(folder / "m.json"), now = readModel(kFormats / "model.json");
  EXPECT_TRUE(old.features.empty());
  Json a = toJson(old), b = toJson(now);
  a.erase("features"), b.erase("features");
  EXPECT_EQ(a, b);
}

TEST(Formats, Labels) {
  Folder folder;
  EXPECT_EQ(readLabels(kFormats / "labels.json").labelling.unsure(), 1u);
  for (const char* name : {"labels.json", "labels-of-change.json"}) {
    writeLabels(folder / name, readLabels(kFormats / name));
    expectKept(readJson(kFormats / name), readJson(folder / name));
  }
}

TEST(Formats, Study) {
  Folder folder;
  fs::create_directory(folder / "study");
  fs::copy_file(kFormats / "study.json", folder / "study/study.json");
  const Study study = Study::open(folder / "study");
  EXPECT_NE(study.notice.text().find("Vegetation"), std::string::npos) << study.notice.text();
  study.save();  // what is missing now is not forgotten
  expectKept(readJson(kFormats / "study.json"), readJson(folder / "study/study.json"));
}

/// The model example with one thing changed.
std::string refusal(const std::function<void(Json&)>& change) {
  Folder folder;
  Json json = readJson(kFormats / "model.json");
  change(json);
  writeJson(folder / "model.json", json);
  return sentenceOf([&] { readModel(folder / "model.json"); });
}

TEST(Model, SaysWhatIsWrong) {
  const auto has = [](const std::string& sentence, const char* words) {
    EXPECT_NE(sentence.find(words), std::string::npos) << sentence;
  };
  has(refusal([](Json& j) { j["method"] = "guess"; }), "guess");
  has(refusal([](Json& j) { j["version"] = 3; }), "newer");
  has(refusal([](Json& j) { j["format"] = "zany-patch-legend"; }), "is not a model of Zany Patch");
  has(refusal([](Json& j) { j.erase("learned"); }), "not complete");
  has(refusal([](Json& j) { j["learned"]["classes"][0]["mean"] = {1}; }), "one value a band");
  has(refusal([](Json& j) { j["learned"]["classes"][0]["mean"][0] = "much"; }), "not complete");
  has(refusal([](Json& j) { j["learned"]["classes"][0]["covariance"].erase(1); }), "rows");
  const auto recoded = [&](size_t place, int code) {
    return refusal([&](Json& j) {
      j["settings"].erase("priors");
      j["learned"]["classes"][place]["code"] = code;
    });
  };
  has(recoded(0, 0), "0 is not a class code");
  has(recoded(1, 9), "no legend entry for class 9");
  has(refusal([](Json& j) { j["settings"]["priors"]["water"] = 1; }), "water");
  has(refusal([](Json& j) { j["training_pixels"] = -4; }), "not a whole number");
  has(refusal([](Json& j) { j["learned"]["classes"][0]["mean"][0] = nullptr; }), "has no mean");
  has(refusal([](Json& j) { j["settings"]["trees"] = 5; }), "no parameter “trees”");
  has(refusal([](Json& j) { j["settings"]["reject"] = "far"; }), "a number above 0");
  has(refusal([](Json& j) { j["features"].push_back("band(green)"); }), "names 3 features");
}

TEST(Model, AClassOfOnePixelComesBackForMinimumDistance) {
  Folder folder;
  Json json = readJson(kFormats / "model.json");
  json["method"] = "minimum-distance";
  json["settings"].erase("priors");
  auto& one = json["learned"]["classes"][0];
  one["pixels"] = 1;
  for (auto& row : one["covariance"])
    for (auto& v : row) v = nullptr;
  writeJson(folder / "m.json", json);
  const Model model = readModel(folder / "m.json");
  const float red[] = {0.045f, 0.09f, std::numeric_limits<float>::quiet_NaN()};
  const float nir[] = {0.05f, 0.28f, 0.1f};
  uint16_t codes[3];
  model.classifier->classify({red, nir}, 3, codes);
  EXPECT_EQ(codes[0], 1);
  EXPECT_EQ(codes[1], 4);
  EXPECT_EQ(codes[2], 0);
}

TEST(CopyFile, WithItsCompanionAndNeverOverItself) {
  Folder folder;
  const Grid g = metricGrid(3, 2);
  writeCodes(folder / "map.tif", g, {1, 2, 0, 1, 1, 2});
  std::ofstream(folder / "map.tif.aux.xml") << "<PAMDataset/>";
  fs::create_directory(folder / "out");
  copyFile(folder / "map.tif", folder / "out/copy.tif");
  EXPECT_EQ(textOf(folder / "out/copy.tif"), textOf(folder / "map.tif"));
  EXPECT_TRUE(fs::exists(folder / "out/copy.tif.aux.xml"));
  const std::string before = textOf(folder / "map.tif");
  const auto same = sentenceOf([&] { copyFile(folder / "map.tif", folder / "out/../map.tif"); });
  EXPECT_NE(same.find("is an input too"), std::string::npos) << same;
  EXPECT_EQ(textOf(folder / "map.tif"), before);
  std::ofstream(folder / "out/copy.tif") << "older";
  copyFile(folder / "map.tif", folder / "out/copy.tif");
  EXPECT_EQ(textOf(folder / "out/copy.tif"), before);
  sentenceOf([&] { copyFile(folder / "gone.tif", folder / "out/new.tif"); });
  EXPECT_FALSE(fs::exists(folder / "out/new.tif"));
}

/// One value of a document, chosen at random, becomes something else.
void damage(Json& json, Random& random) {
  std::vector<Json*> places;
  const std::function<void(Json&)> collect = [&](Json& at) {
    places.push_back(&at);
    if (at.is_structured())
      for (auto& child : at) collect(child);
  };
  collect(json);
  Json& at = *places[random.below(places.size())];
  switch (random.below(9)) {
    case 0:
      at = nullptr;
      break;
    case 1:
      at = -1;
      break;
    case 2:
      at = 1e300;
      break;
    case 3:
      at = "⚘";
      break;
    case 4:
      at = Json::array();
      break;
    case 5:
      at = Json::object();
      break;
    case 6:
      at = 4294967297;
      break;
    case 7:
      at = true;
      break;
    default:
      if (at.is_structured() && !at.empty()) at.erase(at.begin());
  }
}

/// Whatever a stranger's file says, reading it ends in a value or in one sentence of our own.
void expectSentences(const std::string& name, const std::function<void(const fs::path&)>& read) {
  Folder folder;
  Random random(std::hash<std::string>{}(name));
  for (int n = 0; n < 400; ++n) {
    Json json = readJson(kFormats / name);
    for (uint64_t k = 0; k <= random.below(3); ++k) damage(json, random);
    std::ofstream(folder / name) << json.dump();
    try {
      read(folder / name);
    } catch (const Error& e) {
      EXPECT_FALSE(std::string(e.what()).empty());
    } catch (const std::exception& e) {
      FAIL() << "not a sentence of ours: " << e.what() << "\nfor " << json.dump();
    }
  }
}

TEST(Damaged, Legends) {
  expectSentences("legend.json", [](const fs::path& file) { readLegend(file); });
}

TEST(Damaged, Signatures) {
  expectSentences("signatures.json", [](const fs::path& file) { signaturesFrom(readJson(file)); });
}

TEST(Damaged, Models) {
  expectSentences("model.json", [](const fs::path& file) { readModel(file); });
}

TEST(Damaged, Labels) {
  for (const char* name : {"labels.json", "labels-of-change.json"})
    expectSentences(name, [](const fs::path& file) { readLabels(file); });
}

TEST(Damaged, Studies) {
  expectSentences("study.json", [](const fs::path& file) { Study::open(file.parent_path()); });
}

}  // namespace
}  // namespace zp
