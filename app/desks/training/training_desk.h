#pragma once
#include "desks/desk.h"
#include "desks/training/areas_panel.h"

namespace zp {

class LegendPanel;
class SignaturesPanel;
struct Training;

/// The legend, training areas drawn or imported, and the signatures of the classes.
class TrainingDesk : public Desk {
  Q_OBJECT
 public:
  TrainingDesk(Workbench& bench, MapView& view);
  Trail::Station station() const override;
  std::vector<FindOffer> offers() override;
  AreasPanel& areas() { return *areas_; }

 Q_SIGNALS:
  /// The sheet of signatures, at a class.
  void signaturesAsked(int code);
  /// nullptr: is being computed, or there is none.
  void trainingKnown(const zp::Training* training);

 protected:
  Missing missing() const override;
  Panel::Heading heading() const override;
  bool mayGoOn() const override { return !bench_.study().training.empty(); }
  void keyPressEvent(QKeyEvent*) override;

 private:
  QString toldOfHealth() const;
  AreasPanel* areas_;
  LegendPanel* legend_;
  SignaturesPanel* signatures_;
};

}  // namespace zp
