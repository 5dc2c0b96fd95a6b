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

/// Bands beside the mean and spread of each feature.
enum Further : size_t { Size, Compactness, kFurther };

/// What is kept of each segment, band by band of the scene that is made.
class SegmentTable {
 public:
  SegmentTable(size_t segments, size_t features)
      : segments_(segments), sums_(features * 2, std::vector<double>(segments + 1, 0)) {}

  void add(const FeatureBlock& block, const std::vector<uint32_t>& numbers,
           const Standard& around) {
    for (size_t f = 0; f < block.features; ++f) {
      const float* v = block.feature(f);
      double *sum = sums_[2 * f].data(), *squares = sums_[2 * f + 1].data();
      for (size_t i = 0; i < numbers.size(); ++i) {
        if (numbers[i] == 0) continue;
        const double d = static_cast<double>(v[i]) - around.mean[f];
        sum[numbers[i]] += d;
        squares[numbers[i]] += d * d;
      }
    }
  }

  /// Values band by band and segment by segment, 0 being no segment; the sums are used up.
  std::vector<std::vector<float>> bands(const SegmentNumbers& numbers, const Standard& around) {
    std::vector<std::vector<float>> all;
    for (size_t f = 0; f < sums_.size() / 2; ++f) {
      auto &sum = sums_[2 * f], &squares = sums_[2 * f + 1];
      std::vector<float> mean(segments_ + 1, kNan), spread = mean;
      for (size_t s = 1; s <= segments_; ++s) {
        const auto n = static_cast<double>(numbers.size(s));
        mean[s] = static_cast<float>(around.mean[f] + sum[s] / n);
        spread[s] = static_cast<float>(
            std::sqrt(std::max(0.0, squares[s] - sum[s] * sum[s] / n) / std::max(1.0, n - 1)));
      }
      all.push_back(std::move(mean));
      all.push_back(std::move(spread));
      sum = squares = {};
    }
    for (size_t k = 0; k < kFurther; ++k) {
      auto& band = all.emplace_back(segments_ + 1, kNan);
      for (size_t s = 1; s <= segments_; ++s)
        band[s] = k == Size ? static_cast<float>(numbers.size(s))
                            : static_cast<float>(numbers.compactness(s));
    }
    return all;
  }

 private:
  size_t segments_;
  std::vector<std::vector<double>> sums_;
};

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

void write(const FeatureReader& reader, const SegmentNumbers& numbers,
           const std::vector<std::vector<float>>& bands, const SceneSpec& spec,
           const std::filesystem::path& temporary, const Progress& progress) {
  struct Block {
    Window window;
    std::vector<uint32_t> numbers;
    std::vector<float> values;
  };
  RasterWriter writer(temporary, rasterSpecOf(reader.grid(), spec));
  forEachBlock<Block>(
      reader.windows(), progress,
      [&](Window w, Block& b) {
        b.window = w;
        numbers.read(w, b.numbers);
        b.values.resize(w.pixels());
      },
      [&](Block& b) {
        for (size_t band = 0; band < bands.size(); ++band) {
          for (size_t i = 0; i < b.numbers.size(); ++i) b.values[i] = bands[band][b.numbers[i]];
          writer.write(static_cast<int>(band) + 1, b.window, b.values);
        }
      });
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
  const Standard standard =
      standardOf(drawPixels(reader, kDrawn, 1, progress.part(0, 0.05)));
  SuperpixelPlan plan;
  plan.side = std::max(2, static_cast<int>(std::lround(std::sqrt(static_cast<double>(usual)))));
  plan.compactness = settings.at("compactness");
  plan.spread = standard.spread;
  Outputs aside(true);
  const auto pieces = aside.add(std::filesystem::path(temporary).concat(".pieces.tif"));
  Superpixels(reader, plan, progress.part(0.05, 0.5)).write(pieces, progress.part(0.5, 0.6));
  Runs runs = runsOf(RasterFile(pieces), progress.part(0.6, 0.62));
  Patches patches(runs, PatchNeighbours::Sides);
  mergeSmall(patches, runs.from.size(), static_cast<uint32_t>(usual / 4 + 1),
             progress.part(0.62, 0.7));
  const SegmentNumbers numbers(runs, patches);
  SegmentTable table(numbers.count(), reader.features().size());
  std::vector<uint32_t> at;
  Segments found{numbers.count(), 0};
  reduceBlocks(reader, progress.part(0.7, 0.8), [&](const FeatureBlock& b) {
    numbers.read(b.window, at);
    table.add(b, at, standard);
  });
  for (size_t s = 1; s <= found.count; ++s) found.pixels += numbers.size(s);
  write(reader, numbers, table.bands(numbers, standard), specOf(scope, reader.features()),
        temporary, progress.part(0.8, 1));
  return found;
}

}  // namespace zp
