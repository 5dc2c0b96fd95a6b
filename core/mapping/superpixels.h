#pragma once
#include <filesystem>
#include <vector>

#include "base/progress.h"
#include "feature/feature_reader.h"
#include "mapping/standard.h"

namespace zp {

/// How even pieces of a picture are found.
struct SuperpixelPlan {
  int side = 10;             // pixels: a piece has about side² of them
  double compactness = 0.4;  // what lying apart by a side counts against one spread of the features
  Standard scale;            // of the features: their spreads measure differences
  int passes = 6;
};

/// Even pieces that follow the edges: simple linear iterative clustering (Achanta et al. 2012), in
/// which a pixel chooses among the centres of its own cell of a grid and of the eight around
/// (Ren and Reid 2011), so that it reads the picture once a pass and holds the centres alone.
class Superpixels {
 public:
  /// Error: a side below 2, spreads that do not fit the features, no pixel with values.
  Superpixels(const FeatureReader& reader, SuperpixelPlan plan,
              const Progress& progress = Progress());

  /// Writes the pieces at `temporary` as codes from 1 to 16 that no two pieces have which may
  /// touch; 0 where a feature is missing. A piece may lie in several parts.
  void write(const std::filesystem::path& temporary, const Progress& progress = Progress()) const;

 private:
  struct Block;
  struct Sums;
  Window cellsAround(Window w) const;
  size_t cellAt(int column, int row) const {
    return static_cast<size_t>(row) * static_cast<size_t>(across_) + static_cast<size_t>(column);
  }
  size_t perCell() const { return features_ + 2; }
  /// What the sums of a cell are counted from, so that they stay small: its centre, or, as long as
  /// there are none, the usual values and its corner.
  void startOf(size_t cell, float* start) const;
  void assign(const FeatureBlock& values, std::vector<int32_t>& cells) const;
  void chooseIn(const FeatureBlock& values, Window run, std::vector<float>& squared,
                int32_t* cells) const;
  void sum(Block& block, bool own) const;
  void move(int row, const std::vector<float>& sums);
  void pass(bool first, const Progress& progress);

  const FeatureReader& reader_;
  SuperpixelPlan plan_;
  size_t features_;
  int across_, down_;           // cells
  std::vector<float> weights_;  // of squared differences, a feature
  std::vector<float> centres_;  // cell by cell: features, then column and row of the picture
};

}  // namespace zp
