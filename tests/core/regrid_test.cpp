#include "grid/regrid.h"

#include <cmath>

#include "scene/band_reader.h"
#include "support/rasters.h"

using namespace zp;
using namespace zp::testing;

namespace {

/// A plane over the places of a grid: bilinear brings it over without error.
std::vector<float> plane(const Grid& g, double a, double b) {
  std::vector<float> v;
  for (int y = 0; y < g.height; ++y)
    for (int x = 0; x < g.width; ++x) {
      const Place p = g.centre(x, y);
      v.push_back(static_cast<float>(a * (p.x - g.transform[0]) + b * (p.y - g.transform[3])));
    }
  return v;
}

}  // namespace

TEST(Regrid, BilinearKeepsAPlane) {
  const Grid from = metricGrid(40, 30, 10);
  Grid to = metricGrid(20, 20, 7);
  to.transform[0] += 83, to.transform[3] -= 61;
  std::vector<float> out(to.pixels());
  resample(plane(from, 0.5, -0.25).data(), from, out.data(), to, Resampling::Bilinear);
  for (int y = 0; y < to.height; ++y)
    for (int x = 0; x < to.width; ++x) {
      const Place p = to.centre(x, y);
      EXPECT_NEAR(out[static_cast<size_t>(y * to.width + x)],
                  0.5 * (p.x - from.transform[0]) - 0.25 * (p.y - from.transform[3]), 1e-2);
    }
}

TEST(Regrid, NearestGivesOnlyWhatIsThere) {
  const Grid from = metricGrid(9, 9, 10);
  std::vector<float> codes(81);
  for (size_t i = 0; i < 81; ++i) codes[i] = static_cast<float>(i % 5 + 1);
  Grid to = metricGrid(30, 30, 3);
  std::vector<float> out(to.pixels());
  resample(codes.data(), from, out.data(), to, Resampling::Nearest);
  for (int y = 0; y < 30; ++y)
    for (int x = 0; x < 30; ++x) {
      const int c = (x * 3 + 1) / 10, r = (y * 3 + 1) / 10;
      EXPECT_EQ(out[static_cast<size_t>(y * 30 + x)], codes[static_cast<size_t>(r * 9 + c)]);
    }
}

TEST(Regrid, NoDataDoesNotLeakAndOutsideIsEmpty) {
  const Grid from = metricGrid(10, 10, 10);
  std::vector<float> values(100, 4);
  for (size_t i = 0; i < 100; ++i)
    if (i % 10 < 5) values[i] = NAN;
  Grid to = metricGrid(14, 10, 10);
  to.transform[0] += 4;
  std::vector<float> out(to.pixels());
  resample(values.data(), from, out.data(), to, Resampling::Bilinear);
  for (const float v : out) EXPECT_TRUE(std::isnan(v) || v == 4) << v;
  EXPECT_TRUE(std::isnan(out[0]));
  EXPECT_TRUE(std::isnan(out[13]));
  EXPECT_EQ(out[7], 4);
}

TEST(Regrid, ACoarserPixelTakesInAllBelowIt) {
  const Grid from = metricGrid(40, 40, 2.5);
  std::vector<float> checks(1600);
  for (size_t i = 0; i < 1600; ++i) checks[i] = (i % 40 + i / 40) % 2 == 0 ? 0.0f : 1.0f;
  const Grid to = metricGrid(10, 10, 10);
  std::vector<float> out(100);
  resample(checks.data(), from, out.data(), to, Resampling::Bilinear);
  for (int y = 1; y < 9; ++y)
    for (int x = 1; x < 9; ++x) EXPECT_NEAR(out[static_cast<size_t>(y * 10 + x)], 0.5, 0.02);
}

