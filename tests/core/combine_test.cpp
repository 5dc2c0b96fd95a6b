#include "scene/combine.h"

#include <cmath>
#include <random>

#include "base/random.h"
#include "radar/decibels.h"
#include "radar/speckle.h"
#include "scene/dark_object.h"
#include "scene/normalise.h"
#include "scene/quantile.h"
#include "scene/shift.h"
#include "support/rasters.h"

using namespace zp;
using namespace zp::testing;

namespace {

constexpr float kNone = -9999;

Scene sceneOf(const fs::path& file, const Grid& g, std::vector<std::vector<float>> bands,
              const std::vector<std::string>& roles) {
  return openScene(writeFloats(file, g, bands, roles, static_cast<double>(kNone)));
}

Grid gridAt(int width, int height, double pixel, double right, double down) {
  Grid g = metricGrid(width, height, pixel);
  g.transform[0] += right, g.transform[3] -= down;
  return g;
}

/// A smooth wavy surface that can be sampled anywhere.
float surface(double x, double y) {
  double v = 0;
  for (int k = 1; k <= 12; ++k)
    v += std::sin(0.037 * k * x + 1.3 * k) * std::cos(0.029 * k * y + 0.7 * k * k) / std::sqrt(k);
  return static_cast<float>(v);
}

/// A rough ground without a pattern, that can be sampled anywhere: a bump of random height at every
/// second place of a lattice.
float ground(double x, double y) {
  double v = 0;
  const int cx = static_cast<int>(std::floor(x / 2)), cy = static_cast<int>(std::floor(y / 2));
  for (int j = cy - 3; j <= cy + 4; ++j)
    for (int i = cx - 3; i <= cx + 4; ++i) {
      const auto key =
          static_cast<uint64_t>(i + 100000) * 1000003u + static_cast<uint64_t>(j + 100000);
      const double height = unit(mix(key)) - 0.5;
      const double dx = x - 2 * i, dy = y - 2 * j;
      v += height * std::exp(-(dx * dx + dy * dy) / 4);
    }
  return static_cast<float>(v);
}

std::vector<float> groundOn(const Grid& g, double right, double down) {
  std::vector<float> v;
  for (int y = 0; y < g.height; ++y)
    for (int x = 0; x < g.width; ++x) v.push_back(ground(x - right, y - down));
  return v;
}

}  // namespace

TEST(StackBands, ChosenBandsWithANumberType) {
  Folder folder;
  const Grid g = metricGrid(3, 1);
  const Scene a =
      sceneOf(folder / "a.tif", g, {{0.1f, 0.2f, kNone}, {0.3f, 0.4f, 0.5f}}, {"red", "nir"});
  const Scene b = sceneOf(folder / "b.tif", g, {{0.6f, 9.9f, 0.8f}}, {"swir16"});
  SceneSpec spec = specLike(a, {1});
  spec.bands.push_back(b.bands[0]);
  spec.type = NumberType::UInt16;
  spec.scale = 0.0001;
  spec.state = ValueState::SurfaceReflectance;
  spec.date = "2031-05-02";
  EXPECT_EQ(stackBands({{&a, 1}, {&b, 0}}, spec, folder / "s.tif"), 1u);  // 9.9 does not fit
  const Scene s = openScene(folder / "s.tif");
  EXPECT_EQ(s.roles(), (std::vector<std::string>{"nir", "swir16"}));
  EXPECT_EQ(s.state, ValueState::SurfaceReflectance);
  EXPECT_EQ(s.date, "2031-05-02");
  BandBlock in;
  BandReader(s, {}).read({0, 0, 3, 1}, in);
  EXPECT_NEAR(in.band(0)[1], 0.4, 1e-4);
  EXPECT_TRUE(std::isnan(in.band(1)[1]));
  EXPECT_THROW(numberTypeFrom("uint17"), Error);
}

