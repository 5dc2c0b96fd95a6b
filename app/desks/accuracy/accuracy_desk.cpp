#include "desks/accuracy/accuracy_desk.h"

#include "desks/accuracy/validation_panel.h"

namespace zp {

AccuracyDesk::AccuracyDesk(Workbench& bench, MapView& view, LabelBook& book)
    : Desk(bench, view, txt("Accuracy")), book_(book) {
  auto* validation = new ValidationPanel(bench, view, book);
  addPanel(validation);
  body()->addStretch();
  connect(validation, &ValidationPanel::labellingAsked, this, &AccuracyDesk::labellingAsked);
  connect(validation, &ValidationPanel::planAsked, this, &AccuracyDesk::planAsked);
  connect(validation, &ValidationPanel::matrixAsked, this, &AccuracyDesk::matrixAsked);
  connect(validation, &ValidationPanel::typedAsked, this, &AccuracyDesk::typedAsked);
  connect(&book_, &LabelBook::updated, this, [this] {
    if (isVisible()) refresh();
  });
}

Desk::Missing AccuracyDesk::missing() const {
  const Study& s = bench_.study();
  if (s.newest(ProductKind::ClassMap) == nullptr)
    return {
        txt("Here a map is tested at points whose true class you say, and its confusion matrix and "
            "accuracies with their intervals appear. There is no map to test yet; make one first."),
        txt("Go to mapping"), 3};
  return {};
}

Trail::Station AccuracyDesk::station() const {
  Trail::Station station;
  const Product* labels = bench_.study().newest(ProductKind::Labels);
  if (labels == nullptr) return station;
  station.state = stateOf(*labels);
  if (book_.none()) return station;
  const auto& labelling = book_.labelling();
  if (const auto o = !book_.blind() ? book_.overall() : std::nullopt)
    station.figure =
        decimal(100 * o->value, 1) +
        (std::isnan(o->low) ? QString() : " ± " + decimal(50 * (o->high - o->low), 1)) + " %";
  else
    station.figure =
        txt("%1 of %2 labelled").arg(labelling.labelled()).arg(labelling.points().size());
  return station;
}

}  // namespace zp
