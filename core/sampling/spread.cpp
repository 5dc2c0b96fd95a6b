#include <algorithm>
#include <cmath>
#include <set>

#include "sampling/plan.h"

namespace zp {
namespace {

/// Closest pair by a sweep from left to right (Shamos and Hoey 1975).
double nearestPair(std::vector<Place> places) {
  if (places.size() < 2) return NAN;
  const auto byX = [](const Place& a, const Place& b) {
    return std::tie(a.x, a.y) < std::tie(b.x, b.y);
  };
  std::sort(places.begin(), places.end(), byX);
  double best = INFINITY;
  std::set<std::pair<double, double>> behind;  // (y, x) of those less than `best` to the left
  size_t oldest = 0;
  for (const auto& p : places) {
    for (; places[oldest].x < p.x - best; ++oldest)
      behind.erase({places[oldest].y, places[oldest].x});
    for (auto q = behind.lower_bound({p.y - best, -INFINITY});
         q != behind.end() && q->first <= p.y + best; ++q)
      best = std::min(best, std::hypot(p.x - q->second, p.y - q->first));
    if (best == 0) break;
    behind.insert({p.y, p.x});
  }
  return best;
}

size_t sharingOf(const std::vector<SamplePoint>& points, const Grid& grid) {
  std::vector<std::pair<double, double>> pixels;
  pixels.reserve(points.size());
  for (const auto& p : points) {
    const Place at = grid.toPixel(p.place);
    pixels.push_back({std::floor(at.y), std::floor(at.x)});
  }
  std::sort(pixels.begin(), pixels.end());
  size_t sharing = 0;
  for (size_t i = 0; i < pixels.size();) {
    size_t same = i + 1;
    while (same < pixels.size() && pixels[same] == pixels[i]) ++same;
    if (same - i > 1) sharing += same - i;
    i = same;
  }
  return sharing;
}

}  // namespace

Spread spreadOf(const std::vector<SamplePoint>& points, const Grid& grid) {
  std::vector<Place> places;
  places.reserve(points.size());
  for (const auto& p : points) places.push_back(p.place);
  return {nearestPair(std::move(places)), sharingOf(points, grid)};
}

}  // namespace zp
