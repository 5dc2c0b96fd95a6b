#pragma once
// Pixels side by side, for kernels that are compiled once for each level (see zp_kernel). Plain
// loops and vector types only, and nothing that is shared between the levels.
#include "mapping/distance_kernel.h"

namespace zp::ZP_LEVEL {
namespace {

// Sixteen pixels side by side, as two vectors of eight: each coefficient is loaded once for both.
typedef float Lane __attribute__((vector_size(32)));
typedef int Mask __attribute__((vector_size(32)));
constexpr size_t kLanes = 8, kStep = 16;

struct Pair {
  Lane a, b;
};

inline Lane load(const float* p) {
  Lane v;
  __builtin_memcpy(&v, p, sizeof v);
  return v;
}

inline Lane pick(Mask m, Lane yes, Lane no) {
  return m ? yes : no;
}

inline bool any(Mask m) {
#ifdef __AVX__
  return __builtin_ia32_movmskps256(reinterpret_cast<Lane>(m)) != 0;
#else
  int all = 0;
  for (size_t i = 0; i < kLanes; ++i) all |= m[i];
  return all != 0;
#endif
}

struct Winner {
  Lane score, squared;
  Mask index;
};

inline void challenge(Winner& w, Lane score, Lane squared, int c) {
  // False for NaN, so an empty pixel never wins a class. Classes may come in any order.
  const Mask better = (score > w.score) | ((score == w.score) & (Mask{} + c < w.index));
  w.score = pick(better, score, w.score);
  w.squared = pick(better, squared, w.squared);
  w.index = better ? (Mask{} + c) : w.index;
}

inline Winner nobody() {
  return {Lane{} - 3.4e38f, Lane{}, Mask{} - 1};
}

inline void tell(const Winner& w, int16_t* best, float* squared) {
  typedef int16_t Short __attribute__((vector_size(16)));
  const Short index = __builtin_convertvector(w.index, Short);
  __builtin_memcpy(best, &index, sizeof index);
  __builtin_memcpy(squared, &w.squared, sizeof w.squared);
}

/// Hands on all pixels, sixteen at a time with their bands as vectors; the last ones come once more
/// to fill up.
template <class Sixteen>
void bySixteen(int count, const float* const* bands, size_t n, int16_t* best, float* squared,
               Sixteen sixteen) {
  Pair x[kMostBands];
  size_t p = 0;
  for (; p + kStep <= n; p += kStep) {
    for (int b = 0; b < count; ++b) x[b] = {load(bands[b] + p), load(bands[b] + p + kLanes)};
    sixteen(x, best + p, squared + p);
  }
  if (p == n) return;
  float rest[kStep], restSquared[kStep];
  int16_t restBest[kStep];
  for (int b = 0; b < count; ++b) {
    for (size_t i = 0; i < kStep; ++i) rest[i] = bands[b][p + i < n ? p + i : n - 1];
    x[b] = {load(rest), load(rest + kLanes)};
  }
  sixteen(x, restBest, restSquared);
  for (size_t i = 0; p + i < n; ++i) best[p + i] = restBest[i], squared[p + i] = restSquared[i];
}

}  // namespace
}  // namespace zp::ZP_LEVEL
