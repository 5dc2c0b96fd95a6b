#pragma once
#include <memory>
#include <vector>

#include "feature/feature.h"
#include "index/scope.h"
#include "index/trusted_map.h"
#include "outline/scanline.h"

namespace zp {

/// Values of some features in a window: feature by feature, each row by row; NaN where there is
/// none.
struct FeatureBlock {
  Window window;
  std::vector<float> values;
  size_t features = 0;
  const float* feature(size_t i) const { return values.data() + i * window.pixels(); }
  std::vector<const float*> pointers() const;

  // What it is computed from; used again by the next block.
  std::vector<float> planes, wide;
  BandBlock taken;
};

/// Reads features together, on the grid of a scope. A band that several of them need is read once;
/// what lies on another grid or in another system is brought over, and what a scene's mask sets
/// aside is NaN (scene/band_reader.h). For many threads.
class FeatureReader {
 public:
  using Block = FeatureBlock;
  /// What `reduced` reads is kept in `kept`, if there is one. Error: no feature.
  FeatureReader(const Scope& scope, Features features, std::shared_ptr<KeptBands> kept = nullptr);
  /// Other features over the same scope and its open files, for as long as one types; nullptr when
  /// they need bands that are not read here.
  std::unique_ptr<FeatureReader> with(Features features) const;
  /// From now on pixels whose centre lies in none of the polygons (in the grid's system) have no
  /// values. Error when none lies inside.
  void keepInside(const Layer& outline);
  /// From now on pixels that have a class in a map, one that counts, have no values. Error: no
  /// class map.
  void keepRest(const TrustedMap& map);

  const Grid& grid() const { return reader_->grid(); }
  const Features& features() const { return features_; }
  /// Windows that suit the files.
  std::vector<Window> windows() const { return reader_->windows(); }
  void read(Window window, FeatureBlock& block) const;
  /// At a smaller size and for looking: the values of features[i] as [i].
  std::vector<std::vector<float>> reduced(Window window, int width, int height) const;

 private:
  FeatureReader(Features features, std::vector<FeaturePlane> planes,
                std::shared_ptr<BandReader> reader);
  std::vector<const float*> planesOf(size_t feature, const std::vector<float>& values,
                                     size_t pixels) const;

  Features features_;
  std::vector<FeaturePlane> planes_;
  std::vector<std::vector<size_t>> places_;  // of each feature's planes among all
  int halo_ = 0;
  bool planesAlone_ = false;  // every feature is the plane of its place
  std::shared_ptr<BandReader> reader_;
  std::shared_ptr<const InsideMask> inside_;
  std::shared_ptr<const MapReader> taken_;
};

}  // namespace zp
