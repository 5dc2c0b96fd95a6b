#pragma once
#include <vector>

#include "grid/grid.h"

namespace haven {

/// Metres from the upper left corner, y to the south.
using zp::Place;

/// Pixels of the hidden truth: 2.5 m.
inline constexpr int kWidth = 4800, kHeight = 3600;
inline constexpr double kPixel = 2.5;
inline constexpr size_t kPixels = static_cast<size_t>(kWidth) * kHeight;

/// A line whose half-width changes along it.
struct Course {
  std::vector<Place> places;
  std::vector<double> halfWidth;
};

/// A smooth line through some places (Catmull and Rom 1974).
Course through(const std::vector<Place>& knots, double halfWidth, int steps = 14);

/// Distance in metres from the edge of the nearest course, negative inside; `reach` where none is
/// that near. One value a pixel.
std::vector<float> edgeDistance(const std::vector<Course>& courses, double reach);

/// The same for one place.
double edgeDistanceAt(const Course& course, Place p);

/// Runs f(row) for all rows on all cores.
template <class F>
void forRows(int rows, F f);

}  // namespace haven

#include <oneapi/tbb/parallel_for.h>

template <class F>
void haven::forRows(int rows, F f) {
  oneapi::tbb::parallel_for(0, rows, f);
}
