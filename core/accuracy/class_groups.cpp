#include "accuracy/class_groups.h"

#include <algorithm>

namespace zp {

int ClassGroups::of(int code) const {
  const auto at = groupOf_.find(code);
  return at == groupOf_.end() ? code : at->second;
}

void ClassGroups::merge(int a, int b) {
  const int first = of(a), second = of(b), group = std::min(first, second);
  for (auto& [code, g] : groupOf_)
    if (g == first || g == second) g = group;
  groupOf_[a] = groupOf_[b] = group;
  for (const int other : {first, second}) names_.erase(other);
}

void ClassGroups::merge(const std::vector<int>& codes, const std::string& name) {
  for (const int code : codes) merge(codes.front(), code);
  if (!codes.empty()) names_[of(codes.front())] = name;
}

void ClassGroups::clear() {
  groupOf_.clear();
  names_.clear();
}

std::vector<int> ClassGroups::members(int group) const {
  std::vector<int> codes;
  for (const auto& [code, g] : groupOf_)
    if (g == group) codes.push_back(code);
  if (codes.empty()) codes.push_back(group);
  return codes;
}

Legend ClassGroups::legend(const Legend& legend) const {
  Legend grouped = legend;
  for (auto& c : grouped.classes) {
    if (groupOf_.count(c.code) == 0 || of(c.code) != c.code) continue;
    if (const auto own = names_.find(c.code); own != names_.end()) {
      c.name = own->second;
      continue;
    }
    c.name.clear();
    for (const int code : members(c.code)) {
      const auto* known = legend.find(code);
      c.name += (c.name.empty() ? "" : " + ") +
                (known != nullptr ? known->name : "class " + std::to_string(code));
    }
  }
  return grouped;
}

std::vector<DrawnPoint> ClassGroups::grouped(std::vector<DrawnPoint> points) const {
  for (auto& p : points) {
    if (p.mapped != 0) p.mapped = of(p.mapped);
    if (p.reference != 0) p.reference = of(p.reference);
  }
  return points;
}

}  // namespace zp
