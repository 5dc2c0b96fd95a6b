#pragma once
#include "scene/make_scene.h"

namespace zp {

/// Where the sun stood, in degrees above the horizon and clockwise from north.
struct Sun {
  double elevation = 45, azimuth = 180;
};

/// How slopes that face the sun are made as bright as level ground (Teillet et al. 1982).
///   Cosine  times cos z ÷ cos i, with the angles of the sun from the vertical (z) and from the
///           slope's own (i); too much where light is low
///   C       times (cos z + c) ÷ (cos i + c), c of each band from the line of its values over cos i
enum class SlopeLight { Cosine, C };

/// c of each band; empty without height. NaN where a band does not follow the light, and so is left
/// as it is. `height`: metres, on any grid; a grid in metres or feet. Error: a sun below the
/// horizon, a grid in degrees, too few pixels with height.
std::vector<double> lightConstants(const Scene& scene, const BandSource& height, Sun sun,
                                   const Progress& progress = Progress());

/// Writes the scene in the light of level ground. Pixels without height, and those that the sun
/// does not reach, are no data.
void correctSlopeLight(const Scene& scene, const BandSource& height, Sun sun, SlopeLight how,
                       const std::vector<double>& constants, const std::filesystem::path& temporary,
                       const Progress& progress = Progress());

/// The cosine of the angle between the sun and the slope's vertical, of a gradient.
double lightOn(double east, double north, Sun sun);

}  // namespace zp
