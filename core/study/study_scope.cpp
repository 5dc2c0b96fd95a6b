#include "study/study_scope.h"

#include <algorithm>
#include <cmath>

#include "base/error.h"
#include "grid/pixel_box.h"

namespace zp {

std::map<std::string, std::string> formulaNames(const Study& study) {
  std::map<std::string, std::string> names;
  std::vector<std::string> taken = knownRoles();
  const auto add = [&](const std::string& text, const std::string& id) {
    const std::string name = scopeName(text, taken);
    taken.push_back(name);
    names[name] = id;
  };
  for (const auto& s : study.scenes) add(s.scene.name, s.id);
  for (const auto& p : study.products)
    if (p.kind == ProductKind::Index || p.kind == ProductKind::Quantity ||
        p.kind == ProductKind::ClassMap)
      add(p.name, p.id);
  return names;
}

std::vector<std::string> knownNames(const Study& study, const std::string& scene) {
  const auto* first = study.scene(scene);
  if (first == nullptr) return {};
  std::vector<std::string> known = first->scene.roles();
  for (const auto& [name, id] : formulaNames(study)) {
    const auto* s = study.scene(id);
    if (s == nullptr || isLayer(s->scene)) known.push_back(name);
    if (s == nullptr) continue;
    for (const auto& role : s->scene.roles()) known.push_back(name + "." + role);
  }
  return known;
}

Scene layerOf(const Product& p) {
  const auto state = p.kind == ProductKind::ClassMap   ? ValueState::ClassCodes
                     : p.kind == ProductKind::Quantity ? ValueState::Quantity
                                                       : ValueState::Unknown;
  Scene layer = layerScene(p.file, p.name, state);
  // In a class map, 0 is no class.
  if (state == ValueState::ClassCodes && !layer.bands[0].conversion.nodata)
    layer.bands[0].conversion.nodata = 0;
  return layer;
}

Scope studyScope(const Study& study, const std::string& scene,
                 const std::map<std::string, std::string>& with) {
  std::vector<NamedScene> all{{"", needScene(study, scene).scene}};
  for (const auto& [name, id] : with) {
    const auto* s = study.scene(id);
    all.push_back({name, s != nullptr ? s->scene : layerOf(needProduct(study, id))});
  }
  Scope scope(std::move(all));
  scope.grid = onDeliveryGrid(study, scope.grid);
  return scope;
}

std::map<std::string, std::string> usedNames(const std::vector<Formula>& formulas,
                                             const std::map<std::string, std::string>& names) {
  std::map<std::string, std::string> used;
  for (const auto& f : formulas)
    for (const auto& v : f.variables)
      if (const auto at = names.find(v.substr(0, v.find('.'))); at != names.end()) used.insert(*at);
  return used;
}

Grid onDeliveryGrid(const Study& study, const Grid& grid) {
  if (!study.delivery || grid.crs.empty()) return grid;
  const auto& d = *study.delivery;
  Grid lattice;
  lattice.width = lattice.height = 1;
  lattice.georeferenced = true;
  lattice.crs = d.crs;
  lattice.transform = {d.origin.x, d.pixel, 0, d.origin.y, 0, -d.pixel};
  const PixelBox box = boxOn(grid, lattice);
  const double left = std::floor(box.left), top = std::floor(box.top), right = std::ceil(box.right),
               bottom = std::ceil(box.bottom);
  if (!box.finite() || !((right - left) * (bottom - top) < 0x1p31))
    throw Error("The delivery grid would have too many pixels here; choose a larger pixel.");
  const int w = std::max(1, static_cast<int>(right - left)),
            h = std::max(1, static_cast<int>(bottom - top));
  return pieceOf(lattice, {static_cast<int>(left), static_cast<int>(top), w, h}, w, h);
}

}  // namespace zp
