#pragma once
#include "mapping/method.h"
#include "mapping/sample_tree.h"
#include "mapping/standard.h"

namespace zp {

/// k nearest neighbours (Fix and Hodges 1951; Cover and Hart 1967): the class that most of the k
/// nearest training pixels have; of classes with equally many, the one with the nearest of them.
/// Support: the share of the k.
class NearestNeighbours : public Classifier {
 public:
  NearestNeighbours(const Samples& samples, const Json& settings);
  NearestNeighbours(const Json& learned, const Json& settings);
  size_t features() const override { return scale_.features(); }
  std::vector<int> classes() const override;
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;
  void support(const std::vector<const float*>& values, size_t n, float* out) const override;
  Json toJson() const override;

 private:
  void plant();
  /// Calls, for each of n pixels, with the nearest training pixels, as many as were found; 0 where
  /// a value is NaN.
  template <class Visit>
  void eachPixel(const std::vector<const float*>& values, size_t n, Visit visit) const;
  size_t neighbours_;
  Standard scale_;
  std::vector<float> values_;  // scaled, sample by sample
  std::vector<uint16_t> codes_;
  std::unique_ptr<SampleTree> tree_;
};

}  // namespace zp
