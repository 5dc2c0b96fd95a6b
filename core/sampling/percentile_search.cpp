#include "sampling/percentile_search.h"

#include <algorithm>
#include <bit>
#include <cmath>

namespace zp {
namespace {
constexpr size_t kBins = 1 << 14;
constexpr uint64_t kSign = uint64_t{1} << 63;

/// Whole numbers in the order of the numbers; −0 is 0.
uint64_t keyOf(double v) {
  const auto bits = std::bit_cast<uint64_t>(v + 0.0);
  return (bits & kSign) != 0 ? ~bits : bits | kSign;
}

double valueOf(uint64_t key) {
  return std::bit_cast<double>((key & kSign) != 0 ? key & ~kSign : ~key);
}
}  // namespace

PercentileSearch::PercentileSearch(const ZoneTotals& totals, double percent, size_t mostKept)
    : totals_(totals),
      percent_(percent),
      mostKept_(mostKept),
      wanted_(behindPercentile(totals, percent)) {
  pieces_.push_back({keyOf(totals.lowest), keyOf(totals.highest), totals.count, totals.weight, 0});
  open(pieces_[0]);
}

void PercentileSearch::open(Piece& piece) const {
  piece.width = (piece.high - piece.low) / kBins + 1;
  piece.bins.assign(piece.oneValue() || piece.count <= mostKept_ ? 0 : kBins, {});
}

void PercentileSearch::add(const double* values, size_t n, double share) {
  if (found_) return;
  for (size_t i = 0; i < n; ++i) {
    if (std::isnan(values[i])) continue;
    const uint64_t key = keyOf(values[i]);
    if (key < pieces_.front().low || key > pieces_.back().high) continue;
    Piece* piece = key <= pieces_.front().high ? &pieces_.front()
                   : key >= pieces_.back().low ? &pieces_.back()
                                               : nullptr;
    if (piece != nullptr && piece->oneValue()) continue;
    if (piece == nullptr || piece->bins.empty()) {
      values_.push_back({values[i], share});
    } else {
      Bin& bin = piece->bins[static_cast<size_t>((key - piece->low) / piece->width)];
      ++bin.count;
      bin.weight += share;
    }
  }
}

PercentileSearch::Piece PercentileSearch::binIn(const Piece& piece, size_t bin) {
  Piece out;
  out.low = piece.low + bin * piece.width;
  out.high = std::min(piece.high - out.low, piece.width - 1) + out.low;
  out.count = piece.bins[bin].count;
  out.weight = piece.bins[bin].weight;
  out.below = piece.below;
  for (size_t b = 0; b < bin; ++b) out.below += piece.bins[b].weight;
  return out;
}

/// Of the bins that hold something, the first that reaches over a weight, or the last that begins
/// below it.
PercentileSearch::Piece PercentileSearch::pieceAt(const Piece& piece, double weight, bool lower) {
  if (piece.bins.empty()) return piece;
  size_t found = kBins;
  double before = piece.below;
  for (size_t b = 0; b < kBins; ++b) {
    if (piece.bins[b].count == 0) continue;
    const double after = before + piece.bins[b].weight;
    if (found == kBins || lower || before < weight) found = b;
    if (lower && after > weight) break;
    before = after;
  }
  return binIn(piece, found);
}

bool PercentileSearch::narrow() {
  if (found_) return true;
  const bool known =
      std::all_of(pieces_.begin(), pieces_.end(), [](const Piece& p) { return p.bins.empty(); });
  if (known) {
    for (const Piece& p : pieces_)
      if (p.oneValue()) values_.push_back({valueOf(p.low), p.weight});
    below_ = pieces_.front().below;
    putTogether(values_);
    return found_ = true;
  }
  Piece first = pieceAt(pieces_.front(), wanted_.from, true),
        last = pieceAt(pieces_.back(), wanted_.to, false);
  pieces_ = {first};
  if (last.low > first.high) pieces_.push_back(last);
  for (Piece& p : pieces_) open(p);
  values_.clear();
  return false;
}

}  // namespace zp
