#include <oneapi/tbb/global_control.h>

#include <cmath>
#include <fstream>
#include <map>

#include "base/outputs.h"
#include "base/random.h"
#include "feature/compute_index.h"
#include "index/histogram.h"
#include "index/index_book.h"
#include "index/threshold.h"
#include "legend/class_map.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

Scene redNir(const Folder& folder, const Grid& g, const std::vector<float>& red,
             const std::vector<float>& nir, std::optional<double> nodata = {}) {
  writeFloats(folder / "s.tif", g, {red, nir}, {"red", "nir"}, nodata);
  return openScene(folder / "s.tif");
}

TEST(ComputeIndex, ValuesByHandAndExactStatistics) {
  Folder folder;
  const Grid g = metricGrid(5, 1);
  const Scene s =
      redNir(folder, g, {0.1f, 0.2f, 0, -9999, 0.3f}, {0.5f, 0.2f, 0, 0.4f, 0.1f}, -9999);
  const Statistics st =
      computeIndex(s, parseFormula("(nir - red) / (nir + red)", s.roles()), "v", folder / "v.tif");
  const auto v = readFloats(folder / "v.tif");
  EXPECT_FLOAT_EQ(v[0], 0.4f / 0.6f);
  EXPECT_FLOAT_EQ(v[1], 0);
  EXPECT_TRUE(std::isnan(v[2]));  // 0 / 0
  EXPECT_TRUE(std::isnan(v[3]));
  EXPECT_FLOAT_EQ(v[4], -0.5f);
  EXPECT_EQ(st.valid, 3u);
  EXPECT_EQ(st.empty, 2u);
  EXPECT_FLOAT_EQ(static_cast<float>(st.min), -0.5f);
  const double mean = (2.0 / 3 - 0.5) / 3;
  EXPECT_NEAR(st.mean, mean, 1e-7);
  const double sum =
      (2.0 / 3 - mean) * (2.0 / 3 - mean) + mean * mean + (-0.5 - mean) * (-0.5 - mean);
  EXPECT_NEAR(st.sd(), std::sqrt(sum / 2), 1e-7);
  EXPECT_EQ(RasterFile(folder / "v.tif").facts(1).nodata, -9999);
}

TEST(ComputeIndex, SameBytesWithOneThreadAndWithAll) {
  Folder folder;
  const Grid g = metricGrid(1500, 900);
  std::vector<float> red(g.pixels()), nir(g.pixels());
  for (size_t i = 0; i < red.size(); ++i)
    red[i] = static_cast<float>(unit(mix(i))), nir[i] = static_cast<float>(unit(mix(i, 2)));
  const Scene s = redNir(folder, g, red, nir);
  const Formula f = parseFormula("ndiff(nir, red) * 2", s.roles());
  const Statistics all = computeIndex(s, f, "v", folder / "all.tif");
  const oneapi::tbb::global_control one(oneapi::tbb::global_control::max_allowed_parallelism, 1);
  const Statistics single = computeIndex(s, f, "v", folder / "one.tif");
  EXPECT_EQ(all.mean, single.mean);
  EXPECT_EQ(all.squares, single.squares);
  EXPECT_EQ(readFloats(folder / "all.tif"), readFloats(folder / "one.tif"));
}

TEST(ComputeIndex, CutToAnOutlineAndOneThatLiesOutside) {
  Folder folder;
  const Grid g = metricGrid(4, 4);
  const Scene s = redNir(folder, g, std::vector<float>(16, 1), std::vector<float>(16, 3));
  writeAreas(
      folder / "in.gpkg",
      {{1, "a", {{500010, 4999990}, {500030, 4999990}, {500030, 4999970}, {500010, 4999970}}}});
  const Layer in = readLayer((folder / "in.gpkg").string(), g.crs);
  EXPECT_EQ(computeIndex(s, parseFormula("nir", s.roles()), "n", folder / "n.tif", &in).valid, 4u);
  Layer out = in;
  for (auto& p : out.shapes[0].rings[0]) p.x += 1e5;
  EXPECT_NE(sentenceOf([&] {
              computeIndex(s, parseFormula("nir", s.roles()), "n", folder / "o.tif", &out);
            }).find("outside the scene"),
            std::string::npos);
}

