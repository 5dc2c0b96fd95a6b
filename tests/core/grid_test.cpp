#include <geodesic.h>

#include <cmath>
#include <fstream>
#include <numbers>

#include "grid/pixel_area.h"
#include "grid/place_text.h"
#include "grid/reduced_copy.h"
#include "legend/class_map.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

TEST(Grid, ToMapAndBack) {
  Grid g = metricGrid(100, 50);
  g.transform = {500000, 8, 3, 5000000, 2, -9};  // turned
  const Place p = g.toPixel(g.toMap(12.25, 33.5));
  EXPECT_NEAR(p.x, 12.25, 1e-9);
  EXPECT_NEAR(p.y, 33.5, 1e-9);
}

TEST(Grid, WindowsCoverEveryPixelOnce) {
  for (const auto& [bw, bh, budget] :
       {std::tuple{701, 1, 10000}, {256, 256, 100000}, {256, 256, 1000000}, {64, 64, 1}}) {
    const Grid g = metricGrid(701, 533);
    size_t pixels = 0;
    int lastY = 0;
    for (const auto& w : planWindows(g, bw, bh, static_cast<size_t>(budget))) {
      pixels += w.pixels();
      EXPECT_LE(w.x + w.width, g.width);
      EXPECT_LE(w.y + w.height, g.height);
      EXPECT_GE(w.y, lastY);
      lastY = w.y;
    }
    EXPECT_EQ(pixels, g.pixels());
  }
}

TEST(PixelArea, MetricFeetAndNone) {
  Grid g = metricGrid(3, 2, 10);
  EXPECT_EQ(pixelAreas(g), (std::vector<double>{100, 100}));
  g.crs = crsFrom("EPSG:2263");  // US survey feet
  const double foot = 1200.0 / 3937;
  EXPECT_NEAR(pixelAreas(g)[0], 100 * foot * foot, 1e-9);
  g.crs.clear();
  EXPECT_TRUE(pixelAreas(g).empty());
}

TEST(PixelArea, GeographicRowsSumToTheEllipsoid) {
  Grid g;
  g.width = 360, g.height = 180;
  g.transform = {-180, 1, 0, 90, 0, -1};
  g.georeferenced = true;
  g.crs = crsFrom("EPSG:4326");
  double sum = 0;
  for (double a : pixelAreas(g)) sum += 360 * a;
  // Surface of the WGS 84 ellipsoid, from the closed form of its two axes.
  const double a = 6378137.0, f = 1 / 298.257223563, e = std::sqrt(f * (2 - f));
  const double whole = 2 * std::numbers::pi * a * a * (1 + (1 - e * e) / e * std::atanh(e));
  EXPECT_NEAR(sum / whole, 1, 1e-12);
}

/// Grids of pixels of a twentieth of a degree down to a few seconds, near the equator, in the
/// middle and near a pole.
std::vector<Grid> geographicGrids() {
  std::vector<Grid> grids;
  for (const double top : {0.6, -33.0, 51.5, 78.2, -84.0})
    for (const double step : {0.05, 1.0 / 360, 1.0 / 3600}) {
      Grid g;
      g.width = 3, g.height = 40;
      g.transform = {-3.4, step, 0, top, 0, -step};
      g.georeferenced = true;
      g.crs = crsFrom("EPSG:4326");
      grids.push_back(g);
    }
  return grids;
}

TEST(PixelArea, AgreesWithAnIntegrationOverTheEllipsoid) {
  // The element of area is M N cos φ dφ dλ, with M and N the radii of curvature.
  const double a = 6378137.0, f = 1 / 298.257223563, e2 = f * (2 - f);
  const auto element = [&](double lat) {
    const double w = 1 - e2 * std::sin(lat) * std::sin(lat);
    return a * a * (1 - e2) / (w * w) * std::cos(lat);
  };
  for (const Grid& g : geographicGrids()) {
    const auto areas = pixelAreas(g);
    const double step = g.transform[1], rad = std::numbers::pi / 180;
    for (int row = 0; row < g.height; ++row) {
      const double south = (g.transform[3] - (row + 1) * step) * rad, h = step * rad / 8;
      double sum = 0;  // Simpson
      for (int i = 0; i < 8; i += 2)
        sum += h / 3 *
               (element(south + i * h) + 4 * element(south + (i + 1) * h) +
                element(south + (i + 2) * h));
      EXPECT_NEAR(areas[static_cast<size_t>(row)] / (sum * step * rad), 1, 1e-6);
    }
  }
}

