#include "sampling/reading_method.h"

#include <algorithm>
#include <cmath>
#include <limits>

#include "base/error.h"
#include "base/text.h"
#include "grid/crs.h"

namespace zp {
namespace {

constexpr double kNone = std::numeric_limits<double>::quiet_NaN();
constexpr int kWidest = 99;
constexpr size_t kPixelsAtOnce = 4'000'000;

bool isOn(const Grid& g, Place pixel) {
  return pixel.x >= 0 && pixel.y >= 0 && pixel.x < g.width && pixel.y < g.height;
}

size_t pixelsEach(const ReadingMethod& how) {
  if (how.kind == ReadingMethod::Kind::Nearest) return 1;
  if (how.kind == ReadingMethod::Kind::Bilinear) return 4;
  return static_cast<size_t>(how.window) * static_cast<size_t>(how.window);
}

/// In pixel units of the grid; NaN where there is no way there.
std::vector<Place> onGrid(const Grid& g, const std::vector<Place>& places, const std::string& crs) {
  const bool both = !crs.empty() && !g.crs.empty();
  const CrsChange change(both ? crs : "", both ? g.crs : "");
  std::vector<Place> out;
  out.reserve(places.size());
  for (Place p : places) out.push_back(change.apply(p) ? g.toPixel(p) : Place{kNone, kNone});
  return out;
}

}  // namespace

ReadingMethod readingMethod(const std::string& id, int window) {
  static const std::vector<std::string> known{"nearest", "bilinear", "mean"};
  const auto at = std::find(known.begin(), known.end(), id);
  if (at == known.end())
    throw Error("“{}” is no way to read at a place; they are {}.{}", id, listed(known),
                didYouMean(id, known));
  if (window < 1 || window > kWidest || window % 2 == 0)
    throw Error("The window is {} pixels across; give an odd number from 1 to {}.", window,
                kWidest);
  return {static_cast<ReadingMethod::Kind>(at - known.begin()), window};
}

PixelsAround::PixelsAround(const Grid& grid, const std::vector<Place>& places,
                           const std::string& crs, const ReadingMethod& how)
    : crs_(crs) {
  if (how.kind == ReadingMethod::Kind::Nearest) {
    at_ = places;
    return;
  }
  crs_ = grid.crs;
  needsNearest_ = how.kind == ReadingMethod::Kind::Bilinear;
  each_ = pixelsEach(how);
  at_.reserve(places.size() * each_);
  for (const Place& p : onGrid(grid, places, crs)) add(grid, p, how);
}

void PixelsAround::add(const Grid& grid, Place p, const ReadingMethod& how) {
  const bool bilinear = how.kind == ReadingMethod::Kind::Bilinear;
  if (!isOn(grid, p)) {
    at_.insert(at_.end(), each_, {kNone, kNone});
    weights_.insert(weights_.end(), each_, 0);
    nearest_.push_back(0);
    return;
  }
  if (!bilinear) {
    const int half = how.window / 2;
    for (int y = -half; y <= half; ++y)
      for (int x = -half; x <= half; ++x)
        at_.push_back(grid.toMap(std::floor(p.x) + x + 0.5, std::floor(p.y) + y + 0.5));
    weights_.insert(weights_.end(), each_, 1);
    nearest_.push_back(0);
    return;
  }
  const double left = std::floor(p.x - 0.5), top = std::floor(p.y - 0.5);
  const double right = p.x - 0.5 - left, down = p.y - 0.5 - top;
  for (int y = 0; y < 2; ++y)
    for (int x = 0; x < 2; ++x) {
      at_.push_back(grid.toMap(left + x + 0.5, top + y + 0.5));
      weights_.push_back(
          static_cast<float>((x == 1 ? right : 1 - right) * (y == 1 ? down : 1 - down)));
    }
  nearest_.push_back(
      static_cast<uint8_t>((std::floor(p.y) > top ? 2 : 0) + (std::floor(p.x) > left ? 1 : 0)));
}

std::vector<double> PixelsAround::combined(const std::vector<double>& values, bool decibels) const {
  if (weights_.empty()) return values;
  std::vector<double> out(nearest_.size(), kNone);
  for (size_t i = 0; i < out.size(); ++i) {
    const double* v = &values[i * each_];
    if (needsNearest_ && std::isnan(v[nearest_[i]])) continue;
    double sum = 0, weight = 0;
    for (size_t k = 0; k < each_; ++k) {
      if (std::isnan(v[k])) continue;
      const auto w = static_cast<double>(weights_[i * each_ + k]);
      sum += w * (decibels ? std::pow(10, v[k] / 10) : v[k]);
      weight += w;
    }
    if (weight > 0) out[i] = decibels ? 10 * std::log10(sum / weight) : sum / weight;
  }
  return out;
}

std::vector<PartOfPlaces> inParts(const std::vector<Place>& places, const ReadingMethod& how) {
  if (how.kind == ReadingMethod::Kind::Nearest) return {{0, places}};
  const size_t each = kPixelsAtOnce / pixelsEach(how);
  std::vector<PartOfPlaces> parts;
  for (size_t i = 0; i < places.size(); i += each)
    parts.push_back(
        {i,
         {places.begin() + static_cast<std::ptrdiff_t>(i),
          places.begin() + static_cast<std::ptrdiff_t>(std::min(places.size(), i + each))}});
  return parts;
}

size_t distinctPixels(const Grid& grid, const std::vector<Place>& places, const std::string& crs,
                      const std::vector<double>& values) {
  const auto at = onGrid(grid, places, crs);
  std::vector<size_t> pixels;
  for (size_t i = 0; i < at.size(); ++i)
    if (!std::isnan(values[i]) && isOn(grid, at[i]))
      pixels.push_back(static_cast<size_t>(at[i].y) * static_cast<size_t>(grid.width) +
                       static_cast<size_t>(at[i].x));
  std::sort(pixels.begin(), pixels.end());
  return static_cast<size_t>(std::unique(pixels.begin(), pixels.end()) - pixels.begin());
}

}  // namespace zp
