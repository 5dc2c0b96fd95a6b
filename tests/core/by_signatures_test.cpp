// Maps by signatures alone: the same as by the training pixels they are of.
#include "mapping/model.h"
#include "support/rasters.h"
#include "support/signatures.h"

namespace zp {
namespace {

using namespace testing;

Samples threeClasses() {
  Random random(8);
  Samples s;
  s.features = {"red", "nir"};
  s.classes = {{2, "Water", 100}, {5, "Meadow", 100}, {9, "Wood", 100}};
  s.subclasses.assign(3, "");
  for (size_t i = 0; i < 300; ++i) {
    const size_t c = i % 3;
    s.codes.push_back(s.classes[c].code);
    s.areas.push_back(c);
    s.values.push_back(
        static_cast<float>(0.1 + 0.1 * static_cast<double>(c) + 0.03 * bellOf(random)));
    s.values.push_back(
        static_cast<float>(0.5 - 0.1 * static_cast<double>(c) + 0.05 * bellOf(random)));
  }
  return s;
}

TEST(BySignaturesAlone, AMapIsThatOfItsTrainingPixels) {
  const Folder folder;
  const Samples samples = threeClasses();
  SignatureSet set = signaturesOf(samples);
  set.lines = {"band(red)", "band(nir)"};
  writeJson(folder / "s.json", toJson(set));
  const SignatureSet back = readSignatures(folder / "s.json");
  EXPECT_EQ(back.lines, set.lines);
  Random random(3);
  std::vector<float> red, nir;
  for (int i = 0; i < 4000; ++i) {
    red.push_back(static_cast<float>(0.5 * random.uniform()));
    nir.push_back(static_cast<float>(0.7 * random.uniform()));
  }
  size_t methodsSeen = 0;
  for (const auto* m : methods()) {
    const MapPlan plan{m->id};
    Legend legend;
    legend.add({5, "Wet meadow", {1, 2, 3}, "", {}});
    if (!m->bySignatures) {
      EXPECT_NE(sentenceOf([&] { modelOf(back, plan, legend); }).find("training pixels"),
                std::string::npos)
          << m->id;
      continue;
    }
    ++methodsSeen;
    const Model model = modelOf(back, plan, legend);
    EXPECT_EQ(model.features, set.lines);
    EXPECT_EQ(model.trainingPixels, 300u);
    EXPECT_EQ(model.legend.find(5)->name, "Wet meadow");
    EXPECT_EQ(model.legend.find(9)->name, "Wood");
    std::vector<uint16_t> codes(red.size()), expected(red.size());
    model.classifier->classify({red.data(), nir.data()}, red.size(), codes.data());
    trainOn(samples, plan, legend)
        .classifier->classify({red.data(), nir.data()}, red.size(), expected.data());
    EXPECT_EQ(codes, expected) << m->id;
    // And it is a model like any other.
    writeJson(folder / "m.json", toJson(model));
    readModel(folder / "m.json")
        .classifier->classify({red.data(), nir.data()}, red.size(), codes.data());
    EXPECT_EQ(codes, expected) << m->id;
  }
  EXPECT_EQ(methodsSeen, 4u);
}

TEST(BySignaturesAlone, WhatDoesNotFitIsASentence) {
  Json json = toJson(signaturesOf(threeClasses()));
  EXPECT_EQ(linesOf(signaturesFrom(json)), (std::vector<std::string>{"band(red)", "band(nir)"}));
  json["features"] = {"band(red)"};
  EXPECT_NE(sentenceOf([&] { signaturesFrom(json); }).find("one feature a band"),
            std::string::npos);
  json.erase("features");
  std::swap(json["classes"][0], json["classes"][2]);
  EXPECT_EQ(signaturesFrom(json).codes(), (std::vector<int>{2, 5, 9}));
  json["classes"][0]["pixels"] = -5;
  EXPECT_NE(sentenceOf([&] { signaturesFrom(json); }).find("not a count"), std::string::npos);
  json["classes"][0]["pixels"] = 5u;
  json["classes"][0]["code"] = 5;
  EXPECT_NE(sentenceOf([&] { signaturesFrom(json); }).find("5 twice"), std::string::npos);
  SignatureSet thin = signaturesOf(threeClasses());
  thin.classes[1].pixels = 2;
  EXPECT_NE(sentenceOf([&] { modelOf(thin, {"maximum-likelihood"}, {}); }).find("Meadow"),
            std::string::npos);
  MapPlan apart{"minimum-distance"};
  apart.subclasses = Subclasses::Apart;
  EXPECT_THROW(modelOf(thin, apart, {}), Error);
}

}  // namespace
}  // namespace zp
