#include "scene/band_reader.h"

#include <fmt/format.h>

#include <algorithm>
#include <limits>
#include <numeric>

#include "base/error.h"

namespace zp {

std::vector<const float*> BandBlock::pointers() const {
  std::vector<const float*> p;
  for (size_t i = 0; i < bands; ++i) p.push_back(band(i));
  return p;
}

BandReader::BandReader(const Scene& scene, std::vector<size_t> bands) : grid_(scene.grid) {
  if (bands.empty()) {
    bands.resize(scene.bands.size());
    std::iota(bands.begin(), bands.end(), size_t{0});
  }
  for (size_t b : bands) {
    const auto& band = scene.bands.at(b);
    auto at = std::find_if(files_.begin(), files_.end(),
                           [&](const RasterFile& f) { return f.path() == band.file; });
    if (at == files_.end()) {
      files_.emplace_back(band.file);
      at = files_.end() - 1;
      if (!at->grid().sameAs(grid_))
        throw Error(
            fmt::format("“{}” is not the size the scene had when it was brought in; bring "
                        "the scene in again.",
                        band.file.string()));
    }
    if (band.number > at->bands())
      throw Error(fmt::format("“{}” has no band {} any more; bring the scene in again.",
                              band.file.string(), band.number));
    sources_.push_back({static_cast<size_t>(at - files_.begin()), band.number, band.conversion});
  }
  if (!scene.emptyMask.empty()) mask_ = std::make_unique<RasterFile>(scene.emptyMask);
}

std::vector<Window> BandReader::windows(size_t bytes) const {
  const auto& f = files_.front();
  return planWindows(grid_, f.blockWidth(), f.blockHeight(),
                     std::max<size_t>(1, bytes / (sizeof(float) * sources_.size())));
}

void BandReader::read(Window w, BandBlock& block) const {
  block.window = w;
  block.bands = sources_.size();
  readReduced(w, w.width, w.height, block.values);
}

void BandReader::readReduced(Window w, int width, int height, std::vector<float>& values) const {
  const size_t n = static_cast<size_t>(width) * static_cast<size_t>(height);
  values.resize(n * sources_.size());
  for (size_t i = 0; i < sources_.size(); ++i) {
    const auto& s = sources_[i];
    files_[s.file].read(s.band, w, s.conversion, values.data() + i * n, width, height);
  }
  if (!mask_) return;
  std::vector<uint16_t> empty(n);
  mask_->readCodes(1, w, empty.data(), width, height);
  for (size_t i = 0; i < sources_.size(); ++i)
    for (size_t p = 0; p < n; ++p)
      if (empty[p] == 1) values[i * n + p] = std::numeric_limits<float>::quiet_NaN();
}

}  // namespace zp
