#pragma once
#include "scene/scene.h"

namespace zp {

/// Where the bands of a scene stand along an axis: at their wavelengths or, where one of them has
/// none, at 1, 2, 3…
struct BandAxis {
  std::vector<double> at;  // a band each, nm where byWavelength
  bool byWavelength = true;
};

BandAxis bandAxis(const Scene& scene);

/// What a band is called: by its role, where it has one.
const std::string& calledBand(const SceneBand& band);

}  // namespace zp
