// The same bytes whatever the number of threads, each reading through handles of its own.
#include <oneapi/tbb/global_control.h>
#include <oneapi/tbb/task_arena.h>

#include <condition_variable>
#include <cstring>
#include <mutex>
#include <thread>

#include "base/pool.h"
#include "base/random.h"
#include "feature/compute_index.h"
#include "feature/feature_kind.h"
#include "grid/block_pipeline.h"
#include "index/histogram.h"
#include "index/threshold.h"
#include "legend/class_map.h"
#include "mapping/make_map.h"
#include "scene/band_reader.h"
#include "support/rasters.h"
#include "support/train.h"
#include "training/signature.h"

namespace zp {
namespace {

using namespace testing;
namespace tbb = oneapi::tbb;

constexpr int kWide = 1500, kHigh = 1400;

std::vector<float> noise(const Grid& g, uint64_t seed) {
  std::vector<float> values(g.pixels());
  for (size_t i = 0; i < values.size(); ++i)
    values[i] = mix(i, seed) % 50 == 0 ? -1.0f : static_cast<float>(unit(mix(i, seed)));
  return values;
}

/// Two bands and a coarser third in a file of its own, with a mask.
Scene sampleScene(const Folder& folder) {
  const Grid g = metricGrid(kWide, kHigh, 10), coarse = metricGrid(kWide / 2, kHigh / 2, 20);
  writeFloats(folder / "a.tif", g, {noise(g, 1), noise(g, 2)}, {"red", "nir"}, -1);
  writeFloats(folder / "b.tif", coarse, {noise(coarse, 3)}, {"swir16"}, -1);
  Scene s = openScene({folder / "a.tif", folder / "b.tif"});
  std::vector<uint16_t> mask(g.pixels());
  for (size_t i = 0; i < mask.size(); ++i) mask[i] = mix(i, 4) % 20 == 0 ? 1 : 0;
  s.mask = writeCodes(folder / "mask.tif", g, mask);
  return s;
}

template <class F>
void with(int threads, F f) {
  const tbb::global_control limit(tbb::global_control::max_allowed_parallelism,
                                  static_cast<size_t>(threads));
  tbb::task_arena arena(threads);
  arena.execute(f);
}

TEST(Threads, EveryNumberOfThemGivesTheSameBytes) {
  Folder folder;
  const Scene scene = sampleScene(folder);
  const Scope scope{scene};
  const Formula formula = parseFormula("ndiff(nir, red) + mean_in(swir16, 3)", scope.names());
  std::vector<TrainingArea> areas;
  for (int code : {1, 2}) {
    const double x = 500000 + code * 2000, y = 4995000;
    areas.push_back(
        {code, "", "", {{{{x, y}, {x + 900, y}, {x + 900, y - 900}, {x, y - 900}}}, {}}});
  }
  Legend two = legendOf(areas);
  const FeatureReader reader(scope, makeFeatures({"band(1)", "band(2)", "index(ndvi)"}, scope));
  std::map<std::string, std::string> first;
  for (const int threads : {1, 2, 4})
    with(threads, [&] {
      const auto file = [&](const std::string& name) { return folder / name; };
      const auto statistics = computeIndex(scope, formula, "index", file("index.tif"));
      thresholdToClasses(file("index.tif"), 1, {0.4}, two, file("classes.tif"));
      SampleLimit fewer;
      fewer.perClass = 700;
      const Samples samples = drawSamples(reader, areas, two, fewer);
      const auto classifier = trainMethod(method("maximum-likelihood"), samples);
      makeMap(reader, *classifier, two, file("map.tif"));
      const Histogram h = histogramOf(file("index.tif"), 1, 64);
      std::map<std::string, std::string> now{
          {"statistics", toJson(statistics).dump()},
          {"histogram", Json(h.bins).dump() + toJson(h.statistics).dump()},
          {"signatures", toJson(signaturesOf(samples)).dump()},
          {"areas", toJson(classAreas(file("map.tif"), {})).dump()}};
      for (const char* name : {"index.tif", "classes.tif", "map.tif"}) {
        now[name] = textOf(file(name));
        fs::remove(file(name));
      }
      if (first.empty()) first = now;
      for (const auto& [what, bytes] : now)
        EXPECT_TRUE(bytes == first[what]) << what << " with " << threads << " threads";
    });
}

TEST(Threads, ManyReadOneReaderAtOnce) {
  Folder folder;
  const Scene scene = sampleScene(folder);
  const BandReader reader(scene, {});
  const auto windows = reader.windows(size_t{1} << 20);
  std::vector<BandBlock> one(windows.size()), many(windows.size());
  for (size_t i = 0; i < windows.size(); ++i) reader.read(windows[i], one[i]);
  std::vector<std::thread> threads;
  for (size_t t = 0; t < 5; ++t)
    threads.emplace_back([&, t] {
      for (size_t i = t; i < windows.size(); i += 5) reader.read(windows[i], many[i]);
    });
  for (auto& t : threads) t.join();
  for (size_t i = 0; i < windows.size(); ++i) {
    ASSERT_EQ(one[i].values.size(), many[i].values.size());
    EXPECT_EQ(std::memcmp(one[i].values.data(), many[i].values.data(),
                          one[i].values.size() * sizeof(float)),
              0)
        << i;
  }
}

TEST(Threads, BlocksAreReadOnAllCoresAndWrittenInOrder) {
  constexpr int kCores = 4;
  struct Block {
    int x = -1;
  };
  std::mutex mutex;
  std::condition_variable changed;
  int inside = 0, most = 0, last = -1;
  std::vector<Window> windows;
  for (int i = 0; i < 40; ++i) windows.push_back({i, 0, 1, 1});
  with(kCores, [&] {
    forEachBlock<Block>(
        windows, Progress(),
        [&](Window w, Block& b) {
          std::unique_lock lock(mutex);
          most = std::max(most, ++inside);
          changed.notify_all();
          changed.wait_for(lock, std::chrono::seconds(most < kCores ? 3 : 0),
                           [&] { return most >= kCores; });
          --inside;
          b.x = w.x;
        },
        [&](Block& b) { EXPECT_EQ(b.x, ++last); });
  });
  EXPECT_EQ(most, kCores);
  EXPECT_EQ(last, 39);
  EXPECT_LE(blocksInWork() * kBlockBytes, kBytesInWork);
}

TEST(Threads, WhatIsBorrowedComesBack) {
  int made = 0;
  Pool<int> pool(std::make_unique<int>(7), [&](const int& first) {
    ++made;
    return std::make_unique<int>(first + made);
  });
  for (int i = 0; i < 3; ++i) EXPECT_EQ(*pool.borrow(), 7);
  EXPECT_EQ(made, 0);
  {
    const auto a = pool.borrow(), b = pool.borrow();
    EXPECT_NE(&*a, &*b);
    EXPECT_EQ(made, 1);
  }
  const auto c = pool.borrow(), d = pool.borrow();
  EXPECT_EQ(made, 1);
}

}  // namespace
}  // namespace zp
