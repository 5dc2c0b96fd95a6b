#pragma once
#include <cstdint>
#include <functional>
#include <string>
#include <vector>

#include "outline/layer.h"

namespace zp {

/// Which pixels count for a zone.
enum class Inclusion {
  Centres,  // those whose centre lies inside (outline/scanline.h)
  Area,     // all that it touches, each by the share that lies inside (outline/coverage.h)
};

/// Some pixels of a row, columns [from, to), that count for a zone with the same share.
struct ZoneRun {
  uint32_t zone;
  int from, to;
  float share;
};

/// The pixels of many zones on one grid, row by row, so that a raster is gone through once for all
/// of them. Zones may overlap.
class ZonePixels {
 public:
  /// Polygons in `crs`; of another system, those that reach far beyond the grid are cut first.
  /// Error: one of both has no reference system.
  ZonePixels(const std::vector<Shape>& shapes, const std::string& crs, const Grid& grid,
             Inclusion inclusion);

  size_t zones() const { return lastRow_.size(); }
  /// The last row that holds a pixel of a zone; −1 for none.
  int lastRow(size_t zone) const { return lastRow_[zone]; }
  /// The parts of all runs that lie in a window: `at` is where a part begins, row by row in it.
  void visit(Window window, const std::function<void(const ZoneRun& part, size_t at)>& see) const;
  bool anyIn(Window window) const;
  /// How many different pixels count for any of them.
  size_t distinctPixels() const;

 private:
  std::vector<std::vector<ZoneRun>> rows_;
  std::vector<int> lastRow_;
};

}  // namespace zp
