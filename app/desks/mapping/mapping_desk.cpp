#include "desks/mapping/mapping_desk.h"

#include "desks/mapping/mapped_areas.h"
#include "desks/mapping/trained_panel.h"
#include "desks/mapping/what_parted.h"

namespace zp {

MappingDesk::MappingDesk(Workbench& bench, MapView& view) : Desk(bench, view, txt("Mapping")) {
  nameScene();
  addPanel(new TrainedPanel(bench));
  addPanel(new WhatParted(bench));
  addPanel(new MappedAreas(bench));
  body()->addStretch();
}

Desk::Missing MappingDesk::missing() const {
  if (bench_.currentScene() == nullptr)
    return {txt("A map needs a scene. Bring one in first."), txt("Go to scenes"), 0};
  if (bench_.study().training.empty())
    return {txt("A trained map needs training areas. Draw or import some first."),
            txt("Go to training"), 2};
  return {};
}

Trail::Station MappingDesk::station() const {
  Trail::Station station;
  const Product* map = newestTrainedMap(bench_.study());
  if (map == nullptr) return station;
  station.figure =
      q(map->name).section(", ", 1) + QString(" · %1").arg(map->facts["classes"].size());
  station.state = stateOf(*map);
  return station;
}

std::vector<FindOffer> MappingDesk::offers() {
  std::vector<FindOffer> all;
  for (const auto* m : methods()) {
    QStringList parameters;
    for (const auto& p : m->parameters) parameters << txt(p.title);
    all.push_back(
        {txt(m->title), txt("method"), [this] { Q_EMIT stageAsked(3); }, parameters.join(" ")});
  }
  return all;
}

}  // namespace zp
