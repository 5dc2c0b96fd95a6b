#include "index/threshold.h"

#include <fmt/format.h>

#include <cmath>

#include "base/error.h"
#include "grid/block_pipeline.h"
#include "grid/shared_raster.h"
#include "legend/class_map.h"

namespace zp {
namespace {

struct ThresholdBlock {
  Window window;
  std::vector<float> values;
  std::vector<double> wide;
  std::vector<uint16_t> codes;
};

template <class T>
void classify(const std::vector<T>& values, const std::vector<T>& thresholds,
              const std::vector<uint16_t>& codes, std::vector<uint16_t>& out) {
  out.resize(values.size());
  for (size_t i = 0; i < values.size(); ++i) {
    size_t c = 0;
    for (const T t : thresholds) c += values[i] >= t ? 1 : 0;
    out[i] = std::isnan(values[i]) ? uint16_t{0} : codes[c];
  }
}

}  // namespace

void requireRising(const std::vector<double>& thresholds, const Legend& legend) {
  for (size_t i = 1; i < thresholds.size(); ++i)
    if (!(thresholds[i] > thresholds[i - 1]))
      throw Error("The thresholds have to rise, but {} is not above {}.", thresholds[i],
                  thresholds[i - 1]);
  if (thresholds.empty() || legend.classes.size() != thresholds.size() + 1)
    throw Error("Thresholds: {}; names: {}. One name more than thresholds is needed.",
                thresholds.size(), legend.classes.size());
}

void thresholdToClasses(const std::filesystem::path& raster, int band,
                        const std::vector<double>& thresholds, const Legend& legend,
                        const std::filesystem::path& temporary, const Progress& progress) {
  requireRising(thresholds, legend);
  SharedRaster rasters(raster);
  const RasterFile& file = rasters.first();
  if (band < 1 || band > file.bands())
    throw Error("“{}” has no band {}; it has {}.", raster.string(), band, file.bands());
  const NumberType type = file.facts(band).type;
  const bool wide =
      type == NumberType::Float64 || type == NumberType::Int32 || type == NumberType::UInt32;
  std::vector<uint16_t> codes;
  for (const auto& c : legend.classes) codes.push_back(static_cast<uint16_t>(c.code));
  const std::vector<float> narrow(thresholds.begin(), thresholds.end());

  RasterWriter writer(temporary, classMapSpec(file.grid(), legend, "classes"));
  forEachBlock<ThresholdBlock>(
      planWindows(file.grid(), file.blockWidth(), file.blockHeight(), size_t{2} << 20), progress,
      [&](Window w, ThresholdBlock& b) {
        b.window = w;
        if (wide) {
          b.wide.resize(w.pixels());
          rasters.borrow()->readWide(band, w, file.conversion(band), b.wide.data());
          classify(b.wide, thresholds, codes, b.codes);
        } else {
          b.values.resize(w.pixels());
          rasters.borrow()->read(band, w, b.values.data());
          classify(b.values, narrow, codes, b.codes);
        }
      },
      [&](ThresholdBlock& b) { writer.writeCodes(1, b.window, b.codes); });
  writer.finish();
}

}  // namespace zp
