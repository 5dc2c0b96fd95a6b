#include "grid/regrid.h"

#include <fmt/format.h>
#include <gdal_alg.h>
#include <gdal_priv.h>
#include <gdalwarper.h>

#include <algorithm>
#include <cmath>
#include <limits>
#include <memory>

#include "base/error.h"
#include "base/nan.h"
#include "grid/crs.h"
#include "grid/dataset.h"
#include "grid/gdal_start.h"

namespace zp {
namespace {

/// A dataset over values in memory, which stay the caller's.
Dataset overValues(const float* values, const Grid& grid) {
  GDALDriver* driver = GetGDALDriverManager()->GetDriverByName("MEM");
  Dataset d(driver->Create("", grid.width, grid.height, 0, GDT_Float32, nullptr));
  CPLStringList options;
  options.SetNameValue("DATAPOINTER",
                       fmt::format("{}", reinterpret_cast<uintptr_t>(values)).c_str());
  d->AddBand(GDT_Float32, options.List());
  d->SetGeoTransform(const_cast<double*>(grid.transform.data()));
  if (!grid.crs.empty()) d->SetProjection(grid.crs.c_str());
  return d;
}

struct Transformer {
  void* exact;
  void* near;
  Transformer(GDALDataset* from, GDALDataset* to)
      : exact(GDALCreateGenImgProjTransformer2(from, to, nullptr)),
        near(exact == nullptr
                 ? nullptr
                 : GDALCreateApproxTransformer(&GDALGenImgProjTransform, exact, 0.05)) {
    if (near == nullptr)
      throw Error(
          "No way leads from one reference system to the other; give the layer its right "
          "one.");
  }
  ~Transformer() {
    GDALDestroyApproxTransformer(near);
    GDALDestroyGenImgProjTransformer(exact);
  }
  Transformer(const Transformer&) = delete;
  Transformer& operator=(const Transformer&) = delete;
};

}  // namespace

Grid pieceOf(const Grid& grid, Window w, int width, int height) {
  Grid piece = grid;
  const Place corner = grid.toMap(w.x, w.y);
  const double across = static_cast<double>(w.width) / width,
               down = static_cast<double>(w.height) / height;
  const auto& t = grid.transform;
  piece.transform = {corner.x, t[1] * across, t[2] * down, corner.y, t[4] * across, t[5] * down};
  piece.width = width, piece.height = height;
  return piece;
}

PixelNet::PixelNet(const Grid& piece, const Grid& source)
    : width_(piece.width),
      height_(piece.height),
      sourceWidth_(source.width),
      sourceHeight_(source.height) {
  const bool both = !piece.crs.empty() && !source.crs.empty();
  const CrsChange change(both ? piece.crs : "", both ? source.crs : "");
  step_ = change.identity() ? std::max(width_, height_) : 32;
  columns_ = width_ / step_ + 2;
  const int rows = height_ / step_ + 2;
  for (int r = 0; r < rows; ++r)
    for (int c = 0; c < columns_; ++c) {
      Place p = piece.toMap(static_cast<double>(c) * step_, static_cast<double>(r) * step_);
      net_.push_back(change.apply(p) ? source.toPixel(p) : Place{kNan, kNan});
    }
}

Place PixelNet::at(int x, int y) const {
  const double fx = (x + 0.5) / step_, fy = (y + 0.5) / step_;
  const int c = static_cast<int>(fx), r = static_cast<int>(fy);
  const double u = fx - c, v = fy - r;
  const Place* n = net_.data() + r * columns_ + c;
  const auto mixed = [&](double a, double b, double e, double d) {
    return (a * (1 - u) + b * u) * (1 - v) + (e * (1 - u) + d * u) * v;
  };
  return {mixed(n[0].x, n[1].x, n[columns_].x, n[columns_ + 1].x),
          mixed(n[0].y, n[1].y, n[columns_].y, n[columns_ + 1].y)};
}

void PixelNet::row(int y, std::vector<Place>& places) const {
  places.resize(static_cast<size_t>(width_));
  const double fy = (y + 0.5) / step_;
  const int r = static_cast<int>(fy);
  const double v = fy - r;
  const auto edge = [&](int c) {
    const Place& above = net_[static_cast<size_t>(r * columns_ + c)];
    const Place& below = net_[static_cast<size_t>((r + 1) * columns_ + c)];
    return Place{above.x + (below.x - above.x) * v, above.y + (below.y - above.y) * v};
  };
  for (int x = 0; x < width_; x += step_) {
    const Place a = edge(x / step_), b = edge(x / step_ + 1);
    const double dx = (b.x - a.x) / step_, dy = (b.y - a.y) / step_;
    for (int i = 0; i < std::min(step_, width_ - x); ++i)
      places[static_cast<size_t>(x + i)] = {a.x + dx * (i + 0.5), a.y + dy * (i + 0.5)};
  }
}

Window PixelNet::window(int margin) const {
  double x0 = 1e30, y0 = 1e30, x1 = -1e30, y1 = -1e30;
  const auto grow = [&](int x, int y) {
    const Place p = at(x, y);
    if (std::isnan(p.x)) return;
    x0 = std::min(x0, p.x), x1 = std::max(x1, p.x), y0 = std::min(y0, p.y), y1 = std::max(y1, p.y);
  };
  const auto along = [&](int length) { return std::max(1, std::min(step_, length - 1)); };
  for (int y = 0; y < height_; y += along(height_))
    for (int x = 0; x < width_; x += along(width_)) grow(x, y);
  for (int y = 0; y < height_; y += along(height_)) grow(width_ - 1, y);
  for (int x = 0; x < width_; x += along(width_)) grow(x, height_ - 1);
  grow(width_ - 1, height_ - 1);
  const auto clamped = [](double v, int most) {
    return static_cast<int>(std::clamp(v, 0.0, static_cast<double>(most)));
  };
  const int left = clamped(std::floor(x0) - margin, sourceWidth_),
            top = clamped(std::floor(y0) - margin, sourceHeight_),
            right = clamped(std::ceil(x1) + margin, sourceWidth_),
            bottom = clamped(std::ceil(y1) + margin, sourceHeight_);
  return {left, top, std::max(0, right - left), std::max(0, bottom - top)};
}

double PixelNet::reduction() const {
  // Between the first places of the net, which are there for a single pixel too.
  const Place &a = net_[0], &b = net_[1], &c = net_[static_cast<size_t>(columns_)];
  const double across = std::hypot(b.x - a.x, b.y - a.y) / step_,
               down = std::hypot(c.x - a.x, c.y - a.y) / step_;
  return std::isfinite(across + down) ? std::max({1.0, across, down}) : 1.0;
}

void resample(const float* from, const Grid& fromGrid, float* to, const Grid& toGrid,
              Resampling resampling) {
  startGdal();
  GdalMessages messages;
  std::fill(to, to + toGrid.pixels(), std::numeric_limits<float>::quiet_NaN());
  const Dataset source = overValues(from, fromGrid), target = overValues(to, toGrid);
  const Transformer transformer(source.get(), target.get());
  std::unique_ptr<GDALWarpOptions, void (*)(GDALWarpOptions*)> o(GDALCreateWarpOptions(),
                                                                 &GDALDestroyWarpOptions);
  o->hSrcDS = source.get();
  o->hDstDS = target.get();
  o->eResampleAlg = resampling == Resampling::Nearest ? GRA_NearestNeighbour : GRA_Bilinear;
  o->pfnTransformer = &GDALApproxTransform;
  o->pTransformerArg = transformer.near;
  GDALWarpInitDefaultBandMapping(o.get(), 1);
  GDALWarpInitSrcNoDataReal(o.get(), kNan);
  GDALWarpInitDstNoDataReal(o.get(), kNan);
  GDALWarpOperation operation;
  if (operation.Initialize(o.get()) != CE_None ||
      operation.ChunkAndWarpImage(0, 0, toGrid.width, toGrid.height) != CE_None)
    throw Error("A layer cannot be brought onto the other grid ({}).", messages.last());
}

bool canBringTogether(const Grid& a, const Grid& b) {
  return a.sameAs(b) || (!a.crs.empty() && !b.crs.empty());
}

}  // namespace zp
