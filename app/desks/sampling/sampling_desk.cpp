#include "desks/sampling/sampling_desk.h"

#include "desks/sampling/plan_panel.h"
#include "desks/sampling/readings_panel.h"

namespace zp {

SamplingDesk::SamplingDesk(Workbench& bench, MapView& view) : Desk(bench, view, txt("Sampling")) {
  nameScene();
  auto* plan = new PlanPanel(bench, view);
  auto* readings = new ReadingsPanel(bench);
  addPanel(plan);
  addPanel(readings);
  body()->addStretch();
  connect(plan, &PlanPanel::made, this, [this, readings](const QString& points) {
    refresh();
    readings->choosePoints(points);
  });
}

Desk::Missing SamplingDesk::missing() const {
  if (bench_.currentScene() != nullptr) return {};
  return {txt("Points are placed over a raster. Bring a scene in first."), txt("Go to scenes"), 0};
}

Trail::Station SamplingDesk::station() const {
  Trail::Station station;
  const Product* points = bench_.study().newest(ProductKind::Points);
  if (points == nullptr) return station;
  station.figure = txt("%n points", "%n point", points->facts.value("points", qint64{0}));
  station.state = stateOf(*points);
  return station;
}

}  // namespace zp
