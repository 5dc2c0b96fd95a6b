#pragma once
#include "background/latest.h"
#include "charts/chart.h"
#include "desks/panel.h"
#include "desks/training/training_over.h"

namespace zp {

/// The signatures of the classes as curves, and those of one class by band.
class SignaturesPanel : public Panel {
  Q_OBJECT
 public:
  /// `chosenClass` tells the code of the class that is shown by band; 0 for none.
  SignaturesPanel(Workbench& bench, std::function<int()> chosenClass);
  void refresh() override;
  void forget() override;
  /// Another class is chosen.
  void showClass();
  /// nullptr while it is being computed, or without training.
  const Training* known() const { return known_ ? &*known_ : nullptr; }

 Q_SIGNALS:
  void computed();
  /// All there is to know of them, over the whole window.
  void sheetAsked();

 private:
  void showCurves(const Scene& scene, int code);
  void showBands(const Signature& signature);

  std::function<int()> chosenClass_;
  Latest job_;
  QString of_;  // what they were computed from
  std::optional<Training> known_;
  QLabel *title_, *bandTitle_;
  SignatureChart* chart_;
  QTableWidget* bands_;
};

}  // namespace zp
