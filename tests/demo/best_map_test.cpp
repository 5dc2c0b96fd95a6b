// How near to the hidden truth the maps of the demo come. The perfect truth is for tests only.
#include <gtest/gtest.h>

#include <map>

#include "feature/feature_kind.h"
#include "mapping/make_map.h"
#include "mapping/model.h"
#include "support/rasters.h"
#include "training/training_area.h"

namespace zp {
namespace {

using zp::testing::Folder;
namespace fs = std::filesystem;

const fs::path kDemo = HAVEN;

Scene sceneOf(const std::string& name) {
  return openScene(kDemo / "archive" / name / (name + ".json"));
}

std::string wordOf(std::string name) {
  std::replace(name.begin(), name.end(), '-', '_');
  return name;
}

/// The most common class of the fine truth in each pixel of a map.
std::vector<uint16_t> truthOn(const Grid& grid) {
  const RasterFile truth(kDemo / "truth" / "cover.tif");
  const int fine = static_cast<int>(std::lround(grid.pixelWidth() / truth.grid().pixelWidth()));
  std::vector<uint16_t> all(truth.grid().pixels()), most(grid.pixels());
  truth.readCodes(1, {0, 0, truth.grid().width, truth.grid().height}, all.data());
  for (int y = 0; y < grid.height; ++y)
    for (int x = 0; x < grid.width; ++x) {
      std::map<uint16_t, int> votes;
      for (int v = 0; v < fine; ++v)
        for (int u = 0; u < fine; ++u)
          ++votes[all[static_cast<size_t>(y * fine + v) * static_cast<size_t>(truth.grid().width) +
                      static_cast<size_t>(x * fine + u)]];
      int best = 0;
      for (const auto& [code, n] : votes)
        if (n > best) {
          best = n;
          most[static_cast<size_t>(y) * static_cast<size_t>(grid.width) + static_cast<size_t>(x)] =
              code;
        }
    }
  return most;
}

/// The share of all pixels that a map of these scenes gets right. Radar is quieted by its
/// surroundings.
double rightOf(const std::string& method, const std::vector<std::string>& optical,
               const std::vector<std::string>& radar) {
  std::vector<NamedScene> scenes;
  std::vector<std::string> lines;
  for (const auto& name : optical) {
    scenes.push_back({wordOf(name), sceneOf(name)});
    for (const auto& role : scenes.back().scene.roles())
      lines.push_back("band(" + role + ") of " + wordOf(name));
  }
  for (const auto& name : radar) {
    scenes.push_back({wordOf(name), sceneOf(name)});
    for (const auto& role : scenes.back().scene.roles())
      lines.push_back("neighbourhood(" + role + ", mean, 5) of " + wordOf(name));
  }
  const Scope scope(scenes);
  const FeatureReader reader(scope, makeFeatures(lines, scope));
  const auto areas =
      readTrainingAreas((kDemo / "pristine/outlines/outlines.gpkg").string() + ":training",
                        {"code", "class", ""}, scope.grid.crs);
  const Model model =
      trainOn(drawSamples(reader, areas, legendOf(areas)), {method}, legendOf(areas));
  const Folder folder;
  makeMap(reader, *model.classifier, model.legend, folder / "map.tif");
  const RasterFile made(folder / "map.tif");
  std::vector<uint16_t> codes(made.grid().pixels());
  made.readCodes(1, {0, 0, made.grid().width, made.grid().height}, codes.data());
  const auto truth = truthOn(made.grid());
  size_t right = 0;
  for (size_t i = 0; i < codes.size(); ++i) right += codes[i] == truth[i] ? 1 : 0;
  return static_cast<double>(right) / static_cast<double>(codes.size());
}

const std::vector<std::string> kSeason{"heron-2031-03-10", "heron-2031-04-03", "heron-2031-04-27",
                                       "heron-2031-05-21", "heron-2031-06-08", "heron-2031-06-26",
                                       "heron-2031-07-20", "heron-2031-08-07", "heron-2031-08-31",
                                       "heron-2031-09-24", "heron-2031-10-12", "heron-2031-11-05"};

TEST(BestMap, OneDateByMaximumLikelihood) {
  EXPECT_NEAR(rightOf("maximum-likelihood", {"finch-2031-07-18"}, {}), 0.845, 0.003);
}

TEST(BestMap, TheSeasonOfRadarAlone) {
  EXPECT_GE(rightOf("support-vectors", {}, kSeason), 0.84);
}

TEST(BestMap, OpticalDatesAndTheSeasonOfRadar) {
  const std::vector<std::string> dates{"finch-2031-07-18", "finch-2031-05-02", "finch-2031-10-09"};
  EXPECT_GE(rightOf("random-forest", dates, kSeason), 0.91);
}

TEST(BestMap, WhatTheStudyOfTheDemoHolds) {
  EXPECT_GE(
      rightOf("support-vectors", {"finch-2031-07-18", "finch-2031-05-02"},
              {"heron-2031-04-27", "heron-2031-06-08", "heron-2031-07-20", "heron-2031-09-24"}),
      0.91);
}

}  // namespace
}  // namespace zp
