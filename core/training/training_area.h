#pragma once
#include <string>
#include <vector>

#include "legend/legend.h"
#include "outline/layer.h"
#include "outline/scanline.h"

namespace zp {

/// A polygon (or point) of one class, in the reference system of the scene it is used with.
struct TrainingArea {
  int code = 0;
  std::string className, subclass;
  Shape shape;
};

struct TrainingFields {
  std::string code, name, subclass;  // columns; name and subclass may be ""
};

/// Reads training areas ("FILE" or "FILE:LAYER") in the system `crs`. Error: no such column, a cell
/// that is no class code, no shapes, no reference system.
std::vector<TrainingArea> readTrainingAreas(const std::string& layer, const TrainingFields& fields,
                                            const std::string& crs);

/// The layer of some training areas, with fields code, class and subclass.
Layer toLayer(const std::vector<TrainingArea>& areas, const std::string& crs);

/// The classes that occur, with their names, on top of `known`.
Legend legendOf(const std::vector<TrainingArea>& areas, Legend known = {});

/// Training pixels of a grid, row by row, each of one class.
struct LabelledPixels {
  struct Run {
    int row, from, to, code;
    size_t area;  // of those given: the first of its class that holds the pixels
  };
  std::vector<Run> runs;  // by row, then column
  size_t pixels = 0;
  size_t conflicts = 0;  // pixels that two classes claimed; they are in no run
  size_t outside = 0;    // areas with no pixel on the grid
};

/// A pixel belongs to a polygon when its centre lies inside (see scanline.h), to a point when the
/// point lies in it; it counts once, however many areas of its class hold it.
LabelledPixels labelPixels(const std::vector<TrainingArea>& areas, const Grid& grid);

}  // namespace zp
