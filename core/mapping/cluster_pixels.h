#pragma once
#include <vector>

#include "base/progress.h"
#include "feature/feature_reader.h"
#include "mapping/nearest_mean.h"
#include "mapping/standard.h"

namespace zp {

/// One column a feature, of the same length, without NaN.
using Columns = std::vector<std::vector<float>>;

/// What the pixels that are nearest to each mean add up to.
struct ClusterSums {
  std::vector<double> values;   // mean by mean, each of all features
  std::vector<double> squares;  // the same of the squares; empty when they are not asked for
  std::vector<size_t> sizes;    // pixels of each mean
  double within = 0;            // of the squared distances
};

/// Pixels that can be gone over again and again, on all cores; the sums do not depend on how many.
class ClusterPixels {
 public:
  virtual ~ClusterPixels() = default;
  virtual size_t features() const = 0;
  virtual ClusterSums sums(const NearestMean& means, bool squares,
                           const Progress& progress) const = 0;
};

/// Held in memory; not kept: they outlive this. Error: there are none.
class HeldPixels : public ClusterPixels {
 public:
  explicit HeldPixels(const Columns& columns);
  size_t features() const override { return columns_.size(); }
  ClusterSums sums(const NearestMean& means, bool squares, const Progress& progress) const override;

 private:
  const Columns& columns_;
};

/// All of a scope, read and scaled anew each time: however many there are, they need no memory. A
/// pixel that lacks a feature is left out.
class ReadPixels : public ClusterPixels {
 public:
  ReadPixels(const FeatureReader& reader, Standard scale);
  size_t features() const override { return scale_.features(); }
  ClusterSums sums(const NearestMean& means, bool squares, const Progress& progress) const override;

 private:
  const FeatureReader& reader_;
  Standard scale_;
};

}  // namespace zp
