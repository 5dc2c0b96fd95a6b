#pragma once
#include <array>
#include <vector>

#include "cover.h"

namespace haven {

inline constexpr size_t kBands = 8;
using Spectrum = std::array<float, kBands>;

/// When a picture is taken: 0 early spring … 1 late autumn, and whether the breach is open.
struct Moment {
  double season;
  bool afterBreach;
  uint64_t seed;
};

/// Reflectance of one pixel of the truth at a moment: its cover's mixture of leaf, litter, ground
/// and water, with moisture, age and field to field differences.
Spectrum reflectance(const World& world, int column, int row, const Moment& moment);

/// Relief shading, about 1.
double shade(const World& world, int column, int row);

/// Eight bands at 10 m, averages of 4 x 4 pixels of truth, with haze and sensor noise; band by
/// band.
std::vector<std::vector<float>> finchScene(const World& world, const Moment& moment, double haze);

/// Red, green, blue at 2.5 m, 0…255.
std::vector<std::vector<uint8_t>> kitePicture(const World& world, const Moment& moment);

/// Sum of twelve uniform values less six: mean 0, spread 1.
double bell(uint64_t key);

}  // namespace haven
