#include "mapping/segments.h"

#include <algorithm>
#include <cmath>
#include <functional>

#include "base/error.h"
#include "base/nan.h"
#include "base/outputs.h"
#include "base/words.h"
#include "grid/block_pipeline.h"
#include "mapping/pixel_sample.h"
#include "mapping/segment_numbers.h"
#include "mapping/superpixels.h"
#include "radar/decibels.h"

namespace zp {
namespace {

/// Mean and spread of each segment in one feature. Decibels have the mean of their power.
class SegmentTable {
 public:
  SegmentTable(size_t segments, bool decibels, double around)
      : around_(around),
        sums_(segments + 1, 0),
        squares_(segments + 1, 0),
        power_(decibels ? segments + 1 : 0, 0) {}

  void add(const float* values, const std::vector<uint32_t>& numbers) {
    for (size_t i = 0; i < numbers.size(); ++i) {
      if (numbers[i] == 0) continue;
      const double d = static_cast<double>(values[i]) - around_;
      sums_[numbers[i]] += d;
      squares_[numbers[i]] += d * d;
      if (!power_.empty()) power_[numbers[i]] += static_cast<double>(toPower(values[i]));
    }
  }

  float mean(size_t s, double pixels) const {
    return static_cast<float>(power_.empty() ? around_ + sums_[s] / pixels
                                             : toDecibels(power_[s] / pixels));
  }
  float spread(size_t s, double pixels) const {
    const double squares = std::max(0.0, squares_[s] - sums_[s] * sums_[s] / pixels);
    return static_cast<float>(std::sqrt(squares / std::max(1.0, pixels - 1)));
  }

