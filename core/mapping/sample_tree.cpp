#include "mapping/sample_tree.h"

#include <nanoflann.hpp>

namespace zp {

struct SampleTree::Tree {
  /// The samples as the library wants to see them.
  struct Cloud {
    const std::vector<float>& values;
    size_t features;
    size_t kdtree_get_point_count() const { return values.size() / features; }
    float kdtree_get_pt(size_t i, size_t f) const { return values[i * features + f]; }
    template <class Box>
    bool kdtree_get_bbox(Box&) const {
      return false;
    }
  };
  Cloud cloud;
  nanoflann::KDTreeSingleIndexAdaptor<nanoflann::L2_Simple_Adaptor<float, Cloud>, Cloud, -1,
                                      uint32_t>
      index;
  Tree(const std::vector<float>& values, size_t features)
      : cloud{values, features}, index(static_cast<int>(features), cloud) {}
};

SampleTree::SampleTree(const std::vector<float>& values, size_t features)
    : tree_(std::make_unique<Tree>(values, features)) {}

SampleTree::~SampleTree() = default;

size_t SampleTree::nearest(const float* place, size_t most, uint32_t* samples,
                           float* squared) const {
  return tree_->index.knnSearch(place, most, samples, squared);
}

}  // namespace zp
