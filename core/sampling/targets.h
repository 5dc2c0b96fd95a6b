#pragma once
#include <cstdint>
#include <string>
#include <vector>

#include "grid/grid.h"

namespace zp {

/// The pixel of a grid that a place lies in.
struct Target {
  uint32_t place = 0;  // its number among the places
  int column = 0, row = 0;
};

/// Those of the places in `crs` that lie on a grid, cell by cell of `width` x `height` pixels and
/// in order within one. Error when the grid does not say where it lies; `name` is what it is
/// called.
std::vector<Target> targetsOn(const Grid& grid, const std::vector<Place>& places,
                              const std::string& crs, int width, int height,
                              const std::string& name);

/// The targets from `first` to before `last` lie in one cell; `cell` is its part of the grid.
struct TargetsOfCell {
  Window cell;
  size_t first = 0, last = 0;
};
std::vector<TargetsOfCell> byCell(const std::vector<Target>& targets, const Grid& grid, int width,
                                  int height);

/// The least window that holds some targets.
Window around(const std::vector<Target>& targets, size_t first, size_t last);

}  // namespace zp
