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
  /// of several, −1 where a value is NaN.
  void decide(const std::vector<const float*>& features, size_t n, int16_t* best) const;
  /// What speaks for each class, `out[c * n + i]`, 1 together: from p = 1 ÷ (1 + exp(−2v)), v being
  /// the value of the function of two classes, coupled as 1 ÷ (Σ 1 ÷ p − (classes − 2)) (Price et
  /// al. 1995). NaN where a value is.
  void support(const std::vector<const float*>& features, size_t n, float* out) const;

 private:
  /// Calls for each pixel with the values of all functions, `values[f * step]`.
  template <class Visit>
  void eachPixel(const std::vector<const float*>& features, size_t n, Visit visit) const;
  std::vector<int32_t> first_, function_;
  std::vector<float> weight_, offset_;
};

Json toJson(const SupportVectors& vectors);
/// Error: not such, numbers that are none, a vector that is not there.
SupportVectors supportVectorsFrom(const Json& json, size_t classes);

}  // namespace zp
