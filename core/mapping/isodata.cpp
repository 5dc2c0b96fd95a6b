#include "mapping/isodata.h"

#include <algorithm>
#include <cmath>

#include "base/error.h"

namespace zp {
namespace {

/// Clusters with what tells whether they are wide.
struct Widths {
  Clusters clusters;
  std::vector<double> widest;    // of each: the spread in its widest feature
  std::vector<size_t> feature;   // and which that is
  std::vector<double> variance;  // of each, all features together
  double ofAll = 0;              // the mean of these over all pixels
};

Widths widthsOf(const ClusterSums& sums, size_t features, size_t smallest) {
  Widths w;
  w.clusters = clustersOf(sums, features, smallest);
  double pixels = 0;
  for (size_t k = 0; k < sums.sizes.size(); ++k) {
    if (sums.sizes[k] < smallest) continue;
    const auto n = static_cast<double>(sums.sizes[k]);
    double all = 0, widest = -1;
    size_t which = 0;
    for (size_t f = 0; f < features; ++f) {
      const double mean = sums.values[k * features + f] / n;
      const double variance = std::max(0.0, sums.squares[k * features + f] / n - mean * mean);
      all += variance;
      if (variance > widest) widest = variance, which = f;
    }
    w.widest.push_back(std::sqrt(widest));
    w.feature.push_back(which);
    w.variance.push_back(all);
    w.ofAll += all * n;
    pixels += n;
  }
  w.ofAll /= pixels;
  return w;
}

/// Each wide cluster as two, half a spread to either side. Few clusters: whichever are wide; else
/// only those wider than most, with pixels enough for two.
std::vector<double> parted(const Widths& w, const IsodataPlan& plan) {
  const Clusters& c = w.clusters;
  const bool few = c.count() * 2 <= plan.wanted;
  std::vector<double> means;
  for (size_t k = 0; k < c.count(); ++k) {
    const std::vector<double> mean(c.mean(k), c.mean(k) + c.features);
    const bool wide = w.widest[k] > plan.split;
    const bool part =
        wide && (few || (w.variance[k] > w.ofAll && c.sizes[k] > 2 * (plan.smallest + 1)));
    for (const double side : part ? std::vector<double>{-0.5, 0.5} : std::vector<double>{0}) {
      means.insert(means.end(), mean.begin(), mean.end());
      means[means.size() - c.features + w.feature[k]] += side * w.widest[k];
    }
  }
  return means;
}

/// The nearest pairs first, each cluster at most once, by the weight of their pixels.
std::vector<double> joined(const Clusters& c, double nearer) {
  struct Pair {
    double squared;
    size_t a, b;
  };
  std::vector<Pair> pairs;
  for (size_t a = 0; a < c.count(); ++a)
    for (size_t b = a + 1; b < c.count(); ++b) {
      double squared = 0;
      for (size_t f = 0; f < c.features; ++f)
        squared += (c.mean(a)[f] - c.mean(b)[f]) * (c.mean(a)[f] - c.mean(b)[f]);
      if (squared < nearer * nearer) pairs.push_back({squared, a, b});
    }
  std::stable_sort(pairs.begin(), pairs.end(),
                   [](const Pair& x, const Pair& y) { return x.squared < y.squared; });
  std::vector<size_t> into(c.count());
  std::vector<bool> taken(c.count());
  for (size_t k = 0; k < into.size(); ++k) into[k] = k;
  for (const auto& p : pairs)
    if (!taken[p.a] && !taken[p.b]) taken[p.a] = taken[p.b] = true, into[p.b] = p.a;
  ClusterSums sums{std::vector<double>(c.means.size()), {}, std::vector<size_t>(c.count()), 0};
  for (size_t k = 0; k < c.count(); ++k) {
    sums.sizes[into[k]] += c.sizes[k];
    for (size_t f = 0; f < c.features; ++f)
      sums.values[into[k] * c.features + f] += c.mean(k)[f] * static_cast<double>(c.sizes[k]);
  }
  return clustersOf(sums, c.features).means;
}

}  // namespace

Clusters isodata(const ClusterPixels& pixels, std::vector<double> start, const IsodataPlan& plan,
                 const Progress& progress) {
  const size_t features = pixels.features();
  for (int done = 1;; ++done) {
    const Progress part = progress.part(static_cast<double>(done - 1) / plan.passes,
                                        static_cast<double>(done) / plan.passes);
    Widths w =
        widthsOf(pixels.sums(NearestMean(start, features), true, part), features, plan.smallest);
    Clusters& c = w.clusters;
    c.passes = done;
    if (c.count() == 0)
      throw Error("Every cluster has fewer pixels than the smallest share; lower that.");
    if (done >= plan.passes) return c;
    std::vector<double> next = c.means;
    const bool many = c.count() >= 2 * plan.wanted;
    if (c.count() * 2 <= plan.wanted || (done % 2 == 1 && !many)) next = parted(w, plan);
    if (next.size() == c.means.size()) next = joined(c, plan.merge);
    if (next == start) return c;
    start = std::move(next);
  }
}

}  // namespace zp
