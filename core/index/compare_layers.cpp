#include "index/compare_layers.h"

#include <fmt/format.h>

#include <cmath>
#include <limits>
#include <memory>
#include <optional>

#include "base/error.h"
#include "base/pair_moments.h"
#include "base/text.h"
#include "grid/block_pipeline.h"
#include "grid/raster_writer.h"
#include "scene/shift.h"

namespace zp {
namespace {

bool near(double a, double b, double share) {
  return std::abs(a - b) <= share * std::max(std::abs(a), std::abs(b));
}

void explainScale(LayerComparison& c, double spread) {
  if (std::abs(c.correlation) < 0.9) return;
  for (const double power : {10.0, 100.0, 1000.0, 10000.0})
    for (const double factor : {power, 1 / power})
      if (near(c.gain, factor, 0.05))
        c.reasons.push_back(
            Sentence("Scale: theirs is {} times ours; it may be stored as scaled "
                     "whole numbers.",
                     shortest(factor)));
  if (c.correlation < 0)
    c.reasons.push_back(Sentence("Sign: theirs falls where ours rises; the bands may be swapped."));
  if (near(c.gain, 1, 0.02) && std::abs(c.offset) > 0.05 * spread)
    c.reasons.push_back(
        Sentence("Offset: theirs is ours plus {:.4g}; an offset may have been left out on one "
                 "side.",
                 c.offset));
  else if (c.reasons.empty() && !near(c.gain, 1, 0.02))
    c.reasons.push_back(
        Sentence("Gain: theirs is {:.4g} times ours plus {:.4g}; another formula, "
                 "state of values or correction.",
                 c.gain, c.offset));
}

void explainPlace(LayerComparison& c, const Scene& ours, const Scene& theirs) {
  try {
    const Shift s = measureShift({&theirs, 0}, {&ours, 0});
    if (s.certainty > 0.15 && std::hypot(s.columns, s.rows) > 0.15)
      c.reasons.push_back(Sentence(
          "Shift: theirs lies {:.2f} pixels right and {:.2f} down of ours.", s.columns, s.rows));
  } catch (const Error&) {
    // Too small or too unlike to tell.
  }
  if (!ours.grid.sameAs(theirs.grid))
    c.reasons.push_back(Sentence("Grid: theirs lies on another grid and was brought onto ours."));
}

}  // namespace

LayerComparison compareLayers(const Scene& ours, const Scene& theirs,
                              const std::filesystem::path& temporary, const Progress& progress) {
  const BandReader reader(ours.grid, {{&ours, 0}, {&theirs, 0}});
  std::unique_ptr<RasterWriter> writer;
  if (!temporary.empty()) {
    RasterSpec spec;
    spec.grid = ours.grid;
    spec.nodata = kNoDataOut;
    spec.bands.resize(1);
    spec.bands[0].name = "difference";
    writer = std::make_unique<RasterWriter>(temporary, spec);
  }
  LayerComparison c;
  PairMoments moments;
  double squares = 0;
  std::vector<float> difference;
  reduceBlocks(reader, progress.part(0, 0.9), [&](const BandBlock& in) {
    difference.resize(in.window.pixels());
    for (size_t p = 0; p < difference.size(); ++p) {
      const float a = in.band(0)[p], b = in.band(1)[p];
      difference[p] = a - b;
      if (!std::isnan(a) && !std::isnan(b)) {
        const auto x = static_cast<double>(a), y = static_cast<double>(b);
        moments.add(x, y);
        squares += (x - y) * (x - y);
      }
      c.onlyOurs += !std::isnan(a) && std::isnan(b) ? 1 : 0;
      c.onlyTheirs += std::isnan(a) && !std::isnan(b) ? 1 : 0;
    }
    c.difference.add(difference.data(), difference.size());
    if (writer) writer->write(1, in.window, difference);
  });
  if (writer) writer->finish();
  const double n = moments.count();
  if (n == 0)
    throw Error(
        "The two layers have no pixel in common where both have a value; choose layers that "
        "overlap.");
  const double va = moments.varianceX(), vb = moments.varianceY(), cov = moments.covariance();
  c.rootMeanSquare = std::sqrt(squares / n);
  c.correlation = va > 0 && vb > 0 ? cov / std::sqrt(va * vb) : 0;
  c.gain = va > 0 ? cov / va : 1;
  c.offset = moments.meanY() - c.gain * moments.meanX();
  const double spread = std::sqrt(va);
  if (c.rootMeanSquare > 1e-6 * std::max(1e-12, spread)) {
    explainScale(c, spread);
    explainPlace(c, ours, theirs);
  }
  const double alone = static_cast<double>(c.onlyOurs + c.onlyTheirs);
  if (alone > 0.001 * n)
    c.reasons.push_back(
        Sentence("No data: {} pixels have a value in ours alone, {} in theirs "
                 "alone; masks or no-data values differ.",
                 c.onlyOurs, c.onlyTheirs));
  progress.at(1);
  return c;
}

Json toJson(const LayerComparison& c) {
  Json j = toJson(c.difference);
  j["rms"] = number(c.rootMeanSquare);
  j["correlation"] = number(c.correlation);
  j["gain"] = number(c.gain);
  j["offset"] = number(c.offset);
  j["only_ours"] = c.onlyOurs;
  j["only_theirs"] = c.onlyTheirs;
  j["reasons"] = Json::array();
  for (const auto& r : c.reasons) j["reasons"].push_back(toJson(r));
  return j;
}

}  // namespace zp
