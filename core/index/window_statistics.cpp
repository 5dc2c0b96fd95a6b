#include "index/window_statistics.h"

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/nan.h"

namespace zp {
namespace {

/// Count, sum and sum of squares, of values about a middle one so that squares keep their digits.
struct Sums {
  double n = 0, sum = 0, squares = 0;
  void add(float v, double middle, double sign) {
    if (std::isnan(v)) return;
    const double d = static_cast<double>(v) - middle;
    n += sign, sum += sign * d, squares += sign * d * d;
  }
  void add(const Sums& o, double sign) {
    n += sign * o.n, sum += sign * o.sum, squares += sign * o.squares;
  }
};

double middleOf(const std::vector<float>& values) {
  double sum = 0, n = 0;
  for (float v : values)
    if (!std::isnan(v)) sum += v, ++n;
  return n == 0 ? 0 : sum / n;
}

float momentOf(WindowFunction f, const Sums& s, double middle) {
  if (f == WindowFunction::Mean) return static_cast<float>(middle + s.sum / s.n);
  if (s.n < 2) return kNan;
  const double variance = (s.squares - s.sum * s.sum / s.n) / (s.n - 1);
  return static_cast<float>(std::sqrt(std::max(0.0, variance)));
}

/// Columns sums move down the block row by row, and along each row the window moves over them.
std::vector<float> moments(WindowFunction f, const std::vector<float>& values, int width,
                           int height, int radius) {
  const double middle = middleOf(values);
  std::vector<float> out(values.size(), kNan);
  std::vector<Sums> columns(static_cast<size_t>(width));
  const auto row = [&](int y) {
    return values.data() + static_cast<size_t>(y) * static_cast<size_t>(width);
  };
  const auto addRow = [&](int y, double sign) {
    if (y < 0 || y >= height) return;
    for (size_t x = 0; x < columns.size(); ++x) columns[x].add(row(y)[x], middle, sign);
  };
  for (int y = 0; y < std::min(radius, height); ++y) addRow(y, 1);
  for (int y = 0; y < height; ++y) {
    addRow(y + radius, 1);
    addRow(y - radius - 1, -1);
    Sums window;
    for (int x = 0; x < std::min(radius, width); ++x)
      window.add(columns[static_cast<size_t>(x)], 1);
    for (int x = 0; x < width; ++x) {
      if (x + radius < width) window.add(columns[static_cast<size_t>(x + radius)], 1);
      if (x - radius - 1 >= 0) window.add(columns[static_cast<size_t>(x - radius - 1)], -1);
      if (!std::isnan(row(y)[x]))
        out[static_cast<size_t>(y) * static_cast<size_t>(width) + static_cast<size_t>(x)] =
            momentOf(f, window, middle);
    }
  }
  return out;
}

/// Along one line of values `stride` apart.
void extremesAlong(bool largest, const float* in, float* out, int n, size_t stride, int radius) {
  for (int i = 0; i < n; ++i) {
    float best = kNan;
    for (int j = std::max(0, i - radius); j <= std::min(n - 1, i + radius); ++j) {
      const float v = in[static_cast<size_t>(j) * stride];
      if (!std::isnan(v) && (std::isnan(best) || (largest ? v > best : v < best))) best = v;
    }
    out[static_cast<size_t>(i) * stride] = best;
  }
}

std::vector<float> extremes(bool largest, const std::vector<float>& values, int width, int height,
                            int radius) {
  std::vector<float> across(values.size()), out(values.size());
  const auto w = static_cast<size_t>(width);
  for (int y = 0; y < height; ++y)
    extremesAlong(largest, values.data() + static_cast<size_t>(y) * w,
                  across.data() + static_cast<size_t>(y) * w, width, 1, radius);
  for (size_t x = 0; x < w; ++x)
    extremesAlong(largest, across.data() + x, out.data() + x, height, w, radius);
  for (size_t i = 0; i < out.size(); ++i)
    if (std::isnan(values[i])) out[i] = kNan;
  return out;
}

}  // namespace

std::vector<float> inWindow(WindowFunction function, const std::vector<float>& values, int width,
                            int height, int radius) {
  if (radius <= 0 && function != WindowFunction::Spread) return values;
  if (function == WindowFunction::Mean || function == WindowFunction::Spread)
    return moments(function, values, width, height, radius);
  return extremes(function == WindowFunction::Max, values, width, height, radius);
}

}  // namespace zp