TEST(JoinScenes, TheFirstThatHasAPixelGivesIt) {
  Folder folder;
  const Scene a =
      sceneOf(folder / "a.tif", gridAt(3, 2, 10, 0, 0), {{1, 1, kNone, 1, 1, 1}}, {"nir"});
  const Scene b =
      sceneOf(folder / "b.tif", gridAt(3, 2, 10, 20, 10), {{2, 2, 2, 2, 2, 2}}, {"nir"});
  joinScenes({a, b}, folder / "j.tif");
  const RasterFile file(folder / "j.tif");
  EXPECT_EQ(file.grid().width, 5);
  EXPECT_EQ(file.grid().height, 3);
  const auto v = readFloats(folder / "j.tif");
  const std::vector<float> want{1, 1, NAN, NAN, NAN, 1, 1, 1, 2, 2, NAN, NAN, 2, 2, 2};
  for (size_t i = 0; i < want.size(); ++i)
    EXPECT_TRUE(std::isnan(want[i]) ? std::isnan(v[i]) : v[i] == want[i]) << i;
  EXPECT_THROW(joinScenes({a}, folder / "k.tif"), Error);
}

TEST(Composites, MedianAndGreenestUnderTheMasks) {
  Folder folder;
  const Grid g = metricGrid(4, 1);
  std::vector<Scene> s;
  s.push_back(sceneOf(folder / "a.tif", g, {{1, 1, 1, kNone}, {2, 9, 2, 2}}, {"red", "nir"}));
  s.push_back(sceneOf(folder / "b.tif", g, {{1, 2, 1, 1}, {8, 3, 2, 3}}, {"red", "nir"}));
  s.push_back(sceneOf(folder / "c.tif", g, {{1, 3, kNone, kNone}, {5, 4, 9, 9}}, {"red", "nir"}));
  medianOfDates(s, folder / "m.tif");
  auto nir = readFloats(folder / "m.tif", 2);
  EXPECT_EQ(nir[0], 5);
  EXPECT_EQ(nir[1], 4);
  EXPECT_EQ(readFloats(folder / "m.tif", 1)[2], 1);
  greenestOfDates(s, folder / "g.tif");
  nir = readFloats(folder / "g.tif", 2);
  EXPECT_EQ(nir[0], 8);
  EXPECT_EQ(nir[1], 9);
  EXPECT_EQ(nir[2], 2);  // where red is missing, nir does not count
  EXPECT_EQ(nir[3], 3);
}

TEST(Sharpen, KeepsTheBandsWhereTheSharpOneIsTheirMean) {
  Folder folder;
  const Grid fine = metricGrid(32, 32, 5), coarse = metricGrid(16, 16, 10);
  std::vector<float> a, b;
  for (int i = 0; i < 256; ++i)
    a.push_back(0.2f + 0.001f * static_cast<float>(i % 16)),
        b.push_back(0.4f + 0.002f * static_cast<float>(i % 16));
  const Scene s = sceneOf(folder / "s.tif", coarse, {a, b}, {"red", "nir"});
  // The sharp band is the mean of the two, brought onto the fine grid.
  BandBlock in;
  BandReader(fine, {{&s, 0}, {&s, 1}}).read({0, 0, 32, 32}, in);
  std::vector<float> sharp(1024);
  for (size_t i = 0; i < 1024; ++i) sharp[i] = (in.band(0)[i] + in.band(1)[i]) / 2;
  const Scene pan = sceneOf(folder / "p.tif", fine, {sharp}, {"pan"});
  for (const auto how : {Sharpening::Brovey, Sharpening::GramSchmidt}) {
    const fs::path out = folder / (how == Sharpening::Brovey ? "b.tif" : "g.tif");
    sharpen(s, {0, 1}, pan, 0, how, out);
    const auto red = readFloats(out, 1);
    for (size_t i = 0; i < 1024; ++i) ASSERT_NEAR(red[i], in.band(0)[i], 1e-5);
    EXPECT_EQ(RasterFile(out).metadata().at("fit_for_classes"), "no");
  }
}

