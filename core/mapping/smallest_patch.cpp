#include "mapping/smallest_patch.h"

#include <algorithm>

#include "base/error.h"
#include "legend/class_map.h"
#include "mapping/patches.h"

namespace zp {
namespace {

/// Writes the runs with the classes of their patches; how many pixels are not what they were.
size_t write(const Runs& runs, Patches& patches, const RasterFile& before, RasterWriter& writer,
             const Progress& progress) {
  const int rows = std::max(1, before.blockHeight());
  size_t changed = 0;
  std::vector<uint16_t> codes, was;
  for (int y = 0; y < runs.height(); y += rows) {
    const Window w{0, y, runs.width(), std::min(rows, runs.height() - y)};
    codes.resize(w.pixels());
    was.resize(w.pixels());
    auto out = codes.begin();
    for (int r = y; r < y + w.height; ++r)
      runs.eachIn(r, [&](const Runs::Run& run) {
        out = std::fill_n(out, run.to - run.from, patches.code(patches.first(run.number)));
      });
    before.readCodes(1, w, was.data());
    for (size_t i = 0; i < codes.size(); ++i) changed += codes[i] != was[i] ? 1 : 0;
    writer.writeCodes(1, w, codes);
    progress.at(static_cast<double>(y + w.height) / runs.height());
  }
  return changed;
}

}  // namespace

size_t removeSmallPatches(const std::filesystem::path& map, size_t smallest,
                          PatchNeighbours neighbours, const std::filesystem::path& temporary,
                          const Progress& progress) {
  constexpr size_t kMost = 1'000'000'000;
  if (smallest < 2 || smallest > kMost)
    throw Error("The smallest patch has 2 pixels or more; {} changes nothing.", smallest);
  const RasterFile file(map);
  classBand(file);
  Runs runs(file, progress.part(0, 0.3));
  Patches patches(runs, neighbours);
  progress.at(0.4);
  mergeSmall(patches, runs.count(), static_cast<uint32_t>(smallest), progress.part(0.4, 0.8));
  RasterWriter writer(temporary, classMapSpec(file.grid(), legendOf(file), "classes"));
  const size_t changed = write(runs, patches, file, writer, progress.part(0.8, 1));
  writer.finish();
  return changed;
}

}  // namespace zp
