#include "mapping/nearest_mean.h"

#include <algorithm>

#include "base/cpu.h"
#include "base/error.h"
#include "mapping/distance_kernel.h"

namespace zp {

NearestMean::NearestMean(const std::vector<double>& means, size_t features)
    : features_(features), means_(means.begin(), means.end()) {
  if (features > kMostBands)
    throw Error("{} features are more than the {} that can be used at once; choose fewer.",
                features, kMostBands);
  if (count() > kMostClasses)
    throw Error("{} clusters are more than the {} that can be told apart; ask for fewer.", count(),
                kMostClasses);
}

void NearestMean::assign(const float* const* values, size_t n, int16_t* nearest,
                         float* squared) const {
  const auto kernel = cpuHasV3() ? &v3::nearestMean : &baseline::nearestMean;
  const DistanceModel model{static_cast<int>(features_), static_cast<int>(count()), means_.data(),
                            nullptr, nullptr};
  std::vector<const float*> at(features_);
  for (size_t done = 0; done < n; done += kKernelChunk) {
    for (size_t f = 0; f < features_; ++f) at[f] = values[f] + done;
    kernel(model, at.data(), std::min(kKernelChunk, n - done), nearest + done, squared + done);
  }
}

}  // namespace zp
