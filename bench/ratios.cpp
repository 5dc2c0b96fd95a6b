// Measures our work against its yardsticks in the same run and prints the ratios.
//   zpatch-bench SCENE.tif [--benchmark_...]     SCENE as make-big-scene writes it
#include <gdal_priv.h>
#include <oneapi/tbb/parallel_for.h>

#include <numeric>

#include "base/pool.h"
#include "bench.h"
#include "covers.h"
#include "feature/compute_index.h"
#include "feature/feature_kind.h"
#include "grid/block_pipeline.h"
#include "grid/gdal_start.h"
#include "grid/raster_writer.h"
#include "legend/class_map.h"
#include "mapping/make_map.h"
#include "mapping/methods/mahalanobis.h"
#include "mapping/methods/maximum_likelihood.h"
#include "mapping/methods/minimum_distance.h"
#include "mapping/methods/spectral_angle.h"
#include "scene/band_reader.h"

namespace {

using zp::Pixels;
using zp::pixels;

std::filesystem::path g_scene;

std::filesystem::path besideScene(const char* name) {
  return g_scene.parent_path() / name;
}

/// The index of two bands, file to file, as `zpatch index` does it.
void IndexOfTwoBands(benchmark::State& state) {
  const zp::Scene scene = zp::openScene(g_scene);
  const auto formula = zp::parseFormula("(nir - red) / (nir + red)", scene.roles());
  for (auto _ : state) zp::computeIndex(scene, formula, "index", besideScene("bench-index.tif"));
}

/// Twenty operations over the same two bands.
void IndexOfTwentyOperations(benchmark::State& state) {
  const zp::Scene scene = zp::openScene(g_scene);
  const auto formula = zp::parseFormula(
      "max(min((nir - red) / (nir + red + 0.16) * 1.16 + 0.01, 0.99), -0.99) * 0.5 + "
      "sqrt(abs(nir * nir - red * red)) * 0.25 / (1 + nir * red) - (nir - red) ^ 2 * 0.1",
      scene.roles());
  for (auto _ : state) zp::computeIndex(scene, formula, "index", besideScene("bench-twenty.tif"));
}

/// The yardstick: the same bytes read and written by GDAL in the same windows, with the same
/// options and threads, and no computing. The values to write are in memory beforehand.
void CopyOfTwoBands(benchmark::State& state) {
  const zp::Scene scene = zp::openScene(g_scene);
  const auto red = static_cast<size_t>(scene.bandOf("red")),
             nir = static_cast<size_t>(scene.bandOf("nir"));
  const zp::RasterFile index(besideScene("bench-index.tif"));
  const auto windows = zp::BandReader(scene, {red, nir}).windows();
  std::vector<std::vector<float>> ready;
  for (const auto& w : windows) {
    ready.emplace_back(w.pixels());
    index.read(1, w, ready.back().data());
  }
  zp::RasterSpec spec;
  spec.grid = scene.grid;
  spec.nodata = zp::kNoDataOut;
  spec.bands.resize(1);
  auto* source = static_cast<GDALDataset*>(GDALOpen(g_scene.c_str(), GA_ReadOnly));
  for (auto _ : state) {
    zp::RasterWriter writer(besideScene("bench-copy.tif"), spec);
    std::vector<uint16_t> in;
    for (size_t i = 0; i < windows.size(); ++i) {
      const auto& w = windows[i];
      in.resize(w.pixels());
      for (size_t b : {nir, red})
        if (source->GetRasterBand(static_cast<int>(b) + 1)
                ->RasterIO(GF_Read, w.x, w.y, w.width, w.height, in.data(), w.width, w.height,
                           GDT_UInt16, 0, 0, nullptr) != CE_None)
          state.SkipWithError("the scene cannot be read");
      writer.write(1, w, ready[i]);
    }
    writer.finish();
  }
  GDALClose(source);
}

/// A class map of all bands by a method of signatures, file to file, as `zpatch map` does it. The
/// classes are the covers of the scene, wider than these, so that neighbours overlap.
template <class Method>
void MapBy(benchmark::State& state) {
  const zp::Scene scene = zp::openScene(g_scene);
  zp::SignatureSet set;
  zp::Legend legend;
  for (int c = 1; c <= zp::kCovers; ++c) {
    zp::Signature s;
    s.code = c;
    s.name = fmt::format("class {}", c);
    s.pixels = 1000;
    const auto n = static_cast<Eigen::Index>(scene.bands.size());
    s.mean = Eigen::VectorXd::NullaryExpr(n, [&](Eigen::Index b) {
      const auto lowest = zp::coverLevel(static_cast<uint64_t>(c - 1), static_cast<uint64_t>(b));
      return 1e-4 * static_cast<double>(lowest + zp::kCoverNoise / 2);
    });
    s.covariance = 0.001 * Eigen::MatrixXd::Identity(n, n) + Eigen::MatrixXd::Constant(n, n, 1e-4);
    set.classes.push_back(s);
    legend.addMissing(c, s.name);
  }
  for (const auto& b : scene.bands) set.bands.push_back(b.name);
  const Method method(set);
  const zp::Scope scope(scene);
  const zp::FeatureReader reader(
      scope, zp::makeFeatures(zp::bandLines(zp::bandsNamed("", scene), scene), scope));
  for (auto _ : state) zp::makeMap(reader, method, legend, besideScene("bench-map.tif"));
}

/// The yardstick: the same bands decoded by GDAL in the same windows on all cores, and the same
/// codes written, with no computing. The codes are in memory beforehand.
void DecodingAndWriting(benchmark::State& state) {
  const zp::Scene scene = zp::openScene(g_scene);
  const auto windows = zp::BandReader(scene, {}).windows();
  const zp::RasterFile map(besideScene("bench-map.tif"));
  std::map<std::pair<int, int>, std::vector<uint16_t>> ready;
  for (const auto& w : windows) {
    auto& codes = ready[{w.x, w.y}];
    codes.resize(w.pixels());
    map.readCodes(1, w, codes.data());
  }
  struct Handle {
    GDALDataset* file = static_cast<GDALDataset*>(GDALOpen(g_scene.c_str(), GA_ReadOnly));
    ~Handle() { GDALClose(file); }
  };
  zp::Pool<Handle> handles(std::make_unique<Handle>(),
                           [](const Handle&) { return std::make_unique<Handle>(); });
  zp::Legend legend;
  for (int c = 1; c <= zp::kCovers; ++c) legend.addMissing(c, fmt::format("class {}", c));
  for (auto _ : state) {
    zp::RasterWriter writer(besideScene("bench-codes.tif"),
                            zp::classMapSpec(scene.grid, legend, "classes"));
    struct Block {
      zp::Window window;
      std::vector<uint16_t> values;
    };
    zp::forEachBlock<Block>(
        windows, zp::Progress(),
        [&](zp::Window w, Block& b) {
          const auto handle = handles.borrow();
          b.window = w;
          b.values.resize(w.pixels());
          for (int band = 1; band <= static_cast<int>(scene.bands.size()); ++band)
            if (handle->file->GetRasterBand(band)->RasterIO(GF_Read, w.x, w.y, w.width, w.height,
                                                            b.values.data(), w.width, w.height,
                                                            GDT_UInt16, 0, 0, nullptr) != CE_None)
              std::abort();
        },
        [&](Block& b) {
          writer.writeCodes(1, b.window, ready.at({b.window.x, b.window.y}));
        });
    writer.finish();
  }
}

std::vector<uint16_t> g_ours(Pixels::kCount);
cv::Mat g_theirs;

void MaximumLikelihoodOurs(benchmark::State& state) {
  const zp::MaximumLikelihood method(pixels().signatures);
  for (auto _ : state) {
    constexpr int kPiece = 1 << 14;
    oneapi::tbb::parallel_for(0, Pixels::kCount / kPiece, [&](int piece) {
      std::vector<const float*> bands;
      for (const auto& b : pixels().planar) bands.push_back(b.data() + piece * kPiece);
      method.classify(bands, kPiece, g_ours.data() + piece * kPiece);
    });
  }
}

void MaximumLikelihoodOpenCV(benchmark::State& state) {
  auto bayes = cv::ml::NormalBayesClassifier::create();
  bayes->train(pixels().training, cv::ml::ROW_SAMPLE, pixels().labels);
  for (auto _ : state) bayes->predict(pixels().all, g_theirs);
}

}  // namespace

