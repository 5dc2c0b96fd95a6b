#include "mapping/cluster_number.h"

#include "base/nan.h"
#include "mapping/k_means.h"

namespace zp {

std::vector<NumberTrial> tryNumbers(const PixelSample& sample, size_t most, uint64_t seed,
                                    const Progress& progress) {
  constexpr int kPasses = 30;
  const HeldPixels pixels(sample.columns);
  const auto n = static_cast<double>(sample.size());
  const double total = kMeans(pixels, spreadStart(sample.columns, 1, seed), 2).withinSumOfSquares;
  std::vector<NumberTrial> trials;
  for (size_t wanted = 2; wanted <= most; ++wanted) {
    progress.at(static_cast<double>(wanted - 2) / static_cast<double>(most));
    const Clusters c = kMeans(pixels, spreadStart(sample.columns, wanted, seed), kPasses);
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
