#pragma once
#include "mapping/method.h"
#include "mapping/standard.h"
#include "mapping/vectors.h"

namespace zp {

/// The class that the support vectors speak for, on features brought to one scale.
class BySupportVectors : public Classifier {
 public:
  BySupportVectors(Standard scale, SupportVectors vectors, std::vector<uint16_t> codes,
                   Json facts = Json::object());

  size_t features() const override { return vectors_.features; }
  std::vector<int> classes() const override { return {codes_.begin(), codes_.end()}; }
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;
  void support(const std::vector<const float*>& values, size_t n, float* out) const override;
  Json toJson() const override;
  Json facts() const override { return facts_; }

 private:
  /// Calls for pieces of the pixels with their values on the scale: (from, how many, values).
  template <class Visit>
  void eachPiece(const std::vector<const float*>& values, size_t n, Visit visit) const;
  Standard scale_;
  SupportVectors vectors_;
  std::vector<uint16_t> codes_;
  Json facts_;
};

}  // namespace zp
