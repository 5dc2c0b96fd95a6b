#pragma once
#include <memory>
#include <vector>

#include "base/pool.h"
#include "grid/block_size.h"
#include "grid/regrid.h"
#include "scene/kept_bands.h"
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

/// One band of one scene.
struct BandSource {
  const Scene* scene = nullptr;
  size_t band = 0;
};

/// Reads bands of one or several scenes together, on one grid. Values are stored × scale + offset;
/// pixels that are no data or set aside by the scene's mask are NaN. What lies on another grid or
/// in another reference system is brought over as it is read: codes by the nearest pixel, the rest
/// bilinearly. For many threads: each reads through handles of its own.
class BandReader {
 public:
  using Block = BandBlock;
  /// On the scene's own grid. `bands`: indices into scene.bands; all when empty.
  BandReader(const Scene& scene, std::vector<size_t> bands);
  /// On any grid. Error when a band cannot be brought onto it, or lies nowhere on it and is of
  /// another scene than the first.
  BandReader(const Grid& grid, const std::vector<BandSource>& sources);

  const Grid& grid() const { return grid_; }
  size_t bands() const { return sources_.size(); }
  /// Whether a band is brought over from another grid.
  bool broughtOver(size_t i) const { return !fileOf(sources_[i]).same; }
  /// Windows that suit the files, each of at most `bytes` of values in all bands together.
  std::vector<Window> windows(size_t bytes = kBlockBytes) const;
  void read(Window window, BandBlock& block) const;
  /// The nearest pixels of a window at a smaller size, band by band.
  void readReduced(Window window, int width, int height, std::vector<float>& values) const;
  /// From now on readReduced looks there first, and keeps there what it reads.
  void keepIn(std::shared_ptr<KeptBands> kept) { kept_ = std::move(kept); }

 private:
  struct File {
    RasterFile raster;
    Grid grid;  // with the scene's shift
    bool same;  // as the reader's
    std::filesystem::path reduced = {};
  };
  /// What one thread reads from.
  struct Handles {
    std::vector<File> files, masks;
  };
  struct Source {
    size_t file;
    int band;
    RasterFile::Conversion conversion;
    Resampling resampling;
    int mask;          // −1: none
    std::string name;  // among kept bands
  };
  static std::unique_ptr<Handles> openAgain(const Handles& first);
  void add(Handles& handles, const BandSource& source);
  size_t fileOf(Handles& handles, const std::filesystem::path& path, Place shift);
  void readOne(const Handles& h, const Source& source, Window w, int width, int height,
               float* out) const;
  void bringOver(const Handles& h, const Source& source, const Grid& piece, bool reduced,
                 float* out) const;
  void setAside(const Handles& h, const Source& source, Window w, const Grid& piece,
                float* out) const;
  // These ask only what does not change.
  const File& fileOf(const Source& source) const { return handles_->first().files[source.file]; }
  const File* maskOf(const Source& source) const {
    return source.mask < 0 ? nullptr : &handles_->first().masks[static_cast<size_t>(source.mask)];
  }
  bool isBroughtOver(const Source& source) const;
  size_t pixelsUnder(const Source& source, const Grid& piece) const;

  Grid grid_;
  std::vector<Source> sources_;
  std::unique_ptr<Pool<Handles>> handles_;
  std::shared_ptr<KeptBands> kept_;
};

}  // namespace zp
