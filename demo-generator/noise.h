#pragma once
#include <cstdint>

namespace haven {

/// Gradient noise (Perlin 1985, 2002), about −1…1, with hashed lattice gradients.
double noise(double x, double y, uint64_t seed);
/// Several octaves of it, each half as strong and twice as fine.
double layered(double x, double y, int octaves, uint64_t seed);
/// 0…1 of a pair of whole numbers.
double chance(int64_t a, int64_t b, uint64_t seed);
/// 0 below a, 1 above b, smooth between.
double smooth(double a, double b, double v);

}  // namespace haven
