#pragma once
#include <cstddef>
#include <cstdint>
#include <memory>
#include <vector>

namespace zp {

/// Finds the nearest of some samples, in a k-d tree (Bentley 1975). For many threads.
class SampleTree {
 public:
  /// `values`: sample by sample, each of all features; stays where it is while the tree lives.
  SampleTree(const std::vector<float>& values, size_t features);
  ~SampleTree();
  /// The `most` nearest to a place, the nearest first, with their squared distances; how many there
  /// were.
  size_t nearest(const float* place, size_t most, uint32_t* samples, float* squared) const;

 private:
  struct Tree;
  std::unique_ptr<Tree> tree_;
};

}  // namespace zp
