#include "scene/quantile.h"

#include <cmath>

#include "base/error.h"
#include "base/float_order.h"
#include "grid/block_pipeline.h"

namespace zp {
namespace {

template <class Count>
void forEachValue(const BandReader& reader, size_t band, const Progress& progress, Count count) {
  reduceBlocks(reader, progress, [&](const BandBlock& block) {
    for (size_t p = 0; p < block.window.pixels(); ++p)
      if (const float v = block.band(band)[p]; !std::isnan(v)) count(orderOf(v));
  });
}

/// The bin that holds the value of a rank, which becomes its rank within the bin.
uint32_t binOf(const std::vector<size_t>& bins, size_t& rank) {
  uint32_t bin = 0;
  while (rank >= bins[bin]) rank -= bins[bin++];
  return bin;
}

}  // namespace

double quantileOf(const BandReader& reader, size_t band, double share, const Progress& progress) {
  std::vector<size_t> upper(1u << 16), lower(1u << 16);
  size_t n = 0;
  forEachValue(reader, band, progress.part(0, 0.5), [&](uint32_t key) { ++upper[key >> 16], ++n; });
  if (n == 0) throw Error("A band has no values; choose another.");
  auto rank = static_cast<size_t>(share * static_cast<double>(n - 1));
  const uint32_t high = binOf(upper, rank);
  forEachValue(reader, band, progress.part(0.5, 1), [&](uint32_t key) {
    if (key >> 16 == high) ++lower[key & 0xffffu];
  });
  return static_cast<double>(floatOf(high << 16 | binOf(lower, rank)));
}

}  // namespace zp
