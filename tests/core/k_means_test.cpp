#include "mapping/k_means.h"

#include <oneapi/tbb/global_control.h>

#include <cmath>

#include "base/random.h"
#include "feature/feature_kind.h"
#include "mapping/pixel_sample.h"
#include "support/rasters.h"
#include "support/signatures.h"

namespace zp {
namespace {

using namespace zp::testing;

/// Pixels around some middles.
Columns heaps(size_t features, size_t heapsOf, size_t each, double spread, uint64_t seed) {
  Random random(seed);
  Columns all(features);
  std::vector<std::vector<double>> middles(heapsOf);
  for (auto& m : middles)
    for (size_t f = 0; f < features; ++f) m.push_back(random.uniform());
  for (size_t i = 0; i < each; ++i)
    for (const auto& m : middles)
      for (size_t f = 0; f < features; ++f)
        all[f].push_back(static_cast<float>(m[f] + spread * bellOf(random)));
  return all;
}

/// Lloyd's two steps, written down in double precision.
Clusters byHand(const Columns& pixels, std::vector<double> means, int most) {
  const size_t features = pixels.size(), n = pixels[0].size(), k = means.size() / features;
  std::vector<size_t> labels(n, k);
  Clusters c;
  c.features = features;
  for (c.passes = 1;; ++c.passes) {
    bool moved = false;
    c.withinSumOfSquares = 0;
    std::vector<double> sums(means.size(), 0);
    c.sizes.assign(k, 0);
    for (size_t i = 0; i < n; ++i) {
      double best = 1e300;
      size_t which = 0;
      for (size_t j = 0; j < k; ++j) {
        double d = 0;
        for (size_t f = 0; f < features; ++f) {
          const double gap = static_cast<double>(pixels[f][i]) - means[j * features + f];
          d += gap * gap;
        }
        if (d < best) best = d, which = j;
      }
      moved = moved || labels[i] != which;
      labels[i] = which;
      ++c.sizes[which];
      c.withinSumOfSquares += best;
      for (size_t f = 0; f < features; ++f)
        sums[which * features + f] += static_cast<double>(pixels[f][i]);
    }
    for (size_t j = 0; j < k; ++j)
      for (size_t f = 0; f < features; ++f)
        means[j * features + f] = sums[j * features + f] / static_cast<double>(c.sizes[j]);
    if (!moved || c.passes == most) break;
  }
  c.means = means;
  return c;
}

std::vector<int16_t> labelsOf(const Columns& pixels, const Clusters& clusters) {
  std::vector<const float*> at;
  for (const auto& column : pixels) at.push_back(column.data());
  std::vector<int16_t> labels(pixels[0].size());
  std::vector<float> squared(labels.size());
  NearestMean(clusters.means, clusters.features)
      .assign(at.data(), labels.size(), labels.data(), squared.data());
  return labels;
}

TEST(KMeans, IsWhatADirectComputationGivesFromTheSameStart) {
  for (const int most : {1, 3, 100}) {
    const Columns pixels = heaps(5, 7, 3001, 0.12, 17);
    const auto start = spreadStart(pixels, 7, 3);
    ASSERT_EQ(start.size(), 35u);
    const Clusters ours = kMeans(HeldPixels(pixels), start, most),
                   hand = byHand(pixels, start, most);
    ASSERT_EQ(ours.count(), 7u);
    EXPECT_LE(ours.passes, most);
    EXPECT_NEAR(ours.withinSumOfSquares / hand.withinSumOfSquares, 1, 1e-5);
    for (size_t k = 0; k < 7; ++k) {
      EXPECT_NEAR(static_cast<double>(ours.sizes[k]), static_cast<double>(hand.sizes[k]), 3);
      for (size_t f = 0; f < 5; ++f) EXPECT_NEAR(ours.mean(k)[f], hand.mean(k)[f], 1e-4);
    }
  }
}

TEST(KMeans, FindsHeapsThatLieApart) {
  const Columns pixels = heaps(3, 4, 500, 0.002, 5);
  const Clusters c = kMeans(HeldPixels(pixels), spreadStart(pixels, 4, 1), 100);
  EXPECT_EQ(c.sizes, (std::vector<size_t>(4, 500)));
  const auto labels = labelsOf(pixels, c);
  for (size_t i = 0; i < labels.size(); ++i) ASSERT_EQ(labels[i], labels[i % 4]);
  // And settles quickly, with what little spread they have.
  EXPECT_LT(c.passes, 5);
  EXPECT_NEAR(c.withinSumOfSquares, 2000 * 3 * 0.002 * 0.002, 0.1 * 2000 * 3 * 0.002 * 0.002);
}

TEST(KMeans, DoesNotDependOnTheThreads) {
  const Columns pixels = heaps(6, 5, 20000, 0.15, 8);
  const auto start = spreadStart(pixels, 9, 2);
  std::vector<Clusters> all;
  for (const size_t threads : {1u, 2u, 4u}) {
    oneapi::tbb::global_control limit(oneapi::tbb::global_control::max_allowed_parallelism,
                                      threads);
    all.push_back(kMeans(HeldPixels(pixels), start, 10));
  }
  for (const auto& c : all) {
    EXPECT_EQ(c.means, all[0].means);
    EXPECT_EQ(c.sizes, all[0].sizes);
    EXPECT_EQ(c.withinSumOfSquares, all[0].withinSumOfSquares);
  }
}

TEST(KMeans, FewerDifferentPixelsThanClusters) {
  const Columns pixels{{1, 1, 1, 5, 5, 9}, {2, 2, 2, 2, 2, 2}};
  const auto start = spreadStart(pixels, 8, 1);
  EXPECT_EQ(start.size(), 3u * 2);
  const Clusters c = kMeans(HeldPixels(pixels), start, 50);
  EXPECT_EQ(c.count(), 3u);
  EXPECT_EQ(c.withinSumOfSquares, 0);
  // A mean that nothing is near to is left out.
  EXPECT_EQ(kMeans(HeldPixels(pixels), {1, 2, 5, 2, 1000, 1000}, 50).count(), 2u);
  const Columns one{{3}};
  EXPECT_EQ(kMeans(HeldPixels(one), spreadStart(one, 4, 1), 5).count(), 1u);
  EXPECT_NE(sentenceOf([] { spreadStart({{}}, 2, 1); }).find("no pixels"), std::string::npos);
}

TEST(KMeans, CancelStops) {
  const Columns pixels = heaps(3, 4, 500, 0.3, 5);
  Progress progress;
  progress.cancel();
  EXPECT_THROW(kMeans(HeldPixels(pixels), spreadStart(pixels, 4, 1), 100, progress), Cancelled);
}

TEST(PixelSample, IsDrawnBySeedWithoutWhatLacksAValue) {
  Folder folder;
  const Grid g = metricGrid(200, 150);
  std::vector<float> number(g.pixels()), other(g.pixels());
  for (size_t i = 0; i < number.size(); ++i)
    number[i] = static_cast<float>(i), other[i] = i % 3 == 0 ? -9999 : static_cast<float>(i % 7);
  const Scope scope(
      openScene(writeFloats(folder / "s.tif", g, {number, other}, {"red", "nir"}, -9999)));
  const FeatureReader reader(scope, makeFeatures({"band(red)", "band(nir)"}, scope));
  const PixelSample all = drawPixels(reader, 1000000, 1);
  EXPECT_EQ(all.size(), 20000u);
  EXPECT_EQ(all.features, (std::vector<std::string>{"red", "nir"}));
  const PixelSample some = drawPixels(reader, 3000, 1);
  // A tenth of 20 000 that have values, give or take four spreads of chance.
  EXPECT_NEAR(static_cast<double>(some.size()), 2000, 4 * std::sqrt(20000 * 0.1 * 0.9));
  EXPECT_EQ(drawPixels(reader, 3000, 1).columns, some.columns);
  EXPECT_NE(drawPixels(reader, 3000, 2).columns, some.columns);
  for (size_t i = 0; i < some.size(); ++i) {
    const auto pixel = static_cast<size_t>(some.columns[0][i]);
    ASSERT_NE(pixel % 3, 0u);
    ASSERT_EQ(some.columns[1][i], static_cast<float>(pixel % 7));
  }
  PixelSample scaled = some;
  scale(scaled, standardOf(some));
  const Standard now = standardOf(scaled);
  for (size_t f = 0; f < 2; ++f) {
    EXPECT_NEAR(now.mean[f], 0, 1e-5);
    EXPECT_NEAR(now.spread[f], 1, 1e-5);
  }
}

/// The scale of signatures is that of the pixels they are of, and scaled they are those of the
/// scaled pixels.
TEST(StandardScale, OfSignaturesIsThatOfTheirPixels) {
  Random random(4);
  Samples samples;
  samples.features = {"a", "b"};
  samples.classes = {{1, "one", 0}, {4, "four", 0}};
  std::vector<size_t> all;
  for (size_t i = 0; i < 500; ++i) {
    samples.codes.push_back(i % 3 == 0 ? 1 : 4);
    const double shift = samples.codes.back();
    samples.values.push_back(static_cast<float>(shift + random.uniform()));
    samples.values.push_back(static_cast<float>(100 * shift + 30 * random.uniform()));
    all.push_back(i);
  }
  const SignatureSet set = signaturesOf(samples);
  const Standard expected = standardOf(samples, all), found = standardOf(set);
  for (size_t f = 0; f < 2; ++f) {
    EXPECT_NEAR(found.mean[f], expected.mean[f], 1e-9 * expected.spread[f]);
    EXPECT_NEAR(found.spread[f], expected.spread[f], 1e-9 * expected.spread[f]);
  }
  Samples brought = samples;
  for (size_t i = 0; i < brought.values.size(); ++i)
    brought.values[i] = expected.of(samples.values[i], i % 2);
  const SignatureSet direct = signaturesOf(brought);
  for (size_t c = 0; c < 2; ++c) {
    const Signature one = scaled(set.classes[c], found);
    EXPECT_LT((one.mean - direct.classes[c].mean).norm(), 1e-6);
    EXPECT_LT((one.max - direct.classes[c].max).norm(), 1e-6);
    EXPECT_LT((one.covariance - direct.classes[c].covariance).norm(), 1e-6);
  }
}

}  // namespace
}  // namespace zp
