#pragma once
#include <cstdint>
#include <vector>

namespace zp {

/// Puts each of some samples, by its class and training area, into one of so many parts, from 0:
/// areas whole, for neighbouring pixels are alike; of a class with fewer than three areas, its
/// samples by themselves. Each part has about equally many areas of each class.
std::vector<int> foldsByArea(const std::vector<int>& classes, const std::vector<size_t>& areas,
                             int parts, uint64_t seed);

}  // namespace zp
