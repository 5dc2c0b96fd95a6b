#include "training/folds.h"

#include <map>
#include <set>

#include "base/random.h"

namespace zp {

std::vector<int> foldsByArea(const std::vector<int>& classes, const std::vector<size_t>& areas,
                             int parts, uint64_t seed) {
  constexpr size_t kFewAreas = 3;
  std::map<int, std::set<size_t>> areasOf;
  for (size_t i = 0; i < classes.size(); ++i) areasOf[classes[i]].insert(areas[i]);
  std::map<std::pair<int, size_t>, int> foldOfArea;
  Random random(mix(seed, 0x666f6c6473ull));
  for (const auto& [label, of] : areasOf) {
    std::vector<size_t> order(of.begin(), of.end());
    for (size_t i = order.size(); i > 1; --i) std::swap(order[i - 1], order[random.below(i)]);
    for (size_t i = 0; i < order.size(); ++i)
      foldOfArea[{label, order[i]}] = static_cast<int>(i % static_cast<size_t>(parts));
  }
  std::vector<int> folds;
  for (size_t i = 0; i < classes.size(); ++i)
    folds.push_back(areasOf[classes[i]].size() < kFewAreas
                        ? static_cast<int>(random.below(static_cast<size_t>(parts)))
                        : foldOfArea[{classes[i], areas[i]}]);
  return folds;
}

}  // namespace zp