TEST(PixelArea, AgreesWithGeodesicPolygons) {
  geod_geodesic ellipsoid;
  geod_init(&ellipsoid, 6378137.0, 1 / 298.257223563);
  for (const Grid& g : geographicGrids()) {
    const auto areas = pixelAreas(g);
    for (int row : {0, g.height / 2, g.height - 1}) {
      // Along the parallels many corners: a geodesic bends away from them.
      geod_polygon polygon;
      geod_polygon_init(&polygon, 0);
      const Place nw = g.toMap(0, row), se = g.toMap(1, row + 1);
      constexpr int kParts = 64;
      for (int i = 0; i <= kParts; ++i)
        geod_polygon_addpoint(&ellipsoid, &polygon, se.y, nw.x + (se.x - nw.x) * i / kParts);
      for (int i = kParts; i >= 0; --i)
        geod_polygon_addpoint(&ellipsoid, &polygon, nw.y, nw.x + (se.x - nw.x) * i / kParts);
      double area = 0, perimeter = 0;
      geod_polygon_compute(&ellipsoid, &polygon, 0, 1, &area, &perimeter);
      EXPECT_NEAR(areas[static_cast<size_t>(row)] / area, 1, 1e-6) << nw.y << " " << nw.x;
    }
  }
}

TEST(RasterFile, NoDataIsComparedInTheFilesOwnType) {
  Folder folder;
  const Grid g = metricGrid(3, 1);
  writeFloats(folder / "f.tif", g, {{-3.4028235e38f, 1.5f, -9999}}, {}, -3.4028234663852886e38);
  const auto v = readFloats(folder / "f.tif");
  EXPECT_TRUE(std::isnan(v[0]));
  EXPECT_EQ(v[1], 1.5f);
  EXPECT_EQ(v[2], -9999);
  writeCodes(folder / "i.tif", g, {65535, 0, 7}, NumberType::UInt16, 65535);
  const auto i = readFloats(folder / "i.tif");
  EXPECT_TRUE(std::isnan(i[0]));
  EXPECT_EQ(i[1], 0);
}

TEST(RasterFile, ScaleAndOffset) {
  Folder folder;
  RasterSpec spec;
  spec.grid = metricGrid(2, 1);
  spec.type = NumberType::UInt16;
  spec.nodata = 0;
  spec.bands.resize(1);
  spec.bands[0].scale = 0.0000275;
  spec.bands[0].offset = -0.2;
  RasterWriter writer(folder / "s.tif", spec);
  writer.writeCodes(1, {0, 0, 2, 1}, {0, 20000});
  writer.finish();
  const auto v = readFloats(folder / "s.tif");
  EXPECT_TRUE(std::isnan(v[0]));
  EXPECT_EQ(v[1], static_cast<float>(20000 * 0.0000275 - 0.2));
}

TEST(RasterFile, BadInputIsSaidInOneSentence) {
  Folder folder;
  std::ofstream(folder / "text.tif") << "not a raster";
  EXPECT_NE(sentenceOf([&] { RasterFile(folder / "text.tif"); }).find("is not a raster"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { RasterFile(folder / "none.tif"); }).find("does not exist"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { RasterFile("/vsicurl/x.tif"); }).find("not a local file"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] { RasterFile("https://a.example/x.tif"); }).find("not a local file"),
            std::string::npos);
}

TEST(RasterFile, ATruncatedFileIsFoundOut) {
  Folder folder;
  std::vector<float> noise(600 * 600);
  for (size_t i = 0; i < noise.size(); ++i) noise[i] = static_cast<float>((i * 7919) % 10007);
  writeFloats(folder / "t.tif", metricGrid(600, 600), {noise});
  std::filesystem::resize_file(folder / "t.tif", std::filesystem::file_size(folder / "t.tif") / 2);
  const std::string s = sentenceOf([&] { readFloats(folder / "t.tif"); });
  EXPECT_TRUE(s.find("damaged") != std::string::npos ||
              s.find("is not a raster") != std::string::npos)
      << s;
}

TEST(RasterFile, AVirtualRasterCannotReachTheNetwork) {
  Folder folder;
  std::ofstream(folder / "v.vrt")
      << R"(<VRTDataset rasterXSize="2" rasterYSize="2"><VRTRasterBand dataType="Byte" band="1">
<SimpleSource><SourceFilename relativeToVRT="0">/vsicurl/http://127.0.0.1:9/x.tif</SourceFilename><SourceBand>1</SourceBand>
</SimpleSource></VRTRasterBand></VRTDataset>)";
  EXPECT_NE(sentenceOf([&] { RasterFile(folder / "v.vrt"); }), "");
}

