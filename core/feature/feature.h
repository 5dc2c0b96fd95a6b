#pragma once
#include <memory>
#include <string>
#include <vector>

namespace zp {

/// A band that a feature is made from: which scene of the scope, which band of it.
struct FeaturePlane {
  size_t scene = 0, band = 0;
  bool operator==(const FeaturePlane&) const = default;
};

/// A named plane over a grid, whatever it comes from: a band, an index, radar in decibels, a
/// texture. What can be asked for is one file each in feature/kinds/. For many threads.
class Feature {
 public:
  Feature(std::string name, std::vector<FeaturePlane> planes)
      : name_(std::move(name)), planes_(std::move(planes)) {}
  virtual ~Feature() = default;

  /// As tables and signatures call it.
  const std::string& name() const { return name_; }
  void rename(std::string name) { name_ = std::move(name); }
  /// The bands that are read for it, each brought onto the grid.
  const std::vector<FeaturePlane>& planes() const { return planes_; }
  /// How many pixels around each it looks at.
  virtual int halo() const { return 0; }
  /// Whether its values are those of its one plane, as they are.
  virtual bool isPlane() const { return false; }
  /// Whether its values are decibels, of which a mean is that of their power.
  virtual bool inDecibels() const { return false; }
  /// Values of a block of width x height pixels, row by row, from those of the planes; NaN where
  /// there is none. `scale`: how many pixels of the block make one of the grid's (below 1 for a
  /// reduced picture).
  virtual void compute(const std::vector<const float*>& planes, int width, int height, float* out,
                       double scale) const = 0;

 private:
  std::string name_;
  std::vector<FeaturePlane> planes_;
};

using Features = std::vector<std::shared_ptr<const Feature>>;

}  // namespace zp
