#pragma once
#include <filesystem>
#include <set>

#include "legend/class_map.h"
#include "scene/band_reader.h"

namespace zp {

/// A class map, and which of its classes count; all when there are none.
struct TrustedMap {
  std::filesystem::path file;
  std::set<int> classes = {};
  bool counts(int code) const { return code != 0 && (classes.empty() || classes.contains(code)); }
};

/// Reads the classes of a map that count on any grid, by the nearest pixel. For many threads.
class MapReader {
 public:
  /// Error: no class map.
  MapReader(const TrustedMap& map, const Grid& grid);
  /// Calls with each pixel that has such a class, and the class.
  template <class Visit>
  void each(Window w, BandBlock& block, Visit visit) const {
    reader_->read(w, block);
    eachOf(block.values, visit);
  }
  template <class Visit>
  void eachReduced(Window w, int width, int height, Visit visit) const {
    std::vector<float> values;
    reader_->readReduced(w, width, height, values);
    eachOf(values, visit);
  }

 private:
  template <class Visit>
  void eachOf(const std::vector<float>& values, Visit visit) const {
    for (size_t i = 0; i < values.size(); ++i)
      if (const int code = codeOf(values[i]); map_.counts(code)) visit(i, code);
  }
  TrustedMap map_;
  std::vector<Scene> layer_;
  std::unique_ptr<BandReader> reader_;
};

}  // namespace zp
