#include "mapping/superpixels.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>

#include "base/error.h"
#include "base/nan.h"
#include "grid/block_pipeline.h"
#include "legend/class_map.h"

namespace zp {
namespace {

constexpr int kApart = 4;  // cells: pieces of cells so far apart can never touch

Legend sixteen() {
  Legend legend;
  for (int code = 1; code <= kApart * kApart; ++code)
    legend.add({code, std::to_string(code), suggestedColour(static_cast<size_t>(code)), "", {}});
  return legend;
}

}  // namespace

/// What one block adds to the cells around it.
struct Superpixels::Block : FeatureBlock {
  std::vector<int32_t> cells;  // of each pixel; −1 without values
  Window around;               // in cells
  std::vector<float> sums;     // cell by cell: pixels, then features, column and row from the start
};

Superpixels::Superpixels(const FeatureReader& reader, SuperpixelPlan plan, const Progress& progress)
    : reader_(reader), plan_(std::move(plan)), features_(reader.features().size()) {
  if (plan_.side < 2) throw Error("A segment is 2 pixels wide or more, not {}.", plan_.side);
  if (plan_.scale.features() != features_) throw Error("A spread is needed for every feature.");
  across_ = (reader.grid().width + plan_.side - 1) / plan_.side;
  down_ = (reader.grid().height + plan_.side - 1) / plan_.side;
  for (const double s : plan_.scale.spread)
    weights_.push_back(static_cast<float>(1 / (s * s * static_cast<double>(features_))));
  centres_.assign(cellAt(0, down_) * perCell(), kNan);
  for (int p = 0; p <= plan_.passes; ++p)
    pass(p == 0, progress.part(p / (plan_.passes + 1.0), (p + 1) / (plan_.passes + 1.0)));
}

void Superpixels::startOf(size_t cell, float* start) const {
  const float* centre = centres_.data() + cell * perCell();
  if (!std::isnan(centre[0])) {
    std::copy_n(centre, perCell(), start);
    return;
  }
  for (size_t f = 0; f < features_; ++f) start[f] = static_cast<float>(plan_.scale.mean[f]);
  const auto across = static_cast<size_t>(across_), side = static_cast<size_t>(plan_.side);
  start[features_] = static_cast<float>(cell % across * side);
  start[features_ + 1] = static_cast<float>(cell / across * side);
}

/// The cells whose centres pixels of a window may choose.
Window Superpixels::cellsAround(Window w) const {
  const int left = std::max(0, w.x / plan_.side - 1), top = std::max(0, w.y / plan_.side - 1);
  const int right = std::min(across_, (w.x + w.width - 1) / plan_.side + 2),
            bottom = std::min(down_, (w.y + w.height - 1) / plan_.side + 2);
  return {left, top, right - left, bottom - top};
}

/// For the pixels of one row that lie in one cell: the nearest centre of those around.
void Superpixels::chooseIn(const FeatureBlock& block, Window run, std::vector<float>& squared,
                           int32_t* cells) const {
  const auto n = static_cast<size_t>(run.width);
  const size_t at =
      static_cast<size_t>(run.y - block.window.y) * static_cast<size_t>(block.window.width) +
      static_cast<size_t>(run.x - block.window.x);
  const auto near = static_cast<float>(plan_.compactness / plan_.side);
  squared.assign(2 * n, std::numeric_limits<float>::infinity());
  float *best = squared.data(), *now = best + n;
  std::fill(cells + at, cells + at + n, -1);
  const Window around = cellsAround(run);
  for (int row = around.y; row < around.y + around.height; ++row)
    for (int column = around.x; column < around.x + around.width; ++column) {
      const size_t cell = cellAt(column, row);
      const float* centre = centres_.data() + cell * perCell();
      if (std::isnan(centre[0])) continue;  // nothing is there
      const float down = (static_cast<float>(run.y) - centre[features_ + 1]) * near;
      for (size_t i = 0; i < n; ++i) {
        const float along =
            (static_cast<float>(run.x + static_cast<int>(i)) - centre[features_]) * near;
        now[i] = along * along + down * down;
      }
      for (size_t f = 0; f < features_; ++f) {
        const float* v = block.feature(f) + at;
        const float c = centre[f], weight = weights_[f];
        for (size_t i = 0; i < n; ++i) now[i] += (v[i] - c) * (v[i] - c) * weight;
      }
      for (size_t i = 0; i < n; ++i)  // never where a feature is missing
        if (now[i] < best[i]) best[i] = now[i], cells[at + i] = static_cast<int32_t>(cell);
    }
}

void Superpixels::assign(const FeatureBlock& block, std::vector<int32_t>& cells) const {
  const Window w = block.window;
  cells.resize(w.pixels());
  std::vector<float> squared;
  for (int y = w.y; y < w.y + w.height; ++y)
    for (int x = w.x; x < w.x + w.width;) {
      const int next = std::min((x / plan_.side + 1) * plan_.side, w.x + w.width);
      chooseIn(block, {x, y, next - x, 1}, squared, cells.data());
      x = next;
    }
}

/// `own`: each pixel counts for the cell it lies in, as long as there are no centres.
void Superpixels::sum(Block& b, bool own) const {
  const Window w = b.window;
  b.around = cellsAround(w);
  b.sums.assign(b.around.pixels() * (perCell() + 1), 0);
  if (!own) assign(b, b.cells);
  const auto values = b.pointers();
  std::vector<float> starts(b.around.pixels() * perCell());
  for (int row = 0; row < b.around.height; ++row)
    for (int column = 0; column < b.around.width; ++column)
      startOf(cellAt(b.around.x + column, b.around.y + row),
              starts.data() + static_cast<size_t>(row * b.around.width + column) * perCell());
  size_t i = 0;
  for (int y = w.y; y < w.y + w.height; ++y)
    for (int x = w.x; x < w.x + w.width; ++x, ++i) {
      int column = x / plan_.side, row = y / plan_.side;
      if (own) {
        if (!std::all_of(values.begin(), values.end(),
                         [&](const float* v) { return std::isfinite(v[i]); }))
          continue;
      } else {
        if (b.cells[i] < 0) continue;
        column = b.cells[i] % across_, row = b.cells[i] / across_;
      }
      const auto cell =
          static_cast<size_t>(row - b.around.y) * static_cast<size_t>(b.around.width) +
          static_cast<size_t>(column - b.around.x);
      float* s = b.sums.data() + cell * (perCell() + 1);
      const float* start = starts.data() + cell * perCell();
      s[0] += 1;
      for (size_t f = 0; f < features_; ++f) s[1 + f] += values[f][i] - start[f];
      s[1 + features_] += static_cast<float>(x) - start[features_];
      s[2 + features_] += static_cast<float>(y) - start[features_ + 1];
    }
}

/// Moves the centres of a row of cells to the means of the pixels that chose them.
void Superpixels::move(int row, const std::vector<float>& sums) {
  std::vector<float> start(perCell());
  for (int column = 0; column < across_; ++column) {
    const size_t cell = cellAt(column, row);
    const float* s = sums.data() + static_cast<size_t>(column) * (perCell() + 1);
    startOf(cell, start.data());
    for (size_t k = 0; k < perCell(); ++k)
      centres_[cell * perCell() + k] = s[0] > 0 ? start[k] + s[1 + k] / s[0] : kNan;
  }
}

/// Sums are held of the rows of cells alone that blocks to come may still add to; as those choose
/// among no others, the rows before can be moved at once.
void Superpixels::pass(bool first, const Progress& progress) {
  std::map<int, std::vector<float>> rows;
  bool any = false;
  const auto moveBefore = [&](int row) {
    while (!rows.empty() && rows.begin()->first < row) {
      move(rows.begin()->first, rows.begin()->second);
      rows.erase(rows.begin());
    }
  };
  forEachBlock<Block>(
      reader_.windows(), progress,
      [&](Window w, Block& b) {
        reader_.read(w, b);
        sum(b, first);
      },
      [&](const Block& b) {
        moveBefore(b.around.y);
        const size_t each = perCell() + 1, line = static_cast<size_t>(b.around.width) * each;
        for (int row = 0; row < b.around.height; ++row) {
          const float* from = b.sums.data() + static_cast<size_t>(row) * line;
          auto& sums = rows[b.around.y + row];
          sums.resize(static_cast<size_t>(across_) * each, 0);
          float* to = sums.data() + static_cast<size_t>(b.around.x) * each;
          for (size_t i = 0; i < line; ++i) to[i] += from[i];
          for (size_t i = 0; i < line; i += each) any = any || from[i] > 0;
        }
      });
  moveBefore(down_);
  if (!any) throw Error("No pixel has a value in every feature; choose others or another place.");
}

void Superpixels::write(const std::filesystem::path& temporary, const Progress& progress) const {
  struct Coded : Block {
    std::vector<uint16_t> codes;
  };
  RasterWriter writer(temporary, classMapSpec(reader_.grid(), sixteen(), "pieces"));
  forEachBlock<Coded>(
      reader_.windows(), progress,
      [&](Window w, Coded& b) {
        reader_.read(w, b);
        assign(b, b.cells);
        b.codes.resize(w.pixels());
        for (size_t i = 0; i < b.codes.size(); ++i) {
          const int cell = b.cells[i];
          const int colour = cell % across_ % kApart + cell / across_ % kApart * kApart;
          b.codes[i] = static_cast<uint16_t>(cell < 0 ? 0 : 1 + colour);
        }
      },
      [&](Coded& b) { writer.writeCodes(1, b.window, b.codes); });
  writer.finish();
}

}  // namespace zp
