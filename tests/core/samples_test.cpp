#include "training/samples.h"

#include <cmath>
#include <map>

#include "feature/feature_kind.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

Shape box(double x, double y, double width, double height) {
  const double l = 500000 + x, t = 5000000 - y;
  return {{{{l, t}, {l + width, t}, {l + width, t - height}, {l, t - height}}}, {}};
}

/// A scene whose first band counts its pixels and whose second is empty in the first column.
struct Counted {
  Folder folder;
  Scope scope;
  std::vector<TrainingArea> areas{{1, "low", "wet", box(0, 0, 200, 100)},
                                  {1, "low", "dry", box(100, 0, 200, 100)},
                                  {2, "high", "", box(0, 200, 1000, 300)}};
  Counted() {
    const Grid g = metricGrid(100, 60);
    std::vector<float> a(g.pixels()), b(g.pixels(), 0.5f);
    for (size_t i = 0; i < a.size(); ++i) {
      a[i] = static_cast<float>(i);
      if (i % 100 == 0) b[i] = -9999;
    }
    writeFloats(folder / "s.tif", g, {a, b}, {"red", "nir"}, -9999);
    scope = Scope(openScene(folder / "s.tif"));
  }
  Samples draw(const SampleLimit& limit = {}) const {
    return drawSamples(FeatureReader(scope, makeFeatures({"band(red)", "brightness"}, scope)),
                       areas, legendOf(areas), limit);
  }
};

TEST(Samples, EachTrainingPixelWithItsClassSubclassAndArea) {
  const Counted c;
  const Samples s = c.draw();
  EXPECT_EQ(s.features, (std::vector<std::string>{"red", "brightness"}));
  ASSERT_EQ(s.classes.size(), 2u);
  // 30 x 10 pixels in both areas of class 1, 100 x 30 in that of class 2; one column is empty.
  EXPECT_EQ(s.classes[0].labelled, 290u);
  EXPECT_EQ(s.classes[1].labelled, 2970u);
  EXPECT_EQ(s.size(), 3260u);
  std::set<float> seen;
  for (size_t i = 0; i < s.size(); ++i) {
    const auto p = static_cast<size_t>(s.sample(i)[0]);
    const size_t x = p % 100, y = p / 100;
    EXPECT_TRUE(seen.insert(s.sample(i)[0]).second) << "twice: " << p;
    EXPECT_NEAR(s.sample(i)[1], (static_cast<double>(p) + 0.5) / 2, 0.01);
    EXPECT_EQ(s.codes[i], y < 10 ? 1 : 2);
    // Of two areas of a class the first has the pixel.
    EXPECT_EQ(s.areas[i], y >= 20 ? 2u : x < 20 ? 0u : 1u) << p;
    EXPECT_EQ(s.subclass(i), y >= 20 ? "" : x < 20 ? "wet" : "dry");
  }
}

TEST(Samples, ALimitDrawsThatManyOfEachClassBySeed) {
  const Counted c;
  SampleLimit limit;
  limit.perClass = 1000;
  const Samples a = c.draw(limit), again = c.draw(limit);
  EXPECT_EQ(a.values, again.values);
  limit.seed = 2;
  EXPECT_NE(a.values, c.draw(limit).values);
  std::map<int, size_t> n;
  for (const int code : a.codes) ++n[code];
  EXPECT_EQ(n[1], 290u);  // below the limit: all
  // A thousand of the 3000, of which those in the empty column are left out.
  EXPECT_LE(n[2], 1000u);
  EXPECT_GE(n[2], 960u);
  EXPECT_EQ(a.classes[1].labelled, 2970u);
}

TEST(Samples, EachPixelHasTheSameChance) {
  const Counted c;
  SampleLimit limit;
  limit.perClass = 600;
  std::map<float, int> drawn;
  constexpr int kRounds = 300;
  for (int round = 0; round < kRounds; ++round) {
    limit.seed = static_cast<uint64_t>(round) + 1;
    const Samples s = c.draw(limit);
    for (size_t i = 0; i < s.size(); ++i)
      if (s.codes[i] == 2) ++drawn[s.sample(i)[0]];
  }
  EXPECT_EQ(drawn.size(), 2970u);
  // Each count is binomial (300, 0.2): mean 60, spread 6.9. Over thirds of the rows the mean is
  // known to 0.02 of the spread.
  double sums[3] = {}, squares = 0;
  for (const auto& [pixel, n] : drawn) {
    sums[(static_cast<size_t>(pixel) / 100 - 20) / 10] += n / 990.0;
    squares += (n - 60.0) * (n - 60.0) / 2970;
  }
  for (const double mean : sums) EXPECT_NEAR(mean, 60, 1.0);
  EXPECT_NEAR(std::sqrt(squares), std::sqrt(300 * 0.2 * 0.8), 0.5);
}

TEST(Samples, PixelsThatTwoClassesClaimAreLeftOut) {
  Counted c;
  c.areas[1].code = 3;
  const Samples s = c.draw();
  EXPECT_EQ(s.conflicts, 100u);
  EXPECT_EQ(s.size(), 3260u - 100u);
}

TEST(Samples, SayWhatIsMissing) {
  Counted c;
  for (auto& a : c.areas) a.shape = box(5000, 5000, 50, 50);
  EXPECT_NE(sentenceOf([&] { c.draw(); }).find("No training area covers"), std::string::npos);
  for (auto& a : c.areas) a.code = 1, a.shape = box(0, 0, 10, 600);
  EXPECT_NE(sentenceOf([&] { c.draw(); }).find("All training pixels are empty"), std::string::npos);
}

}  // namespace
}  // namespace zp