TEST(ClassMap, CarriesNamesAndColours) {
  Folder folder;
  Legend legend;
  legend.add({3, "Saltmarsh", colourFrom("#928e5c"), "", {}});
  legend.add({7, "Ploughland", colourFrom("#d8b074"), "", {}});
  RasterWriter writer(folder / "m.tif", classMapSpec(metricGrid(4, 1), legend, "cover"));
  writer.writeCodes(1, {0, 0, 4, 1}, {3, 7, 7, 0});
  writer.finish();
  std::filesystem::remove(folder / "m.tif.aux.xml");  // names are kept in the file itself too
  const Legend back = legendOf(RasterFile(folder / "m.tif"));
  ASSERT_EQ(back.classes.size(), 2u);
  EXPECT_EQ(back.find(3)->name, "Saltmarsh");
  EXPECT_EQ(colourText(back.find(7)->colour), "#d8b074");
  const auto areas = classAreas(folder / "m.tif");
  ASSERT_EQ(areas.size(), 2u);
  EXPECT_EQ(areas[1].pixels, 2u);
  EXPECT_EQ(areas[1].area, 200);
}

TEST(ClassMap, CodesAbove255AndClassesWithoutPixels) {
  Folder folder;
  Legend legend;
  legend.addMissing(300, "Far");
  legend.addMissing(2, "Near");
  RasterWriter writer(folder / "m.tif", classMapSpec(metricGrid(2, 1), legend, "cover"));
  writer.writeCodes(1, {0, 0, 2, 1}, {300, 300});
  writer.finish();
  const auto areas = classAreas(folder / "m.tif");
  ASSERT_EQ(areas.size(), 2u);
  EXPECT_EQ(areas[0].name, "Near");
  EXPECT_EQ(areas[0].pixels, 0u);
  EXPECT_EQ(areas[1].pixels, 2u);
}

TEST(Legend, RefusesWrongCodesAndColours) {
  Legend legend;
  legend.addMissing(1, "a");
  EXPECT_NE(sentenceOf([&] {
              legend.add({1, "b", {}, "", {}});
            }).find("already"),
            std::string::npos);
  EXPECT_NE(sentenceOf([&] {
              legend.add({70000, "b", {}, "", {}});
            }).find("1 to 65535"),
            std::string::npos);
  EXPECT_NE(sentenceOf([] { colourFrom("#12345"); }).find("#rrggbb"), std::string::npos);
  EXPECT_NE(sentenceOf([] { classCode("2.5", "row 1"); }).find("row 1"), std::string::npos);
  EXPECT_EQ(classCode("4.0", ""), 4);
  EXPECT_NE(sentenceOf([] { classCode("1e184", "row 2"); }).find("row 2"), std::string::npos);
}

TEST(Legend, FileAndBack) {
  Folder folder;
  Legend legend;
  legend.add({5, "Osier bed", colourFrom("#689658"), "Willow", {{"young"}, {"old"}}});
  writeLegend(folder / "l.json", legend);
  const Legend back = readLegend(folder / "l.json");
  EXPECT_EQ(toJson(back), toJson(legend));
}

}  // namespace
}  // namespace zp

