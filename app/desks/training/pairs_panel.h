#pragma once
#include "desks/training/signatures_panel.h"

namespace zp {

/// The classes that are most alike, worst first.
class PairsPanel : public Panel {
  Q_OBJECT
 public:
  explicit PairsPanel(Workbench& bench);
  void refresh() override;
  /// nullptr while not known.
  void setTraining(const Training* training);

 private:
  const Training* training_ = nullptr;
  QTableWidget* table_;
};

}  // namespace zp
