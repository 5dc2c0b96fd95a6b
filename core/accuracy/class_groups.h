#pragma once
#include <map>
#include <string>
#include <vector>

#include "accuracy/assessment.h"

namespace zp {

/// Classes counted as one, each group by the lowest of its codes.
class ClassGroups {
 public:
  bool none() const { return groupOf_.empty(); }
  int of(int code) const;
  /// Together with all that either is grouped with already.
  void merge(int a, int b);
  /// All of these, under a name of their own.
  void merge(const std::vector<int>& codes, const std::string& name);
  void clear();
  /// Codes of a group in ascending order; of one that is not grouped itself.
  std::vector<int> members(int group) const;
  /// "Reedbed + Saltmarsh": every group named by its members, where it has no name of its own.
  Legend legend(const Legend& legend) const;
  /// The strata that points were drawn in stay as they are.
  std::vector<DrawnPoint> grouped(std::vector<DrawnPoint> points) const;

 private:
  std::map<int, int> groupOf_;  // of codes in groups of two or more
  std::map<int, std::string> names_;
};

}  // namespace zp
