#include "accuracy/maps_at_points.h"

#include <cmath>

#include "sampling/readings.h"

namespace zp {

std::vector<std::vector<int>> classesAt(const std::vector<ValidationPoint>& points,
                                        const std::string& crs,
                                        const std::vector<std::filesystem::path>& maps,
                                        const Progress& progress) {
  std::vector<Place> places;
  for (const auto& p : points) places.push_back(p.place);
  std::vector<std::vector<int>> classes;
  for (size_t m = 0; m < maps.size(); ++m) {
    const double of = static_cast<double>(maps.size());
    const auto values =
        readAt(places, crs, {{maps[m], 1, "map"}},
               progress.part(static_cast<double>(m) / of, static_cast<double>(m + 1) / of))
            .values[0];
    classes.emplace_back();
    for (const double v : values) classes.back().push_back(std::isnan(v) ? 0 : static_cast<int>(v));
  }
  return classes;
}

}  // namespace zp
