#include "mapping/segment_numbers.h"

#include <numbers>

namespace zp {

SegmentNumbers::SegmentNumbers(const Runs& runs, Patches& patches)
    : runs_(runs), number_(runs.from.size(), 0), sizes_(1, 0) {
  for (size_t r = 0; r < number_.size(); ++r) {
    const uint32_t first = patches.first(r);
    if (patches.code(first) == 0) continue;
    if (first == r) {  // the lowest run stands for its patch, so it comes before the others
      number_[r] = static_cast<uint32_t>(sizes_.size());
      sizes_.push_back(patches.size(first));
    } else {
      number_[r] = number_[first];
    }
  }
  perimeters_.assign(sizes_.size(), 0);
  addPerimeters();
}

/// Every side of a pixel beyond which another segment, no data or nothing lies.
void SegmentNumbers::addPerimeters() {
  for (int y = 0; y < runs_.height; ++y) {
    const size_t begin = runs_.row[static_cast<size_t>(y)],
                 end = runs_.row[static_cast<size_t>(y) + 1];
    for (size_t r = begin; r < end; ++r) {
      if (r == begin || number_[r - 1] != number_[r]) perimeters_[number_[r]] += 1;
      if (r + 1 == end || number_[r + 1] != number_[r]) perimeters_[number_[r]] += 1;
    }
    // Rows above and below: the whole width of each run, less what it shares with itself.
    for (size_t r = begin; r < end; ++r)
      perimeters_[number_[r]] += 2 * static_cast<uint32_t>(runs_.to(r, y) - runs_.from[r]);
    if (y == 0) continue;
    for (size_t r = begin, above = runs_.row[static_cast<size_t>(y) - 1];
         r < end && above < begin;) {
      const int32_t to = runs_.to(r, y), toAbove = runs_.to(above, y - 1);
      if (number_[r] == number_[above]) {
        const auto shared = std::min(to, toAbove) - std::max(runs_.from[r], runs_.from[above]);
        perimeters_[number_[r]] -= 2 * static_cast<uint32_t>(shared);
      }
      if (to <= toAbove) ++r;
      if (toAbove <= to) ++above;
    }
  }
}

double SegmentNumbers::compactness(size_t number) const {
  const auto around = static_cast<double>(perimeters_[number]);
  return 4 * std::numbers::pi * static_cast<double>(sizes_[number]) / (around * around);
}

void SegmentNumbers::read(Window w, std::vector<uint32_t>& numbers) const {
  numbers.resize(w.pixels());
  auto out = numbers.begin();
  for (int y = w.y; y < w.y + w.height; ++y) {
    const auto row = static_cast<size_t>(y);
    const auto begin = runs_.from.begin();
    auto r = static_cast<size_t>(
        std::upper_bound(begin + static_cast<std::ptrdiff_t>(runs_.row[row]),
                         begin + static_cast<std::ptrdiff_t>(runs_.row[row + 1]), w.x) -
        begin - 1);
    for (int x = w.x; x < w.x + w.width; ++r) {
      const int next = std::min(runs_.to(r, y), w.x + w.width);
      out = std::fill_n(out, next - x, number_[r]);
      x = next;
    }
  }
}

}  // namespace zp
