// Percentiles of zones too large to keep: the same as of their values in order.
#include <cmath>
#include <limits>

#include "base/random.h"
#include "sampling/percentile_search.h"
#include "sampling/zones.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

/// Values with their shares, as pixels bring them.
using Pixels = std::vector<CountedValue>;

ZoneTotals totalsOf(const Pixels& pixels, bool whole) {
  ZoneTally tally;
  const auto keep = ZoneTally::keepFor({}, !whole);
  for (const auto& p : pixels) tally.add(&p.value, 1, p.weight, keep);
  return tally.totals();
}

struct Searched {
  double value;
  int times;
};

Searched searched(const Pixels& pixels, bool whole, double percent, size_t mostKept) {
  PercentileSearch search(totalsOf(pixels, whole), percent, mostKept);
  int times = 0;
  do {
    for (const auto& p : pixels) search.add(&p.value, 1, p.weight);
    ++times;
  } while (!search.narrow() && times < 20);
  return {search.value(), times};
}

void expectAsInOrder(const std::string& what, const Pixels& pixels, bool whole) {
  Pixels inOrder = pixels;
  putTogether(inOrder);
  const ZoneTotals totals = totalsOf(pixels, whole);
  for (const double percent : {0., 0.3, 10., 25., 50., 75., 99.9, 100.})
    for (const size_t mostKept : {2, 3, 60, 4000}) {
      const double direct = percentileOf(totals, inOrder, 0, percent);
      const auto [value, times] = searched(pixels, whole, percent, mostKept);
      EXPECT_LE(times, 7) << what << ", " << percent << " %";
      const double apart = 1e-12 * std::max(std::abs(totals.lowest), std::abs(totals.highest));
      EXPECT_NEAR(value, direct, whole ? 0 : apart) << what << ", " << percent << " %";
    }
}

Pixels pixelsOf(size_t n, bool whole, const std::function<double(Random&)>& draw) {
  Random random(17);
  Pixels pixels;
  for (size_t i = 0; i < n; ++i) {
    const double value = draw(random);
    pixels.push_back({value, whole ? 1 : random.below(4) == 0 ? random.uniform() : 1});
  }
  return pixels;
}

TEST(PercentileSearch, FindsWhatTheValuesInOrderTell) {
  for (const bool whole : {true, false}) {
    const auto expect = [&](const std::string& what, const std::function<double(Random&)>& draw) {
      for (const size_t n : {1, 2, 7, 5000}) expectAsInOrder(what, pixelsOf(n, whole, draw), whole);
    };
    expect("even", [](Random& r) { return r.between(-0.2, 0.9); });
    expect("two heaps far apart, the middle between them",
           [](Random& r) { return r.below(2) == 0 ? r.between(1e-9, 2e-9) : r.between(5e8, 6e8); });
    expect("of any size and sign", [](Random& r) {
      return std::pow(10, r.between(-300, 300)) * (r.below(2) == 0 ? 1 : -1);
    });
    expect("few different", [](Random& r) { return static_cast<double>(r.below(3)) - 1; });
    expect("all the same", [](Random&) { return 0.25; });
    expect("zeros of both signs", [](Random& r) { return r.below(2) == 0 ? 0.0 : -0.0; });
    expect("neighbours in the last bit", [](Random& r) {
      return r.below(2) == 0 ? 0.1 : std::nextafter(0.1, r.below(2) == 0 ? 1 : 0);
    });
  }
}

TEST(PercentileSearch, NoDataCountsForNothingAndManyValuesAreFoundInThreeTimes) {
  const auto pixels = pixelsOf(300'000, true, [](Random& r) {
    return static_cast<double>(static_cast<float>(r.between(0.1, 0.8)));
  });
  const auto clean = searched(pixels, true, 50, 1 << 15);
  Pixels gaps;
  for (size_t i = 0; i < pixels.size(); ++i) {
    if (i % 3 == 0) gaps.push_back({std::numeric_limits<double>::quiet_NaN(), 1});
    gaps.push_back(pixels[i]);
  }
  const auto some = searched(gaps, true, 50, 1 << 15);
  EXPECT_EQ(some.value, clean.value);
  EXPECT_LE(clean.times, 2);
}

