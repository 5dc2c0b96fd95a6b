#pragma once
#include <optional>
#include <vector>

#include "mapping/distance_kernel.h"
#include "training/signature.h"

namespace zp {

using DistanceKernel = void (*)(const DistanceModel&, const float* const*, size_t, int16_t*,
                                float*);

/// Runs a kernel over n pixels in pieces that stay in the cache and writes the winners' codes.
void writeWinners(DistanceKernel kernel, const DistanceModel& model,
                  const std::vector<uint16_t>& codes, std::optional<double> reject,
                  const std::vector<const float*>& values, size_t n, uint16_t* out);

/// Squared distances to each class: `squared[c * n + i]`; NaN where a value is.
void writeDistances(DistanceKernel kernel, const DistanceModel& model,
                    const std::vector<const float*>& values, size_t n, float* squared);
/// What speaks for each class by its squared distance alone, in place: (1 ÷ d²) over the sum of all
/// (the memberships of fuzzy c-means, m = 2; Bezdek 1981).
void membershipOf(float* squared, size_t classes, size_t n);

/// The distance of the setting `reject`; nothing when it is not given.
std::optional<double> rejectOf(const Json& settings);

/// Error when there are more features or fewer classes than a map needs.
void requireBandsAndClasses(const SignatureSet& set);

}  // namespace zp
