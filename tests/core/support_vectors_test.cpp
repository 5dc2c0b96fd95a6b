// Support vectors against the library that trained them, and their search.
#include <cmath>
#include <opencv2/ml.hpp>

#include "base/nan.h"
#include "base/random.h"
#include "mapping/method.h"
#include "mapping/train_vectors.h"
#include "support/rasters.h"
#include "support/signatures.h"
#include "support/train.h"

namespace zp {
namespace {

using namespace zp::testing;

/// Classes around middles of their own, overlapping; each class in five areas.
VectorSamples overlapping(size_t features, size_t classes, size_t each, uint64_t seed) {
  Random random(seed);
  VectorSamples s{features, classes, {}, {}, {}};
  for (size_t c = 0; c < classes; ++c) {
    std::vector<double> middle;
    for (size_t f = 0; f < features; ++f) middle.push_back(1.2 * bellOf(random));
    for (size_t i = 0; i < each; ++i) {
      for (const double m : middle) s.values.push_back(static_cast<float>(m + bellOf(random)));
      s.labels.push_back(static_cast<int>(c));
      s.areas.push_back(c * 5 + i % 5);
    }
  }
  return s;
}

std::vector<std::vector<float>> pixelsAround(size_t features, size_t n) {
  Random random(99);
  std::vector<std::vector<float>> p(features, std::vector<float>(n));
  for (auto& column : p)
    for (auto& v : column) v = static_cast<float>(1.6 * bellOf(random));
  return p;
}

std::vector<const float*> pointers(const std::vector<std::vector<float>>& columns) {
  std::vector<const float*> all;
  for (const auto& c : columns) all.push_back(c.data());
  return all;
}

TEST(SupportVectors, GiveWhatTheLibraryGivesForTheSameModel) {
  constexpr size_t kPixels = 20001;  // no whole number of pieces
  for (const bool radial : {true, false}) {
    const auto samples = overlapping(8, 6, 150, 4);
    const auto machine = cv::ml::SVM::create();
    machine->setType(cv::ml::SVM::C_SVC);
    machine->setKernel(radial ? cv::ml::SVM::RBF : cv::ml::SVM::LINEAR);
    machine->setC(5);
    machine->setGamma(0.2);
    const cv::Mat values(static_cast<int>(samples.size()), 8, CV_32F,
                         const_cast<float*>(samples.values.data()));
    const cv::Mat labels(static_cast<int>(samples.size()), 1, CV_32S,
                         const_cast<int*>(samples.labels.data()));
    machine->train(cv::ml::TrainData::create(values, cv::ml::ROW_SAMPLE, labels));
    const auto pixels = pixelsAround(8, kPixels);
    cv::Mat rows(kPixels, 8, CV_32F), theirs;
    for (int i = 0; i < static_cast<int>(kPixels); ++i)
      for (int f = 0; f < 8; ++f)
        rows.at<float>(i, f) = pixels[static_cast<size_t>(f)][static_cast<size_t>(i)];
    machine->predict(rows, theirs);
    std::vector<int16_t> ours(kPixels);
    std::vector<float> support(6 * kPixels);
    vectorsOf(*machine, 6).decide(pointers(pixels), kPixels, ours.data());
    vectorsOf(*machine, 6).support(pointers(pixels), kPixels, support.data());
    size_t same = 0;
    std::vector<size_t> given(6);
    for (size_t i = 0; i < kPixels; ++i) {
      same += static_cast<int>(theirs.at<float>(static_cast<int>(i))) == ours[i] ? 1 : 0;
      ++given.at(static_cast<size_t>(ours[i]));
      ASSERT_TRUE(std::isfinite(support[i]));
    }
    EXPECT_GE(same, kPixels - kPixels / 1000) << radial;
    for (const size_t g : given) EXPECT_GT(g, 500u);
  }
}

TEST(SupportVectors, TheValueOfAFunctionIsTheSumOverItsVectors) {
  const auto samples = overlapping(3, 2, 60, 8);
  const SupportVectors machine = trainVectors(samples, {true, 2, 0.7});
  ASSERT_EQ(machine.functions.size(), 1u);
  const auto pixels = pixelsAround(3, 300);
  std::vector<int16_t> best(300);
  std::vector<float> support(600);
  machine.decide(pointers(pixels), 300, best.data());
  machine.support(pointers(pixels), 300, support.data());
  const auto& f = machine.functions[0];
  for (size_t i = 0; i < 300; ++i) {
    double sum = f.offset;
    for (size_t k = 0; k < f.vectors.size(); ++k) {
      double squared = 0;
      for (size_t b = 0; b < 3; ++b) {
        const double gap =
            static_cast<double>(pixels[b][i]) -
            static_cast<double>(machine.values[static_cast<size_t>(f.vectors[k]) * 3 + b]);
        squared += gap * gap;
      }
      sum += f.weights[k] * std::exp(-0.7 * squared);
    }
    EXPECT_EQ(best[i], sum > 0 ? 0 : 1);
    EXPECT_NEAR(support[i], 1 / (1 + std::exp(-2 * sum)), 2e-5);
    EXPECT_NEAR(support[300 + i], 1 / (1 + std::exp(2 * sum)), 2e-5);
  }
}

TEST(SupportVectors, APixelWithoutAValueHasNoClass) {
  const SupportVectors machine = trainVectors(overlapping(3, 3, 40, 8), {true, 2, 0.7});
  auto pixels = pixelsAround(3, 70);
  pixels[1][69] = pixels[2][3] = kNan;
  std::vector<int16_t> best(70);
  machine.decide(pointers(pixels), 70, best.data());
  for (size_t i = 0; i < 70; ++i) EXPECT_EQ(best[i] < 0, i == 69 || i == 3) << i;
}

/// One class inside a ring of the other: no straight border parts them.
VectorSamples ring() {
  Random random(3);
  VectorSamples s{2, 2, {}, {}, {}};
  for (size_t i = 0; i < 400; ++i) {
    const bool inner = i % 2 == 0;
    const double turn = random.uniform() * 6.2831853,
                 away = (inner ? 0.3 : 1.7) + 0.1 * bellOf(random);
    s.values.push_back(static_cast<float>(away * std::cos(turn)));
    s.values.push_back(static_cast<float>(away * std::sin(turn)));
    s.labels.push_back(inner ? 0 : 1);
    s.areas.push_back(i % 10);
  }
  return s;
}

TEST(SupportVectors, TheSearchFindsAPlanThatHolds) {
  const auto curved = searchPlan(ring(), true, {}, {}, 1);
  ASSERT_EQ(curved.size(), 12u);
  EXPECT_GT(curved.front().right, 0.99);
  for (size_t i = 1; i < curved.size(); ++i) EXPECT_LE(curved[i].right, curved[i - 1].right);
  const auto straight = searchPlan(ring(), false, {}, {}, 1);
  ASSERT_EQ(straight.size(), 4u);
  EXPECT_LT(straight.front().right, 0.8);
  // What is given is not searched; the same seed finds the same.
  const auto fixed = searchPlan(ring(), true, 3.0, 0.5, 1);
  ASSERT_EQ(fixed.size(), 1u);
  EXPECT_EQ(fixed[0].plan.c, 3);
  EXPECT_EQ(fixed[0].plan.gamma, 0.5);
  EXPECT_EQ(searchPlan(ring(), true, {}, {}, 1).front().plan.gamma, curved.front().plan.gamma);
  Progress progress;
  progress.cancel();
  EXPECT_THROW(searchPlan(ring(), true, {}, {}, 1, progress), Cancelled);
}

TEST(SupportVectors, AreasAreKeptOutWhole) {
  // Pixels of an area are all the same: kept out pixel by pixel, they would all be known. The areas
  // of a class have nothing in common, so whole areas kept out are guessed.
  Random random(5);
  VectorSamples s{4, 2, {}, {}, {}};
  for (size_t area = 0; area < 40; ++area) {
    std::vector<float> place;
    for (int f = 0; f < 4; ++f) place.push_back(static_cast<float>(bellOf(random)));
    for (int i = 0; i < 10; ++i) {
      s.values.insert(s.values.end(), place.begin(), place.end());
      s.labels.push_back(static_cast<int>(area % 2));
      s.areas.push_back(area);
    }
  }
  EXPECT_LT(searchPlan(s, true, 100.0, 4.0, 1).front().right, 0.75);
}

class SupportVectorsMethod : public ::testing::Test {
 protected:
  static Samples samples(size_t classes) {
    const auto of = overlapping(3, classes, 120, 6);
    Samples s;
    s.features = {"a", "b", "constant"};
    for (size_t c = 0; c < classes; ++c)
      s.classes.push_back({static_cast<int>(c) * 5 + 2, "c", 120});
    for (size_t i = 0; i < of.size(); ++i) {
      // Of wildly different scales, and one that never changes.
      s.values.insert(s.values.end(),
                      {of.values[i * 3] * 1e-4f, of.values[i * 3 + 1] * 1e5f + 3e5f, 7});
      s.codes.push_back(of.labels[i] * 5 + 2);
      s.areas.push_back(of.areas[i]);
    }
    s.subclasses.assign(5 * classes, "");
    return s;
  }
  const Method& method_ = method("support-vectors");
};

TEST_F(SupportVectorsMethod, PartsFeaturesOfAnyScale) {
  const Samples s = samples(3);
  const auto made = trainMethod(method_, s);
  std::vector<std::vector<float>> columns(3);
  for (size_t i = 0; i < s.size(); ++i)
    for (size_t f = 0; f < 3; ++f) columns[f].push_back(s.sample(i)[f]);
  std::vector<uint16_t> codes(s.size());
  std::vector<float> confidence(s.size());
  classifySurely(*made, pointers(columns), s.size(), codes.data(), confidence.data());
  size_t right = 0;
  for (size_t i = 0; i < s.size(); ++i) {
    right += codes[i] == s.codes[i] ? 1 : 0;
    EXPECT_GT(confidence[i], 0);
    EXPECT_LE(confidence[i], 1);
  }
  EXPECT_GT(static_cast<double>(right) / static_cast<double>(s.size()), 0.6);
  EXPECT_EQ(made->classes(), (std::vector<int>{2, 7, 12}));
  EXPECT_GT(made->facts()["held_out"], 0.5);
  // The model, read back, gives the same.
  const Json settings = settingsFrom(method_.parameters, Json::object(), "");
  const auto again = method_.read(made->toJson(), settings);
  std::vector<uint16_t> same(s.size());
  again->classify(pointers(columns), s.size(), same.data());
  EXPECT_EQ(same, codes);
  EXPECT_EQ(again->facts(), made->facts());
}

TEST_F(SupportVectorsMethod, WhatCannotBeTrainedIsSaid) {
  EXPECT_NE(sentenceOf([&] { trainMethod(method_, samples(1)); }).find("two classes"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { trainMethod(method_, samples(2), {{"c", 0}}); }), "");
}

TEST_F(SupportVectorsMethod, AModelThatWouldLeadAstrayIsRefused) {
  const Json settings = settingsFrom(method_.parameters, Json::object(), "");
  const Json good = trainMethod(method_, samples(2))->toJson();
  const auto refused = [&](const std::function<void(Json&)>& spoil) {
    Json bad = good;
    spoil(bad);
    EXPECT_NE(sentenceOf([&] { method_.read(bad, settings); }), "");
  };
  refused([](Json& j) { j["vectors"]["functions"][0]["vectors"][0] = 100000; });
  refused([](Json& j) { j["vectors"]["functions"][0]["vectors"][0] = -1; });
  refused([](Json& j) { j["vectors"]["functions"][0]["weights"].erase(0); });
  refused([](Json& j) { j["vectors"]["functions"].push_back(j["vectors"]["functions"][0]); });
  refused([](Json& j) { j["vectors"]["values"].push_back(1); });
  refused([](Json& j) { j["vectors"]["features"] = 0; });
  refused([](Json& j) { j["scale"]["mean"].push_back(1), j["scale"]["spread"].push_back(1); });
  refused([](Json& j) { j["codes"] = {4, 2}; });
}

}  // namespace
}  // namespace zp