TEST(ComputeIndex, CancelLeavesNoProduct) {
  Folder folder;
  const Grid g = metricGrid(600, 600);
  const Scene s =
      redNir(folder, g, std::vector<float>(g.pixels(), 1), std::vector<float>(g.pixels(), 2));
  const Progress progress;
  progress.cancel();
  EXPECT_THROW(
      computeIndex(s, parseFormula("nir", s.roles()), "n", folder / "n.tif", nullptr, progress),
      Cancelled);
}

TEST(ComputeIndex, AFileThatIsDamagedInTheMiddleIsFoundOutHalfWay) {
  Folder folder;
  const Grid g = metricGrid(1200, 1200);
  std::vector<float> noise(g.pixels());
  for (size_t i = 0; i < noise.size(); ++i)
    noise[i] = static_cast<float>((i * 2654435761u >> 5) % 100000) / 1000;
  writeFloats(folder / "s.tif", g, {noise, noise}, {"red", "nir"});
  const auto size = static_cast<std::streamoff>(fs::file_size(folder / "s.tif"));
  {
    std::fstream file(folder / "s.tif", std::ios::in | std::ios::out | std::ios::binary);
    file.seekp(size / 2);
    const std::string rubbish(4000, 'x');
    file.write(rubbish.data(), static_cast<std::streamsize>(rubbish.size()));
  }
  const Scene scene = openScene(folder / "s.tif");  // its last pixel is well
  const auto before = folder.names();
  const std::string sentence = sentenceOf([&] {
    Outputs outputs(false);
    const auto file = outputs.add(folder / "index.tif");
    computeIndex(scene, parseFormula("ndiff(nir, red)", scene.roles()), "x", file);
    outputs.commit();
  });
  EXPECT_NE(sentence.find("s.tif"), std::string::npos) << sentence;
  EXPECT_EQ(folder.names(), before);
}

TEST(IndexBook, RadarIndicesOfDecibelsAreThoseOfPower) {
  Folder folder;
  const Grid g = metricGrid(3, 1);
  const std::vector<float> vv{0.05f, 0.1f, 0.4f}, vh{0.01f, 0.03f, 0.02f};
  std::vector<float> vvDb, vhDb;
  for (const float v : vv) vvDb.push_back(10 * std::log10(v));
  for (const float v : vh) vhDb.push_back(10 * std::log10(v));
  writeFloats(folder / "p.tif", g, {vv, vh}, {"vv", "vh"});
  writeFloats(folder / "d.tif", g, {vvDb, vhDb}, {"vv", "vh"});
  Scene power = openScene(folder / "p.tif"), decibels = openScene(folder / "d.tif");
  power.state = ValueState::BackscatterPower;
  decibels.state = ValueState::BackscatterDecibels;
  for (const auto& e : indexBook()) {
    if (e.group != "radar" || !missingRoles(e, power).empty()) continue;
    EXPECT_EQ(formulaFor(e, power), e.formula);
    computeIndex(power, parseFormula(formulaFor(e, power), power.roles()), "a", folder / "a.tif");
    computeIndex(decibels, parseFormula(formulaFor(e, decibels), decibels.roles()), "b",
                 folder / "b.tif");
    const auto a = readFloats(folder / "a.tif"), b = readFloats(folder / "b.tif");
    for (size_t i = 0; i < a.size(); ++i) EXPECT_NEAR(a[i], b[i], 1e-4) << e.id;
  }
  EXPECT_NE(sentenceOf([] {
              indexEntriesFrom({{"indices", {{{"id", 3}}}}}, "mine.json");
            }).find("Entry 1 of “indices”"),
            std::string::npos);
}

TEST(Statistics, MergedPartsEqualTheWhole) {
  Random random(3);
  std::vector<float> v(10007);
  for (auto& x : v)
    x = static_cast<float>(1000 + random.uniform());  // a large mean tests cancellation
  v[5] = std::nanf("");
  Statistics whole, parts;
  whole.add(v.data(), v.size());
  for (size_t i = 0; i < v.size(); i += 1000)
    parts.add(v.data() + i, std::min<size_t>(1000, v.size() - i));
  double mean = 0, squares = 0;
  for (float x : v) mean += std::isnan(x) ? 0 : x;
  mean /= 10006;
  for (float x : v) squares += std::isnan(x) ? 0 : (x - mean) * (x - mean);
  for (const auto* s : {&whole, &parts}) {
    EXPECT_EQ(s->valid, 10006u);
    EXPECT_NEAR(s->mean, mean, 1e-10);
    EXPECT_NEAR(s->sd(), std::sqrt(squares / 10005), 1e-10);
  }
}

