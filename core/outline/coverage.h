#pragma once
#include <vector>

#include "outline/layer.h"

namespace zp {

/// Pixels of one row, columns [from, to), of which a shape covers the same share, 0 < share <= 1.
struct CoveredRun {
  int row, from, to;
  float share;
};

/// How much of each pixel a polygon covers, exactly but for rounding: the area between its edges
/// and the right side of the pixel, with a sign, summed along a row. Rings within an odd number of
/// others are holes; where parts of a shape overlap, what they cover counts once at most. Runs come
/// row by row, clipped to the grid. Source: the accumulated signed areas of scan conversion with
/// coverage (Catmull 1978).
std::vector<CoveredRun> coverageOf(const Shape& shape, const Grid& grid);

}  // namespace zp
