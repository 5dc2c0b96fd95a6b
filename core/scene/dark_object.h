#pragma once
#include "scene/make_scene.h"

namespace zp {

/// Dark-object subtraction with a model of scattering (Chavez 1988): the haze of the starting band
/// is what its darkest pixels show above a dark object; that of any other band is the same times
/// (wavelength / starting wavelength)^−power. Power: 4 very clear, 2 clear, 1 moderate, 0.7 hazy,
/// 0.5 very hazy.
struct DarkObject {
  size_t startBand = 0;
  double power = 2;
  double darkShare = 0.0001;  // of the valid pixels that count as dark
  double darkValue = 0;       // what they should show: 0.01 for reflectance (Chavez 1996), or 0
};

/// What is subtracted from each band. Error: a band without wavelength, a starting band without
/// values.
std::vector<double> hazeOf(const Scene& scene, const DarkObject& how,
                           const Progress& progress = Progress());

/// The scene less its haze, never below 0, to `temporary`.
void subtractHaze(const Scene& scene, const std::vector<double>& haze,
                  const std::filesystem::path& temporary, const Progress& progress = Progress());

}  // namespace zp
