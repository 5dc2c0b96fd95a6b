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
  // What somebody says of it; nothing is made from these.
  std::string note = {};
  bool lookAgain = false;
};

/// Areas kept under a name, beside those that are used.
struct TrainingSet {
  std::string name;
  std::string crs;  // WKT
  std::vector<TrainingArea> areas;
};

/// Where in a layer of training areas what stands.
struct TrainingFields {
  std::string code, name, subclass;  // columns; name and subclass may be "", and code where there
                                     // is a name: it is then looked up among the classes known
};

/// Reads training areas ("FILE" or "FILE:LAYER") in the system `crs`. Error: no such column, a cell
/// that is no class code, no shapes, no reference system.
std::vector<TrainingArea> readTrainingAreas(const std::string& layer, const TrainingFields& fields,
                                            const std::string& crs, const Legend& known = {});

/// Which classes stand in a layer, and with how many shapes: code, name, whether `known` has it.
struct FoundClass {
  int code = 0;
  std::string name;
  size_t shapes = 0;
  bool known = false;
};
/// By code. Error: see readTrainingAreas.
std::vector<FoundClass> foundClasses(const std::vector<TrainingArea>& areas, const Legend& known);

Json toJson(const std::vector<TrainingArea>& areas);
/// Exception of the JSON library: not complete.
std::vector<TrainingArea> trainingAreasFrom(const Json& json);

/// The layer of some training areas, with fields code, class, subclass and note.
Layer toLayer(const std::vector<TrainingArea>& areas, const std::string& crs);

/// The classes that occur, with their names and subclasses, on top of `known`.
Legend legendOf(const std::vector<TrainingArea>& areas, Legend known = {});

/// Training pixels of a grid, row by row, each of one class.
struct LabelledPixels {
  struct Run {
    int row, from, to, code;
    size_t area;  // of those given: the first of its class that holds the pixels
  };
  std::vector<Run> runs;  // by row, then column
  size_t pixels = 0;
  size_t conflicts = 0;            // pixels that two classes claimed; they are in no run
  std::vector<Span> claimedTwice;  // and where they are
  size_t outside = 0;              // areas with no pixel on the grid
};

/// A pixel belongs to a polygon when its centre lies inside (see scanline.h), to a point when the
/// point lies in it; it counts once, however many areas of its class hold it.
LabelledPixels labelPixels(const std::vector<TrainingArea>& areas, const Grid& grid);

}  // namespace zp
