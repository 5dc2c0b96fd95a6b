#pragma once
#include "accuracy/assessment.h"

namespace zp::testing {

/// The points behind a matrix of counts, codes from 1.
inline std::vector<MapAndReference> pairsOf(const std::vector<std::vector<int>>& counts) {
  std::vector<MapAndReference> pairs;
  for (size_t i = 0; i < counts.size(); ++i)
    for (size_t j = 0; j < counts.size(); ++j)
      for (int n = 0; n < counts[i][j]; ++n)
        pairs.push_back({static_cast<int>(i) + 1, static_cast<int>(j) + 1});
  return pairs;
}

/// Points drawn in the classes of the map that they judge.
inline std::vector<DrawnPoint> drawnPerClass(const std::vector<MapAndReference>& pairs) {
  std::vector<DrawnPoint> points;
  for (const auto& p : pairs) points.push_back({p.mapped, p.mapped, p.reference});
  return points;
}

// The error matrix of Congalton (1991), A review of assessing the accuracy of classifications of
// remotely sensed data, Remote Sensing of Environment 37, table 1: rows classified, columns
// reference; overall 321/434 = 74 %; producer's 87, 79, 74, 64 %; user's 57, 81, 74, 87 %.
inline const std::vector<std::vector<int>> kCongalton{
    {65, 4, 22, 24}, {6, 81, 5, 8}, {0, 11, 85, 19}, {4, 7, 3, 90}};

}  // namespace zp::testing
