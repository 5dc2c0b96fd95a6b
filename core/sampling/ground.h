#pragma once
#include <filesystem>
#include <functional>

#include "legend/legend.h"
#include "outline/point_inside.h"
#include "scene/scene.h"

namespace zp {

/// What points are placed over: the pixels of a grid that they may lie in.
struct Ground {
  std::string name;
  Grid grid;
  std::vector<Window> windows;
  /// The class of every pixel of a window, row by row; 0 where no point may lie.
  std::function<void(Window, std::vector<uint16_t>&)> read;
  /// Square metres of a row's pixels in a geographic system; else none, all pixels are alike.
  std::vector<double> areas;
  Legend legend;

  double areaOf(int row) const { return areas.empty() ? 1 : areas[static_cast<size_t>(row)]; }
};

/// Valid pixels as class 1, or with `classes` those of a class map. `band` from 1; 0: the first, or
/// the only one of a class map.
Ground groundOf(const std::filesystem::path& raster, bool classes, int band);
/// What is valid in the band that gives the scene its grid, as class 1.
Ground groundOf(const Scene& scene);

/// The polygons that places must lie in: all of some areas, each under the even–odd rule; and those
/// that they must not.
class Bounds {
 public:
  explicit Bounds(const Grid& grid) : grid_(grid), extent_(grid.extent()) {}
  void add(const std::vector<Shape>& shapes);
  void avoid(const std::vector<Shape>& shapes);
  /// What holds all places, in the grid's system.
  const Extent& extent() const { return extent_; }

  enum Part : uint8_t { Out, In, Partly, Avoided };  // Avoided: in the area all the same
  /// Of every pixel of a window; without `anywhere` its centre decides.
  void fill(Window window, bool anywhere, std::vector<uint8_t>& parts) const;
  /// Whether a place may be taken, in pixel units.
  bool holds(Place pixel) const;

 private:
  struct Area {
    InsideMask centres;
    PointInside places;
  };
  const Grid& grid_;
  Extent extent_;
  std::vector<Area> areas_;
  std::optional<Area> avoided_;
};

}  // namespace zp
