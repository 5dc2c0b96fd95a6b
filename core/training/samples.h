#pragma once
#include <string>
#include <vector>

#include "base/progress.h"
#include "feature/feature_reader.h"
#include "training/training_area.h"

namespace zp {

/// Features by training pixels: what every trained method learns from.
struct Samples {
  /// A class that occurs, with its name in the legend.
  struct Class {
    int code = 0;
    std::string name;
    size_t labelled = 0;  // pixels of its areas that have values
  };
  std::vector<std::string> features;    // their names
  std::vector<float> values;            // sample by sample, each of all features; none is NaN
  std::vector<int> codes;               // of each sample
  std::vector<size_t> areas;            // of each sample: its place among the training areas
  struct Pixel {
    int column = 0, row = 0;
  };
  std::vector<Pixel> pixels;            // of each sample: where it lies on the grid
  std::vector<std::string> subclasses;  // of each training area; "" for none
  std::vector<Class> classes;           // by ascending code
  size_t conflicts = 0;                 // pixels that two classes claimed; they are not among them

  size_t size() const { return codes.size(); }
  const float* sample(size_t i) const { return values.data() + i * features.size(); }
  const std::string& subclass(size_t i) const { return subclasses[areas[i]]; }
};

/// How many are kept.
struct SampleLimit {
  size_t perClass = 500'000;
  uint64_t seed = 1;
};

/// Reads the features at the training pixels, by row and column within each block. Of a class with
/// more pixels than the limit, as many are drawn by the seed, each with the same chance (selection
/// sampling; Knuth 1997, ch. 3.4.2). A pixel that lacks a feature is left out. Error: no training
/// pixel on the grid, or none that has values.
Samples drawSamples(const FeatureReader& reader, const std::vector<TrainingArea>& areas,
                    const Legend& legend, const SampleLimit& limit = {},
                    const Progress& progress = Progress());

/// Which samples a method learns from that takes at most so many of a class: by rising number, of
/// each class the same ones for the same seed, each with the same chance.
std::vector<size_t> drawnPerClass(const Samples& samples, size_t most, uint64_t seed);

}  // namespace zp
