#include "mapping/majority.h"

#include <algorithm>
#include <vector>

#include "base/error.h"
#include "grid/block_pipeline.h"
#include "grid/halo.h"
#include "grid/shared_raster.h"
#include "legend/class_map.h"

namespace zp {
namespace {

struct TidyBlock {
  Window window;
  std::vector<uint16_t> wide, codes;
  size_t changed = 0;
};

/// Votes of the classes of a block, by their places in rising order of code.
class Votes {
 public:
  explicit Votes(const std::vector<uint16_t>& wide) : place_(65536, -1) {
    std::vector<uint16_t> codes = wide;
    std::sort(codes.begin(), codes.end());
    codes.erase(std::unique(codes.begin(), codes.end()), codes.end());
    for (const uint16_t code : codes)
      if (code != 0) {
        place_[code] = static_cast<int>(code_.size());
        code_.push_back(code);
      }
    count_.resize(code_.size());
  }
  void clear() { std::fill(count_.begin(), count_.end(), 0); }
  void add(uint16_t code, int sign) {
    if (code != 0) count_[static_cast<size_t>(place_[code])] += sign;
  }
  uint16_t winner(uint16_t own) const {
    const auto most = std::max_element(count_.begin(), count_.end());
    return count_[static_cast<size_t>(place_[own])] == *most
               ? own
               : code_[static_cast<size_t>(most - count_.begin())];
  }

 private:
  std::vector<int> place_;
  std::vector<uint16_t> code_;
  std::vector<int> count_;
};

void vote(TidyBlock& b, Window wider, int radius) {
  Votes votes(b.wide);
  const Window w = b.window;
  const auto at = [&](int x, int y) {
    return b
        .wide[static_cast<size_t>(y) * static_cast<size_t>(wider.width) + static_cast<size_t>(x)];
  };
  for (int row = 0; row < w.height; ++row) {
    const int y = row + w.y - wider.y, top = std::max(0, y - radius),
              bottom = std::min(wider.height - 1, y + radius);
    const auto column = [&](int x, int sign) {
      for (int v = top; v <= bottom; ++v) votes.add(at(x, v), sign);
    };
    votes.clear();
    const int first = w.x - wider.x;
    for (int x = std::max(0, first - radius); x < std::min(first + radius, wider.width); ++x)
      column(x, 1);
    for (int i = 0; i < w.width; ++i) {
      const int x = first + i;
      if (x + radius < wider.width) column(x + radius, 1);
      if (x - radius - 1 >= 0 && i > 0) column(x - radius - 1, -1);
      const uint16_t own = at(x, y);
      const uint16_t now = own == 0 ? own : votes.winner(own);
      b.changed += now != own ? 1 : 0;
      b.codes[static_cast<size_t>(row) * static_cast<size_t>(w.width) + static_cast<size_t>(i)] =
          now;
    }
  }
}

}  // namespace

size_t majority(const std::filesystem::path& map, int window,
                const std::filesystem::path& temporary, const Progress& progress) {
  if (window < 3 || window > 101 || window % 2 == 0)
    throw Error("A window of {} pixels cannot vote; take an odd number from 3 to 101.", window);
  SharedRaster raster(map);
  const RasterFile file(map);
  classBand(file);
  const Grid& grid = file.grid();
  RasterWriter writer(temporary, classMapSpec(grid, legendOf(file), "classes"));
  size_t changed = 0;
  forEachBlock<TidyBlock>(
      planWindows(grid, file.blockWidth(), file.blockHeight(), kBlockBytes / 8), progress,
      [&](Window w, TidyBlock& b) {
        const Window wider = widened(w, window / 2, grid);
        b.window = w;
        b.changed = 0;
        b.wide.resize(wider.pixels());
        b.codes.resize(w.pixels());
        const auto handle = raster.borrow();
        handle->readCodes(1, wider, b.wide.data());
        vote(b, wider, window / 2);
      },
      [&](TidyBlock& b) {
        writer.writeCodes(1, b.window, b.codes);
        changed += b.changed;
      });
  writer.finish();
  return changed;
}

}  // namespace zp
