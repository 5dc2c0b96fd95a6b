#pragma once
#include <memory>
#include <vector>

#include "scene/scene.h"

namespace zp {

/// Values of some bands in a window: band by band, each row by row; NaN where there is none.
struct BandBlock {
  Window window;
  std::vector<float> values;
  size_t bands = 0;
  const float* band(size_t i) const { return values.data() + i * window.pixels(); }
  std::vector<const float*> pointers() const;
};

/// Reads chosen bands of one scene together. Values are stored × scale + offset; pixels that are
/// no data or masked as empty are NaN. Not to be shared between threads.
class BandReader {
 public:
  /// `bands`: indices into scene.bands; all when empty.
  BandReader(const Scene& scene, std::vector<size_t> bands);

  const Grid& grid() const { return grid_; }
  size_t bands() const { return sources_.size(); }
  /// Windows that suit the files, each of at most `bytes` of values in all bands together.
  std::vector<Window> windows(size_t bytes = size_t{24} << 20) const;
  void read(Window window, BandBlock& block) const;
  /// The nearest pixels of a window at a smaller size, band by band.
  void readReduced(Window window, int width, int height, std::vector<float>& values) const;

 private:
  struct Source {
    size_t file;
    int band;
    RasterFile::Conversion conversion;
  };
  Grid grid_;
  std::vector<RasterFile> files_;
  std::vector<Source> sources_;
  std::unique_ptr<RasterFile> mask_;
};

}  // namespace zp
