#pragma once
#include <algorithm>
#include <bit>
#include <cstdint>
#include <filesystem>
#include <vector>

#include "base/progress.h"
#include "grid/raster_file.h"

namespace zp {

/// A class map as runs of equal pixels along its rows, numbered as they are met. Where they begin
/// is a bit of each pixel, and how many begin before it is counted from the last of every 64 (rank
/// and select; Jacobson 1989): of a map of single pixels, columns would need 32 times as much.
class Runs {
 public:
  struct Run {
    size_t number;
    int row, from, to;  // columns; to is the first beyond
  };
  /// Error: too many pixels.
  explicit Runs(const RasterFile& map, const Progress& progress = Progress());

  int width() const { return width_; }
  int height() const { return height_; }
  size_t count() const { return count_; }
  std::vector<uint16_t> codes;  // of each run; 0 is no data

  Run run(size_t number) const {
    const auto after = std::upper_bound(before_.begin(), before_.end(), number);
    const auto word = static_cast<size_t>(after - before_.begin()) - 1;
    uint64_t bits = starts_[word];
    for (size_t skip = number - before_[word]; skip > 0; --skip) bits &= bits - 1;
    const size_t at = word * 64 + static_cast<size_t>(std::countr_zero(bits));
    const int row = static_cast<int>(at / static_cast<size_t>(width_));
    return {number, row, static_cast<int>(at % static_cast<size_t>(width_)), endOf(at, row)};
  }

  /// Calls for each run of a row that has pixels among some columns.
  template <class Visit>
  void eachIn(int row, int from, int to, Visit visit) const {
    Run r = runAt(from, row);
    while (true) {
      visit(r);
      if (r.to >= to) return;
      r = {r.number + 1, row, r.to, endOf(positionOf(r.to, row), row)};
    }
  }
  template <class Visit>
  void eachIn(int row, Visit visit) const {
    eachIn(row, 0, width_, visit);
  }

 private:
  size_t positionOf(int column, int row) const {
    return static_cast<size_t>(row) * static_cast<size_t>(width_) + static_cast<size_t>(column);
  }
  Run runAt(int column, int row) const {
    const size_t at = positionOf(column, row);
    size_t word = at / 64;
    uint64_t upTo = starts_[word] & (~uint64_t{0} >> (63 - at % 64));
    const size_t number = before_[word] + static_cast<size_t>(std::popcount(upTo)) - 1;
    while (upTo == 0) upTo = starts_[--word];  // the first pixel of every row begins one
    const size_t start = word * 64 + 63 - static_cast<size_t>(std::countl_zero(upTo));
    return {number, row, column - static_cast<int>(at - start), endOf(at, row)};
  }
  /// The column beyond the run that holds a pixel.
  int endOf(size_t at, int row) const {
    size_t word = (at + 1) / 64;
    uint64_t rest = starts_[word] & (~uint64_t{0} << ((at + 1) % 64));
    while (rest == 0) rest = starts_[++word];  // one begins beyond the last pixel
    const size_t next = word * 64 + static_cast<size_t>(std::countr_zero(rest));
    return static_cast<int>(next - positionOf(0, row));
  }

  int width_, height_;
  size_t count_ = 0;
  std::vector<uint64_t> starts_;
  std::vector<uint32_t> before_;  // starts before each word
};

}  // namespace zp
