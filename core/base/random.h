#pragma once
#include <cstdint>

namespace zp {

/// SplitMix64 (Steele, Lea and Flood 2014): a well-mixed 64-bit value of `x`, the same on every
/// machine.
constexpr uint64_t mix(uint64_t x) {
  x += 0x9e3779b97f4a7c15ull;
  x = (x ^ (x >> 30)) * 0xbf58476d1ce4e5b9ull;
  x = (x ^ (x >> 27)) * 0x94d049bb133111ebull;
  return x ^ (x >> 31);
}

/// A value of two keys, for random numbers that do not depend on the order of the work.
constexpr uint64_t mix(uint64_t a, uint64_t b) {
  return mix(mix(a) ^ b);
}

/// 0 ≤ u < 1, from the upper 53 bits.
constexpr double unit(uint64_t bits) {
  return static_cast<double>(bits >> 11) * 0x1p-53;
}

/// A small generator with state, for work in a fixed order.
class Random {
 public:
  explicit Random(uint64_t seed) : state_(seed) {}
  uint64_t next() { return mix(state_++); }
  double uniform() { return unit(next()); }
  double between(double low, double high) { return low + (high - low) * uniform(); }
  /// 0 … n − 1, every value equally likely.
  uint64_t below(uint64_t n) {
    const uint64_t limit = n * (UINT64_MAX / n);
    uint64_t r = next();
    while (r >= limit) r = next();
    return r % n;
  }

 private:
  uint64_t state_;
};

}  // namespace zp