namespace zp {
Pixels& pixels() {
  static Pixels p;
  return p;
}
}  // namespace zp

int main(int argc, char** argv) {
  benchmark::Initialize(&argc, argv);
  if (argc != 2) {
    fmt::print(stderr, "Usage: zpatch-bench SCENE.tif [--benchmark_repetitions=N]\n");
    return 2;
  }
  g_scene = argv[1];
  zp::startGdal();
  using zp::slow;
  slow("IndexOfTwoBands", &IndexOfTwoBands);
  slow("CopyOfTwoBands", &CopyOfTwoBands);
  slow("IndexOfTwentyOperations", &IndexOfTwentyOperations);
  slow("LikelihoodMap", &MapBy<zp::MaximumLikelihood>);
  slow("MahalanobisMap", &MapBy<zp::Mahalanobis>);
  slow("MinimumDistanceMap", &MapBy<zp::MinimumDistance>);
  slow("SpectralAngleMap", &MapBy<zp::SpectralAngle>);
  slow("DecodingAndWriting", &DecodingAndWriting);
  slow("MaximumLikelihoodOurs", &MaximumLikelihoodOurs);
  slow("MaximumLikelihoodOpenCV", &MaximumLikelihoodOpenCV);
  zp::addLearners();
  zp::addPlaces(g_scene);
  zp::BestTimes reporter;
  benchmark::RunSpecifiedBenchmarks(&reporter);
  std::error_code ignored;
  for (const char* name : {"bench-index.tif", "bench-copy.tif", "bench-twenty.tif", "bench-map.tif",
                           "bench-codes.tif"})
    std::filesystem::remove(besideScene(name), ignored);
  size_t same = 0;
  for (int i = 0; i < Pixels::kCount && !g_theirs.empty(); ++i)
    same += g_theirs.at<int>(i) == g_ours[static_cast<size_t>(i)] ? 1 : 0;
  auto& t = reporter.times;
  fmt::print("\nindex, file to file: {:.2f} x the time of plain copying (at most 1.2)\n",
             t["IndexOfTwoBands"] / t["CopyOfTwoBands"]);
  fmt::print("a formula of 20 operations: {:.2f} x the time of the simple one (at most 2)\n",
             t["IndexOfTwentyOperations"] / t["IndexOfTwoBands"]);
  for (const char* map :
       {"LikelihoodMap", "MahalanobisMap", "MinimumDistanceMap", "SpectralAngleMap"})
    fmt::print(
        "{} of all bands, file to file: {:.2f} x the time of decoding them and writing the "
        "codes (at most 1.5)\n",
        map, t[map] / t["DecodingAndWriting"]);
  fmt::print(
      "maximum likelihood: {:.1f} x faster than cv::ml::NormalBayesClassifier (at least 15), same "
      "class for {:.4f} % (at least 99.99)\n",
      t["MaximumLikelihoodOpenCV"] / t["MaximumLikelihoodOurs"],
      100.0 * static_cast<double>(same) / Pixels::kCount);
  zp::tellLearners(t);
  zp::tellPlaces(t);
  return 0;
}
