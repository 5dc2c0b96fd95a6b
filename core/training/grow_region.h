#pragma once
#include <vector>

#include "feature/feature_reader.h"
#include "outline/scanline.h"

namespace zp {

struct Growth {
  double tolerance = 0.3;  // in spreads of the features in what is looked at; above 0
  size_t most = 2000;      // pixels
};

/// The pixels around a seed that are like it (region growing; Haralick and Shapiro 1985): from
/// neighbour to neighbour by sides, the nearest first, as long as the root mean square over all
/// features of (value − mean of the 3 by 3 around the seed) ÷ spread stays within the tolerance.
/// Looked at is a square of 512 pixels around the seed, and the spread is that of its values. Rows
/// and columns of the grid, row by row. Error: a seed outside the grid or without a value.
std::vector<Span> growRegion(const FeatureReader& reader, int column, int row,
                             const Growth& growth = {});

}  // namespace zp