/// A quarter of the grid each, and one over all of it; some pixels of no data.
class LargeZones : public ::testing::Test {
 protected:
  LargeZones() {
    Random random(4);
    for (const char* name : {"a.tif", "b.tif"}) {
      std::vector<float> values(grid_.pixels());
      for (auto& v : values)
        v = random.below(9) == 0 ? -9999.F : static_cast<float>(random.between(0.01, 3));
      writeFloats(folder_ / name, grid_, {values}, {}, -9999);
    }
    zones_.crs = grid_.crs;
    const auto square = [&](double left, double top, double right, double bottom) {
      zones_.shapes.push_back({{{grid_.toMap(left, top), grid_.toMap(right, top),
                                 grid_.toMap(right, bottom), grid_.toMap(left, bottom)}},
                               {}});
    };
    square(0, 0, 40.3, 30.6), square(40.3, 0, 80, 30.6), square(3.2, 31, 40, 59.9);
    square(41, 31, 79.5, 58), square(-5, -5, 85, 65);
    zones_.table.rows.resize(zones_.shapes.size());
  }
  std::vector<ZoneSummary> told(ZoneQuestion question, size_t mostKept) {
    question.mostKept = mostKept;
    return summarise(
        zones_,
        {readingSource((folder_ / "a.tif").string()), readingSource((folder_ / "b.tif").string())},
        question);
  }
  Folder folder_;
  const Grid grid_ = metricGrid(80, 60);
  Layer zones_;
};

TEST_F(LargeZones, TellTheSameWithHardlyAnyMemory) {
  for (const Inclusion inclusion : {Inclusion::Centres, Inclusion::Area})
    for (const bool decibels : {false, true}) {
      ZoneQuestion question;
      for (const char* id : {"p5", "mean", "median", "p95", "count"})
        question.statistics.push_back(zoneStatistic(id));
      question.inclusion = inclusion;
      question.decibels = decibels;
      const auto whole = told(question, 1 << 20);
      for (const size_t mostKept : {0, 1500, 5000}) {
        const auto again = told(question, mostKept);
        ASSERT_EQ(again.size(), 2u);
        for (size_t layer = 0; layer < again.size(); ++layer)
          for (size_t s = 0; s < question.statistics.size(); ++s)
            for (size_t z = 0; z < zones_.shapes.size(); ++z)
              EXPECT_NEAR(again[layer].values[s][z], whole[layer].values[s][z], 1e-9)
                  << again[layer].columns[s] << " of zone " << z << ", " << mostKept << " kept";
      }
    }
}

TEST_F(LargeZones, ThatAreManyAreSearchedSomeAtATime) {
  const auto five = zones_.shapes;
  for (int i = 0; i < 30; ++i) zones_.shapes.insert(zones_.shapes.end(), five.begin(), five.end());
  zones_.table.rows.resize(zones_.shapes.size());
  ZoneQuestion question;
  question.statistics = {zoneStatistic("median")};
  const auto whole = told(question, 1 << 22), again = told(question, 0);
  EXPECT_EQ(again[1].values, whole[1].values);
}

TEST_F(LargeZones, ProgressOnlyGrowsAndCancellingEndsTheSearch) {
  ZoneQuestion question;
  question.statistics = {zoneStatistic("median")};
  question.mostKept = 0;
  double last = 0;
  const Progress progress([&](double at) {
    EXPECT_GE(at, last);
    last = at;
  });
  summarise(zones_, {readingSource((folder_ / "a.tif").string())}, question, progress);
  EXPECT_GT(last, 0.7);
  const Progress stopped;
  const Progress stopping = stopped.reporting([&](double at) {
    if (at > 0.45) stopped.cancel();
  });
  EXPECT_THROW(summarise(zones_, {readingSource((folder_ / "a.tif").string())}, question, stopping),
               Cancelled);
}

}  // namespace
}  // namespace zp
