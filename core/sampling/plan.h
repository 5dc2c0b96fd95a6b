#pragma once
#include <cstdint>
#include <filesystem>
#include <map>
#include <optional>
#include <set>

#include "base/progress.h"
#include "legend/legend.h"
#include "outline/layer.h"
#include "scene/scene.h"

namespace zp {

enum class PlanKind {
  Random,      // anywhere
  Stratified,  // a number in every class of a map, at pixel centres
  Systematic,  // on a lattice with a random start
  Blocks       // in some squares, drawn first
};

/// How the points of a stratified plan are shared out among the classes.
enum class Split { Equal, Proportional, Given };

/// How points are placed over a raster. Lengths are in the units of the raster's system.
struct SamplingPlan {
  PlanKind kind = PlanKind::Random;
  /// Random: points in all. Stratified: in each class, or in all where proportional. Blocks: in
  /// each time that a block is drawn.
  size_t count = 100;
  std::optional<double> apart = {};  // smallest spacing; not of systematic points
  uint64_t seed = 1;

  Split split = Split::Equal;
  std::map<int, size_t> given = {};  // Given: points by class code
  std::set<int> leftOut = {};        // Stratified: classes that get none
  /// Not stratified: only in this class of a map.
  std::optional<int> only = {};

  /// Systematic: from point to point, or as many as fit along each side of the area's extent.
  double spacing = 0;
  size_t across = 0, down = 0;
  bool staggered = false;  // every other row is moved by half a spacing

  double blockSize = 0;  // Blocks: from side to side
  size_t blocks = 0;     // how many times one is drawn

  double edge = 0;                    // least distance from the edge of the area
  std::optional<Extent> within = {};  // a rectangle in the raster's system
  /// Polygons in the raster's system that no point may lie in. The area and its classes are told
  /// with them all the same: what is learned outside of them is taken to hold there too.
  std::vector<Shape> avoid = {};
  bool takeFewer = false;  // where there is not enough room, rather than an Error
};

struct SamplePoint {
  Place place;
  int code = 0;      // Stratified: the class of the map there; else 0
  size_t block = 0;  // Blocks: its number, from 1; else 0
};

struct PlannedPoints {
  std::string crs;
  std::vector<SamplePoint> points;  // those topped up first, then the new ones in random order
  std::map<int, size_t> perClass;   // Stratified: points by class code
  /// Stratified: square metres of each class that is drawn from, within the area.
  std::map<int, double> strata;
  std::map<int, size_t> tooFew;  // what was asked for where there are fewer; 0: in all
  Legend legend;                 // of the class map, where it has one
  std::vector<Ring> blocks;      // Blocks: those drawn
};

/// Places points. Every valid pixel gets a random key from the seed and its number; points are
/// taken by rising key, so a sample does not depend on threads, and is random without replacement.
/// The area is where the raster is valid (or of one class), within the rectangle and within the
/// polygons of `inside` (same system), and at least `edge` from all of their edges. Random: a place
/// anywhere in it. Stratified: pixel centres. In a projected system all pixels are equally likely;
/// in a geographic one all square metres, so a pixel in proportion to its area on the ellipsoid
/// (Efraimidis and Spirakis 2006). Systematic: in a geographic system the spacing along a row
/// follows the meridians, so that every point stands for the same area. Blocks: drawn in proportion
/// to their part of the area, systematically from a random order (Madow 1949), so that one larger
/// than a draw's share may be drawn twice; points in it are random.
///
/// `before`: points that a plan of the same kind over the same area placed; they stay, and count.
/// What is added is drawn from the rest, so every place keeps the chance that a plan of the larger
/// number gives it, whatever the two seeds; blocks need the seed of before, as they stay the same.
/// Systematic points get the lattice in their middle, which doubles them, three times at most.
///
/// Error: no reference system, no valid pixels, fewer places than asked for (naming how many;
/// unless `takeFewer`), more than ten million, points of before that the plan cannot have placed.
/// Stratified: the classes are in `band`, or the only band (0).
PlannedPoints placePoints(const std::filesystem::path& raster, const SamplingPlan& plan,
                          const Layer* inside = nullptr, const Progress& progress = Progress(),
                          int band = 0, const std::vector<Place>& before = {});

/// Places over a scene: where the band that gives it its grid has a value and nothing is set aside,
/// at its corrected position. Not stratified.
PlannedPoints placePoints(const Scene& scene, const SamplingPlan& plan,
                          const Layer* inside = nullptr, const Progress& progress = Progress(),
                          const std::vector<Place>& before = {});

/// The same places in another system. Error when one has no counterpart there.
PlannedPoints broughtTo(PlannedPoints points, const std::string& crs);

/// Fields id (from 1), of blocks their number, and, with `withClass`, code and class.
Layer toLayer(const PlannedPoints& points, bool withClass);

/// How near points are to each other.
struct Spread {
  double nearest = 0;  // least distance of two, in the units of their system; NaN below two points
  size_t sharing = 0;  // points in a pixel that holds another
};
Spread spreadOf(const std::vector<SamplePoint>& points, const Grid& grid);

}  // namespace zp
