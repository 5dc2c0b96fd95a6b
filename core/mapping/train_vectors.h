#pragma once
#include <optional>

#include "base/progress.h"
#include "mapping/vectors.h"

namespace cv::ml {
class SVM;
}

namespace zp {

/// Samples on their scale, with the class of each (from 0) and the training area it comes from.
struct VectorSamples {
  size_t features = 0, classes = 0;
  std::vector<float> values;  // sample by sample
  std::vector<int> labels;
  std::vector<size_t> areas;
  size_t size() const { return labels.size(); }
};

struct VectorsPlan {
  bool radial = true;
  double c = 10;       // the cost of a sample on the wrong side
  double gamma = 0.1;  // of the radial one
};

/// One trained support vector machine.
SupportVectors trainVectors(const VectorSamples& samples, const VectorsPlan& plan);

/// What one plan got right of samples that were kept out.
struct TriedPlan {
  VectorsPlan plan;
  double right = 0;  // 0…1, the mean over the classes
};

/// Tries plans around the usual ones and tells them all, the best first, the smoother first of
/// equally good ones. Five times in turn, a fifth of the training areas of each class is kept out;
/// of a class with fewer than three areas, a fifth of its samples. `c` and `gamma` where they are
/// given are not searched.
std::vector<TriedPlan> searchPlan(const VectorSamples& samples, bool radial,
                                  std::optional<double> c, std::optional<double> gamma,
                                  uint64_t seed, const Progress& progress = Progress());

/// From one of the library that was trained with classes numbered from 0.
SupportVectors vectorsOf(const cv::ml::SVM& trained, size_t classes);

}  // namespace zp