 private:
  double around_;  // what sums are counted from, so that they stay small
  std::vector<double> sums_, squares_, power_;
};

/// Means keep the roles of the bands they are of, so that indices and composites work on them.
SceneSpec specOf(const Scope& scope, const Features& features) {
  const Scene& scene = scope.scenes[0].scene;
  SceneSpec spec;
  spec.date = scene.date;
  const bool decibels =
      std::all_of(features.begin(), features.end(), [](const auto& f) { return f->inDecibels(); });
  spec.state = decibels ? ValueState::BackscatterDecibels : scene.state;
  for (const auto& f : features) {
    const auto& planes = f->planes();
    SceneBand mean;
    if ((f->isPlane() || decibels) && planes.size() == 1 && planes[0].scene == 0)
      mean = scene.bands[planes[0].band];
    else if (!decibels)
      spec.state = ValueState::Unknown;
    mean.name = f->name();
    for (const auto& before : spec.bands)
      if (before.role == mean.role) mean.role.clear();
    spec.bands.push_back(mean);
    SceneBand spread;
    spread.name = fmt::format("{} spread", f->name());
    spec.bands.push_back(spread);
  }
  for (const char* name : {"size", "compactness"}) spec.bands.emplace_back().name = name;
  return spec;
}

/// Writes what `told` knows of each segment to its pixels.
using Told = std::function<float(size_t segment)>;
void write(const std::vector<Window>& windows, const SegmentNumbers& numbers,
           const std::vector<Told>& told, int firstBand, RasterWriter& writer,
           const Progress& progress) {
  struct Block {
    Window window;
    std::vector<uint32_t> numbers;
    std::vector<std::vector<float>> values;
  };
  forEachBlock<Block>(
      windows, progress,
      [&](Window w, Block& b) {
        b.window = w;
        numbers.read(w, b.numbers);
        b.values.assign(told.size(), std::vector<float>(w.pixels(), kNan));
        for (size_t t = 0; t < told.size(); ++t)
          for (size_t i = 0; i < b.numbers.size(); ++i)
            if (i > 0 && b.numbers[i] == b.numbers[i - 1])
              b.values[t][i] = b.values[t][i - 1];
            else if (b.numbers[i] != 0)
              b.values[t][i] = told[t](b.numbers[i]);
      },
      [&](Block& b) {
        for (size_t t = 0; t < told.size(); ++t)
          writer.write(firstBand + static_cast<int>(t), b.window, b.values[t]);
      });
}

/// One feature after the other: all of many segments would need too much memory.
void writeAll(const Scope& scope, const FeatureReader& reader, const SegmentNumbers& numbers,
              const Standard& standard, const std::filesystem::path& temporary,
              const Progress& progress) {
  const Features& features = reader.features();
  RasterWriter writer(temporary, rasterSpecOf(reader.grid(), specOf(scope, features)));
  const auto pixels = [&](size_t s) { return static_cast<double>(numbers.size(s)); };
  std::vector<uint32_t> at;
  const double share = 1.0 / static_cast<double>(features.size());
  for (size_t f = 0; f < features.size(); ++f) {
    const FeatureReader one(scope, {features[f]});
    const double begin = static_cast<double>(f) * share;
    SegmentTable table(numbers.count(), features[f]->inDecibels(), standard.mean[f]);
    reduceBlocks(one, progress.part(begin, begin + share / 2), [&](const FeatureBlock& b) {
      numbers.read(b.window, at);
      table.add(b.feature(0), at);
    });
    write(reader.windows(), numbers,
          {[&](size_t s) { return table.mean(s, pixels(s)); },
           [&](size_t s) { return table.spread(s, pixels(s)); }},
          static_cast<int>(2 * f) + 1, writer, progress.part(begin + share / 2, begin + share));
  }
  write(reader.windows(), numbers,
        {[&](size_t s) { return static_cast<float>(numbers.size(s)); },
         [&](size_t s) { return static_cast<float>(numbers.compactness(s)); }},
        static_cast<int>(2 * features.size()) + 1, writer, progress.part(1, 1));
  writer.finish();
}

}  // namespace

const std::vector<Parameter>& segmentParameters() {
  static const std::vector<Parameter> all{
      {.id = "pixels",
       .title = words("Pixels of a segment"),
       .about = words("About how many pixels a segment has. Smaller than the smallest thing one "
                      "wants to see on the map."),
       .type = Parameter::Type::Whole,
       .initial = 25,
       .lowest = 9,
       .highest = 10000},
      {.id = "compactness",
       .title = words("Compactness"),
       .about = words("How much a segment keeps together against how closely it follows the "
                      "features: small for winding edges, large for even pieces."),
       .type = Parameter::Type::Number,
       .initial = 0.4,
       .lowest = 0.01,
       .highest = 100}};
  return all;
}

Segments makeSegments(const Scope& scope, const FeatureReader& reader, const Json& given,
                      const std::filesystem::path& temporary, const Progress& progress) {
  constexpr size_t kDrawn = 20000;
  const Json settings = settingsFrom(segmentParameters(), given, "Segments");
  const size_t usual = settings.at("pixels");
  const Standard standard = standardOf(drawPixels(reader, kDrawn, 1, progress.part(0, 0.05)));
  SuperpixelPlan plan;
  plan.side = std::max(2, static_cast<int>(std::lround(std::sqrt(static_cast<double>(usual)))));
  plan.compactness = settings.at("compactness");
  plan.scale = standard;
  Outputs aside(true);
  const auto pieces = aside.add(std::filesystem::path(temporary).concat(".pieces.tif"));
  Superpixels(reader, plan, progress.part(0.05, 0.5)).write(pieces, progress.part(0.5, 0.6));
  Runs runs(RasterFile(pieces), progress.part(0.6, 0.62));
  Patches patches(runs, PatchNeighbours::Sides);
  mergeSmall(patches, runs.count(), static_cast<uint32_t>(usual / 4 + 1), progress.part(0.62, 0.7));
  const SegmentNumbers numbers(std::move(runs), std::move(patches));
  Segments found{numbers.count(), 0};
  for (size_t s = 1; s <= found.count; ++s) found.pixels += numbers.size(s);
  writeAll(scope, reader, numbers, standard, temporary, progress.part(0.7, 1));
  return found;
}

}  // namespace zp
