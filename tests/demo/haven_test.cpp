// The demo as the rest of the tests and every picture rely on it.
#include <gtest/gtest.h>

#include <cmath>
#include <map>
#include <set>

#include "base/json.h"
#include "cover.h"
#include "index/histogram.h"
#include "legend/class_map.h"
#include "noise.h"
#include "outline/scanline.h"
#include "sampling/readings.h"
#include "scene/band_reader.h"
#include "spectra.h"
#include "steady_math.h"
#include "study/study.h"
#include "support/rasters.h"
#include "training/training_area.h"

namespace zp {
namespace {

namespace fs = std::filesystem;

const fs::path kHaven = HAVEN;

Scene fetched(const std::string& name) {
  return openScene(kHaven / "archive" / name / (name + ".json"));
}

TEST(SteadyMath, AgreesWithTheLibrary) {
  for (double x = -12; x < 12; x += 0.37) {
    EXPECT_NEAR(haven::steadyExp(x) / std::exp(x), 1, 1e-8) << x;
    EXPECT_NEAR(haven::steadySin(x), std::sin(x), 1e-9) << x;
    EXPECT_NEAR(haven::steadyCos(x), std::cos(x), 1e-9) << x;
  }
  for (double x = 1e-6; x < 1e6; x *= 3.3) EXPECT_NEAR(haven::steadyLog(x), std::log(x), 1e-9) << x;
  EXPECT_NEAR(haven::fromDecibels(-10), 0.1, 1e-10);
}

TEST(Noise, IsSmoothBoundedAndRepeats) {
  double lowest = 1, highest = -1;
  for (double x = 0; x < 50; x += 0.173) {
    const double v = haven::noise(x, x * 0.7, 3);
    lowest = std::min(lowest, v), highest = std::max(highest, v);
    EXPECT_EQ(v, haven::noise(x, x * 0.7, 3));
    EXPECT_LT(std::abs(haven::noise(x + 1e-4, x * 0.7, 3) - v), 1e-3);
  }
  EXPECT_GE(lowest, -1.5);
  EXPECT_LE(highest, 1.5);
  EXPECT_GT(highest - lowest, 0.8);
}

TEST(Bell, HasMeanZeroAndSpreadOne) {
  double sum = 0, squares = 0;
  constexpr int n = 40000;
  for (int i = 0; i < n; ++i) {
    const double v = haven::bell(static_cast<uint64_t>(i));
    sum += v, squares += v * v;
  }
  EXPECT_NEAR(sum / n, 0, 0.02);
  EXPECT_NEAR(squares / n, 1, 0.03);
}

TEST(Haven, TheTruthHasEveryClassAndTheWallWasOpened) {
  const auto after = classAreas(kHaven / "truth/cover.tif");
  const auto before = classAreas(kHaven / "truth/cover-before.tif");
  ASSERT_EQ(after.size(), 9u);
  double all = 0;
  for (const auto& a : after) {
    EXPECT_GT(a.area, 4e5) << a.name;  // at least 40 ha of each
    all += a.area;
  }
  EXPECT_NEAR(all, 12000.0 * 9000.0, 1);
  EXPECT_GT(after[2].area, before[2].area);  // more saltmarsh than before the breach
  EXPECT_LT(after[6].area, before[6].area);  // and less ploughland
}

TEST(Haven, ScenesHaveTheirDatesBandsAndStates) {
  const std::map<std::string, size_t> bands{{"finch-2024-07-11", 8}, {"finch-2031-05-02", 8},
                                            {"finch-2031-07-18", 8}, {"finch-2031-10-09", 8},
                                            {"heron-2031-07-20", 2}, {"kite-2031-06-04", 3}};
  for (const auto& [name, n] : bands) {
    const Scene s = fetched(name);
    EXPECT_EQ(s.bands.size(), n) << name;
    EXPECT_EQ(s.date, name.substr(name.size() - 10)) << name;
    EXPECT_EQ(crsName(s.grid.crs), "EPSG:32627");
    EXPECT_NE(s.state, ValueState::Unknown) << name;
  }
  EXPECT_EQ(fetched("finch-2031-07-18").grid.width, 1200);
  EXPECT_EQ(fetched("kite-2031-06-04").grid.width, 4800);
  size_t radar = 0, files = 0;
  for (const auto& e : fs::directory_iterator(kHaven / "archive"))
    radar += e.path().filename().string().rfind("heron", 0) == 0;
  for (const auto& e : fs::directory_iterator(kHaven / "archive/finch-2024-07-11"))
    files += e.path().extension() == ".tif";
  EXPECT_EQ(radar, 12u);
  EXPECT_EQ(files, 8u);  // one date comes as a file a band
}

TEST(Haven, TheCatalogueNamesEveryScene) {
  const Json catalogue = readJson(kHaven / "archive/catalog.json");
  EXPECT_EQ(catalogue["links"].size(), 4u + 12u + 1u);
  for (const auto& link : catalogue["links"]) {
    const fs::path item = kHaven / "archive" / link["href"].get<std::string>();
    EXPECT_NO_THROW(openScene(item)) << item;
    const Json j = readJson(item);
    EXPECT_EQ(j["stac_version"], "1.0.0");
    EXPECT_EQ(j["bbox"].size(), 4u);
  }
}

TEST(Haven, CoversLookAsTheyShould) {
  const Scene s = fetched("finch-2031-07-18");
  const RasterFile truth(kHaven / "truth/cover.tif");
  BandBlock block;
  BandReader(s, {}).read({0, 0, 1200, 900}, block);
  std::vector<uint16_t> codes(truth.grid().pixels());
  truth.readCodes(1, {0, 0, truth.grid().width, truth.grid().height}, codes.data());
  std::map<int, std::vector<double>> ndvi, swir;
  const int red = s.bandOf("red"), nir = s.bandOf("nir"), short1 = s.bandOf("swir16");
  for (int y = 0; y < 900; y += 3)
    for (int x = 0; x < 1200; x += 3) {
      const size_t i = static_cast<size_t>(y * 1200 + x);
      const int code =
          codes[static_cast<size_t>(y * 4 + 2) * 4800 + static_cast<size_t>(x * 4 + 2)];
      const double r = block.band(static_cast<size_t>(red))[i],
                   n = block.band(static_cast<size_t>(nir))[i];
      ndvi[code].push_back((n - r) / (n + r));
      swir[code].push_back(block.band(static_cast<size_t>(short1))[i]);
    }
  const auto mean = [](const std::vector<double>& v) {
    double sum = 0;
    for (double x : v) sum += x;
    return sum / static_cast<double>(v.size());
  };
  EXPECT_LT(mean(ndvi[1]), 0.1);            // water
  EXPECT_LT(mean(ndvi[2]), 0.25);           // bare flats
  EXPECT_GT(mean(ndvi[8]), 0.7);            // woods in July
  EXPECT_GT(mean(ndvi[8]), mean(ndvi[4]));  // reed is less green than wood
  EXPECT_LT(mean(swir[1]), 0.03);           // water swallows short-wave infrared
  EXPECT_GT(mean(swir[9]), mean(swir[8]));  // roofs reflect it
}

TEST(Haven, ATiltedDateHasEmptyCornersAndTheStudySetsThemAside) {
  const Study study = Study::open(kHaven / "pristine");
  const StudyScene* tilted = nullptr;
  for (const auto& s : study.scenes)
    if (s.scene.date == "2031-05-02") tilted = &s;
  ASSERT_NE(tilted, nullptr);
  ASSERT_FALSE(tilted->scene.mask.empty());
  BandBlock block;
  BandReader(tilted->scene, {0}).read({0, 0, 1200, 900}, block);
  EXPECT_TRUE(std::isnan(block.band(0)[0]));
  EXPECT_TRUE(std::isnan(block.band(0)[900 * 1200 - 1]));
  EXPECT_FALSE(std::isnan(block.band(0)[450 * 1200 + 600]));
  size_t empty = 0;
  for (size_t i = 0; i < 1200 * 900; ++i) empty += std::isnan(block.band(0)[i]);
  EXPECT_GT(empty, 10000u);
  EXPECT_LT(empty, 300000u);
}

TEST(Haven, TheCloudAndItsShadowAreFlaggedByBits) {
  const RasterFile quality(kHaven / "archive/finch-2031-10-09/quality.tif");
  std::vector<float> flags(quality.grid().pixels());
  quality.read(1, {0, 0, 1200, 900}, flags.data());
  const Scene s = fetched("finch-2031-10-09");
  BandBlock block;
  BandReader(s, {static_cast<size_t>(s.bandOf("blue"))}).read({0, 0, 1200, 900}, block);
  size_t cloud = 0, shadow = 0;
  double brightness = 0, clear = 0;
  for (size_t i = 0; i < flags.size(); ++i) {
    const int f = static_cast<int>(flags[i]);
    cloud += (f & 1) != 0, shadow += (f & 2) != 0;
    if ((f & 1) != 0) brightness += block.band(0)[i];
    if (f == 0) clear += block.band(0)[i];
  }
  EXPECT_GT(cloud, 2000u);
  EXPECT_GT(shadow, 2000u);
  const auto n = static_cast<double>(flags.size());
  EXPECT_LT(static_cast<double>(cloud + shadow), 0.1 * n);
  EXPECT_GT(brightness / static_cast<double>(cloud),
            3 * clear / (n - static_cast<double>(cloud + shadow)));
}

TEST(Haven, SpeckleHasAboutFiveLooksAndReedGrowsThroughTheSeason) {
  const RasterFile truth(kHaven / "truth/cover.tif");
  std::vector<uint16_t> codes(truth.grid().pixels());
  truth.readCodes(1, {0, 0, 4800, 3600}, codes.data());
  const auto pureWater = [&](int x, int y) {
    for (int dy = 0; dy < 4; ++dy)
      for (int dx = 0; dx < 4; ++dx)
        if (codes[static_cast<size_t>(y * 4 + dy) * 4800 + static_cast<size_t>(x * 4 + dx)] != 1)
          return false;
    return true;
  };
  const Scene s = fetched("heron-2031-07-20");
  BandBlock block;
  BandReader(s, {}).read({0, 0, 1200, 900}, block);
  // The open sea at the west edge: one cover, so mean² / variance is the number of looks (texture
  // lowers it a little).
  double sum = 0, squares = 0, n = 0;
  for (int y = 0; y < 900; ++y)
    for (int x = 0; x < 25; ++x) {
      if (!pureWater(x, y)) continue;
      const double v = block.band(0)[static_cast<size_t>(y * 1200 + x)];
      EXPECT_GT(v, 0);
      sum += v, squares += v * v, ++n;
    }
  ASSERT_GT(n, 5000);
  const double mean = sum / n, variance = squares / n - mean * mean;
  EXPECT_GT(mean * mean / variance, 3.3);
  EXPECT_LT(mean * mean / variance, 6.0);
  EXPECT_LT(10 * std::log10(mean), -16);  // calm water is dark
}

TEST(Haven, TrainingAreasLieOnTheirClassButForTheCarelessOne) {
  const RasterFile truth(kHaven / "truth/cover.tif");
  const auto areas = readTrainingAreas((kHaven / "outlines/outlines.gpkg").string() + ":training",
                                       {"code", "class", "subclass"}, truth.grid().crs);
  std::set<int> classes;
  std::set<std::string> subclasses;
  size_t careless = 0;
  for (const auto& a : areas) {
    classes.insert(a.code);
    subclasses.insert(a.subclass);
    size_t all = 0, right = 0;
    for (const auto& span : pixelsInside(a.shape, truth.grid())) {
      std::vector<uint16_t> row(static_cast<size_t>(span.to - span.from));
      truth.readCodes(1, {span.from, span.row, span.to - span.from, 1}, row.data());
      for (uint16_t c : row) ++all, right += c == a.code;
    }
    const double share = static_cast<double>(right) / static_cast<double>(all);
    const bool mixed = a.subclass == "careless";
    careless += mixed ? 1 : 0;
    EXPECT_EQ(share < 0.7, mixed) << a.className << " " << a.subclass << " " << share;
  }
  EXPECT_EQ(classes.size(), 9u);
  EXPECT_EQ(careless, 1u);
  EXPECT_GE(subclasses.size(), 15u);
  EXPECT_GE(areas.size(), 50u);
}

TEST(Haven, CompartmentsAndTheirRecordsGoTogether) {
  const Layer layer = readLayer((kHaven / "outlines/outlines.gpkg").string() + ":compartments");
  const Table records = readTable((kHaven / "outlines/compartments.csv").string());
  EXPECT_GE(layer.shapes.size(), 55u);
  EXPECT_EQ(layer.table.rows, records.rows);
  std::set<std::string> kinds;
  for (const auto& row : records.rows) kinds.insert(row[records.column("kind")]);
  EXPECT_EQ(kinds, (std::set<std::string>{"osier", "reed"}));
}

TEST(Haven, TheTemperatureLiesInAnotherSystemAndFollowsTheCover) {
  const fs::path file = kHaven / "outlines/surface-temperature.tif";
  EXPECT_EQ(crsName(RasterFile(file).grid().crs), "EPSG:4326");
  const Histogram h = histogramOf(file, 1, 50);
  EXPECT_GT(h.statistics.min, 10);
  EXPECT_LT(h.statistics.max, 36);
  // Read at metric places: the sea is cooler than the town.
  const auto t =
      readAt({{406200, 5720000}, {414650, 5723050}}, crsFrom("EPSG:32627"), {{file, 1, "t"}})
          .values[0];
  EXPECT_LT(t[0] + 4, t[1]);
}

TEST(Haven, TheStudyStartsWithSomeScenesAndNoProducts) {
  const Study study = Study::open(kHaven / "pristine");
  EXPECT_EQ(study.name, "Ondrey Haven");
  EXPECT_GE(study.scenes.size(), 5u);
  EXPECT_TRUE(study.products.empty());
  EXPECT_TRUE(study.training.empty());
  EXPECT_EQ(study.legend.classes.size(), 9u);
  EXPECT_EQ(colourText(study.legend.find(4)->colour), "#ba9658");
  EXPECT_FALSE(study.legend.find(7)->subclasses.empty());
  ASSERT_EQ(study.outlines.size(), 2u);
  for (const auto& o : study.outlines) EXPECT_FALSE(readLayer(o.layer).shapes.empty()) << o.layer;
  for (const auto& one : study.scenes)
    EXPECT_EQ(one.scene.bands[0].file.string().rfind(study.folder().string(), 0), 0u)
        << one.scene.name;
}

}  // namespace
TEST(Haven, NothingInItSaysWhereItWasMade) {
  size_t looked = 0;
  for (const auto& e : fs::recursive_directory_iterator(HAVEN)) {
    const std::string ending = e.path().extension().string();
    if (ending != ".json" && ending != ".csv" && ending != ".xml") continue;
    ++looked;
    EXPECT_EQ(zp::testing::textOf(e.path()).find(HAVEN), std::string::npos) << e.path();
  }
  EXPECT_GT(looked, 10u);
  // And the study finds its archive from where it lies.
  const auto study = zp::readJson(fs::path(HAVEN) / "study" / "study.json");
  EXPECT_TRUE(fs::exists(fs::path(HAVEN) / "study" / study["place"]["archive"].get<std::string>()));
}

}  // namespace zp
