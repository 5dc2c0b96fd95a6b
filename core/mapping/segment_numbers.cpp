#include "mapping/segment_numbers.h"

#include <numbers>

namespace zp {

SegmentNumbers::SegmentNumbers(Runs&& runs, Patches&& patches)
    : number_(std::move(patches).number(sizes_)), runs_(std::move(runs)) {
  runs_.codes = std::vector<uint16_t>();  // {} would keep its memory
  perimeters_.assign(sizes_.size(), 0);
  addPerimeters();
}

/// Every side of a pixel beyond which another segment, no data or nothing lies: all sides of its
/// runs, less those that they share with each other.
void SegmentNumbers::addPerimeters() {
  for (int y = 0; y < runs_.height(); ++y) {
    int32_t before = -1;
    runs_.eachIn(y, [&](const Runs::Run& r) {
      const int32_t number = number_[r.number];
      int sides = 2 + 2 * (r.to - r.from);
      if (number == before) sides -= 2;
      if (y > 0)
        runs_.eachIn(y - 1, r.from, r.to, [&](const Runs::Run& above) {
          if (number_[above.number] == number)
            sides -= 2 * (std::min(r.to, above.to) - std::max(r.from, above.from));
        });
      perimeters_[static_cast<size_t>(number)] += static_cast<uint32_t>(sides);
      before = number;
    });
  }
}

double SegmentNumbers::compactness(size_t number) const {
  const auto around = static_cast<double>(perimeters_[number]);
  return 4 * std::numbers::pi * static_cast<double>(sizes_[number]) / (around * around);
}

void SegmentNumbers::read(Window w, std::vector<uint32_t>& numbers) const {
  numbers.resize(w.pixels());
  auto out = numbers.begin();
  const int to = w.x + w.width;
  for (int y = w.y; y < w.y + w.height; ++y)
    runs_.eachIn(y, w.x, to, [&](const Runs::Run& r) {
      out = std::fill_n(out, std::min(r.to, to) - std::max(r.from, w.x),
                        static_cast<uint32_t>(number_[r.number]));
    });
}

}  // namespace zp