namespace zp {
namespace {

TEST(PlaceText, UsualWritings) {
  const auto one = [](const std::string& text) {
    const auto all = placesIn(text);
    return all.empty() ? WrittenPlace{{-999, -999}, false} : all[0];
  };
  const struct {
    const char* text;
    double x, y;
    bool degrees;
  } cases[] = {{"3°30'15\"W 50°12'N", -3.504166667, 50.2, true},
               {"50°12′0″N, 3°30′15″W", -3.504166667, 50.2, true},
               {"N 50.2 W 3.5", -3.5, 50.2, true},
               {"50.2N 3.5W", -3.5, 50.2, true},
               {"-3.5 50.2", -3.5, 50.2, true},
               {"120.5, -33.25", 120.5, -33.25, true},
               {"312345 E 5612345 N", 312345, 5612345, false},
               {"5612345 N 312345 E", 312345, 5612345, false},
               {"312345.5; 5612345", 312345.5, 5612345, false}};
  for (const auto& c : cases) {
    const WrittenPlace p = one(c.text);
    EXPECT_NEAR(p.place.x, c.x, 1e-8) << c.text;
    EXPECT_NEAR(p.place.y, c.y, 1e-8) << c.text;
    EXPECT_EQ(p.degrees, c.degrees) << c.text;
  }
  // Two small numbers can be meant either way round.
  ASSERT_EQ(placesIn("50.2 -3.5").size(), 2u);
  EXPECT_EQ(placesIn("50.2 -3.5")[1].place.x, -3.5);
  for (const char* none :
       {"", "reed", "3", "1 2 3", "3°70'W 50°N", "3 W 4 E", "3 W 4", "ndvi 2", "°"})
    EXPECT_TRUE(placesIn(none).empty()) << none;
}

TEST(ReducedCopy, IsLookedAtFromAfarAndOnlyWhenItIsOfThisRaster) {
  Folder folder;
  RasterSpec spec;
  spec.grid = metricGrid(4400, 4000);
  spec.type = NumberType::UInt16;
  spec.nodata = 0;
  spec.bands.resize(2);
  for (auto& b : spec.bands) b.scale = 0.5;
  const fs::path file = folder / "large.tif", copy = folder / "copy.tif";
  {
    RasterWriter writer(file, spec);
    std::vector<uint16_t> rows;
    for (int y = 0; y < 4000; y += 256) {
      const Window w{0, y, 4400, std::min(256, 4000 - y)};
      rows.assign(w.pixels(), 10);
      for (size_t i = 0; i < rows.size(); ++i)
        if (i % 4400 >= 2200) rows[i] = 30;
      writer.writeCodes(1, w, rows);
      for (auto& v : rows) v = v == 30 ? 0 : 8;
      writer.writeCodes(2, w, rows);
    }
    writer.finish();
  }
  RasterFile raster(file);
  ASSERT_TRUE(needsReducedCopy(raster));
  makeReducedCopy(file, copy);
  EXPECT_EQ(folder.names(), (std::vector<std::string>{"copy.tif", "large.tif"}));
  ASSERT_TRUE(raster.lookFrom(copy));
  std::vector<float> look(44 * 40);
  for (const int band : {1, 2}) {
    raster.read(band, {0, 0, 4400, 4000}, look.data(), 44, 40);
    for (size_t i = 0; i < look.size(); ++i) {
      const size_t column = i % 44;
      if (column == 21 || column == 22) continue;  // beside the border
      const bool left = column < 22;
      if (band == 2 && !left)
        EXPECT_TRUE(std::isnan(look[i]));
      else
        EXPECT_EQ(look[i], band == 2 ? 4 : left ? 5 : 15);
    }
    // A part of it, on its place.
    raster.read(band, {2000, 1000, 400, 400}, look.data(), 40, 40);
    EXPECT_EQ(look[0], band == 1 ? 5 : 4);
    EXPECT_TRUE(band == 1 ? look[39] == 15 : std::isnan(look[39]));
  }
  // Another raster's copy, or one of the raster as it was before, is none; a clock that was set
  // back in between makes no difference.
  writeFloats(folder / "other.tif", metricGrid(50, 50), {std::vector<float>(2500, 1)});
  EXPECT_FALSE(RasterFile(folder / "other.tif").lookFrom(copy));
  const auto written = fs::last_write_time(file);
  for (const auto since : {std::chrono::seconds(5), std::chrono::seconds(-86400)}) {
    fs::last_write_time(file, written + since);
    EXPECT_FALSE(RasterFile(file).lookFrom(copy));
  }
  fs::last_write_time(file, written);
  EXPECT_TRUE(RasterFile(file).lookFrom(copy));
  Progress cancelled;
  cancelled.cancel();
  EXPECT_THROW(makeReducedCopy(file, folder / "no.tif", cancelled), Cancelled);
  EXPECT_EQ(folder.names().size(), 3u);
}

TEST(ReadSampled, SomeRowsOfBlocksStandForAll) {
  Folder folder;
  RasterSpec spec;
  spec.grid = metricGrid(9000, 6000);
  spec.type = NumberType::Byte;
  spec.bands.resize(1);
  {
    RasterWriter writer(folder / "l.tif", spec);
    for (int y = 0; y < 6000; y += 256) {
      const Window w{0, y, 9000, std::min(256, 6000 - y)};
      std::vector<uint16_t> rows(w.pixels());
      for (size_t i = 0; i < rows.size(); ++i)
        rows[i] = static_cast<uint16_t>(1 + i % 9000 / 3000 +
                                        (y + static_cast<int>(i / 9000) >= 3072 ? 100 : 0));
      writer.writeCodes(1, w, rows);
    }
    writer.finish();
  }
  const RasterFile raster(folder / "l.tif");
  std::vector<float> look(90 * 60);
  raster.readSampled(1, {0, 0, 9000, 6000}, raster.conversion(1), look.data(), 90, 60);
  for (size_t r = 0; r < 60; ++r) {
    if (r > 22 && r < 40) continue;  // where the border lies, stretched
    for (size_t c = 0; c < 90; ++c)
      EXPECT_EQ(look[r * 90 + c], static_cast<float>(1 + c / 30 + (r >= 40 ? 100 : 0))) << r << c;
  }
}

}  // namespace
}  // namespace zp
