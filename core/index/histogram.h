#pragma once
#include <filesystem>
#include <optional>
#include <vector>

#include "base/progress.h"
#include "index/statistics.h"
#include "outline/layer.h"

namespace zp {

/// Counts of valid values in equal bins from `low` to `high`; the highest value belongs to the last
/// bin. Values outside are left out of the bins but counted in `statistics`, and in `below` or
/// `above`.
struct Histogram {
  double low = 0, high = 1;
  std::vector<size_t> bins;
  size_t below = 0, above = 0;
  Statistics statistics;
  double binWidth() const { return (high - low) / static_cast<double>(bins.size()); }
};

/// Of one band of a raster, over the range where its pixels are: its own, or, where a few far ones
/// would press all the rest into a part of it, that without the outer 0.1 % at each end.
Histogram histogramOf(const std::filesystem::path& raster, int band, size_t bins,
                      const Progress& progress = Progress());

/// The same of a part: only the pixels inside the polygons (in the raster's system), and only in
/// the window (empty: all).
Histogram histogramOf(const std::filesystem::path& raster, int band, size_t bins,
                      const Layer* inside, const Window& window,
                      const Progress& progress = Progress());

/// Of values in memory; NaN is left out. Range found in the same way when low ≥ high.
Histogram histogramOf(const std::vector<float>& values, size_t bins, double low = 0,
                      double high = 0);

/// The threshold that parts a histogram best in two (Otsu 1979), at a bin edge.
double otsuThreshold(const Histogram& histogram);

/// The deepest valley between the two highest peaks, of a histogram smoothed until two peaks are
/// left (Prewitt and Mendelsohn 1966). Nothing when it has one peak only.
std::optional<double> valleyThreshold(const Histogram& histogram);

}  // namespace zp
