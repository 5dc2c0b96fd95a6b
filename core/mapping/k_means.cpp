#include "mapping/k_means.h"

#include <algorithm>
#include <cmath>

#include "base/random.h"

namespace zp {

std::vector<double> spreadStart(const Columns& pixels, size_t wanted, uint64_t seed) {
  const size_t features = HeldPixels(pixels).features(), n = pixels[0].size();
  std::vector<const float*> values;
  for (const auto& column : pixels) values.push_back(column.data());
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
    NearestMean(mean, features).assign(values.data(), n, ignored.data(), squared.data());
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

Clusters kMeans(const ClusterPixels& pixels, std::vector<double> start, int most,
                const Progress& progress) {
  for (int done = 1;; ++done) {
    const Progress part =
        progress.part(static_cast<double>(done - 1) / most, static_cast<double>(done) / most);
    const ClusterSums sums = pixels.sums(NearestMean(start, pixels.features()), false, part);
    Clusters clusters = clustersOf(sums, pixels.features());
    clusters.passes = done;
    if (clusters.means == start || done >= most) return clusters;
    start = clusters.means;
  }
}

}  // namespace zp
