#include "mapping/k_means.h"

#include <oneapi/tbb/parallel_for.h>

#include <algorithm>
#include <cmath>

#include "base/cpu.h"
#include "base/error.h"
#include "base/random.h"
#include "mapping/distance_kernel.h"

namespace zp {
namespace {

/// Pixels summed together; sums are added up in their order, whatever the number of threads.
constexpr size_t kPiece = 16 * kKernelChunk;

struct Sums {
  std::vector<double> values;  // as Clusters::means
  std::vector<size_t> sizes;
  double squares = 0;
  size_t moved = 0;
};

std::vector<float> asFloat(const std::vector<double>& v) {
  return {v.begin(), v.end()};
}

/// Means in float, near the middle of all pixels: the kernel's digits go into their differences.
struct Assigner {
  explicit Assigner(const std::vector<double>& start, size_t ofFeatures)
      : features(ofFeatures), clusters(start.size() / ofFeatures), means(asFloat(start)) {}
  size_t features, clusters;
  std::vector<float> means;

  DistanceModel model() const {
    return {static_cast<int>(features), static_cast<int>(clusters), means.data(), nullptr, nullptr};
  }
  void nearest(const Columns& pixels, size_t from, size_t n, int16_t* best, float* squared) const {
    const auto kernel = cpuHasV3() ? &v3::nearestMean : &baseline::nearestMean;
    std::vector<const float*> at(features);
    for (size_t done = 0; done < n; done += kKernelChunk) {
      for (size_t f = 0; f < features; ++f) at[f] = pixels[f].data() + from + done;
      kernel(model(), at.data(), std::min(kKernelChunk, n - done), best + done, squared + done);
    }
  }
};

/// One piece: the nearest clusters, and sums of what is now in each.
Sums sumsOf(const Columns& pixels, const Assigner& assigner, size_t from, size_t n,
            int16_t* labels) {
  const size_t features = assigner.features;
  Sums s{std::vector<double>(assigner.means.size(), 0), std::vector<size_t>(assigner.clusters, 0),
         0, 0};
  std::vector<int16_t> best(n);
  std::vector<float> squared(n);
  assigner.nearest(pixels, from, n, best.data(), squared.data());
  for (size_t i = 0; i < n; ++i) {
    s.moved += best[i] != labels[i] ? 1 : 0;
    labels[i] = best[i];
    ++s.sizes[static_cast<size_t>(best[i])];
    s.squares += static_cast<double>(squared[i]);
  }
  for (size_t f = 0; f < features; ++f) {
    const float* x = pixels[f].data() + from;
    for (size_t i = 0; i < n; ++i)
      s.values[static_cast<size_t>(best[i]) * features + f] += static_cast<double>(x[i]);
  }
  return s;
}

Sums pass(const Columns& pixels, const Assigner& assigner, std::vector<int16_t>& labels) {
  const size_t n = labels.size(), pieces = (n + kPiece - 1) / kPiece;
  std::vector<Sums> parts(pieces);
  oneapi::tbb::parallel_for(size_t{0}, pieces, [&](size_t p) {
    const size_t from = p * kPiece;
    parts[p] = sumsOf(pixels, assigner, from, std::min(kPiece, n - from), labels.data() + from);
  });
  Sums all = std::move(parts[0]);
  for (size_t p = 1; p < pieces; ++p) {
    for (size_t i = 0; i < all.values.size(); ++i) all.values[i] += parts[p].values[i];
    for (size_t i = 0; i < all.sizes.size(); ++i) all.sizes[i] += parts[p].sizes[i];
    all.squares += parts[p].squares;
    all.moved += parts[p].moved;
  }
  return all;
}

/// Means of those that have pixels; the rest is left out.
Clusters meansOf(const Sums& s, size_t features) {
  Clusters c;
  c.features = features;
  c.withinSumOfSquares = s.squares;
  for (size_t k = 0; k < s.sizes.size(); ++k) {
    if (s.sizes[k] == 0) continue;
    c.sizes.push_back(s.sizes[k]);
    for (size_t f = 0; f < features; ++f)
      c.means.push_back(s.values[k * features + f] / static_cast<double>(s.sizes[k]));
  }
  return c;
}

void requirePixels(const Columns& pixels) {
  if (pixels.empty() || pixels[0].empty()) throw Error("There are no pixels to group.");
  if (pixels.size() > kMostBands)
    throw Error("{} features are more than the {} that can be used at once; choose fewer.",
                pixels.size(), kMostBands);
}

}  // namespace

std::vector<double> spreadStart(const Columns& pixels, size_t wanted, uint64_t seed) {
  requirePixels(pixels);
  const size_t n = pixels[0].size(), features = pixels.size();
  Random random(mix(seed, 0x6b6d65616e73ull));
  std::vector<double> start;
  std::vector<float> nearest(n, std::numeric_limits<float>::infinity()), squared(n);
  std::vector<int16_t> ignored(n);
  size_t next = random.below(n);
  while (true) {
    std::vector<double> mean;
    for (size_t f = 0; f < features; ++f) mean.push_back(static_cast<double>(pixels[f][next]));
    start.insert(start.end(), mean.begin(), mean.end());
    if (start.size() == wanted * features) return start;
    Assigner(mean, features).nearest(pixels, 0, n, ignored.data(), squared.data());
    double sum = 0;
    for (size_t i = 0; i < n; ++i) {
      nearest[i] = std::min(nearest[i], squared[i]);
      sum += static_cast<double>(nearest[i]);
    }
    if (!(sum > 0)) return start;  // every pixel is one of those that were drawn
    double at = random.uniform() * sum;
    for (next = 0; next + 1 < n; ++next) {
      at -= static_cast<double>(nearest[next]);
      if (at < 0) break;
    }
    while (next > 0 && nearest[next] == 0) --next;  // where the sum ran out by a rounding
  }
}

Clusters kMeans(const Columns& pixels, std::vector<double> start, int most,
                const Progress& progress) {
  requirePixels(pixels);
  const size_t features = pixels.size();
  std::vector<int16_t> labels(pixels[0].size(), -1);
  Clusters clusters;
  for (int done = 1;; ++done) {
    const Sums sums = pass(pixels, Assigner(start, features), labels);
    clusters = meansOf(sums, features);
    clusters.passes = done;
    const bool fewer = clusters.count() < start.size() / features;
    start = clusters.means;
    if ((sums.moved == 0 && !fewer) || done >= most) return clusters;
    progress.at(static_cast<double>(done) / most);
  }
}

std::vector<int16_t> nearestClusters(const Columns& pixels, const Clusters& clusters) {
  const size_t n = pixels[0].size();
  std::vector<int16_t> labels(n);
  std::vector<float> squared(n);
  Assigner(clusters.means, clusters.features).nearest(pixels, 0, n, labels.data(), squared.data());
  return labels;
}

}  // namespace zp
