#include "feature/feature_reader.h"

#include <algorithm>

#include "base/error.h"
#include "base/nan.h"
#include "grid/crs.h"
#include "grid/halo.h"

namespace zp {
namespace {

std::vector<FeaturePlane> planesIn(const Features& features) {
  std::vector<FeaturePlane> all;
  for (const auto& f : features)
    for (const auto& p : f->planes())
      if (std::find(all.begin(), all.end(), p) == all.end()) all.push_back(p);
  return all;
}

std::shared_ptr<BandReader> readerOf(const Scope& scope, const std::vector<FeaturePlane>& planes) {
  std::vector<BandSource> sources;
  for (const auto& p : planes) sources.push_back({&scope.scenes.at(p.scene).scene, p.band});
  // A formula of numbers alone still needs a grid.
  if (sources.empty()) sources.push_back({&scope.scenes.at(0).scene, 0});
  return std::make_shared<BandReader>(scope.grid, sources);
}

}  // namespace

std::vector<const float*> FeatureBlock::pointers() const {
  std::vector<const float*> all;
  for (size_t i = 0; i < features; ++i) all.push_back(feature(i));
  return all;
}

FeatureReader::FeatureReader(const Scope& scope, Features features, std::shared_ptr<KeptBands> kept)
    : FeatureReader(features, planesIn(features), readerOf(scope, planesIn(features))) {
  reader_->keepIn(std::move(kept));
}

FeatureReader::FeatureReader(Features features, std::vector<FeaturePlane> planes,
                             std::shared_ptr<BandReader> reader)
    : features_(std::move(features)), planes_(std::move(planes)), reader_(std::move(reader)) {
  if (features_.empty()) throw Error("No feature is chosen; choose one or more.");
  planesAlone_ = features_.size() == planes_.size();
  for (size_t i = 0; i < features_.size(); ++i) {
    const Feature& f = *features_[i];
    halo_ = std::max(halo_, f.halo());
    auto& places = places_.emplace_back();
    for (const auto& p : f.planes())
      places.push_back(
          static_cast<size_t>(std::find(planes_.begin(), planes_.end(), p) - planes_.begin()));
    planesAlone_ = planesAlone_ && f.isPlane() && places[0] == i;
  }
}

std::unique_ptr<FeatureReader> FeatureReader::with(Features features) const {
  for (const auto& p : planesIn(features))
    if (std::find(planes_.begin(), planes_.end(), p) == planes_.end()) return nullptr;
  return std::unique_ptr<FeatureReader>(new FeatureReader(std::move(features), planes_, reader_));
}

void FeatureReader::keepInside(const Layer& outline) {
  inside_ = std::make_shared<InsideMask>(outline.shapes, grid());
  if (!inside_->any())
    throw Error("“{}” lies outside the scene; choose another outline.", outline.name);
}

void FeatureReader::keepRest(const TrustedMap& map) {
  const Grid there = RasterFile(map.file).grid();
  const bool both = !there.crs.empty() && !grid().crs.empty();
  const auto extent = both ? broughtTo(there.extent(), there.crs, grid().crs) : there.extent();
  if (!extent || !extent->overlaps(grid().extent()))
    throw Error("“{}” lies elsewhere, so nothing of it can stay as it is; choose another map.",
                map.file.filename().string());
  taken_ = std::make_shared<MapReader>(map, grid());
}

std::vector<const float*> FeatureReader::planesOf(size_t feature, const std::vector<float>& values,
                                                  size_t pixels) const {
  std::vector<const float*> all;
  for (const size_t p : places_[feature]) all.push_back(values.data() + p * pixels);
  return all;
}

void FeatureReader::read(Window w, FeatureBlock& block) const {
  block.window = w;
  block.features = features_.size();
  if (planesAlone_) {
    reader_->readReduced(w, w.width, w.height, block.values);
  } else {
    const Window wider = widened(w, halo_, grid());
    const size_t n = w.pixels(), around = wider.pixels();
    reader_->readReduced(wider, wider.width, wider.height, block.planes);
    block.values.resize(n * features_.size());
    for (size_t i = 0; i < features_.size(); ++i) {
      float* out = block.values.data() + i * n;
      if (halo_ > 0) block.wide.resize(around);
      features_[i]->compute(planesOf(i, block.planes, around), wider.width, wider.height,
                            halo_ > 0 ? block.wide.data() : out, 1);
      if (halo_ > 0) cutTo(w, block.wide.data(), wider, out);
    }
  }
  if (inside_)
    for (size_t i = 0; i < features_.size(); ++i)
      inside_->keep(w, block.values.data() + i * w.pixels());
  if (taken_)
    taken_->each(w, block.taken, [&](size_t pixel, int) {
      for (size_t i = 0; i < features_.size(); ++i) block.values[i * w.pixels() + pixel] = kNan;
    });
}

std::vector<std::vector<float>> FeatureReader::reduced(Window w, int width, int height) const {
  const double scale = static_cast<double>(width) / w.width;
  const Window wider = widened(w, halo_, grid());
  const auto shrunk = [&](int pixels) { return static_cast<int>(pixels * scale + 0.5); };
  const int left = shrunk(w.x - wider.x), top = shrunk(w.y - wider.y);
  const int wide = halo_ == 0 ? width : std::max(left + width, shrunk(wider.width)),
            high = halo_ == 0 ? height : std::max(top + height, shrunk(wider.height));
  std::vector<float> planes;
  reader_->readReduced(wider, wide, high, planes);
  const size_t n = static_cast<size_t>(wide) * static_cast<size_t>(high);
  std::vector<std::vector<float>> all;
  for (size_t i = 0; i < features_.size(); ++i) {
    std::vector<float> values(n);
    features_[i]->compute(planesOf(i, planes, n), wide, high, values.data(), std::min(1.0, scale));
    if (halo_ > 0) {
      std::vector<float> cut(static_cast<size_t>(width) * static_cast<size_t>(height));
      cutTo({left, top, width, height}, values.data(), {0, 0, wide, high}, cut.data());
      values = std::move(cut);
    }
    all.push_back(std::move(values));
  }
  return all;
}

}  // namespace zp
