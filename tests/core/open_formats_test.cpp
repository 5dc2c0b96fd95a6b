// The open raster formats that scenes come in, each written by GDAL itself.
#include <gdal_priv.h>

#include <fstream>

#include "grid/gdal_start.h"
#include "scene/band_reader.h"
#include "scene/group_files.h"
#include "support/rasters.h"

namespace zp {
namespace {

using namespace zp::testing;

class OpenFormats : public ::testing::Test {
 protected:
  static constexpr int kWidth = 40, kHeight = 30;

  /// Three bands of bytes in one plain file; the value of a pixel is column + row + 10 x band.
  fs::path plain(int bands = 3) {
    const Grid g = metricGrid(kWidth, kHeight);
    RasterSpec spec{g, NumberType::Byte, {}, {}, {}};
    spec.bands.resize(static_cast<size_t>(bands));
    RasterWriter writer(folder_ / "plain.tif", spec);
    for (int b = 1; b <= bands; ++b) {
      std::vector<uint16_t> codes(g.pixels());
      for (size_t i = 0; i < codes.size(); ++i)
        codes[i] = static_cast<uint16_t>(i % kWidth + i / kWidth + static_cast<size_t>(10 * b));
      writer.writeCodes(b, {0, 0, kWidth, kHeight}, codes);
    }
    writer.finish();
    return folder_ / "plain.tif";
  }
  /// The same in another format.
  fs::path as(const char* driver, const std::string& name, std::vector<const char*> options = {}) {
    startGdal();
    options.push_back(nullptr);
    auto* format = GetGDALDriverManager()->GetDriverByName(driver);
    EXPECT_NE(format, nullptr) << driver;
    if (format == nullptr) return {};
    std::unique_ptr<GDALDataset> source(GDALDataset::Open(plain().c_str()));
    const fs::path file = folder_ / name;
    std::unique_ptr<GDALDataset> made(format->CreateCopy(file.c_str(), source.get(), false,
                                                         const_cast<char**>(options.data()),
                                                         nullptr, nullptr));
    EXPECT_NE(made, nullptr) << driver;
    return file;
  }
  void expectTheScene(const fs::path& file, float tolerance = 0, bool system = true) {
    const Scene s = openScene(file);
    ASSERT_EQ(s.bands.size(), 3u) << file;
    EXPECT_EQ(s.grid.width, kWidth);
    EXPECT_EQ(s.grid.height, kHeight);
    EXPECT_TRUE(s.grid.georeferenced);
    EXPECT_NEAR(s.grid.extent().left, 500000, 1e-6);
    EXPECT_NEAR(s.grid.extent().top, 5000000, 1e-6);
    EXPECT_EQ(s.grid.crs.empty(), !system);
    BandBlock block;
    BandReader(s, {}).read({0, 0, kWidth, kHeight}, block);
    for (size_t b = 0; b < 3; ++b)
      for (size_t i = 0; i < s.grid.pixels(); ++i)
        ASSERT_NEAR(block.band(b)[i],
                    static_cast<float>(i % kWidth + i / kWidth + 10 * (b + 1)), tolerance)
            << file << " band " << b << " pixel " << i;
  }
  Folder folder_;
};

TEST_F(OpenFormats, CloudOptimisedGeoTiff) {
  expectTheScene(as("COG", "s.tif"));
}
TEST_F(OpenFormats, Jpeg2000) {
  expectTheScene(as("JP2OpenJPEG", "s.jp2", {"REVERSIBLE=YES", "QUALITY=100"}));
}
TEST_F(OpenFormats, VirtualRaster) {
  expectTheScene(as("VRT", "s.vrt"));
}
TEST_F(OpenFormats, PngWithAWorldFile) {
  const fs::path file = as("PNG", "s.png");
  fs::remove(file.string() + ".aux.xml");
  std::ofstream(folder_ / "s.pgw") << "10\n0\n0\n-10\n500005\n4999995\n";
  expectTheScene(file, 0, false);
}
TEST_F(OpenFormats, JpegWithAWorldFile) {
  const fs::path file = as("JPEG", "s.jpg", {"QUALITY=100"});
  fs::remove(file.string() + ".aux.xml");
  std::ofstream(folder_ / "s.jgw") << "10\n0\n0\n-10\n500005\n4999995\n";
  expectTheScene(file, 6, false);
}
TEST_F(OpenFormats, NetCdf) {
  // One variable a band: they come in together, under their own names.
  const fs::path file = as("netCDF", "s.nc");
  const auto parts = rastersIn(file);
  ASSERT_EQ(parts.size(), 3u);
  EXPECT_EQ(parts[1].filename(), "s.nc:Band2");
  expectTheScene(file);
  EXPECT_EQ(openScene(file).bands[2].name, "Band3");
  EXPECT_EQ(groupFiles({file}).size(), 1u);
  const Scene again = sceneFrom(toJson(openScene(file), folder_.path()), folder_.path());
  EXPECT_EQ(again.bands[1].file, file.string() + ":Band2");
  EXPECT_NE(sentenceOf([&] { RasterFile(file.string() + ":Tea"); }), "");
  EXPECT_NE(sentenceOf([&] { RasterFile(file.string() + ":\"Band1\""); }), "");
  EXPECT_NE(sentenceOf([&] { RasterFile(folder_ / "gone.nc:Band1"); }).find("does not exist"),
            std::string::npos);
}

TEST_F(OpenFormats, AVirtualRasterOfGoneOrDistantFilesIsRefused) {
  const fs::path file = as("VRT", "s.vrt");
  fs::remove(folder_ / "plain.tif");
  EXPECT_NE(sentenceOf([&] { openScene(file); }), "");
  std::ofstream(folder_ / "far.vrt")
      << "<VRTDataset rasterXSize=\"4\" rasterYSize=\"4\"><VRTRasterBand dataType=\"Byte\" "
         "band=\"1\"><SimpleSource><SourceFilename>/vsicurl/http://no.example/x.tif"
         "</SourceFilename><SourceBand>1</SourceBand></SimpleSource></VRTRasterBand></VRTDataset>";
  EXPECT_NE(sentenceOf([&] { openScene(folder_ / "far.vrt"); }), "");
}

TEST_F(OpenFormats, FilesThatAreCutShortAreFoundOut) {
  for (const char* name : {"s.tif", "s.jp2", "s.png"}) {
    const fs::path file = std::string(name) == "s.tif"   ? as("COG", name)
                          : std::string(name) == "s.jp2" ? as("JP2OpenJPEG", name)
                                                         : as("PNG", name);
    fs::resize_file(file, fs::file_size(file) / 2);
    EXPECT_NE(sentenceOf([&] { openScene(file); }), "") << name;
  }
}

}  // namespace
}  // namespace zp
