#pragma once
#include <functional>
#include <string>
#include <vector>

#include "base/progress.h"
#include "grid/grid.h"

namespace zp {

/// Planes on one grid that zones are summarised over together.
struct ZoneLayers {
  Grid grid;
  std::vector<std::string> names;
  std::vector<bool> decibels;  // of each: its values are power, to be told in decibels
  std::vector<Window> windows;
  /// Layer by layer, each row by row; NaN where there is none. Called by several threads at once.
  std::function<void(Window, double* values)> read;
};

/// The values of a window, layer by layer.
struct ZoneBlock {
  Window window;
  std::vector<double> values;
  const double* layer(size_t l) const { return values.data() + l * window.pixels(); }
};

/// Reads some windows on all cores and shows them in their order.
void forEachZoneBlock(const ZoneLayers& layers, const std::vector<Window>& windows,
                      const Progress& progress, const std::function<void(const ZoneBlock&)>& see);

}  // namespace zp
