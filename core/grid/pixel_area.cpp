#include "grid/pixel_area.h"

#include <ogr_spatialref.h>

#include <cmath>
#include <numbers>

#include "grid/crs.h"
#include "grid/gdal_start.h"

namespace zp {
namespace {

struct Ellipsoid {
  double a, e;  // semi-major axis in metres, eccentricity
};

/// Snyder's q: proportional to the ellipsoid's area from the equator to latitude phi.
double q(const Ellipsoid& ell, double phi) {
  const double s = std::sin(phi), e = ell.e;
  if (e < 1e-12) return 2 * s;
  return (1 - e * e) * (s / (1 - e * e * s * s) + std::atanh(e * s) / e);
}

Ellipsoid ellipsoidOf(const std::string& wkt) {
  OGRSpatialReference srs;
  srs.SetFromUserInput(wkt.c_str());
  const double a = srs.GetSemiMajor(), f = 1 / srs.GetInvFlattening();
  return {a, srs.GetInvFlattening() > 0 ? std::sqrt(f * (2 - f)) : 0};
}

double degreesToRadians(const std::string& wkt) {
  OGRSpatialReference srs;
  srs.SetFromUserInput(wkt.c_str());
  return srs.GetAngularUnits();
}

}  // namespace

std::vector<double> pixelAreas(const Grid& grid) {
  if (grid.crs.empty()) return {};
  startGdal();
  const auto& t = grid.transform;
  const auto rows = static_cast<size_t>(grid.height);
  if (!crsIsGeographic(grid.crs)) {
    const double unit = crsMetresPerUnit(grid.crs);
    return std::vector<double>(rows, std::abs(t[1] * t[5] - t[2] * t[4]) * unit * unit);
  }
  const Ellipsoid ell = ellipsoidOf(grid.crs);
  const double radian = degreesToRadians(grid.crs);
  std::vector<double> areas(rows);
  for (size_t r = 0; r < rows; ++r) {
    const double y = t[3] + static_cast<double>(r) * t[5] + 0.5 * grid.width * t[4];
    const double zone = std::abs(q(ell, (y + t[5]) * radian) - q(ell, y * radian));
    areas[r] = 0.5 * ell.a * ell.a * zone * std::abs(t[1]) * radian;
  }
  return areas;
}

}  // namespace zp
