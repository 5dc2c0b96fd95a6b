#include "shell/overview_maker.h"

#include "base/outputs.h"
#include "base/text.h"
#include "grid/reduced_copy.h"

namespace fs = std::filesystem;

namespace zp {

namespace {
/// The copy's place; empty when none is needed.
fs::path makeCopy(const fs::path& raster, const fs::path& folder, const Progress& progress) {
  if (!needsReducedCopy(RasterFile(raster))) return {};
  std::error_code ignored;
  fs::create_directories(folder, ignored);
  fs::path file = folder / (plainName(raster.stem().string()) + ".tif");
  for (int n = 2; fs::exists(file); ++n)
    file = folder / (plainName(raster.stem().string()) + "-" + std::to_string(n) + ".tif");
  Outputs outputs(false);
  makeReducedCopy(raster, outputs.add(file), progress);
  outputs.commit();
  return file;
}
}  // namespace

void OverviewMaker::want(const fs::path& raster, const fs::path& folder) {
  const QString name = QString::fromStdString(raster.string());
  if (seen_.contains(name)) return;
  seen_ << name;
  background_.add(asked(
      [raster, folder](const Progress& progress) { return makeCopy(raster, folder, progress); },
      [this, name](const fs::path& copy) {
        if (!copy.empty()) Q_EMIT made(name, QString::fromStdString(copy.string()));
      },
      [](const QString&) {}));  // it cannot be made, and is looked at as it is
}

/// The study is left: nothing may be written into it afterwards.
void OverviewMaker::stop() {
  background_.stopAndWait();
  seen_.clear();
}

}  // namespace zp
