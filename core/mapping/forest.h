#pragma once
#include <cstdint>
#include <vector>

#include "base/json.h"

namespace zp {

/// Decision trees that vote (Breiman 2001), in a form that is quick to walk.
class Forest {
 public:
  /// A value at or below the split goes to the node `next`, one above it to the node after that. A
  /// leaf comes back to itself, its split being infinite, and tells its class.
  struct Node {
    float split = 0;
    int32_t next = 0;
    int16_t feature = 0;
    uint16_t winner = 0;  // of a leaf: a class, from 0
  };
  struct Tree {
    size_t root = 0;  // the place of its first node
    int depth = 0;    // steps from there to the farthest leaf
  };

  size_t features = 0, classes = 0;
  std::vector<Node> nodes;
  std::vector<Tree> trees;

  /// Votes of n pixels, each with one of all trees: `votes[pixel * classes + class]`. Pixels that
  /// lack a feature have none. `values[f]` are the n values of feature f.
  void vote(const std::vector<const float*>& values, size_t n, std::vector<uint16_t>& votes) const;
};

Json toJson(const Forest& forest);
/// Error: not such, a node that leads out of its tree or back, a class that is not below `classes`.
Forest forestFrom(const Json& json, size_t classes);

}  // namespace zp
