#include "mapping/winners.h"

#include <fmt/format.h>

#include <algorithm>
#include <limits>

#include "base/error.h"

namespace zp {

void writeWinners(DistanceKernel kernel, const DistanceModel& model,
                  const std::vector<uint16_t>& codes, std::optional<double> reject,
                  const std::vector<const float*>& values, size_t n, uint16_t* out) {
  constexpr size_t kChunk = kKernelChunk;
  int16_t best[kChunk];
  float squared[kChunk];
  const float farthest =
      reject ? static_cast<float>(*reject * *reject) : std::numeric_limits<float>::infinity();
  std::vector<const float*> at(values.size());
  for (size_t from = 0; from < n; from += kChunk) {
    const size_t count = std::min(kChunk, n - from);
    for (size_t b = 0; b < values.size(); ++b) at[b] = values[b] + from;
    kernel(model, at.data(), count, best, squared);
    for (size_t i = 0; i < count; ++i) {
      const bool none = best[i] < 0 || squared[i] > farthest;
      out[from + i] = none ? uint16_t{0} : codes[static_cast<size_t>(best[i])];
    }
  }
}

std::optional<double> rejectOf(const Json& settings) {
  const Json reject = settings.value("reject", Json());
  if (!reject.is_number()) return {};
  return reject.get<double>();
}

void requireBandsAndClasses(const SignatureSet& set) {
  if (set.bands.size() > kMostBands)
    throw Error("{} features are more than the {} that can be used at once; choose fewer.",
                set.bands.size(), kMostBands);
  if (set.classes.size() > kMostClasses)
    throw Error("{} classes are more than the {} of a map; merge some.", set.classes.size(),
                kMostClasses);
  if (set.classes.size() < 2)
    throw Error("A map needs training for at least two classes; draw areas of another class.");
}

}  // namespace zp
