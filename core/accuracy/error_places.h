#pragma once
#include <filesystem>
#include <set>
#include <string>
#include <vector>

#include "accuracy/labelling.h"
#include "base/progress.h"

namespace zp {

/// Points that have something in common, and how many of them the map is right at.
struct ErrorGroup {
  std::string name;
  std::set<int> ids;  // of points that both sides say something of
  size_t right = 0;
  Estimate share;  // right; every point counts the same (Wilson)
};

/// Points by a value of each (NaN: in no group), cut at rising edges; a value equal to an edge
/// belongs below it. One more name than edges. Groups without a point are there too.
std::vector<ErrorGroup> errorsByValue(const std::vector<ValidationPoint>& points,
                                      const std::vector<double>& values,
                                      const std::vector<double>& edges,
                                      const std::vector<std::string>& names);
/// Points by a name of each ("": in no group), in the order of the names.
std::vector<ErrorGroup> errorsByName(const std::vector<ValidationPoint>& points,
                                     const std::vector<std::string>& names);

/// How likely groups would differ as much or more if the map were as right in all of them:
/// Pearson's chi-squared test of homogeneity. NaN for fewer than two groups with points, where
/// nothing or everything is right, or where the test does not hold (Cochran 1954: more than a fifth
/// of the expected counts below 5, or one below 1).
double sameEverywhere(const std::vector<ErrorGroup>& groups);

/// From the pixel of the map that each point lies in to the nearest pixel of another class, centre
/// to centre, in pixels: 1 for a pixel at a border. No class and the edge of the map are no border.
/// `most` where there is none as near; NaN outside the map or without a class.
std::vector<double> borderDistances(const std::vector<ValidationPoint>& points,
                                    const std::string& crs, const std::filesystem::path& map,
                                    int most, const Progress& progress = Progress());

}  // namespace zp
