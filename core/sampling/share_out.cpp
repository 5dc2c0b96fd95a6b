#include "sampling/share_out.h"

#include <algorithm>
#include <cmath>
#include <vector>

namespace zp {

std::map<int, size_t> shareOut(size_t points, const std::map<int, double>& areas) {
  double whole = 0;
  for (const auto& [code, area] : areas) whole += area;
  std::map<int, size_t> shares;
  if (!(whole > 0)) return shares;
  std::vector<std::pair<double, int>> remainders;
  size_t given = 0;
  for (const auto& [code, area] : areas) {
    const double share = static_cast<double>(points) * (area / whole);
    given += shares[code] = static_cast<size_t>(share);
    remainders.push_back({std::floor(share) - share, code});
  }
  std::sort(remainders.begin(), remainders.end());
  for (size_t i = 0; given < points && i < remainders.size(); ++i, ++given)
    ++shares[remainders[i].second];
  return shares;
}

}  // namespace zp
