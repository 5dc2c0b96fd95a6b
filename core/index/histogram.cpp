#include "index/histogram.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numeric>

#include "base/float_order.h"
#include "grid/block_pipeline.h"
#include "grid/raster_file.h"
#include "grid/shared_raster.h"
#include "outline/scanline.h"

namespace zp {
namespace {

void count(Histogram& h, const float* values, size_t n) {
  const double scale = static_cast<double>(h.bins.size()) / (h.high - h.low);
  for (size_t i = 0; i < n; ++i) {
    const double v = values[i];
    if (!(v >= h.low && v <= h.high)) {
      h.below += v < h.low ? 1 : 0;
      h.above += v > h.high ? 1 : 0;
      continue;
    }
    const auto bin = static_cast<size_t>((v - h.low) * scale);
    ++h.bins[std::min(bin, h.bins.size() - 1)];
  }
}

constexpr double kOuter = 0.001, kWorth = 0.8;

/// The range without the outer 0.1 % at each end, where that shows the rest clearly larger.
void trim(double& low, double& high, double innerLow, double innerHigh) {
  if (innerHigh > innerLow && innerHigh - innerLow < kWorth * (high - low))
    low = std::max(low, innerLow), high = std::min(high, innerHigh);
}

/// Counts of values by the upper half of their digits, in rising order: a range is found from them
/// to a hundredth of a value, in one reading.
class CoarseCounts {
 public:
  void add(const float* values, size_t n) {
    for (size_t i = 0; i < n; ++i)
      if (!std::isnan(values[i])) ++counts_[orderOf(values[i]) >> 16];
  }
  void merge(const CoarseCounts& other) {
    for (size_t i = 0; i < counts_.size(); ++i) counts_[i] += other.counts_[i];
  }
  /// The lower edge of the bin where a share of all has been passed, or its upper one.
  double at(double share, bool upper) const {
    const size_t all = std::accumulate(counts_.begin(), counts_.end(), size_t{0});
    const auto rank = static_cast<size_t>(share * static_cast<double>(all));
    size_t passed = 0;
    uint32_t key = 0;
    while (key + 1 < counts_.size() && passed + counts_[key] <= rank) passed += counts_[key++];
    return static_cast<double>(floatOf(key << 16 | (upper ? 0xffffu : 0)));
  }

