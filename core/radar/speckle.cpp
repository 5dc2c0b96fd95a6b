#include "radar/speckle.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>

#include "base/error.h"
#include "base/nan.h"
#include "grid/block_pipeline.h"
#include "radar/decibels.h"

namespace zp {
namespace {

struct Local {
  double n = 0, sum = 0, squares = 0;
  void add(float v) {
    if (std::isnan(v)) return;
    n += 1, sum += static_cast<double>(v);
    squares += static_cast<double>(v) * static_cast<double>(v);
  }
  double mean() const { return sum / n; }
  double variance() const { return n < 2 ? 0 : std::max(0.0, (squares - sum * sum / n) / (n - 1)); }
};

float weighted(float v, const Local& s, double looks) {
  const double mean = s.mean(), variance = s.variance(), cu2 = 1 / looks;
  if (!(variance > 0)) return static_cast<float>(mean);
  const double k = std::max(0.0, (variance - mean * mean * cu2) / (variance * (1 + cu2)));
  return static_cast<float>(mean + k * (static_cast<double>(v) - mean));
}

class Image {
 public:
  Image(const float* values, int width, int height) : v_(values), w_(width), h_(height) {}
  float at(int x, int y) const {
    return x < 0 || y < 0 || x >= w_ || y >= h_
               ? kNan
               : v_[static_cast<size_t>(y) * static_cast<size_t>(w_) + static_cast<size_t>(x)];
  }
  double mean3(int x, int y) const {
    Local s;
    for (int j = -1; j <= 1; ++j)
      for (int i = -1; i <= 1; ++i) s.add(at(x + i, y + j));
    return s.n > 0 ? s.mean() : std::numeric_limits<double>::quiet_NaN();
  }

 private:
  const float* v_;
  int w_, h_;
};

/// The direction across the strongest edge at a pixel, towards the side it belongs to.
struct Side {
  int x, y;
};

Side ownSide(const Image& image, int x, int y) {
  static constexpr std::array<Side, 4> kAcross{{{1, 0}, {1, 1}, {0, 1}, {-1, 1}}};
  const double here = image.mean3(x, y);
  double strongest = -1;
  Side side{1, 0};
  for (const auto& d : kAcross) {
    const double a = image.mean3(x + 2 * d.x, y + 2 * d.y),
                 b = image.mean3(x - 2 * d.x, y - 2 * d.y);
    const double edge = std::abs(a - b);
    if (!(edge > strongest)) continue;
    strongest = edge;
    side = std::abs(a - here) < std::abs(b - here) ? d : Side{-d.x, -d.y};
  }
  return side;
}

void requireFilter(const SpeckleFilter& f) {
  if (f.window < 3 || f.window > 31 || f.window % 2 == 0)
    throw Error("The window of a filter is an odd number from 3 to 31, not {}.", f.window);
  if (!(f.looks > 0 && f.looks <= 10000))
    throw Error("The number of looks has to be above 0; write one such as 4.4.");
}

}  // namespace

void leeFilter(const float* values, int width, int height, const SpeckleFilter& f, float* out) {
  const Image image(values, width, height);
  const int r = f.window / 2;
  for (int y = 0; y < height; ++y)
    for (int x = 0; x < width; ++x) {
      float& o = out[static_cast<size_t>(y) * static_cast<size_t>(width) + static_cast<size_t>(x)];
      const float v = image.at(x, y);
      if (std::isnan(v)) {
        o = kNan;
        continue;
      }
      Local s;
      for (int j = -r; j <= r; ++j)
        for (int i = -r; i <= r; ++i) s.add(image.at(x + i, y + j));
      o = weighted(v, s, f.looks);
    }
}

void refinedLeeFilter(const float* values, int width, int height, const SpeckleFilter& f,
                      float* out) {
  const Image image(values, width, height);
  for (int y = 0; y < height; ++y)
    for (int x = 0; x < width; ++x) {
      float& o = out[static_cast<size_t>(y) * static_cast<size_t>(width) + static_cast<size_t>(x)];
      const float v = image.at(x, y);
      if (std::isnan(v)) {
        o = kNan;
        continue;
      }
      const Side side = ownSide(image, x, y);
      Local s;
      for (int j = -3; j <= 3; ++j)
        for (int i = -3; i <= 3; ++i)
          if (i * side.x + j * side.y >= 0) s.add(image.at(x + i, y + j));
      o = weighted(v, s, f.looks);
    }
}

size_t filterSpeckle(const Scene& scene, const SpeckleFilter& filter,
                     const std::filesystem::path& temporary, const Progress& progress) {
  requireFilter(filter);
  if (!scene.isRadar())
    throw Error("“{}” is no radar scene; speckle is a thing of radar.", scene.name);
  SceneSpec spec = specLike(scene);
  const bool decibels = scene.state == ValueState::BackscatterDecibels;
  spec.state = ValueState::BackscatterPower;
  const int halo = filter.kind == SpeckleFilter::Lee ? filter.window / 2 : 6;
  return makeScene(
      BandReader(scene, {}), spec, temporary, progress,
      [=](const BandBlock& in, std::vector<std::vector<float>>& out) {
        const auto run = filter.kind == SpeckleFilter::Lee ? &leeFilter : &refinedLeeFilter;
        std::vector<float> power;
        for (size_t b = 0; b < out.size(); ++b) {
          power.assign(in.band(b), in.band(b) + in.window.pixels());
          if (decibels)
            for (float& v : power) v = toPower(v);
          run(power.data(), in.window.width, in.window.height, filter, out[b].data());
        }
      },
      halo);
}

double estimateLooks(const Scene& scene, size_t band) {
  constexpr int kBlock = 16;
  const BandReader reader(scene, {band});
  std::vector<double> looks;
  reduceBlocks(reader, Progress(), [&](const BandBlock& in) {
    const Window w = in.window;
    const bool decibels = scene.state == ValueState::BackscatterDecibels;
    for (int y = 0; y + kBlock <= w.height; y += kBlock)
      for (int x = 0; x + kBlock <= w.width; x += kBlock) {
        Local s;
        for (int j = 0; j < kBlock; ++j)
          for (int i = 0; i < kBlock; ++i) {
            const float v = in.band(0)[static_cast<size_t>(y + j) * static_cast<size_t>(w.width) +
                                       static_cast<size_t>(x + i)];
            s.add(decibels ? toPower(v) : v);
          }
        if (s.n == kBlock * kBlock && s.variance() > 0)
          looks.push_back(s.mean() * s.mean() / s.variance());
      }
  });
  if (looks.empty()) return std::numeric_limits<double>::quiet_NaN();
  std::sort(looks.begin(), looks.end(), std::greater<>());
  return looks[looks.size() / 20];  // the middle of the evenest tenth
}

}  // namespace zp
