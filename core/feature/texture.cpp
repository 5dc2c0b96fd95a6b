#include "feature/texture.h"

#include <algorithm>
#include <array>
#include <cmath>

#include "base/nan.h"

namespace zp {
namespace {

constexpr int kMostLevels = 32;

/// n ln n, for counts that come again and again; in whole 2⁻²⁴ parts, so that what is added and
/// taken away again leaves no trace.
class Entropies {
 public:
  static constexpr double kPart = 1.0 / (1 << 24);
  explicit Entropies(size_t most) {
    of_.reserve(most + 1);
    of_.push_back(0);
    for (size_t n = 1; n <= most; ++n)
      of_.push_back(
          std::llround(static_cast<double>(n) * std::log(static_cast<double>(n)) / kPart));
  }
  long long operator[](int n) const { return of_[static_cast<size_t>(n)]; }

 private:
  std::vector<long long> of_;
};

/// Counts of pairs of grey levels, with the sums that the measures are made of kept up to date.
class Matrix {
 public:
  explicit Matrix(const Entropies& entropies) : entropies_(entropies) {}
  void clear() {
    cells_.fill(0);
    apart_.fill(0);
    pairs_ = first_ = squares_ = products_ = entropy_ = 0;
  }
  /// Both ways round; `sign` is 1 or −1.
  void add(int a, int b, int sign) {
    change(a, b, sign);
    change(b, a, sign);
    apart_[static_cast<size_t>(std::abs(a - b))] += 2 * sign;
    pairs_ += 2 * sign;
    first_ += sign * (a + b);
    squares_ += sign * (a * a + b * b);
    products_ += 2 * sign * a * b;
  }
  double measure(TextureMeasure what) const {
    if (pairs_ == 0) return kNan;
    const auto n = static_cast<double>(pairs_);
    if (what == TextureMeasure::Entropy)
      return std::log(n) - static_cast<double>(entropy_) * Entropies::kPart / n;
    if (what == TextureMeasure::Correlation) {
      const double mean = static_cast<double>(first_) / n,
                   variance = static_cast<double>(squares_) / n - mean * mean;
      return variance <= 1e-12 ? 1 : (static_cast<double>(products_) / n - mean * mean) / variance;
    }
    double sum = 0;
    for (size_t d = 0; d < apart_.size(); ++d) {
      const auto squared = static_cast<double>(d * d);
      sum += apart_[d] * (what == TextureMeasure::Contrast ? squared : 1 / (1 + squared));
    }
    return sum / n;
  }

 private:
  void change(int a, int b, int sign) {
    int& cell = cells_[static_cast<size_t>(a * kMostLevels + b)];
    entropy_ -= entropies_[cell];
    cell += sign;
    entropy_ += entropies_[cell];
  }
  const Entropies& entropies_;
  std::array<int, kMostLevels * kMostLevels> cells_{};
  std::array<int, kMostLevels> apart_{};  // pairs by how many levels they differ
  long long pairs_ = 0, first_ = 0, squares_ = 0, products_ = 0, entropy_ = 0;
};

/// Grey levels of a block; −1 where there is no value.
class Levels {
 public:
  Levels(const std::vector<float>& values, int width, int height, const GreyLevels& grey)
      : width_(width), height_(height), of_(values.size(), -1) {
    const double range = grey.high - grey.low;
    for (size_t i = 0; i < values.size(); ++i)
      if (!std::isnan(values[i]))
        of_[i] = static_cast<int>(std::clamp(
            std::floor((static_cast<double>(values[i]) - grey.low) / range * grey.levels), 0.0,
            grey.levels - 1.0));
  }
  int at(int x, int y) const {
    return of_[static_cast<size_t>(y) * static_cast<size_t>(width_) + static_cast<size_t>(x)];
  }
  int width() const { return width_; }
  int height() const { return height_; }

 private:
  int width_, height_;
  std::vector<int> of_;
};

/// Adds or takes away the pairs of a column, within itself and with its neighbour `beside`, in the
/// rows from `top` to `bottom`.
void column(Matrix& m, const Levels& levels, int x, int beside, bool paired, int top, int bottom,
            int sign) {
  const auto pair = [&](int a, int b) {
    if (a >= 0 && b >= 0) m.add(a, b, sign);
  };
  for (int y = top; y <= bottom; ++y) {
    const int here = levels.at(x, y);
    if (here < 0) continue;
    if (y < bottom) pair(here, levels.at(x, y + 1));
    if (!paired) continue;
    for (int row = std::max(top, y - 1); row <= std::min(bottom, y + 1); ++row)
      pair(here, levels.at(beside, row));
  }
}

}  // namespace

std::vector<float> texture(TextureMeasure measure, const std::vector<float>& values, int width,
                           int height, int radius, const GreyLevels& grey) {
  const Levels levels(values, width, height, grey);
  const auto side = static_cast<size_t>(2 * radius + 1);
  const Entropies entropies(8 * side * side);
  Matrix matrix(entropies);
  std::vector<float> out(values.size(), kNan);
  for (int y = 0; y < height; ++y) {
    const int top = std::max(0, y - radius), bottom = std::min(height - 1, y + radius);
    matrix.clear();
    for (int x = 0; x < std::min(radius, width); ++x)
      column(matrix, levels, x, x - 1, x > 0, top, bottom, 1);
    for (int x = 0; x < width; ++x) {
      if (const int in = x + radius; in < width)
        column(matrix, levels, in, in - 1, in > 0, top, bottom, 1);
      if (const int gone = x - radius - 1; gone >= 0)
        column(matrix, levels, gone, gone + 1, true, top, bottom, -1);
      if (levels.at(x, y) >= 0)
        out[static_cast<size_t>(y) * static_cast<size_t>(width) + static_cast<size_t>(x)] =
            static_cast<float>(matrix.measure(measure));
    }
  }
  return out;
}

}  // namespace zp