TEST(Sharpen, DetailComesFromTheSharpBandAndTheMeanFromTheCoarse) {
  Folder folder;
  // Coarse bands that rise evenly, so that they are known between their pixels too.
  const Grid coarse = metricGrid(20, 20, 40), fine = metricGrid(80, 80, 10);
  std::vector<float> red(400), nir(400), sharp(6400);
  const auto redAt = [](double x, double) { return 0.1 + 0.00005 * x; };
  const auto nirAt = [](double, double y) { return 0.3 + 0.0001 * y; };
  for (size_t i = 0; i < 400; ++i) {
    const double x = (static_cast<double>(i % 20) + 0.5) * 40,
                 y = (static_cast<double>(i / 20) + 0.5) * 40;
    red[i] = static_cast<float>(redAt(x, y)), nir[i] = static_cast<float>(nirAt(x, y));
  }
  // The sharp band: their mean, with a pattern that cancels out in every coarse pixel.
  const auto pattern = [](size_t i) { return (i % 80 + i / 80) % 2 == 0 ? 0.02 : -0.02; };
  for (size_t i = 0; i < 6400; ++i) {
    const double x = (static_cast<double>(i % 80) + 0.5) * 10,
                 y = (static_cast<double>(i / 80) + 0.5) * 10;
    sharp[i] = static_cast<float>((redAt(x, y) + nirAt(x, y)) / 2 + pattern(i));
  }
  const Scene low = sceneOf(folder / "low.tif", coarse, {red, nir}, {"red", "nir"}),
              high = sceneOf(folder / "high.tif", fine, {sharp}, {"pan"});
  for (const auto how : {Sharpening::Brovey, Sharpening::GramSchmidt}) {
    sharpen(low, {0, 1}, high, 0, how, folder / "out.tif");
    for (const int band : {1, 2}) {
      const auto out = readFloats(folder / "out.tif", band);
      for (size_t r = 4; r < 16; ++r)
        for (size_t c = 4; c < 16; ++c) {
          double mean = 0, detail = 0;
          for (size_t y = 0; y < 4; ++y)
            for (size_t x = 0; x < 4; ++x) {
              const size_t i = (r * 4 + y) * 80 + c * 4 + x;
              mean += static_cast<double>(out[i]) / 16;
              detail += static_cast<double>(out[i]) * (pattern(i) > 0 ? 1 : -1) / 16;
            }
          const double was = static_cast<double>((band == 1 ? red : nir)[r * 20 + c]);
          EXPECT_NEAR(mean, was, 0.02 * was) << band << " at " << r << "," << c;
          EXPECT_GT(detail, 0.004) << band << " at " << r << "," << c;
        }
    }
    fs::remove(folder / "out.tif");
  }
}

TEST(Quantile, IsTheValueOfItsRankWhateverTheSignsAndGaps) {
  Folder folder;
  const Grid g = metricGrid(130, 90);
  std::vector<float> v(g.pixels());
  std::mt19937 random(5);
  std::normal_distribution<float> spread(-0.1f, 2);
  for (auto& x : v) x = spread(random);
  v[7] = v[8] = NAN;
  const Scene s = sceneOf(folder / "s.tif", g, {v}, {"nir"});
  std::erase_if(v, [](float x) { return std::isnan(x); });
  std::sort(v.begin(), v.end());
  for (const double share : {0.0, 0.0001, 0.01, 0.3, 0.5, 1.0})
    EXPECT_EQ(quantileOf(BandReader(s, {0}), 0, share),
              v[static_cast<size_t>(share * static_cast<double>(v.size() - 1))]);
  const Scene none = sceneOf(folder / "n.tif", metricGrid(2, 1), {{NAN, NAN}}, {"nir"});
  EXPECT_THROW(quantileOf(BandReader(none, {0}), 0, 0.5), Error);
}

