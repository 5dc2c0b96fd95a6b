#include "desks/sampling/sampling_desk.h"

#include "desks/sampling/cells_panel.h"
#include "desks/sampling/plan_panel.h"
#include "desks/sampling/readings_panel.h"

namespace zp {

SamplingDesk::SamplingDesk(Workbench& bench, MapView& view) : Desk(bench, view, txt("Sampling")) {
  nameScene();
  auto* plan = new PlanPanel(bench, view);
  auto* cells = new CellsPanel(bench, view);
  readings_ = new ReadingsPanel(bench, view);
  addPage(plan, "pagePoints", txt("Points"));
  addPage(cells, "pageCells", txt("Cells"));
  addPage(readings_, "pageReadings", txt("Readings"));
  const auto read = [this](const QString& places) {
    refresh();
    readings_->choosePlaces(places);
  };
  connect(plan, &PlanPanel::made, this, read);
  connect(cells, &CellsPanel::made, this, read);
  connect(plan, &PlanPanel::readingsAsked, this, [this] { showPage(readings_); });
  connect(cells, &CellsPanel::readingsAsked, this, [this] { showPage(readings_); });
}

void SamplingDesk::showProduct(const QString& id) {
  readings_->choosePlaces(id);
  showPage(readings_);
}

Desk::Missing SamplingDesk::missing() const {
  if (bench_.currentScene() != nullptr || !bench_.anyPicture().none()) return {};
  return {txt("Points are placed over a raster. Bring a scene in first."), txt("Go to scenes"), 0};
}

Trail::Station SamplingDesk::station() const {
  Trail::Station station;
  const Study& study = bench_.study();
  const Product* points = study.newest(ProductKind::Points);
  const Product* cells = study.newest(ProductKind::Cells);
  const bool newer = cells != nullptr && (points == nullptr || points->made < cells->made);
  if (newer) {
    station.figure = txt("%n cells", "%n cell", cells->facts.value("cells", qint64{0}));
    station.state = stateOf(*cells);
  } else if (points != nullptr) {
    station.figure = txt("%n points", "%n point", points->facts.value("points", qint64{0}));
    station.state = stateOf(*points);
  }
  return station;
}

}  // namespace zp
