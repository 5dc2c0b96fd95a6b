#pragma once
#include "sampling/ground.h"

namespace zp {

/// The ground without what lies nearer than `distance` (in the units of its system) to a pixel that
/// is none of it, or to the border of the grid. `anywhere`: points may lie anywhere in a pixel, so
/// all of it has to be far enough; else its centre. (Erosion by a disc: Serra 1982.)
/// Error: more than 1000 pixels, as so many rows above and below are looked at.
Ground awayFromEdge(Ground ground, double distance, bool anywhere);

/// The union of polygons less a strip along its edge. Those that touch are one.
std::vector<Shape> shrunk(const std::vector<Shape>& polygons, double by);

}  // namespace zp
