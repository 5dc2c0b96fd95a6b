#pragma once
#include <string>
#include <vector>

#include "scene/scene.h"

namespace zp {

/// An index of `data/indices.json`.
struct IndexEntry {
  std::string id, title, name, formula, reading, about, source, ramp;
  double low = 0, high = 0;        // expected range
  std::vector<std::string> roles;  // that it needs
};

const std::vector<IndexEntry>& indexBook();
/// Error with the nearest known id.
const IndexEntry& indexEntry(const std::string& id);
/// The roles of an index that the scene lacks.
std::vector<std::string> missingRoles(const IndexEntry& entry, const Scene& scene);

}  // namespace zp
