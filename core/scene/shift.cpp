#include "scene/shift.h"

#include <fmt/format.h>

#include <cmath>
#include <complex>
#include <numbers>
#include <unsupported/Eigen/FFT>

#include "base/error.h"

namespace zp {
namespace {

using Complex = std::complex<double>;

/// A square of complex numbers, row by row.
struct Square {
  int n;
  std::vector<Complex> v;
  explicit Square(int size) : n(size), v(static_cast<size_t>(size) * static_cast<size_t>(size)) {}
  Complex& at(int x, int y) {
    return v[static_cast<size_t>(y) * static_cast<size_t>(n) + static_cast<size_t>(x)];
  }
};

void transform(Square& s) {
  Eigen::FFT<double> fft;
  std::vector<Complex> in(static_cast<size_t>(s.n)), out;
  for (int pass = 0; pass < 2; ++pass)
    for (int line = 0; line < s.n; ++line) {
      for (int i = 0; i < s.n; ++i)
        in[static_cast<size_t>(i)] = pass == 0 ? s.at(i, line) : s.at(line, i);
      fft.fwd(out, in);
      for (int i = 0; i < s.n; ++i)
        (pass == 0 ? s.at(i, line) : s.at(line, i)) = out[static_cast<size_t>(i)];
    }
}

/// Values less their mean, tapered to the edges (Hann); no data counts as the mean. False when less
/// than 70 % have a value.
bool load(const float* values, Square& s) {
  const size_t n = s.v.size();
  double sum = 0, count = 0;
  for (size_t i = 0; i < n; ++i)
    if (!std::isnan(values[i])) sum += static_cast<double>(values[i]), count += 1;
  if (count < 0.7 * static_cast<double>(n)) return false;
  const auto taper = [&](int i) {
    return 0.5 - 0.5 * std::cos(2 * std::numbers::pi * (i + 0.5) / s.n);
  };
  for (int y = 0; y < s.n; ++y)
    for (int x = 0; x < s.n; ++x) {
      const float v =
          values[static_cast<size_t>(y) * static_cast<size_t>(s.n) + static_cast<size_t>(x)];
      s.at(x, y) = std::isnan(v) ? 0 : (static_cast<double>(v) - sum / count) * taper(x) * taper(y);
    }
  transform(s);
  return true;
}

int frequency(int i, int n) {
  return i <= n / 2 ? i : i - n;
}

/// What the pixels of both have in common: the phase of one spectrum against the other.
bool addPhases(const std::vector<float>& values, Square& phases) {
  Square a(phases.n), b(phases.n);
  if (!load(values.data(), a) || !load(values.data() + a.v.size(), b)) return false;
  for (int y = 0; y < phases.n; ++y)
    for (int x = 0; x < phases.n; ++x) {
      const double f = std::hypot(frequency(x, phases.n), frequency(y, phases.n));
      if (f > phases.n / 4.0 || f == 0) continue;
      const Complex cross = a.at(x, y) * std::conj(b.at(x, y));
      if (const double size = std::abs(cross); size > 0) phases.at(x, y) += cross / size;
    }
  return true;
}

/// The correlation at any place, from the spectrum.
class Correlation {
 public:
  explicit Correlation(Square& phases) {
    for (int y = 0; y < phases.n; ++y)
      for (int x = 0; x < phases.n; ++x)
        if (const Complex c = phases.at(x, y); c != Complex(0)) {
          terms_.push_back({2 * std::numbers::pi * frequency(x, phases.n) / phases.n,
                            2 * std::numbers::pi * frequency(y, phases.n) / phases.n, c});
          weight_ += std::abs(c);
        }
  }
  /// 1 where everything agrees.
  double at(double dx, double dy) const {
    double sum = 0;
    for (const auto& t : terms_) {
      const double angle = t.u * dx + t.v * dy;
      sum += t.c.real() * std::cos(angle) - t.c.imag() * std::sin(angle);
    }
    return sum / weight_;
  }

 private:
  struct Term {
    double u, v;
    Complex c;
  };
  std::vector<Term> terms_;
  double weight_ = 0;
};

/// The highest of a lattice of places.
void climb(const Correlation& c, double step, int reach, double& dx, double& dy) {
  const double cx = dx, cy = dy;
  double best = -2;
  for (int j = -reach; j <= reach; ++j)
    for (int i = -reach; i <= reach; ++i)
      if (const double v = c.at(cx + i * step, cy + j * step); v > best)
        best = v, dx = cx + i * step, dy = cy + j * step;
}

}  // namespace

Shift measureShift(const BandSource& layer, const BandSource& reference, const Progress& progress) {
  const Grid& grid = reference.scene->grid;
  const BandReader reader(grid, {layer, reference});
  const PixelNet net(layer.scene->grid, grid);
  const Window w = [&] {
    // The common part, in pixels of the reference.
    const Place a = net.at(0, 0),
                b = net.at(layer.scene->grid.width - 1, layer.scene->grid.height - 1);
    const int left = std::max(0, static_cast<int>(std::ceil(std::min(a.x, b.x)))),
              top = std::max(0, static_cast<int>(std::ceil(std::min(a.y, b.y))));
    return Window{left, top, std::min(grid.width, static_cast<int>(std::max(a.x, b.x))) - left,
                  std::min(grid.height, static_cast<int>(std::max(a.y, b.y))) - top};
  }();
  int n = 256;
  while (n > 32 && (w.width < n || w.height < n)) n /= 2;
  if (n < 64) throw Error("The two have no common part of 64 pixels; choose layers that overlap.");
  Square phases(n);
  std::vector<float> values;
  int used = 0;
  for (int k = 0; k < 9; ++k) {
    const int x = w.x + (w.width - n) * (k % 3) / 2, y = w.y + (w.height - n) * (k / 3) / 2;
    reader.readReduced({x, y, n, n}, n, n, values);
    used += addPhases(values, phases) ? 1 : 0;
    progress.at((k + 1) / 10.0);
  }
  if (used == 0)
    throw Error("The common part has too many pixels without data to measure a shift.");
  Square surface = phases;
  transform(surface);  // forwards, so that its places run backwards
  double highest = -1;
  int px = 0, py = 0;
  for (int y = 0; y < n; ++y)
    for (int x = 0; x < n; ++x)
      if (const double v = surface.at(x, y).real(); v > highest) highest = v, px = x, py = y;
  double dx = -frequency(px, n), dy = -frequency(py, n);
  const Correlation correlation(phases);
  for (const double step : {0.25, 0.05, 0.01}) climb(correlation, step, 5, dx, dy);
  Shift s;
  s.certainty = correlation.at(dx, dy);
  if (s.certainty < 0.05)
    throw Error("The two layers are too unlike to measure a shift; choose bands that look alike.");
  s.columns = dx, s.rows = dy;
  const Place from = grid.toMap(0, 0), to = grid.toMap(-s.columns, -s.rows);
  s.by = {to.x - from.x, to.y - from.y};
  progress.at(1);
  return s;
}

}  // namespace zp
