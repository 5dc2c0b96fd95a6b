#pragma once
#include "charts/reliability_chart.h"
#include "desks/panel.h"

namespace zp {

/// How a map that is tried does on training areas kept out of training, and whether its confidence
/// can be believed.
class HeldOutPanel : public Panel {
  Q_OBJECT
 public:
  explicit HeldOutPanel(Workbench& bench);
  void refresh() override {}
  void forget() override { hide(); }
  void showChecking();
  void show(const HeldOut& told);
  void showTrouble(const QString& sentence);

 private:
  void showAreas(const HeldOut& told);
  QString worstClasses(const HeldOut& told) const;

  QLabel *share_, *note_, *worst_;
  ReliabilityChart* chart_;
  QWidget* areas_;
};

}  // namespace zp