TEST(Histogram, CountsEveryValidValueOnce) {
  Folder folder;
  writeFloats(folder / "h.tif", metricGrid(6, 1), {{0, 0.25f, 0.5f, 1, -9999, 1}}, {}, -9999);
  const Histogram h = histogramOf(folder / "h.tif", 1, 4);
  EXPECT_EQ(h.bins, (std::vector<size_t>{1, 1, 1, 2}));
  EXPECT_EQ(h.statistics.valid, 5u);
}

TEST(Otsu, PartsTwoPeaks) {
  Random random(9);
  std::vector<float> v;
  for (int i = 0; i < 4000; ++i) v.push_back(static_cast<float>(random.between(0, 1)));
  for (int i = 0; i < 2000; ++i) v.push_back(static_cast<float>(random.between(3, 4)));
  const double t = otsuThreshold(histogramOf(v, 400));
  EXPECT_GT(t, 1);
  EXPECT_LT(t, 3);
}

TEST(Threshold, AValueEqualToTheThresholdBelongsToTheUpperClass) {
  Folder folder;
  writeFloats(folder / "f.tif", metricGrid(5, 1), {{0.1f, 0.2f, 0.3f, -9999, 0.19999f}}, {}, -9999);
  Legend legend;
  legend.addMissing(1, "low");
  legend.addMissing(2, "mid");
  legend.addMissing(3, "high");
  thresholdToClasses(folder / "f.tif", 1, {0.2, 0.3}, legend, folder / "c.tif");
  EXPECT_EQ(readCodes(folder / "c.tif"), (std::vector<uint16_t>{1, 2, 3, 0, 1}));
  EXPECT_NE(sentenceOf([&] {
              thresholdToClasses(folder / "f.tif", 1, {0.3, 0.2}, legend, folder / "d.tif");
            }).find("have to rise"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              thresholdToClasses(folder / "f.tif", 1, {0.3}, legend, folder / "d.tif");
            }).find("names: 3"),
            std::string::npos);
}

TEST(Threshold, DoublesAreComparedAsDoubles) {
  Folder folder;
  RasterSpec spec;
  spec.grid = metricGrid(2, 1);
  spec.type = NumberType::Float64;
  spec.bands.resize(1);
  RasterWriter writer(folder / "d.tif", spec);
  std::vector<float> values{16777217.0f, 5};  // rounds to 16777216 as float
  writer.write(1, {0, 0, 2, 1}, values);
  writer.finish();
  Legend legend;
  legend.addMissing(1, "a");
  legend.addMissing(2, "b");
  thresholdToClasses(folder / "d.tif", 1, {16777216.5}, legend, folder / "c.tif");
  EXPECT_EQ(readCodes(folder / "c.tif")[0], 1);  // as float both would be equal and it would be 2
}

TEST(Threshold, EveryPixelIsInTheClassOfItsInterval) {
  Folder folder;
  const Grid g = metricGrid(301, 257);
  std::vector<float> v(g.pixels());
  for (size_t i = 0; i < v.size(); ++i) {
    v[i] = static_cast<float>(mix(i) % 1000) / 1000;  // thresholds are hit exactly, often
    if (mix(i) % 17 == 0) v[i] = -9999;
  }
  writeFloats(folder / "f.tif", g, {v}, {}, -9999);
  Legend legend;
  for (const int code : {3, 7, 20, 300}) legend.addMissing(code, "c" + std::to_string(code));
  const std::vector<double> at{0.125, 0.5, 0.75};
  thresholdToClasses(folder / "f.tif", 1, at, legend, folder / "c.tif");
  const auto got = readCodes(folder / "c.tif");
  std::map<uint16_t, size_t> want;
  for (size_t i = 0; i < v.size(); ++i) {
    const uint16_t code = v[i] < 0        ? 0
                          : v[i] < 0.125f ? 3
                          : v[i] < 0.5f   ? 7
                          : v[i] < 0.75f  ? 20
                                          : 300;
    ++want[code];
    ASSERT_EQ(got[i], code) << i << ": " << v[i];
  }
  EXPECT_EQ(want.size(), 5u);
  for (const auto& a : classAreas(folder / "c.tif"))
    EXPECT_EQ(a.pixels, want[static_cast<uint16_t>(a.code)]) << a.code;
}

}  // namespace
}  // namespace zp
