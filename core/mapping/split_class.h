#pragma once
#include <array>
#include <map>

#include "training/samples.h"

namespace zp {

/// A class, or one subclass of it, in two by its own clusters.
struct ClassSplit {
  struct Part {
    size_t pixels = 0;
    std::vector<double> mean;   // of each feature
    std::vector<size_t> areas;  // places in `areas`, of what it got
  };
  int code = 0;
  std::string subclass;             // that is split; "" for the class without subclasses
  std::array<Part, 2> parts;        // the larger first
  std::vector<TrainingArea> areas;  // all training areas as they would be
};

/// k-means with two clusters over the samples of the subclass, features in their spread. An area
/// goes whole to the part that has nine of ten of its pixels; others are cut along the pixels.
/// `areas`: those the samples were drawn from, in the system of `grid`; `names`: of the two parts.
/// Error: no such samples, or they are all the same.
ClassSplit splitClass(const Samples& samples, const std::vector<TrainingArea>& areas,
                      const Grid& grid, int code, const std::string& subclass,
                      const std::array<std::string, 2>& names);

/// The areas as they would be if one part of a split were dropped; the other takes the name that
/// there was.
std::vector<TrainingArea> withoutPart(const ClassSplit& split, size_t part);

}  // namespace zp
