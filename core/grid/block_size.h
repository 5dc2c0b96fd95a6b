#pragma once
#include <cstddef>

namespace zp {

/// What one block of a raster computation holds, and what the blocks in work may hold together. A
/// block is small enough that there is one for every core of any machine of today. It is of one
/// size on every machine, or sums taken block by block would differ in their last digits.
inline constexpr size_t kBlockBytes = size_t{6} << 20, kBytesInWork = size_t{192} << 20;

}  // namespace zp
