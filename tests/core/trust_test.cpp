// How far a trained map can be believed: what is held out, and what is unlike all training.
#include "base/nan.h"
#include "feature/feature_kind.h"
#include "mapping/doubts.h"
#include "mapping/held_out.h"
#include "mapping/make_unlikeness.h"
#include "support/rasters.h"
#include "support/signatures.h"

namespace zp::testing {
namespace {

/// Classes 3 and 8 of four areas each, in two features; `mixed`: the last area of 8 lies on
/// class 3.
Samples twoClasses(bool mixed, int each = 40) {
  Random random(5);
  Samples s;
  s.features = {"a", "b"};
  s.subclasses.assign(8, "");
  for (size_t area = 0; area < 8; ++area)
    for (int i = 0; i < each; ++i) {
      const bool high = area >= 4 && !(mixed && area == 7);
      s.values.push_back(static_cast<float>((high ? 0.7 : 0.3) + 0.03 * bellOf(random)));
      s.values.push_back(static_cast<float>((high ? 20 : 40) + 2 * bellOf(random)));
      s.codes.push_back(area < 4 ? 3 : 8);
      s.areas.push_back(area);
    }
  s.classes = {{3, "low", 160}, {8, "high", 160}};
  return s;
}

Legend twoLegend() {
  Legend legend;
  legend.add({3, "low", {10, 20, 30}, "", {}});
  legend.add({8, "high", {100, 120, 130}, "", {}});
  return legend;
}

TEST(HeldOut, EverySampleIsJudgedOnceByAreasItIsNotOf) {
  for (const auto* m : methods()) {
    const HeldOut told = heldOut(twoClasses(false), {m->id}, twoLegend());
    EXPECT_EQ(told.total.all, 320u) << m->id;
    EXPECT_GE(told.total.share(), 0.99) << m->id;
    ASSERT_EQ(told.classes.size(), 2u);
    EXPECT_EQ(told.classes[0].all, 160u);
    EXPECT_TRUE(told.areas.empty()) << m->id;
    size_t binned = 0;
    for (const auto& bin : told.bySupport) binned += bin.all;
    EXPECT_EQ(binned, 320u) << m->id;
  }
}

TEST(HeldOut, ACarelessAreaIsNamedWithTheClassItLooksLike) {
  const HeldOut told = heldOut(twoClasses(true), {"minimum-distance"}, twoLegend());
  ASSERT_EQ(told.areas.size(), 1u);
  EXPECT_EQ(told.areas[0].area, 7u);
  EXPECT_EQ(told.areas[0].right, 0u);
  EXPECT_EQ(told.classes[1].takenFor, 3);
  EXPECT_EQ(told.total.right, 280u);
  const Json json = toJson(told);
  EXPECT_EQ(json["areas"][0]["area"], 7u);
  EXPECT_EQ(json["classes"][1]["taken_for"], 3);
}

TEST(HeldOut, NeedsAreasToKeepOut) {
  Samples s = twoClasses(false, 1);
  s.codes.assign(8, 3);
  s.codes[7] = 8;  // one sample: where it is kept out, there is no such class
  const HeldOut told = heldOut(s, {"minimum-distance"}, twoLegend());
  EXPECT_GT(told.total.all, 0u);
  for (const auto& c : told.classes) EXPECT_EQ(c.code, 3);
  s.codes[7] = 3;
  s.classes = {{3, "low", 8}};
  EXPECT_NE(sentenceOf([&] { heldOut(s, {"minimum-distance"}, twoLegend()); }).find("two classes"),
            std::string::npos);
  Progress cancelled;
  cancelled.cancel();
  EXPECT_THROW(heldOut(twoClasses(false), {"random-forest"}, twoLegend(), cancelled), Cancelled);
}

/// Class 8 in two parts, one on either side of class 3.
Samples twoParts() {
  Random random(6);
  Samples s;
  s.features = {"a"};
  s.subclasses = {"", "dark", "bright"};
  for (size_t area = 0; area < 3; ++area)
    for (int i = 0; i < 100; ++i) {
      const double middle[] = {0.5, 0.2, 0.8};
      s.values.push_back(static_cast<float>(middle[area] + 0.02 * bellOf(random)));
      s.codes.push_back(area == 0 ? 3 : 8);
      s.areas.push_back(area);
    }
  s.classes = {{3, "low", 100}, {8, "high", 200}};
  return s;
}

std::vector<uint16_t> codesAt(const Classifier& c, const std::vector<float>& at) {
  std::vector<uint16_t> codes(at.size());
  c.classify({at.data()}, at.size(), codes.data());
  return codes;
}

TEST(SubclassesApart, AClassOnBothSidesOfAnotherIsFound) {
  const std::vector<float> at{0.2f, 0.5f, 0.8f};
  const Model together = trainOn(twoParts(), {"minimum-distance"}, twoLegend());
  EXPECT_NE(codesAt(*together.classifier, at), (std::vector<uint16_t>{8, 3, 8}));
  MapPlan plan{"minimum-distance"};
  plan.subclasses = Subclasses::Apart;
  const Model parts = trainOn(twoParts(), plan, twoLegend());
  EXPECT_EQ(codesAt(*parts.classifier, at), (std::vector<uint16_t>{8, 3, 8}));
  EXPECT_EQ(parts.classifier->classes(), (std::vector<int>{3, 8}));
  plan.subclasses = Subclasses::Kept;
  const Model kept = trainOn(twoParts(), plan, twoLegend());
  EXPECT_EQ(codesAt(*kept.classifier, at), (std::vector<uint16_t>{802, 3, 801}));
  EXPECT_EQ(kept.legend.find(801)->name, "high, bright");
  EXPECT_EQ(kept.legend.find(3)->name, "low");
  EXPECT_EQ(kept.legend.find(8), nullptr);
  EXPECT_NE(kept.legend.find(801)->colour, kept.legend.find(802)->colour);
}

TEST(SubclassesApart, WhatSpeaksForAClassIsTheSumOverItsSubclasses) {
  MapPlan plan{"maximum-likelihood"};
  plan.subclasses = Subclasses::Apart;
  const Samples s = twoParts();
  const Model m = trainOn(s, plan, twoLegend());
  // By hand: a class as the mixture of its two parts, each as common as its pixels.
  const SignatureSet set = signaturesOf(apart(s, subclassesOf(s)));
  const std::vector<float> at{0.35f, 0.4f, 0.62f};
  std::vector<float> support(6);
  m.classifier->support({at.data()}, 3, support.data());
  for (size_t i = 0; i < 3; ++i) {
    double p[3];
    for (size_t k = 0; k < 3; ++k) {
      const double d = static_cast<double>(at[i]) - set.classes[k].mean[0],
                   v = set.classes[k].covariance(0, 0);
      p[k] = std::exp(-d * d / (2 * v)) / std::sqrt(v) * (k == 0 ? 1 : 0.5);
    }
    EXPECT_NEAR(support[i], p[0] / (p[0] + p[1] + p[2]), 1e-3);
    EXPECT_NEAR(support[i] + support[3 + i], 1, 1e-5);
  }
}

TEST(SubclassesApart, AModelComesBackFromItsFile) {
  const Folder folder;
  const std::vector<float> at{0.2f, 0.3f, 0.36f, 0.5f, 0.64f, 0.8f};
  for (const auto how : {Subclasses::Together, Subclasses::Apart, Subclasses::Kept})
    for (const double least : {0.0, 0.9}) {
      const Model m =
          trainOn(twoParts(), {"maximum-likelihood", Json::object(), how, least}, twoLegend());
      writeJson(folder / "m.json", toJson(m));
      const Model back = readModel(folder / "m.json");
      EXPECT_EQ(codesAt(*back.classifier, at), codesAt(*m.classifier, at)) << idOf(how) << least;
      EXPECT_EQ(toJson(back), toJson(m));
    }
  Json damaged = readJson(folder / "m.json");
  damaged["subclasses"][0]["code"] = 4;
  writeJson(folder / "m.json", damaged);
  EXPECT_THROW(readModel(folder / "m.json"), Error);
  EXPECT_THROW(subclassesFrom("alone"), Error);
}

TEST(SubclassesApart, CodesThatMeetAreRefused) {
  Samples s = twoParts();
  for (int& code : s.codes) code = code == 3 ? 801 : 8;
  s.classes[0].code = 801;
  EXPECT_NE(sentenceOf([&] { subclassesOf(s); }).find("801"), std::string::npos);
  for (int& code : s.codes) code = code == 8 ? 700 : 3;
  EXPECT_NE(sentenceOf([&] { subclassesOf(s); }).find("up to 654"), std::string::npos);
}

TEST(OnlySure, PixelsForWhichTooLittleSpeaksStayWithoutAClass) {
  const std::vector<float> at{0.3f, 0.5f, 0.7f, 0.62f};
  const auto learned = trainOn(twoClasses(false), {"minimum-distance"}, twoLegend());
  Samples one = twoClasses(false);
  // The first feature alone, so that 0.5 lies between the two.
  one.features = {"a"};
  std::vector<float> first;
  for (size_t i = 0; i < one.values.size(); i += 2) first.push_back(one.values[i]);
  one.values = first;
  const auto sure =
      trainOn(one, {"minimum-distance", Json::object(), Subclasses::Together, 0.8}, twoLegend());
  EXPECT_EQ(codesAt(*sure.classifier, at), (std::vector<uint16_t>{3, 0, 8, 8}));
  EXPECT_THROW(
      trainOn(one, {"minimum-distance", Json::object(), Subclasses::Together, 1.0}, twoLegend()),
      Error);
}

TEST(Unlikeness, IsTheDistanceToTheNearestSampleInTheMeanDistanceOfAll) {
  const Samples s = twoClasses(false);
  const Unlikeness u(s, {});
  // Directly, in double.
  double spread[2], mean[2];
  for (size_t f = 0; f < 2; ++f) {
    double sum = 0, squares = 0;
    for (size_t i = 0; i < s.size(); ++i) sum += static_cast<double>(s.sample(i)[f]);
    mean[f] = sum / static_cast<double>(s.size());
    for (size_t i = 0; i < s.size(); ++i)
      squares += std::pow(static_cast<double>(s.sample(i)[f]) - mean[f], 2);
    spread[f] = std::sqrt(squares / static_cast<double>(s.size() - 1));
  }
  const auto gap = [&](const float* a, const float* b) {
    double sum = 0;
    for (size_t f = 0; f < 2; ++f) sum += std::pow(static_cast<double>(a[f] - b[f]) / spread[f], 2);
    return std::sqrt(sum);
  };
  double all = 0, pairs = 0;
  for (size_t i = 0; i < s.size(); ++i)
    for (size_t j = 0; j < i; ++j) all += gap(s.sample(i), s.sample(j)), ++pairs;
  const std::vector<float> a{0.3f, 0.5f, 0.9f, NAN}, b{40, 30, 90, 20};
  std::vector<float> index(4);
  u.of({a.data(), b.data()}, 4, index.data());
  for (size_t i = 0; i < 3; ++i) {
    const float at[] = {a[i], b[i]};
    double nearest = 1e9;
    for (size_t k = 0; k < s.size(); ++k) nearest = std::min(nearest, gap(at, s.sample(k)));
    EXPECT_NEAR(index[i], nearest / (all / pairs), 1e-3) << i;
  }
  EXPECT_TRUE(std::isnan(index[3]));
  EXPECT_GT(u.limit(), 0);
  EXPECT_LT(index[0], u.limit());
  EXPECT_GT(index[2], u.limit());
}

TEST(Doubts, TheWorstPlacesLieApart) {
  std::vector<float> scores(40 * 30, 0.1f);
  scores[5 * 40 + 5] = 0.9f;
  scores[5 * 40 + 6] = 0.8f;  // next to the worst
  scores[20 * 40 + 30] = 0.7f;
  scores[0] = kNan;
  EXPECT_EQ(worstApart(scores, 40, 2, 5), (std::vector<size_t>{205, 830}));
  const auto many = worstApart(scores, 40, 50, 8);
  for (size_t i = 0; i < many.size(); ++i)
    for (size_t j = 0; j < i; ++j)
      EXPECT_GE(std::hypot(static_cast<double>(many[i] % 40) - static_cast<double>(many[j] % 40),
                           static_cast<double>(many[i] / 40) - static_cast<double>(many[j] / 40)),
                8);
  EXPECT_TRUE(worstApart({}, 1, 5, 2).empty());
}

TEST(Doubts, WhatIsUnlikeIsCountedAndListed) {
  const Folder folder;
  const Grid g = metricGrid(60, 40);
  std::vector<float> a(g.pixels()), b(g.pixels());
  for (size_t i = 0; i < a.size(); ++i) {
    const bool strange = i % 60 >= 50 && i / 60 >= 30;
    a[i] = strange ? 3.0f : i % 60 < 30 ? 0.3f : 0.7f;
    b[i] = a[i] < 0.5f ? 40 : 20;
  }
  writeFloats(folder / "s.tif", g, {a, b});
  const Scope scope(openScene(folder / "s.tif"));
  const FeatureReader reader(scope, makeFeatures({"band(1)", "band(2)"}, scope));
  const Samples s = twoClasses(false);
  const auto model = trainOn(s, {"minimum-distance"}, twoLegend());
  const MapDoubts doubts = doubtsOf(reader, *model.classifier, Unlikeness(s, {}));
  EXPECT_EQ(doubts.pixels, g.pixels());
  EXPECT_EQ(doubts.unlike, 100u);
  EXPECT_EQ(doubts.classes.at(8).second, 100u);
  EXPECT_EQ(doubts.classes.at(3).second, 0u);
  ASSERT_FALSE(doubts.mostUnlike.empty());
  const Place at = g.toPixel(doubts.mostUnlike[0].place);
  EXPECT_GE(at.x, 50);
  EXPECT_GE(at.y, 30);
  EXPECT_GT(doubts.mostUnlike[0].unlikeness, 1);
  EXPECT_LE(doubts.mostUnlike.size(), 8u);
  EXPECT_TRUE(doubts.disagreed.empty());
  // Held against a method that takes each class for the other, and against itself.
  Samples swapped = s;
  for (int& code : swapped.codes) code = code == 3 ? 8 : 3;
  const Model other = trainOn(swapped, model.plan, model.legend);
  const auto against = [&](const Model& m) {
    return doubtsOf(reader, *model.classifier, Unlikeness(s, {}), 8, Progress(), m.classifier.get())
        .disagreed;
  };
  ASSERT_FALSE(against(other).empty());
  for (const auto& place : against(other)) EXPECT_EQ(place.other, place.code == 3 ? 8 : 3);
  EXPECT_TRUE(against(model).empty());
}

TEST(Unlikeness, AFeatureWithoutWeightDoesNotCount) {
  const Unlikeness u(twoClasses(false), {1, 0});
  const std::vector<float> a{0.3f, 0.3f}, b{40, 4000};
  std::vector<float> index(2);
  u.of({a.data(), b.data()}, 2, index.data());
  EXPECT_FLOAT_EQ(index[0], index[1]);
  Samples same = twoClasses(false);
  std::fill(same.values.begin(), same.values.end(), 1.0f);
  EXPECT_THROW(Unlikeness(same, {}), Error);
}

}  // namespace
}  // namespace zp::testing
