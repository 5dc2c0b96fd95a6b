#include "mapping/cluster_map.h"

#include <fmt/format.h>

#include <algorithm>
#include <numeric>

#include "base/error.h"
#include "base/outputs.h"
#include "index/import_classes.h"
#include "mapping/k_means.h"
#include "mapping/make_map.h"

namespace zp {
namespace {

/// Gives pixels the codes of their clusters.
class ByCluster : public PixelCoder {
 public:
  explicit ByCluster(const ClusterModel& model)
      : scale_(model.scale), means_(model.clusters.means, model.clusters.features) {}
  size_t features() const override { return means_.features(); }
  void classify(const std::vector<const float*>& values, size_t n, uint16_t* codes) const override {
    std::vector<std::vector<float>> scaled(features(), std::vector<float>(n));
    std::vector<const float*> at;
    for (size_t f = 0; f < features(); ++f) {
      for (size_t i = 0; i < n; ++i) scaled[f][i] = scale_.of(values[f][i], f);
      at.push_back(scaled[f].data());
    }
    std::vector<int16_t> nearest(n);
    std::vector<float> squared(n);
    means_.assign(at.data(), n, nearest.data(), squared.data());
    for (size_t i = 0; i < n; ++i) codes[i] = static_cast<uint16_t>(nearest[i] + 1);
  }

 private:
  const Standard& scale_;
  NearestMean means_;
};

Legend legendOfClusters(size_t count) {
  Legend legend;
  for (size_t k = 0; k < count; ++k)
    legend.add(
        {static_cast<int>(k) + 1, fmt::format("Cluster {}", k + 1), suggestedColour(k), "", {}});
  return legend;
}

/// Which cluster gets the code 1, and so on: those with most pixels first.
std::vector<size_t> orderOf(const std::vector<ClassArea>& areas, size_t count) {
  std::vector<size_t> pixels(count), order;
  for (const auto& a : areas)
    if (a.code >= 1 && a.code <= static_cast<int>(count))
      pixels[static_cast<size_t>(a.code) - 1] = a.pixels;
  for (size_t k = 0; k < count; ++k)
    if (pixels[k] > 0) order.push_back(k);
  std::stable_sort(order.begin(), order.end(),
                   [&](size_t a, size_t b) { return pixels[a] > pixels[b]; });
  return order;
}

void putInOrder(Clusters& clusters, const std::vector<size_t>& order,
                const std::vector<ClassArea>& areas) {
  Clusters put = clusters;
  put.means.clear();
  put.sizes.clear();
  for (const size_t k : order) {
    put.means.insert(put.means.end(), clusters.mean(k), clusters.mean(k) + clusters.features);
    for (const auto& a : areas)
      if (a.code == static_cast<int>(k) + 1) put.sizes.push_back(a.pixels);
  }
  clusters = std::move(put);
}

}  // namespace

ClusterModel findClusters(const FeatureReader& reader, const ClusterMethod& method,
                          const Json& given, const Progress& progress) {
  const Json settings = settingsFrom(method.parameters, given, method.title);
  const uint64_t seed = settings.at("seed");
  PixelSample sample = drawPixels(reader, settings.at("pixels"), seed, progress.part(0, 0.2));
  ClusterModel model;
  model.features = sample.features;
  model.scale =
      settings.at("scale") == "spread" ? standardOf(sample) : noStandard(sample.features.size());
  model.asked = settings.at("clusters");
  scale(sample, model.scale);
  auto start = spreadStart(sample.columns, model.asked, seed);
  if (settings.at("from") == "all") {
    const ReadPixels all(reader, model.scale);
    model.clusters =
        method.find(all, std::move(start), reader.grid().pixels(), settings, progress.part(0.2, 1));
  } else {
    model.clusters = method.find(HeldPixels(sample.columns), std::move(start), sample.size(),
                                 settings, progress.part(0.2, 1));
  }
  const auto& sizes = model.clusters.sizes;
  model.pixels = std::accumulate(sizes.begin(), sizes.end(), size_t{0});
  return model;
}

void makeClusterMap(const FeatureReader& reader, ClusterModel& model,
                    const std::filesystem::path& temporary, const Progress& progress) {
  const size_t count = model.clusters.count();
  // How large each cluster is, is known only when all pixels are in one.
  Outputs aside(true);
  const auto unordered = aside.add(std::filesystem::path(temporary).concat(".unordered.tif"));
  makeMap(reader, ByCluster(model), legendOfClusters(count), unordered, progress.part(0, 0.8));
  const auto areas = classAreas(unordered, {}, progress.part(0.8, 0.9));
  const auto order = orderOf(areas, count);
  if (order.empty()) throw Error("No pixel has a value in every feature; choose others.");
  putInOrder(model.clusters, order, areas);
  CodeMatch match;
  for (size_t i = 0; i < order.size(); ++i)
    match[std::to_string(order[i] + 1)] = static_cast<int>(i) + 1;
  importClasses(unordered, match, legendOfClusters(order.size()), temporary, progress.part(0.9, 1));
}

Json toJson(const ClusterModel& model) {
  Json clusters = Json::array();
  for (size_t k = 0; k < model.clusters.count(); ++k) {
    Json mean = Json::array();
    for (size_t f = 0; f < model.clusters.features; ++f) mean.push_back(model.mean(k, f));
    clusters.push_back(
        {{"code", k + 1}, {"pixels", model.clusters.sizes[k]}, {"mean", std::move(mean)}});
  }
  return {{"clusters", clusters},
          {"within_sum_of_squares", model.clusters.withinSumOfSquares},
          {"iterations", model.clusters.passes},
          {"features", model.features},
          {"asked", model.asked},
          {"found_from", model.pixels}};
}

}  // namespace zp