 private:
  std::vector<size_t> counts_ = std::vector<size_t>(1u << 16);
};

void setRange(Histogram& h, double low, double high, size_t bins) {
  h.bins.assign(bins, 0);
  h.low = low;
  h.high = high > low ? high : low + 1;
}

Window common(const Window& a, const Window& b) {
  const int left = std::max(a.x, b.x), top = std::max(a.y, b.y);
  return {left, top, std::min(a.x + a.width, b.x + b.width) - left,
          std::min(a.y + a.height, b.y + b.height) - top};
}

/// Places where the counts are higher than on both sides; of a plateau, its middle.
std::vector<size_t> peaksOf(const std::vector<double>& v) {
  std::vector<size_t> peaks;
  for (size_t i = 0; i < v.size();) {
    size_t j = i;
    while (j + 1 < v.size() && v[j + 1] == v[i]) ++j;
    const bool left = i == 0 || v[i - 1] < v[i], right = j + 1 == v.size() || v[j + 1] < v[i];
    if (left && right && v[i] > 0) peaks.push_back((i + j) / 2);
    i = j + 1;
  }
  return peaks;
}

}  // namespace

Histogram histogramOf(const std::vector<float>& values, size_t bins, double low, double high) {
  Histogram h;
  h.statistics.add(values.data(), values.size());
  if (low >= high) {
    low = h.statistics.min, high = h.statistics.max;
    CoarseCounts coarse;
    coarse.add(values.data(), values.size());
    trim(low, high, coarse.at(kOuter, false), coarse.at(1 - kOuter, true));
  }
  setRange(h, low, high, bins);
  count(h, values.data(), values.size());
  return h;
}

Histogram histogramOf(const std::filesystem::path& raster, int band, size_t bins,
                      const Progress& progress) {
  return histogramOf(raster, band, bins, nullptr, {}, progress);
}

Histogram histogramOf(const std::filesystem::path& raster, int band, size_t bins,
                      const Layer* inside, const Window& part, const Progress& progress) {
  SharedRaster rasters(raster);
  const RasterFile& file = rasters.first();
  std::optional<InsideMask> mask;
  if (inside != nullptr) mask.emplace(inside->shapes, file.grid());
  auto windows = planWindows(file.grid(), file.blockWidth(), file.blockHeight(), size_t{4} << 20);
  if (part.pixels() > 0) {
    for (auto& w : windows) w = common(w, part);
    std::erase_if(windows, [](const Window& w) { return w.width <= 0 || w.height <= 0; });
  }
  struct Block {
    std::vector<float> values;
    Histogram part;
    CoarseCounts coarse;
  };
  const auto read = [&](Window w, Block& b) {
    b.values.resize(w.pixels());
    rasters.borrow()->read(band, w, b.values.data());
    if (mask) mask->keep(w, b.values.data());
    b.part = {};
    b.coarse = {};
  };
  Histogram h;
  CoarseCounts coarse;
  forEachBlock<Block>(
      windows, progress.part(0, 0.5),
      [&](Window w, Block& b) {
        read(w, b);
        b.part.statistics.add(b.values.data(), b.values.size());
        b.coarse.add(b.values.data(), b.values.size());
      },
      [&](Block& b) {
        h.statistics.merge(b.part.statistics);
        coarse.merge(b.coarse);
      });
  double low = h.statistics.min, high = h.statistics.max;
  trim(low, high, coarse.at(kOuter, false), coarse.at(1 - kOuter, true));
  setRange(h, low, high, bins);
  forEachBlock<Block>(
      windows, progress.part(0.5, 1),
      [&](Window w, Block& b) {
        read(w, b);
        setRange(b.part, h.low, h.high, bins);
        count(b.part, b.values.data(), b.values.size());
      },
      [&](Block& b) {
        for (size_t i = 0; i < bins; ++i) h.bins[i] += b.part.bins[i];
        h.below += b.part.below, h.above += b.part.above;
      });
  return h;
}

double otsuThreshold(const Histogram& h) {
  double total = 0, sum = 0;
  for (size_t i = 0; i < h.bins.size(); ++i) {
    total += static_cast<double>(h.bins[i]);
    sum += static_cast<double>(i) * static_cast<double>(h.bins[i]);
  }
  double below = 0, sumBelow = 0, best = -1;
  size_t first = 0, last = 0;
  for (size_t i = 0; i + 1 < h.bins.size(); ++i) {
    below += static_cast<double>(h.bins[i]);
    sumBelow += static_cast<double>(i) * static_cast<double>(h.bins[i]);
    const double above = total - below;
    if (below == 0 || above == 0) continue;
    const double gap = sumBelow / below - (sum - sumBelow) / above;
    const double between = below * above * gap * gap;
    if (between > best * (1 + 1e-12))
      best = between, first = last = i;
    else if (between >= best * (1 - 1e-12))
      last = i;  // an empty valley: its middle
  }
  return h.low + h.binWidth() * (static_cast<double>(first + last) / 2 + 1);
}

std::optional<double> valleyThreshold(const Histogram& h) {
  std::vector<double> v(h.bins.begin(), h.bins.end());
  auto peaks = peaksOf(v);
  for (int round = 0; peaks.size() > 2 && round < 10000; ++round) {
    auto smooth = v;
    for (size_t i = 0; i < v.size(); ++i)
      smooth[i] = (v[i == 0 ? 0 : i - 1] + v[i] + v[std::min(i + 1, v.size() - 1)]) / 3;
    v = std::move(smooth);
    peaks = peaksOf(v);
  }
  if (peaks.size() != 2) return {};
  const auto from = v.begin() + static_cast<std::ptrdiff_t>(peaks[0]),
             to = v.begin() + static_cast<std::ptrdiff_t>(peaks[1]);
  const auto lowest = std::min_element(from, to);
  auto last = lowest;
  while (last + 1 < to && *(last + 1) == *lowest) ++last;  // an empty valley: its middle
  const auto middle = (lowest - v.begin()) + (last - lowest) / 2;
  return h.low + h.binWidth() * (static_cast<double>(middle) + 0.5);
}

}  // namespace zp
