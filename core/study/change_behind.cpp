#include "study/change_behind.h"

namespace zp {

const Product* changeBehind(const Study& study, const Product& map) {
  size_t most = study.products.size();
  for (const Product* p = &map; p != nullptr && most-- > 0;) {
    if (p->facts.contains("change")) return p;
    if (!p->step.is_object()) return nullptr;
    const std::string done = p->step.value("do", "");
    if (done != "tidy" && done != "touch-up") return nullptr;
    p = study.product(p->step.value("map", ""));
  }
  return nullptr;
}

std::optional<ChangeClasses> changeClassesOf(const Study& study, const Product& map) {
  const Product* change = changeBehind(study, map);
  if (change == nullptr) return {};
  Legend classes;
  std::vector<ClassPair> pairs;
  const Json facts = change->facts["change"];
  for (const auto& c : facts.at("classes")) {
    classes.addMissing(c.at("code"), c.at("name"));
    if (const auto* known = study.legend.find(c.at("code").get<int>()))
      classes.find(known->code)->colour = known->colour;
  }
  for (const auto& c : facts.at("cells"))
    pairs.push_back({c.at("from").get<int>(), c.at("to").get<int>()});
  return ChangeClasses(std::move(classes), pairs, change->step.value("code", 0));
}

}  // namespace zp