TEST(Regrid, AnotherReferenceSystem) {
  // A scene in degrees over one in metres: each place keeps its own value.
  const Grid metres = metricGrid(60, 60, 10);
  const CrsChange toDegrees(metres.crs, crsFrom("EPSG:4326"));
  Place a = metres.toMap(10, 10), b = metres.toMap(50, 50);
  toDegrees.apply(a), toDegrees.apply(b);
  Grid degrees;
  degrees.width = degrees.height = 30;
  degrees.georeferenced = true;
  degrees.crs = crsFrom("EPSG:4326");
  degrees.transform = {a.x, (b.x - a.x) / 30, 0, a.y, 0, (b.y - a.y) / 30};
  std::vector<float> out(degrees.pixels());
  resample(plane(metres, 1, 1).data(), metres, out.data(), degrees, Resampling::Bilinear);
  const CrsChange back(degrees.crs, metres.crs);
  for (int y = 2; y < 28; ++y)
    for (int x = 2; x < 28; ++x) {
      Place p = degrees.centre(x, y);
      back.apply(p);
      EXPECT_NEAR(out[static_cast<size_t>(y * 30 + x)],
                  (p.x - metres.transform[0]) + (p.y - metres.transform[3]), 0.7);
    }
}

TEST(Regrid, SystemsThatDifferAreNotTheSameGrid) {
  Grid a = metricGrid(4, 4), b = a;
  b.crs = crsFrom("EPSG:32628");
  EXPECT_FALSE(a.sameAs(b));
  EXPECT_TRUE(canBringTogether(a, b));
  Grid c = metricGrid(5, 5);
  c.crs.clear();
  EXPECT_FALSE(canBringTogether(a, c));
}

TEST(BandReader, BlocksOfABroughtOverBandMeetWithoutSeams) {
  Folder folder;
  const Grid coarse = metricGrid(60, 60, 20);
  std::vector<float> wild(coarse.pixels());
  for (size_t i = 0; i < wild.size(); ++i)
    wild[i] = static_cast<float>((i * 2654435761u >> 9) % 1000);
  writeFloats(folder / "c.tif", coarse, {wild});
  const Scene s = layerScene(folder / "c.tif", "c", ValueState::Quantity);
  const Grid fine = metricGrid(110, 110, 10);
  const BandReader reader(fine, {{&s, 0}});
  EXPECT_TRUE(reader.broughtOver(0));
  BandBlock whole, part;
  reader.read({0, 0, 110, 110}, whole);
  for (const Window w : {Window{0, 0, 50, 60}, {50, 0, 60, 60}, {50, 60, 60, 50}}) {
    reader.read(w, part);
    for (int y = 0; y < w.height; ++y)
      for (int x = 0; x < w.width; ++x)
        ASSERT_NEAR(part.values[static_cast<size_t>(y * w.width + x)],
                    whole.values[static_cast<size_t>((w.y + y) * 110 + w.x + x)], 1e-3);
  }
}

TEST(BandReader, AShiftMovesAScene) {
  Folder folder;
  const Grid g = metricGrid(20, 20, 10);
  writeFloats(folder / "s.tif", g, {plane(g, 1, 0)});
  Scene s = openScene(folder / "s.tif");
  s.maskRecipe.grown = {{{1, 2}, 0.1}};
  moveScene(s, {5, 0});
  EXPECT_EQ(s.maskRecipe.grown[0].place, (Place{6, 2}));
  BandBlock block;
  BandReader(g, {{&s, 0}}).read({0, 0, 20, 20}, block);
  // Half a pixel to the right: each place shows what lay 5 m to its left.
  EXPECT_NEAR(block.values[10 * 20 + 10], 105 - 5, 1e-3);
}

TEST(Regrid, ARowOfANetIsItsPixelsOneByOne) {
  const Grid metric = metricGrid(90, 70, 10);
  Grid degrees = metric;
  const Extent e = *broughtTo(metric.extent(), metric.crs, crsFrom("EPSG:4326"));
  degrees.crs = crsFrom("EPSG:4326");
  degrees.transform = {e.left, (e.right - e.left) / 90, 0, e.top, 0, (e.bottom - e.top) / 70};
  Grid turned = metric;
  turned.transform[2] = 2, turned.transform[4] = 3;
  for (const Grid& source : {metricGrid(33, 41, 25), degrees, turned}) {
    const PixelNet net(metric, source);
    std::vector<Place> row;
    for (const int y : {0, 1, 31, 32, 69}) {
      net.row(y, row);
      ASSERT_EQ(row.size(), 90u);
      for (int x = 0; x < 90; ++x) {
        const Place p = net.at(x, y);
        EXPECT_NEAR(row[static_cast<size_t>(x)].x, p.x, 1e-7);
        EXPECT_NEAR(row[static_cast<size_t>(x)].y, p.y, 1e-7);
      }
    }
  }
}
