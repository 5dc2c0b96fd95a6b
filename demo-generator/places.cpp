#include "places.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <map>

#include "base/random.h"
#include "grid/crs.h"
#include "noise.h"
#include "outline/scanline.h"
#include "spectra.h"
#include "steady_math.h"

namespace haven {
namespace {

double toCentimetres(double v) {
  return std::floor(v * 100 + 0.5) / 100;
}

zp::Shape shapeOf(const std::vector<Place>& world) {
  zp::Shape s;
  s.rings.emplace_back();
  for (const auto& p : world) s.rings[0].push_back(onMap(p));
  return s;
}

std::vector<Place> roundish(Place centre, double radius, int corners, zp::Random& random) {
  std::vector<Place> out;
  const double turn = random.between(0, 6.28);
  for (int k = 0; k < corners; ++k) {
    const double a = turn + 6.283185 * (k + random.between(-0.22, 0.22)) / corners;
    const double r = radius * random.between(0.78, 1.08);
    out.push_back({centre.x + r * steadyCos(a), centre.y + r * steadySin(a)});
  }
  return out;
}

/// The share of a polygon's truth that is of one cover, both before and after the breach.
double purity(const World& world, const std::vector<Place>& outline, Cover cover) {
  zp::Grid grid;
  grid.width = kWidth, grid.height = kHeight;
  grid.transform = {0, kPixel, 0, 0, 0, kPixel};
  zp::Shape shape;
  shape.rings = {outline};
  size_t all = 0, same = 0;
  for (const auto& span : zp::pixelsInside(shape, grid))
    for (int x = span.from; x < span.to; ++x) {
      const size_t i = static_cast<size_t>(span.row) * kWidth + static_cast<size_t>(x);
      ++all;
      same += world.after[i] == cover ? 1 : 0;
    }
  return all == 0 ? 0 : static_cast<double>(same) / static_cast<double>(all);
}

struct Wanted {
  Cover cover;
  int areas;
  double radius, pure;
};
constexpr Wanted kWanted[] = {{Cover::ClearWater, 3, 170, .99}, {Cover::SiltyWater, 4, 70, .99},
                              {Cover::Mud, 6, 46, .96},         {Cover::Sand, 2, 55, .96},
                              {Cover::LowMarsh, 4, 42, .93},    {Cover::HighMarsh, 5, 75, .96},
                              {Cover::ReedUncut, 4, 58, .95},   {Cover::ReedCut, 3, 55, .95},
                              {Cover::OsierYoung, 2, 46, .94},  {Cover::OsierOld, 3, 50, .94},
                              {Cover::WetMeadow, 5, 80, .97},   {Cover::FieldBare, 3, 80, .97},
                              {Cover::FieldLeaf, 3, 80, .97},   {Cover::FieldYellow, 3, 75, .97},
                              {Cover::Broadleaf, 4, 110, .98},  {Cover::Conifer, 3, 110, .98},
                              {Cover::Roof, 4, 75, .18},        {Cover::Quarry, 1, 90, .97}};

}  // namespace

Place onMap(Place p) {
  return {toCentimetres(kLeft + p.x), toCentimetres(kTop - p.y)};
}

zp::Layer studyArea() {
  zp::Layer layer;
  layer.name = "study_area";
  layer.crs = zp::crsFrom(kSystem);
  layer.table.columns = {"name"};
  layer.table.rows = {{"Ondrey Haven"}};
  layer.shapes = {shapeOf({{1150, 2950},
                           {3900, 2350},
                           {6600, 2500},
                           {9300, 3250},
                           {10400, 4350},
                           {9800, 5700},
                           {7600, 6650},
                           {4600, 7450},
                           {1500, 7850}})};
  return layer;
}

zp::Layer compartmentLayer(const World& world) {
  zp::Layer layer;
  layer.name = "compartments";
  layer.crs = zp::crsFrom(kSystem);
  layer.table.columns = {"compartment", "kind", "last_cut", "water_level_cm"};
  for (const auto& c : world.compartments) {
    layer.table.rows.push_back({std::to_string(c.number), c.osier ? "osier" : "reed",
                                std::to_string(c.lastCut), std::to_string(c.waterLevel)});
    layer.shapes.push_back(shapeOf(c.outline));
  }
  return layer;
}

zp::Layer trainingLayer(const World& world) {
  zp::Layer layer;
  layer.name = "training";
  layer.crs = zp::crsFrom(kSystem);
  layer.table.columns = {"code", "class", "subclass"};
  const zp::Legend legend = havenLegend();
  std::vector<Place> taken;
  zp::Random random(4711);
  const auto add = [&](Cover cover, const std::string& subclass,
                       const std::vector<Place>& outline) {
    const int code = classOf(cover);
    layer.table.rows.push_back({std::to_string(code), legend.find(code)->name, subclass});
    layer.shapes.push_back(shapeOf(outline));
  };
  for (const auto& want : kWanted) {
    int found = 0;
    double radius = want.radius;
    for (int tries = 0; tries < 300000 && found < want.areas; ++tries) {
      if (tries % 60000 == 59999) radius *= 0.8;  // settle for smaller ones
      const Place p{random.between(150, 11850), random.between(150, 8850)};
      const auto i = static_cast<size_t>(p.y / kPixel) * kWidth + static_cast<size_t>(p.x / kPixel);
      const bool town = want.cover == Cover::Roof;
      if (world.after[i] != want.cover) continue;
      const auto outline = roundish(p, radius, 4 + static_cast<int>(random.below(4)), random);
      const bool apart = std::none_of(taken.begin(), taken.end(), [&](Place q) {
        return (p.x - q.x) * (p.x - q.x) + (p.y - q.y) * (p.y - q.y) < 16 * radius * radius;
      });
      if (!apart || purity(world, outline, want.cover) < want.pure) continue;
      if (town &&
          purity(world, outline, Cover::WetMeadow) + purity(world, outline, Cover::FieldLeaf) >
              0.02)
        continue;
      add(want.cover, town ? "houses" : subclassOf(want.cover), outline);
      taken.push_back(p);
      ++found;
    }
  }
  // The careless one: drawn across a hedge, half ploughed ground, half a field in leaf.
  for (int tries = 0; tries < 400000; ++tries) {
    const Place p{random.between(400, 11600), random.between(400, 8600)};
    const auto outline = roundish(p, 120, 5, random);
    const double bare = purity(world, outline, Cover::FieldBare),
                 meadow = purity(world, outline, Cover::WetMeadow);
    if (bare < 0.4 || meadow < 0.35) continue;
    add(Cover::FieldBare, "careless", outline);
    break;
  }
  return layer;
}

Temperature surfaceTemperature(const World& world) {
  Temperature t;
  const zp::CrsChange toGeographic(zp::crsFrom(kSystem), zp::crsFrom("EPSG:4326"));
  const zp::CrsChange toMap(zp::crsFrom("EPSG:4326"), zp::crsFrom(kSystem));
  Place corner = onMap({-300, -300});
  toGeographic.apply(corner);
  t.grid.width = 132, t.grid.height = 108;
  t.grid.georeferenced = true;
  t.grid.crs = zp::crsFrom("EPSG:4326");
  t.grid.transform = {std::floor(corner.x * 1e4) / 1e4, 0.0014, 0,
                      std::floor(corner.y * 1e4) / 1e4, 0,      -0.0009};
  t.values.assign(t.grid.pixels(), std::nanf(""));
  static const std::map<int, double> warmth{{1, 16.5}, {2, 21},   {3, 22.5}, {4, 21.6}, {5, 21},
                                            {6, 23.4}, {7, 27.5}, {8, 20.2}, {9, 30.5}};
  for (int r = 0; r < t.grid.height; ++r)
    for (int c = 0; c < t.grid.width; ++c) {
      Place p = t.grid.centre(c, r);
      toMap.apply(p);
      const double x = (p.x - kLeft) / kPixel, y = (kTop - p.y) / kPixel;
      double sum = 0;
      int n = 0;
      for (int dy = -16; dy <= 16; dy += 4)
        for (int dx = -16; dx <= 16; dx += 4) {
          const auto col = static_cast<int>(std::floor(x)) + dx,
                     row = static_cast<int>(std::floor(y)) + dy;
          if (col < 0 || row < 0 || col >= kWidth || row >= kHeight) continue;
          sum += warmth.at(
              classOf(world.after[static_cast<size_t>(row) * kWidth + static_cast<size_t>(col)]));
          ++n;
        }
      if (n < 40) continue;
      const auto i =
          static_cast<size_t>(r) * static_cast<size_t>(t.grid.width) + static_cast<size_t>(c);
      t.values[i] = static_cast<float>(sum / n + 0.35 * bell(zp::mix(i, 808)));
    }
  return t;
}

}  // namespace haven
