#include "mapping/cluster_number.h"

#include "base/nan.h"
#include "base/random.h"
#include "mapping/k_means.h"

namespace zp {

namespace {

/// k-means may end where it is not best: the one with the least left within, of some starts.
template <class Make>
Clusters bestOf(int starts, Make make) {
  Clusters best = make(0);
  for (int n = 1; n < starts; ++n)
    if (Clusters c = make(static_cast<uint64_t>(n)); c.withinSumOfSquares < best.withinSumOfSquares)
      best = std::move(c);
  return best;
}

}  // namespace

std::vector<NumberTrial> tryNumbers(const PixelSample& sample, size_t most, uint64_t seed,
                                    const Progress& progress) {
  constexpr int kPasses = 30, kStarts = 3;
  const HeldPixels pixels(sample.columns);
  const auto n = static_cast<double>(sample.size());
  const double total = kMeans(pixels, spreadStart(sample.columns, 1, seed), 2).withinSumOfSquares;
  std::vector<NumberTrial> trials;
  for (size_t wanted = 2; wanted <= most; ++wanted) {
    progress.at(static_cast<double>(wanted - 2) / static_cast<double>(most));
    const Clusters c = bestOf(kStarts, [&](uint64_t start) {
      return kMeans(pixels, spreadStart(sample.columns, wanted, mix(seed, start)), kPasses);
    });
    if (c.count() < wanted) break;
    const auto k = static_cast<double>(wanted);
    const double within = c.withinSumOfSquares;
    trials.push_back(
        {wanted, total > 0 ? within / total : 0,
         within > 0 && n > k ? (total - within) / (k - 1) / (within / (n - k)) : kNan});
  }
  return trials;
}

}  // namespace zp
