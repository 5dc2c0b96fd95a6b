#include <oneapi/tbb/global_control.h>

#include <cmath>
#include <set>

#include "base/nan.h"
#include "base/random.h"
#include "feature/feature_kind.h"
#include "legend/class_map.h"
#include "mapping/cluster_map.h"
#include "mapping/cluster_number.h"
#include "mapping/isodata.h"
#include "mapping/k_means.h"
#include "mapping/nearest_signature.h"
#include "support/rasters.h"
#include "support/signatures.h"

namespace zp {
namespace {

using namespace zp::testing;

/// Heaps of sizes of their own around some middles, with a spread each.
Columns heapsOf(const std::vector<std::vector<double>>& middles, const std::vector<size_t>& sizes,
                const std::vector<double>& spreads) {
  Random random(11);
  Columns all(middles[0].size());
  for (size_t m = 0; m < middles.size(); ++m)
    for (size_t i = 0; i < sizes[m]; ++i)
      for (size_t f = 0; f < all.size(); ++f)
        all[f].push_back(static_cast<float>(middles[m][f] + spreads[m] * bellOf(random)));
  return all;
}

TEST(Isodata, PartsWhatIsWideAndJoinsWhatIsNear) {
  const Columns pixels =
      heapsOf({{0, 0}, {10, 0}, {0, 10}, {10, 10}}, {900, 900, 900, 900}, {1, 1, 1, 1});
  IsodataPlan plan;
  plan.wanted = 4;
  plan.split = 2;
  plan.merge = 3;
  plan.passes = 40;
  // From one cluster in the middle of all, it has to part; from nine, to join.
  for (const size_t from : {1u, 9u}) {
    plan.wanted = 4;
    const Clusters c = isodata(HeldPixels(pixels), spreadStart(pixels, from, 3), plan);
    ASSERT_EQ(c.count(), 4u) << from;
    std::set<std::pair<int, int>> corners;
    for (size_t k = 0; k < 4; ++k) {
      EXPECT_EQ(c.sizes[k], 900u);
      corners.insert({static_cast<int>(std::lround(c.mean(k)[0])),
                      static_cast<int>(std::lround(c.mean(k)[1]))});
    }
    EXPECT_EQ(corners, (std::set<std::pair<int, int>>{{0, 0}, {0, 10}, {10, 0}, {10, 10}}));
    EXPECT_LT(c.passes, 40);
    EXPECT_NEAR(c.withinSumOfSquares, 3600 * 2, 3600 * 2 * 0.1);
  }
}

TEST(Isodata, DissolvesWhatIsSmall) {
  const Columns pixels = heapsOf({{0, 0}, {10, 0}, {5, 9}}, {500, 500, 12}, {1, 1, 0.2});
  IsodataPlan plan;
  plan.wanted = 3;
  plan.split = 100;
  plan.merge = 0.1;
  EXPECT_EQ(isodata(HeldPixels(pixels), spreadStart(pixels, 3, 1), plan).count(), 3u);
  plan.smallest = 30;
  const Clusters c = isodata(HeldPixels(pixels), spreadStart(pixels, 3, 1), plan);
  ASSERT_EQ(c.count(), 2u);
  EXPECT_EQ(c.sizes[0] + c.sizes[1], 1012u);
  plan.smallest = 2000;
  EXPECT_NE(sentenceOf([&] {
              isodata(HeldPixels(pixels), spreadStart(pixels, 3, 1), plan);
            }).find("smallest share"),
            std::string::npos);
}

TEST(ClusterNumber, PartsBestAtTheNumberOfHeaps) {
  PixelSample sample;
  sample.columns = heapsOf({{0, 0}, {9, 1}, {1, 9}, {10, 11}, {5, 20}}, {300, 200, 250, 300, 150},
                           {1, 1, 1, 1, 1});
  const auto trials = tryNumbers(sample, 12, 1);
  ASSERT_EQ(trials.size(), 11u);
  EXPECT_EQ(trials.front().clusters, 2u);
  size_t best = 0;
  for (size_t i = 0; i < trials.size(); ++i) {
    EXPECT_GT(trials[i].within, 0);
    EXPECT_LT(trials[i].within, 1);
    if (trials[i].separation > trials[best].separation) best = i;
  }
  EXPECT_EQ(trials[best].clusters, 5u);
  // By the definition, from the shares: (1 − w) / w (n − k) / (k − 1).
  const double w = trials[3].within;
  EXPECT_NEAR(trials[3].separation, (1 - w) / w * (1200 - 5) / 4, 1e-6 * trials[3].separation);
  // No more clusters than there are different pixels, and nothing within them: no separation.
  sample.columns = {{1, 1, 2, 3}};
  const auto few = tryNumbers(sample, 12, 1);
  ASSERT_EQ(few.size(), 2u);
  EXPECT_EQ(few[1].within, 0);
  EXPECT_TRUE(std::isnan(few[1].separation));
}

TEST(NearestSignature, AWideClassIsNotNearToEverything) {
  const auto signature = [](int code, double mean, double sd) {
    Signature s;
    s.code = code;
    s.mean = Eigen::Vector2d(mean, mean);
    s.covariance = Eigen::Matrix2d::Identity() * sd * sd;
    return s;
  };
  SignatureSet set;
  set.bands = {"a", "b"};
  EXPECT_EQ(nearestSignature({1, 1}, set).code, 0);
  set.classes = {signature(3, 0, 1), signature(7, 2, 10)};
  const auto near = nearestSignature({1, 1}, set);
  EXPECT_EQ(near.code, 3);  // though it is only a tenth of a spread from the wide one
  EXPECT_NEAR(near.distance, 1, 1e-12);
  EXPECT_EQ(nearestSignature({8, 8}, set).code, 7);
  EXPECT_NEAR(nearestSignature({8, kNan}, set).distance, 0.6, 1e-12);
}

/// Three covers of unlike sizes, a pixel without a value, and a feature of much larger numbers.
class ClusterMap : public ::testing::Test {
 protected:
  void SetUp() override {
    const Grid g = metricGrid(300, 200);
    Random random(4);
    std::vector<float> red(g.pixels()), height(g.pixels());
    for (size_t i = 0; i < red.size(); ++i) {
      const size_t column = i % 300;
      cover_.push_back(column < 50 ? 0 : column < 150 ? 1 : 2);
      const double middles[] = {0.3, 0.1, 0.5}, heights[] = {400, 1200, 800};
      red[i] = static_cast<float>(middles[cover_[i]] + 0.005 * bellOf(random));
      height[i] = static_cast<float>(heights[cover_[i]] + 8 * bellOf(random));
    }
    red[7] = -9999;
    scene_ = openScene(writeFloats(folder_ / "s.tif", g, {red, height}, {"red", "height"}, -9999));
    scope_ = Scope(scene_);
    red_ = red;
  }
  ClusterModel make(const std::string& method, const Json& settings) {
    const FeatureReader reader(scope_, makeFeatures({"band(1)", "band(2)"}, scope_));
    ClusterModel model = findClusters(reader, clusterMethod(method), settings);
    makeClusterMap(reader, model, folder_ / "c.tif");
    return model;
  }
  std::vector<uint16_t> codes() {
    const RasterFile file(folder_ / "c.tif");
    std::vector<uint16_t> all(file.grid().pixels());
    file.readCodes(1, {0, 0, 300, 200}, all.data());
    return all;
  }
  Folder folder_;
  Scene scene_;
  Scope scope_{Scene()};
  std::vector<size_t> cover_;
  std::vector<float> red_;
};

TEST_F(ClusterMap, IsCodedByFallingSizeWithTheMeansOfItsPixels) {
  for (const std::string method : {"k-means", "isodata"})
    for (const std::string from : {"draw", "all"}) {
      Json settings = {{"clusters", 3}, {"from", from}, {"pixels", 5000}};
      const ClusterModel model = make(method, settings);
      ASSERT_EQ(model.clusters.count(), 3u) << method << from;
      const auto all = codes();
      EXPECT_EQ(all[7], 0);
      const int code[] = {3, 2, 1};  // of the narrowest cover to the widest
      for (size_t i = 0; i < all.size(); ++i) ASSERT_EQ(all[i], i == 7 ? 0 : code[cover_[i]]) << i;
      EXPECT_EQ(model.clusters.sizes, (std::vector<size_t>{30000, 20000, 9999}));
      double sum = 0;
      for (size_t i = 0; i < all.size(); ++i)
        if (all[i] == 2) sum += static_cast<double>(red_[i]);
      EXPECT_NEAR(model.mean(1, 0), sum / 20000, from == "all" ? 1e-7 : 5e-4);
      EXPECT_NEAR(model.mean(0, 1), 800, 0.5);
      EXPECT_EQ(model.pixels, from == "all" ? 59999u : model.pixels);
      const Legend legend = legendOf(RasterFile(folder_ / "c.tif"));
      ASSERT_EQ(legend.classes.size(), 3u);
      EXPECT_EQ(legend.classes[2].name, "Cluster 3");
    }
  EXPECT_EQ(folder_.names(), (std::vector<std::string>{"c.tif", "c.tif.aux.xml", "s.tif"}));
}

TEST_F(ClusterMap, DoesNotDependOnTheThreads) {
  std::vector<std::pair<std::vector<uint16_t>, Json>> all;
  for (const size_t threads : {1u, 4u}) {
    oneapi::tbb::global_control limit(oneapi::tbb::global_control::max_allowed_parallelism,
                                      threads);
    const Json told = toJson(make("k-means", {{"clusters", 7}, {"from", "all"}}));
    all.emplace_back(codes(), told);
  }
  EXPECT_EQ(all[0], all[1]);
}

TEST_F(ClusterMap, TheScaleDecidesWhatCounts) {
  // In the numbers as they are only the height counts, and four of it are asked for.
  const auto unscaled = make("k-means", {{"clusters", 3}, {"scale", "none"}});
  EXPECT_EQ(unscaled.scale.spread[1], 1);
  EXPECT_GT(make("k-means", {{"clusters", 3}}).scale.spread[1], 100);
}

TEST_F(ClusterMap, SettingsThatDoNotFitAreRefused) {
  EXPECT_NE(sentenceOf([&] { make("k-means", {{"clusters", 1}}); }), "");
  EXPECT_NE(sentenceOf([&] { make("k-means", {{"trees", 1}}); }), "");
  EXPECT_NE(sentenceOf([&] { make("k-mean", Json::object()); }).find("Did you mean “k-means”"),
            std::string::npos);
}

}  // namespace
}  // namespace zp
