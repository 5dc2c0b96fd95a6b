#include "desks/mapping/class_ticks.h"

namespace zp {

std::vector<const Product*> classMapsOf(const Study& study) {
  std::vector<const Product*> all;
  for (auto p = study.products.rbegin(); p != study.products.rend(); ++p)
    if (p->kind == ProductKind::ClassMap) all.push_back(&*p);
  return all;
}

void offerClassMaps(QComboBox& choice, const Study& study, const std::string& notBy) {
  const QString before = choice.currentData().toString();
  choice.clear();
  int newest = -1;
  for (const auto* p : classMapsOf(study)) {
    choice.addItem(q(p->name), q(p->id));
    if (newest < 0 && p->step.value("do", "") != notBy) newest = choice.count() - 1;
  }
  const int kept = choice.findData(before);
  choice.setCurrentIndex(kept >= 0 ? kept : std::max(0, newest));
}

ClassTicks::ClassTicks(const QString& name, const QString& what) {
  setObjectName(name);
  setAccessibleName(what);
}

void ClassTicks::show(const Study& study, const Product* map) {
  const QSignalBlocker quiet(this);
  const bool same = map != nullptr && map->id == of_ && count() > 0;
  const QStringList ticked = tickedIn(*this);
  of_ = map == nullptr ? "" : map->id;
  clear();
  if (map == nullptr) return fitHeight(this);
  for (const auto& c : map->facts.value("classes", Json::array())) {
    const QString code = QString::number(c.at("code").get<int>());
    const auto* known = study.legend.find(code.toInt());
    auto* item = tickItem(q(c.at("name").get<std::string>()), code, !same || ticked.contains(code));
    item->setIcon(swatch(known == nullptr ? tokens().second : toQt(known->colour)));
    addItem(item);
  }
  fitHeight(this);
}

Json ClassTicks::codes() const {
  Json codes = Json::array();
  const QStringList ticked = tickedIn(*this);
  if (ticked.size() < count())
    for (const auto& code : ticked) codes.push_back(code.toInt());
  return codes;
}

}  // namespace zp
