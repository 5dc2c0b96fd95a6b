#include "mapping/segments.h"

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "base/nan.h"
#include "base/outputs.h"
#include "base/words.h"
#include "grid/block_pipeline.h"
#include "mapping/pixel_sample.h"
#include "mapping/segment_numbers.h"
#include "mapping/superpixels.h"

namespace zp {
namespace {

/// Segments whose sums are held at once take about so much.
constexpr size_t kTableBytes = size_t{96} << 20;

/// Mean and spread of each segment in some of the features.
class SegmentTable {
 public:
  SegmentTable(size_t segments, size_t features)
      : sums_(features * 2, std::vector<double>(segments + 1, 0)) {}

  /// `first`: which of the scale's features is the first of the block.
  void add(const FeatureBlock& block, const std::vector<uint32_t>& numbers, const Standard& around,
           size_t first) {
    for (size_t f = 0; f < block.features; ++f) {
      const float* v = block.feature(f);
      double *sum = sums_[2 * f].data(), *squares = sums_[2 * f + 1].data();
      for (size_t i = 0; i < numbers.size(); ++i) {
        if (numbers[i] == 0) continue;
        const double d = static_cast<double>(v[i]) - around.mean[first + f];
        sum[numbers[i]] += d;
        squares[numbers[i]] += d * d;
      }
    }
  }

  /// Values feature by feature, mean and spread, and segment by segment, 0 being no segment.
  std::vector<std::vector<float>> bands(const SegmentNumbers& numbers, const Standard& around,
                                        size_t first) {
    std::vector<std::vector<float>> all;
    for (size_t f = 0; f < sums_.size() / 2; ++f) {
      auto &sum = sums_[2 * f], &squares = sums_[2 * f + 1];
      std::vector<float> mean(sum.size(), kNan), spread = mean;
      for (size_t s = 1; s < sum.size(); ++s) {
        const auto n = static_cast<double>(numbers.size(s));
        mean[s] = static_cast<float>(around.mean[first + f] + sum[s] / n);
        spread[s] = static_cast<float>(
            std::sqrt(std::max(0.0, squares[s] - sum[s] * sum[s] / n) / std::max(1.0, n - 1)));
      }
      all.push_back(std::move(mean));
      all.push_back(std::move(spread));
      sum = squares = {};
    }
    return all;
  }

 private:
  std::vector<std::vector<double>> sums_;
};

std::vector<std::vector<float>> sizeAndShape(const SegmentNumbers& numbers) {
  std::vector<float> size(numbers.count() + 1, kNan), compactness = size;
  for (size_t s = 1; s <= numbers.count(); ++s) {
    size[s] = static_cast<float>(numbers.size(s));
    compactness[s] = static_cast<float>(numbers.compactness(s));
  }
  return {size, compactness};
}

/// Means keep the roles of the bands they are of, so that indices and composites work on them.
SceneSpec specOf(const Scope& scope, const Features& features) {
  const Scene& scene = scope.scenes[0].scene;
  SceneSpec spec;
  spec.date = scene.date;
  spec.state = scene.state;
  for (const auto& f : features) {
    const auto& planes = f->planes();
    SceneBand mean;
    if (f->isPlane() && planes[0].scene == 0)
      mean = scene.bands[planes[0].band];
    else
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

/// Writes what is known of each segment to its pixels, from a band on.
void write(const std::vector<Window>& windows, const SegmentNumbers& numbers,
           const std::vector<std::vector<float>>& bands, int firstBand, RasterWriter& writer,
           const Progress& progress) {
  struct Block {
    Window window;
    std::vector<uint32_t> numbers;
    std::vector<float> values;
  };
  forEachBlock<Block>(
      windows, progress,
      [&](Window w, Block& b) {
        b.window = w;
        numbers.read(w, b.numbers);
        b.values.resize(w.pixels());
      },
      [&](Block& b) {
        for (size_t band = 0; band < bands.size(); ++band) {
          for (size_t i = 0; i < b.numbers.size(); ++i) b.values[i] = bands[band][b.numbers[i]];
          writer.write(firstBand + static_cast<int>(band), b.window, b.values);
        }
      });
}

/// A few features at a time: all of many segments would need too much memory.
void writeAll(const Scope& scope, const FeatureReader& reader, const SegmentNumbers& numbers,
              const Standard& standard, const std::filesystem::path& temporary,
              const Progress& progress) {
  const Features& features = reader.features();
  const size_t all = features.size();
  const size_t together = std::clamp(kTableBytes / (24 * (numbers.count() + 1)), size_t{1}, all);
  RasterWriter writer(temporary, rasterSpecOf(reader.grid(), specOf(scope, features)));
  std::vector<uint32_t> at;
  for (size_t f = 0; f < all; f += together) {
    const auto from = features.begin() + static_cast<std::ptrdiff_t>(f);
    const FeatureReader part(
        scope, Features(from, from + static_cast<std::ptrdiff_t>(std::min(together, all - f))));
    const auto share = [&](double of) {
      return (static_cast<double>(f) + of * static_cast<double>(part.features().size())) /
             static_cast<double>(all);
    };
    SegmentTable table(numbers.count(), part.features().size());
    reduceBlocks(part, progress.part(share(0), share(0.5)), [&](const FeatureBlock& b) {
      numbers.read(b.window, at);
      table.add(b, at, standard, f);
    });
    write(reader.windows(), numbers, table.bands(numbers, standard, f), static_cast<int>(2 * f) + 1,
          writer, progress.part(share(0.5), share(1)));
  }
  write(reader.windows(), numbers, sizeAndShape(numbers), static_cast<int>(2 * all) + 1, writer,
        progress.part(1, 1));
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
  Runs runs = runsOf(RasterFile(pieces), progress.part(0.6, 0.62));
  Patches patches(runs, PatchNeighbours::Sides);
  mergeSmall(patches, runs.from.size(), static_cast<uint32_t>(usual / 4 + 1),
             progress.part(0.62, 0.7));
  const SegmentNumbers numbers(runs, patches);
  Segments found{numbers.count(), 0};
  for (size_t s = 1; s <= found.count; ++s) found.pixels += numbers.size(s);
  writeAll(scope, reader, numbers, standard, temporary, progress.part(0.7, 1));
  return found;
}

}  // namespace zp
