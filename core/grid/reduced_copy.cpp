#include "grid/reduced_copy.h"

#include <gdal_priv.h>

#include <vector>

#include "base/disk_space.h"
#include "base/error.h"
#include "grid/dataset.h"
#include "grid/gdal_start.h"

namespace fs = std::filesystem;

namespace zp {
namespace {

constexpr size_t kLarge = 16'000'000;

int CPL_STDCALL report(double share, const char*, void* of) {
  const auto& progress = *static_cast<const Progress*>(of);
  if (progress.cancelled()) return FALSE;
  progress.at(share);
  return TRUE;
}

/// The library writes overviews of a virtual raster beside it, wherever its source lies.
void buildBeside(GDALDataset& source, const fs::path& vrt, const Progress& progress) {
  GdalMessages messages;
  auto* driver = GetGDALDriverManager()->GetDriverByName("VRT");
  {
    const Dataset made(driver->CreateCopy(vrt.c_str(), &source, FALSE, nullptr, nullptr, nullptr));
    if (!made) throw Error(notWritten(Sentence("A reduced copy"), vrt, messages.last()));
  }
  const Dataset copy(static_cast<GDALDataset*>(
      GDALOpenEx(vrt.c_str(), GDAL_OF_RASTER | GDAL_OF_READONLY, nullptr, nullptr, nullptr)));
  if (!copy) throw Error(notWritten(Sentence("A reduced copy"), vrt, messages.last()));
  std::vector<int> levels;
  const int longest = std::max(copy->GetRasterXSize(), copy->GetRasterYSize());
  for (int f = 4; f == 4 || longest / f >= 256; f *= 2) levels.push_back(f);
  const CPLErr result =
      copy->BuildOverviews("AVERAGE", static_cast<int>(levels.size()), levels.data(), 0, nullptr,
                           &report, const_cast<Progress*>(&progress));
  progress.check();
  if (result != CE_None || messages.failed())
    throw Error(notWritten(Sentence("A reduced copy"), vrt, messages.last()));
}

}  // namespace

bool needsReducedCopy(const RasterFile& raster) {
  if (raster.grid().pixels() <= kLarge || raster.hasOverviews()) return false;
  for (int b = 1; b <= raster.bands(); ++b)
    if (raster.facts(b).masked || raster.facts(b).alpha) return false;  // a mask has no copies
  return true;
}

void makeReducedCopy(const fs::path& raster, const fs::path& temporary, const Progress& progress) {
  startGdal();
  const fs::path vrt = temporary.string() + ".vrt", made = vrt.string() + ".ovr";
  const auto clean = [&] {
    std::error_code ignored;
    fs::remove(vrt, ignored);
    fs::remove(made, ignored);
  };
  CPLSetThreadLocalConfigOption("COMPRESS_OVERVIEW", "DEFLATE");
  try {
    const RasterFile check(raster);  // says what is wrong with it
    std::error_code ignored;
    const auto written = fs::last_write_time(raster, ignored);
    GdalMessages messages;
    const Dataset source(static_cast<GDALDataset*>(
        GDALOpenEx(raster.c_str(), GDAL_OF_RASTER | GDAL_OF_READONLY, nullptr, nullptr, nullptr)));
    if (!source) throw Error("A raster went away while it was read.");
    buildBeside(*source, vrt, progress);
    fs::rename(made, temporary);
    // By which it is known again, whatever the clock says.
    fs::last_write_time(temporary, written, ignored);
  } catch (...) {
    CPLSetThreadLocalConfigOption("COMPRESS_OVERVIEW", nullptr);
    clean();
    throw;
  }
  CPLSetThreadLocalConfigOption("COMPRESS_OVERVIEW", nullptr);
  clean();
}

}  // namespace zp
