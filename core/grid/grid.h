#pragma once
#include <array>
#include <string>
#include <vector>

namespace zp {

/// A place in the units of a reference system: x east (or longitude), y north (or latitude).
struct Place {
  double x = 0, y = 0;
  bool operator==(const Place&) const = default;
};

struct Extent {
  double left = 0, bottom = 0, right = 0, top = 0;
  bool empty() const { return right <= left || top <= bottom; }
  void include(Place p);
  bool overlaps(const Extent& o) const;
};

/// A rectangle of pixels; column and row of its upper left pixel.
struct Window {
  int x = 0, y = 0, width = 0, height = 0;
  size_t pixels() const { return static_cast<size_t>(width) * static_cast<size_t>(height); }
};

/// Where the pixels of a raster lie. Pixel (column, row) covers [column, column + 1) x
/// [row, row + 1) in pixel units; row 0 is the first in the file.
struct Grid {
  int width = 0, height = 0;
  std::array<double, 6> transform{0, 1, 0, 0, 0, -1};  // as in GDAL: x0, dx, rx, y0, ry, dy
  bool georeferenced = false;
  std::string crs;  // WKT; empty when the file names none

  size_t pixels() const { return static_cast<size_t>(width) * static_cast<size_t>(height); }
  Place toMap(double column, double row) const;
  /// Fractional column and row of a place; its pixel is the floor of both.
  Place toPixel(Place map) const;
  Place centre(int column, int row) const { return toMap(column + 0.5, row + 0.5); }
  Extent extent() const;
  /// The same pixels elsewhere.
  Grid moved(Place by) const;
  double pixelWidth() const;
  double pixelHeight() const;
  /// Same size, same place (to a thousandth of a pixel), no two different reference systems.
  bool sameAs(const Grid& other) const;
};

/// Cuts a grid into windows, row by row, that fit blocks of `blockWidth` x `blockHeight` and hold
/// at most `budget` pixels where the blocks allow it.
std::vector<Window> planWindows(const Grid& grid, int blockWidth, int blockHeight, size_t budget);

}  // namespace zp
