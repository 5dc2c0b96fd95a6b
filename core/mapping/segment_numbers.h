#pragma once
#include "mapping/patches.h"

namespace zp {

/// Numbers the patches of a map from 1, in the order in which rows meet them.
class SegmentNumbers {
 public:
  /// Takes both: many pieces are held once only.
  SegmentNumbers(Runs&& runs, Patches&& patches);
  size_t count() const { return sizes_.size() - 1; }
  /// Pixels of a segment, from 1.
  size_t size(size_t number) const { return sizes_[number]; }
  /// 4π area ÷ perimeter², the perimeter in sides of pixels.
  double compactness(size_t number) const;
  /// Of the pixels of a window, row by row; 0 where there is none.
  void read(Window w, std::vector<uint32_t>& numbers) const;

 private:
  void addPerimeters();
  std::vector<uint32_t> sizes_, perimeters_;
  std::vector<int32_t> number_;  // of each run
  Runs runs_;
};

}  // namespace zp
