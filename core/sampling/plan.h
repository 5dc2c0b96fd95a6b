#pragma once
#include <cstdint>
#include <filesystem>
#include <map>
#include <optional>

#include "base/progress.h"
#include "legend/legend.h"
#include "outline/layer.h"
#include "scene/scene.h"

namespace zp {

enum class PlanKind { Random, Stratified };

/// How points are placed over a raster.
struct SamplingPlan {
  PlanKind kind = PlanKind::Random;
  size_t count = 100;           // Random: points in all; Stratified: points in each class
  std::optional<double> apart;  // smallest spacing, in the units of the raster's system
  uint64_t seed = 1;
};

struct SamplePoint {
  Place place;
  int code = 0;  // Stratified: the class of the map there; else 0
};

struct PlannedPoints {
  std::string crs;
  std::vector<SamplePoint> points;  // in random order
  std::map<int, size_t> perClass;   // Stratified: points by class code
  Legend legend;                    // of the class map, where it has one
};

/// Places points. Every valid pixel gets a random key from the seed and its number; points are
/// taken by rising key, so a sample does not depend on threads, and is random without replacement.
/// Random: a place anywhere in a valid pixel; with `inside` (same system), anywhere in its polygons
/// where the raster is valid. Stratified: pixel centres (within the polygons), the same count in
/// every class. In a projected system all pixels are equally likely; in a geographic one all square
/// metres, so a pixel in proportion to its area on the ellipsoid (Efraimidis and Spirakis 2006).
/// Error: no reference system, no valid pixels, fewer places than asked for (naming how many).
/// Stratified: the classes are in `band`, or the only band (0).
PlannedPoints placePoints(const std::filesystem::path& raster, const SamplingPlan& plan,
                          const Layer* inside = nullptr, const Progress& progress = Progress(),
                          int band = 0);

/// Random places over a scene: where the band that gives it its grid has a value and nothing is set
/// aside, at its corrected position.
PlannedPoints placePoints(const Scene& scene, const SamplingPlan& plan,
                          const Layer* inside = nullptr, const Progress& progress = Progress());

/// Fields id (from 1, in random order) and, with `withClass`, code and class.
Layer toLayer(const PlannedPoints& points, bool withClass);

}  // namespace zp
