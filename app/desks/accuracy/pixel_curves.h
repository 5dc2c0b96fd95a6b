#pragma once
#include <QtCore>
#include <optional>
#include <vector>

#include "scene/scene.h"

namespace zp {

/// What scenes have at the place of a point: its values by wavelength, and the radar season.
struct PixelCurves {
  QVector<double> wavelengths, reflectance, days, backscatter;
  QString reflectanceTitle;
};

/// `place` in `crs`. For any thread. Error: a file that cannot be read.
PixelCurves curvesAt(Place place, const std::string& crs, const std::optional<Scene>& scene,
                     const std::vector<Scene>& radar);

}  // namespace zp
