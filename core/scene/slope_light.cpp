#include "scene/slope_light.h"

#include <cmath>
#include <numbers>

#include "base/error.h"
#include "base/nan.h"
#include "base/pair_moments.h"
#include "grid/block_pipeline.h"
#include "grid/crs.h"
#include "grid/gradient.h"
#include "grid/halo.h"

namespace zp {
namespace {

constexpr double kRadians = std::numbers::pi / 180;

/// The bands of the scene, then the height.
BandReader readerWith(const Scene& scene, const BandSource& height) {
  std::vector<BandSource> sources;
  for (size_t b = 0; b < scene.bands.size(); ++b) sources.push_back({&scene, b});
  sources.push_back(height);
  return BandReader(scene.grid, sources);
}

void requireSun(const Scene& scene, Sun sun) {
  if (!(sun.elevation > 0 && sun.elevation <= 90))
    throw Error("The sun stands above 0 and up to 90 degrees over the horizon, not at {}.",
                sun.elevation);
  if (scene.grid.crs.empty() || crsIsGeographic(scene.grid.crs))
    throw Error("Slopes need a grid in metres or feet; “{}” lies on none.", scene.name);
}

/// The light on each pixel of a block whose last band is the height.
std::vector<float> lightIn(const BandBlock& block, const Grid& grid, Sun sun) {
  const size_t n = block.window.pixels();
  const double unit = crsMetresPerUnit(grid.crs);
  std::vector<float> east(n), north(n);
  gradientOf(block.band(block.bands - 1), block.window.width, block.window.height,
             grid.pixelWidth() * unit, grid.pixelHeight() * unit, east.data(), north.data());
  for (size_t i = 0; i < n; ++i)
    east[i] = static_cast<float>(
        lightOn(static_cast<double>(east[i]), static_cast<double>(north[i]), sun));
  return east;
}

}  // namespace

double lightOn(double east, double north, Sun sun) {
  const double up = std::sin(sun.elevation * kRadians), flat = std::cos(sun.elevation * kRadians);
  const double towards =
      east * std::sin(sun.azimuth * kRadians) + north * std::cos(sun.azimuth * kRadians);
  // What rises towards the sun faces away from it.
  return (up - flat * towards) / std::sqrt(1 + east * east + north * north);
}

std::vector<double> lightConstants(const Scene& scene, const BandSource& height, Sun sun,
                                   const Progress& progress) {
  requireSun(scene, sun);
  const BandReader reader = readerWith(scene, height);
  std::vector<PairMoments> moments(scene.bands.size());
  struct Block {
    BandBlock in;
    Window window;
    std::vector<float> light;
  };
  forEachBlock<Block>(
      reader.windows(), progress,
      [&](Window w, Block& b) {
        reader.read(widened(w, 1, reader.grid()), b.in);
        b.window = w;
        b.light = lightIn(b.in, reader.grid(), sun);
      },
      [&](Block& b) {
        // Those around the window are another block's.
        const Window in = b.in.window;
        for (int y = b.window.y; y < b.window.y + b.window.height; ++y)
          for (int x = b.window.x; x < b.window.x + b.window.width; ++x) {
            const size_t i = static_cast<size_t>(y - in.y) * static_cast<size_t>(in.width) +
                             static_cast<size_t>(x - in.x);
            if (!(b.light[i] > 0)) continue;
            for (size_t k = 0; k < moments.size(); ++k)
              if (const float v = b.in.band(k)[i]; std::isfinite(v))
                moments[k].add(static_cast<double>(b.light[i]), static_cast<double>(v));
          }
      });
  std::vector<double> constants;
  for (const auto& m : moments) {
    if (m.count() < 100)
      throw Error("Fewer than 100 pixels of “{}” have a height; choose a layer that lies under it.",
                  scene.name);
    const double slope = m.varianceX() > 0 ? m.covariance() / m.varianceX() : 0,
                 start = m.meanY() - slope * m.meanX(),
                 r = m.covariance() / std::sqrt(m.varianceX() * m.varianceY());
    // Brighter away from the sun, or the same everywhere: light is not what makes it so.
    constants.push_back(slope > 0 && r > 0.05 ? start / slope
                                              : std::numeric_limits<double>::quiet_NaN());
  }
  return constants;
}

void correctSlopeLight(const Scene& scene, const BandSource& height, Sun sun, SlopeLight how,
                       const std::vector<double>& constants, const std::filesystem::path& temporary,
                       const Progress& progress) {
  requireSun(scene, sun);
  const BandReader reader = readerWith(scene, height);
  const double level = lightOn(0, 0, sun);
  makeScene(
      reader, specLike(scene), temporary, progress,
      [&](const BandBlock& in, std::vector<std::vector<float>>& out) {
        const std::vector<float> light = lightIn(in, reader.grid(), sun);
        for (size_t b = 0; b < out.size(); ++b) {
          const bool asItIs = how == SlopeLight::C && std::isnan(constants[b]);
          const double c = how == SlopeLight::C && !asItIs ? constants[b] : 0;
          for (size_t i = 0; i < light.size(); ++i) {
            const double cosine = static_cast<double>(light[i]);
            const double factor = asItIs ? 1 : (level + c) / (cosine + c);
            out[b][i] = cosine > 0 && cosine + c > 0
                            ? static_cast<float>(static_cast<double>(in.band(b)[i]) * factor)
                            : kNan;
          }
        }
      },
      1);
}

}  // namespace zp
