#pragma once
#include <optional>
#include <unordered_map>
#include <vector>

#include "grid/grid.h"

namespace zp {

/// Refuses places that are nearer than the smallest spacing to one taken before.
class Spacing {
 public:
  explicit Spacing(std::optional<double> apart) : apart_(apart.value_or(0)) {}
  bool take(Place place);

 private:
  double apart_;
  std::unordered_map<uint64_t, std::vector<Place>> cells_;
};

}  // namespace zp
