#pragma once
// The made-up covers of the big scene.
#include "base/random.h"

namespace zp {

inline constexpr int kCovers = 8;
inline constexpr uint64_t kCoverNoise = 200;  // stored values above the level, equally likely

/// The lowest stored value (a ten-thousandth of reflectance) of cover c, from 0, in band b.
inline uint64_t coverLevel(uint64_t c, uint64_t b) {
  return 500 + mix(c, b) % 4000;
}

}  // namespace zp