TEST(DarkObject, HazeFollowsTheWavelength) {
  Folder folder;
  const Grid g = metricGrid(10, 10);
  std::vector<float> blue(100), nir(100);
  for (size_t i = 0; i < 100; ++i)
    blue[i] = 0.08f + 0.01f * static_cast<float>(i % 10),
    nir[i] = 0.02f * static_cast<float>(i % 10);
  Scene s = sceneOf(folder / "s.tif", g, {blue, nir}, {"blue", "nir"});
  EXPECT_NE(sentenceOf([&] { hazeOf(s, {}); }).find("no wavelength"), std::string::npos);
  s.bands[0].wavelength = 400, s.bands[1].wavelength = 800;
  DarkObject how;
  how.power = 4;
  how.darkValue = 0.01;
  const auto haze = hazeOf(s, how);
  EXPECT_NEAR(haze[0], 0.07, 1e-6);
  EXPECT_NEAR(haze[1], 0.07 / 16, 1e-6);
  subtractHaze(s, haze, folder / "d.tif");
  EXPECT_NEAR(readFloats(folder / "d.tif", 1)[3], 0.08 + 0.03 - 0.07, 1e-6);
  EXPECT_EQ(readFloats(folder / "d.tif", 2)[0], 0);  // never below
}

TEST(Normalise, FindsGainAndOffsetInSpiteOfChange) {
  Folder folder;
  const Grid g = metricGrid(120, 120);
  std::mt19937 random(3);
  std::normal_distribution<float> noise(0, 0.002f);
  std::vector<std::vector<float>> a(3), b(3);
  for (size_t i = 0; i < g.pixels(); ++i) {
    const bool changed = i % 120 < 24;  // a fifth was ploughed
    for (size_t k = 0; k < 3; ++k) {
      const float v =
          0.3f + 0.1f * surface(static_cast<double>(i % 120) + 50.0 * static_cast<double>(k),
                                static_cast<double>(i / 120));
      a[k].push_back(v + noise(random));
      b[k].push_back(
          (changed ? 0.1f + 0.05f * static_cast<float>(random() % 10) : 1.25f * v - 0.04f) +
          noise(random));
    }
  }
  const Scene s = sceneOf(folder / "a.tif", g, a, {"green", "red", "nir"}),
              r = sceneOf(folder / "b.tif", g, b, {"green", "red", "nir"});
  const auto n = normalisationOf(s, r);
  EXPECT_GT(n.unchanged, 200u);  // a twentieth of those that stayed, as probabilities go
  for (size_t k = 0; k < 3; ++k) {
    EXPECT_NEAR(n.gain[k], 1.25, 0.02);
    EXPECT_NEAR(n.offset[k], -0.04, 0.01);
  }
  normalise(s, n, folder / "n.tif");
  const auto out = readFloats(folder / "n.tif", 1);
  EXPECT_NEAR(out[60], b[0][60], 0.02);
  EXPECT_THROW(normalisationOf(s, sceneOf(folder / "c.tif", g, {a[0]}, {"swir16"})), Error);
}

TEST(Normalise, ChiSquareTailOfTables) {
  EXPECT_NEAR(chiSquareTail(3.841459, 1), 0.05, 1e-6);
  EXPECT_NEAR(chiSquareTail(5.991465, 2), 0.05, 1e-6);
  EXPECT_NEAR(chiSquareTail(11.070498, 5), 0.05, 1e-6);
  EXPECT_NEAR(chiSquareTail(15.507313, 8), 0.05, 1e-6);
  EXPECT_EQ(chiSquareTail(0, 4), 1);
}

