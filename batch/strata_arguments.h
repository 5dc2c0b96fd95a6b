#pragma once
#include "accuracy/assessment.h"
#include "arguments.h"

namespace zp {

/// How points were drawn, where class by class of a map.
struct StrataArguments {
  std::string strata, stratum;
  /// `mapped`: where the class that each point was drawn in is found unless --stratum says so.
  void addTo(CLI::App& app, const char* mapped);
  bool given() const { return !strata.empty(); }
  /// Names of the map's classes.
  Legend legend() const;
  /// Square metres of each class of the map. Error: no reference system.
  std::map<int, double> areas(const Progress& progress) const;
  /// The class that each row of a table was drawn in.
  std::vector<int> drawnIn(const Table& table, const std::string& mapped) const;
};

/// A map judged by points, or by a matrix.
struct Assessed {
  ConfusionMatrix matrix;
  Assessment counts;
  std::optional<Assessment> weighted = {};
  double whole = 0;  // square metres of all strata
  const Assessment& first() const { return weighted ? *weighted : counts; }
};
Assessed assessed(const std::vector<DrawnPoint>& points, const Legend& legend,
                  const std::map<int, double>& areas);
/// Of the points of a table; `mapped`, `reference`: its fields.
Assessed assessed(const Table& table, const std::string& mapped, const std::string& reference,
                  const StrataArguments& strata, const Progress& progress);
/// What it says, with the areas of the classes on the ground where it is weighted.
Json told(const Assessed& assessed);

}  // namespace zp
