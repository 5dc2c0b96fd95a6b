#pragma once
#include <list>
#include <map>
#include <memory>
#include <mutex>
#include <string>
#include <tuple>
#include <vector>

#include "grid/grid.h"

namespace zp {

/// Bands as they were read at a smaller size. For as long as one looks at the same place, another
/// formula or another stretch reads no file again. Forgets what was not asked for longest. For many
/// threads.
class KeptBands {
 public:
  /// Row by row; NaN where there is no value.
  using Values = std::shared_ptr<const std::vector<float>>;

  explicit KeptBands(size_t bytes = size_t{96} << 20) : most_(bytes) {}

  /// `band` says which values: file, band and what is done to them. Null when they are not kept.
  Values find(const std::string& band, Window window, int width, int height);
  void keep(const std::string& band, Window window, int width, int height, Values values);
  size_t bytes() const;

 private:
  using Key = std::tuple<std::string, int, int, int, int, int, int>;
  struct Kept {
    Key key;
    Values values;
  };
  static Key keyOf(const std::string& band, Window w, int width, int height) {
    return {band, w.x, w.y, w.width, w.height, width, height};
  }

  const size_t most_;
  mutable std::mutex mutex_;
  std::list<Kept> kept_;  // latest first
  std::map<Key, std::list<Kept>::iterator> found_;
  size_t bytes_ = 0;
};

}  // namespace zp
