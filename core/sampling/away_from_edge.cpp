#include "sampling/away_from_edge.h"

#include <ogr_geometry.h>

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "grid/gdal_start.h"
#include "outline/ogr_shape.h"

namespace zp {
namespace {

constexpr int kMostPixels = 1000;

/// Columns that a pixel's ground must reach to each side, in its own row and those below and above
/// it; −1 where none need be looked at.
std::vector<int> halfWidths(double distance, const Grid& g, bool anywhere) {
  const double width = g.pixelWidth(), height = g.pixelHeight();
  // From a pixel, or its centre, to the nearest part of one `n` further.
  const auto gap = [&](int n, double size) {
    return n == 0 ? 0 : (n - (anywhere ? 1 : 0.5)) * size;
  };
  if (distance / std::min(width, height) > kMostPixels)
    throw Error("{} from the edge is more than {} pixels; give a smaller distance.", distance,
                kMostPixels);
  std::vector<int> half;
  for (int row = 0; gap(row, height) < distance; ++row) {
    int n = 0;
    while (std::hypot(gap(n + 1, width), gap(row, height)) < distance) ++n;
    half.push_back(n);
  }
  return half;
}

/// Of every pixel of a row, how far away the nearest column is that is no ground.
void toNearestGap(const uint16_t* codes, int n, uint16_t* distance) {
  const auto next = [](uint16_t d) { return static_cast<uint16_t>(d + (d < UINT16_MAX)); };
  uint16_t d = 0;
  for (int i = 0; i < n; ++i) distance[i] = d = codes[i] == 0 ? uint16_t{0} : next(d);
  d = 0;
  for (int i = n; i-- > 0;) {
    d = codes[i] == 0 ? uint16_t{0} : next(d);
    distance[i] = std::min(distance[i], d);
  }
}

/// Reads with a margin of rows, in whole rows: gaps left and right of a window count too.
class Eroded {
 public:
  Eroded(const Ground& ground, std::vector<int> half)
      : read_(ground.read), grid_(ground.grid), half_(std::move(half)) {}

  void operator()(Window w, std::vector<uint16_t>& codes) {
    const int margin = static_cast<int>(half_.size()) - 1;
    const int from = std::max(0, w.y - margin),
              to = std::min(grid_.height, w.y + w.height + margin);
    const auto width = static_cast<size_t>(grid_.width);
    read_({0, from, grid_.width, to - from}, whole_);
    gaps_.resize(whole_.size());
    for (size_t row = 0; row < whole_.size() / width; ++row)
      toNearestGap(&whole_[row * width], grid_.width, &gaps_[row * width]);
    codes.resize(w.pixels());
    for (int y = 0; y < w.height; ++y) {
      auto* out = &codes[static_cast<size_t>(y) * static_cast<size_t>(w.width)];
      const size_t here = static_cast<size_t>(w.y + y - from) * width + static_cast<size_t>(w.x);
      std::copy_n(&whole_[here], w.width, out);
      for (int by = -margin; by <= margin; ++by) {
        const int row = w.y + y + by, half = half_[static_cast<size_t>(std::abs(by))];
        if (row < 0 || row >= grid_.height) {
          std::fill_n(out, w.width, uint16_t{0});
          continue;
        }
        const auto* gap =
            &gaps_[static_cast<size_t>(row - from) * width + static_cast<size_t>(w.x)];
        for (int x = 0; x < w.width; ++x)
          if (gap[x] <= half) out[x] = 0;
      }
    }
  }

 private:
  std::function<void(Window, std::vector<uint16_t>&)> read_;
  Grid grid_;
  std::vector<int> half_;
  std::vector<uint16_t> whole_, gaps_;
};

}  // namespace

Ground awayFromEdge(Ground ground, double distance, bool anywhere) {
  const auto half = halfWidths(distance, ground.grid, anywhere);
  if (half.empty()) return ground;
  ground.read = Eroded(ground, half);
  return ground;
}

std::vector<Shape> shrunk(const std::vector<Shape>& polygons, double by) {
  GdalMessages messages;
  OGRGeometryCollection all;
  for (const auto& shape : polygons) {
    if (shape.rings.empty()) continue;
    auto part = toGeometry({shape.rings, {}});
    if (!part->IsValid()) part.reset(part->MakeValid());
    if (part != nullptr) all.addGeometry(part.get());
  }
  // No strip at all unites them.
  const std::unique_ptr<OGRGeometry> one(all.Buffer(0)), less(one ? one->Buffer(-by) : nullptr);
  if (less == nullptr) throw Error("The polygons could not be shrunk ({}).", messages.last());
  Shape out;
  addGeometry(less.get(), out);
  if (out.rings.empty())
    throw Error("Nothing is left of the area {} from its edge; give a smaller distance.", by);
  return {out};
}

}  // namespace zp
