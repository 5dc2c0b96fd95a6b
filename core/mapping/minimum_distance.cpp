#include "mapping/minimum_distance.h"

#include "base/cpu.h"
#include "base/error.h"
#include "mapping/winners.h"

namespace zp {

MinimumDistance::MinimumDistance(const SignatureSet& set, const MethodOptions& options)
    : bands_(static_cast<int>(set.bands.size())), reject_(options.reject) {
  requireBandsAndClasses(set);
  if (!options.priors.empty())
    throw Error("Minimum distance knows no priors; leave them out or choose maximum likelihood.");
  for (const auto& s : set.classes) {
    codes_.push_back(static_cast<uint16_t>(s.code));
    for (int b = 0; b < bands_; ++b) means_.push_back(static_cast<float>(s.mean[b]));
  }
}

void MinimumDistance::classify(const std::vector<const float*>& bands, size_t n,
                               uint16_t* codes) const {
  const DistanceModel model{bands_, static_cast<int>(codes_.size()), means_.data(), nullptr,
                            nullptr};
  const auto kernel = cpuHasV3() ? &v3::nearestMean : &baseline::nearestMean;
  writeWinners(kernel, model, codes_, reject_, bands, n, codes);
}

}  // namespace zp
