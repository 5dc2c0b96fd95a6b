// Trained methods against direct computations and the library that grew the trees.
#include <Eigen/Dense>
#include <cmath>
#include <opencv2/ml.hpp>

#include "base/random.h"
#include "mapping/grow_forest.h"
#include "mapping/method.h"
#include "mapping/methods/spectral_angle.h"
#include "support/rasters.h"
#include "support/signatures.h"
#include "support/train.h"

namespace zp {
namespace {

using namespace zp::testing;

/// Samples of classes 3, 6, 9… around means of their own, overlapping.
Samples randomSamples(size_t features, size_t classes, size_t each, uint64_t seed) {
  Random random(seed);
  Samples s;
  s.subclasses = {""};
  for (size_t f = 0; f < features; ++f) s.features.push_back("f" + std::to_string(f));
  for (size_t c = 0; c < classes; ++c) {
    const int code = static_cast<int>(c) * 3 + 3;
    s.classes.push_back({code, "c" + std::to_string(c), each});
    std::vector<double> middle;
    for (size_t f = 0; f < features; ++f) middle.push_back(0.4 + 0.1 * bellOf(random));
    for (size_t i = 0; i < each; ++i) {
      for (size_t f = 0; f < features; ++f)
        s.values.push_back(static_cast<float>(middle[f] + 0.08 * bellOf(random)));
      s.codes.push_back(code);
      s.areas.push_back(0);
    }
  }
  return s;
}

struct Pixels {
  std::vector<std::vector<float>> values;
  std::vector<const float*> pointers() const {
    std::vector<const float*> all;
    for (const auto& v : values) all.push_back(v.data());
    return all;
  }
  size_t size() const { return values[0].size(); }
};

Pixels randomPixels(size_t features, size_t n, uint64_t seed) {
  Random random(seed);
  Pixels p;
  p.values.assign(features, std::vector<float>(n));
  for (auto& band : p.values)
    for (auto& v : band) v = static_cast<float>(0.4 + 0.15 * bellOf(random));
  return p;
}

std::vector<uint16_t> codesOf(const Classifier& c, const Pixels& p) {
  std::vector<uint16_t> codes(p.size());
  c.classify(p.pointers(), p.size(), codes.data());
  return codes;
}

TEST(SpectralAngle, IsTheAngleInDoublePrecision) {
  const SignatureSet set = randomSignatures(7, 6, 21);
  const Pixels x = randomPixels(7, 5003, 4);
  const auto codes = codesOf(SpectralAngle(set), x);
  const auto near = codesOf(SpectralAngle(set, {{"reject", 12.0}}), x);
  size_t differ = 0, left = 0;
  for (size_t i = 0; i < x.size(); ++i) {
    Eigen::VectorXd v(7);
    for (size_t b = 0; b < 7; ++b) v[static_cast<Eigen::Index>(b)] = x.values[b][i];
    double smallest = 1e9;
    int code = 0;
    for (const auto& s : set.classes) {
      const double angle = std::acos(v.dot(s.mean) / v.norm() / s.mean.norm()) * 180 / M_PI;
      if (angle < smallest) smallest = angle, code = s.code;
    }
    differ += codes[i] != code ? 1 : 0;
    if (std::abs(smallest - 12) > 1e-3) differ += near[i] != (smallest <= 12 ? code : 0) ? 1 : 0;
    left += near[i] == 0 ? 1 : 0;
  }
  EXPECT_LE(differ, 1u);
  EXPECT_GT(left, 100u);
  EXPECT_LT(left, 4900u);
}

TEST(SpectralAngle, DoesNotSeeBrightnessAndZeroHasNoDirection) {
  const SignatureSet set = randomSignatures(4, 5, 9);
  Pixels x = randomPixels(4, 301, 5);
  const auto codes = codesOf(SpectralAngle(set), x);
  for (auto& band : x.values)
    for (auto& v : band) v *= 0.25f;  // in the shade
  EXPECT_EQ(codesOf(SpectralAngle(set), x), codes);
  for (auto& band : x.values) band[7] = 0;
  x.values[2][8] = NAN;
  const auto again = codesOf(SpectralAngle(set), x);
  EXPECT_EQ(again[7], 0);
  EXPECT_EQ(again[8], 0);
  EXPECT_EQ(again[9], codes[9]);
  EXPECT_NE(sentenceOf([] { SpectralAngle{randomSignatures(1, 3, 1)}; }).find("no direction"),
            std::string::npos);
}

TEST(NearestNeighbours, AreThoseOfAFullSearch) {
  Samples samples = randomSamples(5, 4, 150, 31);
  for (size_t i = 0; i < samples.size(); ++i) samples.values[i * 5 + 2] *= 1000;  // another unit
  const Pixels x = [] {
    Pixels p = randomPixels(5, 400, 8);
    for (auto& v : p.values[2]) v *= 1000;
    return p;
  }();
  const Method& how = method("nearest-neighbours");
  for (const char* scale : {"spread", "none"}) {
    const auto trained =
        trainMethod(how, samples, {{"neighbours", 7}, {"scale", scale}, {"pixels", 1000}});
    std::vector<float> sure(x.size());
    std::vector<uint16_t> codes(x.size());
    classifySurely(*trained, x.pointers(), x.size(), codes.data(), sure.data());
    std::vector<double> spread(5, 1);
    for (size_t f = 0; f < 5 && std::string(scale) == "spread"; ++f) {
      Eigen::ArrayXd v(static_cast<Eigen::Index>(samples.size()));
      for (size_t i = 0; i < samples.size(); ++i)
        v[static_cast<Eigen::Index>(i)] = samples.sample(i)[f];
      spread[f] = std::sqrt((v - v.mean()).square().sum() / static_cast<double>(v.size() - 1));
    }
    for (size_t p = 0; p < x.size(); ++p) {
      std::vector<std::pair<double, int>> all;
      for (size_t i = 0; i < samples.size(); ++i) {
        double d = 0;
        for (size_t f = 0; f < 5; ++f)
          d += std::pow(
              (static_cast<double>(samples.sample(i)[f]) - static_cast<double>(x.values[f][p])) /
                  spread[f],
              2);
        all.push_back({d, samples.codes[i]});
      }
      std::sort(all.begin(), all.end());
      std::map<int, int> votes;
      for (int k = 0; k < 7; ++k) ++votes[all[static_cast<size_t>(k)].second];
      int best = 0, most = 0;
      for (int k = 0; k < 7; ++k)
        if (const int code = all[static_cast<size_t>(k)].second; votes[code] > most)
          best = code, most = votes[code];
      EXPECT_EQ(codes[p], best) << p;
      EXPECT_FLOAT_EQ(sure[p], static_cast<float>(most) / 7) << p;
    }
  }
}

TEST(NearestNeighbours, ForgetWhatIsBeyondTheLimitButAlwaysTheSame) {
  const Samples samples = randomSamples(3, 2, 500, 5);
  const Pixels x = randomPixels(3, 500, 6);
  const Method& how = method("nearest-neighbours");
  const auto some = [&](int seed) {
    return codesOf(*trainMethod(how, samples, {{"pixels", 40}, {"seed", seed}}), x);
  };
  EXPECT_EQ(some(1), some(1));
  EXPECT_NE(some(1), some(2));
  const auto drawn = drawnPerClass(samples, 40, 1);
  EXPECT_EQ(drawn.size(), 80u);
  EXPECT_EQ(
      std::count_if(drawn.begin(), drawn.end(), [&](size_t i) { return samples.codes[i] == 3; }),
      40);
}

TEST(Forest, GivesWhatTheLibraryGivesForTheSameTrees) {
  const Samples samples = randomSamples(6, 5, 200, 77);
  cv::Mat values(static_cast<int>(samples.size()), 6, CV_32F),
      classes(static_cast<int>(samples.size()), 1, CV_32S);
  for (size_t i = 0; i < samples.size(); ++i) {
    std::copy_n(samples.sample(i), 6, values.ptr<float>(static_cast<int>(i)));
    classes.at<int>(static_cast<int>(i)) = samples.codes[i] / 3 - 1;
  }
  const auto theirs = cv::ml::RTrees::create();
  theirs->setMaxDepth(15);
  theirs->setTermCriteria({cv::TermCriteria::MAX_ITER, 37, 0});
  cv::theRNG().state = 5;
  theirs->train(cv::ml::TrainData::create(values, cv::ml::ROW_SAMPLE, classes));
  Forest ours;
  ours.features = 6, ours.classes = 5;
  addTrees(*theirs, ours);
  ASSERT_EQ(ours.trees.size(), 37u);
  Pixels x = randomPixels(6, 4003, 12);
  // Values that are just those of a split.
  for (size_t i = 0; i < 1000; ++i)
    if (const auto& node = ours.nodes[i]; std::isfinite(node.split))
      x.values[static_cast<size_t>(node.feature)][i] = node.split;
  const auto compare = [&](const Forest& forest) {
    std::vector<uint16_t> votes;
    forest.vote(x.pointers(), x.size(), votes);
    cv::Mat row(1, 6, CV_32F);
    for (size_t p = 0; p < x.size(); ++p) {
      for (int f = 0; f < 6; ++f) row.at<float>(f) = x.values[static_cast<size_t>(f)][p];
      const auto first = votes.begin() + static_cast<std::ptrdiff_t>(p * 5);
      ASSERT_EQ(std::accumulate(first, first + 5, 0), 37) << p;
      ASSERT_EQ(std::max_element(first, first + 5) - first, std::lround(theirs->predict(row))) << p;
    }
  };
  compare(ours);
  compare(forestFrom(Json::parse(toJson(ours).dump()), 5));
}

TEST(Forest, KnowsWhichFeatureHelpedAndHowGoodItIs) {
  Samples samples = randomSamples(4, 3, 300, 3);
  Random random(2);
  // Only the third feature tells the classes apart.
  for (size_t i = 0; i < samples.size(); ++i)
    for (size_t f = 0; f < 4; ++f)
      samples.values[i * 4 + f] = static_cast<float>(
          f == 2 ? samples.codes[i] + 0.4 * bellOf(random) : 0.3 * bellOf(random));
  const auto trained = trainMethod(method("random-forest"), samples, {{"trees", 40}});
  const Json facts = trained->facts();
  EXPECT_GT(facts["out_of_bag"].get<double>(), 0.97);
  EXPECT_LE(facts["out_of_bag"].get<double>(), 1);
  EXPECT_EQ(facts["importance"][2]["feature"], "f2");
  EXPECT_GT(facts["importance"][2]["share"].get<double>(), 0.8);
  double sum = 0;
  for (const auto& f : facts["importance"]) sum += f["share"].get<double>();
  EXPECT_NEAR(sum, 1, 1e-9);
  // Of features that tell nothing it does not claim much.
  for (size_t i = 0; i < samples.size(); ++i)
    samples.values[i * 4 + 2] = static_cast<float>(bellOf(random));
  const Json poor = trainMethod(method("random-forest"), samples, {{"trees", 40}})->facts();
  EXPECT_LT(poor["out_of_bag"].get<double>(), 0.5);
}

TEST(Forest, TheSameSeedGivesTheSameTreesAndCancelStops) {
  const Samples samples = randomSamples(4, 3, 100, 3);
  const auto grown = [&](int seed) {
    return trainMethod(method("random-forest"), samples, {{"trees", 25}, {"seed", seed}})->toJson();
  };
  EXPECT_EQ(grown(1), grown(1));
  EXPECT_NE(grown(1), grown(2));
  EXPECT_EQ(grown(1)["forest"]["trees"].size(), 25u);
  Progress cancelled;
  cancelled.cancel();
  EXPECT_THROW(trainMethod(method("random-forest"), samples, {{"trees", 100}}, cancelled),
               Cancelled);
}

TEST(Forest, AModelThatWouldLeadAstrayIsRefused) {
  const Samples samples = randomSamples(3, 2, 50, 3);
  const Json good = trainMethod(method("random-forest"), samples, {{"trees", 3}})->toJson();
  const Json settings = settingsFrom(method("random-forest").parameters, {}, "");
  EXPECT_NO_THROW(method("random-forest").read(good, settings));
  const auto spoilt = [&](auto change) {
    Json bad = good;
    change(bad["forest"]["trees"][1]);
    EXPECT_THROW(method("random-forest").read(bad, settings), std::exception) << bad.dump();
  };
  spoilt([](Json& t) { t["next"][0] = 0; });        // comes back
  spoilt([](Json& t) { t["next"][0] = 1000000; });  // leads out
  spoilt([](Json& t) { t["next"][0] = -1; });
  spoilt([](Json& t) { t["feature_or_class"][0] = 3; });  // no such feature
  spoilt([](Json& t) { t["split"].push_back(nullptr); });
  spoilt([](Json& t) { t["split"][0] = "x"; });
  spoilt([](Json& t) {
    t = {{"split", {nullptr}}, {"next", {0}}, {"feature_or_class", {2}}};  // no such class
  });
  Json none = good;
  none["forest"]["features"] = 0;
  EXPECT_THROW(method("random-forest").read(none, settings), std::exception);
  none = good;
  none["forest"]["trees"] = Json::array();
  EXPECT_THROW(method("random-forest").read(none, settings), std::exception);
}

}  // namespace
}  // namespace zp
