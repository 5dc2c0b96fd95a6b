#pragma once
#include <optional>

#include "base/progress.h"
#include "outline/layer.h"
#include "sampling/ground.h"

namespace zp {

/// How cells are laid over an area.
struct CellPlan {
  enum class Form { Squares, Hexagons };
  Form form = Form::Squares;
  /// From side to side, in the unit of the raster's system. 0: such that about `count` cells have
  /// the area together.
  double size = 0;
  size_t count = 0;
};

struct PlannedCells {
  std::string crs;
  double size = 0;
  std::vector<Shape> shapes;   // row by row from the upper left
  std::vector<Place> centres;  // of each
};

inline constexpr size_t kMostCells = 1'000'000;

/// Cells that overlap an area: a grid, and within it the polygons of `inside` (in the same system)
/// where there are some. Squares begin at the upper left corner of the grid's extent, the first
/// hexagon has its centre there; hexagons stand on a corner.
/// Error: no reference system, no size and no count, more than a million, none in the polygons.
PlannedCells planCells(const Grid& over, const CellPlan& plan, const Layer* inside = nullptr,
                       const Progress& progress = Progress());

/// The pixels of a coarse layer that have a value, each as a cell; the others as above.
PlannedCells pixelsAsCells(const Ground& ground, const Layer* inside = nullptr,
                           const Progress& progress = Progress());

/// A field id, from 1; the cells, or their centre points.
Layer toLayer(const PlannedCells& cells, bool centres);

}  // namespace zp
