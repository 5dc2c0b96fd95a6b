#pragma once
#include "outline/scanline.h"

namespace zp {

// Cuts a shape, in the system of a grid, along the edges of its pixels. `pixels`: row by row.
/// What of it lies in them.
Shape cutTo(const Shape& shape, const std::vector<Span>& pixels, const Grid& grid);
/// What of it does not.
Shape cutAway(const Shape& shape, const std::vector<Span>& pixels, const Grid& grid);

/// The outline of pixels, along their edges.
Shape outlineOf(const std::vector<Span>& pixels, const Grid& grid);

}  // namespace zp
