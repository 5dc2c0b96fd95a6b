#pragma once
#include <vector>

#include "grid/grid.h"

namespace zp {

/// Square metres of one pixel, row by row: of the plane in a projected system (its unit converted
/// to metres), on the ellipsoid in a geographic one (Snyder 1987, eq. 3-12: area of a zone between
/// two parallels). Empty without a reference system.
std::vector<double> pixelAreas(const Grid& grid);

}  // namespace zp
