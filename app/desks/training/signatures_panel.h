#pragma once
#include "charts/chart.h"
#include "desks/panel.h"
#include "background/latest.h"
#include "training/signature.h"

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
  /// nullptr while they are being computed, or without training.
  const SignatureSet* signatures() const { return set_ ? &*set_ : nullptr; }

 Q_SIGNALS:
  void computed();

 private:
  void showCurves(const Scene& scene, int code);
  void showBands(const Signature& signature);

  std::function<int()> chosenClass_;
  Latest job_;
  QString of_;  // what they were computed from
  std::optional<SignatureSet> set_;
  QLabel *title_, *bandTitle_;
  SignatureChart* chart_;
  QTableWidget* bands_;
};

}  // namespace zp
