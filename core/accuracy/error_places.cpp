#include "accuracy/error_places.h"

#include <gsl/gsl_cdf.h>

#include <algorithm>
#include <cmath>
#include <map>

#include "grid/crs.h"
#include "grid/raster_file.h"

namespace zp {
namespace {

void add(ErrorGroup& group, const ValidationPoint& p) {
  group.ids.insert(p.id);
  group.right += p.mapped == p.reference ? 1 : 0;
}

std::vector<ErrorGroup> finished(std::vector<ErrorGroup> groups) {
  for (auto& g : groups) g.share = wilson(g.right, g.ids.size());
  return groups;
}

bool complete(const ValidationPoint& p) {
  return p.mapped != 0 && p.reference != 0;
}

/// In a window around the pixel at (x, y) of it.
double nearestOther(const std::vector<uint16_t>& codes, Window w, int x, int y, int most) {
  const auto codeAt = [&](int cx, int cy) {
    return codes[static_cast<size_t>(cy - w.y) * static_cast<size_t>(w.width) +
                 static_cast<size_t>(cx - w.x)];
  };
  const uint16_t own = codeAt(x, y);
  if (own == 0) return std::nan("");
  int best = most * most;
  for (int cy = w.y; cy < w.y + w.height; ++cy)
    for (int cx = w.x; cx < w.x + w.width; ++cx)
      if (const uint16_t code = codeAt(cx, cy); code != 0 && code != own)
        best = std::min(best, (cx - x) * (cx - x) + (cy - y) * (cy - y));
  return std::sqrt(static_cast<double>(best));
}

}  // namespace

std::vector<ErrorGroup> errorsByValue(const std::vector<ValidationPoint>& points,
                                      const std::vector<double>& values,
                                      const std::vector<double>& edges,
                                      const std::vector<std::string>& names) {
  std::vector<ErrorGroup> groups(edges.size() + 1);
  for (size_t g = 0; g < groups.size(); ++g) groups[g].name = names.at(g);
  for (size_t i = 0; i < points.size(); ++i)
    if (complete(points[i]) && !std::isnan(values[i]))
      add(groups[static_cast<size_t>(std::lower_bound(edges.begin(), edges.end(), values[i]) -
                                     edges.begin())],
          points[i]);
  return finished(std::move(groups));
}

std::vector<ErrorGroup> errorsByName(const std::vector<ValidationPoint>& points,
                                     const std::vector<std::string>& names) {
  std::map<std::string, ErrorGroup> byName;
  for (size_t i = 0; i < points.size(); ++i)
    if (complete(points[i]) && !names[i].empty()) add(byName[names[i]], points[i]);
  std::vector<ErrorGroup> groups;
  for (auto& [name, group] : byName) {
    group.name = name;
    groups.push_back(std::move(group));
  }
  return finished(std::move(groups));
}

double sameEverywhere(const std::vector<ErrorGroup>& groups) {
  double all = 0, right = 0;
  for (const auto& g : groups) {
    all += static_cast<double>(g.ids.size());
    right += static_cast<double>(g.right);
  }
  const double share = right / all;
  int used = 0, few = 0;
  double statistic = 0;
  for (const auto& g : groups) {
    const auto n = static_cast<double>(g.ids.size());
    if (n == 0) continue;
    ++used;
    for (const double expected : {n * share, n * (1 - share)}) {
      if (expected < 1) return std::nan("");
      few += expected < 5 ? 1 : 0;
    }
    const double off = static_cast<double>(g.right) - n * share;
    statistic += off * off / (n * share) + off * off / (n * (1 - share));
  }
  if (used < 2 || few * 5 > 2 * used) return std::nan("");
  return gsl_cdf_chisq_Q(statistic, used - 1);
}

std::vector<double> borderDistances(const std::vector<ValidationPoint>& points,
                                    const std::string& crs, const std::filesystem::path& map,
                                    int most, const Progress& progress) {
  const RasterFile file(map);
  const Grid& grid = file.grid();
  const CrsChange change(crs, grid.crs);
  std::vector<double> out;
  std::vector<uint16_t> codes;
  for (const auto& p : points) {
    progress.at(static_cast<double>(out.size()) / static_cast<double>(points.size()));
    Place at = p.place;
    const bool known = change.apply(at);
    const Place pixel = grid.toPixel(at);
    if (!known ||
        !(pixel.x >= 0 && pixel.y >= 0 && pixel.x < grid.width && pixel.y < grid.height)) {
      out.push_back(std::nan(""));
      continue;
    }
    const int x = static_cast<int>(pixel.x), y = static_cast<int>(pixel.y);
    const int left = std::max(0, x - most), top = std::max(0, y - most);
    const Window w{left, top, std::min(grid.width, x + most + 1) - left,
                   std::min(grid.height, y + most + 1) - top};
    codes.resize(w.pixels());
    file.readCodes(1, w, codes.data());
    out.push_back(nearestOther(codes, w, x, y, most));
  }
  return out;
}

}  // namespace zp
