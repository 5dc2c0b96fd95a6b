#pragma once
#include <cstdint>
#include <vector>

#include "base/json.h"

namespace zp {

/// Support vectors of several classes, one function for each two of them (Cortes and Vapnik 1995;
/// one against one, as Knerr, Personnaz and Dreyfus 1990): above 0 speaks for the lower class.
class SupportVectors {
 public:
  size_t features = 0, classes = 0;
  bool radial = true;
  double gamma = 0;           // of the radial one
  std::vector<float> values;  // vector by vector, each of all features
  /// Of each two classes, 0 and 1, 0 and 2, … 1 and 2, …
  struct Function {
    double offset = 0;
    std::vector<int32_t> vectors;
    std::vector<double> weights;
  };
  std::vector<Function> functions;

  size_t count() const { return features == 0 ? 0 : values.size() / features; }
  /// To be called once all of the above is set: puts it in the order the kernels take.
  void arrange();
  /// For each of n pixels, feature by feature: the class that most functions speak for, the first
  /// of several, −1 where a value is NaN; and, where wanted, by how much it wins from the one it
  /// wins from least.
  void decide(const std::vector<const float*>& features, size_t n, int16_t* best,
              float* margin) const;

 private:
  std::vector<int32_t> first_, function_;
  std::vector<float> weight_, offset_;
};

Json toJson(const SupportVectors& vectors);
/// Error: not such, numbers that are none, a vector that is not there.
SupportVectors supportVectorsFrom(const Json& json, size_t classes);

}  // namespace zp
