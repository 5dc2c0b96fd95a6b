#include "desks/training/training_desk.h"

#include "desks/training/legend_panel.h"
#include "desks/training/pairs_panel.h"
#include "desks/training/remedy_panel.h"
#include "desks/training/signatures_panel.h"

namespace zp {

TrainingDesk::TrainingDesk(Workbench& bench, MapView& view) : Desk(bench, view, txt("Training")) {
  nameScene();
  setNext(txt("Go on to mapping"), 3);
  const auto chosenClass = [this] { return legend_->chosenClass(); };
  legend_ = new LegendPanel(bench);
  areas_ = new AreasPanel(bench, view, chosenClass);
  auto* remedies = new RemedyPanel(bench, view, chosenClass);
  signatures_ = new SignaturesPanel(bench, chosenClass);
  legend_->placeRemedies(remedies->openers());
  addPanel(areas_);
  addPanel(legend_);
  addPanel(remedies);
  addPanel(signatures_);
  auto* pairs = new PairsPanel(bench);
  addPanel(pairs);
  body()->addStretch();
  connect(areas_, &AreasPanel::picked, legend_, &LegendPanel::choose);
  connect(legend_, &LegendPanel::classChosen, signatures_, &SignaturesPanel::showClass);
  connect(legend_, &LegendPanel::classChosen, remedies, &RemedyPanel::showClass);
  connect(signatures_, &SignaturesPanel::sheetAsked, this,
          [this] { Q_EMIT signaturesAsked(legend_->chosenClass()); });
  connect(signatures_, &SignaturesPanel::computed, this, [this, pairs, remedies] {
    Q_EMIT trainingKnown(signatures_->known());
    legend_->setTraining(signatures_->known());
    remedies->setTraining(signatures_->known());
    pairs->setTraining(signatures_->known());
    tell();
  });
}

Desk::Missing TrainingDesk::missing() const {
  if (bench_.currentScene() != nullptr) return {};
  return {txt("Training areas are drawn on a scene. Bring one in first."), txt("Go to scenes"), 0};
}

Panel::Heading TrainingDesk::heading() const {
  const auto n = static_cast<qint64>(bench_.study().training.size());
  return {{},
          n == 0 ? txt("Draw areas of known cover, or import polygons with a code and a name "
                       "field. Every class needs a few.")
                 : txt("%n areas.", "%n area.", n) + toldOfHealth()};
}

/// "Two classes look mixed, one is thin."
QString TrainingDesk::toldOfHealth() const {
  const Training* training = signatures_->known();
  if (training == nullptr) return {};
  std::map<Health, qint64> count;
  for (const auto& h : training->health) ++count[h.word];
  QStringList told;
  if (const auto n = count[Health::Mixed]; n > 0)
    told << txt("%n classes look mixed", "%n class looks mixed", n);
  if (const auto n = count[Health::Thin]; n > 0) told << txt("%n are thin", "%n is thin", n);
  if (const auto n = count[Health::Wide]; n > 0) told << txt("%n are wide", "%n is wide", n);
  return told.isEmpty() ? QString() : " " + told.join(", ") + ".";
}

Trail::Station TrainingDesk::station() const {
  Trail::Station station;
  std::set<int> classes;
  for (const auto& a : bench_.study().training) classes.insert(a.code);
  if (classes.empty()) return station;
  station.figure = txt("%n classes", "%n class", static_cast<qint64>(classes.size()));
  station.state = classes.size() < 2 ? Trail::State::Notch : Trail::State::Filled;
  if (classes.size() == 1) station.tip = txt("Only one class has training areas; a map needs two.");
  return station;
}

std::vector<FindOffer> TrainingDesk::offers() {
  std::vector<FindOffer> all;
  for (const auto& c : bench_.study().legend.classes)
    all.push_back({q(c.name),
                   txt("class"),
                   [this, code = c.code] {
                     Q_EMIT stageAsked(2);
                     legend_->choose(code);
                   },
                   {}});
  return all;
}

void TrainingDesk::keyPressEvent(QKeyEvent* e) {
  if (e->key() == Qt::Key_Delete) return areas_->removeChosen();
  Desk::keyPressEvent(e);
}

}  // namespace zp
