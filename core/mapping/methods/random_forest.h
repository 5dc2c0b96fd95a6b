#pragma once
#include "mapping/forest.h"
#include "mapping/method.h"

namespace zp {

/// Random forest (Breiman 2001): many decision trees, each grown on a draw of the training pixels
/// and trying a draw of the features at each split, vote. A tie goes to the class with the lower
/// code. Support: the share of the trees. It takes features of any unit together.
class RandomForest : public Classifier {
 public:
  RandomForest(Forest forest, std::vector<uint16_t> codes, Json facts);
  size_t features() const override { return forest_.features; }
  std::vector<int> classes() const override { return {codes_.begin(), codes_.end()}; }
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override;
  void support(const std::vector<const float*>& values, size_t n, float* out) const override;
  Json toJson() const override;
  /// {out_of_bag, importance: [{feature share}]}
  Json facts() const override { return facts_; }

 private:
  Forest forest_;
  std::vector<uint16_t> codes_;
  Json facts_;
};

}  // namespace zp
