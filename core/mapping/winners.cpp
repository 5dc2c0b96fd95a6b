#include "mapping/winners.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/error.h"
#include "base/nan.h"

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

void writeDistances(DistanceKernel kernel, const DistanceModel& m,
                    const std::vector<const float*>& values, size_t n, float* squared) {
  const size_t triangle = static_cast<size_t>(m.bands * (m.bands + 1) / 2);
  int16_t only[kKernelChunk];
  std::vector<const float*> at(values.size());
  // The kernels keep nothing but the winner; asked for one class at a time, they tell every one.
  for (size_t c = 0; c < static_cast<size_t>(m.classes); ++c) {
    const DistanceModel one{m.bands, 1, m.means + c * static_cast<size_t>(m.bands),
                            m.whitening == nullptr ? nullptr : m.whitening + c * triangle,
                            m.offsets == nullptr ? nullptr : m.offsets + c};
    for (size_t from = 0; from < n; from += kKernelChunk) {
      const size_t some = std::min(kKernelChunk, n - from);
      for (size_t f = 0; f < values.size(); ++f) at[f] = values[f] + from;
      float* to = squared + c * n + from;
      kernel(one, at.data(), some, only, to);
      for (size_t i = 0; i < some; ++i)
        if (only[i] < 0) to[i] = kNan;
    }
  }
}

void membershipOf(float* squared, size_t classes, size_t n) {
  constexpr float kNearest = 1e-30f;  // what lies on a mean is of its class alone
  for (size_t i = 0; i < n; ++i) {
    double sum = 0;
    for (size_t c = 0; c < classes; ++c) {
      float& d = squared[c * n + i];
      if (!std::isnan(d)) d = 1 / std::max(d, kNearest);
      sum += static_cast<double>(d);
    }
    for (size_t c = 0; c < classes; ++c)
      squared[c * n + i] = static_cast<float>(static_cast<double>(squared[c * n + i]) / sum);
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
