#pragma once
#include <bit>
#include <cstdint>

namespace zp {

/// Whole numbers in the order of the floats, so that values can be counted by their upper digits.
/// Not for NaN.
inline uint32_t orderOf(float v) {
  const auto bits = std::bit_cast<uint32_t>(v);
  return (bits & 0x80000000u) != 0 ? ~bits : bits | 0x80000000u;
}

/// The way back.
inline float floatOf(uint32_t order) {
  return std::bit_cast<float>((order & 0x80000000u) != 0 ? order & 0x7fffffffu : ~order);
}

}  // namespace zp