TEST(Shift, ASubPixelShiftIsFound) {
  Folder folder;
  const Grid g = metricGrid(300, 280);
  const Scene reference = sceneOf(folder / "r.tif", g, {groundOn(g, 0, 0)}, {"nir"});
  for (const auto& [right, down] :
       {std::pair{0.37, -0.62}, {5.25, 3.5}, {0.0, 0.0}, {-11.8, 0.45}}) {
    // The layer shows everything `right` and `down` of where it is.
    const Scene layer = sceneOf(folder / "l.tif", g, {groundOn(g, right, down)}, {"nir"});
    const Shift s = measureShift({&layer, 0}, {&reference, 0});
    EXPECT_NEAR(s.columns, right, 0.1);
    EXPECT_NEAR(s.rows, down, 0.1);
    EXPECT_NEAR(s.by.x, -10 * right, 1);
    EXPECT_NEAR(s.by.y, 10 * down, 1);
    fs::remove(folder / "l.tif");
  }
  const Scene small =
      sceneOf(folder / "t.tif", metricGrid(30, 30), {std::vector<float>(900, 1)}, {"nir"});
  EXPECT_THROW(measureShift({&small, 0}, {&reference, 0}), Error);
}

TEST(Speckle, FiltersCalmEvenGroundAndKeepEdgesAndMeans) {
  const int w = 80, h = 80;
  std::mt19937 random(11);
  std::gamma_distribution<float> looks(4, 0.25f);
  std::vector<float> v(static_cast<size_t>(w * h));
  for (size_t i = 0; i < v.size(); ++i) v[i] = (i % 80 < 40 ? 0.1f : 1.0f) * looks(random);
  v[5 * 80 + 5] = NAN;
  SpeckleFilter f;
  f.looks = 4;
  for (const bool refined : {false, true}) {
    std::vector<float> out(v.size());
    (refined ? refinedLeeFilter : leeFilter)(v.data(), w, h, f, out.data());
    EXPECT_TRUE(std::isnan(out[5 * 80 + 5]));
    double before = 0, after = 0, mean = 0, n = 0;
    for (int y = 10; y < 70; ++y)
      for (int x = 50; x < 70; ++x) {
        const auto i = static_cast<size_t>(y * 80 + x);
        before += (v[i] - 1) * (v[i] - 1), after += (out[i] - 1) * (out[i] - 1);
        mean += out[i], n += 1;
      }
    EXPECT_NEAR(mean / n, 1, 0.05);
    EXPECT_LT(after, 0.25 * before);
    // Beside the edge the refined filter does not mix the two sides.
    double dark = 0;
    for (int y = 10; y < 70; ++y) dark += out[static_cast<size_t>(y * 80 + 38)] / 60;
    EXPECT_TRUE(!refined || std::abs(dark - 0.1) < 0.05) << dark;
  }
}

TEST(Speckle, LooksAndStatesAreRecognised) {
  Folder folder;
  const Grid g = metricGrid(200, 200);
  std::mt19937 random(2);
  std::gamma_distribution<float> five(5, 0.2f);
  std::vector<float> power(g.pixels()), decibels;
  for (auto& v : power) v = 0.05f * five(random);
  for (const float v : power) decibels.push_back(toDecibels(v));
  Scene p = sceneOf(folder / "p.tif", g, {power}, {"vv"});
  const Scene d = sceneOf(folder / "d.tif", g, {decibels}, {"vv"});
  EXPECT_EQ(recogniseBackscatter(p), ValueState::BackscatterPower);
  EXPECT_EQ(recogniseBackscatter(d), ValueState::BackscatterDecibels);
  p.state = ValueState::BackscatterPower;
  EXPECT_NEAR(estimateLooks(p, 0), 6, 1.7);  // the evenest tenth lies a little above 5
  EXPECT_NEAR(toPower(toDecibels(0.03f)), 0.03, 1e-6);
  filterSpeckle(p, {SpeckleFilter::RefinedLee, 7, 5}, folder / "f.tif");
  EXPECT_EQ(openScene(folder / "f.tif").state, ValueState::BackscatterPower);
  EXPECT_THROW(filterSpeckle(p, {SpeckleFilter::Lee, 4, 5}, folder / "x.tif"), Error);
  const Scene optical = sceneOf(folder / "o.tif", g, {power}, {"nir"});
  EXPECT_THROW(filterSpeckle(optical, {}, folder / "x.tif"), Error);
}
