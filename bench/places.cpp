// Readings and zones over the big scene, against one place and layer after the other. The
// yardsticks take hours for all, so a part of them is measured: places in random order, so that
// every part costs the same.
#include <numbers>

#include "base/random.h"
#include "bench.h"
#include "grid/raster_file.h"
#include "outline/scanline.h"
#include "sampling/zones.h"

namespace zp {
namespace {

constexpr int kBands = 8;
constexpr size_t kPoints = 1'000'000, kReadingLayers = 10, kPointsOfYardstick = 5000;
constexpr size_t kZones = 10'000, kZoneLayers = 24, kZonesOfYardstick = 2000;

std::filesystem::path g_scene;
double g_apart = 0;  // the largest difference of ours to the yardstick

Place placeIn(const Grid& grid, Random& random) {
  return grid.toMap(random.between(0, grid.width), random.between(0, grid.height));
}

/// The bands of the scene, over and over.
std::vector<ReadingSource> layersOfScene(size_t count) {
  std::vector<ReadingSource> all;
  for (size_t i = 0; i < count; ++i)
    all.push_back({g_scene, static_cast<int>(i % kBands) + 1, fmt::format("layer{}", i)});
  return all;
}

const std::vector<Place>& points() {
  static const auto all = [] {
    const RasterFile file(g_scene);
    Random random(5);
    std::vector<Place> places;
    for (size_t i = 0; i < kPoints; ++i) places.push_back(placeIn(file.grid(), random));
    return places;
  }();
  return all;
}

/// Stars of 10 to 30 pixels across.
const Layer& zones() {
  static const Layer all = [] {
    const Grid grid = RasterFile(g_scene).grid();
    Random random(6);
    Layer layer;
    layer.crs = grid.crs;
    for (size_t z = 0; z < kZones; ++z) {
      const Place middle = placeIn(grid, random);
      Ring ring;
      for (int i = 0; i < 12; ++i) {
        const double radius = random.between(5, 15) * grid.pixelWidth(),
                     angle = 2 * std::numbers::pi * i / 12;
        ring.push_back({middle.x + radius * std::cos(angle), middle.y + radius * std::sin(angle)});
      }
      layer.shapes.push_back({{ring}, {}});
      layer.table.rows.emplace_back();
    }
    return layer;
  }();
  return all;
}

Readings g_readings;
std::vector<ZoneSummary> g_zones;

void ReadingsOurs(benchmark::State& state) {
  const std::string crs = RasterFile(g_scene).grid().crs;
  for (auto _ : state) g_readings = readAt(points(), crs, layersOfScene(kReadingLayers));
}

void ReadingsOneByOne(benchmark::State& state) {
  const RasterFile file(g_scene);
  for (auto _ : state)
    for (size_t i = 0; i < kPointsOfYardstick; ++i) {
      const Place at = file.grid().toPixel(points()[i]);
      float value = 0;
      file.read(1, {static_cast<int>(at.x), static_cast<int>(at.y), 1, 1}, &value);
      if (!g_readings.values.empty())
        g_apart = std::max(g_apart, std::abs(static_cast<double>(value) - g_readings.values[0][i]));
    }
}

void ZonesOurs(benchmark::State& state) {
  const ZoneQuestion question{{zoneStatistic("mean")}, Inclusion::Centres, false};
  for (auto _ : state) g_zones = summarise(zones(), layersOfScene(kZoneLayers), question);
}

void ZonesOneByOne(benchmark::State& state) {
  const RasterFile file(g_scene);
  std::vector<float> values;
  for (auto _ : state)
    for (size_t z = 0; z < kZonesOfYardstick; ++z) {
      double sum = 0;
      size_t n = 0;
      const auto spans = pixelsInside(zones().shapes[z], file.grid());
      if (spans.empty()) continue;
      int left = file.grid().width, right = 0;
      for (const auto& s : spans) left = std::min(left, s.from), right = std::max(right, s.to);
      const Window w{left, spans.front().row, right - left,
                     spans.back().row - spans.front().row + 1};
      values.resize(w.pixels());
      file.read(1, w, values.data());
      for (const auto& s : spans)
        for (int c = s.from; c < s.to; ++c, ++n)
          sum +=
              static_cast<double>(values[static_cast<size_t>((s.row - w.y) * w.width + c - w.x)]);
      if (!g_zones.empty())
        g_apart =
            std::max(g_apart, std::abs(sum / static_cast<double>(n) - g_zones[0].values[0][z]));
    }
}

}  // namespace

void addPlaces(const std::filesystem::path& scene) {
  g_scene = scene;
  slow("ReadingsOurs", &ReadingsOurs);
  slow("ReadingsOneByOne", &ReadingsOneByOne);
  slow("ZonesOurs", &ZonesOurs);
  slow("ZonesOneByOne", &ZonesOneByOne);
}

void tellPlaces(std::map<std::string, double>& t) {
  const auto times = [](size_t all, size_t layers, size_t part) {
    return static_cast<double>(all * layers) / static_cast<double>(part);
  };
  fmt::print(
      "readings of a million points from 10 layers: {:.0f} x faster than a point and layer at a "
      "time (at least 50)\n",
      t["ReadingsOneByOne"] * times(kPoints, kReadingLayers, kPointsOfYardstick) /
          t["ReadingsOurs"]);
  fmt::print(
      "10 000 zones over 24 layers: {:.1f} x faster than a zone and layer at a time (at least 5); "
      "means and readings at most {:.1e} apart\n",
      t["ZonesOneByOne"] * times(kZones, kZoneLayers, kZonesOfYardstick) / t["ZonesOurs"], g_apart);
}

}  // namespace zp
