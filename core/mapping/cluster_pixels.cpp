#include "mapping/cluster_pixels.h"

#include <oneapi/tbb/parallel_for.h>

#include <algorithm>

#include "base/error.h"
#include "grid/block_pipeline.h"

namespace zp {
namespace {

/// Pixels summed together; sums are added up in their order, whatever the number of threads.
constexpr size_t kPiece = size_t{16} * 1024;

struct SummedBlock : FeatureBlock {
  ClusterSums sums;
};

ClusterSums nothing(const NearestMean& means, bool squares) {
  const size_t all = means.count() * means.features();
  return {std::vector<double>(all), std::vector<double>(squares ? all : 0),
          std::vector<size_t>(means.count()), 0};
}

ClusterSums sumsOf(const float* const* values, size_t n, const NearestMean& means, bool squares) {
  ClusterSums s = nothing(means, squares);
  std::vector<int16_t> nearest(n);
  std::vector<float> squared(n);
  means.assign(values, n, nearest.data(), squared.data());
  const size_t features = means.features();
  // Pixel by pixel: sums of one feature alone would wait for each other.
  for (size_t i = 0; i < n; ++i) {
    if (nearest[i] < 0) continue;
    const auto k = static_cast<size_t>(nearest[i]);
    ++s.sizes[k];
    s.within += static_cast<double>(squared[i]);
    double* sums = s.values.data() + k * features;
    for (size_t f = 0; f < features; ++f) sums[f] += static_cast<double>(values[f][i]);
    if (!squares) continue;
    double* of = s.squares.data() + k * features;
    for (size_t f = 0; f < features; ++f)
      of[f] += static_cast<double>(values[f][i]) * static_cast<double>(values[f][i]);
  }
  return s;
}

void add(ClusterSums& to, const ClusterSums& from) {
  for (size_t i = 0; i < to.values.size(); ++i) to.values[i] += from.values[i];
  for (size_t i = 0; i < to.squares.size(); ++i) to.squares[i] += from.squares[i];
  for (size_t i = 0; i < to.sizes.size(); ++i) to.sizes[i] += from.sizes[i];
  to.within += from.within;
}

}  // namespace

HeldPixels::HeldPixels(const Columns& columns) : columns_(columns) {
  if (columns.empty() || columns[0].empty()) throw Error("There are no pixels to group.");
}

ClusterSums HeldPixels::sums(const NearestMean& means, bool squares,
                             const Progress& progress) const {
  const size_t n = columns_[0].size(), pieces = (n + kPiece - 1) / kPiece;
  std::vector<ClusterSums> parts(pieces);
  progress.check();
  oneapi::tbb::parallel_for(size_t{0}, pieces, [&](size_t p) {
    std::vector<const float*> at;
    for (const auto& column : columns_) at.push_back(column.data() + p * kPiece);
    parts[p] = sumsOf(at.data(), std::min(kPiece, n - p * kPiece), means, squares);
  });
  ClusterSums all = std::move(parts[0]);
  for (size_t p = 1; p < pieces; ++p) add(all, parts[p]);
  return all;
}

ReadPixels::ReadPixels(const FeatureReader& reader, Standard scale)
    : reader_(reader), scale_(std::move(scale)) {}

ClusterSums ReadPixels::sums(const NearestMean& means, bool squares,
                             const Progress& progress) const {
  ClusterSums all = nothing(means, squares);
  forEachBlock<SummedBlock>(
      reader_.windows(), progress,
      [&](Window w, SummedBlock& b) {
        reader_.read(w, b);
        scale(b, scale_);
        b.sums = sumsOf(b.pointers().data(), w.pixels(), means, squares);
      },
      [&](SummedBlock& b) { add(all, b.sums); });
  return all;
}

}  // namespace zp
