#pragma once
#include <vector>

#include "grid/grid.h"

namespace zp {

/// A window of a grid at another number of pixels, as a grid of its own.
Grid pieceOf(const Grid& grid, Window window, int width, int height);

/// Where the pixels of one grid (a piece of a map, mostly) fall in another: a net of exact places,
/// linear in between. Without a reference system on either side, both are taken to share one.
class PixelNet {
 public:
  PixelNet(const Grid& piece, const Grid& source);
  /// Column and row in the source of the middle of a pixel of the piece; NaN when it has no
  /// counterpart.
  Place at(int x, int y) const;
  /// The same of a whole row.
  void row(int y, std::vector<Place>& places) const;
  /// The window of the source that the piece touches, `margin` pixels wider; empty when none.
  Window window(int margin = 1) const;
  /// How many pixels of the source one of the piece covers, across or down; 1 at least.
  double reduction() const;

 private:
  int width_, height_, sourceWidth_, sourceHeight_;
  int step_ = 1, columns_ = 0;
  std::vector<Place> net_;
};

enum class Resampling { Nearest, Bilinear };

/// Brings values (NaN: no data) of one grid onto another, through GDAL's warper: bilinear takes in
/// every source pixel below a larger one. NaN never enters, and stands where no source lies.
/// Error when no way leads between the reference systems.
void resample(const float* from, const Grid& fromGrid, float* to, const Grid& toGrid,
              Resampling resampling);

/// Whether two grids can be brought together: the same one, or both with a reference system.
bool canBringTogether(const Grid& a, const Grid& b);

}  // namespace zp
