#pragma once
#include <string>
#include <vector>

#include "grid/grid.h"

namespace zp {

/// How the value at a place is taken from the pixels around it.
struct ReadingMethod {
  enum class Kind {
    Nearest,   // of the pixel it lies in
    Bilinear,  // between the centres of the four nearest (Press et al. 2007, ch. 3.6)
    Mean       // of a window of pixels around it
  };
  Kind kind = Kind::Nearest;
  int window = 3;  // Mean: pixels across, odd
};
/// "nearest", "bilinear" or "mean". Error: none of them, a window that is even or beyond 1 to 99.
ReadingMethod readingMethod(const std::string& id, int window = 3);

/// The pixels of a grid that the values at some places are taken from: so many for each place.
class PixelsAround {
 public:
  PixelsAround(const Grid& grid, const std::vector<Place>& places, const std::string& crs,
               const ReadingMethod& how);
  /// Places, in `crs`, that lie in those pixels; NaN where a place lies beside the grid.
  const std::vector<Place>& places() const { return at_; }
  const std::string& crs() const { return crs_; }
  /// Of the values of those pixels, one a place: weighted over the pixels that have one. NaN where
  /// none has, and between pixels where the nearest has none. Values in decibels are weighted as
  /// power.
  std::vector<double> combined(const std::vector<double>& values, bool decibels = false) const;

 private:
  void add(const Grid& grid, Place pixel, const ReadingMethod& how);
  std::string crs_;
  std::vector<Place> at_;
  std::vector<float> weights_;    // of each; none: one pixel a place
  std::vector<uint8_t> nearest_;  // which of its pixels a place lies in
  size_t each_ = 1;
  bool needsNearest_ = false;
};

/// Some of many places that are read together, so that the pixels around them need not all be in
/// memory.
struct PartOfPlaces {
  size_t first = 0;
  std::vector<Place> places;
};
std::vector<PartOfPlaces> inParts(const std::vector<Place>& places, const ReadingMethod& how);

/// How many different pixels of a grid are behind values at places, of those that have one.
size_t distinctPixels(const Grid& grid, const std::vector<Place>& places, const std::string& crs,
                      const std::vector<double>& values);

}  // namespace zp
